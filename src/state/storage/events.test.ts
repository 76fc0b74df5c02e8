import {
  enterFly,
  flySchema,
  KINDS,
  leftInPacket,
  heldOf,
  putPackets,
  shiftFly,
  tapeHook,
  untapeHook,
  type EventOp,
  type FlyRecord,
} from '@/records';
import { memoryPorts, memoryStore, queue, tabs, type MemoryStore } from '../__tests__/ports';
import { change } from '../__tests__/change';
import { noWait as locks } from '../__tests__/writes';
import { act } from '../act';
import { createStore, openStore, redone, undone } from '../store';
import { commit } from './commit';
import { readEnvelope } from './envelope';
import { readEvents } from './events';
import { load } from './load';

const WHEN = '2033-05-24T04:50';
const MODEL = 'bessock:fine-wet';
let made = 0;

async function open(storage: MemoryStore, more: Parameters<typeof memoryPorts>[0] = {}) {
  const store = createStore(memoryPorts({ storage, ...more }));
  const persistence = await openStore(store, { start: 'clean', clock: WHEN });
  return { store, persistence, entities: () => store.getState().records.entities };
}
async function withFly(storage = memoryStore(), more: Parameters<typeof memoryPorts>[0] = {}) {
  const tab = await open(storage, more);
  tab.store.dispatch(change('put-in', (draft) => void (draft.fly.f = flySchema.cast({ name: 'bought' }))));
  const move = (count: number, slot = 'a1') =>
    tab.store.dispatch(act(enterFly, { flyId: 'f', boxId: 'b', slot, count, why: count > 0 ? 'got' : 'lost' }));
  move(5);
  await tab.persistence.flush();
  return { ...tab, storage, move, left: () => heldOf(tab.entities().fly.f!) };
}
const eventsOf = (storage: MemoryStore, owner = 'f') =>
  readEvents(storage, [{ kind: 'fly', owner }]).then((found) => Object.values(found.get(`fly/${owner}`)!));

/** A fly as version 2 stored it, its moves inside. */
const oldFly = (moves: number, name = 'old') =>
  JSON.stringify({
    v: 2,
    id: name,
    rev: 3,
    at: 50,
    data: {
      demo: false,
      name,
      dressingId: null,
      dressingRev: null,
      hookId: null,
      choices: {},
      stage: null,
      lengthMm: null,
      shade: null,
      ride: null,
      moves: Object.fromEntries(
        Array.from({ length: moves }, (_, n) => [
          `move_${n}`,
          { at: `20${23 + (n % 10)}-05-24T04:50`, boxId: 'b', slot: 'a1', count: 1, why: 'tied' },
        ]),
      ),
    },
  });

describe('events lie apart from their owner', () => {
  test('the record is not written again for a move, and an opening reads the sum and not the moves', async () => {
    const { storage, move, persistence, left } = await withFly();
    const before = storage.texts['fly/f'];
    move(-1);
    await persistence.flush();
    expect(storage.texts['fly/f']).toBe(before);
    expect(before).not.toMatch(/tally|moves/);
    expect(left()).toEqual([{ boxId: 'b', slot: 'a1', left: 4 }]);
    const read: string[] = [];
    const { getMany } = storage;
    storage.getMany = async (keys) => (read.push(...keys), getMany(keys));
    expect(heldOf((await load(storage, locks, 5)).entities.fly.f!)).toEqual(left());
    expect(read.filter((key) => key.startsWith('events/'))).toEqual([]);
    expect((await eventsOf(storage)).map((event) => (event as { count: number }).count).sort()).toEqual([-1, 5]);
  });
  test('a year of one owner is one key, so that a move writes no more than its year', async () => {
    const { storage } = await withFly();
    await commit(
      storage,
      locks,
      {
        records: [],
        sums: [],
        events: ['2031-04-01T05:00', '2032-04-01T05:00', '2032-06-01T05:00'].map((at, n): EventOp => ({
          kind: 'fly',
          owner: 'f',
          id: `e${n}`,
          on: true,
          event: { at, boxId: 'b', slot: null, count: 1, why: 'tied' },
        })),
      },
      9,
    );
    expect(
      Object.keys(storage.texts)
        .filter((key) => key.startsWith('events/'))
        .sort(),
    ).toEqual(['events/fly/f/2031', 'events/fly/f/2032', 'events/fly/f/2033']);
  });
  test('a move entered twice counts once', async () => {
    const { storage } = await withFly();
    const events: EventOp[] = [
      {
        kind: 'fly',
        owner: 'f',
        id: 'same',
        on: true,
        event: { at: WHEN, boxId: 'b', slot: 'a1', count: 2, why: 'tied' },
      },
    ];
    await commit(storage, locks, { records: [], sums: [], events }, 9);
    const { sums } = await commit(storage, locks, { records: [], sums: [], events }, 10);
    expect(sums[0]!.tally).toMatchObject({ places: [{ count: 7 }] });
  });
  test('undo takes a move out, of the ledger too, and again puts it in; what another tab entered stays', async () => {
    const { storage, move, persistence, left, store } = await withFly();
    move(-1);
    await persistence.flush();
    await commit(
      storage,
      locks,
      {
        records: [],
        sums: [],
        events: [
          {
            kind: 'fly',
            owner: 'f',
            id: 'other',
            on: true,
            event: { at: WHEN, boxId: 'b', slot: 'a1', count: 10, why: 'tied' },
          },
        ],
      },
      9,
    );
    store.dispatch(undone());
    expect(left()[0]!.left).toBe(5);
    await persistence.flush();
    expect(left()[0]!.left).toBe(15);
    expect((await eventsOf(storage)).map((event) => (event as { count: number }).count).sort()).toEqual([10, 5]);
    store.dispatch(redone());
    await persistence.flush();
    expect(left()[0]!.left).toBe(14);
  });
  test('of a move that is taken out again before it was written nothing is left', async () => {
    const { storage, move, persistence, left, store } = await withFly();
    move(-2);
    store.dispatch(undone());
    await persistence.flush();
    expect([left()[0]!.left, (await eventsOf(storage)).length]).toEqual([5, 1]);
  });
  test('a packet that is put in with its first entry comes again by redo with that entry once', async () => {
    const { store, persistence, entities } = await open(memoryStore());
    store.dispatch(
      act(putPackets, {
        packets: [
          {
            modelId: 'osmere:lark',
            made: null,
            sizes: [
              { size: '14', count: 25 },
              { size: '16', count: 10 },
            ],
          },
        ],
      }),
    );
    store.dispatch(undone());
    store.dispatch(redone());
    expect(Object.values(entities().packet).map(leftInPacket).sort()).toEqual([10, 25]);
    await persistence.flush();
    expect(Object.values(entities().packet).map(leftInPacket).sort()).toEqual([10, 25]);
  });
  test('a fly that is deleted and brought back has its sum', async () => {
    const { store, persistence, left, move } = await withFly();
    store.dispatch(change('take-out', (draft) => void delete draft.fly.f));
    await persistence.flush();
    store.dispatch(undone());
    expect(left()[0]!.left).toBe(5);
    move(1);
    await persistence.flush();
    expect(left()[0]!.left).toBe(6);
  });
  test('moved from one compartment to another nothing is lost between', async () => {
    const { store, persistence, left, storage } = await withFly();
    store.dispatch(act(shiftFly, { flyId: 'f', boxId: 'b', from: 'a1', to: 'c2', count: 2 }));
    await persistence.flush();
    expect(left()).toEqual([
      { boxId: 'b', slot: 'a1', left: 3 },
      { boxId: 'b', slot: 'c2', left: 2 },
    ]);
    expect((await load(storage, locks, 5)).entities.fly.f!.tally).toMatchObject({
      places: [
        { slot: 'a1', count: 3 },
        { slot: 'c2', count: 2 },
      ],
    });
  });
  test('a hook taped and taken back is out of the ledger', async () => {
    const storage = memoryStore();
    const store = createStore(memoryPorts({ storage }));
    const persistence = await openStore(store, { start: 'demo', clock: WHEN });
    store.dispatch(
      act(tapeHook, {
        modelId: MODEL,
        taping: { size: '12', how: 'calliper', shankMm: 9.4, gapeMm: null, overallMm: null, wireMm: null },
      }),
    );
    await persistence.flush();
    const { tally } = store.getState().records.entities.model[MODEL]!;
    const [id] = Object.keys(tally);
    expect(tally[id!]).toMatchObject({ size: '12', shankMm: 9.4, at: WHEN });
    store.dispatch(act(untapeHook, { modelId: MODEL, tapingId: id! }));
    await persistence.flush();
    expect((await load(storage, locks, 5)).entities.model[MODEL]!.tally).toEqual({});
  });
  test('a fly that a change puts in anew as a whole keeps what others counted meanwhile, when that change is taken back', async () => {
    const { store, move, left, persistence } = await withFly();
    store.dispatch(change('name', (draft) => void (draft.fly.f = { ...draft.fly.f!, name: 'renamed' })));
    await persistence.flush();
    await commit(
      store.ports.storage,
      locks,
      {
        records: [],
        sums: [],
        events: [
          {
            kind: 'fly',
            owner: 'f',
            id: 'other',
            on: true,
            event: { at: WHEN, boxId: 'b', slot: 'a1', count: 10, why: 'tied' },
          },
        ],
      },
      9,
    );
    move(1);
    await persistence.flush();
    expect(left()[0]!.left).toBe(16);
    store.dispatch(undone());
    store.dispatch(undone());
    expect(left()[0]!.left).toBe(15);
  });
});

describe('sums', () => {
  test('are worked out anew where they are not there', async () => {
    const { storage, left } = await withFly();
    delete storage.texts['sum/fly/f'];
    expect(heldOf((await load(storage, locks, 5)).entities.fly.f!)).toEqual(left());
    expect(storage.texts['sum/fly/f']).toBeDefined();
  });
  test('outlive their events when the store was emptied under the page, and go on from there', async () => {
    const { storage, persistence, move, left, store } = await withFly();
    for (const key of Object.keys(storage.texts)) delete storage.texts[key];
    await persistence.look();
    await persistence.flush();
    expect(heldOf((await load(storage, locks, 5)).entities.fly.f!)).toEqual([{ boxId: 'b', slot: 'a1', left: 5 }]);
    move(-1);
    move(-1);
    await persistence.flush();
    store.dispatch(undone());
    await persistence.flush();
    expect(left()[0]!.left).toBe(4);
  });
  test('hold what two tabs entered at once, on both screens and in storage', async () => {
    const [storage, locked, channel] = [memoryStore(), queue(), tabs()];
    const first = await withFly(storage, { locks: locked, channel: channel() });
    const second = await open(storage, {
      locks: locked,
      channel: channel(),
      newId: (kind) => `${kind}_second-${++made}`,
    });
    first.move(-1);
    second.store.dispatch(act(enterFly, { flyId: 'f', boxId: 'b', slot: 'a1', count: -1, why: 'lost' }));
    await Promise.all([first.persistence.flush(), second.persistence.flush()]);
    await new Promise((done) => setTimeout(done, 5));
    for (const tab of [first, second]) expect(heldOf(tab.entities().fly.f!)[0]!.left).toBe(3);
    expect(heldOf((await load(storage, locks, 5)).entities.fly.f!)[0]!.left).toBe(3);
  });
  test('go with their owner when its tombstone is swept', async () => {
    const { storage, store, persistence } = await withFly();
    store.dispatch(change('take-out', (draft) => void delete draft.fly.f));
    await persistence.flush();
    await load(storage, locks, 40 * 24 * 3600 * 1000);
    expect(Object.keys(storage.texts).filter((key) => /fly/.test(key))).toEqual([]);
  });
});

describe('stores of before', () => {
  test('2,000 matches and 5,000 moves, tapings and guesses: nothing is lost, and a second opening changes nothing', async () => {
    const storage = memoryStore();
    const put = (key: string, v: number, data: object) =>
      void (storage.texts[key] = JSON.stringify({ v, id: key.split('/')[1], rev: 1, at: 50, data }));
    for (let n = 0; n < 2000; n++) {
      put(`sample/s${n}`, 4, {
        when: WHEN,
        place: `place ${n}`,
        surface: 'dry',
        method: 'typed',
        specimens: [],
        signs: {},
        skipped: [],
        leftOut: [],
        seen: [],
        photos: [],
        colours: {},
        unread: {},
        shades: {},
      });
      put(`match/m${n}`, 3, {
        title: '',
        opened: WHEN,
        sampleId: `s${n}`,
        answers: [
          { id: 'a1', stage: null, offset: { sizes: 0, intent: 'exact' }, schools: {}, without: [], added: [] },
        ],
        leading: 'a1',
      });
    }
    for (let n = 0; n < 100; n++) storage.texts[`fly/f${n}`] = oldFly(50, `f${n}`);
    put('packet/p', 1, {
      hookId: 'osmere:lark:14',
      label: '',
      note: 'tin',
      low: 5,
      moves: { m1: { at: WHEN, count: 25, why: 'got' }, m2: { at: WHEN, count: -3, why: 'tied' } },
    });
    put('model/m:x', 2, {
      makerId: 'm',
      slug: 'x',
      name: 'X',
      bend: 'round',
      eye: 'down',
      point: 'straight',
      barb: 'none',
      sizes: { 12: {} },
      tapings: {
        t1: { at: WHEN, size: '12', how: 'glass', shankMm: 9.4, gapeMm: null, overallMm: null, wireMm: null },
      },
    });
    for (let n = 0; n < 5; n++) put(`guess/g${n}`, 1, { guessMm: 8 + n, trueMm: 8, taken: `2033-05-2${n}T04:50` });
    const first = await load(storage, locks, 60);
    expect([Object.keys(first.entities.match).length, Object.keys(first.entities.sample).length, first.aside]).toEqual([
      2000,
      2000,
      [],
    ]);
    expect(Object.values(first.entities.fly).map((fly) => heldOf(fly)[0]!.left)).toEqual(Array(100).fill(50));
    expect(leftInPacket(first.entities.packet.p!)).toBe(22);
    expect(first.entities.model['m:x']!.tally).toMatchObject({ t1: { shankMm: 9.4 } });
    expect(first.entities.eye.mine!.tally.latest.map(({ event }) => event.guessMm)).toEqual([12, 11, 10, 9, 8]);
    expect(
      await readEvents(
        storage,
        Array.from({ length: 100 }, (_, n) => ({ kind: 'fly' as const, owner: `f${n}` })),
      ).then((found) => [...found.values()].reduce((sum, own) => sum + Object.keys(own).length, 0)),
    ).toBe(5000);
    expect(Object.keys(storage.texts).filter((key) => key.startsWith('guess/'))).toEqual([]);
    const after = { ...storage.texts };
    const second = await load(storage, locks, 70);
    expect(second.entities).toEqual(first.entities);
    expect(storage.texts).toEqual(after);
  });
  test('an older tab cannot write over what was taken apart: it is told that a newer version did', async () => {
    const storage = memoryStore({ 'fly/old': oldFly(3) });
    await load(storage, locks, 60);
    expect(readEnvelope(storage.texts['fly/old']!)!.v).toBe(KINDS.fly.version);
    expect(KINDS.fly.version).toBeGreaterThan(2);
  });
  test('a fly that an older tab writes meanwhile is shown with its moves, and they are entered', async () => {
    const [storage, channel] = [memoryStore(), tabs()];
    const old = channel();
    old.listen(() => undefined);
    const tab = await open(storage, { channel: channel() });
    storage.texts['fly/late'] = oldFly(4, 'late');
    old.post([{ op: 'add', path: ['fly', 'late'], value: {} }]);
    await new Promise((done) => setTimeout(done, 5));
    await tab.persistence.flush();
    expect(heldOf(tab.entities().fly.late!)).toEqual([{ boxId: 'b', slot: 'a1', left: 4 }]);
    expect(Object.keys(storage.texts).filter((key) => key.startsWith('events/fly/late/'))).not.toEqual([]);
  });
  test('moves that were inside a fly of a newer edit here are not lost when it is written', async () => {
    const storage = memoryStore();
    const tab = await withFly(storage);
    storage.texts['fly/f'] = oldFly(2, 'f');
    tab.store.dispatch(change('name', (draft) => void (draft.fly.f!.name = 'mine')));
    await tab.persistence.flush();
    expect([(tab.entities().fly.f as FlyRecord).name, tab.left()[0]!.left]).toEqual(['mine', 7]);
  });
});
