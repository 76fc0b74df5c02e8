import {
  AT_MM,
  FINISH,
  FLARING_PULL_G,
  FLAT_WIDTHS,
  GRAMS_PER_DENIER,
  HEAD_WIRES,
  HOLDING_TURNS,
  REFERENCE,
} from '../constants';
import { reason, type Reason } from '../code';
import type { Dressing } from '../dressings';
import type { Material } from '../materials';
import type { CardStep } from '../card/card-shape';
import { flatThickness, threadDiameter } from './amounts';

type Thread = Dressing['threads'][number];

export interface ThreadOnHook {
  shankMm: number;
  eyeMm: number;
  wireMm: number;
  headMm: number | null;
  /** Turns that hold what is tied off at the head. */
  heldAtHead: number;
}

/** Turns that hold what is tied off where the head will lie: up to `rearMm` behind the eye; none where there is no head. */
export function turnsHeld(steps: readonly Pick<CardStep, 'do' | 'at' | 'turns'>[], rearMm: number | null): number {
  if (rearMm === null) return 0;
  const held = steps.filter((step) => step.do === 'tie-off' && step.at !== null && step.at.mm <= rearMm + AT_MM);
  return held.reduce((sum, { turns }) => sum + (turns ?? HOLDING_TURNS.wound), 0);
}

/** Turns to finish with in another thread than is written: a slick one takes more, unless resin or wire holds them. Source: domain §4. */
export const finishIn = (turns: number, written: Material['fibre'], fibre: Material['fibre']): number =>
  fibre === 'gel-spun' && written !== fibre && turns > FINISH.covered ? Math.max(FINISH.slick, turns) : turns;

/** Turns of a flattened thread that a head may take: as long as the head, no thicker than a neat one. Source: domain §4, formulas §8. */
export function headTurnBudget(denier: number, fibre: NonNullable<Material['fibre']>, on: ThreadOnHook): number {
  const solid = threadDiameter(denier, fibre);
  const perLayer = Math.max(1, Math.floor((on.headMm ?? on.eyeMm) / (FLAT_WIDTHS * solid)));
  const layers = Math.max(1, Math.floor(((HEAD_WIRES - 1) * on.wireMm) / 2 / flatThickness(denier, fibre)));
  return perLayer * layers;
}

/** Why a thread suits, or does not: bulk, pull, slip, show-through and split, each with its reason. Source: domain §5. */
export function threadReasons(
  dressing: Dressing,
  thread: Thread,
  material: Material,
  on: ThreadOnHook,
  materials: readonly Material[],
  /** The head is tied with it, whatever the dressing names for it. */
  headOfIt = dressing.parts.some((part) => part.part === 'head' && part.material === thread.material),
): Reason[] {
  if (material.denier === null || material.fibre === null) return [];
  const { denier, fibre } = { denier: material.denier, fibre: material.fibre };
  const reasons: Reason[] = [];
  const atHead = thread.role === 'foundation' || thread.role === 'head';
  if (atHead && headOfIt) {
    const [turns, budget] = [on.heldAtHead + thread.finish_turns, headTurnBudget(denier, fibre, on)];
    reasons.push(
      reason(turns > budget ? 'thread-bulk-over' : 'thread-bulk', { turns, budget, denier }, { evidence: 'theory' }),
    );
  }
  const hair = dressing.parts.find(
    (part) => part.function === 'wing.hair' || (part.function === 'wing.down' && part.unit === 'compressed-mm'),
  );
  if (hair && atHead) {
    const holds = denier * GRAMS_PER_DENIER[fibre];
    const pull = FLARING_PULL_G * (on.shankMm / REFERENCE.shankMm);
    reasons.push(
      reason(
        holds < pull ? 'thread-weak' : 'thread-holds',
        { grams: Math.round(holds), pull: Math.round(pull) },
        { evidence: 'theory' },
      ),
    );
  }
  if (fibre === 'gel-spun') reasons.push(reason('gel-spun-slick', {}, { evidence: 'seen' }));
  if (thread.role === 'show-through') reasons.push(reason('thread-shows', {}, { evidence: 'seen' }));
  else {
    const over = dressing.layers.find((layer) => layer.from_under[0] === material.id && layer.from_under.length > 1);
    const film = over && materials.find((item) => item.id === over.from_under[1]);
    if (film && film.transmittance >= 0.25)
      reasons.push(reason('thread-underbody', { material: film.name }, { evidence: 'theory' }));
  }
  if (
    fibre !== 'silk' &&
    dressing.parts.some((part) => part.function === 'body.dubbed' || part.function === 'hackle.cdc-loop')
  )
    reasons.push(reason('thread-splits', {}, { evidence: 'seen' }));
  return reasons;
}
