import { lightOf } from '../field/light';
import type { CardField } from '../field/rectify';
import { tonesOf } from '../field/tones';
import { cutsOf as bodiesOf, notPaper, piecesOf } from './separate';

const W = 400;
const H = 240;
const SCALE = 10;
type Tint = readonly [number, number, number];
const BODY: Tint = [0.16, 0.1, 0.04];

/** White paper under even light with painted patches, as the field shows them. */
function tonesWith(paint: (x: number, y: number) => Tint | null): {
  field: CardField;
  tones: ReturnType<typeof tonesOf>;
} {
  const planes = [0, 1, 2].map(() => new Float32Array(W * H));
  for (let y = 0; y < H; y++)
    for (let x = 0; x < W; x++) {
      const what = paint(x + 0.5, y + 0.5) ?? [1, 1, 1];
      // Paper has a grain of its own.
      const grain = 1 + 0.01 * Math.sin(x * 12.9898 + y * 78.233);
      for (let channel = 0; channel < 3; channel++) planes[channel]![y * W + x] = 0.8 * what[channel]! * grain;
    }
  const field: CardField = {
    width: W,
    height: H,
    scale: SCALE,
    left: 0,
    top: 0,
    r: planes[0]!,
    g: planes[1]!,
    b: planes[2]!,
    clipped: 0,
  };
  return { field, tones: tonesOf(field, lightOf(field)) };
}
const cutsOf = (paint: (x: number, y: number) => Tint | null) => {
  const { field, tones } = tonesWith(paint);
  const pieces = piecesOf(field, tones);
  return pieces.blobs.flatMap((blob) => bodiesOf(field, pieces, blob, field, tones).slice(0, 1));
};
const body = (x: number, y: number, cx = 200, cy = 120, long = 40, half = 8) =>
  Math.abs(x - cx) < long && Math.abs(y - cy) < half;
const leg = (x: number, y: number) => Math.abs(x - 185 - (y - 120) * 0.2) < 1.2 && Math.abs(y - 120) < 40;
const area = (mask: Uint8Array) => mask.reduce((sum, value) => sum + value, 0);

describe('insect and paper', () => {
  test('clean paper holds nothing', () => {
    const { field, tones } = tonesWith(() => null);
    expect(area(notPaper(field, tones).mask)).toBe(0);
    expect(piecesOf(field, tones).blobs).toEqual([]);
  });
  test('a body keeps its outline, its legs are taken off the trunk', () => {
    const [cut] = cutsOf((x, y) => (body(x, y) || leg(x, y) ? BODY : null));
    expect(area(cut!.trunk)).toBeGreaterThan(0.94 * 80 * 16);
    expect(area(cut!.trunk)).toBeLessThan(1.06 * 80 * 16);
    expect(area(cut!.all)).toBeGreaterThan(area(cut!.trunk) + 80);
    expect(cut!.radius).toBeCloseTo(8, 0);
  });
  test('a grey shadow beside it is not body', () => {
    const [cut] = cutsOf((x, y) => (body(x, y) ? BODY : body(x, y, 206, 132, 40, 10) ? [0.6, 0.6, 0.6] : null));
    expect(area(cut!.trunk)).toBeLessThan(1.12 * 80 * 16);
  });
  test('a clear wing on a dark body is not body, but is told of', () => {
    const wing = (x: number, y: number) => Math.abs(x - 190) < 16 && y > 40 && y < 112;
    const [cut] = cutsOf((x, y) => (body(x, y) ? BODY : wing(x, y) ? [0.78, 0.79, 0.8] : null));
    expect(area(cut!.trunk)).toBeLessThan(1.1 * 80 * 16);
    expect(area(cut!.all)).toBeGreaterThan(1.5 * 80 * 16);
  });
  test('a paler part of the same body belongs to it when it has a colour', () => {
    const [cut] = cutsOf((x, y) => (body(x, y) ? (x < 180 ? [0.05, 0.04, 0.03] : [0.62, 0.5, 0.24]) : null));
    expect(area(cut!.trunk)).toBeGreaterThan(0.92 * 80 * 16);
  });
  test('wet glare in the middle of it is no hole', () => {
    const [cut] = cutsOf((x, y) => (body(x, y) ? (Math.hypot(x - 200, y - 120) < 3 ? [0.99, 0.99, 1] : BODY) : null));
    expect(area(cut!.trunk)).toBeGreaterThan(0.97 * 80 * 16);
  });
  test('the gap of a closed curl stays a gap', () => {
    const ring = (x: number, y: number) => {
      const d = Math.hypot(x - 200, y - 120);
      return d > 22 && d < 36 && !(x > 200 && Math.abs(y - 120) < 5);
    };
    const [cut] = cutsOf((x, y) => (ring(x, y) ? BODY : null));
    expect(cut!.trunk[120 * cut!.width + 200]).toBe(0);
  });
  test('two insects are two cuts, a crumb is none, and one at the rim says so', () => {
    const cuts = cutsOf((x, y) =>
      body(x, y, 100) || body(x, y, 300, 80, 30, 6) || Math.hypot(x - 200, y - 200) < 1.2 ? BODY : null,
    );
    expect(cuts.map((cut) => cut.touchesEdge)).toEqual([false, false]);
    expect(cutsOf((x, y) => (body(x, y, 30) ? BODY : null))[0]!.touchesEdge).toBe(true);
    expect(cutsOf((x, y) => (body(x, y) || leg(x, y - 60) ? BODY : null))[0]!.touchesEdge).toBe(false);
  });
  test('a highlight across a thin abdomen does not cut it in two; tails that gather at its end are not its rest', () => {
    const thin = (x: number, y: number) =>
      (body(x, y, 150, 120, 24, 10) || body(x, y, 230, 120, 60, 4)) &&
      !(Math.abs(x - 235) < 5 && Math.abs(y - 120) < 3.4);
    const [cut] = cutsOf((x, y) => (thin(x, y) ? BODY : null));
    expect(cut!.trunk[120 * cut!.width + 280]).toBe(1);
    expect(area(cut!.trunk)).toBeGreaterThan(0.9 * (48 * 20 + 96 * 8));
    const tails = (x: number, y: number) => x > 290 && x < 330 && Math.abs(Math.abs(y - 120) - 0.12 * (x - 290)) < 1;
    const [tailed] = cutsOf((x, y) =>
      body(x, y, 150, 120, 24, 10) || body(x, y, 230, 120, 60, 4) || tails(x, y) ? BODY : null,
    );
    expect(tailed!.trunk[120 * tailed!.width + 284]).toBe(1);
    expect(tailed!.trunk[124 * tailed!.width + 322]).toBe(0);
  });
  test('a gap between two legs that meet is filled neither as body nor as the way of its midline', () => {
    const legs = (x: number, y: number) =>
      y < 120 && y > 92 && (Math.abs(x - 176) < 2.2 || Math.abs(x - 188) < 2.2 || (Math.abs(x - 182) < 8 && y < 97));
    const [cut] = cutsOf((x, y) => (body(x, y) || legs(x, y) ? BODY : null));
    expect(cut!.trunk[104 * cut!.width + 182]).toBe(0);
    const ys = cut!.line!.map(([, y]) => y);
    expect(Math.min(...ys)).toBeGreaterThan(112);
  });
  test('a wing is neither body nor ink of its tails; tails are ink', () => {
    const WING: Tint = [0.12, 0.15, 0.18];
    const legs = (x: number, y: number) => y > 120 && y < 165 && [140, 152, 164].some((at) => Math.abs(x - at) < 1.6);
    const tails = (x: number, y: number) => x > 240 && x < 320 && Math.abs(Math.abs(y - 120) - 0.16 * (x - 240)) < 1.3;
    const wing = (x: number, y: number) => ((x - 165) / 20) ** 2 + ((y - 70) / 44) ** 2 < 1;
    const [cut] = cutsOf((x, y) =>
      body(x, y, 185, 120, 55, 9) || legs(x, y) || tails(x, y) ? BODY : wing(x, y) ? WING : null,
    );
    const at = (mask: Uint8Array, x: number, y: number) => mask[y * cut!.width + x];
    expect([at(cut!.all, 165, 60), at(cut!.trunk, 165, 60), at(cut!.ink, 165, 60)]).toEqual([1, 0, 0]);
    expect([at(cut!.trunk, 200, 120), at(cut!.ink, 200, 120), at(cut!.ink, 290, 128)]).toEqual([1, 1, 1]);
  });
});
