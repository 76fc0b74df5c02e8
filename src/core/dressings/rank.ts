import type { LevelId, RideId, StageId, StageMatch } from '@/catalogue/ids';
import { NUMBER_STEP } from '../constants';
import { reason, type Reason } from '../code';
import type { StageRow } from '../hooks';
import { staysOff, type Material } from '../materials';
import type { Dressing } from './dressing';
import type { Asked, Criterion } from './picking';
import { readiness } from './readiness';
import type { Tool } from './tool';

export interface RankedDressing {
  dressing: Dressing;
  score: number;
  stageMatch: StageMatch;
  /** One reason a criterion that is known, its `weight` being what it did to the score. */
  why: Reason[];
  /** What each reason is about, in the same order. */
  criteria: Criterion[];
}

/** What dressings are judged against. */
export interface RankCatalogue {
  stages: readonly StageRow[];
  materials: readonly Material[];
  tools: readonly Tool[];
}

/** Fits of a criterion; a length far outside asks for scaling, not for another stage; each a starting value that the tier's weights raise to a power. Source: domain §2 and §8, architecture (choosing). */
const FIT = {
  neighbour: 0.5,
  farLength: 0.1,
  alsoFor: 0.95,
  otherStyle: 0.96,
  rideStep: 0.9,
  otherWater: 0.8,
  otherLevel: 0.7,
  bare: 0.85,
  heavy: 0.75,
  outOfSeason: 0.6,
  harderByOne: 0.75,
  leastMinutes: 0.5,
  toolWithout: 0.95,
  substitutes: 0.9,
  short: 0.6,
  easierPrey: 1,
  exactPrey: 0.8,
  noAttraction: 0.9,
  sameRide: 0.8,
  otherGroup: 0.8,
  anyGroup: 0.95,
} as const;
const LENGTH_SPREAD_STEPS = 2;
/** How far a colour may be off until it counts for 1/e. */
const COLOUR_SPREAD = 40;
/** A dressing starts with as many takes as refusals, and its own record moves it. */
const PRIOR_FISH = 4;

const RIDES: readonly RideId[] = ['high', 'film', 'hanging', 'under', 'sink'];

interface Judged {
  criterion: Criterion;
  fit: number;
  why: Reason;
}

/** Number steps by which a length lies outside a dressing's range; 0 inside. */
function stepsOutside(lengthMm: number, [low, high]: readonly [number, number]): number {
  if (lengthMm < low) return Math.log(low / lengthMm) / NUMBER_STEP;
  return lengthMm > high ? Math.log(lengthMm / high) / NUMBER_STEP : 0;
}

/** Rows between a stage and the nearest of a dressing's stages of the same order; the earlier row is nearer by half on a tie. */
function rowsAway(dressing: Dressing, stage: StageId, rows: readonly StageRow[]): number {
  const at = rows.findIndex((row) => row.id === stage);
  const order = rows[at]?.order;
  const distances = dressing.stages.flatMap((id) => {
    const index = rows.findIndex((row) => row.id === id);
    return rows[index]?.order === order ? [Math.abs(index - at) + (index > at ? 0.5 : 0)] : [];
  });
  return distances.length === 0 ? Infinity : Math.min(...distances);
}

const isHeavy = (dressing: Dressing) =>
  dressing.weights.some((weight) => weight.kind !== 'hook-wire' && weight.metal !== 'glass');

/** Levels at which weight is wanted, and at which it is in the way. */
const DEEP: ReadonlySet<LevelId> = new Set(['bed', 'drift']);
const SHALLOW: ReadonlySet<LevelId> = new Set(['film', 'surface', 'air']);

function judgeStage(dressing: Dressing, asked: Asked, away: number, { easier: prey }: StageRow): Judged {
  const { stage } = asked;
  const wanted = { kind: 'stages', id: stage };
  if (asked.intent === 'easier-prey') {
    const easier = prey.find((id) => dressing.stages.includes(id));
    if (easier)
      return {
        criterion: 'stage',
        fit: FIT.easierPrey,
        why: reason('stage-easier', { stage: { kind: 'stages', id: easier }, wanted }, { evidence: 'heard' }),
      };
    if (away === 0 && prey.length > 0)
      return {
        criterion: 'stage',
        fit: FIT.exactPrey,
        why: reason('stage-not-easier', { stage: wanted }, { evidence: 'heard' }),
      };
  }
  if (away === 0) {
    const first = dressing.stages[0] === stage;
    return {
      criterion: 'stage',
      fit: first ? 1 : FIT.alsoFor,
      why: reason(
        first ? 'stage-same' : 'stage-also',
        { stage: wanted, first: { kind: 'stages', id: dressing.stages[0]! } },
        { evidence: dressing.evidence },
      ),
    };
  }
  return {
    criterion: 'stage',
    fit: FIT.neighbour,
    why: reason(
      away === Infinity ? 'stage-other' : 'stage-neighbour',
      { stage: { kind: 'stages', id: dressing.stages[0]! }, wanted },
      { evidence: 'theory' },
    ),
  };
}

/** A dressing for some groups above others: better where the natural can be one of them, worse where it cannot; one for any stands between. */
function judgeGroup(dressing: Dressing, { picking }: Asked): Judged[] {
  if (picking.groups.length === 0) return [];
  if (dressing.groups.length === 0)
    return [{ criterion: 'group', fit: FIT.anyGroup, why: reason('group-any', {}, { evidence: 'theory' }) }];
  const could = dressing.groups.some((id) => picking.groups.includes(id));
  return [
    {
      criterion: 'group',
      fit: could ? 1 : FIT.otherGroup,
      why: reason(could ? 'group-could' : 'group-not', {}, { evidence: 'theory' }),
    },
  ];
}

function judgeRide(dressing: Dressing, asked: Asked, row: StageRow): Judged[] {
  const apart = RIDES.indexOf(dressing.ride) - RIDES.indexOf(row.ride);
  const usual = dressing.style === row.style;
  const judged: Judged[] = [
    {
      criterion: 'ride',
      fit: FIT.rideStep ** Math.abs(apart) * (usual ? 1 : FIT.otherStyle),
      why: reason(
        apart !== 0 ? 'ride-apart' : usual ? 'ride-same' : 'ride-same-style-other',
        {
          ride: { kind: 'rides', id: dressing.ride },
          wanted: { kind: 'rides', id: row.ride },
          style: { kind: 'styles', id: dressing.style },
        },
        { evidence: 'theory' },
      ),
    },
  ];
  if (asked.intent === 'different-after-refusal') {
    judged.push({
      criterion: 'intent',
      fit: apart > 0 ? 1 : FIT.sameRide,
      why: reason(
        apart > 0 ? 'intent-lower' : 'intent-not-lower',
        { ride: { kind: 'rides', id: dressing.ride } },
        { evidence: 'heard' },
      ),
    });
  }
  if (asked.intent === 'half-attractor') {
    const draw = dressing.switches.find((item) => item.attracts);
    judged.push({
      criterion: 'intent',
      fit: draw ? 1 : FIT.noAttraction,
      why: draw
        ? reason('intent-attracts', { name: draw.name }, { evidence: 'heard' })
        : reason('intent-plain', {}, { evidence: 'heard' }),
    });
  }
  return judged;
}

function judgeLength(dressing: Dressing, lengthMm: number): Judged {
  const outside = stepsOutside(lengthMm, dressing.length_mm);
  const [low, high] = dressing.length_mm;
  return {
    criterion: 'length',
    fit: outside === 0 ? 1 : Math.max(FIT.farLength, Math.exp(-0.5 * (outside / LENGTH_SPREAD_STEPS) ** 2)),
    why: reason(
      outside === 0 ? 'length-inside' : 'length-outside',
      { low: { mm: low }, high: { mm: high }, steps: outside },
      { steps: outside, evidence: 'theory' },
    ),
  };
}

function judgeLevel(dressing: Dressing, levels: readonly LevelId[]): Judged[] {
  if (levels.length === 0) return [];
  const level = { kind: 'levels', id: levels[0]! };
  const judged: Judged[] = [];
  if (dressing.levels.length > 0) {
    const meets = levels.some((id) => dressing.levels.includes(id));
    judged.push({
      criterion: 'level',
      fit: meets ? 1 : FIT.otherLevel,
      why: reason(
        meets ? 'level-met' : 'level-other',
        { level, made: { kind: 'levels', id: dressing.levels[0]! } },
        { evidence: 'heard' },
      ),
    });
  }
  const heavy = isHeavy(dressing);
  if (levels.every((id) => DEEP.has(id)))
    judged.push({
      criterion: 'weight',
      fit: heavy ? 1 : FIT.bare,
      why: reason(heavy ? 'weight-wanted' : 'weight-missing', { level }, { evidence: 'theory' }),
    });
  if (levels.every((id) => SHALLOW.has(id)) && heavy)
    judged.push({
      criterion: 'weight',
      fit: FIT.heavy,
      why: reason('weight-unwanted', { level }, { evidence: 'theory' }),
    });
  return judged;
}

/** How near the materials of a dressing come to the colours of the natural: what is dyed to match reaches all, what grew so only itself. */
function judgeColour(
  dressing: Dressing,
  { colours, surface }: Asked,
  materials: ReadonlyMap<string, Material>,
): Judged[] {
  const off = dressing.parts.flatMap((part) => {
    const wanted = part.region === null ? undefined : colours[part.region];
    const material = part.material === null ? undefined : materials.get(part.material);
    if (!wanted || !material) return [];
    return [{ part, material, de: staysOff(material, wanted, surface) }];
  });
  if (off.length === 0) return [];
  const worst = off.reduce((most, item) => (item.de > most.de ? item : most));
  const parts = { list: [...new Set(off.map(({ part }) => part.part))].map((id) => ({ kind: 'parts', id })) };
  return [
    {
      criterion: 'colour',
      fit: Math.exp(-worst.de / COLOUR_SPREAD),
      why: reason(
        worst.de === 0 ? 'colour-reached' : 'colour-off',
        {
          parts,
          part: { kind: 'parts', id: worst.part.part },
          material: worst.material.name,
          de: Math.round(worst.de),
        },
        { evidence: 'theory' },
      ),
    },
  ];
}

function judgeTier(dressing: Dressing, asked: Asked, catalogue: RankCatalogue): Judged[] {
  const { month, skill, minutes, tools, stash, results } = asked.picking;
  const judged: Judged[] = [];
  if (month !== null && dressing.months.length > 0) {
    const inSeason = dressing.months.includes(month);
    judged.push({
      criterion: 'season',
      fit: inSeason ? 1 : FIT.outOfSeason,
      why: reason(
        inSeason ? 'season-in' : 'season-out',
        { months: { list: [...dressing.months] } },
        { evidence: 'heard' },
      ),
    });
  }
  if (skill !== null)
    judged.push({
      criterion: 'skill',
      fit: FIT.harderByOne ** Math.max(0, dressing.skill - skill),
      why: reason(
        dressing.skill > skill ? 'skill-above' : 'skill-within',
        { asked: dressing.skill, own: skill },
        { evidence: 'theory' },
      ),
    });
  if (minutes !== null && dressing.minutes !== null)
    judged.push({
      criterion: 'minutes',
      fit: Math.max(FIT.leastMinutes, Math.min(1, minutes / dressing.minutes)),
      why: reason(
        dressing.minutes > minutes ? 'minutes-over' : 'minutes-within',
        { minutes: dressing.minutes, most: minutes },
        { evidence: 'theory' },
      ),
    });
  if (tools !== null) {
    const missing = dressing.tools.filter((id) => !tools.has(id));
    const named = missing.flatMap((id) => catalogue.tools.find((tool) => tool.id === id) ?? []);
    judged.push({
      criterion: 'tools',
      fit: FIT.toolWithout ** missing.length,
      why:
        missing.length === 0
          ? reason('tools-all')
          : reason(
              'tools-missing',
              { tools: { list: named.map((tool) => tool.name) }, without: named[0]?.without ?? '' },
              { evidence: 'heard' },
            ),
    });
  }
  const { ready, reason: said } = readiness(dressing, stash, catalogue.materials, asked.colours);
  if (said !== null) {
    const noHook = asked.carried !== null && !asked.carried(dressing);
    judged.push({
      criterion: 'stash',
      fit: noHook ? FIT.short : ready === 'ready' ? 1 : ready === 'substitutes' ? FIT.substitutes : FIT.short,
      why: noHook && ready !== 'short' ? reason('ready-no-hook') : said,
    });
  }
  const own = results.get(dressing.id);
  if (own && own.took + own.refused > 0) {
    const share = (own.took + PRIOR_FISH / 2) / (own.took + own.refused + PRIOR_FISH);
    judged.push({
      criterion: 'results',
      fit: 0.5 + share,
      why: reason('results-own', { took: own.took, refused: own.refused }, { evidence: 'tested' }),
    });
  }
  return judged;
}

/** Everything known about one dressing for what is asked, criterion by criterion. */
function judge(
  dressing: Dressing,
  asked: Asked,
  away: number,
  row: StageRow,
  catalogue: RankCatalogue,
  materials: ReadonlyMap<string, Material>,
): Judged[] {
  const judged = [judgeStage(dressing, asked, away, row)];
  // Easier prey is judged as what it is: it rides, and is taken, where that stage is.
  const easier = asked.intent === 'easier-prey' ? row.easier.find((id) => dressing.stages.includes(id)) : undefined;
  const rides = easier ? catalogue.stages.find((item) => item.id === easier)! : row;
  const levels = easier ? [] : asked.picking.levels;
  if (asked.lengthMm !== null) judged.push(judgeLength(dressing, asked.lengthMm));
  if (asked.water !== null) {
    const listed = dressing.waters.includes(asked.water);
    judged.push({
      criterion: 'water',
      fit: listed ? 1 : FIT.otherWater,
      why: reason(
        listed ? 'water-listed' : 'water-other',
        { water: { kind: 'waters', id: asked.water } },
        { evidence: dressing.evidence },
      ),
    });
  }
  return [
    ...judged,
    ...judgeGroup(dressing, asked),
    ...judgeRide(dressing, asked, rides),
    ...judgeLevel(dressing, levels),
    ...judgeColour(dressing, asked, materials),
    ...judgeTier(dressing, asked, catalogue),
  ];
}

/** Where a dressing stands before any score: 0 made for the insect and its length, 1 made for another and ties it too, 2 its own at another length, 3 a neighbour's. Another fly on purpose is chosen by score alone. */
function matchClass(dressing: Dressing, { stage, intent, lengthMm }: Asked, { easier }: StageRow): number {
  if (intent === 'different-after-refusal') return 0;
  const wanted = intent === 'easier-prey' ? (easier.length > 0 ? easier : [stage]) : [stage];
  const own = dressing.stages.filter((id) => wanted.includes(id));
  if (own.length === 0) return 3;
  if (lengthMm !== null && stepsOutside(lengthMm, dressing.length_mm) > 0) return 2;
  return dressing.stages[0]!.split('/')[0] === stage.split('/')[0] ? 0 : 1;
}

/** Of two that do equally well: the one for more waters, then for more lengths, then the sooner tied. */
const breadth = ({ length_mm: [low, high] }: Dressing) => Math.round(1000 * Math.log(high / low));
const handier = (a: Dressing, b: Dressing) =>
  b.waters.length - a.waters.length ||
  breadth(b) - breadth(a) ||
  (a.minutes ?? Infinity) - (b.minutes ?? Infinity) ||
  a.id.localeCompare(b.id);

/**
 * Dressings for a stage, best first: made for the insect and its length before any neighbour, then by score, ties by `handier`. The score is the product of every
 * criterion's fit (0–1; own results up to 1.5), each raised to the tier's weight. A stage that has none takes the nearest stage's of its order; where the order
 * holds fewer than two, the rest of the library follows.
 */
export function rankDressings(library: readonly Dressing[], asked: Asked, catalogue: RankCatalogue): RankedDressing[] {
  const row = catalogue.stages.find((item) => item.id === asked.stage)!;
  const materials = new Map(catalogue.materials.map((material) => [material.id, material]));
  const scored = library.map((dressing) => {
    const same = dressing.stages.includes(asked.stage);
    const away = same ? 0 : rowsAway(dressing, asked.stage, catalogue.stages);
    const judged = judge(dressing, asked, away, row, catalogue, materials).map((item) => ({
      ...item,
      did: item.fit ** (asked.picking.weights[item.criterion] ?? 1),
    }));
    return {
      dressing,
      score: judged.reduce((product, item) => product * item.did, 1),
      stageMatch: same ? ('same' as const) : ('neighbour' as const),
      why: judged.map(({ why, did }) => ({ ...why, weight: did })),
      criteria: judged.map(({ criterion }) => criterion),
      away,
      stands: matchClass(dressing, asked, row),
    };
  });
  const hasSame = scored.some((item) => item.away === 0);
  const byScore = (a: (typeof scored)[number], b: (typeof scored)[number]) =>
    Math.round((b.score - a.score) * 1e9) || a.away - b.away || handier(a.dressing, b.dressing);
  const ofOrder = scored
    .filter((item) => item.away !== Infinity)
    .sort((a, b) => a.stands - b.stands || (hasSame ? 0 : a.away - b.away) || byScore(a, b));
  const rest = ofOrder.length >= 2 ? [] : scored.filter((item) => item.away === Infinity).sort(byScore);
  return [...ofOrder, ...rest].map(({ away: _away, stands: _stands, ...item }) => item);
}

/** What parts the first from the second: the criterion that cost the second most against it, or that it is as good and only less handy. */
export function beforeSecond(first: RankedDressing, second: RankedDressing): Reason {
  const gaps = second.why.map((why, at) => ({
    why,
    criterion: second.criteria[at]!,
    lost: (first.why[first.criteria.indexOf(second.criteria[at]!)]?.weight ?? 1) - (why.weight ?? 1),
  }));
  const most = gaps.reduce<(typeof gaps)[number] | null>(
    (best, gap) => (gap.lost > (best?.lost ?? 1e-9) ? gap : best),
    null,
  );
  const name = { second: second.dressing.name };
  if (most) return reason(`before-second-${most.criterion}`, name, { evidence: 'theory' });
  if (first.dressing.waters.length > second.dressing.waters.length)
    return reason('before-second-waters', name, { evidence: 'theory' });
  if (breadth(first.dressing) > breadth(second.dressing))
    return reason('before-second-lengths', name, { evidence: 'theory' });
  return reason(
    (first.dressing.minutes ?? 0) < (second.dressing.minutes ?? 0) ? 'before-second-sooner' : 'before-second-equal',
    name,
    { evidence: 'theory' },
  );
}

/** Why one dressing is not the one chosen: what cost it most against the first, dearest first. Empty for the first itself. */
export function whyNot(first: RankedDressing, other: RankedDressing): Reason[] {
  if (first.dressing.id === other.dressing.id) return [];
  return other.why.filter((why) => (why.weight ?? 1) < 1).sort((a, b) => (a.weight ?? 1) - (b.weight ?? 1));
}
