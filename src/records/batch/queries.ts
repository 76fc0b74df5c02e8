import { PACE } from '@/core/constants';
import type { PartId } from '@/catalogue/ids';
import { countedSeconds, flyKey, isTimed, type RunningFly } from '@/core/session/running';
import type { FlyMinutes, Measured } from '@/core/session/hands';
import { handsOn } from '@/core/session/session';
import type { Entities } from '../kinds';
import type { BatchItem, BatchRecord } from './schema';

type Batches = Entities['batch'];

/** Sessions by day, the latest first. */
export function batchesLatest(batches: Batches): [id: string, batch: BatchRecord][] {
  return Object.entries(batches).sort(
    ([a, one], [b, other]) => other.opened.localeCompare(one.opened) || b.localeCompare(a),
  );
}

/** The session that is open and was begun last; null where none is. */
export function openBatch(batches: Batches): string | null {
  return batchesLatest(batches).find(([, { ended }]) => ended === null)?.[0] ?? null;
}

/** The open session of this match's card alone, as it is now; null where none is. One of several dressings goes its own order. */
export function sessionOf(batches: Batches, matchId: string, card: BatchItem['card']): string | null {
  const found = batchesLatest(batches).find(
    ([
      ,
      {
        ended,
        items: [own, ...more],
      },
    ]) => {
      if (ended !== null || !own || more.length > 0 || own.matchId !== matchId) return false;
      const { dressing, hook, steps } = own.card;
      return (
        dressing.id === card.dressing.id &&
        dressing.rev === card.dressing.rev &&
        hook.id === card.hook.id &&
        steps.length === card.steps.length
      );
    },
  );
  return found?.[0] ?? null;
}

/** Whether a session is of one fly that nothing was done for: no step, no tick, no timer, no word. */
export function isUntouched(batch: BatchRecord): boolean {
  const { items, flies, ticks, timers, measured, looked, title, forName, forWater, said, by, ended } = batch;
  return (
    items.length === 1 &&
    items[0]!.count === 1 &&
    ended === null &&
    by === null &&
    [flies, ticks, timers, measured, looked].every((held) => Object.keys(held).length === 0) &&
    [title, forName, forWater, said].every((text) => text === '')
  );
}

const flown = (batch: BatchRecord): RunningFly[] => Object.values(batch.flies);

/** Flies of a dressing that came off the vise in sessions. */
export function madeOf(batches: Batches, dressingId: string): number {
  return Object.values(batches).reduce((sum, batch) => {
    const own = new Set(batch.items.flatMap(({ id, card }) => (card.dressing.id === dressingId ? [id] : [])));
    return sum + flown(batch).filter(({ item, state }) => state === 'made' && own.has(item)).length;
  }, 0);
}

/** What was tied and what was spoiled, of one dressing or of all. */
export function spoiledOf(batches: Batches, dressingId: string | null = null): { tied: number; spoiled: number } {
  const sum = { tied: 0, spoiled: 0 };
  for (const batch of Object.values(batches))
    for (const { item: id, state } of flown(batch)) {
      const item = batch.items.find((own) => own.id === id);
      if (!item || (dressingId !== null && item.card.dressing.id !== dressingId) || state === 'begun') continue;
      sum.tied++;
      if (state === 'spoiled') sum.spoiled++;
    }
  return sum;
}

/** Seconds of hands on a fly, and which share of its usual time was timed: a step that was left alone for long, or tapped on, counts as usual. */
export function secondsOn({ card, made }: BatchItem, { n, spent }: RunningFly): { seconds: number; timed: number } {
  const usual = handsOn(card, made + n - 1);
  let [seconds, timed, all] = [0, 0, 0];
  card.steps.forEach((step, at) => {
    all += usual[at]!;
    const took = spent[step.n];
    if (took === undefined) return;
    seconds += countedSeconds(took, usual[at]!);
    if (isTimed(took, usual[at]!)) timed += usual[at]!;
  });
  return { seconds, timed: all === 0 ? 0 : timed / all };
}

/** Minutes of every fly of a dressing that was made and timed, in the order they were tied. */
export function minutesOf(batches: Batches, dressingId: string): FlyMinutes[] {
  const done: FlyMinutes[] = [];
  for (const [, batch] of batchesLatest(batches).reverse())
    for (const item of batch.items)
      if (item.card.dressing.id === dressingId)
        for (const fly of flown(batch)
          .filter((own) => own.item === item.id && own.state === 'made')
          .sort((a, b) => a.n - b.n)) {
          const { seconds, timed } = secondsOn(item, fly);
          if (timed >= PACE.timedShare) done.push({ nth: item.made + fly.n - 1, minutes: seconds / 60 });
        }
  return done;
}

/** Every part that was measured in sessions, by what share it was off; what was told by eye alone is no measure. */
export function measuredIn(batches: Batches): Measured[] {
  return batchesLatest(batches)
    .reverse()
    .flatMap(([, batch]) =>
      Object.values(batch.measured).flatMap(({ kind, mm, targetMm, n, how }) =>
        how === 'eye' ? [] : [{ kind, nth: n, off: mm / targetMm - 1 }],
      ),
    );
}

/** Where flies were spoiled and why: kind of part and act of the step, most often first. */
export function spoiledAt(
  batches: Batches,
): { kind: PartId | null; verb: string; why: RunningFly['why']; count: number }[] {
  const counts = new Map<string, { kind: PartId | null; verb: string; why: RunningFly['why']; count: number }>();
  for (const batch of Object.values(batches))
    for (const { item: id, state, spoiledAt: n, why } of flown(batch)) {
      const step = batch.items.find((own) => own.id === id)?.card.steps.find((own) => own.n === n);
      if (state !== 'spoiled' || !step) continue;
      const key = `${step.kind} ${step.do} ${why}`;
      const known = counts.get(key) ?? { kind: step.kind, verb: step.do, why, count: 0 };
      known.count++;
      counts.set(key, known);
    }
  return [...counts.values()].sort((a, b) => b.count - a.count);
}

/** Key of a length or a look at one fly. */
export const inspectKey = (item: string, n: number, what: string | number) => `${flyKey(item, n)}-${what}`;
