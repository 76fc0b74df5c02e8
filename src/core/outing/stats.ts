import jStat from 'jstat';

/** What one fly did over a journal. */
export interface Flown {
  fly: string;
  /** What flies alike are told by; null where that is not known. */
  kind: string | null;
  hours: number;
  /** Fish that took it, those that got off with them; and those that stayed on. */
  takes: number;
  hooked: number;
  refused: number;
}

export interface Interval {
  mean: number;
  low: number;
  high: number;
}

export interface FlyStats extends Flown {
  perHour: Interval;
  /** Of fish that came to it, the share that took. */
  rate: Interval;
  /** The share it is drawn toward while little is known of it: that of flies of its kind, or of all. */
  toward: string;
}

/** Before anything is known of a fly it counts as this much fishing of the usual fly: hours, and fish that came. */
const PRIOR = { hours: 2, fish: 4 } as const;
const EDGE = 0.025;
const ALL_FLIES = 'all';

const sum = (flies: readonly Flown[], of: 'hours' | 'takes' | 'refused') =>
  flies.reduce((all, fly) => all + fly[of], 0);

/** Share of fish that took, of those that came; a half where none came. */
const shareOf = (flies: readonly Flown[]) => {
  const [takes, refused] = [sum(flies, 'takes'), sum(flies, 'refused')];
  return takes + refused === 0 ? 0.5 : takes / (takes + refused);
};

/**
 * Takes an hour (Gamma–Poisson) and the share that takes (Beta) of each fly with 95 % intervals, drawn toward what flies alike do
 * while little is known: an hour without a fish says little of a fly.
 */
export function flyStats(flies: readonly Flown[]): FlyStats[] {
  const hours = sum(flies, 'hours');
  const usual = hours === 0 ? 0 : sum(flies, 'takes') / hours;
  return flies.map((fly) => {
    const [shape, over] = [usual * PRIOR.hours + fly.takes, PRIOR.hours + fly.hours];
    const perHour =
      shape === 0
        ? { mean: 0, low: 0, high: 0 }
        : {
            mean: shape / over,
            low: jStat.gamma.inv(EDGE, shape, 1 / over),
            high: jStat.gamma.inv(1 - EDGE, shape, 1 / over),
          };
    const alike = fly.kind === null ? [] : flies.filter((own) => own !== fly && own.kind === fly.kind);
    const known = sum(alike, 'takes') + sum(alike, 'refused') > 0;
    const share = shareOf(known ? alike : flies);
    // Neither end is ever certain, so that an interval has both.
    const [a, b] = [
      Math.max(0.1, PRIOR.fish * share) + fly.takes,
      Math.max(0.1, PRIOR.fish * (1 - share)) + fly.refused,
    ];
    return {
      ...fly,
      perHour,
      rate: { mean: a / (a + b), low: jStat.beta.inv(EDGE, a, b), high: jStat.beta.inv(1 - EDGE, a, b) },
      toward: known ? fly.kind! : ALL_FLIES,
    };
  });
}
