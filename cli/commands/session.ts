import { planSession, readCard, type SessionMode, type SessionPlan } from '../../src/core/session';
import { batchOf, type Card } from '../../src/core/tying';
import type { Speech } from '../../src/speech';
import { inputFault } from '../args';
import type { Command } from '../command';
import type { Reader } from '../read';
import { linesOut } from '../shapes';
import { roundAll } from '../../src/core/units';
import { columns, fold } from '../text';

const MODES = [
  { id: 'fly', name: 'Fly' },
  { id: 'step', name: 'Step' },
];
const MOST = 1000;

/** Cards with their counts, as the flags pair them; null with the faults noted. */
function cardsFrom(read: Reader): { card: Card; count: number }[] | null {
  const [paths, counts] = [read.many('card'), read.many('count')];
  read.needed('card');
  if (paths.length !== counts.length)
    read.fault(
      inputFault('count', 'counts-apart', counts.join(' '), {
        params: { cards: paths.length, counts: counts.length },
      }),
    );
  const parts = paths.flatMap((path, at) => {
    const text = read.file('card', path);
    if (text === null) return [];
    const result = readCard(text);
    if (!result.ok) {
      read.fault(inputFault('card', result.fault.code, path, { params: result.fault.params }));
      return [];
    }
    const count = Number(counts[at]);
    if (counts[at] !== undefined && !(Number.isInteger(count) && count >= 1 && count <= MOST))
      read.fault(inputFault('count', 'number-range', counts[at], { params: { low: 1, high: MOST } }));
    return [{ card: result.card, count }];
  });
  if (parts.reduce((sum, { count }) => sum + count, 0) > MOST)
    read.fault(inputFault('count', 'session-large', counts.join(' '), { params: { most: MOST } }));
  return read.faults.length > 0 ? null : parts;
}

const whole = (minutes: number) => Math.round(minutes);

function text(
  plan: SessionPlan,
  other: { mode: SessionMode; plan: SessionPlan },
  prepare: string[],
  lines: ReturnType<typeof linesOut>,
  speech: Speech,
): string {
  const { mean, low, high } = plan.minutes;
  return [
    speech.t('cli.session', { count: plan.flies, minutes: whole(mean), low: whole(low), high: whole(high) }),
    speech.t('cli.session-ends', { last: whole(mean), one: whole(plan.one_by_one_minutes) }),
    speech.t('cli.session-other', { mode: other.mode, minutes: whole(other.plan.minutes.mean) }),
    '',
    ...prepare.map((line) => fold(line, 2)),
    '',
    columns(lines.map(({ material, total }) => [material, total])),
    '',
    ...plan.order.map(({ at_min, fly, step }) => speech.t('cli.session-step', { min: at_min.toFixed(1), fly, step })),
  ].join('\n');
}

export const sessionCommand: Command = {
  name: 'session',
  summary: 'an evening at the vise: what to lay out, in which order, and when each fly is done',
  flags: [
    { name: 'card', takes: 'many', value: 'FILE', help: 'a card as card --json writes it' },
    { name: 'count', takes: 'many', value: 'N', help: 'flies of the card before it' },
    { name: 'mode', takes: 'one', value: 'fly|step', help: 'fly by fly, or each step on all flies' },
  ],
  words: [],
  example: 'aubade session --card dun.json --count 6 --card nymph.json --count 4',
  shape: '{ flies, minutes, ends[], prepare[], lines[], order[], one_by_one_minutes }',
  run(read, speech) {
    const mode = read.flagId<SessionMode>('mode', MODES) ?? 'fly';
    const parts = cardsFrom(read);
    if (parts === null) return null;
    const plan = planSession(parts, mode);
    const batches = parts.map(({ card, count }) => batchOf(card, count));
    const prepare = [...new Set(batches.flatMap((batch) => batch.prepare.map((why) => speech.say(why))))];
    const lines = linesOut(
      batches.map((batch) => batch.lines),
      speech,
    );
    const other: SessionMode = mode === 'fly' ? 'step' : 'fly';
    const { flies, minutes, ends, order, one_by_one_minutes } = plan;
    return {
      json: roundAll({ flies, minutes, ends, prepare, lines, order, one_by_one_minutes }),
      text: () => text(plan, { mode: other, plan: planSession(parts, other) }, prepare, lines, speech),
      exit: 0,
    };
  },
};
