import type { FunctionId } from '@/catalogue/ids';
import { airHeld, deltaE, labOfHex, openedTo, stackColour, wetHex } from '../colour';
import { MATTED, AIR_SHARE } from '../constants';
import type { Card } from '../card/card-shape';
import type { Dressing } from '../dressings';
import type { Material } from '../materials';

/** What water or a marker does to a part beyond its film, and what is seen then. */
export interface Effect {
  effect: 'matted' | 'air' | 'tinted';
  hex: `#${string}`;
  /** What shows through, or what it was tinted with; null where it is air. */
  by: { id: string; name: string } | null;
}

const FURS: readonly FunctionId[] = ['body.dubbed', 'head.dubbed'];
/** What keeps air between its fibres or in its cells until it is soaked. */
const AIRY: readonly FunctionId[] = ['hackle.cdc-loop', 'hackle.stiff', 'body.foam', 'wing.tuft'];

/** How much of what lies beneath soft fur still covers once water has drawn it together, 0–1. Fur that drinks nothing or stands stays as it was. Source: formulas §9. */
export const matCover = ({ absorbency, stiffness }: Pick<Material, 'absorbency' | 'stiffness'>): number =>
  MATTED.dry - (MATTED.dry - MATTED.wet) * absorbency * (1 - stiffness);

/** What becomes of a part of a card in the water beyond what its film does, and of one that is tinted. Each effect stands for itself: none is reckoned into the part's own colour. */
export function effectsOf(
  card: Pick<Card, 'parts' | 'layers' | 'threads'>,
  partId: string,
  dressing: Pick<Dressing, 'parts'>,
  materials: (id: string) => Material | null,
  /** Differences below this (CIEDE2000) are not told. */
  from = 2,
): Effect[] {
  const part = card.parts.find(({ id }) => id === partId);
  const own = part?.material ? materials(part.material.id) : null;
  if (!part?.material || !part.colour || !own) return [];
  const layer = card.layers.find((item) => item.part === partId);
  const dry = layer?.dry.hex ?? part.colour.hex;
  const wet = layer?.wet.hex ?? part.colour.wet?.hex ?? dry;
  const does = part.material.function;
  const found: Effect[] = [];
  const tint = materials(dressing.parts.find(({ id }) => id === partId)?.tint ?? '');
  if (tint) {
    const under = { hex: part.colour.hex, transmittance: 0, absorbency: own.absorbency };
    found.push({ effect: 'tinted', hex: stackColour([under, tint]).dry, by: tint });
  }
  const beneath = materials(layer?.from_under[0]?.material ?? card.threads[0]?.material ?? '');
  if (FURS.includes(does) && beneath && beneath.id !== own.id)
    found.push({
      effect: 'matted',
      hex: openedTo(wet, wetHex(beneath.hex, beneath.absorbency), matCover(own)),
      by: beneath,
    });
  if (AIRY.includes(does) && own.floats) found.push({ effect: 'air', hex: airHeld(wet, AIR_SHARE), by: null });
  const before = { matted: wet, air: wet, tinted: dry };
  return found.filter(({ effect, hex }) => deltaE(labOfHex(hex), labOfHex(before[effect])) >= from);
}
