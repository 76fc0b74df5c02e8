import { matchSchema, noEntities, sampleSchema, type Entities } from '@/records';
import type { Patch } from 'immer';
import { inMemory, type Locks } from '../ports';
import { commit, load } from './commit';
import { letGo, readDeleted } from './deleted';

const locks: Locks = { request: (_name, task) => task() };
const WHEN = '2033-05-24T04:50';
const start: Entities = {
  ...noEntities(),
  sample: { s: sampleSchema.cast({ when: WHEN, place: 'long riffle' }), d: sampleSchema.cast({ when: WHEN, demo: true }) },
  match: { m: matchSchema.cast({ opened: WHEN, sampleId: 's', answers: [{ id: 'a1', stage: null }], leading: 'a1' }) },
};
const DAY_MS = 24 * 3600 * 1000;

async function deleted() {
  const storage = inMemory();
  const put = ([kind, id]: [string, string]): Patch => ({ op: 'add', path: [kind, id], value: (start as unknown as Record<string, Record<string, unknown>>)[kind]![id] });
  await commit(storage, locks, ([['sample', 's'], ['sample', 'd'], ['match', 'm']] as [string, string][]).map(put), start, 1);
  await commit(storage, locks, [{ op: 'remove', path: ['match', 'm'] }, { op: 'remove', path: ['sample', 's'] }], noEntities(), 5);
  await commit(storage, locks, [{ op: 'remove', path: ['sample', 'd'] }], noEntities(), 6);
  return storage;
}

test('what one change deleted comes back together, as it was; what the demo held does not', async () => {
  const storage = await deleted();
  const all = await readDeleted(storage);
  expect(all.map(({ at, records }) => [at, records.map(({ kind, id }) => `${kind}/${id}`).sort()])).toEqual([[5, ['match/m', 'sample/s']]]);
  expect(all[0]!.records.find(({ kind }) => kind === 'sample')!.data).toEqual(start.sample.s);
  expect((await load(storage, locks, 7)).entities.sample).toEqual({});
});

test('after 30 days, or when it is let go, it is gone for good; that it was deleted stays until then', async () => {
  const swept = await deleted();
  await load(swept, locks, 29 * DAY_MS);
  expect(await readDeleted(swept)).toHaveLength(1);
  await load(swept, locks, 31 * DAY_MS);
  expect(await readDeleted(swept)).toEqual([]);
  const let_ = await deleted();
  await letGo(let_, locks);
  expect(await readDeleted(let_)).toEqual([]);
  expect((await let_.getMany(['sample/s']))['sample/s']).toContain('"gone":true');
});
