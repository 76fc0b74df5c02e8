import type { LandmarkId } from '@/catalogue/ids';
import type { CardPart, CardStep } from '../card/card-shape';
import type { DressingStep } from '../dressings';
import type { HookAnswer } from '../hook-score';
import type { Material } from '../materials';
import { countOf, turnsLaid } from './counted';
import { figuresOf } from './figures';
import type { LaidPart, LayOut } from './lay-out';

/** Steps counted from one, in the order they are done. */
export const numbered = (steps: readonly CardStep[]): CardStep[] =>
  steps.map((step, index) => ({ ...step, n: index + 1 }));

/** Turns a step winds: as the dressing says, as the part counts them, or as its length and the lie of the material give them. */
function turnsOf(step: DressingStep, part: CardPart | undefined, laid: LaidPart | undefined): number | null {
  if (step.turns !== null || step.do !== 'wind' || !part) return step.turns;
  const turns = laid === undefined ? null : turnsLaid(laid);
  if (turns !== null) return turns;
  return part.amount.wound === null ? part.count : Math.max(1, Math.round(part.amount.wound.turns));
}

/** Makes the card's step of a dressing's step: its part in millimetres and its place on this hook. */
export function stepMaker(
  parts: readonly CardPart[],
  laid: LayOut,
  marks: Record<LandmarkId, number>,
  tieDownMm: number,
  material: (id: string | null) => Material | null,
  hook: HookAnswer,
) {
  const byId = new Map(laid.parts.map((item) => [item.part.id, item]));
  const cardPart = new Map(parts.map((part) => [part.id, part]));
  const at = (station: DressingStep['at']): CardStep['at'] => {
    if (station === null || station === 'forward') return null;
    if (station === 'tie-down')
      return { landmark: Math.abs(tieDownMm - marks['bend-start']) < 1e-9 ? 'bend-start' : 'into-bend', mm: tieDownMm };
    if (station in marks) return { landmark: station as LandmarkId, mm: marks[station as LandmarkId] };
    const mm = laid.at(station);
    return mm === null ? null : { landmark: null, mm };
  };
  return (step: DressingStep): CardStep => {
    const item = step.part === null ? undefined : byId.get(step.part);
    const own = material(step.material);
    const place = at(step.at);
    const turns = turnsOf(step, step.part === null ? undefined : cardPart.get(step.part), item);
    return {
      n: 0,
      do: step.do,
      part: step.part,
      kind: item?.part.part ?? null,
      material: own ? { id: own.id, name: own.name } : null,
      at: place,
      mm: item?.mm ?? null,
      turns,
      count: item ? countOf(item) : null,
      side: step.side,
      frame: step.frame,
      vise: step.vise,
      orientation: step.orientation,
      tool: step.tool,
      check: step.check,
      mend: [...step.mend],
      caution: step.caution,
      reversible: step.reversible,
      wait_s: step.wait_s,
      method: step.method,
      assembly: step.assembly,
      as: step.as,
      figures: figuresOf({
        card: step.part === null ? undefined : cardPart.get(step.part),
        laid: item,
        atMm: place?.mm ?? null,
        turns,
        hook,
        faceMm: laid.at('front') ?? 0,
        hookPointMm: marks['hook-point'],
      }),
      note: step.note,
      bench:
        item?.part.way || step.as !== null || step.cuts !== null
          ? {
              points: step.points,
              waits_for: step.waits_for,
              cuts: step.cuts,
              leaves_waste: step.leaves_waste,
              stays: step.stays,
              held_by: step.held_by,
              locks: step.locks,
            }
          : null,
      after: null,
    };
  };
}

/** The barb pressed flat: asked by the water's rule, not by the dressing, and said by speech from its check. */
export const FLATTEN_BARB: CardStep = {
  n: 0,
  do: 'check',
  part: null,
  kind: null,
  material: null,
  at: null,
  mm: null,
  turns: null,
  count: null,
  side: null,
  frame: null,
  vise: null,
  orientation: null,
  tool: null,
  check: 'flatten-barb',
  mend: [],
  caution: 'hook-point',
  reversible: false,
  wait_s: null,
  method: null,
  assembly: null,
  as: null,
  figures: {},
  note: null,
  bench: null,
  after: null,
};
