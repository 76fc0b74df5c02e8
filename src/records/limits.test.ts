import { KNOWN } from '@/catalogue/known-ids';
import { dressingSchema } from '@/core/dressings/dressing';
import { SHIPPED } from '../../tools/test-catalogue';
import { KINDS, LEDGERS } from '.';
import { photoSchema } from './photo/schema';

const DUN = SHIPPED.dressings.find(({ id }) => id === 'first-light-dun')!;
const dressing = dressingSchema(KNOWN);
const part = (more: object) => ({ ...DUN, parts: [{ ...DUN.parts[0]!, ...more }, ...DUN.parts.slice(1)] });
const step = (more: object) => ({ ...DUN, steps: [{ ...DUN.steps[0]!, ...more }, ...DUN.steps.slice(1)] });
const many = <T>(count: number, item: T) => Array.from({ length: count }, () => item);
const share = (factor: number) => ({ base: 'gape', factor });

/** The most that is let in, and the first that is not, each as what is changed. */
const DRESSINGS: readonly (readonly [name: string, most: object, past: object])[] = [
  ['a share', part({ thick: share(100) }), part({ thick: share(100.1) })],
  ['a share below nothing', part({ thick: share(-100) }), part({ thick: share(-100.1) })],
  ['a factor', part({ factor: 1000 }), part({ factor: 1001 })],
  ['a count', part({ count: 500 }), part({ count: 501 })],
  ['turns', step({ turns: 500 }), step({ turns: 501 })],
  ['a wait', step({ wait_s: 172_800 }), step({ wait_s: 172_801 })],
  ['a note', step({ note: 'x'.repeat(2000) }), step({ note: 'x'.repeat(2001) })],
  ['parts', { ...DUN, parts: many(60, DUN.parts[0]!) }, { ...DUN, parts: many(61, DUN.parts[0]!) }],
  ['steps', { ...DUN, steps: many(400, DUN.steps[0]!) }, { ...DUN, steps: many(401, DUN.steps[0]!) }],
  [
    'a bead',
    { ...DUN, weights: [{ kind: 'bead', diameter_mm: 15 }] },
    { ...DUN, weights: [{ kind: 'bead', diameter_mm: 15.1 }] },
  ],
];

test.each(DRESSINGS)('of a dressing %s has a most', (_, most, past) =>
  expect([dressing.isValidSync(most), dressing.isValidSync(past)]).toEqual([true, false]),
);

const sample = (more: object) => ({ when: '2033-05-24T04:50', ...more });
const one = { id: 'i', body: { mm: 8, typed: null } };
const insect = {
  n: 1,
  specimenId: null,
  what: 'body',
  bodyMm: 8,
  sdMm: 0.2,
  midlineMm: [
    [1, 1],
    [5, 5],
  ],
  widthsMm: [1],
  overallMm: 9,
  factor: 1,
  hand: null,
};
const photo = (overlay: object, more: object = {}) => ({
  sampleId: 's',
  type: 'image/jpeg',
  bytes: 1,
  taken: '2033-05-24T04:50',
  overlay: { leftMm: 0, topMm: 0, widthMm: 12, heightMm: 9, by: 'card', view: 'belly', insects: [insect], ...overlay },
  ...more,
});
const model = (more: object) => ({
  makerId: 'osmere',
  slug: 'lark',
  name: 'Lark',
  bend: 'round',
  eye: 'down',
  point: 'straight',
  barb: 'barbed',
  ...more,
});

test('a sample holds so many individuals and so long a place', () => {
  const { schema } = KINDS.sample;
  expect(schema.isValidSync(sample({ specimens: many(1000, one) }))).toBe(true);
  expect(schema.isValidSync(sample({ specimens: many(1001, one) }))).toBe(false);
  expect(schema.isValidSync(sample({ place: 'x'.repeat(10_000) }))).toBe(true);
  expect(schema.isValidSync(sample({ place: 'x'.repeat(10_001) }))).toBe(false);
});

test.each(['2033-05-24T04:50', '2033-05-24', '2033-05-24T04:50:09Z', '2033-05-24T04:50+02:00'])(
  '%s is a time',
  (when) => expect(KINDS.sample.schema.isValidSync({ when })).toBe(true),
);
test.each(['dawn', '2033-13-24T04:50', '2033-05-32', '2033-05-24T25:00', '2033-05-24T04:60', '24.5.2033', '2033'])(
  '%s is none',
  (when) => expect(KINDS.sample.schema.isValidSync({ when })).toBe(false),
);

test('a move has a most', () => {
  const move = (count: number) => LEDGERS.packet.schema.isValidSync({ at: '2033-05-24T04:50', count, why: 'got' });
  expect([move(1_000_000), move(1_000_001), move(-1_000_000), move(-1_000_001)]).toEqual([true, false, true, false]);
});

test('a model says X of a label up to twenty, a plain name and dimensions that a hook can have', () => {
  const valid = (more: object) => KINDS.model.schema.isValidSync(model(more));
  expect([valid({}), valid({ xLong: 20 }), valid({ xLong: 21 }), valid({ slug: '../x' })]).toEqual([
    true,
    true,
    false,
    false,
  ]);
  const size = (shankMm: number) => valid({ sizes: { 14: { shankMm } } });
  expect([size(10_000), size(10_001), size(0)]).toEqual([true, false, false]);
});

test('what is drawn over a photograph is whole', () => {
  const valid = (overlay: object) => photoSchema.isValidSync(photo(overlay));
  expect(valid({})).toBe(true);
  for (const odd of [
    { insects: [null] },
    { insects: [{}] },
    { insects: many(101, insect) },
    { insects: [{ ...insect, midlineMm: [[1, 1]] }] },
    { insects: [{ ...insect, midlineMm: many(5001, [1, 1]) }] },
    { insects: [{ ...insect, bodyMm: 1001 }] },
    { insects: [{ ...insect, factor: 101 }] },
    { widthMm: 1001 },
    { widthMm: 0 },
    { by: 'eye' },
  ])
    expect([odd, valid(odd)]).toEqual([odd, false]);
  expect(valid({ insects: many(100, insect), widthMm: 1000 })).toBe(true);
});
