import type { CautionId } from '@/catalogue/ids';
import type { Card, CardStep } from '../card/card-shape';
import type { Dressing } from '../dressings';
import type { HookAnswer } from '../hook-score';

/** Every caution of a card once, at the step that first asks for it; what holds for the whole fly at none. */
export function cautionsOf(dressing: Dressing, steps: readonly CardStep[], hook: HookAnswer): Card['cautions'] {
  const seen: { id: CautionId; step: number | null }[] = steps.flatMap((step) =>
    step.caution ? [{ id: step.caution, step: step.n }] : [],
  );
  if (!seen.some((item) => item.id === 'hook-point') && hook.barb !== 'none')
    seen.unshift({ id: 'hook-point', step: null });
  for (const id of dressing.cautions) if (!seen.some((item) => item.id === id)) seen.push({ id, step: null });
  return seen;
}
