import { CRANE_FLY_WHOLE_BELOW_MM, LENGTH_RANGE_MM, RAFT_MM, SUIT } from '../constants';
import { reason, type Reason } from '../code';
import { colourOf, labOfHex, shadeOf } from '../colour';
import {
  askedFor,
  beforeSecond,
  NO_PICKING,
  rankDressings,
  type Asked,
  type Dressing,
  type RankedDressing,
} from '../dressings';
import {
  barbAllowed,
  columnsOf,
  modelSdSteps,
  offsetFactor,
  raftLength,
  referenceShank,
  rungBounds,
  rungProbabilities,
  target,
  xOf,
  type HookColumns,
  type ModelRung,
  type StageRow,
  type Style,
} from '../hooks';
import {
  bodyFrom,
  caseFrom,
  femaleOverMale,
  lengthStats,
  overallRatio,
  postureCv,
  type LengthStats,
} from '../naturals';
import { buildCard } from '../tying';
import type { Answer, Catalogue, Choices, Dressed, Holds, LadderOf, Sample } from './answer-shape';
import { hasHookFor, readyAtHand } from './at-hand';
import { keeps, rankHooks, type HookKinds, type HooksAsked } from './rank-hooks';
import { isSecond } from './seconds';
import { carryOn, placeOf, scoreHook, styleUse, type StyleInUse, type HookAnswer } from '../hook-score';

/** Hooks listed in full. */
const LISTED = 50;

export const NO_CHOICES: Choices = {
  offset: { sizes: 0, intent: 'exact' },
  barbRule: 'any',
  owned: {},
  onlyOwned: false,
  smallest: null,
  makers: [],
  hookPin: null,
  dressingPin: null,
  schools: {},
  dressingSchools: {},
  cardSchools: {},
  hand: 'right',
  without: [],
  added: [],
  swaps: {},
  picking: NO_PICKING,
  tails: [],
};

/** Length that a style compares with the fly, mm. */
function measuredLength(style: Style, stats: LengthStats, caseMm: number): number {
  if (style.measure === 'case') return caseMm;
  return style.measure === 'raft' ? raftLength(stats.meanMm) : stats.meanMm;
}

function findStyle(catalogue: Catalogue, id: string): Style {
  return catalogue.styles.find((style) => style.id === id)!;
}

function styleInUse(
  catalogue: Catalogue,
  row: StageRow,
  dressing: Dressing | null,
  pinned: boolean,
  bodyMm: number,
  choices: Choices,
): StyleInUse {
  let style = findStyle(catalogue, dressing?.style ?? row.style);
  const craneFly = row.id === 'crane-fly/adult' || row.id === 'crane-fly/drowned';
  if (craneFly && style.id === 'detached-body' && bodyMm < CRANE_FLY_WHOLE_BELOW_MM && !pinned)
    style = findStyle(catalogue, 'small-adult');
  const use = styleUse(style, dressing, dressing ? schoolsFor(choices, dressing.id) : choices.schools);
  return dressing ? use : { ...use, bead: beadOfStyle(style) };
}

/** A style that means a bead is taken to have one until a dressing says otherwise. */
function beadOfStyle(style: Style): StyleInUse['bead'] {
  if (style.id !== 'bead-nymph' && style.id !== 'jig-nymph') return null;
  return {
    kind: 'bead',
    metal: 'tungsten',
    bead_kind: style.id === 'jig-nymph' ? 'slotted' : 'countersunk',
    diameter_mm: null,
    turns: null,
    cover: null,
    lock: null,
  };
}

/** The schools a dressing's card is worked in: the tier's, over them the dressing's, over these the card's. */
export function schoolsFor(
  { schools, dressingSchools, cardSchools }: Pick<Choices, 'schools' | 'dressingSchools' | 'cardSchools'>,
  dressing: string,
): Choices['schools'] {
  return { ...schools, ...dressingSchools[dressing], ...cardSchools };
}

function dressed(ranked: RankedDressing, pinned: boolean, ready: Dressed['ready'], extra: Reason[] = []): Dressed {
  const { dressing } = ranked;
  return {
    id: dressing.id,
    name: dressing.name,
    score: ranked.score,
    why: [...ranked.why, ...extra],
    criteria: ranked.criteria,
    stage_match: ranked.stageMatch,
    ready,
    pinned,
    style: dressing.style,
  };
}

/** What the dressings are asked for: the natural, the water, the intent and the tier. */
export function askedOf(
  sample: Sample,
  choices: Pick<Choices, 'offset' | 'picking'>,
  meanMm: number,
  catalogue: Pick<Catalogue, 'hooks' | 'styles'> | null = null,
): Asked {
  const colours = Object.fromEntries(
    Object.entries(sample.colours).map(([region, colour]) => [region, colour.lab ?? labOfHex(colour.hex)]),
  );
  return askedFor(sample.stage, {
    lengthMm: meanMm,
    water: sample.water,
    colours,
    surface: sample.surface,
    intent: choices.offset.intent,
    picking: choices.picking,
    carried:
      catalogue && choices.picking.hooks ? (dressing) => hasHookFor(dressing, choices.picking.hooks!, catalogue) : null,
  });
}

/** Any dressing as it stands for a natural, whatever order it is made for: why, and why not. */
export function considered(
  dressing: Dressing,
  sample: Sample,
  choices: Choices,
  catalogue: Catalogue,
  meanMm: number,
): Dressed {
  const [ranked] = rankDressings([dressing], askedOf(sample, choices, meanMm, catalogue), catalogue);
  return dressed(ranked!, choices.dressingPin === dressing.id, readyAtHand(dressing, choices.picking, catalogue).ready);
}

interface Chosen {
  first: RankedDressing | null;
  ready: Dressed['ready'];
  pinned: boolean;
  /** The next best, before any pin. */
  second: RankedDressing | null;
  alternatives: Dressed[];
  warnings: Reason[];
}

function chooseDressing(
  sample: Sample,
  catalogue: Catalogue,
  choices: Choices,
  row: StageRow,
  stats: LengthStats,
  caseMm: number,
): Chosen {
  const asked = askedOf(sample, choices, stats.meanMm, catalogue);
  const ranked = rankDressings(catalogue.dressings, asked, catalogue);
  const warnings: Reason[] = [];
  let kept = ranked;
  const columns = columnsOf(catalogue.hooks);
  const pinnedHook = choices.hookPin === null ? undefined : columns.hooks[columns.at.get(choices.hookPin) ?? -1];
  if (pinnedHook) {
    kept = ranked.filter(({ dressing }) => {
      const use = styleInUse(catalogue, row, dressing, true, stats.meanMm, choices);
      const wanted = target(use.style, measuredLength(use.style, stats, caseMm), choices.offset.sizes);
      const onHook = scoreHook(pinnedHook, use, { targetMm: wanted, bodyWidthMm: 0 }, 0, true);
      return Math.abs(onHook!.length_steps!) <= SUIT.pinnedWithin;
    });
    if (kept.length < ranked.length)
      warnings.push(reason('pinned-hook-keeps', { kept: kept.length, all: ranked.length, hook: pinnedHook.id }));
  }
  const pin =
    choices.dressingPin === null
      ? undefined
      : (ranked.find((item) => item.dressing.id === choices.dressingPin) ??
        otherOrders(catalogue, asked).find((item) => item.dressing.id === choices.dressingPin));
  const first = pin ?? kept[0] ?? ranked[0] ?? null;
  const rest = kept.filter((item) => item !== first);
  const offered = rest.length > 0 ? rest : ranked.filter((item) => item !== first);
  const outside = rest.length > 0 ? [] : [reason('pinned-hook-outside', { within: SUIT.pinnedWithin })];
  const fill =
    offered.length > 0
      ? offered
      : otherOrders(catalogue, asked).filter((item) => item.dressing.id !== first?.dressing.id);
  const readyOf = (item: RankedDressing) => readyAtHand(item.dressing, choices.picking, catalogue).ready;
  return {
    first,
    ready: first ? readyOf(first) : 'unknown',
    pinned: pin !== undefined,
    second: fill[0] ?? null,
    alternatives: fill.map((item) => dressed(item, false, readyOf(item), pinnedHook ? outside : [])),
    warnings,
  };
}

/** What is said of the first beyond its score: its claim as it is graded, and what parts it from the second, or that its stage has no second. */
function saidOf({ first, second, pinned }: Chosen, intent: Choices['offset']['intent']): Reason[] {
  const claim = first?.dressing.claims[0];
  const said = claim ? [reason('claim-of', { text: claim.text.replace(/\.$/, '') }, { evidence: claim.evidence })] : [];
  if (!first || pinned) return said;
  return [
    ...said,
    second && isSecond(second.stageMatch, intent)
      ? beforeSecond(first, second)
      : reason('no-second-fly', {}, { evidence: 'theory' }),
  ];
}

function otherOrders(catalogue: Catalogue, asked: Asked): RankedDressing[] {
  return catalogue.dressings.flatMap((dressing) => rankDressings([dressing], asked, catalogue));
}

/** How one hook is scored for what was asked. */
function scored(columns: HookColumns, asked: HooksAsked, row: number): HookAnswer {
  const hook = columns.hooks[row]!;
  return scoreHook(
    hook,
    asked.use,
    { targetMm: asked.targetMm, bodyWidthMm: asked.bodyWidthMm },
    asked.owned[hook.id] ?? 0,
    hook.id === asked.pin,
  )!;
}

interface Rung extends ModelRung {
  row: number;
}

/** What the sizes of one model carry that no filter leaves out. */
function rungsOf(columns: HookColumns, asked: HooksAsked, keep: (row: number) => boolean, model: number): Rung[] {
  const rungs: Rung[] = [];
  for (let row = columns.starts[model]!; row < columns.starts[model + 1]!; row++) {
    const hook = columns.hooks[row]!;
    if (keep(row)) rungs.push({ row, id: hook.id, carryMm: carryOn(hook, asked.use, hook.id === asked.pin)!.carryMm });
  }
  return rungs;
}

/** Hooks of the rows named, each with its probability and share within its model. */
function answersOf(columns: HookColumns, asked: HooksAsked, rows: Iterable<number>): Map<number, HookAnswer> {
  const keep = keeps(columns, asked);
  const odds = new Map<number, { right: Map<string, number>; shares: Map<string, number> }>();
  const oddsOf = (model: number) => {
    const rungs = rungsOf(columns, asked, keep, model);
    const sdSteps = modelSdSteps(rungs.map(({ row }) => columns.hooks[row]!.shank));
    return {
      right: rungProbabilities(rungs, asked.targetMm, asked.relativeSe, sdSteps),
      shares: rungProbabilities(rungs, asked.targetMm, asked.relativeHatchSd, sdSteps),
    };
  };
  return new Map(
    Array.from(rows, (row) => {
      const model = columns.model[row]!;
      const known = odds.get(model) ?? oddsOf(model);
      odds.set(model, known);
      const hook = scored(columns, asked, row);
      return [row, { ...hook, probability: known.right.get(hook.id)!, share: known.shares.get(hook.id)! }];
    }),
  );
}

/** One rail of the ladder: a model with all its sizes that no filter leaves out, in the order they carry. */
export function railOf({ columns, asked }: LadderOf, model: number): HookAnswer[] {
  const rows = rungsOf(columns, asked, keeps(columns, asked), model).map(({ row }) => row);
  return [...answersOf(columns, asked, rows).values()].sort((a, b) => a.carry_mm - b.carry_mm);
}

/** The nearest few hooks of one maker, of any of its models, each with its probability. */
export function nearestOfMaker({ columns, asked }: LadderOf, maker: string, count: number): HookAnswer[] {
  const own = {
    ...asked,
    makers: [maker],
    pin: asked.pin !== null && asked.pin.startsWith(`${maker}:`) ? asked.pin : null,
  };
  const { order } = rankHooks(columns, own, count);
  return [...answersOf(columns, own, order.slice(0, count)).values()];
}

/** How far any hook of an answer holds within its model. */
export function holdsOfHook(answered: Answer, hook: HookAnswer): Holds {
  const { columns, asked } = answered.ladder;
  return holdsOf(
    hook,
    rungsOf(columns, asked, keeps(columns, asked), columns.model[columns.at.get(hook.id)!]!),
    asked.use.style,
    answered.natural.offset.sizes,
  );
}

const nearestFirst = (a: HookAnswer, b: HookAnswer) => a.steps! - b.steps! || (a.id < b.id ? -1 : 1);

/** The hooks of an answer: the best in order, the nearest of every maker, and what the ladder is drawn from. */
function hooksOf(
  columns: HookColumns,
  asked: HooksAsked,
  top: number,
): Pick<Answer, 'hooks' | 'by_maker' | 'ladder'> & { nearest: HookAnswer | null; giant: boolean } {
  const { order, bestOfMaker, bestOfModel, modelSteps, nearest, giant } = rankHooks(columns, asked, top);
  const makersBest = [...bestOfMaker].filter((row) => row >= 0);
  const answers = answersOf(columns, asked, new Set([...order, ...makersBest, ...(nearest < 0 ? [] : [nearest])]));
  return {
    hooks: order.map((row) => answers.get(row)!),
    by_maker: Object.fromEntries(
      makersBest
        .map((row) => answers.get(row)!)
        .sort(nearestFirst)
        .map((hook) => [hook.maker, hook]),
    ),
    ladder: { columns, asked, bestOfModel, modelSteps },
    nearest: answers.get(nearest) ?? null,
    giant,
  };
}

/** An answer with only hooks of some kinds to be seen, and the pinned one; what it holds for, its card and its dressing stay as they are. */
export function narrowed(answered: Answer, kinds: HookKinds, top = LISTED): Answer {
  const { columns, asked } = answered.ladder;
  const { hooks, by_maker, ladder } = hooksOf(columns, { ...asked, kinds }, top);
  return { ...answered, hooks, by_maker, ladder };
}

/** Lengths (as the style measures them) between which the first hook stays nearest in its model; the accepted range where the model ends. */
function holdsOf(first: HookAnswer, rungs: readonly ModelRung[], style: Style, offset: number): Holds {
  const bounds = rungBounds(rungs).get(first.id)!;
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
  if (stats.outliers.length > 0)
    warnings.push(
      reason('outliers', {
        count: stats.outliers.length,
        values: { list: stats.outliers.map((index) => ({ mm: stats.valuesMm[index]! })) },
      }),
    );
  const ratio = sample.sex === null || sample.sex === 'mixed' ? null : femaleOverMale(sample.stage.split('/')[0]!);
  if (ratio) {
    const other = sample.sex === 'female' ? stats.meanMm / ratio : stats.meanMm * ratio;
    warnings.push(
      reason(sample.sex === 'female' ? 'females-only' : 'males-only', { other: { mm: other } }, { evidence: 'heard' }),
    );
  }
  return warnings;
}

/**
 * The whole answer for one natural: style, hooks of every maker, dressings, the card, and how far it holds.
 * `top` is how many hooks are listed in full; `sample` needs at least one length within 0.5–120 mm; pins in `choices` are fixed points and are never changed.
 * Order of work: style of the stage, dressings, style of the pinned or first dressing, hooks, card. Source: formulas §2–§4.
 */
export function answer(sample: Sample, choices: Choices, catalogue: Catalogue, top = LISTED): Answer {
  const row = catalogue.stages.find((stage) => stage.id === sample.stage)!;
  const body = bodyFrom(
    { bodyMm: sample.lengthsMm[0] ?? null, overallMm: sample.overallMm, caseMm: sample.caseMm },
    row.order,
  )!;
  const stats = lengthStats(
    sample.lengthsMm.length > 0 ? sample.lengthsMm : [body.mm],
    sample.method,
    postureCv(row),
    sample.halfWidthMm ?? null,
  );
  const caseMm = caseFrom(sample.caseMm, stats.meanMm);
  const chosen = chooseDressing(sample, catalogue, choices, row, stats, caseMm);
  const dressing = chosen.first?.dressing ?? null;
  const use = styleInUse(catalogue, row, dressing, chosen.pinned, stats.meanMm, choices);
  const { style } = use;
  const measured = measuredLength(style, stats, caseMm);
  const targetMm = target(style, measured, choices.offset.sizes);
  const bodyWidthMm = sample.widthMm ?? row.girth * stats.meanMm;

  const columns = columnsOf(catalogue.hooks);
  const asked: HooksAsked = {
    use,
    targetMm,
    bodyWidthMm,
    barbRule: choices.barbRule,
    makers: choices.makers,
    owned: choices.owned,
    onlyOwned: choices.onlyOwned,
    pin: choices.hookPin,
    leastShankMm: choices.smallest === null ? 0 : referenceShank(choices.smallest + 0.5),
    relativeSe: stats.seMm / stats.meanMm,
    relativeHatchSd: stats.hatchSdMm / stats.meanMm,
  };
  const { hooks, by_maker, ladder, nearest, giant } = hooksOf(columns, asked, top);
  const first = hooks[0] ?? null;
  const warnings = [...chosen.warnings, ...sampleWarnings(sample, stats)];
  if (body.source === 'estimated' && sample.lengthsMm.length === 0)
    warnings.push(
      reason(
        'body-estimated',
        { from: body.from, body: { mm: body.mm }, ratio: body.from === 'case' ? 1.2 : overallRatio(row.order) },
        { evidence: 'heard' },
      ),
    );
  if (giant)
    warnings.push(
      reason('giant', { longest: { mm: first!.carry_mm }, target: { mm: targetMm } }, { evidence: 'theory' }),
    );
  if (first?.pinned && first.reasons.some((item) => item.code === 'bend-borrowed'))
    warnings.push(first.reasons.find((item) => item.code === 'bend-borrowed')!);
  if (first && first.pinned && !barbAllowed(first.barb, choices.barbRule).allowed)
    warnings.push(reason('pinned-barb', { rule: { kind: 'barb-rules', id: choices.barbRule } }));
  if (choices.barbRule === 'barbless') {
    const inside = (hook: HookAnswer) => placeOf(use, hook.bend, xOf(hook.shank_mm, hook.gape_mm)).place >= 0;
    const flattened =
      first && inside(first)
        ? null
        : (hooksOf(columns, { ...asked, barbRule: 'flattened', pin: null }, 1).hooks[0] ?? null);
    if (flattened && inside(flattened))
      warnings.push(
        reason(
          'flatten-instead',
          { hook: `${flattened.maker_name} ${flattened.model_name} ${flattened.size}`, steps: flattened.steps! },
          { evidence: 'heard' },
        ),
      );
  }
  const byWater = sample.water === null ? 0 : (dressing?.size_by_water[sample.water] ?? 0);
  if (sample.water !== null && byWater !== 0 && choices.offset.sizes === 0)
    warnings.push(
      reason(
        byWater > 0 ? 'size-larger-water' : 'size-smaller-water',
        { water: { kind: 'waters', id: sample.water }, sizes: Math.abs(byWater) },
        { evidence: 'heard' },
      ),
    );
  if (chosen.first?.stageMatch === 'neighbour' && choices.offset.intent !== 'easier-prey')
    warnings.push(
      reason(
        'dressing-of-neighbour',
        {
          name: chosen.first.dressing.name,
          wanted: { kind: 'stages', id: sample.stage },
          stage: { kind: 'stages', id: chosen.first.dressing.stages[0]! },
        },
        { evidence: 'theory' },
      ),
    );

  const colours: Answer['natural']['colours'] = {};
  for (const [region, colour] of Object.entries(sample.colours)) {
    const base = colourOf(colour.hex, sample.surface, colour.source);
    const lab = colour.lab ?? base.lab;
    colours[region as keyof typeof colours] = { ...base, lab, shade: shadeOf(lab) };
  }
  const card =
    first && dressing
      ? buildCard({
          dressing,
          hook: first,
          use,
          catalogue,
          natural: { stage: sample.stage, measuredMm: measured, bodyWidthMm, colours, tails: choices.tails },
          choices: { ...choices, schools: schoolsFor(choices, dressing.id) },
          count: null,
        })
      : null;
  return {
    natural: {
      stage: sample.stage,
      length: stats,
      lengthSource:
        sample.lengthsMm.length > 0
          ? sample.method === 'typed'
            ? 'typed'
            : sample.method === 'eye'
              ? 'estimated'
              : 'measured'
          : 'estimated',
      case_mm: sample.caseMm,
      overall_mm: sample.overallMm,
      colours,
      water: sample.water,
      offset: choices.offset,
    },
    style: {
      id: style.id,
      from: dressing ? 'dressing' : 'stage',
      measure: style.measure,
      p: style.share,
      bends: style.bends,
      wire: style.wire,
      ride: dressing?.ride ?? row.ride,
      face: row.face,
    },
    measured_mm: measured,
    target_mm: targetMm,
    hooks,
    by_maker,
    ladder,
    none_fits: noneFits(nearest, targetMm),
    holds: first
      ? holdsOf(
          first,
          rungsOf(columns, asked, keeps(columns, asked), columns.model[columns.at.get(first.id)!]!),
          style,
          choices.offset.sizes,
        )
      : null,
    dressing: chosen.first
      ? dressed(chosen.first, chosen.pinned, chosen.ready, saidOf(chosen, choices.offset.intent))
      : null,
    alternatives: chosen.alternatives,
    card,
    warnings,
  };
}

function noneFits(nearest: HookAnswer | null, targetMm: number): Answer['none_fits'] {
  if (nearest === null) return { nearest: null, message: reason('no-hook-left', {}) };
  if (nearest.steps! <= SUIT.noneFitsOver) return null;
  return {
    nearest,
    message: reason(
      'none-fits',
      {
        hook: `${nearest.maker_name} ${nearest.model_name} ${nearest.size}`,
        steps: nearest.steps!,
        target: { mm: targetMm },
        carry: { mm: nearest.carry_mm },
      },
      { steps: nearest.steps },
    ),
  };
}
