import type { PositionId, StageId } from '@/catalogue/ids';
import { FROM_H, hourAt, STAGE_OF, worthOf, type Band, type BandId } from './bands';

/** A fly that is carried and what it is for. */
export interface Carried {
  flyId: string;
  name: string;
  stages: readonly string[];
}

/** A change of the leader that the day asks for: which fly goes where, and when. */
export interface HatchMove {
  id: BandId;
  /** h of the local clock. */
  at: number;
  stage: StageId;
  position: PositionId | null;
  /** Null where none that is carried answers. */
  fly: Carried | null;
}

/** What comes so seldom is neither shown nor tied on for. */
const LEAST_SHOWN = 0.2;
const MOST_SHOWN = 6;
/** It is tied on before it begins. */
const BEFORE_H = 0.25;

/** Where on a leader each fishes: nymphs move up it as the naturals rise, emergers stand in the film above, what lies flat fishes alone. Source: domain §8. */
const PLACE: Readonly<Record<BandId, PositionId | null>> = {
  'mayfly/rise': 'middle',
  'mayfly/hatch': 'top',
  'mayfly/fall': null,
  'caddis/hatch': 'middle',
  'caddis/fall': 'top',
  'stonefly/hatch': 'point',
  'stonefly/fall': 'top',
  'midge/hatch': 'top',
  'land/blown': null,
};

/** Bands worth a lane: the likeliest, the earliest first. */
export const shownBands = (bands: readonly Band[]): Band[] =>
  bands
    .filter(({ p, spans }) => p >= LEAST_SHOWN && spans.length > 0)
    .sort((a, b) => b.p - a.p)
    .slice(0, MOST_SHOWN)
    .sort((a, b) => a.spans[0]![0] - b.spans[0]![0]);

/** Bands that are worth a fly, and a word. */
export const worthAFly = (bands: readonly Band[]): Band[] =>
  shownBands(bands).filter(({ p }) => worthOf(p) !== 'seldom');

/** How surely a band is up at an hour. */
export function upAt({ curve }: Pick<Band, 'curve'>, hour: number): number {
  const bin = Math.round((hour - FROM_H) / (hourAt(1) - hourAt(0)));
  return curve[Math.max(0, Math.min(curve.length - 1, bin))]!;
}

/** Bands that are up at an hour, the surest first: over half of their most. */
export const upNow = (bands: readonly Band[], hour: number): Band[] =>
  worthAFly(bands)
    .filter(({ spans }) => spans.some(([on, off]) => on <= hour && hour <= off))
    .sort((a, b) => upAt(b, hour) - upAt(a, hour));

/** The next band to begin after an hour, with when; null where none does. */
export function nextUp(bands: readonly Band[], hour: number): { band: Band; at: number } | null {
  const ahead = worthAFly(bands).flatMap((band) => band.spans.flatMap(([on]) => (on > hour ? [{ band, at: on }] : [])));
  return ahead.reduce<{ band: Band; at: number } | null>((next, own) => (next && next.at <= own.at ? next : own), null);
}

/** What the rest of a day asks the leader for from an hour on, in the order of time: for each band that is likely enough the fly that is carried for it, the first stage that has one. */
export function proposeMoves(bands: readonly Band[], carried: readonly Carried[], from: number): HatchMove[] {
  return worthAFly(bands)
    .flatMap(({ id, spans }) => {
      const ahead = spans.find(([, off]) => off > from);
      if (!ahead) return [];
      const stages = STAGE_OF[id];
      const stage = stages.find((own) => carried.some((fly) => fly.stages.includes(own))) ?? stages[0]!;
      const fly = carried.find((own) => own.stages.includes(stage)) ?? null;
      return [{ id, at: Math.max(from, ahead[0] - BEFORE_H), stage, position: PLACE[id], fly }];
    })
    .sort((a, b) => a.at - b.at);
}
