import type { BankChangeId } from '@/catalogue/ids';
import { WIRE_CLASS } from '../constants';
import type { FlyInWater, RidePart } from './of-card';
import { rideOf, type Ride } from './ride';

/** What is done to a fly on the bank, and how it rides then. */
export interface OnBank {
  id: Exclude<BankChangeId, 'shorten' | 'float' | 'swap-wire'> | 'heavier-wire' | 'lighter-wire' | 'add-fur';
  ride: Ride;
}

/** One class of wire heavier is so much thicker (formulas §6), and its mass goes by the square. */
const HEAVIER = WIRE_CLASS.perX ** 2;
/** A split of fur pinched on in front: mm in the film, mg. */
const FUR = { mm: 3, mg: 1 } as const;
/** What changes less than this is not worth a wet knife. */
const MATTERS = 0.05;

const each = (fly: FlyInWater, change: (part: RidePart) => RidePart): FlyInWater => ({
  ...fly,
  parts: fly.parts.map(change),
});
const hooked = (fly: FlyInWater, times: number): FlyInWater => ({ ...fly, hookMg: fly.hookMg * times });

const CHANGES: Readonly<Record<OnBank['id'], (fly: FlyInWater) => Ride>> = {
  'clip-v': (fly) =>
    rideOf(
      each(fly, (part) => (isHackle(part) && part.tips > 0 ? { ...part, tips: part.tips / 2 } : part)),
      0,
    ),
  // Barbs that are cut below lie to both sides.
  'clip-flat': (fly) =>
    rideOf(
      each(fly, (part) => (isHackle(part) && part.tips > 0 ? { ...part, tips: 0, lyingMm: 2 * part.mm } : part)),
      0,
    ),
  'wet-shuck': (fly) =>
    rideOf(
      each(fly, (part) => (isBehind(part) ? { ...part, sheds: false } : part)),
      0,
    ),
  'lighter-wire': (fly) => rideOf(hooked(fly, 1 / HEAVIER), 0),
  'heavier-wire': (fly) => rideOf(hooked(fly, HEAVIER), 0),
  'add-fur': (fly) => {
    const fur: RidePart = {
      part: 'fur',
      kind: 'thorax',
      mm: FUR.mm,
      massMg: FUR.mg,
      volumeMm3: FUR.mg,
      areaMm2: 0,
      lyingMm: FUR.mm,
      tips: 0,
      airMm3: 0,
      front: 1,
      sheds: true,
      absorbency: 0.3,
    };
    return rideOf({ ...fly, parts: [...fly.parts, fur] }, 0);
  },
  sink: (fly) => rideOf(fly, null),
};

const HACKLES: ReadonlySet<RidePart['kind']> = new Set(['hackle', 'second-hackle', 'stacked-hackle', 'collar']);
const isHackle = ({ kind }: RidePart) => HACKLES.has(kind);
const isBehind = ({ kind }: RidePart) => kind === 'tail' || kind === 'shuck';

/** What can be done on the bank before another fly is tied on, with what each does to the ride; only what changes it. */
export function bankChanges(fly: FlyInWater): OnBank[] {
  const now = rideOf(fly, 0);
  return (Object.keys(CHANGES) as OnBank['id'][]).flatMap((id) => {
    const ride = CHANGES[id](fly);
    // What goes down before and after is told by how quickly alone: a share of its weight is borne by nobody.
    const both = now.sinkMmS !== null && ride.sinkMmS !== null;
    const changed =
      ride.state !== now.state ||
      (both
        ? Math.abs(ride.sinkMmS! - now.sinkMmS!) > MATTERS * now.sinkMmS!
        : Math.abs(ride.margin - now.margin) > MATTERS * Math.max(now.margin, MATTERS));
    return changed ? [{ id, ride }] : [];
  });
}
