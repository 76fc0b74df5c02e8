import { catalogueOf } from '@/catalogue';
import { answer, naturalOf, NO_CHOICES } from '@/core/answer';
import type { Dressing } from '@/core/dressings';
import type { Hook } from '@/core/hooks';
import { bearingOf, flyInWater, rideOf, tuned, tunedBy, type FlyInWater, type Ride, type Tuned } from '@/core/ride';
import type { RiggedRide } from '@/core/rig';
import type { Card } from '@/core/tying';
import { selectCatalogue } from './answers';
import { selectDressing, selectDressings } from './dressings';
import { selectNamed } from './stash';
import { libraryCard } from './library-cards';
import type { State } from './store';

/** How a fly rides with what its dressing's cup and drop tests say of it. */
export interface FlyRide {
  fly: FlyInWater;
  /** Dry, as it is tied on. */
  ride: Ride;
  /** Soaked through: what it sinks at then. */
  soaked: Ride;
  sink: Tuned;
  float: Tuned;
}

/** A dry fly is looked at after so long afloat, s. */
const AFLOAT_S = 60;

const cards = new WeakMap<Dressing, Map<Hook | null, Card | null>>();

/** The card of a dressing on one hook, as the maker-less range has it where no hook is known; made once. */
function cardOn(dressing: Dressing, hook: Hook | null): Card | null {
  const made = cards.get(dressing) ?? new Map<Hook | null, Card | null>();
  cards.set(dressing, made);
  if (!made.has(hook))
    made.set(
      hook,
      hook === null
        ? libraryCard(dressing)
        : answer(
            naturalOf(dressing),
            { ...NO_CHOICES, dressingPin: dressing.id, hookPin: hook.id },
            { ...catalogueOf([hook]), dressings: [dressing] },
          ).card,
    );
  return made.get(hook)!;
}

const cardOf = (state: State, dressingId: string, hookId: string | null): Card | null => {
  const dressing = selectDressing(state, dressingId);
  if (!dressing) return null;
  return cardOn(dressing, selectCatalogue(state).hooks.find(({ id }) => id === hookId) ?? null);
};

/** Seconds the model has for a test: afloat in a cup, or soaked through a depth. Null where it would float for ever, or never. */
function modelS(fly: FlyInWater, what: 'cup' | 'drop', depthMm: number | null): number | null {
  if (what === 'cup') return rideOf(fly, 0).floatS;
  const speed = rideOf(fly, null).sinkMmS;
  return depthMm === null || speed === null ? null : depthMm / speed;
}

/** How a card's fly rides, with the tests of its dressing; those on another hook tell less. */
export function selectRideOf(state: State, card: Card): FlyRide {
  const { materials } = selectNamed(state);
  const { trial } = state.records.entities;
  const fly = flyInWater(card, materials);
  const tried = Object.values(trial)
    .filter(({ dressingId }) => dressingId === card.dressing.id)
    .flatMap(({ what, seconds, depthMm, hookId }) => {
      const same = hookId === card.hook.id;
      const on = same ? card : cardOf(state, card.dressing.id, hookId ?? null);
      const model = on && modelS(same ? fly : flyInWater(on, materials), what, depthMm ?? null);
      return model ? [{ what, seconds, modelS: model, same }] : [];
    });
  const [sink, float] = [tunedBy('drop', tried), tunedBy('cup', tried)];
  return {
    fly,
    ride: tuned(rideOf(fly, 0), sink, float),
    soaked: tuned(rideOf(fly, null), sink, float),
    sink,
    float,
  };
}

/** What of a fly its ride can be worked out from. */
export interface Ridden {
  dressingId?: string | null;
  hookId?: string | null;
  stage?: string | null;
  ride?: string | null;
}

/** The dressing a fly is, or where it has none the nearest to it: the first of its stage that rides as it does. */
function dressingOf(state: State, { dressingId, stage, ride }: Ridden): Dressing | undefined {
  if (dressingId) return selectDressing(state, dressingId);
  const own = stage ? selectDressings(state).filter(({ stages }) => (stages as readonly string[]).includes(stage)) : [];
  return own.find((dressing) => !ride || dressing.ride === ride) ?? own[0];
}

/** The card of a fly of a box, from its dressing on its hook, or from the nearest dressing of its stage; null where neither is known. */
export function selectFlyCard(state: State, fly: Ridden): Card | null {
  const dressing = dressingOf(state, fly);
  return dressing ? cardOf(state, dressing.id, fly.hookId ?? null) : null;
}

let held: { of: readonly unknown[]; rides: Map<string, RiggedRide | null> } | null = null;

/** How a fly on the leader rides, as a rig asks it; null where nothing is known of it. */
export function selectRigged(state: State, fly: Ridden): RiggedRide | null {
  const of = [state.records.entities.trial, selectCatalogue(state), selectNamed(state)];
  if (!held || held.of.some((own, at) => own !== of[at])) held = { of, rides: new Map() };
  const key = [fly.dressingId, fly.hookId, fly.stage, fly.ride].join('/');
  if (!held.rides.has(key)) {
    const card = selectFlyCard(state, fly);
    held.rides.set(key, card && riggedOf(selectRideOf(state, card)));
  }
  return held.rides.get(key)!;
}

function riggedOf({ fly, ride, soaked }: FlyRide): RiggedRide {
  const bears = (seconds: number | null) => {
    const { tipsMg, frontMg, behindMg, airMg } = bearingOf(fly.parts, seconds);
    return tipsMg + frontMg + behindMg + airMg;
  };
  return {
    state: ride.state,
    massMg: ride.massMg,
    wetMg: ride.wetMg,
    bearsMg: bears(AFLOAT_S),
    soakedMg: bears(null),
    sinkMmS: ride.sinkMmS === null ? null : soaked.sinkMmS,
  };
}
