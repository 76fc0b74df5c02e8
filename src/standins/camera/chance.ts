/** Chance that repeats by its seed (mulberry32, public domain). */
export interface Chance {
  /** 0 to 1. */
  next(): number;
  between(low: number, high: number): number;
  pick<T>(items: readonly T[]): T;
  /** Mean 0, SD 1. */
  normal(): number;
}

export function chance(seed: number): Chance {
  let state = seed >>> 0;
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
  return {
    next,
    between: (low, high) => low + (high - low) * next(),
    pick: (items) => items[Math.floor(next() * items.length)]!,
    normal: () => Math.sqrt(-2 * Math.log(next() + 1e-12)) * Math.cos(2 * Math.PI * next()),
  };
}
