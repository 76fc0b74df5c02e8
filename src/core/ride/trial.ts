import { Z95 } from '../constants';
import type { Ride } from './ride';

/** What a test of a fly said beside what the model said of that fly. */
export interface Tried {
  what: 'cup' | 'drop';
  /** One for each time, s. */
  seconds: readonly number[];
  /** What the model has for it: seconds afloat of a cup, seconds through the depth of a drop. */
  modelS: number;
  /** On this hook, or on another of the same dressing. */
  same: boolean;
}

/** How much a test moves the model: times its speed, or its time afloat, with the ends of 95 %. */
export interface Tuned {
  times: number;
  low: number;
  high: number;
  tests: number;
}

/** sd of the model, of one timing, and of carrying a test over to another size, as logarithms: a third, an eighth, a sixth. */
const SD = { model: 0.33, timing: 0.12, size: 0.16 } as const;

/**
 * What cup or drop tests make of a model: measured over modelled is lognormal about the model with sd `SD.model`, each test's mean about the truth by
 * its own timings, one of another size by so much more. Without any the model stands, about.
 */
export function tunedBy(what: Tried['what'], tried: readonly Tried[]): Tuned {
  let precision = 1 / SD.model ** 2;
  let sum = 0;
  let tests = 0;
  for (const one of tried) {
    if (one.what !== what || one.seconds.length === 0 || one.modelS <= 0) continue;
    tests++;
    const mean = one.seconds.reduce((all, seconds) => all + Math.log(seconds / one.modelS), 0) / one.seconds.length;
    const variance = SD.timing ** 2 / one.seconds.length + (one.same ? 0 : SD.size ** 2);
    precision += 1 / variance;
    // What takes longer through a depth is slower.
    sum += (what === 'drop' ? -mean : mean) / variance;
  }
  const [log, half] = [sum / precision, Z95 / Math.sqrt(precision)];
  return { times: Math.exp(log), low: Math.exp(log - half), high: Math.exp(log + half), tests };
}

/** A ride as its tests have it. */
export const tuned = <R extends Pick<Ride, 'sinkMmS' | 'floatS'>>(ride: R, sink: Tuned, float: Tuned): R => ({
  ...ride,
  sinkMmS: ride.sinkMmS === null ? null : ride.sinkMmS * sink.times,
  floatS: ride.floatS === null ? null : ride.floatS * float.times,
});
