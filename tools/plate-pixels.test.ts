import { DRESSINGS } from '../src/catalogue';
import { ALIKE, cardOnCommonHook, comparePlates, platePairs, platePixels, PLATE_HOOK } from './plate-pixels';

test('no two dressings of the library, drawn on one hook, can be taken for each other', async () => {
  const pairs = await platePairs();
  expect(pairs).toHaveLength((DRESSINGS.length * (DRESSINGS.length - 1)) / 2);
  expect(pairs.filter((pair) => pair.iou >= ALIKE.iou && (pair.deltaE ?? 0) <= ALIKE.deltaE)).toEqual([]);
}, 60_000);

test('a plate is like itself, and unlike itself in another colour', async () => {
  const dressing = DRESSINGS[0]!;
  const own = await platePixels(dressing);
  expect(comparePlates(own, own)).toMatchObject({ iou: 1, deltaE: 0 });
  const red = { ...own, rgb: own.rgb.map((_, i) => (i % 3 === 0 ? 220 : 20)) };
  expect(comparePlates(own, red).deltaE!).toBeGreaterThan(ALIKE.deltaE);
});

test('what is compared is the same hook for all', () =>
  expect(new Set(DRESSINGS.map((dressing) => cardOnCommonHook(dressing).hook.id))).toEqual(new Set([PLATE_HOOK])));
