import { enablePatches } from 'immer';
import { memoryPorts, memoryStore, queue, tabs, type MemoryStore } from './__tests__/ports';
import { hasDemo, leaveDemo, matchSchema, sampleSchema, type Entities } from '@/records';
import { act } from './act';
import { load } from './storage/load';
import { createStore, openStore, redone, undone } from './store';
import { change, remember } from './__tests__/change';

enablePatches();

async function open(start: 'clean' | 'demo' = 'clean', more: Parameters<typeof memoryPorts>[0] = {}) {
  const ports = memoryPorts(more);
  const store = createStore(ports);
  const persistence = await openStore(store, { start, clock: null });
  return { ports, store, persistence, storage: ports.storage as MemoryStore, records: () => store.getState().records };
}
const newSample = (id: string) => (draft: Entities) =>
  void (draft.sample[id] = sampleSchema.cast({ when: '2033-05-24T04:50' }));
const place = (id: string, text: string) => (draft: Entities) => void (draft.sample[id]!.place = text);

test('a system that is set to dark begins at dusk, on an empty store only: a light once chosen stays', async () => {
  const ports = memoryPorts();
  const light = async (dark: boolean) => {
    const store = createStore(ports);
    const persistence = await openStore(store, { start: 'demo', clock: null, dark });
    return { store, persistence, theme: () => store.getState().records.entities.device.this!.theme };
  };
  const first = await light(true);
  expect(first.theme()).toBe('dusk');
  first.store.dispatch(remember((draft) => void (draft.device.this!.theme = 'morning')));
  await first.persistence.flush();
  first.persistence.close();
  expect((await light(true)).theme()).toBe('morning');
});

describe('undo', () => {
  test('one change goes back and comes again; a new change ends what could come again', async () => {
    const { store, records } = await open();
    store.dispatch(change('new-match', newSample('s1')));
    store.dispatch(change('title', place('s1', 'weir')));
    store.dispatch(undone());
    expect(records().entities.sample.s1!.place).toBe('');
    store.dispatch(redone());
    expect(records().entities.sample.s1!.place).toBe('weir');
    store.dispatch(undone());
    store.dispatch(change('title', place('s1', 'ford')));
    expect(records().future).toEqual([]);
    store.dispatch(redone());
    expect(records().entities.sample.s1!.place).toBe('ford');
  });
  test('typing in one field joins while it goes on within a second, and ends with another field', async () => {
    const { store, records, ports } = await open();
    store.dispatch(change('new-match', newSample('s1')));
    for (const text of ['w', 'we', 'wei', 'weir']) {
      ports.clock.now += 400;
      store.dispatch(change('title', place('s1', text), 'place'));
    }
    expect(records().past.map((item) => item.label)).toEqual(['new-match', 'title']);
    ports.clock.now += 1500;
    store.dispatch(change('title', place('s1', 'weir pool'), 'place'));
    store.dispatch(change('water', (draft) => void (draft.sample.s1!.water = 'fast'), 'water'));
    expect(records().past).toHaveLength(4);
    store.dispatch(undone());
    store.dispatch(undone());
    expect(records().entities.sample.s1).toMatchObject({ place: 'weir', water: null });
    store.dispatch(undone());
    expect(records().entities.sample.s1!.place).toBe('');
  });
  test('it remembers a hundred changes and no more', async () => {
    const { store, records } = await open();
    store.dispatch(change('new-match', newSample('s1')));
    for (let i = 0; i < 120; i++) store.dispatch(change('title', place('s1', `${i}`)));
    expect(records().past).toHaveLength(100);
    for (let i = 0; i < 130; i++) store.dispatch(undone());
    expect(records().entities.sample.s1!.place).toBe('19');
  });
  test('a change that changes nothing is no step', async () => {
    const { store, records } = await open();
    store.dispatch(change('title', () => undefined));
    expect(records().past).toEqual([]);
  });
  test('what only this device remembers is no step', async () => {
    const { store, records } = await open();
    store.dispatch(remember((draft) => void (draft.device.this!.theme = 'dusk')));
    expect(records().past).toEqual([]);
    expect(records().entities.device.this!.theme).toBe('dusk');
  });
  test('deleting can be undone', async () => {
    const { store, records } = await open();
    store.dispatch(change('new-match', newSample('s1')));
    store.dispatch(change('delete-match', (draft) => void delete draft.sample.s1));
    expect(records().entities.sample.s1).toBeUndefined();
    store.dispatch(undone());
    expect(records().entities.sample.s1).toBeDefined();
  });
});

/** Whether a write is of records, and not of what can be taken back. */
const ofRecords = (keys: string[]) => keys.every((key) => !key.startsWith('undo/'));

describe('writing', () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());
  const pass = async (ports: { clock: { now: number } }, ms: number) => {
    ports.clock.now += ms;
    await jest.advanceTimersByTimeAsync(ms);
  };

  test('150 ms after the last change, in one write of all its records', async () => {
    const { store, storage, ports } = await open();
    const before = storage.writes.length;
    store.dispatch(
      change('new-match', (draft) => {
        newSample('s1')(draft);
        draft.match.m1 = matchSchema.cast({
          opened: '2033-05-24T04:50',
          sampleId: 's1',
          answers: [{ id: 'a1', stage: null }],
          leading: 'a1',
        });
      }),
    );
    expect(store.getState().session.saved).toBe(false);
    await pass(ports, 100);
    expect(storage.writes).toHaveLength(before);
    await pass(ports, 60);
    expect(
      storage.writes
        .slice(before)
        .filter(ofRecords)
        .map((keys) => keys.sort()),
    ).toEqual([['match/m1', 'sample/s1']]);
    expect(store.getState().session.saved).toBe(true);
  });
  test('a write that ends while a later one waits for it does not say that all is kept', async () => {
    const { store, storage, persistence } = await open();
    const slow: (() => void)[] = [];
    const write = storage.setMany;
    storage.setMany = (entries) =>
      ofRecords(Object.keys(entries)) ? new Promise((done) => slow.push(() => done(write(entries)))) : write(entries);
    store.dispatch(change('new-match', newSample('s1')));
    const first = persistence.flush();
    await Promise.resolve();
    store.dispatch(change('title', place('s1', 'long riffle')));
    const second = persistence.flush();
    await jest.advanceTimersByTimeAsync(1);
    slow.shift()!();
    await first;
    expect(store.getState().session.saved).toBe(false);
    await jest.advanceTimersByTimeAsync(1);
    slow.shift()!();
    await second;
    expect(store.getState().session.saved).toBe(true);
  });
  test('while typing goes on, at most 500 ms after the first change', async () => {
    const { store, storage, ports } = await open();
    store.dispatch(change('new-match', newSample('s1')));
    await pass(ports, 600);
    const before = storage.writes.length;
    let waited = 0;
    while (storage.writes.length === before && waited < 2000) {
      store.dispatch(change('title', place('s1', `typed ${waited}`), 'place'));
      await pass(ports, 50);
      waited += 50;
    }
    expect(waited).toBeGreaterThanOrEqual(450);
    expect(waited).toBeLessThanOrEqual(550);
  });
  test('flush writes at once, for a page that is being hidden', async () => {
    const { store, storage, persistence } = await open();
    store.dispatch(change('new-match', newSample('s1')));
    await persistence.flush();
    expect(JSON.parse(storage.texts['sample/s1']!)).toMatchObject({
      v: 6,
      id: 's1',
      rev: 1,
      data: { when: '2033-05-24T04:50' },
    });
  });
});

describe('two tabs of one browser', () => {
  async function two() {
    const storage = memoryStore();
    const channel = tabs();
    const locks = queue();
    const first = await open('clean', { storage, locks, channel: channel() });
    first.store.dispatch(change('new-match', newSample('s1')));
    await first.persistence.flush();
    const second = await open('clean', { storage, locks, channel: channel() });
    return { storage, first, second };
  }
  test('what one writes, the other shows', async () => {
    const { first, second } = await two();
    first.store.dispatch(change('title', place('s1', 'weir')));
    await first.persistence.flush();
    expect(second.records().entities.sample.s1!.place).toBe('weir');
  });
  test('different fields of one record are both kept, in both tabs and in storage', async () => {
    const { storage, first, second } = await two();
    first.store.dispatch(change('title', place('s1', 'weir')));
    second.store.dispatch(change('water', (draft) => void (draft.sample.s1!.water = 'still')));
    await Promise.all([first.persistence.flush(), second.persistence.flush()]);
    for (const tab of [first, second])
      expect(tab.records().entities.sample.s1).toMatchObject({ place: 'weir', water: 'still' });
    expect(JSON.parse(storage.texts['sample/s1']!)).toMatchObject({ rev: 3, data: { place: 'weir', water: 'still' } });
  });
  test("undo takes back this tab's change and leaves the other's", async () => {
    const { first, second } = await two();
    first.store.dispatch(change('title', place('s1', 'weir')));
    await first.persistence.flush();
    second.store.dispatch(change('water', (draft) => void (draft.sample.s1!.water = 'still')));
    await second.persistence.flush();
    first.store.dispatch(undone());
    await first.persistence.flush();
    for (const tab of [first, second])
      expect(tab.records().entities.sample.s1).toMatchObject({ place: '', water: 'still' });
  });
  test('a change heard from the other tab is not written again', async () => {
    const { storage, first, second } = await two();
    first.store.dispatch(change('title', place('s1', 'weir')));
    await first.persistence.flush();
    const writes = storage.writes.length;
    await second.persistence.flush();
    expect(storage.writes).toHaveLength(writes);
  });
});

describe('a page that is loaded again', () => {
  const title = (n: number) => change('title', place('s1', `${n}`));
  test('takes back, one by one, what was changed before, and makes it again', async () => {
    const storage = memoryStore();
    const first = await open('clean', { storage });
    first.store.dispatch(change('new-match', newSample('s1')));
    for (let n = 0; n < 5; n++) first.store.dispatch(title(n));
    first.store.dispatch(undone());
    await first.persistence.flush();
    const again = await open('clean', { storage });
    expect([again.records().past.map(({ label }) => label), again.records().future.length]).toEqual([
      ['new-match', 'title', 'title', 'title', 'title'],
      1,
    ]);
    again.store.dispatch(redone());
    expect(again.records().entities.sample.s1!.place).toBe('4');
    for (let n = 0; n < 3; n++) again.store.dispatch(undone());
    expect(again.records().entities.sample.s1!.place).toBe('1');
    for (let n = 0; n < 9; n++) again.store.dispatch(undone());
    expect(again.records().entities.sample).toEqual({});
    await again.persistence.flush();
    again.store.dispatch(redone());
    await again.persistence.flush();
    expect((await open('clean', { storage })).records().entities.sample.s1).toMatchObject({ place: '' });
  });
  test('remembers the last hundred of them, bulk work too, and keeps no more', async () => {
    const storage = memoryStore();
    const first = await open('demo', { storage });
    first.store.dispatch(change('new-match', newSample('s1')));
    for (let n = 0; n < 120; n++) first.store.dispatch(title(n));
    const whole = first.records().entities;
    first.store.dispatch(act(leaveDemo, {}));
    await first.persistence.flush();
    const again = await open('demo', { storage });
    expect(again.records().past).toHaveLength(100);
    expect(Object.keys(storage.texts).filter((key) => key.startsWith('undo/')).length).toBe(101);
    expect(Object.keys(again.records().entities.match)).toEqual([]);
    again.store.dispatch(undone());
    expect(again.records().entities).toEqual(whole);
    again.store.dispatch(title(1));
    await again.persistence.flush();
    again.store.dispatch(title(2));
    await again.persistence.flush();
    expect(Object.keys(storage.texts).filter((key) => key.startsWith('undo/')).length).toBe(101);
  });
  test('another tab does not take back what this one changed', async () => {
    const storage = memoryStore();
    const first = await open('clean', { storage });
    first.store.dispatch(change('new-match', newSample('s1')));
    await first.persistence.flush();
    expect((await open('clean', { storage, tab: 'tab_2' })).records().past).toEqual([]);
  });
  test('a history that cannot be read is none, and the records open', async () => {
    const storage = memoryStore();
    const first = await open('clean', { storage });
    first.store.dispatch(change('new-match', newSample('s1')));
    await first.persistence.flush();
    for (const broken of ['{', JSON.stringify({ shapes: 'other', past: [0], future: [] })]) {
      storage.texts['undo/tab_1'] = broken;
      const again = await open('clean', { storage });
      expect([again.records().past, Object.keys(again.records().entities.sample)]).toEqual([[], ['s1']]);
    }
  });
  test('what tabs of a day ago could take back is swept', async () => {
    const DAY_MS = 24 * 3600 * 1000;
    const tabOf = (at: number) =>
      `tab_${at
        .toString(16)
        .padStart(12, '0')
        .replace(/(.{8})(.{4})/, '$1-$2')}-7abc-8000-000000000000`;
    const storage = memoryStore({
      [`undo/${tabOf(5)}`]: '{}',
      [`undo/${tabOf(5)}/3`]: '{}',
      [`undo/${tabOf(2 * DAY_MS)}/1`]: '{}',
    });
    await load(storage, queue(), 2 * DAY_MS + 9);
    expect(Object.keys(storage.texts)).toEqual([`undo/${tabOf(2 * DAY_MS)}/1`]);
  });
});

describe('demo and clean start', () => {
  test('an empty store opens on the demo; every one of its records is marked', async () => {
    const { records } = await open('demo');
    const { match, sample, maker, model } = records().entities;
    expect([match, sample, maker, model].map((table) => Object.keys(table).length)).toEqual([8, 8, 6, 43]);
    for (const table of [match, sample, maker, model])
      for (const record of Object.values(table)) expect(record.demo).toBe(true);
  });
  test('clean stays clean when the store is opened again without a word', async () => {
    const storage = memoryStore();
    const first = await open('clean', { storage });
    await first.persistence.flush();
    const again = createStore(memoryPorts({ storage }));
    await openStore(again, { start: null, clock: null });
    expect(hasDemo(again.getState().records.entities)).toBe(false);
  });
  test('start never wipes or adds to a store in use', async () => {
    const storage = memoryStore();
    const first = await open('clean', { storage });
    first.store.dispatch(change('new-match', newSample('mine')));
    await first.persistence.flush();
    for (const start of ['demo', 'clean'] as const) {
      const again = await open(start, { storage });
      expect(Object.keys(again.records().entities.sample)).toEqual(['mine']);
      expect(hasDemo(again.records().entities)).toBe(false);
    }
  });
  test('leaving takes the demo in one step, keeps what the tier changed with its natural, and undo brings all back', async () => {
    const { store, records } = await open('demo');
    const whole = records().entities;
    store.dispatch(
      change('length', (draft) => void (draft.sample['sample_demo-auldry-dun']!.specimens[0]!.body.mm = 9)),
    );
    expect(records().entities.sample['sample_demo-auldry-dun']!.demo).toBe(false);
    store.dispatch(act(leaveDemo, {}));
    expect(Object.keys(records().entities.match)).toEqual(['match_demo-auldry-dun']);
    expect(Object.keys(records().entities.sample)).toEqual(['sample_demo-auldry-dun']);
    expect(records().entities.maker).toEqual({});
    expect(hasDemo(records().entities)).toBe(false);
    store.dispatch(undone());
    store.dispatch(undone());
    expect(records().entities).toEqual(whole);
  });
  test('a match the tier pinned a hook in keeps its natural too', async () => {
    const { store, records } = await open('demo');
    store.dispatch(
      change('pin-hook', (draft) => void (draft.match['match_demo-auldry-dun']!.answers[0]!.hookId = 'osmere:lark:14')),
    );
    store.dispatch(act(leaveDemo, {}));
    expect(Object.keys(records().entities.sample)).toEqual(['sample_demo-auldry-dun']);
  });
});
