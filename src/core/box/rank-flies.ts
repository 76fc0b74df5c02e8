import type { RideId, StageId } from '@/catalogue/ids';
import { reason, type Reason } from '../code';
import { colourWord, deltaE, type Lab } from '../colour';
import { NUMBER_STEP } from '../constants';
import type { StageRow } from '../hooks';
import type { CarriedFly } from './carried';

/** What is known of the natural in hand; what is null is unknown and does not count. */
export interface BoxWanted {
  belief: readonly { stage: StageId; p: number }[];
  length: { mm: number; seMm: number } | null;
  belly: Lab | null;
}

export type TrimId = 'clip-flat' | 'wet-shuck' | 'sink';

export interface BoxAnswer {
  fly: CarriedFly;
  score: number;
  /** Numbers the fly is longer (+) or shorter than wanted. */
  steps: number | null;
  deltaE: number | null;
  trims: { id: TrimId; gain: number }[];
  reasons: Reason[];
}

export interface BoxMatch {
  flies: BoxAnswer[];
  /** Set when nothing is close: the nearest, and how far it is off. */
  noneClose: Reason | null;
  /** The look that could change the first fly most, and whether it could. */
  nextLook: { what: 'stage' | 'length' | 'colour'; couldChange: boolean } | null;
}

const RIDES: readonly RideId[] = ['high', 'film', 'hanging', 'under', 'sink'];
/** How well a fly of one stage stands for another of its order, by rows apart; and for another order. */
const ROW_FIT = 0.5;
const SAME_ORDER_LEAST = 0.12;
const OTHER_ORDER = 0.03;
/** A fly this many numbers off is half refused: one packet. Colour is the last thing to change. Source: domain §2, refusals. */
const LENGTH_STEPS = 2;
const COLOUR_DE = 16;
const COLOUR_LEAST = 0.6;
const RIDE_FIT = [1, 0.7, 0.45, 0.3, 0.2] as const;
const NOTHING_CLOSE = 0.12;
const WORTH_A_TRIM = 0.02;
const SURE = 0.8;

interface Prepared {
  rows: ReadonlyMap<string, StageRow & { row: number }>;
  wanted: BoxWanted;
  /** Stage fit by what flies are made for and how they ride: many flies share it. */
  staged: Map<string, number>;
}

function stageFit(fly: CarriedFly, stage: StageId, rows: Prepared['rows']): number {
  if (fly.stages.includes(stage)) return 1;
  const wanted = rows.get(stage)!;
  return fly.stages.reduce((best, own) => {
    const row = rows.get(own);
    if (!row || row.order !== wanted.order) return best;
    return Math.max(best, SAME_ORDER_LEAST, ROW_FIT ** Math.abs(row.row - wanted.row));
  }, OTHER_ORDER);
}

function rideFit(fly: RideId | null, wanted: RideId): number {
  return fly === null ? RIDE_FIT[1] : RIDE_FIT[Math.abs(RIDES.indexOf(fly) - RIDES.indexOf(wanted))]!;
}

/** Stage and ride, weighed by the odds of every stage. */
function stagedFit(fly: CarriedFly, ride: RideId | null, { rows, wanted, staged }: Prepared): number {
  const key = `${fly.stages.join()} ${ride ?? ''}`;
  const known = staged.get(key);
  if (known !== undefined) return known;
  const fit = wanted.belief.reduce(
    (sum, { stage, p }) => sum + p * stageFit(fly, stage, rows) * rideFit(ride, rows.get(stage)!.ride),
    0,
  );
  staged.set(key, fit);
  return fit;
}

/** How well one fly answers, 0–1, all stages weighed by their odds. */
function scoreOf(
  fly: CarriedFly,
  ride: RideId | null,
  prepared: Prepared,
): { score: number; steps: number | null; colour: number | null } {
  const { wanted } = prepared;
  const staged = stagedFit(fly, ride, prepared);
  const steps = wanted.length && fly.lengthMm ? Math.log(fly.lengthMm / wanted.length.mm) / NUMBER_STEP : null;
  const spread = wanted.length
    ? Math.hypot(LENGTH_STEPS, wanted.length.seMm / wanted.length.mm / NUMBER_STEP)
    : LENGTH_STEPS;
  const lengthFit = steps === null ? 1 : Math.exp(-0.5 * (steps / spread) ** 2);
  const colour = wanted.belly && fly.belly ? deltaE(fly.belly, wanted.belly) : null;
  const colourFit = colour === null ? 1 : Math.max(COLOUR_LEAST, Math.exp(-0.5 * (colour / COLOUR_DE) ** 2));
  return { score: staged * lengthFit * colourFit, steps, colour };
}

/** What can be done to a fly on the bank, and the ride it then has. Source: domain §13. */
function trimsOf(fly: CarriedFly): { id: TrimId; ride: RideId }[] {
  const trims: { id: TrimId; ride: RideId }[] = [];
  if (fly.hackled && fly.ride === 'high') trims.push({ id: 'clip-flat', ride: 'film' });
  if (fly.soakable && (fly.ride === 'film' || fly.ride === 'high')) trims.push({ id: 'wet-shuck', ride: 'hanging' });
  if (fly.ride === 'high' || fly.ride === 'film' || fly.ride === 'hanging') trims.push({ id: 'sink', ride: 'under' });
  return trims;
}

function answerOf(fly: CarriedFly, prepared: Prepared): BoxAnswer {
  const { score, steps, colour } = scoreOf(fly, fly.ride, prepared);
  const top = prepared.wanted.belief[0];
  const reasons: Reason[] = [];
  if (top)
    reasons.push(
      fly.stages.includes(top.stage)
        ? reason('stage-same', { stage: { kind: 'stages', id: top.stage } }, { weight: 1 })
        : fly.stages[0]
          ? reason(
              'fly-other-stage',
              { stage: { kind: 'stages', id: fly.stages[0] }, wanted: { kind: 'stages', id: top.stage } },
              { weight: stageFit(fly, top.stage, prepared.rows) },
            )
          : reason('fly-stage-unknown', {}),
    );
  if (steps !== null)
    reasons.push(
      reason(
        Math.abs(steps) < 0.5 ? 'fly-length-right' : steps > 0 ? 'fly-long' : 'fly-short',
        { steps: Math.abs(steps) },
        { steps: Math.abs(steps) },
      ),
    );
  if (colour !== null) reasons.push(reason('fly-colour', { word: { kind: 'colour-words', id: colourWord(colour) } }));
  const wantedRide = top ? prepared.rows.get(top.stage)!.ride : null;
  if (fly.ride && wantedRide && fly.ride !== wantedRide)
    reasons.push(
      reason('fly-rides', { ride: { kind: 'rides', id: fly.ride }, wanted: { kind: 'rides', id: wantedRide } }),
    );
  if (fly.left <= 0) reasons.push(reason('fly-none-left', {}));
  return {
    fly,
    score,
    steps,
    deltaE: colour,
    trims: trimsOf(fly)
      .map(({ id, ride }) => ({ id, gain: scoreOf(fly, ride, prepared).score - score }))
      .filter(({ gain }) => gain > WORTH_A_TRIM)
      .sort((a, b) => b.gain - a.gain),
    reasons,
  };
}

/** Flies in the order they answer: those with none left after all that can be taken out, then score, then id. */
function inOrder(answers: BoxAnswer[]): BoxAnswer[] {
  return answers.sort(
    (a, b) => Number(b.fly.left > 0) - Number(a.fly.left > 0) || b.score - a.score || (a.fly.id < b.fly.id ? -1 : 1),
  );
}

function firstId(flies: readonly CarriedFly[], prepared: Prepared): string | null {
  let best: { id: string; score: number } | null = null;
  for (const fly of flies) {
    if (fly.left <= 0) continue;
    const { score } = scoreOf(fly, fly.ride, prepared);
    if (!best || score > best.score || (score === best.score && fly.id < best.id)) best = { id: fly.id, score };
  }
  return best?.id ?? null;
}

/** The look that could change the fly to tie on: the stage while it is open, else a length, else a colour. */
function lookNext(flies: readonly CarriedFly[], prepared: Prepared): BoxMatch['nextLook'] {
  const { wanted } = prepared;
  const now = firstId(flies, prepared);
  const changes = (others: readonly BoxWanted[]) =>
    others.some((other) => firstId(flies, { ...prepared, wanted: other, staged: new Map() }) !== now);
  const open = wanted.belief.filter(({ p }) => p > 0.1);
  if ((wanted.belief[0]?.p ?? 0) < SURE && open.length > 1)
    return { what: 'stage', couldChange: changes(open.map(({ stage }) => ({ ...wanted, belief: [{ stage, p: 1 }] }))) };
  if (!wanted.length) {
    const lengths = [...new Set(flies.flatMap((fly) => (fly.lengthMm ? [Math.round(fly.lengthMm)] : [])))];
    return { what: 'length', couldChange: changes(lengths.map((mm) => ({ ...wanted, length: { mm, seMm: 0.3 } }))) };
  }
  if (!wanted.belly)
    return {
      what: 'colour',
      couldChange: changes(
        [...new Map(flies.flatMap((fly) => (fly.belly ? [[fly.belly.join(), fly.belly] as const] : []))).values()].map(
          (belly) => ({ ...wanted, belly }),
        ),
      ),
    };
  return null;
}

/**
 * Ranks the flies carried for what is believed of the natural: stage weighed by its odds, length in number steps, colour, ride. A
 * fly with none left is never first while another can be taken. Source: domain §8, §13.
 */
export function matchBox(flies: readonly CarriedFly[], wanted: BoxWanted, stages: readonly StageRow[]): BoxMatch {
  const places = new Map<string, number>();
  const rows = new Map(
    stages.map((row) => {
      const place = places.get(row.order) ?? 0;
      places.set(row.order, place + 1);
      return [row.id as string, { ...row, row: place }] as const;
    }),
  );
  const prepared: Prepared = { rows, wanted, staged: new Map() };
  const answers = inOrder(flies.map((fly) => answerOf(fly, prepared)));
  const first = answers[0];
  const close = first && first.fly.left > 0 && first.score >= NOTHING_CLOSE;
  return {
    flies: answers,
    noneClose: close
      ? null
      : first && first.fly.left > 0
        ? reason(first.steps === null ? 'box-nearest' : first.steps >= 0 ? 'box-nearest-long' : 'box-nearest-short', {
            fly: first.fly.name,
            packets: Math.round(Math.abs(first.steps ?? 0) / 2),
          })
        : reason('box-empty', {}),
    nextLook: flies.length === 0 ? null : lookNext(flies, prepared),
  };
}
