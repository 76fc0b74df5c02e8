import { reason, type Reason } from '../code';
import type { Bearing } from './float';
import type { Ride } from './ride';
import type { Tuned } from './trial';

/** The ends of 95 % of what tests make of a figure. */
const range = (value: number, { times, low, high }: Tuned, rounded: (value: number) => number) => ({
  low: rounded((value * low) / times),
  high: rounded((value * high) / times),
});

/** Why a fly rides as it does: what it weighs, what bears it, how long, how quickly it sinks, and that it is a model. Codes of speech. */
export function rideReasons(
  ride: Ride,
  bearing: Bearing,
  soaked: number | null,
  tests: { sink: Tuned; float: Tuned } | null = null,
): Reason[] {
  // A model has no tenths of ten milligrams.
  const mg = (value: number) => (value >= 10 ? Math.round(value) : Math.round(value * 10) / 10);
  const lies = bearing.frontMg + bearing.behindMg;
  return [
    reason('ride-weighs', { mg: mg(ride.massMg) }),
    ...(bearing.tipsMg >= 0.5 ? [reason('ride-tips', { mg: mg(bearing.tipsMg) })] : []),
    ...(lies >= 0.5 ? [reason('ride-lies', { mg: mg(lies), front: mg(bearing.frontMg) })] : []),
    ...(bearing.airMg >= 0.5 ? [reason('ride-air', { mg: mg(bearing.airMg) })] : []),
    ...(bearing.tipsMg + lies + bearing.airMg < 0.5 ? [reason('ride-nothing')] : []),
    ...(soaked === null ? [reason('ride-soaked')] : []),
    ...(ride.floatS !== null ? [reason('ride-floats-for', { minutes: mg(ride.floatS / 60) })] : []),
    ...(ride.sinkMmS !== null ? [reason('ride-sinks', { wet: mg(ride.wetMg), speed: Math.round(ride.sinkMmS) })] : []),
    ...(tests && ride.floatS !== null && tests.float.tests > 0
      ? [
          reason(
            'ride-cup',
            { count: tests.float.tests, ...range(ride.floatS / 60, tests.float, mg) },
            { evidence: 'tested' },
          ),
        ]
      : []),
    ...(tests && ride.sinkMmS !== null && tests.sink.tests > 0
      ? [
          reason(
            'ride-drop',
            { count: tests.sink.tests, ...range(ride.sinkMmS, tests.sink, Math.round) },
            { evidence: 'tested' },
          ),
        ]
      : []),
    ...(tests && tests.float.tests + tests.sink.tests > 0 ? [] : [reason('ride-model', {}, { evidence: 'theory' })]),
  ];
}
