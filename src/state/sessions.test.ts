import { flyKey, restOf } from '@/core/session';
import {
  addToBatch,
  countItem,
  countStash,
  deleteBatch,
  dropFromBatch,
  dryNow,
  endBatch,
  heldOf,
  layDown,
  leftInPacket,
  leftOf,
  madeOf,
  measuredIn,
  minutesOf,
  newBatch,
  noteLengths,
  noteLook,
  openBatch,
  setBatch,
  setTimer,
  spoiledAt,
  spoiledOf,
  spoilFly,
  stashKey,
  stepBack,
  stepDone,
  stopTimer,
  takeUp,
  tickLine,
  tickStash,
  type Command,
} from '@/records';
import { act } from './act';
import { memoryPorts } from './__tests__/ports';
import { createStore, openStore, redone, undone, type Store } from './store';
import { cardForSession, runningOf, selectBiases, selectOwnMinutes } from './answering';

const DUN = 'first-light-dun';
const OPEN = 'batch_demo-tonight';

let now = 0;
async function opened(start: 'demo' | 'clean' = 'demo'): Promise<Store> {
  const ports = memoryPorts();
  now = ports.now();
  const store = createStore({ ...ports, now: () => now });
  await openStore(store, { start, clock: null });
  return store;
}
const does = <I, R>(store: Store, command: Command<I, R>, input: I) => store.dispatch(act(command, input));
const batchOf = (store: Store, id: string) => store.getState().records.entities.batch[id]!;

async function begun(count = 2) {
  const store = await opened();
  const card = cardForSession(store.getState(), DUN)!;
  const id = does(store, newBatch, { items: [{ card, matchId: null, count }] })!;
  const next = (n: number, took = 30) => {
    const done = batchOf(store, id).flies[flyKey('i1', n)]?.done ?? 0;
    now += 1000 * took;
    does(store, stepDone, { batchId: id, item: 'i1', n, step: card.steps[done]!.n });
  };
  const whole = (n: number) => card.steps.forEach(() => next(n));
  return { store, id, card, next, whole };
}

test('a session holds its cards as they were: a dressing that is edited or gone changes nothing of it', async () => {
  const { store, id, card } = await begun();
  expect(batchOf(store, id).items[0]).toMatchObject({ id: 'i1', count: 2, card });
  // What was tied of it in sessions before makes the hand quicker.
  expect(batchOf(store, id).items[0]!.made).toBe(madeOf(store.getState().records.entities.batch, DUN));
  // Of those that are open the latest, never one that was ended.
  const { batch } = store.getState().records.entities;
  expect(openBatch(batch)).toBe(id);
  expect(openBatch({ ...batch, [OPEN]: { ...batch[OPEN]!, opened: '2040-01-01T10:00' } })).toBe(OPEN);
  expect(
    openBatch({ [id]: batch[id]!, x: { ...batch[id]!, opened: '2040-01-01T10:00', ended: '2040-01-01T11:00' } }),
  ).toBe(id);
});

test('a card of a session is tied on a hook of the drawer, or on the one that is asked for', async () => {
  const store = await opened();
  const owned = new Set(Object.values(store.getState().records.entities.packet).map(({ hookId }) => hookId));
  const usual = cardForSession(store.getState(), DUN)!;
  expect(owned.has(usual.hook.id)).toBe(true);
  // The drawer comes before a hook that would suit better and is not there.
  for (const dressing of [
    'auldry-flat-spinner',
    'auldry-low-emerger',
    'washed-dun',
    'first-light-post-dun',
    'half-out-dun',
  ])
    expect([dressing, owned.has(cardForSession(store.getState(), dressing)!.hook.id)]).toEqual([dressing, true]);
  const other = [...owned].find((hook) => hook !== usual.hook.id)!;
  expect(cardForSession(store.getState(), DUN, other)!.hook.id).toBe(other);
  const clean = await opened('clean');
  expect(cardForSession(clean.getState(), DUN)).not.toBeNull();
  expect(cardForSession(clean.getState(), 'none')).toBeNull();
});

test('each step notes the time since the last, pauses left out, and a tap that comes twice does nothing', async () => {
  const { store, id, card, next } = await begun();
  const fly = () => batchOf(store, id).flies['i1-1']!;
  does(store, takeUp, { batchId: id, item: 'i1', n: 1, chosen: false });
  next(1, 40);
  expect(fly()).toMatchObject({ done: 1, spent: { 1: 40 } });
  does(store, stepDone, { batchId: id, item: 'i1', n: 1, step: 1 });
  expect(fly().done).toBe(1);
  now += 5000;
  does(store, layDown, { batchId: id, down: true });
  now += 3_600_000;
  does(store, layDown, { batchId: id, down: false });
  next(1, 20);
  expect(fly().spent[2]).toBe(25);
  does(store, stepBack, { batchId: id, item: 'i1', n: 1 });
  expect(fly()).toMatchObject({ done: 1, state: 'begun' });
  expect(card.steps.length).toBeGreaterThan(2);
});

test('what is waited for is no work: the time of a step begins when the fly is dry', async () => {
  const { store, id, card, next } = await begun(1);
  const coat = card.steps.findIndex(({ wait_s: wait }) => wait);
  for (let at = 0; at <= coat; at++) next(1);
  const wait = card.steps[coat]!.wait_s!;
  expect(batchOf(store, id).flies['i1-1']!.wetUntil).toBe(now + 1000 * wait);
  next(1, wait + 12);
  expect(batchOf(store, id).flies['i1-1']).toMatchObject({ state: 'made', spent: { [card.steps[coat + 1]!.n]: 12 } });
});

test('what was soaked with the lay-out holds up no fly: another is not kept waiting for it', async () => {
  const store = await opened();
  const card = cardForSession(store.getState(), 'auldry-low-emerger')!;
  expect(card.steps[0]).toMatchObject({ do: 'check', wait_s: 1200 });
  const id = does(store, newBatch, { items: [{ card, matchId: null, count: 2 }] })!;
  does(store, stepDone, { batchId: id, item: 'i1', n: 1, step: card.steps[0]!.n });
  expect(batchOf(store, id).flies['i1-1']!.wetUntil).toBeNull();
  const running = runningOf(batchOf(store, id), selectOwnMinutes(store.getState()));
  expect(restOf(running, now).next).toMatchObject({ n: 1, step: card.steps[1]!.n, waitS: 0 });
});

test('dry sooner, timers, ticks, counts, whom it is for: each is kept and taken back', async () => {
  const { store, id, card, next } = await begun(1);
  const coat = card.steps.findIndex(({ wait_s: wait }) => wait);
  for (let at = 0; at <= coat; at++) next(1);
  does(store, dryNow, { batchId: id, item: 'i1', n: 1 });
  expect(batchOf(store, id).flies['i1-1']!.wetUntil).toBeNull();
  does(store, setTimer, { batchId: id, name: 'soak', seconds: 60 });
  const [timer, { ends }] = Object.entries(batchOf(store, id).timers)[0]!;
  expect(ends).toBe(now + 60_000);
  does(store, stopTimer, { batchId: id, id: timer });
  expect(batchOf(store, id).timers).toEqual({});
  does(store, tickLine, { batchId: id, line: 'flex:x', on: true });
  does(store, countItem, { batchId: id, item: 'i1', count: 9 });
  does(store, setBatch, { batchId: id, forName: 'Hanne', by: '22:00', mode: 'step' });
  expect(batchOf(store, id)).toMatchObject({
    ticks: { 'flex:x': true },
    items: [{ count: 9 }],
    forName: 'Hanne',
    by: '22:00',
    mode: 'step',
  });
  store.dispatch(undone());
  expect(batchOf(store, id)).toMatchObject({ forName: '', by: null, mode: 'fly' });
  does(store, tickLine, { batchId: id, line: 'flex:x', on: false });
  expect(batchOf(store, id).ticks).toEqual({});
  // No time of day.
  does(store, setBatch, { batchId: id, by: '25:00' });
  expect(batchOf(store, id).by).toBeNull();
});

test('flies are added to a session and left out again, unless one was begun', async () => {
  const { store, id, card, next } = await begun();
  does(store, addToBatch, { batchId: id, items: [{ card, matchId: null, count: 3 }] });
  expect(batchOf(store, id).items.map(({ id: item, count }) => [item, count])).toEqual([
    ['i1', 2],
    ['i2', 3],
  ]);
  next(1);
  does(store, dropFromBatch, { batchId: id, item: 'i1' });
  does(store, dropFromBatch, { batchId: id, item: 'i2' });
  expect(batchOf(store, id).items.map(({ id: item }) => item)).toEqual(['i1']);
});

test('a spoiled fly says where and why, and counts against what was tied', async () => {
  const { store, id, card, next, whole } = await begun();
  next(1);
  does(store, spoilFly, { batchId: id, item: 'i1', n: 1, why: 'thread' });
  whole(2);
  const batches = { [id]: batchOf(store, id) };
  expect(batches[id]!.flies['i1-1']).toMatchObject({ state: 'spoiled', why: 'thread', spoiledAt: card.steps[1]!.n });
  expect(spoiledOf(batches)).toEqual({ tied: 2, spoiled: 1 });
  expect(spoiledOf(batches, 'other')).toEqual({ tied: 0, spoiled: 0 });
  expect(spoiledAt(batches)).toEqual([{ kind: 'wing', verb: 'bind', why: 'thread', count: 1 }]);
});

test('minutes are of flies that were timed: steps that were tapped on, or left alone, are not this tier’s', async () => {
  const { store, id, whole, card } = await begun(2);
  whole(1);
  for (const { n: step } of card.steps) {
    now += 100;
    does(store, stepDone, { batchId: id, item: 'i1', n: 2, step });
  }
  const minutes = minutesOf({ [id]: batchOf(store, id) }, DUN);
  expect(minutes).toHaveLength(1);
  expect(minutes[0]!.minutes).toBeGreaterThan(5);
});

test('lengths told by eye are looked at and never reckoned with; each can be taken back', async () => {
  const { store, id } = await begun();
  const of = { batchId: id, item: 'i1', n: 1 };
  const tail = { part: 'tail', kind: 'tail' as const, targetMm: 8 };
  const wing = { part: 'wing', kind: 'wing' as const, targetMm: 8 };
  // Several of a photograph are one step back.
  does(store, noteLengths, {
    ...of,
    how: 'photo',
    lengths: [
      { ...tail, mm: 8.2 },
      { ...wing, mm: 8.4 },
    ],
  });
  store.dispatch(undone());
  expect(batchOf(store, id).measured).toEqual({});
  does(store, noteLengths, { ...of, how: 'calliper', lengths: [{ ...tail, mm: 8.8 }] });
  does(store, noteLengths, { ...of, how: 'eye', lengths: [{ ...wing, mm: 9 }] });
  does(store, noteLook, { batchId: id, item: 'i1', n: 1, step: 4, good: false });
  const own = () => batchOf(store, id);
  expect(measuredIn({ [id]: own() })).toEqual([{ kind: 'tail', nth: 1, off: expect.closeTo(0.1, 9) }]);
  expect(own().looked).toEqual({ 'i1-1-4': false });
  does(store, noteLengths, { ...of, how: 'calliper', lengths: [{ ...tail, mm: null }] });
  does(store, noteLook, { batchId: id, item: 'i1', n: 1, step: 4, good: null });
  expect(Object.keys(own().measured)).toEqual(['i1-1-wing']);
  expect(own().looked).toEqual({});
});

describe('the end of a session', () => {
  async function atTheEnd() {
    const { store, id, card, whole, next } = await begun(2);
    whole(1);
    next(2);
    does(store, spoilFly, { batchId: id, item: 'i1', n: 2, why: 'hook' });
    whole(3);
    const stashId = stashKey({ materialId: 'cock-hackle-grey', shadeId: null });
    does(store, tickStash, { items: [{ materialId: 'cock-hackle-grey', shadeId: null }], on: true });
    does(store, countStash, { id: stashId, left: 10 });
    const read = () => {
      const { fly, packet, stash } = store.getState().records.entities;
      return {
        hooks: Object.values(packet)
          .filter(({ hookId }) => hookId === card.hook.id)
          .reduce((sum, own) => sum + leftInPacket(own), 0),
        flies: Object.values(fly)
          .filter(({ dressingId, hookId }) => dressingId === DUN && hookId === card.hook.id)
          .flatMap(heldOf)
          .reduce((sum, { left }) => sum + left, 0),
        feathers: leftOf(stash[stashId]!),
      };
    };
    const end = () =>
      does(store, endBatch, {
        batchId: id,
        into: { i1: 'box_demo-valley' },
        hooksLost: { i1: 1 },
        takes: [{ stashId, count: 3 }],
      });
    return { store, id, read, end, next };
  }

  test('moves flies, hooks and materials in one step; undone and ended again the ledgers are equal', async () => {
    const { store, id, read, end, next } = await atTheEnd();
    const before = read();
    end();
    const after = read();
    expect(after).toEqual({ hooks: before.hooks - 3, flies: before.flies + 2, feathers: 7 });
    expect(batchOf(store, id)).toMatchObject({ ended: expect.any(String), at: null });
    store.dispatch(undone());
    expect(read()).toEqual(before);
    expect(batchOf(store, id).ended).toBeNull();
    store.dispatch(redone());
    expect(read()).toEqual(after);
    store.dispatch(undone());
    end();
    expect(read()).toEqual(after);
    // What is ended is of the past.
    end();
    next(4);
    expect(read()).toEqual(after);
    expect(batchOf(store, id).flies['i1-4']).toBeUndefined();
  });

  test('into a new box made on the spot, once for all cards; into none, hooks alone', async () => {
    const { store, id, read } = await atTheEnd();
    const before = read();
    does(store, endBatch, { batchId: id, into: { i1: { newBox: 'Spring' } }, hooksLost: {}, takes: [] });
    const box = Object.entries(store.getState().records.entities.box).find(([, { name }]) => name === 'Spring');
    expect(box).toBeDefined();
    expect(read()).toMatchObject({ flies: before.flies + 2, hooks: before.hooks - 2 });
    store.dispatch(undone());
    does(store, endBatch, { batchId: id, into: { i1: null }, hooksLost: {}, takes: [] });
    expect(read()).toMatchObject({ flies: before.flies, hooks: before.hooks - 2 });
  });
});

test('the valley’s half-done session goes on where it stands, on this tier’s own minutes; to look on makes nothing the tier’s', async () => {
  const store = await opened();
  const batch = () => batchOf(store, OPEN);
  const own = selectOwnMinutes(store.getState());
  const running = runningOf(batch(), own);
  expect(running.items.map(({ id }) => id)).toEqual(['i1', 'i2']);
  expect(running.items[0]!.card.minutes).toBe(own(DUN)!.minutes);
  expect(running.at).toBe('i1-4');
  does(store, layDown, { batchId: OPEN, down: false });
  expect(batch().demo).toBe(true);
  expect(batch().at!.since).toBe(now);
  does(store, spoilFly, { batchId: OPEN, item: 'i1', n: 4, why: 'other' });
  expect(batch().demo).toBe(false);
  expect(selectBiases(store.getState())[0]).toMatchObject({ kind: 'tail', certain: true });
  does(store, deleteBatch, { batchId: OPEN });
  expect(batch()).toBeUndefined();
});
