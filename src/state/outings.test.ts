import fc from 'fast-check';
import { createStore, openStore, act as does, redone, undone, type Store } from '.';
import { selectTieable } from './answering';
import { memoryPorts } from './__tests__/ports';
import {
  deleteWater,
  endOuting,
  fewLatest,
  fishing,
  heldOf,
  hoursOn,
  hoursOut,
  leaveDemo,
  logFish,
  newWater,
  NO_KIND,
  noteSeen,
  outingsLatest,
  putIn,
  runningOuting,
  setOuting,
  startOuting,
  takeOff,
  setBox,
  tieInstead,
  tieOn,
  outingSchema,
} from '@/records';

async function out(): Promise<{ store: Store; id: string; flyId: string }> {
  const store = createStore(memoryPorts());
  await openStore(store, { start: 'clean', clock: '2033-06-04T05:10' });
  const kind = { ...NO_KIND, dressingId: 'first-light-dun', dressingRev: 1, hookId: 'osmere:lark:14' };
  store.dispatch(does(putIn, { into: { newBox: 'Vest' }, flies: [{ kind, slot: 'a1', count: 3 }], why: 'got' }));
  const id = store.dispatch(does(startOuting, { water: { name: 'River Auldry' } }))!;
  const flyId = Object.keys(store.getState().records.entities.fly)[0]!;
  store.dispatch(
    does(tieOn, {
      outingId: id,
      flyId,
      dressingId: 'first-light-dun',
      hookId: 'osmere:lark:14',
      name: 'Dun',
      position: 'point',
    }),
  );
  return { store, id, flyId };
}
const all = (store: Store) => store.getState().records.entities;

test('an outing begins now at a water named on the spot, goes on until it is ended, and may go on again', async () => {
  const { store, id } = await out();
  const { outing, water } = all(store);
  expect(outing[id]).toMatchObject({ start: '2033-06-04T05:10', end: null });
  expect(water[outing[id]!.waterId!]!.name).toBe('River Auldry');
  expect(runningOuting(outing)).toBe(id);
  store.dispatch(does(endOuting, { outingId: id }));
  expect(runningOuting(all(store).outing)).toBeNull();
  store.dispatch(does(setOuting, { outingId: id, end: null }));
  expect(runningOuting(all(store).outing)).toBe(id);
  // A clock that went back meanwhile ends it where it began, never before.
  store.dispatch(does(setOuting, { outingId: id, start: '2033-06-04T09:00' }));
  store.dispatch(does(endOuting, { outingId: id }));
  expect(all(store).outing[id]!.end).toBe('2033-06-04T09:00');
});

test('one tap is one step back: the outing, the fly’s own results and the box move and come back together', async () => {
  const { store, id, flyId } = await out();
  const left = () => heldOf(all(store).fly[flyId]!)[0]!.left;
  const log = (what: Parameters<typeof logFish.run>[1]['what'], fly: string | null) =>
    store.dispatch(does(logFish, { outingId: id, what, fly }));
  log('took', 't1');
  log('refused', 't1');
  log('took', null);
  log('lost-fish', 't1');
  expect(all(store).outing[id]!.tally).toMatchObject({
    all: { took: 2, refused: 1, 'lost-fish': 1, 'lost-fly': 0 },
    of: { t1: { took: 1, refused: 1, 'lost-fish': 1 }, '': { took: 1 } },
    events: 4,
  });
  expect(all(store).fly[flyId]!.tally.results!.all).toEqual({ took: 1, refused: 1 });
  expect(left()).toBe(3);
  log('lost-fly', 't1');
  expect(left()).toBe(2);
  expect(fishing(all(store).outing[id]!)).toEqual([]);
  store.dispatch(undone());
  expect(left()).toBe(3);
  expect(fishing(all(store).outing[id]!).map((own) => own.id)).toEqual(['t1']);
  expect(all(store).outing[id]!.tally.all['lost-fly']).toBe(0);
  store.dispatch(redone());
  expect([left(), all(store).outing[id]!.tally.all['lost-fly']]).toEqual([2, 1]);
});

test('300 taps are counted, and the record holds no more than the latest of them', async () => {
  const { store, id } = await out();
  for (let n = 0; n < 300; n++) store.dispatch(does(noteSeen, { outingId: id, rise: n % 3 === 0 ? 'sip' : 'splash' }));
  const { tally } = all(store).outing[id]!;
  expect([tally.events, tally.rises.sip, tally.rises.splash]).toEqual([300, 100, 200]);
  expect(tally.latest).toHaveLength(60);
});

test('hours run from when a fly was tied on until it came off, the outing ended, or now', () => {
  const outing = outingSchema.cast({
    start: '2033-06-04T05:10',
    end: '2033-06-04T09:40',
    team: [
      { id: 't1', name: 'a', on: '2033-06-04T05:40', off: '2033-06-04T07:10' },
      { id: 't2', name: 'b', on: '2033-06-04T07:10', off: null },
    ],
  });
  expect([hoursOut(outing, 'x'), ...outing.team.map((fly) => hoursOn(outing, fly, 'x'))]).toEqual([4.5, 1.5, 2.5]);
  expect(hoursOut({ ...outing, end: null }, '2033-06-04T05:40')).toBe(0.5);
  // A clock that went back is no time below none.
  expect(hoursOut({ ...outing, end: null }, '2033-06-03T05:40')).toBe(0);
  expect(outingsLatest({ a: outing, b: { ...outing, start: '2034-01-01T05:00' } })).toEqual(['b', 'a']);
});

test('the head of a journal is the beginning of the whole of it, as many as there are', () => {
  const minute = fc.integer({ min: 10, max: 14 }).map((n) => `2033-06-04T05:${n}`);
  fc.assert(
    fc.property(
      fc.dictionary(fc.string({ minLength: 1, maxLength: 3, unit: fc.constantFrom('a', 'b', 'c') }), minute),
      (starts) => {
        const outings = Object.fromEntries(
          Object.entries(starts).map(([id, start]) => [id, outingSchema.cast({ start })]),
        );
        const all = outingsLatest(outings);
        for (const most of [1, 3, 30]) expect(fewLatest(outings, most)).toEqual(all.slice(0, most));
        expect(runningOuting(outings)).toBe(all[0] ?? null);
      },
    ),
    { seed: 21 },
  );
});

test('numbers gone from their water keep; a fly taken off stays with what it did; the demo’s waters go with it unless fished', async () => {
  const { store, id } = await out();
  const waterId = all(store).outing[id]!.waterId!;
  store.dispatch(does(takeOff, { outingId: id, fly: 't1' }));
  expect(all(store).outing[id]!.team[0]!.off).toBe('2033-06-04T05:10');
  store.dispatch(does(deleteWater, { waterId }));
  expect(all(store).outing[id]!.waterId).toBeNull();
  expect(store.dispatch(does(newWater, { name: 'Staith Brook' }))).toMatch(/^water/);
  const demo = createStore(memoryPorts());
  await openStore(demo, { start: 'demo', clock: '2033-05-24T04:50' });
  const own = demo.dispatch(does(startOuting, { water: 'water_demo-staith' }))!;
  demo.dispatch(does(leaveDemo, {}));
  expect(Object.keys(all(demo).outing)).toEqual([own]);
  expect(Object.keys(all(demo).water)).toEqual(['water_demo-staith']);
});

test('temperatures of another planet and an end that is no time are refused', () => {
  const sound = outingSchema.cast({ start: '2033-06-04T05:10' });
  expect(outingSchema.isValidSync(sound)).toBe(true);
  for (const wrong of [{ waterC: 70 }, { airC: -80 }, { end: 'soon' }, { level: 'up' }])
    expect([wrong, outingSchema.isValidSync({ ...sound, ...wrong })]).toEqual([wrong, false]);
});

test('one fly in the place of another is one step, and so is its undo', async () => {
  const { store, id, flyId } = await out();
  const [first] = all(store).outing[id]!.team;
  const next = { flyId, dressingId: 'auldry-flat-spinner', hookId: null, name: 'Spinner', position: 'point' as const };
  store.dispatch(does(tieInstead, { outingId: id, off: first!.id, ...next }));
  expect(fishing(all(store).outing[id]!).map(({ name, position }) => [name, position])).toEqual([['Spinner', 'point']]);
  store.dispatch(undone());
  expect(fishing(all(store).outing[id]!).map(({ name }) => name)).toEqual(['Dun']);
});

test('flies that can be tied on: each kind once, of the boxes that are carried alone, with its stages', async () => {
  const { store, flyId } = await out();
  const own = () => selectTieable(store.getState());
  expect(own()).toMatchObject([{ flyId, left: 3, ride: 'high', stages: expect.arrayContaining(['mayfly/dun']) }]);
  const [boxId] = Object.keys(all(store).box);
  store.dispatch(does(setBox, { boxId: boxId!, carried: false }));
  expect(own()).toEqual([]);
});
