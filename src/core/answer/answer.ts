import { CRANE_FLY_WHOLE_BELOW_MM, LENGTH_RANGE_MM, RAFT_MM, SUIT } from '../constants';
import { reason, type Reason } from '../code';
import { colourOf, shadeOf } from '../colour';
import { rankDressings, type Dressing, type RankedDressing } from '../dressings';
import { barbAllowed, modelKey, modelSdSteps, offsetFactor, raftLength, rungBounds, rungProbabilities, target, type Hook, type StageRow, type Style } from '../hooks';
import { bodyFrom, caseFrom, femaleOverMale, lengthStats, overallRatio, type LengthStats } from '../naturals';
import { buildCard } from '../tying';
import type { Answer, Catalogue, Choices, Dressed, Holds, HookAnswer, Sample } from './answer-shape';
import { bestByMaker, rankHooks } from './rank-hooks';
import { pathShareOf, scoreHook, type StyleInUse } from './score-hook';

export const NO_CHOICES: Choices = {
  offset: { sizes: 0, intent: 'exact' },
  barbRule: 'any',
  owned: {},
  onlyOwned: false,
  makers: [],
  hookPin: null,
  dressingPin: null,
  schools: {},
  hand: 'right',
  without: [],
};

/** Length that a style compares with the fly, mm. */
function measuredLength(style: Style, stats: LengthStats, caseMm: number): number {
  if (style.measure === 'case') return caseMm;
  return style.measure === 'raft' ? raftLength(stats.meanMm) : stats.meanMm;
}

function findStyle(catalogue: Catalogue, id: string): Style {
  return catalogue.styles.find((style) => style.id === id)!;
}

function styleInUse(catalogue: Catalogue, row: StageRow, dressing: Dressing | null, pinned: boolean, bodyMm: number, choices: Choices): StyleInUse {
  let style = findStyle(catalogue, dressing?.style ?? row.style);
  const craneFly = row.id === 'crane-fly/adult' || row.id === 'crane-fly/drowned';
  if (craneFly && style.id === 'detached-body' && bodyMm < CRANE_FLY_WHOLE_BELOW_MM && !pinned) style = findStyle(catalogue, 'small-adult');
  const bead = dressing ? (dressing.weights.find((weight) => weight.kind === 'bead') ?? null) : beadOfStyle(style);
  return { style, bead, reading: choices.schools['eye-reading'] ?? 'default', pathShare: pathShareOf(style, choices.schools) };
}

/** A style that means a bead is taken to have one until a dressing says otherwise. */
function beadOfStyle(style: Style): StyleInUse['bead'] {
  if (style.id !== 'bead-nymph' && style.id !== 'jig-nymph') return null;
  return { kind: 'bead', metal: 'tungsten', bead_kind: style.id === 'jig-nymph' ? 'slotted' : 'countersunk', diameter_mm: null, turns: null, cover: null };
}

function dressed(ranked: RankedDressing, pinned: boolean, extra: Reason[] = []): Dressed {
  const { dressing } = ranked;
  return { id: dressing.id, name: dressing.name, score: ranked.score, why: [...ranked.why, ...extra], stage_match: ranked.stageMatch, ready: 'unknown', pinned, style: dressing.style };
}

interface Chosen {
  first: RankedDressing | null;
  pinned: boolean;
  alternatives: Dressed[];
  warnings: Reason[];
}

function chooseDressing(sample: Sample, catalogue: Catalogue, choices: Choices, row: StageRow, stats: LengthStats, caseMm: number): Chosen {
  const ranked = rankDressings(catalogue.dressings, sample.stage, stats.meanMm, sample.water, catalogue.stages);
  const warnings: Reason[] = [];
  let kept = ranked;
  const pinnedHook = catalogue.hooks.find((hook) => hook.id === choices.hookPin);
  if (pinnedHook) {
    kept = ranked.filter(({ dressing }) => {
      const use = styleInUse(catalogue, row, dressing, true, stats.meanMm, choices);
      const wanted = target(use.style, measuredLength(use.style, stats, caseMm), choices.offset.sizes);
      const scored = scoreHook(pinnedHook, use, { targetMm: wanted, bodyWidthMm: 0 }, 0, true);
      return Math.abs(scored!.length_steps!) <= SUIT.pinnedWithin;
    });
    if (kept.length < ranked.length) warnings.push(reason('pinned-hook-keeps', { kept: kept.length, all: ranked.length, hook: pinnedHook.id }));
  }
  const pin = choices.dressingPin === null ? undefined : ranked.find((item) => item.dressing.id === choices.dressingPin) ?? pinOutside(catalogue, sample, stats, choices.dressingPin);
  const first = pin ?? kept[0] ?? ranked[0] ?? null;
  const rest = kept.filter((item) => item !== first);
  const offered = rest.length > 0 ? rest : ranked.filter((item) => item !== first);
  const outside = rest.length > 0 ? [] : [reason('pinned-hook-outside', { within: SUIT.pinnedWithin })];
  const fill = offered.length > 0 ? offered : otherOrders(catalogue, sample, stats).filter((item) => item.dressing.id !== first?.dressing.id);
  return { first, pinned: pin !== undefined, alternatives: fill.map((item) => dressed(item, false, pinnedHook ? outside : [])), warnings };
}

function otherOrders(catalogue: Catalogue, sample: Sample, stats: LengthStats): RankedDressing[] {
  return catalogue.dressings.flatMap((dressing) => rankDressings([dressing], sample.stage, stats.meanMm, sample.water, catalogue.stages));
}

function pinOutside(catalogue: Catalogue, sample: Sample, stats: LengthStats, id: string): RankedDressing | undefined {
  return otherOrders(catalogue, sample, stats).find((item) => item.dressing.id === id);
}

function usableHooks(catalogue: Catalogue, choices: Choices): readonly Hook[] {
  return catalogue.hooks.filter((hook) => {
    if (hook.id === choices.hookPin) return true;
    if (choices.makers.length > 0 && !choices.makers.includes(hook.maker)) return false;
    if (choices.onlyOwned && !(choices.owned[hook.id]! > 0)) return false;
    return barbAllowed(hook.barb, choices.barbRule).allowed;
  });
}

function addProbabilities(answers: HookAnswer[], hooks: ReadonlyMap<string, Hook>, targetMm: number, stats: LengthStats): void {
  const models = new Map<string, HookAnswer[]>();
  for (const answer of answers) models.set(modelKey(answer), [...(models.get(modelKey(answer)) ?? []), answer]);
  for (const sizes of models.values()) {
    const rungs = sizes.map((size) => ({ id: size.id, carryMm: size.carry_mm }));
    const sdSteps = modelSdSteps(sizes.map((size) => hooks.get(size.id)!.shank.source));
    const right = rungProbabilities(rungs, targetMm, stats.seMm / stats.meanMm, sdSteps);
    const shares = rungProbabilities(rungs, targetMm, stats.hatchSdMm / stats.meanMm, sdSteps);
    for (const size of sizes) {
      size.probability = right.get(size.id)!;
      size.share = shares.get(size.id)!;
    }
  }
}

/** Lengths (as the style measures them) between which the first hook stays nearest in its model; the accepted range where the model ends. */
function holdsOf(first: HookAnswer, all: readonly HookAnswer[], style: Style, offset: number): Holds {
  const model = all.filter((hook) => modelKey(hook) === modelKey(first));
  const bounds = rungBounds(model.map((hook) => ({ id: hook.id, carryMm: hook.carry_mm }))).get(first.id)!;
  const back = (carryMm: number) => {
    const length = carryMm / (style.share * offsetFactor(offset));
    return style.measure === 'raft' && length < RAFT_MM ? length ** 2 / RAFT_MM : length;
  };
  return {
    low_mm: bounds.lowMm === null ? LENGTH_RANGE_MM[0] : back(bounds.lowMm),
    high_mm: bounds.highMm === null ? LENGTH_RANGE_MM[1] : back(bounds.highMm),
    below: bounds.below,
    above: bounds.above,
  };
}

function sampleWarnings(sample: Sample, stats: LengthStats): Reason[] {
  const warnings: Reason[] = [];
  if (stats.outliers.length > 0) warnings.push(reason('outliers', { count: stats.outliers.length, values: { list: stats.outliers.map((index) => ({ mm: stats.valuesMm[index]! })) } }));
  const ratio = sample.sex === null || sample.sex === 'mixed' ? null : femaleOverMale(sample.stage.split('/')[0]!);
  if (ratio) {
    const other = sample.sex === 'female' ? stats.meanMm / ratio : stats.meanMm * ratio;
    warnings.push(reason(sample.sex === 'female' ? 'females-only' : 'males-only', { other: { mm: other } }, { evidence: 'heard' }));
  }
  return warnings;
}

/**
 * The whole answer for one natural: style, hooks of every maker, dressings, the card, and how far it holds.
 * `sample` needs at least one length within 0.5–120 mm; pins in `choices` are fixed points and are never changed.
 * Order of work: style of the stage, dressings, style of the pinned or first dressing, hooks, card. Source: formulas §2–§4.
 */
export function answer(sample: Sample, choices: Choices, catalogue: Catalogue): Answer {
  const row = catalogue.stages.find((stage) => stage.id === sample.stage)!;
  const body = bodyFrom({ bodyMm: sample.lengthsMm[0] ?? null, overallMm: sample.overallMm, caseMm: sample.caseMm }, row.order)!;
  const stats = lengthStats(sample.lengthsMm.length > 0 ? sample.lengthsMm : [body.mm], sample.method, sample.stage, sample.halfWidthMm ?? null);
  const caseMm = caseFrom(sample.caseMm, stats.meanMm);
  const chosen = chooseDressing(sample, catalogue, choices, row, stats, caseMm);
  const dressing = chosen.first?.dressing ?? null;
  const use = styleInUse(catalogue, row, dressing, chosen.pinned, stats.meanMm, choices);
  const { style } = use;
  const measured = measuredLength(style, stats, caseMm);
  const targetMm = target(style, measured, choices.offset.sizes);
  const bodyWidthMm = sample.widthMm ?? row.girth * stats.meanMm;

  const hooksById = new Map(catalogue.hooks.map((hook) => [hook.id, hook]));
  const scored = usableHooks(catalogue, choices).flatMap((hook) => {
    const scoredHook = scoreHook(hook, use, { targetMm, bodyWidthMm }, choices.owned[hook.id] ?? 0, hook.id === choices.hookPin);
    return scoredHook ? [scoredHook] : [];
  });
  addProbabilities(scored, hooksById, targetMm, stats);
  const { hooks, giant } = rankHooks(scored, targetMm, stats.seMm / stats.meanMm);
  const first = hooks[0] ?? null;
  const warnings = [...chosen.warnings, ...sampleWarnings(sample, stats)];
  if (body.source === 'estimated' && sample.lengthsMm.length === 0) warnings.push(reason('body-estimated', { from: body.from, body: { mm: body.mm }, ratio: body.from === 'case' ? 1.2 : overallRatio(row.order) }, { evidence: 'heard' }));
  if (giant) warnings.push(reason('giant', { longest: { mm: first!.carry_mm }, target: { mm: targetMm } }, { evidence: 'theory' }));
  if (first?.pinned && first.reasons.some((item) => item.code === 'bend-borrowed')) warnings.push(first.reasons.find((item) => item.code === 'bend-borrowed')!);
  if (first && first.pinned && !barbAllowed(first.barb, choices.barbRule).allowed) warnings.push(reason('pinned-barb', { rule: { kind: 'barb-rules', id: choices.barbRule } }));
  if (chosen.first?.stageMatch === 'neighbour') warnings.push(reason('dressing-of-neighbour', { name: chosen.first.dressing.name, wanted: { kind: 'stages', id: sample.stage }, stage: { kind: 'stages', id: chosen.first.dressing.stages[0]! } }, { evidence: 'theory' }));

  const colours: Answer['natural']['colours'] = {};
  for (const [region, colour] of Object.entries(sample.colours)) {
    const base = colourOf(colour.hex, sample.surface, colour.source);
    const lab = colour.lab ?? base.lab;
    colours[region as keyof typeof colours] = { ...base, lab, shade: shadeOf(lab) };
  }
  const card = first && dressing
    ? buildCard({ dressing, hook: first, use, catalogue, natural: { stage: sample.stage, measuredMm: measured, bodyWidthMm, colours }, choices, count: null })
    : null;
  const nearest = scored.length === 0 ? null : scored.reduce((best, hook) => (hook.steps! < best.steps! ? hook : best));
  return {
    natural: { stage: sample.stage, length: stats, lengthSource: sample.lengthsMm.length > 0 ? (sample.method === 'typed' ? 'typed' : sample.method === 'eye' ? 'estimated' : 'measured') : 'estimated', case_mm: sample.caseMm, overall_mm: sample.overallMm, colours, water: sample.water, offset: choices.offset },
    style: { id: style.id, from: dressing ? 'dressing' : 'stage', measure: style.measure, p: style.share, bends: style.bends, wire: style.wire, ride: dressing?.ride ?? row.ride, face: row.face },
    measured_mm: measured,
    target_mm: targetMm,
    hooks,
    by_maker: bestByMaker(hooks),
    none_fits: noneFits(nearest, targetMm),
    holds: first ? holdsOf(first, scored, style, choices.offset.sizes) : null,
    dressing: chosen.first ? dressed(chosen.first, chosen.pinned) : null,
    alternatives: chosen.alternatives,
    card,
    warnings,
  };
}

function noneFits(nearest: HookAnswer | null, targetMm: number): Answer['none_fits'] {
  if (nearest === null) return { nearest: null, message: reason('no-hook-left', {}) };
  if (nearest.steps! <= SUIT.noneFitsOver) return null;
  return { nearest, message: reason('none-fits', { hook: `${nearest.maker_name} ${nearest.model_name} ${nearest.size}`, steps: nearest.steps!, target: { mm: targetMm }, carry: { mm: nearest.carry_mm } }, { steps: nearest.steps }) };
}
