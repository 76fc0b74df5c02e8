import { headlineParts, type Speech } from '@/speech';
import { partNamed } from '@/speech/card';
import { Z95 } from '@/core/constants';
import type { MatchRecord, SampleRecord } from '@/records';
import type { Answered } from '@/state/answering';
import type { Answer } from '@/core/answer';
import type { Card } from '@/core/tying';

type Words = (key: string, params?: Record<string, unknown>) => string;

/** A hook as a tier names it: maker, model, size. */
export function hookName(hook: { maker_name: string; model_name: string; size: string }): string {
  return `${hook.maker_name} ${hook.model_name} ${hook.size}`;
}

/** How far a hook is off, in numbers, signed: + is long. */
export function offDigits(steps: number, speech: Pick<Speech, 'number'>): string {
  return `${steps >= 0 ? '+' : '−'}${speech.number(Math.abs(steps), 1)}`;
}

/** Each step's answer in one line, or the input it waits for. */
export interface StepLines {
  natural: { head: string; detail: string };
  hook: { head: string; detail: string };
  dressing: { head: string; detail: string };
  bench: { head: string; detail: string };
}

/** The length in a line: its mean and how it was had. */
export function lengthDetail(answer: Answer, speech: Speech, words: Words): string {
  const { length, lengthSource, case_mm, overall_mm } = answer.natural;
  const mean = `${speech.length(length.meanMm)} ± ${speech.spread(Z95 * length.seMm)}`;
  return speech.list([
    lengthSource === 'estimated' ? words('natural.about', { mean }) : mean,
    lengthSource === 'estimated'
      ? words(
          case_mm !== null
            ? 'natural.from-case'
            : overall_mm !== null
              ? 'natural.from-overall'
              : 'natural.not-measured',
        )
      : length.n === 1
        ? words('natural.one')
        : words('natural.many', { count: length.n }),
  ]);
}

/** How many steps, how long they take, and what is too much for the hook. */
function benchDetail(card: Card, speech: Speech, words: Words): string {
  const { steps, minutes, over } = card;
  return speech.beside([
    words('bench.steps', { count: steps.length }),
    minutes && words('dressing.minutes', { minutes }),
    over && words('bench.over', { part: partNamed(card, over.part, speech), mm: speech.length(over.mm) }),
  ]);
}

export function stepLines(answered: Answered, stage: string | null, speech: Speech, words: Words): StepLines {
  const name = stage ? speech.name('stages', stage) : words('matches.untitled');
  if (answered.status === 'waiting') {
    const waits = words(answered.missing === 'stage' ? 'step.waits-stage' : 'step.waits-length');
    const give = words(answered.missing === 'stage' ? 'step.give-stage' : 'step.give-length');
    return {
      natural: { head: stage ? name : give, detail: waits },
      hook: { head: waits, detail: '' },
      dressing: { head: waits, detail: '' },
      bench: { head: waits, detail: '' },
    };
  }
  const { answer } = answered;
  const first = answer.hooks[0];
  const steps = first?.length_steps ?? 0;
  const about = first?.estimated.includes('shank_mm') ? `${speech.t('about')} ` : '';
  const off =
    Math.abs(steps) < 0.05
      ? words('hook.exact')
      : words(steps > 0 ? 'hook.long' : 'hook.short', { steps: speech.number(Math.abs(steps), 1) });
  return {
    natural: { head: name, detail: lengthDetail(answer, speech, words) },
    hook: first
      ? {
          head: hookName(first),
          detail: speech.beside([
            words('hook.reads-size', { size: `${about}${speech.number(first.reads, 1)}` }),
            off,
            first.pinned && words('hook.pinned'),
          ]),
        }
      : { head: words('hook.no-hooks'), detail: '' },
    dressing: answer.dressing
      ? {
          head: answer.dressing.name,
          detail: speech.clauses(answer.dressing.why.slice(0, 2).map((why) => speech.say(why))),
        }
      : { head: words('dressing.none'), detail: '' },
    bench: answer.card
      ? {
          head: speech.beside(
            headlineParts(answer.card).map(
              (part) => `${speech.name('parts', part.part)} ${about}${speech.length(part.mm)}`,
            ),
          ),
          detail: benchDetail(answer.card, speech, words),
        }
      : { head: words('dressing.none'), detail: '' },
  };
}

/** What a match is called: its own name, else its stage. */
export function matchTitle(match: MatchRecord, speech: Speech, words: Words): string {
  const leading = match.answers.find((answer) => answer.id === match.leading) ?? match.answers[0]!;
  return match.title || (leading.stage ? speech.name('stages', leading.stage) : words('matches.untitled'));
}

export function placeLine(sample: SampleRecord, date: string, speech: Speech): string {
  return speech.beside([sample.place, date]);
}
