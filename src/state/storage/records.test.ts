import { KINDS, matchSchema, migrate, noEntities, sampleSchema, type Entities, type Kind } from '@/records';
import { memoryStore as memory } from '../__tests__/ports';
import { noWait as locks, tabOver } from '../__tests__/writes';
import { asideFile, load } from './load';

const start: Entities = {
  ...noEntities(),
  sample: { s: sampleSchema.cast({ when: '2033-05-24T04:50' }) },
  match: {
    m: matchSchema.cast({
      opened: '2033-05-24T04:50',
      sampleId: 's',
      answers: [{ id: 'a1', stage: null }],
      leading: 'a1',
    }),
  },
};
async function stored() {
  const storage = memory();
  const tab = tabOver(storage);
  tab.edit(1, () => start);
  await tab.write(1);
  return { storage, another: () => tabOver(storage, tab.entities, new Map(tab.clocks)) };
}
const withSample =
  (fields: object) =>
  (now: Entities): Entities => ({ ...now, sample: { s: { ...now.sample.s!, ...fields } } });

test('two tabs that change different fields of one record both keep their change', async () => {
  const { storage, another } = await stored();
  const [one, two] = [another(), another()];
  one.edit(2, withSample({ place: 'long riffle' }));
  two.edit(3, withSample({ water: 'fast' }));
  await two.write(3);
  await one.write(4);
  expect((await load(storage, locks, 5)).entities.sample.s).toMatchObject({ place: 'long riffle', water: 'fast' });
});

test('of one field the later edit stands, also when it is written first', async () => {
  const { storage, another } = await stored();
  const [one, two] = [another(), another()];
  one.edit(2, withSample({ place: 'long riffle' }));
  two.edit(3, withSample({ place: 'weir' }));
  await two.write(3);
  await one.write(4);
  expect((await load(storage, locks, 5)).entities.sample.s!.place).toBe('weir');
});

test('deleting leaves a tombstone with a higher revision, and the record does not come back', async () => {
  const { storage, another } = await stored();
  const [one, two] = [another(), another()];
  one.edit(2, (now) => ({ ...now, match: {} }));
  await one.write(2);
  expect(JSON.parse(storage.texts['match/m']!)).toMatchObject({ gone: true, rev: 2, at: 2 });
  const loaded = await load(storage, locks, 5);
  expect(loaded.entities.match).toEqual({});
  expect(loaded.empty).toBe(false);
  two.edit(1, (now) => ({ ...now, match: { m: { ...now.match.m!, title: 'earlier' } } }));
  await two.write(6);
  two.edit(7, (now) => ({ ...now, match: { m: { ...now.match.m!, title: 'later' } } }));
  await two.write(8);
  expect((await load(storage, locks, 9)).entities.match.m!.title).toBe('later');
});

test('a record that fails its schema is set aside by name and the rest opens', async () => {
  const { storage } = await stored();
  storage.texts['sample/bad'] = JSON.stringify({ v: 3, id: 'bad', rev: 1, at: 1, data: { water: 'lava' } });
  storage.texts['sample/newer'] = JSON.stringify({ v: 99, id: 'newer', rev: 1, at: 1, data: {} });
  const { entities, aside } = await load(storage, locks, 5);
  expect(Object.keys(entities.sample)).toEqual(['s']);
  expect(aside.map((item) => [item.key, item.reason])).toEqual([
    ['sample/bad', 'schema'],
    ['sample/newer', 'newer'],
  ]);
  expect(storage.texts['aside/sample/bad']).toBeDefined();
});

test('lengths-become-specimens brings a first sample to the present shape', () => {
  const result = migrate('sample', 1, { when: '2033-05-24T04:50', lengths: [8.1, 8.4], caseMm: 13 });
  expect(result).toMatchObject({
    ok: true,
    data: {
      specimens: [
        { id: 's1', body: { mm: 8.1 } },
        { id: 's2', body: { mm: 8.4 } },
      ],
      case: { mm: 13 },
      overall: { mm: null },
    },
  });
});

describe('what is opened and what is swept', () => {
  const gone = (at: number) => JSON.stringify({ v: 1, id: 'm', rev: 2, at, gone: true, data: null });
  const DAY = 24 * 3600 * 1000;
  test('a tombstone is kept 30 days and then swept', async () => {
    const storage = memory();
    storage.texts['match/old'] = gone(0);
    storage.texts['match/young'] = gone(2 * DAY);
    await load(storage, locks, 31 * DAY);
    expect(Object.keys(storage.texts)).toEqual(['match/young']);
  });
  test('a set-aside record is found again at the next opening, with its text', async () => {
    const { storage } = await stored();
    storage.texts['sample/bad'] = 'not even JSON';
    await load(storage, locks, 5);
    const again = await load(storage, locks, 6);
    expect(again.aside).toEqual([{ key: 'sample/bad', reason: 'schema', detail: 'envelope', text: 'not even JSON' }]);
    expect(JSON.parse(asideFile(again.aside))).toEqual({ aubade: 'set-aside', version: 1, items: again.aside });
  });
  test('an unknown kind is set aside, not lost', async () => {
    const storage = memory();
    storage.texts['submarine/s1'] = JSON.stringify({ v: 1, id: 's1', rev: 1, at: 1, data: {} });
    expect((await load(storage, locks, 5)).aside[0]).toMatchObject({ key: 'submarine/s1', reason: 'unknown-kind' });
    expect(storage.texts['submarine/s1']).toBeDefined();
  });
  test('an empty store says so, and one with a tombstone does not', async () => {
    expect((await load(memory(), locks, 5)).empty).toBe(true);
    const storage = memory();
    storage.texts['match/m'] = gone(1);
    expect((await load(storage, locks, 5)).empty).toBe(false);
  });
  test('a change to a record that another tab deleted brings it back whole', async () => {
    const { storage, another } = await stored();
    const [one, two] = [another(), another()];
    one.edit(2, (now) => ({ ...now, sample: {} }));
    await one.write(2);
    two.edit(3, withSample({ place: 'weir' }));
    await two.write(3);
    expect((await load(storage, locks, 5)).entities.sample.s).toEqual(two.entities.sample.s);
    expect(JSON.parse(storage.texts['sample/s']!).rev).toBe(3);
  });
});

describe('pictures', () => {
  const HOUR = 3600 * 1000;
  const young = `photo_${(100 * HOUR)
    .toString(16)
    .padStart(12, '0')
    .replace(/(.{8})(.{4})/, '$1-$2')}-7abc-8000-000000000000`;
  const record = JSON.stringify({
    v: 1,
    id: 'photo_a',
    rev: 1,
    at: 1,
    data: { sampleId: 's', type: 'image/png', bytes: 3, taken: '2033-05-24T04:50' },
  });
  test('are not read with the records, and stay while their record does', async () => {
    const storage = memory();
    Object.assign(storage.texts, { 'photo/photo_a': record, 'blob/photo_a': 'data:image/png;base64,AAAA' });
    const read: string[][] = [];
    const { entities, aside } = await load(
      { ...storage, getMany: async (keys) => (read.push(keys), storage.getMany(keys)) },
      locks,
      99 * HOUR,
    );
    expect([Object.keys(entities.photo), aside]).toEqual([['photo_a'], []]);
    expect(read.flat()).not.toContain('blob/photo_a');
    expect(storage.texts['blob/photo_a']).toBeDefined();
  });
  test('go a day after their record went, not sooner; one without a record goes unless it is fresh', async () => {
    const storage = memory();
    const gone = (at: number) => JSON.stringify({ v: 1, id: 'x', rev: 2, at, gone: true, data: null });
    Object.assign(storage.texts, {
      'photo/old': gone(70 * HOUR),
      'blob/old': 'd',
      'photo/late': gone(90 * HOUR),
      'blob/late': 'd',
      'blob/nobody': 'd',
      [`blob/${young}`]: 'd',
    });
    await load(storage, locks, 101 * HOUR);
    expect(
      Object.keys(storage.texts)
        .filter((key) => key.startsWith('blob/'))
        .sort(),
    ).toEqual(['blob/late', `blob/${young}`].sort());
  });
});

describe('schemas', () => {
  test.each([
    ['sample', { when: '2033-05-24T04:50', water: 'lava' }],
    ['sample', { when: '2033-05-24T04:50', colours: { wing: 'grey' } }],
    ['sample', { when: '2033-05-24T04:50', specimens: [{ id: 's1', body: { mm: 300, typed: null } }] }],
    ['match', { opened: '2033-05-24T04:50', sampleId: 's', answers: [], leading: 'a1' }],
    [
      'match',
      { opened: '2033-05-24T04:50', sampleId: 's', answers: [{ id: 'a1', stage: 'mayfly/larva' }], leading: 'a1' },
    ],
    [
      'model',
      { makerId: 'm', slug: 'x', name: 'X', bend: 'square', eye: 'down', point: 'straight', barb: 'none', sizes: [] },
    ],
    ['settings', { unit: 'furlong' }],
    ['box', { name: 'A', rows: 0, columns: 4 }],
    ['packet', { label: 'no hook' }],
    ['fly', { tally: { m1: { at: 'x', boxId: 'b', slot: null, count: 1, why: 'eaten' } } }],
    ['group', { order: 'mayfly', name: 'A', stages: [{ stage: 'mayfly/dun', usualMm: 300 }] }],
    ['device', { theme: 'noon' }],
  ])('a wrong %s is refused', (kind, data) => {
    const version = KINDS[kind as Kind].version;
    expect(migrate(kind, version, data)).toMatchObject({ ok: false, reason: 'schema' });
  });
  test('a version without a way up is refused', () =>
    expect(migrate('match', 0, {})).toEqual({ ok: false, reason: 'no-path', detail: '0' }));
  test('signs-of-the-natural, follow-up-matches and part-of-the-world bring older records to the present shape', () => {
    expect(
      migrate('sample', 2, {
        when: '2033-05-24T04:50',
        specimens: [{ id: 's1', body: { mm: 8, typed: null } }],
        colours: { wing: '#777777' },
      }),
    ).toMatchObject({
      ok: true,
      data: { specimens: [{ body: { mm: 8 } }], colours: { wing: '#777777' }, signs: {}, seen: [], rough: null },
    });
    expect(
      migrate('match', 1, {
        opened: '2033-05-24T04:50',
        sampleId: 's',
        answers: [{ id: 'a1', stage: 'mayfly/dun' }],
        leading: 'a1',
      }),
    ).toMatchObject({ ok: true, data: { parentId: null, answers: [{ stage: 'mayfly/dun', hookId: null }] } });
    expect(migrate('device', 1, { theme: 'dusk', hand: 'left' })).toMatchObject({
      ok: true,
      data: { theme: 'dusk', hand: 'left', screen: null },
    });
    expect(migrate('settings', 1, { unit: 'in-decimal', letterKeys: false })).toMatchObject({
      ok: true,
      data: { unit: 'in-decimal', letterKeys: false, south: false, fauna: null },
    });
  });
  test('kept-for-the-bench, flies-with-a-ledger and thumb-and-cautions bring older records to the present shape', () => {
    expect(
      migrate('sample', 3, {
        when: '2033-05-24T04:50',
        specimens: [{ id: 's1', body: { mm: 8, typed: null } }],
        signs: { wings: 'none' },
        rough: { mm: 6, halfMm: 1, how: 'chip' },
      }),
    ).toMatchObject({
      ok: true,
      data: {
        specimens: [{ body: { mm: 8 }, sex: null, out: null }],
        signs: { wings: 'none' },
        rough: { mm: 6 },
        preserved: false,
        kept: false,
      },
    });
    expect(
      migrate('fly', 1, { dressingId: 'first-light-dun', dressingRev: 1, hookId: 'osmere:lark:14' }),
    ).toMatchObject({
      ok: true,
      data: { dressingId: 'first-light-dun', hookId: 'osmere:lark:14', name: '' },
      events: [],
    });
    expect(migrate('device', 2, { theme: 'dusk', screen: { key: '390x844x3', pxPerMm: 6 } })).toMatchObject({
      ok: true,
      data: { theme: 'dusk', screen: { pxPerMm: 6 }, thumb: 'right', cautioned: {} },
    });
  });
  test('first-steps: a device of before has none of them done', () =>
    expect(
      migrate('device', 3, {
        theme: 'dusk',
        hand: 'left',
        thumb: 'left',
        printedScale: 0.97,
        cautioned: { wading: 'x' },
      }),
    ).toMatchObject({
      ok: true,
      data: {
        theme: 'dusk',
        thumb: 'left',
        printedScale: 0.97,
        cautioned: { wading: 'x' },
        cardKept: false,
        stepsAway: false,
      },
    }));
  test('what-other-programs-say: a natural of before says nothing of the kind, and keeps all it had, a water not told too', () =>
    expect(
      migrate('sample', 4, {
        when: '2033-05-24T04:50',
        water: null,
        leftOut: ['month'],
        specimens: [{ id: 's1', body: { mm: 8, typed: null }, sex: 'female', out: 'small', halfMm: 0.2 }],
        preserved: true,
        rough: { mm: 6, halfMm: 1, how: 'chip' },
      }),
    ).toMatchObject({
      ok: true,
      data: {
        water: null,
        leftOut: ['month'],
        specimens: [{ id: 's1', sex: 'female', out: 'small', halfMm: 0.2 }],
        preserved: true,
        rough: { mm: 6, halfMm: 1, how: 'chip' },
        extra: {},
      },
    }));
  test('the first sample of all, as it was stored, still opens', () => {
    expect(migrate('sample', 1, { when: '2033-05-24T04:50', lengths: [], overallMm: 12, caseMm: null })).toMatchObject({
      ok: true,
      data: { overall: { mm: 12, typed: null }, specimens: [] },
    });
    expect(migrate('sample', 1, { when: '2033-05-24T04:50', lengths: ['long'] })).toMatchObject({
      ok: false,
      reason: 'schema',
    });
  });
});
