import type { FunctionId, StageId } from '@/catalogue/ids';
import type { Param } from '../code';
import { BENCH } from '../constants';
import type { Dressing, DressingPart } from '../dressings';
import { hookLength, type StageRow, type Style } from '../hooks';
import { layOnHook } from '../card/lay';
import type { Material } from '../materials';
import type { Card, CardPart } from '../card/card-shape';
import type { Refusal, RuleId } from './bench-shape';

export interface LawInput {
  dressing: Dressing;
  card: Card;
  style: Style;
  materials: readonly Material[];
  naturalMm: number;
  /** Rows of the stages it is made for. */
  stages: readonly Pick<StageRow, 'id' | 'traits'>[];
  /** For each natural it is made for the tails it may have; empty where nothing says so. */
  tails: readonly (readonly number[])[];
}

/** What is cut to a width before it is tied. */
const WIDE: ReadonlySet<FunctionId> = new Set(['back.strip', 'body.foam']);
const FILMS: ReadonlySet<string> = new Set([
  'mottled-film',
  'film-wing',
  'sheer-ribbon',
  'synthetic-straw',
  'latex-strip',
  'shell-strip',
]);
const FILM_USES: ReadonlySet<FunctionId> = new Set(['wing.bud', 'wing.spent', 'wing.down', 'back.strip']);
const HAIRS: ReadonlySet<string> = new Set([
  'deer-hair',
  'elk-hair',
  'calf-hair',
  'squirrel-tail',
  'foot-fur',
  'body-hair',
]);
const HAIR_USES: ReadonlySet<FunctionId> = new Set(['wing.hair', 'wing.down']);
/** Least and most that a wing over the back stands past the bend, in shanks; by how the fly is used. Source: domain §4. */
const REACH = { roof: [0.1, 0.35], short: [-0.35, 0], sunk: [-0.15, 0.1] } as const;
const WIDE_HOLE = /(countersink|large hole|wide hole|big hole) (to|toward|towards) the (eye|front)/i;

function reachOf(style: Style, dressing: Dressing): readonly [number, number] | null {
  if (
    style.id === 'down-wing' ||
    style.id === 'stone-adult' ||
    style.id === 'overhang' ||
    style.id === 'wide-terrestrial'
  )
    return REACH.roof;
  if (style.id === 'soft-wet' || style.id === 'sunk-spinner' || style.id === 'palmered-wet') return REACH.sunk;
  return dressing.stages[0]!.startsWith('midge/') || dressing.stages[0]!.startsWith('black-fly/')
    ? REACH.short
    : style.id === 'small-adult'
      ? REACH.roof
      : null;
}

/** Laws of proportion and of amounts of a whole fly on one hook. Source: domain §4, §7; formulas §7, §12. */
export function laws(input: LawInput): Refusal[] {
  const { dressing, card, style, materials, naturalMm } = input;
  const found: Refusal[] = [];
  const add = (rule: RuleId, part: string | null, params: Record<string, Param> = {}) =>
    found.push({ rule, step: null, part, params });
  const own = new Map<string, DressingPart>(dressing.parts.map((part) => [part.id, part]));
  const { shank_mm: shank, gape_mm: gape, wire_mm: wire } = card.hook;
  if (!card.fits) add('P3', card.over!.part, { mm: { mm: card.over!.mm } });

  const reach = reachOf(style, dressing);
  for (const part of card.parts) {
    const rule = own.get(part.id)!;
    const does = rule.function;
    lawsOfPart(part, rule, add);
    if (
      reach &&
      part.part === 'wing' &&
      part.mm !== null &&
      part.from_mm !== null &&
      does !== 'wing.post' &&
      liesBack(dressing, part.id)
    ) {
      const past = (part.from_mm + part.mm - shank) / shank;
      if (past < reach[0] - BENCH.reachSlack || past > reach[1] + BENCH.reachSlack)
        add('L1', part.id, {
          tip: { mm: past * shank },
          low: { mm: reach[0] * shank },
          high: { mm: reach[1] * shank },
        });
    }
    if (
      does === 'hackle.stiff' &&
      part.part === 'hackle' &&
      part.mm !== null &&
      (part.mm < 1.2 * gape - 1e-9 || part.mm > 2 * gape)
    )
      add('F6', part.id, { mm: { mm: part.mm } });
    if (
      does === 'hackle.soft' &&
      part.part !== 'gills' &&
      part.mm !== null &&
      (part.mm < 0.5 * gape || part.mm > hookLength(shank, gape, wire))
    )
      add('F6', part.id, { mm: { mm: part.mm } });
    if (part.amount.unit === 'compressed-mm' && part.amount.need !== null && part.amount.need > 0.4 * gape)
      add('F5', part.id, { mm: { mm: part.amount.need } });
    if (
      part.amount.pieces !== null &&
      part.amount.pieces > Math.max(rule.way === null ? 1 : BENCH.mostPieces, part.count ?? 1)
    )
      add('E9', part.id, { need: part.amount.pieces });
    if (part.mm !== null && part.from_mm !== null && rule.to === 'forward' && part.mm < leastOf(rule, materials, shank))
      add('P6', part.id, { least: { mm: leastOf(rule, materials, shank) } });
  }
  for (const weight of card.weights)
    if (weight.bore_mm !== null && weight.bore_needed_mm !== null && weight.bore_mm < weight.bore_needed_mm)
      add('F7', 'bead', { need: { mm: weight.bore_needed_mm } });
  for (const thread of card.threads)
    for (const why of thread.reasons) {
      if (why.code === 'thread-weak') add('T7', null, why.params);
      if (why.code === 'thread-bulk-over') add('T8', null, why.params);
    }
  for (const step of dressing.steps)
    if (step.do === 'seat-bead' && WIDE_HOLE.test(step.orientation ?? '')) add('L7', step.part);
  lawsOfLength(input, naturalMm, add);
  lawsOfStage(dressing, add);
  lawsOfTails(input, add);
  return found;
}

type Add = (rule: RuleId, part: string | null, params?: Record<string, Param>) => void;

function liesBack(dressing: Dressing, id: string): boolean {
  const bound = dressing.steps.find((step) => step.part === id && step.do === 'bind');
  const part = dressing.parts.find((item) => item.id === id)!;
  if (part.function === 'wing.down' || part.function === 'wing.bud') return true;
  return /back|rear|flat over|swept|along|narrow v|half spread/i.test(
    `${bound?.orientation ?? ''} ${bound?.check ?? ''}`,
  );
}

function lawsOfPart(part: CardPart, rule: DressingPart, add: Add): void {
  const does = rule.function;
  const material = rule.material;
  if (does === null || material === null) return;
  const strip = WIDE.has(does) || (FILMS.has(material) && FILM_USES.has(does));
  if (strip && part.wide_mm === null) add('F4', part.id, { what: 'width' });
  if (HAIRS.has(material) && HAIR_USES.has(does) && part.amount.need === null) add('F4', part.id, { what: 'amount' });
}

/** The least of a part that lies along the hook: one turn of what it is made of. */
function leastOf(rule: DressingPart, materials: readonly Material[], shankMm: number): number {
  return (
    layOnHook(materials.find((material) => material.id === rule.material) ?? null, rule.function, shankMm) ??
    BENCH.leastDubbedMm
  );
}

/** Iron and what stands behind it make the natural's length; a larva's head is a small part of its case. */
function lawsOfLength({ stages, card, style }: LawInput, naturalMm: number, add: Add): void {
  const behind = card.parts.find((part) => part.part === 'extended-body');
  if (behind?.mm != null && style.share < 1) {
    const whole = style.share + behind.mm / naturalMm;
    if (whole < 0.95 || whole > 1.05) add('L2', behind.id, { share: whole });
  } else if (style.id === 'plume-tail' && !stages.some(({ traits }) => traits.includes('plume')))
    add('L2', null, { share: style.share });
  const head = card.parts.find((part) => part.part === 'larva-head');
  const body = card.parts.find((part) => part.part === 'case');
  if (head?.mm != null && body?.mm != null) {
    const share = head.mm / body.mm;
    if (share < 0.1 - 1e-9 || share > 0.2 + 1e-9) add('L2', head.id, { share });
  }
}

/** Parts that a stage of the dressing has not. */
function lawsOfStage(dressing: Dressing, add: Add): void {
  const on = (id: string, stage: StageId) => {
    const item = dressing.switches.find((own) => own.parts.includes(id));
    return item === undefined || (item.on && (item.stages.length === 0 || item.stages.includes(stage)));
  };
  for (const part of dressing.parts)
    for (const stage of dressing.stages) {
      const winged = part.part === 'wing' && stage === 'ant/worker';
      const eggs = part.part === 'egg-mass' && !/egg-layer|spent|diver|drowned/.test(stage);
      if ((winged || eggs) && on(part.id, stage)) {
        add('L5', part.id, { stage: { kind: 'stages', id: stage } });
        break;
      }
    }
}

function lawsOfTails({ dressing, card, tails }: LawInput, add: Add): void {
  const tail = card.parts.find((part) => part.part === 'tail');
  const rule = dressing.parts.find((part) => part.id === tail?.id);
  // A bunch stands for tails without counting them; only single fibres are counted.
  if (!tail || tail.count === null || tail.count > 3 || rule?.function === 'tail.webby' || rule?.follows === 'natural')
    return;
  if (tails.some((own) => own.length > 0 && !own.includes(tail.count!))) add('L4', tail.id, { n: tail.count });
}
