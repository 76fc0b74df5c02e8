/** A slice across the body: its colour (CIELAB), and how much is believed of it, 0 to 1. */
export interface Slice {
  lab: readonly [number, number, number];
  weight: number;
}

/** A piece of the body of one colour: how long its card says it is, mm. */
export interface Piece {
  mm: number;
}

export interface BodyEnd {
  /** Slices before it, from the rear. */
  at: number;
  /** How much worse the best reading is that has this end elsewhere: nats. */
  margin: number;
}

/** Slices of one piece differ by so much (CIELAB), and so many of them are one look, for light blurs them. */
const GRAIN = 3;
const ONE_LOOK = 4;
/** What lies before the body, eye and paper, fits no colour: it costs so much a slice. */
const BARE = 2;
/** A piece is off its length by this share, and never by less than so much, mm (SD); beyond these shares it is not believed. */
const OFF = { share: 0.16, leastMm: 0.12, short: 0.5, long: 1.6 } as const;
/** Another place for an end lies at least so far from it, mm. */
const APART_MM = 0.35;

/**
 * Where pieces that lie one before the other end: of all ways to cut the slices into them, the one in which each piece is of one colour and about as long as its card says.
 * `slices` from the rear to beyond the eye, every `stepMm`; the first piece begins `beforeMm` behind the first of them. Null where they do not fit at all.
 */
export function bodyEnds(
  slices: readonly Slice[],
  stepMm: number,
  beforeMm: number,
  pieces: readonly Piece[],
): BodyEnd[] | null {
  const n = slices.length;
  const sums = Array.from({ length: 5 }, () => new Float64Array(n + 1));
  slices.forEach(({ lab, weight }, at) => {
    const own = weight / ONE_LOOK;
    [1, ...lab, lab[0] ** 2 + lab[1] ** 2 + lab[2] ** 2].forEach((value, k) => {
      sums[k]![at + 1] = sums[k]![at]! + own * value;
    });
  });
  const between = (k: number, low: number, high: number) => sums[k]![high]! - sums[k]![low]!;
  const uneven = (low: number, high: number) => {
    const all = between(0, low, high);
    if (all <= 0) return 0;
    const mean = between(1, low, high) ** 2 + between(2, low, high) ** 2 + between(3, low, high) ** 2;
    return (between(4, low, high) - mean / all) / (2 * GRAIN ** 2);
  };
  /** Cost of one piece from a slice on to another; infinite where it would be far from its length. */
  const cost = (k: number, low: number, high: number) => {
    const { mm } = pieces[k]!;
    const long = (high - low) * stepMm + (k === 0 ? beforeMm : 0);
    if (high <= low || long < OFF.short * mm || long > OFF.long * mm) return Infinity;
    return uneven(low, high) + 0.5 * ((long - mm) / Math.max(OFF.leastMm, OFF.share * mm)) ** 2;
  };
  const upTo = [new Float64Array(n + 1).fill(Infinity)];
  upTo[0]![0] = 0;
  const from = Array.from({ length: pieces.length + 1 }, () => new Float64Array(n + 1).fill(Infinity));
  for (let at = 0; at <= n; at++) from[pieces.length]![at] = (BARE * (n - at)) / ONE_LOOK;
  const each = (k: number, see: (low: number, high: number, value: number) => void) => {
    const { mm } = pieces[k]!;
    for (let low = 0; low < (k === 0 ? 1 : n); low++) {
      const most = Math.min(n, low + Math.ceil((OFF.long * mm) / stepMm));
      for (let high = low + 1; high <= most; high++) {
        const value = cost(k, low, high);
        if (value < Infinity) see(low, high, value);
      }
    }
  };
  pieces.forEach((_, k) => {
    const next = new Float64Array(n + 1).fill(Infinity);
    each(k, (low, high, value) => {
      next[high] = Math.min(next[high]!, upTo[k]![low]! + value);
    });
    upTo.push(next);
  });
  for (let k = pieces.length - 1; k >= 0; k--)
    each(k, (low, high, value) => {
      from[k]![low] = Math.min(from[k]![low]!, value + from[k + 1]![high]!);
    });
  if (!(from[0]![0]! < Infinity)) return null;
  const apart = Math.ceil(APART_MM / stepMm);
  return pieces.map((_, k) => {
    const whole = (at: number) => upTo[k + 1]![at]! + from[k + 1]![at]!;
    let best = 0;
    for (let at = 0; at <= n; at++) if (whole(at) < whole(best)) best = at;
    let other = Infinity;
    for (let at = 0; at <= n; at++) if (Math.abs(at - best) > apart) other = Math.min(other, whole(at));
    return { at: best, margin: other - whole(best) };
  });
}
