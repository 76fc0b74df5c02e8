import { behindStep, doubtOf, likeWing, runsThin, staysBroad, type Seen } from './doubt';

/** Widths that fall evenly from the front to a share of it at the end. */
const falling = (to: number) =>
  Array.from({ length: 21 }, (_, index) => (index === 0 || index === 20 ? 0 : 20 * (1 - ((1 - to) * index) / 20)));
/** Even in front, another width from a station on. */
const stepped = (from: number, width: number) =>
  Array.from({ length: 21 }, (_, index) => (index === 0 || index === 20 ? 0 : index < from ? 20 : width));
const seen = (more: Partial<Seen> = {}) =>
  Object.values(doubtOf({ profile: falling(0.4), wings: true, rootFound: true, half: 20, edgePx: 2, ...more }));

test('tails that run together are half as thin as the body before them', () => {
  expect([stepped(15, 9), stepped(15, 10), falling(0.4)].map(runsThin)).toEqual([true, false, false]);
});

test('what widens behind by more than a tenth is as a wing is', () => {
  expect([stepped(10, 21.8), stepped(10, 22.2), falling(0.4)].map(likeWing)).toEqual([false, true, false]);
});

test('what keeps more than 0.85 of its width before its end may end under wings', () => {
  expect([stepped(14, 16.8), stepped(14, 17.2), falling(0.4)].map(staysBroad)).toEqual([false, true, false]);
});

test('a step down to an even width near the end is tails that run together: narrower than 0.65, as even as 1.4, behind the fourteenth station', () => {
  expect([stepped(18, 12.9), stepped(18, 13.1), stepped(14, 12), stepped(19, 8), falling(0.4)].map(behindStep)).toEqual(
    [2.75 / 20, 0, 6.75 / 20, 0, 0],
  );
  expect(behindStep(stepped(13, 12).map((width, at) => (at === 13 ? 20 : width)))).toBeCloseTo(6.75 / 20, 9);
  const uneven = (last: number) => stepped(16, 8).map((width, at) => (at === 19 ? last : width));
  expect([behindStep(uneven(11)), behindStep(uneven(11.4))]).toEqual([4.75 / 20, 0]);
});

describe('the doubt about an end', () => {
  test("is a quarter of the length, one SD, where it may be a wing's, a sixth where it may go on under wings", () => {
    expect(seen({ profile: stepped(10, 24) })).toEqual([0.25, 0]);
    expect(seen({ profile: stepped(14, 19), wings: false })).toEqual([0.16, 0]);
  });
  test('holds where a step is seen', () => expect(seen({ profile: stepped(16, 12) })).toEqual([0, 4.75 / 20 / 1.7]));
  test('wings that show beside the body do not lie over its end', () =>
    expect(seen({ profile: stepped(14, 19) })).toEqual([0, 0]));
  test('is half of that where an insect with wings is too blurred for its tails to be seen', () => {
    expect(seen({ rootFound: false, half: 7.9 })).toEqual([0, 0.08]);
    expect([
      seen({ rootFound: false, half: 8.1 }),
      seen({ rootFound: true, half: 7.9 }),
      seen({ rootFound: false, half: 7.9, wings: false }),
    ]).toEqual([
      [0, 0],
      [0, 0],
      [0, 0],
    ]);
  });
});
