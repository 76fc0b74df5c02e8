import { sampleSchema, specimen, type Entities } from '@/records';
import { change } from '../__tests__/change';
import { memoryPorts, memoryStore, queue, tabs, type MemoryStore } from '../__tests__/ports';
import { createStore, openStore, undone } from '../store';
import { readEnvelope } from './envelope';

const WHEN = '2033-05-24T04:50';

async function open(more: Parameters<typeof memoryPorts>[0] = {}, start = 'clean') {
  const ports = memoryPorts(more);
  const store = createStore(ports);
  const persistence = await openStore(store, { start, clock: null });
  const session = () => store.getState().session;
  const entities = () => store.getState().records.entities;
  const type = (place: string) => store.dispatch(change('title', (draft) => void (draft.sample.s1!.place = place)));
  const make = (id = 's1') =>
    store.dispatch(
      change('new-match', (draft: Entities) => void (draft.sample[id] = sampleSchema.cast({ when: WHEN }))),
    );
  return { ports, store, persistence, session, entities, type, make, storage: ports.storage as MemoryStore };
}
const placeStored = (storage: MemoryStore) =>
  (readEnvelope(storage.texts['sample/s1']!)!.data as { place: string }).place;

/** A store that refuses writes with an error while it is told to. */
function refusing(name: string) {
  const storage = memoryStore();
  const write = storage.setMany;
  const state = { refuses: false, tries: 0 };
  storage.setMany = async (entries) => {
    state.tries++;
    if (state.refuses) throw Object.assign(new Error('no'), { name });
    return write(entries);
  };
  return { storage, state };
}

describe('a write that fails', () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());
  const pass = (ms: number) => jest.advanceTimersByTimeAsync(ms);

  /** A tab with a sample that is kept, in a store that refuses from here on; `weir` is typed and so much time goes by. */
  async function refused(ms: number, name = 'QuotaExceededError') {
    const { storage, state } = refusing(name);
    const tab = await open({ storage });
    tab.make();
    tab.type('ford');
    await pass(200);
    state.refuses = true;
    const before = state.tries;
    tab.type('weir');
    await pass(ms);
    return { ...tab, state, tries: () => state.tries - before };
  }

  test('is named with its record and its reason, and what was typed stays on the screen', async () => {
    const tab = await refused(200);
    expect(tab.session()).toMatchObject({ saved: false, unkept: { keys: ['sample/s1'], why: 'full' } });
    expect([tab.entities().sample.s1!.place, placeStored(tab.storage)]).toEqual(['weir', 'ford']);
  });
  test('is tried again by itself, later each time, until there is room', async () => {
    const tab = await refused(150 + 1000 + 2000 + 4000 + 10);
    expect(tab.tries()).toBe(4);
    tab.state.refuses = false;
    await pass(8000);
    expect(placeStored(tab.storage)).toBe('weir');
    expect(tab.session()).toMatchObject({ saved: true, unkept: null });
  });
  test('is never further apart than a minute', async () => {
    const tab = await refused(5 * 60_000);
    const before = tab.tries();
    await pass(3 * 60_000);
    expect(tab.tries() - before).toBe(3);
  });
  test('goes with the next change, which is kept with it', async () => {
    const tab = await refused(200);
    tab.state.refuses = false;
    tab.store.dispatch(change('water', (draft) => void (draft.sample.s1!.water = 'fast')));
    await pass(160);
    expect(readEnvelope(tab.storage.texts['sample/s1']!)!.data).toMatchObject({ place: 'weir', water: 'fast' });
    expect(tab.session().saved).toBe(true);
  });
  test('goes when the page is seen again', async () => {
    const tab = await refused(200, 'AbortError');
    expect(tab.session().unkept!.why).toBe('refused');
    tab.state.refuses = false;
    await tab.persistence.look();
    expect([placeStored(tab.storage), tab.session().unkept]).toEqual(['weir', null]);
  });
  test('undone meanwhile it is the undone value that is kept', async () => {
    const tab = await refused(200);
    tab.store.dispatch(undone());
    tab.state.refuses = false;
    await pass(2000);
    expect([placeStored(tab.storage), tab.entities().sample.s1!.place]).toEqual(['ford', 'ford']);
  });
});

test('a first start without room shows the valley, and says that it is not kept', async () => {
  const { storage, state } = refusing('QuotaExceededError');
  state.refuses = true;
  const tab = await open({ storage }, 'demo');
  expect(tab.session()).toMatchObject({ ready: true, saved: false, inMemory: false, unkept: { why: 'full' } });
  expect(Object.keys(tab.entities().match)).toHaveLength(8);
  tab.persistence.close();
});

test('without any store the app runs in memory and says so; pictures too', async () => {
  const storage = memoryStore();
  storage.getAllKeys = async () => {
    throw Object.assign(new Error('denied'), { name: 'SecurityError' });
  };
  const tab = await open({ storage });
  expect(tab.session()).toMatchObject({ ready: true, inMemory: true });
  tab.make();
  await tab.persistence.flush();
  expect(tab.session().saved).toBe(true);
  await tab.ports.storage.setMany({ 'blob/p': 'data:' });
  expect((await tab.ports.storage.getMany(['blob/p', 'sample/s1']))['blob/p']).toBe('data:');
});

describe('storage that was emptied under the open page', () => {
  const ALL = ['device/this', 'sample/s1', 'settings/main'];
  async function emptied() {
    const tab = await open();
    tab.make();
    await tab.persistence.flush();
    for (const key of Object.keys(tab.storage.texts)) delete tab.storage.texts[key];
    return {
      ...tab,
      keys: () =>
        Object.keys(tab.storage.texts)
          .filter((key) => !key.startsWith('undo/'))
          .sort(),
    };
  }
  test('is filled again when the page is seen', async () => {
    const tab = await emptied();
    await tab.persistence.look();
    await tab.persistence.flush();
    expect([tab.keys(), tab.session().saved]).toEqual([ALL, true]);
  });
  test('is filled again by the next change, the other records too', async () => {
    const tab = await emptied();
    tab.type('weir');
    await tab.persistence.flush();
    await tab.persistence.flush();
    expect([tab.keys(), placeStored(tab.storage)]).toEqual([ALL, 'weir']);
  });
  test('is filled again by a record that is new, where the store says that it stood empty', async () => {
    const tab = await emptied();
    tab.storage.wasEmptied = () => true;
    tab.make('s2');
    await tab.persistence.flush();
    await tab.persistence.flush();
    expect(tab.keys()).toEqual([...ALL.slice(0, 2), 'sample/s2', ...ALL.slice(2)]);
  });
  test('what is written while it is looked is not taken for lost', async () => {
    const tab = await open();
    let answer = () => undefined as void;
    const { getAllKeys } = tab.storage;
    tab.storage.getAllKeys = async () => {
      const keys = await getAllKeys();
      return new Promise((done) => {
        answer = () => done(keys);
      });
    };
    const looked = tab.persistence.look();
    await Promise.resolve();
    tab.make();
    await tab.persistence.flush();
    const writes = tab.storage.writes.length;
    answer();
    await looked;
    await tab.persistence.flush();
    expect(tab.storage.writes).toHaveLength(writes);
  });
  test('what was deleted by the tier does not come back', async () => {
    const tab = await open();
    tab.make();
    await tab.persistence.flush();
    tab.store.dispatch(change('delete-match', (draft) => void delete draft.sample.s1));
    await tab.persistence.flush();
    await tab.persistence.look();
    expect(readEnvelope(tab.storage.texts['sample/s1']!)).toMatchObject({ gone: true });
  });
});

test('what a newer version stored is not written over; the tab says why it cannot keep', async () => {
  const tab = await open();
  tab.make();
  await tab.persistence.flush();
  const newer = JSON.stringify({ v: 99, id: 's1', rev: 7, at: 1, data: { place: 'by the newer one', more: 1 } });
  tab.storage.texts['sample/s1'] = newer;
  tab.type('weir');
  await tab.persistence.flush();
  expect(tab.storage.texts['sample/s1']).toBe(newer);
  expect(tab.session().unkept).toEqual({ keys: ['sample/s1'], why: 'newer' });
  tab.persistence.close();
});

test('a tab of before this version tells patches: the records they are of are read', async () => {
  const storage = memoryStore();
  const channel = tabs();
  const old = channel();
  old.listen(() => undefined);
  const tab = await open({ storage, channel: channel() });
  tab.make();
  await tab.persistence.flush();
  const envelope = readEnvelope(storage.texts['sample/s1']!)!;
  storage.texts['sample/s1'] = JSON.stringify({
    ...envelope,
    rev: envelope.rev + 1,
    data: { ...(envelope.data as object), place: 'by the older tab' },
  });
  old.post([{ op: 'replace', path: ['sample', 's1', 'place'], value: 'by the older tab' }]);
  await new Promise((done) => setTimeout(done, 5));
  expect(tab.entities().sample.s1!.place).toBe('by the older tab');
  tab.persistence.close();
});

describe('a tab of before that keeps no clocks', () => {
  async function beside() {
    const storage = memoryStore();
    const channel = tabs();
    const old = channel();
    old.listen(() => undefined);
    const tab = await open({ storage, channel: channel() });
    tab.make();
    tab.type('weir');
    await tab.persistence.flush();
    /** What that tab stores: the record as it stands, changed, at a time. */
    const writes = (at: number, change: object) => {
      const { clocks: _, ...envelope } = readEnvelope(storage.texts['sample/s1']!)!;
      storage.texts['sample/s1'] = JSON.stringify({
        ...envelope,
        rev: envelope.rev + 1,
        at,
        data: { ...(envelope.data as object), ...change },
      });
    };
    const tells = async () => {
      old.post([{ op: 'replace', path: ['sample', 's1', 'place'], value: '' }]);
      await new Promise((done) => setTimeout(done, 5));
    };
    return { ...tab, writes, tells };
  }
  test('may empty a field, and it is empty here', async () => {
    const tab = await beside();
    tab.writes(tab.ports.now() + 9, { place: '' });
    await tab.tells();
    expect(tab.entities().sample.s1!.place).toBe('');
    tab.persistence.close();
  });
  test('does not write over what was typed here and it could not know of, though it stored later', async () => {
    const tab = await beside();
    tab.type('ford');
    tab.writes(tab.ports.now() + 1000, { water: 'fast' });
    await tab.persistence.flush();
    expect(tab.entities().sample.s1).toMatchObject({ place: 'ford', water: 'fast' });
    expect(placeStored(tab.storage)).toBe('ford');
    tab.persistence.close();
  });
});

/** Random numbers that are the same every time: a linear congruential generator. */
function numbers(seed: number): (below: number) => number {
  let state = seed;
  return (below) => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
    return Math.floor((state / 2 ** 32) * below);
  };
}

describe('two tabs', () => {
  /** Storage whose reads and writes take their time, so that what the tabs do is shuffled; messages come late too. */
  async function pair(next: (below: number) => number) {
    const storage = memoryStore();
    const slow = () => new Promise<void>((done) => setTimeout(done, next(40)));
    const { getMany, setMany } = storage;
    storage.getMany = async (keys) => {
      await slow();
      return getMany(keys);
    };
    storage.setMany = async (entries) => {
      await slow();
      return setMany(entries);
    };
    const [locks, channel] = [queue(), tabs()];
    const late = () => {
      const own = channel();
      return { ...own, post: (message: unknown) => void setTimeout(() => own.post(message), next(60)) };
    };
    const [first, second] = [
      memoryPorts({ storage, locks, channel: late() }),
      memoryPorts({ storage, locks, channel: late() }),
    ];
    const made = [createStore(first), createStore(second)];
    const opening = openStore(made[0]!, { start: 'clean', clock: null });
    await jest.advanceTimersByTimeAsync(300);
    const keepers = [await opening];
    made[0]!.dispatch(
      change(
        'new-match',
        (draft) =>
          void (draft.sample.s1 = sampleSchema.cast({ when: WHEN, specimens: [specimen('a', 8), specimen('b', 9)] })),
      ),
    );
    await jest.advanceTimersByTimeAsync(600);
    const later = openStore(made[1]!, { start: 'clean', clock: null });
    await jest.advanceTimersByTimeAsync(300);
    keepers.push(await later);
    return { storage, made, close: () => keepers.forEach((persistence) => persistence.close()) };
  }
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());

  const worlds = [20_330_524, 20_330_525, 20_330_526, 20_330_527];
  test.each(worlds)(
    'of 50 rounds of edits of the same fields both screens and storage end alike, and say kept: world %d',
    async (world) => {
      const next = numbers(world);
      const { storage, made, close } = await pair(next);
      for (let round = 0; round < 50; round++) {
        for (let edit = 0, edits = 1 + next(4); edit < edits; edit++) {
          const tab = made[next(2)]!;
          const what = next(5);
          tab.dispatch(
            change('edit', ({ sample }) => {
              const own = sample.s1!;
              if (what === 0) own.place = `place ${next(1000)}`;
              else if (what === 1) own.colours['abdomen-belly'] = `#${String(next(900_000) + 100_000)}`;
              else if (what === 2) own.water = next(2) === 0 ? 'fast' : 'still';
              else own.specimens[what - 3]!.body.mm = 5 + next(80) / 10;
            }),
          );
          if (next(6) === 0) tab.dispatch(undone());
          await jest.advanceTimersByTimeAsync(next(220));
        }
        await jest.advanceTimersByTimeAsync(2000);
        const stored = readEnvelope(storage.texts['sample/s1']!)!.data;
        const shown = made.map((tab) => tab.getState().records.entities.sample.s1);
        expect([round, shown[0]]).toEqual([round, shown[1]]);
        expect([round, stored]).toEqual([round, shown[0]]);
        expect(made.map((tab) => tab.getState().session.saved)).toEqual([true, true]);
      }
      close();
    },
  );
});
