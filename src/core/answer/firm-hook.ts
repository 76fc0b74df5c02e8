import { SUIT } from '../constants';
import { answer } from './answer';
import type { Answer } from './answer-shape';

/**
 * The hook to show a dressing on where no match asks for it: the best one whose shank, gape and wire are known, if it is as good as
 * the first within the band; what only a label tells is drawn and cut to by guess. Its id, or null where none is.
 */
export function firmHook({ hooks, ladder: { columns } }: Pick<Answer, 'hooks' | 'ladder'>): string | null {
  const best = hooks[0]?.steps ?? 0;
  const firm = hooks.find(({ id, steps }) => {
    const { estimated } = columns.hooks[columns.at.get(id)!]!;
    return (
      (steps ?? Infinity) <= best + SUIT.bandSteps &&
      !(['shank_mm', 'gape_mm', 'wire_mm'] as const).some((of) => estimated.includes(of))
    );
  });
  return firm?.id ?? null;
}

/** An answer on the hook that is surest, where no match asks for one. */
export function answerFirm(
  sample: Parameters<typeof answer>[0],
  choices: Parameters<typeof answer>[1],
  catalogue: Parameters<typeof answer>[2],
): Answer {
  const first = answer(sample, choices, catalogue);
  const hookPin = firmHook(first);
  return hookPin === null || hookPin === first.hooks[0]?.id
    ? first
    : answer(sample, { ...choices, hookPin }, catalogue);
}
