import { enterFly, flySchema, heldOf, photoSchema, sampleSchema } from '@/records';
import { packBackup, readBackup, type Backup } from '@/records/backup';
import { act } from './act';
import { picturesMissing, planOwnBackup, readyToTake, takeBackup } from './backup';
import { readPicture, storePicture } from './photos';
import { createStore, openStore, undone, type Store } from './store';
import { change } from './__tests__/change';
import { memoryPorts } from './__tests__/ports';

const WHEN = '2033-05-24T04:50';
const PICTURE = `data:image/jpeg;base64,${btoa('picture')}`;
let made = 0;

async function open(start: 'clean' | 'demo' = 'clean') {
  const own = ++made;
  let next = 0;
  const store = createStore(memoryPorts({ newId: (kind) => `${kind}_${own}-${++next}` }));
  const persistence = await openStore(store, { start, clock: WHEN });
  const entities = () => store.getState().records.entities;
  const move = (count: number) =>
    store.dispatch(act(enterFly, { flyId: 'f', boxId: 'b', slot: 'a1', count, why: count > 0 ? 'got' : 'lost' }));
  const left = () => heldOf(entities().fly.f!)[0]?.left ?? 0;
  return { store, persistence, entities, move, left };
}

/** A sample with a photograph, and a box with a fly of which five came and one was lost. */
async function season() {
  const tab = await open();
  tab.store.dispatch(
    change('put-in', (draft) => {
      draft.box.b = { demo: false, name: 'Chest box', rows: 4, columns: 6, carried: true };
      draft.fly.f = flySchema.cast({ name: 'bought' });
      draft.sample.s = sampleSchema.cast({ when: WHEN, place: 'Fenbeck', photos: ['p'] });
      draft.photo.p = photoSchema.cast({ sampleId: 's', type: 'image/jpeg', bytes: 7, taken: WHEN });
    }),
  );
  tab.move(5);
  tab.move(-1);
  await storePicture(tab.store.ports, 'p', PICTURE);
  await tab.persistence.flush();
  return tab;
}

async function backupOf(store: Store): Promise<Backup> {
  const { parts, missing } = await packBackup(await planOwnBackup(store, '0.1.0'), (id) =>
    readPicture(store.ports, id),
  );
  expect(missing).toEqual([]);
  const read = readBackup(new Uint8Array(Buffer.concat(parts)));
  if (!read.ok) throw new Error(read.fault.code);
  return read.backup;
}

test('what is the tier’s own is in it, with moves that are not stored yet; the demo is not', async () => {
  const demo = await open('demo');
  const manifest = (await backupOf(demo.store)).manifest!;
  expect(Object.keys(manifest.kinds)).toEqual(['settings', 'device']);
  const own = await season();
  own.move(2);
  const { carried } = await backupOf(own.store);
  expect(carried.events.map(({ event }) => (event as { count: number }).count).sort()).toEqual([-1, 2, 5]);
});

test('merged elsewhere everything is there, twice is once, and one step takes it back', async () => {
  const backup = await backupOf((await season()).store);
  const to = await open();
  const before = to.entities();
  expect(await picturesMissing(to.store, backup)).toEqual([{ id: 'p', path: 'photos/p.jpg', type: 'image/jpeg' }]);
  await takeBackup(to.store, backup, 'merge');
  expect([to.left(), to.entities().sample.s!.place]).toEqual([4, 'Fenbeck']);
  await to.persistence.flush();
  await storePicture(to.store.ports, 'p', PICTURE);
  expect(await picturesMissing(to.store, backup)).toEqual([]);
  await takeBackup(to.store, backup, 'merge');
  await to.persistence.flush();
  expect(to.left()).toBe(4);
  to.store.dispatch(undone());
  expect(to.entities()).toEqual(before);
});

test('merged into what went on since, the later edit of each field stands and nothing that came since is lost', async () => {
  const own = await season();
  const backup = await backupOf(own.store);
  own.move(-2);
  own.store.dispatch(change('place', (draft) => void (draft.sample.s!.place = 'Auldry')));
  await takeBackup(own.store, backup, 'merge');
  expect([own.left(), own.entities().sample.s!.place]).toEqual([2, 'Auldry']);
});

describe('replaced by it', () => {
  test('all is as it was then: what came since goes, what was deleted is there, ledgers are what they were; one step takes it back', async () => {
    const own = await season();
    const backup = await backupOf(own.store);
    own.move(-2);
    own.store.dispatch(
      change('later', (draft) => {
        draft.sample.s!.place = 'Auldry';
        draft.sample.later = sampleSchema.cast({ when: WHEN });
        delete draft.photo.p;
      }),
    );
    await own.persistence.flush();
    const before = own.entities();
    await takeBackup(own.store, backup, 'replace');
    expect([
      own.left(),
      own.entities().sample.s!.place,
      Object.keys(own.entities().sample),
      Object.keys(own.entities().photo),
    ]).toEqual([4, 'Fenbeck', ['s'], ['p']]);
    await own.persistence.flush();
    own.store.dispatch(undone());
    expect(own.entities()).toEqual(before);
    await own.persistence.flush();
    const again = createStore(own.store.ports);
    await openStore(again, { start: 'clean', clock: WHEN });
    expect(heldOf(again.getState().records.entities.fly.f!)[0]!.left).toBe(2);
  });
  test('the same as before changes nothing', async () => {
    const own = await season();
    const backup = await backupOf(own.store);
    const before = own.entities();
    await takeBackup(own.store, backup, 'replace');
    expect(own.entities()).toBe(before);
  });
  test('a fly whose move was taken out again has it again', async () => {
    const own = await season();
    const backup = await backupOf(own.store);
    const lost = own.entities().fly.f!.tally.latest.find(({ event }) => event.count === -1)!;
    own.store.dispatch(undone());
    await own.persistence.flush();
    expect([own.left(), lost.event.why]).toEqual([5, 'lost']);
    await takeBackup(own.store, backup, 'replace');
    await own.persistence.flush();
    expect(own.left()).toBe(4);
    // Merging would leave it out, for it was taken out on purpose.
    own.store.dispatch(undone());
    await own.persistence.flush();
    expect((await readyToTake(own.store, backup.carried, 'merge')).carried.events).toEqual([]);
  });
  test('the demo goes with it, what the device is set to stays', async () => {
    const backup = await backupOf((await season()).store);
    const demo = await open('demo');
    demo.store.dispatch(change('device', (draft) => void (draft.device.this!.theme = 'dusk')));
    await takeBackup(demo.store, backup, 'replace');
    expect(Object.keys(demo.entities().match)).toEqual([]);
    expect([demo.left(), demo.entities().device.this!.theme]).toEqual([4, 'dusk']);
  });
});
