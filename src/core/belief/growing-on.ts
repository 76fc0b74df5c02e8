import type { StageId } from '@/catalogue/ids';
import type { Lab } from '../colour';

/** Body length of a later stage over an earlier one: src/catalogue/growing-on.json. */
export interface GrowingOn {
  preserved: { shrinks: number; stages: readonly string[] };
  /** `drift`: how far the belly's L*, a* and b* move, low and high each. */
  steps: readonly { from: string; to: string; ratio: readonly number[]; drift?: readonly (readonly number[])[] }[];
}

/** Another stage of the same insect: `later` it will be, `earlier` it was. Lengths mm. */
export interface Grown {
  stage: StageId;
  direction: 'later' | 'earlier';
  lowMm: number;
  usualMm: number;
  highMm: number;
  /** Length of this stage over the length given, usually. */
  factor: number;
  /** How the belly's L*, a* and b* move on the way, low and high; null where a step says nothing. */
  drift: Drift | null;
}

/** Ranges of a change in L*, a*, b*. */
export type Drift = readonly [lightness: Span, a: Span, b: Span];
type Span = readonly [low: number, high: number];

interface Factor {
  direction: 'later' | 'earlier';
  low: number;
  usual: number;
  high: number;
  drift: Drift | null;
}

const NO_DRIFT: Drift = [
  [0, 0],
  [0, 0],
  [0, 0],
];

/** Two changes one after the other; `back` is the second taken the other way. */
function further(before: Drift | null, step: readonly (readonly number[])[] | undefined, back: boolean): Drift | null {
  if (!before || !step) return null;
  const axis = (index: 0 | 1 | 2): Span => {
    const [low, high] = step[index] as [number, number];
    return back ? [before[index][0] - high, before[index][1] - low] : [before[index][0] + low, before[index][1] + high];
  };
  return [axis(0), axis(1), axis(2)];
}

/** Every stage that can be reached by steps in one direction, with its length range. */
function reach(data: GrowingOn, from: StageId, direction: 'later' | 'earlier'): Map<string, Factor> {
  const found = new Map<string, Factor>();
  const queue: { stage: string; factor: Factor }[] = [
    { stage: from, factor: { direction, low: 1, usual: 1, high: 1, drift: NO_DRIFT } },
  ];
  for (let next = queue.shift(); next; next = queue.shift()) {
    for (const step of data.steps) {
      const [low, usual, high] = step.ratio as [number, number, number];
      const [here, there, ratio] =
        direction === 'later'
          ? [step.from, step.to, [low, usual, high]]
          : [step.to, step.from, [1 / high, 1 / usual, 1 / low]];
      if (here !== next.stage || there === from || found.has(there)) continue;
      const factor: Factor = {
        direction,
        low: next.factor.low * ratio[0]!,
        usual: next.factor.usual * ratio[1]!,
        high: next.factor.high * ratio[2]!,
        drift: further(next.factor.drift, step.drift, direction === 'earlier'),
      };
      found.set(there, factor);
      queue.push({ stage: there, factor });
    }
  }
  return found;
}

/**
 * What an insect of this stage and length will be and was, both ways: from a nymph the dun and spinner, from an adult the nymph to
 * tie. Stages that are left out of `offered` (a film emerger of a kind that climbs out) are not named. Source: domain §2.
 */
export function growingOn(
  data: GrowingOn,
  stage: StageId,
  lengthMm: number,
  offered: (stage: StageId) => boolean = () => true,
): Grown[] {
  return (['later', 'earlier'] as const).flatMap((direction) =>
    [...reach(data, stage, direction)]
      .filter(([id]) => offered(id as StageId))
      .map(([id, factor]): Grown => ({
        stage: id as StageId,
        direction,
        lowMm: lengthMm * factor.low,
        usualMm: lengthMm * factor.usual,
        highMm: lengthMm * factor.high,
        factor: factor.usual,
        drift: factor.drift,
      })),
  );
}

/** The belly of another stage, L*a*b*: the middle of its drift, and what it may range over. Lightness stays within 0–100. */
export function driftedLab(lab: Lab, drift: Drift): { usual: Lab; low: Lab; high: Lab } {
  const at = (share: number): Lab =>
    [0, 1, 2].map((axis) => {
      const [low, high] = drift[axis as 0 | 1 | 2];
      const value = lab[axis]! + low + (high - low) * share;
      return axis === 0 ? Math.min(100, Math.max(0, value)) : value;
    }) as unknown as Lab;
  return { usual: at(0.5), low: at(0), high: at(1) };
}

/** Length before the spirit shrank it: soft larvae lose about 4 %. */
export function unshrunk(data: GrowingOn, stage: StageId, preservedMm: number): number {
  return data.preserved.stages.includes(stage) ? preservedMm / (1 - data.preserved.shrinks) : preservedMm;
}
