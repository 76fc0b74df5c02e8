import type { Card } from '@/core/card/card-shape';
import { flyKey, freshFly, withoutStep, withStep, type RunningFly, type SpoilId } from '@/core/session/running';
import { soakedBefore } from '@/core/session/soak';
import { command, enter, found } from '../command';
import { boxIn, putTied, type Into } from '../fly/commands';
import { tiedKind } from '../fly/queries';
import type { Entities } from '../kinds';
import { inspectKey, isUntouched, madeOf } from './queries';
import { batchSchema, type BatchMeasure, type BatchRecord } from './schema';

/** What a session is made of: a card and how many flies of it. */
export interface BatchIn {
  card: Card;
  matchId: string | null;
  count: number;
}

interface Fly {
  batchId: string;
  item: string;
  n: number;
}

/** A session that was ended is a thing of the past: nothing is tied in it any more. */
const open = (draft: Entities, batchId: string): BatchRecord => {
  const batch = found(draft.batch, batchId);
  return found(batch.ended === null ? { [batchId]: batch } : {}, batchId);
};

/** Cards as a session holds them, numbered on from the last. */
const itemsOf = (draft: Entities, items: readonly BatchIn[], last = 0) =>
  items.map(({ card, matchId, count }, at) => ({
    card,
    matchId,
    count,
    id: `i${last + at + 1}`,
    made: madeOf(draft.batch, card.dressing.id),
  }));

/** A session of some cards. Its id. */
export const newBatch = command<
  { items: readonly BatchIn[] } & Partial<Pick<BatchRecord, 'mode' | 'by' | 'forName' | 'forWater' | 'title'>>,
  string
>('new-batch', (draft, { items, ...fields }, { now, newId }) => {
  const id = newId('batch');
  draft.batch[id] = batchSchema.cast({
    ...fields,
    opened: now,
    items: itemsOf(draft, items),
  });
  return id;
});

/** A session of one fly, for who ties a match's card straight away. Its id. It is no change of its own to take back: what is done in it is. */
export const newSingle = command<Omit<BatchIn, 'count'>, string>(
  'batch-single',
  (draft, one, { now, newId }) => {
    const id = newId('batch');
    draft.batch[id] = batchSchema.cast({ opened: now, items: itemsOf(draft, [{ ...one, count: 1 }]) });
    return id;
  },
  { here: true },
);

/** A session of one fly that nothing was done for is gone, as if it had not been opened. */
export const dropUntouched = command<{ batchId: string }>(
  'batch-untouched',
  (draft, { batchId }) => {
    const batch = draft.batch[batchId];
    if (batch && isUntouched(batch)) delete draft.batch[batchId];
  },
  { here: true },
);

export const setBatch = command<
  { batchId: string } & Partial<Pick<BatchRecord, 'title' | 'mode' | 'by' | 'forName' | 'forWater' | 'said'>>
>('batch', (draft, { batchId, ...fields }) => void Object.assign(found(draft.batch, batchId), fields), {
  field: ({ batchId, ...fields }) => `${batchId}/${Object.keys(fields).join()}`,
});

/** More cards for a session. */
export const addToBatch = command<{ batchId: string; items: readonly BatchIn[] }>(
  'batch-added',
  (draft, { batchId, items }) => {
    const batch = open(draft, batchId);
    const last = Math.max(0, ...batch.items.map(({ id }) => Number(id.slice(1))));
    batch.items.push(...itemsOf(draft, items, last));
  },
);

/** A card that nobody began with leaves a session. */
export const dropFromBatch = command<{ batchId: string; item: string }>('batch-dropped', (draft, { batchId, item }) => {
  const batch = open(draft, batchId);
  if (Object.values(batch.flies).some((fly) => fly.item === item)) return;
  batch.items = batch.items.filter(({ id }) => id !== item);
});

/** How many flies of a card are wanted; those that are made or begun are not taken back by it. */
export const countItem = command<{ batchId: string; item: string; count: number }>(
  'batch-count',
  (draft, { batchId, item, count }) => {
    const own = open(draft, batchId).items.find(({ id }) => id === item);
    if (own) own.count = count;
  },
  { field: ({ batchId, item }) => `${batchId}/${item}` },
);

export const tickLine = command<{ batchId: string; line: string; on: boolean }>(
  'batch-laid',
  (draft, { batchId, line, on }) => {
    const { ticks } = found(draft.batch, batchId);
    if (on) ticks[line] = true;
    else delete ticks[line];
  },
);

const flyOf = (batch: BatchRecord, { item, n }: Pick<Fly, 'item' | 'n'>): RunningFly =>
  batch.flies[flyKey(item, n)] ?? freshFly(item, n);

/** A fly goes into the vise, and its time runs; by choice it is gone on with, whatever the order says. */
export const takeUp = command<Fly & { chosen: boolean }>(
  'batch-vise',
  (draft, { batchId, item, n, chosen }, { at }) => {
    open(draft, batchId).at = { item, n, since: at, beforeS: 0, chosen };
  },
  { here: true },
);

/** Hands off, or on again: the time of a step stands still meanwhile. */
export const layDown = command<{ batchId: string; down: boolean }>(
  'batch-pause',
  (draft, { batchId, down }, { at }) => {
    // Told on leaving too, when it may be gone.
    const own = draft.batch[batchId]?.ended === null ? draft.batch[batchId].at : null;
    if (!own || (own.since === null) === down) return;
    if (down) own.beforeS += Math.max(0, at - own.since!) / 1000;
    own.since = down ? null : at;
  },
  { here: true },
);

/** What the step that ends now took: from when the hands were free, and the fly dry. */
function tookS(at: BatchRecord['at'], { wetUntil }: RunningFly, now: number): number {
  if (!at) return 0;
  const since = at.since === null ? now : Math.max(at.since, Math.min(now, wetUntil ?? 0));
  return at.beforeS + Math.max(0, now - since) / 1000;
}

/** The step of a fly is done: what it took is noted, and what needs a wait lies from now on. */
export const stepDone = command<Fly & { step: number }>(
  'batch-step',
  (draft, { batchId, item, n, step }, { at: now }) => {
    const batch = open(draft, batchId);
    const card = batch.items.find(({ id }) => id === item)?.card;
    const fly = flyOf(batch, { item, n });
    // A tap that came twice, or another tab that was quicker: the step is done already.
    if (!card || card.steps[fly.done]?.n !== step) return;
    batch.flies[flyKey(item, n)] = withStep(fly, soakedBefore(card), { now, tookS: tookS(batch.at, fly, now) });
    const chosen = batch.at?.item === item && batch.at.n === n && batch.at.chosen;
    batch.at = { item, n, since: now, beforeS: 0, chosen };
  },
);

/** The last step of a fly is to be done again. */
export const stepBack = command<Fly>('batch-back', (draft, { batchId, item, n }, { at: now }) => {
  const batch = open(draft, batchId);
  const known = batch.flies[flyKey(item, n)];
  if (!known) return;
  batch.flies[flyKey(item, n)] = withoutStep(known);
  batch.at = { item, n, since: now, beforeS: 0, chosen: false };
});

/** What was to lie is dry already. */
export const dryNow = command<Fly>('batch-dry', (draft, { batchId, item, n }) => {
  const fly = open(draft, batchId).flies[flyKey(item, n)];
  if (fly) fly.wetUntil = null;
});

/** A fly is given up, at the step that was being done. */
export const spoilFly = command<Fly & { why: SpoilId }>('batch-spoiled', (draft, { batchId, item, n, why }) => {
  const batch = open(draft, batchId);
  const card = batch.items.find(({ id }) => id === item)?.card;
  const fly = flyOf(batch, { item, n });
  const at = card?.steps[Math.min(fly.done, card.steps.length - 1)]?.n ?? null;
  batch.flies[flyKey(item, n)] = { ...fly, state: 'spoiled', why, spoiledAt: at, wetUntil: null };
  if (batch.at?.item === item && batch.at.n === n) batch.at = null;
});

/** A timer of one's own runs from now on. */
export const setTimer = command<{ batchId: string; name: string; seconds: number }>(
  'batch-timer',
  (draft, { batchId, name, seconds }, { at: now, newId }) => {
    found(draft.batch, batchId).timers[newId('timer')] = { name, ends: now + 1000 * seconds };
  },
);

export const stopTimer = command<{ batchId: string; id: string }>('batch-timer-off', (draft, { batchId, id }) => {
  delete found(draft.batch, batchId).timers[id];
});

/** Lengths of a finished fly, in one step; null takes one back. */
export const noteLengths = command<
  Fly & {
    how: BatchMeasure['how'];
    lengths: readonly (Pick<BatchMeasure, 'part' | 'kind' | 'targetMm'> & { mm: number | null })[];
  }
>(
  'batch-measured',
  (draft, { batchId, item, n, how, lengths }) => {
    const { measured } = found(draft.batch, batchId);
    for (const { mm, ...length } of lengths) {
      const key = inspectKey(item, n, length.part);
      if (mm === null) delete measured[key];
      else measured[key] = { ...length, item, n, how, mm };
    }
  },
  {
    field: ({ batchId, item, n, lengths }) =>
      `${batchId}/${inspectKey(item, n, lengths.map(({ part }) => part).join())}`,
  },
);

/** What was looked at is as it should be, or not; null takes it back. */
export const noteLook = command<Fly & { step: number; good: boolean | null }>(
  'batch-looked',
  (draft, { batchId, item, n, step, good }) => {
    const { looked } = found(draft.batch, batchId);
    const key = inspectKey(item, n, step);
    if (good === null) delete looked[key];
    else looked[key] = good;
  },
);

/** What leaves the stash with a session. */
export interface StashTaken {
  stashId: string;
  count: number;
}

/** Ends a session in one step: flies into boxes, hooks out of their packets, those of spoiled flies that are no more with them, and counted materials out of the stash. */
export const endBatch = command<{
  batchId: string;
  /** Where the flies of each card go; null for into no box. */
  into: Readonly<Record<string, Into | null>>;
  /** Hooks that went with spoiled flies, by card. */
  hooksLost: Readonly<Record<string, number>>;
  takes: readonly StashTaken[];
}>('end-batch', (draft, { batchId, into, hooksLost, takes }, around) => {
  const batch = open(draft, batchId);
  const made = Object.values(batch.flies).filter(({ state }) => state === 'made');
  // One new box for all that go into a new one of that name.
  const boxes = new Map<string, string>();
  const boxOf = (place: Into | null) => {
    if (place === null || typeof place === 'string') return place;
    const known = boxes.get(place.newBox) ?? boxIn(draft, place, around);
    boxes.set(place.newBox, known);
    return known;
  };
  for (const { id, card } of batch.items) {
    const count = made.filter(({ item }) => item === id).length;
    const hooks = count + (hooksLost[id] ?? 0);
    putTied(
      draft,
      { kind: tiedKind(card.dressing, card.hook), into: count > 0 ? boxOf(into[id] ?? null) : null, count, hooks },
      around,
    );
  }
  for (const { stashId, count } of takes)
    if (count !== 0 && draft.stash[stashId])
      enter(
        draft,
        {
          kind: 'stash',
          owner: stashId,
          id: around.newId('move'),
          event: { at: around.now, count: -count, why: 'tied' },
        },
        around,
      );
  batch.ended = around.now;
  batch.at = null;
  batch.timers = {};
});

export const deleteBatch = command<{ batchId: string }>(
  'delete-batch',
  (draft, { batchId }) => void delete draft.batch[batchId],
);
