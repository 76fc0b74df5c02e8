import { BELLY } from '@/core/constants';
import { around } from '../__tests__/around';
import { cleanEntities } from '../demo';
import { newMatch } from '../match/commands';
import * as command from './commands';

function begun() {
  const draft = cleanEntities();
  const here = around();
  const { sampleId } = newMatch.run(draft, {}, here);
  return { draft, here, sampleId, sample: () => draft.sample[sampleId]! };
}

test('a sign that is said is not skipped any more; taken back it is open again', () => {
  const { draft, here, sampleId, sample } = begun();
  command.skipSign.run(draft, { sampleId, sign: 'wings' }, here);
  command.skipSign.run(draft, { sampleId, sign: 'wings' }, here);
  expect(sample().skipped).toEqual(['wings']);
  command.saySign.run(draft, { sampleId, sign: 'wings', answer: 'cloudy-upright' }, here);
  command.saySign.run(draft, { sampleId, sign: 'found', answer: 'bed' }, here);
  expect(sample()).toMatchObject({ skipped: [], signs: { wings: 'cloudy-upright' }, found: 'bed' });
  command.takeBack.run(draft, { sampleId, sign: 'wings', answer: 'cloudy-upright' }, here);
  command.takeBack.run(draft, { sampleId, sign: 'found', answer: 'bed' }, here);
  expect(sample()).toMatchObject({ signs: {}, found: null });
});

test('taken back, what was only said goes; what is measured or on the clock stays and is left out, once', () => {
  const { draft, here, sampleId, sample } = begun();
  const back = (sign: string, answer = '') => command.takeBack.run(draft, { sampleId, sign, answer }, here);
  command.setSample.run(draft, { sampleId, rough: { mm: 8, halfMm: 1, how: 'chip' }, water: 'fast' }, here);
  command.saySeen.run(draft, { sampleId, seen: 'duns', on: true }, here);
  command.sayShade.run(draft, { sampleId, region: BELLY, shade: 'dark-olive' }, here);
  back('length');
  back('water');
  back('seen', 'duns');
  back('belly');
  back('month');
  back('month');
  expect(sample()).toMatchObject({ rough: null, water: null, seen: [], shades: {}, leftOut: ['month'] });
  const id = command.addSpecimen.run(draft, { sampleId }, here);
  command.typeMeasure.run(draft, { sampleId, of: { specimenId: id }, measure: { mm: 8, typed: null } }, here);
  command.typeColour.run(draft, { sampleId, region: BELLY, text: '#8a7f3c' }, here);
  back('length');
  back('belly');
  expect(sample()).toMatchObject({
    leftOut: ['month', 'length', 'belly'],
    colours: { [BELLY]: '#8a7f3c' },
    specimens: [{ body: { mm: 8 } }],
  });
  command.weighAgain.run(draft, { sampleId, what: 'length' }, here);
  expect(sample().leftOut).toEqual(['month', 'belly']);
});

test('a body typed anew loses the ± of its photograph; overall and case are their own', () => {
  const { draft, here, sampleId, sample } = begun();
  const id = command.addSpecimen.run(draft, { sampleId }, here);
  sample().specimens[0]!.halfMm = 0.2;
  command.typeMeasure.run(draft, { sampleId, of: { specimenId: id }, measure: { mm: null, typed: 'long' } }, here);
  command.typeMeasure.run(draft, { sampleId, of: 'case', measure: { mm: 12, typed: null } }, here);
  expect(sample()).toMatchObject({
    specimens: [{ body: { mm: null, typed: 'long' }, halfMm: null }],
    case: { mm: 12 },
    overall: { mm: null },
  });
});

test.each([
  [8, 0.1, 8.1],
  [0.5, -0.1, 0.5],
  [120, 0.1, 120],
  [7.999, 0.1, 8.1],
])('%f nudged by %f is %f', (mm, byMm, after) => {
  const { draft, here, sampleId, sample } = begun();
  const specimenId = command.addSpecimen.run(draft, { sampleId }, here);
  sample().specimens[0]!.body = { mm, typed: 'x' };
  command.nudgeSpecimen.run(draft, { sampleId, specimenId, byMm }, here);
  expect(sample().specimens[0]!.body).toEqual({ mm: after, typed: null });
});

test.each([
  ['mayfly', 'female'],
  ['midge', 'male'],
  ['beetle', 'female'],
])('of two heaps of a %s the longer are %s', (order, longer) => {
  const { draft, here, sampleId, sample } = begun();
  const [a, b, c] = [1, 2, 3].map(() => command.addSpecimen.run(draft, { sampleId }, here)) as [string, string, string];
  command.tellSexesApart.run(draft, { sampleId, among: [a, b], longer: [b], order }, here);
  const sexes = Object.fromEntries(sample().specimens.map((insect) => [insect.id, insect.sex]));
  expect([sexes[b], sexes[a] === sexes[b], sexes[c]]).toEqual([longer, false, null]);
});

test('a colour that cannot be read is kept as typed, and goes when it can be', () => {
  const { draft, here, sampleId, sample } = begun();
  const type = (text: string) => command.typeColour.run(draft, { sampleId, region: 'wing', text }, here);
  type('#9aa0a3');
  type('greyish');
  expect([sample().colours.wing, sample().unread.wing]).toEqual(['#9aa0a3', 'greyish']);
  type('');
  expect([sample().colours, sample().unread]).toEqual([{}, {}]);
});

test('undo calls a field by what it is', () => {
  const called = (fields: object) => command.setSample.label({ sampleId: 's', ...fields });
  expect([called({ water: 'fast' }), called({ kept: true }), called({ place: 'x' }), called({ rise: null })]).toEqual([
    'water',
    'keep',
    'title',
    'sign',
  ]);
  expect([
    command.setSample.field({ sampleId: 's', place: 'x' }),
    command.setSample.field({ sampleId: 's', water: null }),
  ]).toEqual(['s/place', null]);
});
