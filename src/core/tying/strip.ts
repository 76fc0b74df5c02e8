import type { PartId, RegionId, RideId } from '@/catalogue/ids';
import { deltaE, labOfHex, wetHex } from '../colour';
import type { Card } from '../card/card-shape';

/** A colour dry and wet; null where that was not seen. */
interface Seen {
  dry: string | null;
  wet: string;
}

/** A region of the natural beside the part made for it, and how far they lie apart (CIEDE2000) dry and wet. */
export interface StripRow {
  /** Id of the part in the card, and what it is. */
  part: string;
  kind: PartId;
  region: RegionId;
  material: { id: string; name: string } | null;
  natural: Seen;
  made: { dry: string; wet: string };
  apart: { dry: number | null; wet: number };
}

/** The state in which a fish sees a fly: dry what stands on the water, wet what lies in its film or under it. */
export const seenAs = (ride: RideId): 'dry' | 'wet' => (ride === 'high' ? 'dry' : 'wet');

/** A row in one state; a natural that was seen wet alone is judged wet. */
export function stripIn(
  { natural, made, apart }: StripRow,
  state: 'dry' | 'wet',
): { natural: string; made: string; apart: number } {
  if (state === 'wet' || natural.dry === null || apart.dry === null)
    return { natural: natural.wet, made: made.wet, apart: apart.wet };
  return { natural: natural.dry, made: made.dry, apart: apart.dry };
}

/** Each region whose colour is known beside what the card makes of it. A natural that was seen wet has no dry colour. */
export function stripOf(
  card: Pick<Card, 'parts' | 'layers'>,
  colours: Readonly<Partial<Record<RegionId, string>>>,
  surface: 'dry' | 'wet',
): StripRow[] {
  return card.parts.flatMap((part): StripRow[] => {
    const region = part.colour?.region ?? null;
    const hex = region === null ? undefined : colours[region];
    if (!part.colour || region === null || hex === undefined) return [];
    const layer = card.layers.find((own) => own.part === part.id);
    const made = {
      dry: layer?.dry.hex ?? part.colour.hex,
      wet: layer?.wet.hex ?? part.colour.wet?.hex ?? part.colour.hex,
    };
    const natural: Seen = surface === 'dry' ? { dry: hex, wet: wetHex(hex) } : { dry: null, wet: hex };
    const apart = (one: string, other: string) => deltaE(labOfHex(one), labOfHex(other));
    return [
      {
        part: part.id,
        kind: part.part,
        region,
        material: part.material && { id: part.material.id, name: part.material.name },
        natural,
        made,
        apart: { dry: natural.dry === null ? null : apart(natural.dry, made.dry), wet: apart(natural.wet, made.wet) },
      },
    ];
  });
}
