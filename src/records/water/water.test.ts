import { migrate } from '../migrate';
import { outingSchema } from '../outing/schema';
import { sampleSchema } from '../sample/schema';
import { waterSchema } from './schema';
import { matchesOf } from '../outing/queries';
import { waterOfSample } from './queries';

const water = Object.fromEntries(
  ['Auldry', 'Auldry Mill', 'Fenbeck'].map((name) => [
    name.toLowerCase().replace(' ', '-'),
    waterSchema.cast({ name }),
  ]),
);
const outing = { o: outingSchema.cast({ start: '2033-05-24T04:50', waterId: 'fenbeck' }) };

test.each([
  ['of its outing, whatever its place says', { outingId: 'o', place: 'Auldry' }, 'fenbeck'],
  ['the longest name its place begins with', { place: 'auldry mill, top weir' }, 'auldry-mill'],
  ['a name alone', { place: ' Auldry, long riffle' }, 'auldry'],
  ['no water where the place names none', { place: 'the Auldry' }, null],
  ['no water of an outing that is gone', { outingId: 'x' }, null],
])('a natural comes from the water %s', (_, sample, said) => {
  expect(waterOfSample({ water, outing }, sampleSchema.cast({ when: '2033-05-24T04:50', ...sample }))).toBe(said);
});

test('matches of an outing are those whose naturals were found on it', () => {
  const sample = {
    s: sampleSchema.cast({ when: '2033-05-24T04:50', outingId: 'o' }),
    t: sampleSchema.cast({ when: '2033-05-24T04:50' }),
  };
  const match = { m: { sampleId: 's' }, n: { sampleId: 't' }, gone: { sampleId: 'u' } } as never;
  expect(matchesOf({ match, sample }, 'o')).toEqual(['m']);
});

test('what was stored by older versions is read on: a water without its place, an outing without its rig, a sample without its outing', () => {
  const was = migrate('water', 1, { name: 'Auldry', kind: 'river', maxFlies: 2, barbRule: 'barbless', lead: false });
  expect(was).toMatchObject({
    ok: true,
    data: { name: 'Auldry', maxFlies: 2, lead: false, place: null, daily: {}, hookLargest: null, hookLongestMm: null },
  });
  const tally = {
    all: { took: 1, refused: 0, 'lost-fish': 0, 'lost-fly': 0 },
    of: {},
    seen: {},
    rises: {},
    events: 1,
    latest: [],
  };
  const fly = { id: 't1', name: 'Dun', on: '2033-05-24T05:00', off: null };
  expect(migrate('outing', 1, { start: '2033-05-24T04:50', team: [fly], tally, waterC: 9 })).toMatchObject({
    ok: true,
    data: {
      waterC: 9,
      rig: null,
      plan: [],
      temps: [],
      currentMmS: null,
      team: [{ name: 'Dun', apartMm: null }],
      tally,
    },
  });
  const { outingId: _, ...sample } = sampleSchema.cast({ when: '2033-05-24T04:50', place: 'Auldry' });
  expect(migrate('sample', 5, sample)).toMatchObject({ ok: true, data: { place: 'Auldry', outingId: null } });
});
