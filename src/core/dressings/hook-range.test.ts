import { STYLES } from '@/catalogue';
import { reads, readsGape, referenceEye, referenceGape, referenceShank, referenceWire } from '../hooks';
import { referenceRangeOf } from './hook-range';

const style = (id: string) => STYLES.find((item) => item.id === id)!;
const range = (id: string, length_mm: [number, number]) => referenceRangeOf({ length_mm }, style(id));
const shanks = (id: string, length_mm: [number, number]) => range(id, length_mm).map(({ hook }) => hook.shank.value!);

test('the shortest, the middle of a doubling and the longest natural', () =>
  expect(range('upright-dun', [4, 16]).map(({ naturalMm }) => naturalMm)).toEqual([4, 8, 16]));
test('the iron carries the body: 1.00 straight, 1.20 on a curved shank, 1.45 on a continuous curve, 0.40 of a crane fly', () => {
  expect(shanks('upright-dun', [8, 8])[0]).toBeCloseTo(8, 9);
  expect(shanks('low-emerger', [12, 12])[0]).toBeCloseTo(12 / 1.2, 9);
  expect(shanks('grub', [14.5, 14.5])[0]).toBeCloseTo(14.5 / 1.45, 9);
  expect(shanks('detached-body', [20, 20])[0]).toBeCloseTo(8, 9);
});
test('a jig is carried as a straight hook is', () => expect(shanks('jig-nymph', [8, 8])[0]).toBeCloseTo(8, 9));
test('a cased larva by its case of 1.2, a raft by as many as make 11 mm, one where one is as long', () => {
  expect(shanks('cased-larva', [10, 10])[0]).toBeCloseTo(12, 9);
  expect(shanks('cluster', [2.75, 2.75])[0]).toBeCloseTo(5.5, 9);
  expect(shanks('cluster', [12, 12])[0]).toBeCloseTo(12, 9);
});
test('a reference hook: its gape, wire and eye are those of its own shank', () => {
  const { hook } = range('upright-dun', [8, 8])[0]!;
  const scale = referenceShank(reads(8));
  expect([hook.gape.value, hook.wireDiameter.value, hook.eyeOuter.value]).toEqual(
    [referenceGape(scale), referenceWire(scale), referenceEye(scale)].map((mm) => expect.closeTo(mm, 9)),
  );
  expect(readsGape(hook.gape.value!)).toBeCloseTo(reads(8), 6);
  expect([hook.bend, hook.eye, hook.barb]).toEqual(['round', 'down', 'barbed']);
});
