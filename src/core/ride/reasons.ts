import { reason, type Reason } from '../code';
import type { Bearing } from './float';
import type { Ride } from './ride';

/** Why a fly rides as it does: what it weighs, what bears it, how long, how quickly it sinks, and that it is a model. Codes of speech. */
export function rideReasons(ride: Ride, bearing: Bearing, soaked: number | null): Reason[] {
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
    reason('ride-model', {}, { evidence: 'theory' }),
  ];
}
