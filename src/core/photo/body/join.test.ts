import { joined } from './join';

const W = 160;
const H = 80;
const R = 10;

const mask = (rule: (x: number, y: number) => boolean) =>
  Uint8Array.from({ length: W * H }, (_, at) => (rule((at % W) + 0.5, Math.floor(at / W) + 0.5) ? 1 : 0));
const bar =
  (x0: number, x1: number, half: number, y = 40) =>
  (px: number, py: number) =>
    px > x0 && px < x1 && Math.abs(py - y) < half;
const either =
  (...rules: ((x: number, y: number) => boolean)[]) =>
  (x: number, y: number) =>
    rules.some((rule) => rule(x, y));
const at = (out: Uint8Array, x: number, y: number) => out[y * W + x]!;
const MAIN = bar(10, 80, R);

/** What is joined when the thick pieces are `thick` and everything that may be body is `likely`. */
const join = (thick: (x: number, y: number) => boolean, likely = thick) =>
  joined(mask(thick), mask(MAIN), mask(likely), W, H, R);

test('one piece stays as it is, and nothing stays nothing', () => {
  expect(join(MAIN)).toEqual(mask(MAIN));
  expect(joined(new Uint8Array(W * H), mask(MAIN), mask(MAIN), W, H, R)).toEqual(new Uint8Array(W * H));
});

test('the rest of a body beyond a white gap is joined, and the gap is bridged', () => {
  const out = join(either(MAIN, bar(88, 140, 7)));
  expect([at(out, 84, 40), at(out, 120, 40)]).toEqual([1, 1]);
});

test('so is what lies beyond a second gap', () => {
  const out = join(either(MAIN, bar(88, 110, 7), bar(117, 140, 6)));
  expect([at(out, 113, 40), at(out, 130, 40)]).toEqual([1, 1]);
});

test('a piece far off is another thing', () => expect(at(join(either(MAIN, bar(104, 150, 7))), 120, 40)).toBe(0));

test('a piece that leaves the side is a leg, however near and thick', () => {
  const leg = (x: number, y: number) => Math.abs(x - 45) < 6 && y > 54 && y < 78;
  expect(at(join(either(MAIN, leg)), 45, 66)).toBe(0);
});

test('a piece much thinner than the end it follows is a tail', () =>
  expect(at(join(either(MAIN, bar(86, 140, 3))), 110, 40)).toBe(0));

test('beyond a neck of body much thinner than both lie tails; a neck nearly as thick is the same body', () => {
  const pieces = either(MAIN, bar(88, 140, 7));
  expect(at(join(pieces, either(pieces, bar(78, 90, 2))), 120, 40)).toBe(0);
  expect(at(join(pieces, either(pieces, bar(78, 90, 6))), 120, 40)).toBe(1);
});

test('the piece of the body leads, though another is larger', () => {
  const wing = (x: number, y: number) => x > 100 && y > 50;
  const out = join(either(MAIN, wing));
  expect([at(out, 40, 40), at(out, 130, 70)]).toEqual([1, 0]);
});
