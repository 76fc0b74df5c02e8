import { reason, type Reason } from '../code';
import type { Dressing } from '../dressings';
import type { StageRow, Style } from '../hooks';
import type { Material } from '../materials';
import type { Card } from '../card/card-shape';
import type { RuleId } from './bench-shape';
import { laws } from './laws';

/** What another material may run into on a hook: pieces that are too short, a part that has no room for so thick a turn. What a thread takes at the head the card says by itself. */
const WHY: Readonly<Partial<Record<RuleId, string>>> = { E9: 'swap-too-short', P6: 'swap-too-thick' };

/** Whether a reason of a card says that what stands in does not tie on its hook. */
export const isSwapFault = ({ code }: Reason): boolean => Object.values(WHY).includes(code);

interface SwapInput {
  dressing: Dressing;
  card: Card;
  style: Style;
  stages: readonly Pick<StageRow, 'id' | 'traits'>[];
  materials: readonly Material[];
}

/** Why a card cannot be tied in a material that took the place of another; empty where it can. `used` are those materials. */
export function swapFaults(
  { dressing, card, style, stages, materials }: SwapInput,
  used: ReadonlySet<string>,
): Reason[] {
  const swapped = (id: string | null) =>
    materials.find(
      (own) => own.id === dressing.parts.find((part) => part.id === id && used.has(part.material ?? ''))?.material,
    );
  const broken = laws({ dressing, card, style, materials, naturalMm: card.hook.shank_mm, stages, tails: [] });
  return broken.flatMap(({ rule, part, params }) => {
    const [code, own] = [WHY[rule], swapped(part)];
    return code && own ? [reason(code, { ...params, to: own.name })] : [];
  });
}
