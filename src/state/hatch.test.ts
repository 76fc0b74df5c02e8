import { daysAfter, FROM_H, type BandId } from '@/core/hatch';
import {
  matchSchema,
  newAnswer,
  outingSchema,
  sampleSchema,
  SETTINGS_ID,
  settingsSchema,
  specimen,
  waterSchema,
  type OutingRecord,
} from '@/records';
import { createStore, openStore, type Store } from '.';
import { change } from './__tests__/change';
import { memoryPorts } from './__tests__/ports';
import { selectHatch, selectTold } from './answering';

/** Days of a year from New Year on at so many °C. */
const year = (of: number, days: number, mean: number) =>
  Object.fromEntries(
    Array.from({ length: days }, (_, n) => [daysAfter(`${of}-01-01`, n), { mean, low: mean - 1, high: mean + 1 }]),
  );

const outing = (day: string, seen: string | null, more: Partial<OutingRecord> = {}): OutingRecord => {
  const cast = outingSchema.cast({ start: `${day}T10:00`, end: `${day}T18:00`, waterId: 'w', ...more });
  const noted: Record<string, [string, string]> = seen ? { duns: [`${day}T${seen}`, `${day}T${seen}`] } : {};
  return { ...cast, tally: { ...cast.tally, noted } };
};

async function river(outings: Record<string, OutingRecord>, daily: object): Promise<Store> {
  const store = createStore(memoryPorts());
  await openStore(store, { start: 'clean', clock: '2033-04-10T10:00' });
  store.dispatch(
    change('water-set', (draft) => {
      draft.water.w = waterSchema.cast({
        name: 'Auldry',
        kind: 'river',
        place: { lat: 54, lon: -2, zone: 'Etc/GMT-1' },
        daily,
      });
      Object.assign(draft.outing, outings);
    }),
  );
  return store;
}

const duns = (store: Store, own: OutingRecord) =>
  selectHatch(store.getState(), own).bands.find(({ id }) => id === ('mayfly/hatch' satisfies BandId))!;

// 100 days of 8 °C are 400 degree-days over 4 °C: the tenth of April of both years.
const TWO = { ...year(2031, 120, 8), ...year(2032, 120, 8) };
const SEEN = { a: outing('2031-04-10', '13:00'), b: outing('2032-04-09', '13:00') };

test('a year that has brought less warmth than two logged ones needed holds the first duns back, and says by how much', async () => {
  const now = outing('2033-04-10', null, { end: null });
  const cold = await river({ ...SEEN, now }, { ...TWO, ...year(2033, 100, 6) });
  const warm = await river({ ...SEEN, now }, { ...TWO, ...year(2033, 100, 9) });
  expect(duns(cold, now).p).toBeLessThan(0.05 * duns(warm, now).p);
  const { warmth } = selectHatch(cold.getState(), now);
  expect(warmth['mayfly/hatch']).toMatchObject([{ group: null, sum: 400, years: 2, now: 200 }]);
  // Seen this year, it is out, whatever the warmth.
  const out = outing('2033-04-01', '13:30');
  const after = await river({ ...SEEN, out, now }, { ...TWO, ...year(2033, 100, 6) });
  expect(duns(after, now).p).toBeGreaterThan(0.5 * duns(warm, now).p);
  expect(selectHatch(after.getState(), now).warmth['mayfly/hatch']).toBeUndefined();
});

/** A natural of a large burrowing mayfly, found and measured on an outing. */
const found = (store: Store, at: Record<string, string>, mm = 20) =>
  store.dispatch(
    change('natural', (draft) => {
      draft.settings = { [SETTINGS_ID]: settingsSchema.cast({ fauna: 'palearctic-west' }) };
      for (const [outingId, when] of Object.entries(at)) {
        const specimens = [specimen('i', mm)];
        draft.sample[`s-${outingId}`] = sampleSchema.cast({ when, outingId, specimens });
        draft.match[`m-${outingId}`] = matchSchema.cast({
          opened: when,
          sampleId: `s-${outingId}`,
          answers: [newAnswer('a1', 'mayfly/dun')],
          leading: 'a1',
        });
      }
    }),
  );

test('a group whose naturals were measured has a sum of its own: it waits for warmth while smaller ones are out already', async () => {
  // Duns of any kind in April of every year; the large ones at 600 degree-days, on the 30th of May.
  const big = { c: outing('2031-05-30', null), d: outing('2032-05-29', null) };
  const now = outing('2033-05-30', null, { end: null });
  const all = { ...SEEN, ...big, out: outing('2033-04-20', '13:00'), now };
  const large = async (mean: number, mm?: number) => {
    const store = await river(all, { ...year(2031, 150, 8), ...year(2032, 150, 8), ...year(2033, 150, mean) });
    found(store, { c: '2031-05-30T15:00', d: '2032-05-29T15:00' }, mm);
    return store;
  };
  const [cold, warm] = [await large(6), await large(9)];
  expect(selectHatch(cold.getState(), now).warmth['mayfly/hatch']).toMatchObject([
    { group: 'large burrowing mayfly', sum: 600, years: 2, now: 300 },
  ]);
  const evening = (store: Store) => duns(store, now).curve[4 * (18 - FROM_H)]!;
  expect(evening(cold)).toBeLessThan(0.99 * evening(warm));
  // Small duns that several groups have are of no group.
  expect(selectHatch((await large(6, 7)).getState(), now).warmth).toEqual({});
});

test('south of the equator a summer is one year: what was seen in its January and in the next December are of two', async () => {
  const seen = { a: outing('2032-01-10', '13:00'), b: outing('2032-12-20', '13:00') };
  const now = outing('2033-11-30', null, { end: null });
  const all = { ...year(2031, 365, 8), ...year(2032, 366, 8), ...year(2033, 365, 6) };
  const store = await river({ ...seen, now }, all);
  expect(selectHatch(store.getState(), now).warmth).toEqual({});
  store.dispatch(
    change('south', (draft) => void (draft.settings = { [SETTINGS_ID]: settingsSchema.cast({ south: true }) })),
  );
  // 153 days of 2 °C over 4 °C, where 194 and 173 days of 4 were needed.
  expect(selectHatch(store.getState(), now).warmth['mayfly/hatch']).toMatchObject([
    { group: null, from: '2033-07-01', now: 306, sum: 734, years: 2 },
  ]);
});

test('one logged year says nothing of warmth; the strip is about by the groups then', async () => {
  const now = outing('2033-04-10', null, { end: null });
  const store = await river({ a: SEEN.a, now }, { ...year(2031, 120, 8), ...year(2033, 100, 6) });
  expect(selectHatch(store.getState(), now).warmth).toEqual({});
  expect(selectTold(store.getState(), 'w').hours.n).toBe(0);
});

test('a strip is worked out from what came before its day, and the same is not worked out again', async () => {
  const own = outing('2032-04-09', '13:00');
  const later = outing('2033-04-09', '17:30');
  const store = await river({ a: outing('2031-04-10', '13:00'), b: own, c: later }, {});
  const first = selectHatch(store.getState(), own);
  expect(first.bands.find(({ id }) => id === 'mayfly/hatch')!.outings).toBe(1);
  store.dispatch(change('outing', (draft) => void (draft.outing.c!.note = 'windy')));
  expect(selectHatch(store.getState(), store.getState().records.entities.outing.b!)).toEqual(first);
  expect(selectHatch(store.getState(), later).bands.find(({ id }) => id === 'mayfly/hatch')!.outings).toBe(2);
});

test('the logger’s last three days count before what was read on the day', async () => {
  const now = outing('2033-04-10', null, { end: null, waterC: 15 });
  const store = await river({ now }, year(2033, 100, 6));
  expect(selectHatch(store.getState(), now).day.waterC).toBeCloseTo(6, 9);
  const bare = await river({ now }, {});
  expect(selectHatch(bare.getState(), now).day.waterC).toBe(15);
});
