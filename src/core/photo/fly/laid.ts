import { deltaE, labOfHex } from '../../colour';
import type { Point } from '../../hooks/drawn';
import type { Tones } from '../field/tones';
import { bodyEnds, type Slice } from './body-ends';
import type { FlySought, SoughtPart } from './sought';
import { ON, STEP_MM, type Seen } from './seen';

/** An end of the body is told by colour where the card changes it by so much (CIELAB), where no other reading is nearly as good (nats), and where it changes in about the card's direction (cosine). Slices reach to where the shank bends and beyond the eye. */
const PLAIN = {
  colours: 8,
  margin: 4.5,
  alike: 0.5,
  windowMm: 0.5,
  clearMm: 0.1,
  straight: 0.78,
  bend: 1.02,
  beyondMm: 1.6,
} as const;
/** Parts join where one ends so near the other's beginning. */
const JOINED_MM = 0.4;
/** Barbs and wings over the body hide its colour: what stands out beside it, over how much, what share is too much, and what is then still believed. */
const COVER = { fromMm: 0.9, besideMm: 0.35, wideMm: 0.9, most: 0.35, weight: 0.15, nearMm: 0.16, plain: 0.2 } as const;

/** Parts that lie one before the other along the hook, the rearmost first; those of one colour, whose end nobody sees, together. */
function chainOf({ parts }: FlySought): SoughtPart[][] {
  const chain: SoughtPart[][] = [];
  const along = parts
    .filter(
      ({ taken, fromMm, toMm, mm }) => taken === 'along' && toMm !== null && Math.abs(fromMm - toMm - mm) < 0.1 * mm,
    )
    .sort((a, b) => b.fromMm - a.fromMm);
  for (const part of along) {
    const last = chain.at(-1)?.at(-1);
    if (last && Math.abs(part.fromMm - last.toMm!) > JOINED_MM) break;
    if (last && (!part.hex || !last.hex || deltaE(labOfHex(part.hex), labOfHex(last.hex)) < PLAIN.colours))
      chain.at(-1)!.push(part);
    else chain.push([part]);
  }
  return chain;
}

/** Ends of what lies along the hook, by part: where it begins and ends, mm from the back of the eye, for those whose both ends are plain. */
export function laidOf(
  seen: Seen,
  sought: FlySought,
  tones: Tones,
  place: (p: Point) => [number, number],
  bend: boolean,
): Map<string, [from: number, to: number]> {
  const found = new Map<string, [number, number]>();
  const chain = chainOf(sought);
  if (chain.length === 0) return found;
  const { width } = seen.ink;
  const { shank: along } = seen.pose;
  const thick = chain.flat().map(({ thickMm }) => thickMm);
  const half = 0.3 * Math.min(...thick);
  const start = chain[0]![0]!.fromMm * along;
  // Where the hook bends a slice across it is none across the body.
  const rear = Math.min(start - PLAIN.clearMm, PLAIN.straight * sought.hook.shankMm * along);
  const over = Math.max(COVER.fromMm, 0.5 * Math.max(...thick) + COVER.besideMm);
  const cover: number[] = [];
  const slices: Slice[] = [];
  for (let mm = rear; mm > -PLAIN.beyondMm; mm -= STEP_MM) {
    const middle = seen.onHook(mm);
    const sum: [number, number, number] = [0, 0, 0];
    let n = 0;
    for (let up = -half; up <= half; up += STEP_MM) {
      const [x, y] = place([middle[0], middle[1] + up]);
      const at = Math.floor(y) * width + Math.floor(x);
      if (!(at >= 0 && at < tones.L.length)) continue;
      sum[0] += tones.L[at]!;
      sum[1] += tones.a[at]!;
      sum[2] += tones.b[at]!;
      n++;
    }
    let [lies, all] = [0, 0];
    for (let up = over; up < over + COVER.wideMm; up += STEP_MM)
      for (const side of [1, -1]) {
        if (seen.at([middle[0], middle[1] + side * up]) > ON) lies++;
        all++;
      }
    cover.push(lies / all);
    slices.push({
      lab: [sum[0] / Math.max(1, n), sum[1] / Math.max(1, n), sum[2] / Math.max(1, n)],
      weight: n === 0 ? 0 : lies / all > COVER.most ? COVER.weight : 1,
    });
  }
  const ends = bodyEnds(
    slices,
    STEP_MM,
    start - rear,
    chain.map((own) => ({ mm: along * own.reduce((sum, { mm }) => sum + mm, 0) })),
  );
  if (!ends) return found;
  const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / (values.length || 1);
  const colour = (low: number, high: number) =>
    [0, 1, 2].map((k) => mean(slices.slice(Math.max(0, low), Math.max(0, high)).map(({ lab }) => lab[k]!)));
  /** Whether the colour changes there as it does on the card. */
  const asOnCard = (at: number, behind: SoughtPart, front: SoughtPart) => {
    const [near, far] = [Math.round(PLAIN.clearMm / STEP_MM), Math.round(PLAIN.windowMm / STEP_MM)];
    const [here, there] = [colour(at - far, at - near), colour(at + near, at + far)];
    const [from, to] = [labOfHex(behind.hex!), labOfHex(front.hex!)];
    const wanted = to.map((value, k) => value - from[k]!);
    const is = there.map((value, k) => value - here[k]!);
    const dot = is.reduce((sum, value, k) => sum + value * wanted[k]!, 0);
    return dot > PLAIN.alike * Math.hypot(...is) * Math.hypot(...wanted);
  };
  // Round the bend a body is longer than from end to end.
  let last = { mm: start, plain: bend && start <= PLAIN.bend * sought.hook.shankMm * along };
  chain.forEach((own, k) => {
    const { at, margin } = ends[k]!;
    const front = chain[k + 1]?.[0];
    const near = Math.round(COVER.nearMm / STEP_MM);
    const end = {
      mm: rear - (at - 0.5) * STEP_MM,
      plain:
        margin > PLAIN.margin &&
        mean(cover.slice(Math.max(0, at - near), at + near)) < COVER.plain &&
        (!front || asOnCard(at, own.at(-1)!, front)),
    };
    if (own.length === 1 && last.plain && end.plain) found.set(own[0]!.id, [last.mm, end.mm]);
    last = end;
  });
  return found;
}
