import { labOfHex, wetHex } from '../colour';
import type { Card } from '../card/card-shape';
import { seenAs, stripIn, stripOf } from './strip';

const part = (id: string, hex: string, wet: string | null, region: string | null = 'abdomen-belly') =>
  ({
    id,
    part: 'abdomen',
    material: { id: 'fine-fur', name: 'Fur', function: 'body.dubbed' },
    colour: { hex, region, wet: wet && { hex: wet } },
  }) as unknown as Card['parts'][number];
const card = (parts: Card['parts'], layers: object[] = []) => ({ parts, layers: layers as Card['layers'] });
const BELLY = { 'abdomen-belly': '#8a7f3c' } as const;

test('a natural seen dry is held against the part dry, and what it becomes wet against the part wet', () => {
  const [row] = stripOf(card([part('abdomen', '#8a7f3c', '#6c6128')]), BELLY, 'dry');
  expect(row).toMatchObject({
    region: 'abdomen-belly',
    natural: { dry: '#8a7f3c', wet: wetHex('#8a7f3c') },
    made: { dry: '#8a7f3c', wet: '#6c6128' },
  });
  expect(row!.apart.dry).toBe(0);
  expect(row!.apart.wet).toBeCloseTo(0, 0);
  expect(labOfHex(row!.natural.wet)[0]).toBeLessThan(labOfHex(row!.natural.dry!)[0]);
});
test('one seen wet says nothing of its dry colour', () => {
  const [row] = stripOf(card([part('abdomen', '#8a7f3c', '#8a7f3c')]), BELLY, 'wet');
  expect([row!.natural, row!.apart]).toEqual([
    { dry: null, wet: '#8a7f3c' },
    { dry: null, wet: 0 },
  ]);
});
test('what shows through counts: the layers of a part stand before its outermost colour', () => {
  const layers = [{ part: 'abdomen', dry: { hex: '#111111' }, wet: { hex: '#222222' } }];
  expect(stripOf(card([part('abdomen', '#8a7f3c', '#6c6128')], layers), BELLY, 'dry')[0]!.made).toEqual({
    dry: '#111111',
    wet: '#222222',
  });
});
test('parts without a region, and regions without a colour, have no row; what does not darken is as it is', () => {
  expect(
    stripOf(card([part('rib', '#111111', null, null), part('wing', '#111111', null, 'wing')]), BELLY, 'dry'),
  ).toEqual([]);
  expect(stripOf(card([part('abdomen', '#8a7f3c', null)]), BELLY, 'wet')[0]!.made.wet).toBe('#8a7f3c');
});
test('what stands on the water is seen dry, all else wet', () =>
  expect((['high', 'film', 'hanging', 'under', 'sink'] as const).map(seenAs)).toEqual([
    'dry',
    'wet',
    'wet',
    'wet',
    'wet',
  ]));
test('in one state: a natural that was seen wet alone is judged wet, whatever is asked', () => {
  const row = { natural: { dry: 'a', wet: 'b' }, made: { dry: 'c', wet: 'd' }, apart: { dry: 1, wet: 2 } } as never;
  expect([stripIn(row, 'dry'), stripIn(row, 'wet')]).toEqual([
    { natural: 'a', made: 'c', apart: 1 },
    { natural: 'b', made: 'd', apart: 2 },
  ]);
  const wet = { natural: { dry: null, wet: 'b' }, made: { dry: 'c', wet: 'd' }, apart: { dry: null, wet: 2 } } as never;
  expect(stripIn(wet, 'dry')).toEqual({ natural: 'b', made: 'd', apart: 2 });
});
