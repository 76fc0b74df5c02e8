import type { SessionCard } from './session';

type Steps = Pick<SessionCard, 'steps'>;

/** Steps that only wait until what was laid in water is supple: done once for all flies, while the rest is laid out. */
export const soakSteps = <C extends Steps>({ steps }: C): C['steps'][number][] =>
  steps.filter(({ do: verb, wait_s: wait }) => verb === 'check' && wait !== null);

/** A card of a session whose soaking was done with the lay-out: no fly waits for its own. */
export function soakedBefore<C extends Steps>(card: C): C {
  const soaks = soakSteps(card);
  return soaks.length === 0
    ? card
    : { ...card, steps: card.steps.map((step) => (soaks.includes(step) ? { ...step, wait_s: null } : step)) };
}
