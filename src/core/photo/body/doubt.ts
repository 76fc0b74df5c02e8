import { mean, median } from '../median';
import { holding } from './length-error';

/** Tails that run together are this thin against the body. */
const RUNS_THIN = 0.48;
/** The hind half of a body with legs is no wider than this against its front. */
const WIDENS = 1.1;
/** A body falls off to its end; what stays this broad against its middle may end under wings. */
const STAYS_BROAD = 0.85;
/** A body with so many widths of a blurred edge in its half-width, or fewer, may run into its tails unseen. */
const BLURRED = 4;
/** Behind a step a width is this much narrower than before it, and as even as that: tails that run together, blurred to one. */
const STEP = { narrower: 0.65, even: 1.4, from: 14, before: 3 } as const;
/** SD of a length that may be a wing's, of one that may go on under wings, and of one that may run into its tails unseen: shares. */
const WING_SD = 0.25;
const UNDER_SD = 0.16;
const TAILS_SD = 0.08;

/** Whether the last quarter of a body, widths at 21 stations, is as thin as tails that run together. */
export function runsThin(profile: readonly number[]): boolean {
  return mean(profile.slice(15, 20)) < RUNS_THIN * median(profile.slice(1, 15));
}

/** Whether what was measured is as wide behind as in front, as a wing is and no body with legs. */
export function likeWing(profile: readonly number[]): boolean {
  return Math.max(...profile.slice(10, 20)) > WIDENS * Math.max(...profile.slice(1, 9));
}

/** Whether it is nearly as broad before its end as in its middle, as wings folded over a body are. */
export function staysBroad(profile: readonly number[]): boolean {
  return mean(profile.slice(14, 18)) > STAYS_BROAD * mean(profile.slice(8, 12));
}

/** How much of a length lies behind a step down to an even width near its end, a share; 0 where there is none. */
export function behindStep(profile: readonly number[]): number {
  const last = profile.length - 1;
  for (let at = STEP.from; at <= last - 2; at++) {
    const after = profile.slice(at, last);
    if (
      mean(after) < STEP.narrower * mean(profile.slice(at - STEP.before, at)) &&
      Math.max(...after) < STEP.even * Math.min(...after)
    )
      return (last - at + 0.75) / last;
  }
  return 0;
}

/** What is seen of an insect that may have wings or tails. */
export interface Seen {
  /** Widths at 21 stations from the head. */
  profile: readonly number[];
  /** Whether wings show beside the body, and whether anything told where it falls to its tails. */
  wings: boolean;
  rootFound: boolean;
  /** Half the body's width and the width of a sharp edge, px. */
  half: number;
  edgePx: number;
}

/** SD of where an insect ends that may have wings or tails, by its outline: shares of its length for either; 0 where nothing speaks against its end. */
export function doubtOf({ profile, wings, rootFound, half, edgePx }: Seen): { wing: number; root: number } {
  return {
    wing: likeWing(profile) ? WING_SD : !wings && staysBroad(profile) ? UNDER_SD : 0,
    root: Math.max(wings && !rootFound && half < BLURRED * edgePx ? TAILS_SD : 0, holding(behindStep(profile))),
  };
}
