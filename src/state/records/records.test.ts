import { produceWithPatches, type Patch } from 'immer';
import type { KeyStore, Locks } from '../ports';
import { commit, load } from './commit';
import { migrate } from './migrate';
import { matchSchema, noEntities, sampleSchema, type Entities } from './schemas';

function memory(): KeyStore & { texts: Record<string, string> } {
  const texts: Record<string, string> = {};
  return {
    texts,
    getMany: async (keys) => Object.fromEntries(keys.map((key) => [key, texts[key] ?? null])),
    setMany: async (entries) => void Object.assign(texts, entries),
    removeMany: async (keys) => keys.forEach((key) => delete texts[key]),
    getAllKeys: async () => Object.keys(texts),
  };
}
const locks: Locks = { request: (_name, task) => task() };
const start: Entities = { ...noEntities(), sample: { s: sampleSchema.cast({ when: '2033-05-24T04:50' }) }, match: { m: matchSchema.cast({ opened: '2033-05-24T04:50', sampleId: 's', answers: [{ id: 'a1', stage: null }], leading: 'a1' }) } };
const patchesOf = (recipe: (draft: Entities) => void, from = start): [Entities, Patch[]] => {
  const [next, patches] = produceWithPatches(from, (draft: Entities) => {
    recipe(draft);
  });
  return [next, patches];
};
async function stored() {
  const storage = memory();
  const [, patches] = patchesOf((draft) => Object.assign(draft, start), noEntities());
  const whole: Patch[] = [{ op: 'add', path: ['sample', 's'], value: start.sample.s }, { op: 'add', path: ['match', 'm'], value: start.match.m }];
  expect(patches.length).toBeGreaterThan(0);
  await commit(storage, locks, whole, start, 1);
  return storage;
}

test('two tabs that change different fields of one record both keep their change', async () => {
  const storage = await stored();
  const [first, one] = patchesOf((draft) => void (draft.sample.s!.place = 'long riffle'));
  const [second, two] = patchesOf((draft) => void (draft.sample.s!.water = 'fast'));
  await commit(storage, locks, one, first, 2);
  await commit(storage, locks, two, second, 3);
  expect((await load(storage, locks, 5)).entities.sample.s).toMatchObject({ place: 'long riffle', water: 'fast' });
});

test('deleting leaves a tombstone with a higher revision, and the record does not come back', async () => {
  const storage = await stored();
  const [next, patches] = patchesOf((draft) => void delete draft.match.m);
  await commit(storage, locks, patches, next, 2);
  expect(JSON.parse(storage.texts['match/m']!)).toMatchObject({ gone: true, rev: 2, at: 2 });
  const loaded = await load(storage, locks, 5);
  expect(loaded.entities.match).toEqual({});
  expect(loaded.empty).toBe(false);
});

test('a record that fails its schema is set aside by name and the rest opens', async () => {
  const storage = await stored();
  storage.texts['sample/bad'] = JSON.stringify({ v: 2, id: 'bad', rev: 1, at: 1, data: { water: 'lava' } });
  storage.texts['sample/newer'] = JSON.stringify({ v: 99, id: 'newer', rev: 1, at: 1, data: {} });
  const { entities, aside } = await load(storage, locks, 5);
  expect(Object.keys(entities.sample)).toEqual(['s']);
  expect(aside.map((item) => [item.key, item.reason])).toEqual([['sample/bad', 'schema'], ['sample/newer', 'newer']]);
  expect(storage.texts['aside/sample/bad']).toBeDefined();
});

test('lengths-become-specimens brings a first sample to the present shape', () => {
  const result = migrate('sample', 1, { when: '2033-05-24T04:50', lengths: [8.1, 8.4], caseMm: 13 });
  expect(result).toMatchObject({ ok: true, data: { specimens: [{ id: 's1', body: { mm: 8.1 } }, { id: 's2', body: { mm: 8.4 } }], case: { mm: 13 }, overall: { mm: null } } });
});
