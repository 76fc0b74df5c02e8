import { matchSchema, noEntities, sampleSchema, type Entities } from '@/records';
import { noWait as locks, tabOver } from '../__tests__/writes';
import { inMemory } from '../ports';
import { letGo, readDeleted } from './deleted';
import { load } from './load';

const WHEN = '2033-05-24T04:50';
const start: Entities = {
  ...noEntities(),
  sample: {
    s: sampleSchema.cast({ when: WHEN, place: 'long riffle' }),
    d: sampleSchema.cast({ when: WHEN, demo: true }),
  },
  match: { m: matchSchema.cast({ opened: WHEN, sampleId: 's', answers: [{ id: 'a1', stage: null }], leading: 'a1' }) },
};
const DAY_MS = 24 * 3600 * 1000;

async function deleted() {
  const storage = inMemory();
  const tab = tabOver(storage);
  tab.edit(1, () => start);
  await tab.write(1);
  tab.edit(5, (now) => ({ ...now, match: {}, sample: { d: now.sample.d! } }));
  await tab.write(5);
  tab.edit(6, (now) => ({ ...now, sample: {} }));
  await tab.write(6);
  return storage;
}

test('what one change deleted comes back together, as it was; what the demo held does not', async () => {
  const storage = await deleted();
  const all = await readDeleted(storage);
  expect(all.map(({ at, records }) => [at, records.map(({ kind, id }) => `${kind}/${id}`).sort()])).toEqual([
    [5, ['match/m', 'sample/s']],
  ]);
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
