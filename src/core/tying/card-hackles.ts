import { GAUGE_BARB_PER_GAPE, NUMBERS_PER_PACKET } from '../constants';
import { readsGape, sizeLabelOf } from '../hooks';
import type { HookAnswer } from '../hook-score';
import type { Card } from '../card/card-shape';
import type { LaidPart } from './lay-out';

const HACKLES: ReadonlySet<string> = new Set(['hackle', 'second-hackle', 'stacked-hackle']);
const HACKLE_PITCH_MM = 0.5;
const HACKLE_GRIP_MM = 25;

/** The packet number whose gape is right for a barb. Source: formulas §8. */
function gaugeOf(barbMm: number): string {
  return sizeLabelOf(Math.round(readsGape(barbMm / GAUGE_BARB_PER_GAPE) / NUMBERS_PER_PACKET) * NUMBERS_PER_PACKET);
}

/** A hackle as it is bought and wound: its barb, its gauge, its turns and the stem it takes, mm. Source: formulas §8. */
export function hackleOf(
  item: LaidPart,
  hook: HookAnswer,
  trim: Card['hackles'][number]['trim'] | undefined,
): Card['hackles'] {
  const { part } = item;
  if (!HACKLES.has(part.part) || item.mm === null || part.count === null || part.material === null) return [];
  // Only stiff feathers go by a gauge; soft ones by their barb in millimetres.
  const gauge = part.function === 'hackle.stiff' ? gaugeOf(item.mm) : null;
  const turns = item.turns ?? part.count;
  const stem =
    turns * Math.hypot(Math.PI * Math.max(item.thickMm ?? 0, 2 * hook.wire_mm), HACKLE_PITCH_MM) + HACKLE_GRIP_MM;
  return [
    {
      part: part.id,
      material: part.material,
      barb_mm: item.mm,
      gauge,
      turns,
      trim: trim ?? part.trim ?? 'full',
      stem_mm: stem,
    },
  ];
}
