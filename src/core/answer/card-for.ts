import type { Dressing } from '../dressings';
import type { Hook } from '../hooks';
import { buildCard, type Card } from '../tying';
import { answer, schoolsFor } from './answer';
import type { Catalogue, Choices, Sample } from './answer-shape';
import { scoreHook, styleUse } from '../hook-score';

export interface CardRequest {
  dressing: Dressing;
  hook: Hook;
  sample: Sample | null;
  choices: Choices;
  catalogue: Catalogue;
  count: number | null;
}

/** A card from a dressing and a hook, for a natural when there is one. Both are taken as pinned. */
export function cardFor({ dressing, hook, sample, choices, catalogue, count }: CardRequest): Card {
  const style = catalogue.styles.find((item) => item.id === dressing.style)!;
  const use = styleUse(style, dressing, schoolsFor(choices, dressing.id));
  const answered = sample
    ? answer(sample, { ...choices, hookPin: hook.id, dressingPin: dressing.id }, catalogue)
    : null;
  const stage = catalogue.stages.find((row) => row.id === sample?.stage);
  return buildCard({
    dressing,
    hook: answered?.hooks[0] ?? scoreHook(hook, use, { targetMm: null, bodyWidthMm: null }, 0, true)!,
    use,
    catalogue,
    natural:
      answered && sample && stage
        ? {
            stage: sample.stage,
            measuredMm: answered.measured_mm,
            bodyWidthMm: sample.widthMm ?? stage.girth * answered.natural.length.meanMm,
            colours: answered.natural.colours,
            tails: choices.tails,
          }
        : null,
    choices: { ...choices, schools: schoolsFor(choices, dressing.id) },
    count,
  });
}
