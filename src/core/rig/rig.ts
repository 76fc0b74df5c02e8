import type { PositionId, RideId, RigId } from '@/catalogue/ids';
import { FOAM_LIFT, SINKING, WATER } from '../constants';
import { reason, type Reason } from '../code';

/** What may stand at a place: what floats, what hangs in the film, what sinks, the heaviest of what sinks (on a tight line the anchor), or a soft wet whatever it weighs. */
export type SitsId = 'floats' | 'hangs' | 'sinks' | 'heaviest' | 'anchor' | 'soft';

/** A way to put flies on a leader: the places from the line down with what may stand there, how far apart, and what floats. Source: domain §8. */
export interface Rig {
  id: RigId;
  places: readonly { at: PositionId; sits: readonly SitsId[] }[];
  /** Low, usual, high, mm; null of one fly. */
  apartMm: readonly [low: number, usual: number, high: number] | null;
  /** What keeps the others up: the fly at this place, an indicator, or nothing. */
  afloat: PositionId | 'indicator' | null;
}

/** How a fly of a rig rides, as ride.ts has it; mg, mm/s. */
export interface RiggedRide {
  state: RideId;
  massMg: number;
  wetMg: number;
  /** What bears it after a minute afloat, and soaked through, mg. */
  bearsMg: number;
  soakedMg: number;
  sinkMmS: number | null;
}

export interface RiggedFly {
  id: string;
  name: string;
  position: PositionId | null;
  /** From what stands above it, mm; null for what is usual. */
  apartMm: number | null;
  /** Null where nothing is known of how it rides. */
  ride: RiggedRide | null;
  /** Of a soft or palmered hackle: it may stand on the point of a wet team. */
  soft: boolean;
}

/** What mends a warning: two that change places, one that comes off, or one that is carried in its place. */
export type RigMend =
  | { do: 'swap'; a: string; b: string }
  | { do: 'off'; fly: string }
  | { do: 'instead'; fly: string; flyId: string; name: string };

export interface RigWarning extends Reason {
  mend: RigMend | null;
}

/** A fly of the boxes that could stand in. */
export interface Spare {
  flyId: string;
  name: string;
  ride: RiggedRide | null;
}

/** A dry holds up so much more than the wet weight below it; an indicator so much. Source: domain §8. */
export const HOLDS = { dry: 1.5, indicator: 1.3 } as const;
/** A tippet to a nymph is so many times as long as it is to fish deep. */
const TIPPET_OVER_DEPTH = 1.25;
/** Tippet, mm across, and how quickly the current passes it, mm/s: about. */
const TIPPET = { acrossMm: 0.15, passesMmS: 50, drag: 1.2 } as const;
const FLOATS: ReadonlySet<RideId> = new Set(['high', 'film', 'hanging']);
const SINKS: ReadonlySet<RideId> = new Set(['under', 'sink']);
/** Rides that may stand where a rig has such a place; a soft wet is one by its dressing. */
const SITS: Record<Exclude<SitsId, 'soft'>, ReadonlySet<RideId>> = {
  floats: FLOATS,
  hangs: new Set(['film', 'hanging', 'under']),
  sinks: SINKS,
  heaviest: SINKS,
  anchor: SINKS,
};
const maySit = ({ ride, soft }: RiggedFly, sits: readonly SitsId[]): boolean =>
  ride === null || sits.some((own) => (own === 'soft' ? soft : SITS[own].has(ride.state)));

const ORDER: readonly PositionId[] = ['top', 'middle', 'point'];

/** Flies from the line down: by place, those without one in the order they were tied on. */
export function downTheLeader(flies: readonly RiggedFly[], rig: Rig): RiggedFly[] {
  // Two stand at the ends; one alone on the point.
  const places = rig.places.map(({ at }) => at);
  const wanted =
    flies.length === 1
      ? places.slice(-1)
      : flies.length < places.length
        ? places.filter((place) => place !== 'middle')
        : places;
  const free = wanted.filter((place) => !flies.some(({ position }) => position === place));
  const given = flies.map((fly) => ({ fly, place: fly.position ?? free.shift() ?? 'point' }));
  return given
    .sort((a, b) => ORDER.indexOf(a.place) - ORDER.indexOf(b.place))
    .map(({ fly, place }) => ({ ...fly, position: place }));
}

/** How far each stands below what is above it, mm. */
const apartOf = (fly: RiggedFly, rig: Rig) => fly.apartMm ?? rig.apartMm?.[1] ?? 0;

/** mg that the current drags on a stretch of tippet: ½ρC_d·d·L·v². */
export const tippetDragMg = (lengthMm: number): number =>
  (0.5e-6 * WATER.density * TIPPET.drag * TIPPET.acrossMm * lengthMm * TIPPET.passesMmS ** 2) / WATER.gravity;

/** Wet weight a float has to hold, mg: what sinks below it, and its tippet's drag. */
export const loadOf = (below: readonly RiggedFly[], rig: Rig): number =>
  below.reduce((sum, fly) => sum + Math.max(0, fly.ride?.wetMg ?? 0) + tippetDragMg(apartOf(fly, rig)), 0);

/** A ball of foam that lifts so much, mm across: ~0.9 mg per mm³ (formulas §10). */
export const indicatorMm = (liftMg: number): number => Math.cbrt((6 * liftMg) / FOAM_LIFT / Math.PI);

/** What is wrong with a team by the rules of its rig, each with what mends it, best first by how much it costs. */
export function rigWarnings(flies: readonly RiggedFly[], rig: Rig, spares: readonly Spare[] = []): RigWarning[] {
  const down = downTheLeader(flies, rig);
  const warnings: RigWarning[] = [];
  const warn = (why: Reason, mend: RigMend | null) => void warnings.push({ ...why, mend });
  const last = down[down.length - 1];
  if (!last) return warnings;
  if (down.length > rig.places.length)
    warn(reason('rig-many', { count: down.length, most: rig.places.length }), { do: 'off', fly: last.id });
  const known = down.filter((fly): fly is RiggedFly & { ride: RiggedRide } => fly.ride !== null);
  const up =
    rig.afloat && rig.afloat !== 'indicator' ? down.find(({ position }) => position === rig.afloat) : undefined;
  const sunk = known.filter((fly) => fly !== up);
  if (up) {
    const below = down.filter((fly) => fly !== up);
    if (up.ride && !FLOATS.has(up.ride.state)) {
      const floats = below.find(({ ride }) => ride && FLOATS.has(ride.state));
      warn(reason('rig-dry-sinks', { fly: up.name }), floats ? { do: 'swap', a: up.id, b: floats.id } : null);
    } else if (up.ride && below.some(({ ride }) => ride)) {
      const needs = HOLDS.dry * loadOf(below, rig);
      const spare = (bears: number) => bears - up.ride!.massMg;
      if (spare(up.ride.soakedMg) < needs) {
        const dry = spare(up.ride.bearsMg) >= needs;
        warn(
          reason(dry ? 'rig-dry-while-dry' : 'rig-dry-cannot', {
            fly: up.name,
            holds: Math.max(0, Math.round(spare(up.ride.bearsMg))),
            needs: Math.round(needs),
          }),
          dry ? null : lighter(below, up, rig, spares),
        );
      }
    }
  }
  // The heaviest of what sinks belongs on the point, or what is lighter rides up over it.
  const heaviest = sunk.reduce<(typeof sunk)[number] | null>(
    (most, fly) => (most && most.ride.wetMg >= fly.ride.wetMg ? most : fly),
    null,
  );
  if (heaviest && last.ride && heaviest.id !== last.id && last.ride.wetMg < HEAVIER * heaviest.ride.wetMg) {
    const { sits } = rig.places[rig.places.length - 1]!;
    const anchor = sits.includes('anchor');
    if ((anchor || sits.includes('heaviest')) && !(sits.includes('soft') && last.soft))
      warn(reason(anchor ? 'rig-anchor' : 'rig-heavy-on-top', { fly: heaviest.name, point: last.name }), {
        do: 'swap',
        a: heaviest.id,
        b: last.id,
      });
  }
  // A bushy one below the top drags up what is slim above it.
  down.forEach((fly, at) => {
    if (!fly.ride || !FLOATS.has(fly.ride.state) || fly === up) return;
    const above = down[at - 1]?.ride ? down[at - 1]! : null;
    const drags = above && !FLOATS.has(above.ride!.state) && fly.ride.bearsMg - fly.ride.massMg > above.ride!.wetMg;
    if (rig.afloat === null && drags)
      return warn(reason('rig-dragged-up', { fly: above.name, by: fly.name }), {
        do: 'swap',
        a: fly.id,
        b: down[0]!.id,
      });
    const place = rig.places.find((own) => own.at === fly.position);
    if (place && !maySit(fly, place.sits))
      warn(reason('rig-wants-sinking', { fly: fly.name }), sinking(fly, place.sits, down, rig, spares));
  });
  if (rig.apartMm) {
    const [low, , high] = rig.apartMm;
    for (const fly of down.slice(rig.afloat === 'indicator' ? 0 : 1))
      if (fly.apartMm !== null && (fly.apartMm < low || fly.apartMm > high))
        warn(
          reason('rig-apart', { fly: fly.name, apart: Math.round(fly.apartMm / 10), low: low / 10, high: high / 10 }),
          null,
        );
  }
  return warnings;
}

/** What stands instead of a fly that floats where none should: the one on the leader it can change places with, else the heaviest carried that is lighter than the point. */
function sinking(
  fly: RiggedFly,
  sits: readonly SitsId[],
  down: readonly RiggedFly[],
  rig: Rig,
  spares: readonly Spare[],
): RigMend | null {
  const other = down.find(
    (own) =>
      own !== fly &&
      own.ride !== null &&
      maySit(own, sits) &&
      rig.places.some(({ at, sits: there }) => at === own.position && maySit(fly, there)),
  );
  if (other) return { do: 'swap', a: fly.id, b: other.id };
  const last = down[down.length - 1]!;
  const most = last === fly ? Infinity : (last.ride?.wetMg ?? Infinity);
  return instead(fly, spares, ({ wetMg }) => wetMg < HEAVIER * most);
}

/** The heaviest that is carried, sinks and fits, in the place of a fly. */
function instead({ id }: RiggedFly, spares: readonly Spare[], fits: (ride: RiggedRide) => boolean): RigMend | null {
  const [best] = spares
    .filter(({ ride }) => ride !== null && SINKS.has(ride.state) && fits(ride))
    .sort((a, b) => b.ride!.wetMg - a.ride!.wetMg);
  return best ? { do: 'instead', fly: id, flyId: best.flyId, name: best.name } : null;
}

/** One that is lighter by less than this is as heavy: a model has no closer. */
const HEAVIER = 0.95;

/** The heaviest that is carried which the dry still holds. */
function lighter(below: readonly RiggedFly[], up: RiggedFly, rig: Rig, spares: readonly Spare[]): RigMend | null {
  const [nymph, ...others] = [...below].sort((a, b) => (b.ride?.wetMg ?? 0) - (a.ride?.wetMg ?? 0));
  if (!nymph) return null;
  const holds = up.ride!.bearsMg - up.ride!.massMg;
  return instead(nymph, spares, (ride) => holds >= HOLDS.dry * loadOf([{ ...nymph, ride }, ...others], rig));
}

/** The last stretch of the leader above the first fly, mm: about. */
export const LEAD_MM = 1200;

/** Where a fly is after so many seconds of a drift: mm below the water, and mm down the leader from the first. */
export interface RigPlace {
  id: string;
  alongMm: number;
  depthMm: number;
}

/**
 * Where each fly is after so many seconds: it sinks on its tippet (formulas §10), no deeper below what floats than its tippet is long, and no further from
 * its neighbour than the leader between them. About: the leader has no weight and the water no layers.
 */
export function rigDepths(flies: readonly RiggedFly[], rig: Rig, seconds: number): RigPlace[] {
  const down = downTheLeader(flies, rig);
  let along = 0;
  const places = down.map((fly, at) => {
    along += at === 0 && rig.afloat !== 'indicator' ? 0 : apartOf(fly, rig);
    const sinks = fly.ride?.sinkMmS ?? 0;
    const held = rig.afloat === null ? LEAD_MM + along : rig.afloat === 'indicator' ? along : along / TIPPET_OVER_DEPTH;
    return { id: fly.id, alongMm: along, depthMm: Math.min(held, sinks * SINKING.tether.mean * seconds) };
  });
  // What hangs lower draws its neighbour down, from the point up and back again.
  for (let round = 0; round < places.length; round++)
    places.forEach((place, at) => {
      const next = places[at + 1];
      if (!next) return;
      const between = next.alongMm - place.alongMm;
      const fixed = rig.afloat !== null && rig.afloat !== 'indicator' && at === 0;
      if (next.depthMm - place.depthMm > between) {
        if (fixed) next.depthMm = place.depthMm + between;
        else place.depthMm = next.depthMm - between;
      }
      if (place.depthMm - next.depthMm > between) next.depthMm = place.depthMm - between;
    });
  return places;
}
