import type { FaunaId, LevelId, RegionId, StageId } from '@/catalogue/ids';
import { NO_CHOICES, type Choices, type Sample } from '../answer';
import {
  byStage,
  INSECT_SD_MM,
  NOTHING_SEEN,
  unshrunk,
  type Belief,
  type GrowingOn,
  type LengthSeen,
  type NaturalGroup,
  type Sighting,
} from '../belief';
import { wantedLength, type BoxWanted } from '../box';
import { hexOfLab, labOfHex, type Lab } from '../colour';
import { BELLY, Z95 } from '../constants';
import { NO_PICKING, type Criterion, type Picking } from '../dressings';
import { groupsThatFit, spanOfLength, tailsOfNatural, type Eye } from '../naturals';
import type { CaseData, Insect, Natural } from './natural';

/** Whether an insect counts: not set aside, and of the sex asked for where both are told apart. */
export function counts({ sex }: Pick<Natural, 'sex'>, insect: Insect): boolean {
  const wanted = sex === 'male' || sex === 'female' ? sex : null;
  return insect.out === null && (wanted === null || insect.sex === null || insect.sex === wanted);
}

/** Body lengths that count, mm, as they were before any spirit shrank them. */
export function bodiesOf(natural: Natural, stage: StageId | null, growing: GrowingOn): number[] {
  return natural.specimens
    .filter((insect) => counts(natural, insect))
    .flatMap(({ body: { mm } }) =>
      mm === null || mm === undefined ? [] : [natural.preserved && stage ? unshrunk(growing, stage, mm) : mm],
    );
}

/** What a match waits for before anything is worked out; null when it can be answered. */
export function waitsFor(
  natural: Natural,
  stage: StageId | null | undefined,
  growing: GrowingOn,
): 'stage' | 'length' | null {
  if (!stage) return 'stage';
  const known =
    natural.rough !== null ||
    natural.overall.mm != null ||
    natural.case.mm != null ||
    bodiesOf(natural, stage, growing).length > 0;
  return known ? null : 'length';
}

/** Half-width of the readings where every one has its own, as photographs have; null where the method's holds. */
function ownHalfWidth(natural: Natural): number | null {
  const halves = natural.specimens
    .filter((insect) => insect.body.mm != null && counts(natural, insect))
    .map((insect) => insect.halfMm ?? null);
  if (halves.length === 0 || halves.some((half) => half === null)) return null;
  return Math.sqrt(halves.reduce<number>((sum, half) => sum + half! ** 2, 0) / halves.length);
}

/** Half-width of lengths by eye: the tier's own eye where it is known. */
function eyeHalfWidth({ method }: Natural, measured: readonly number[], eye: Eye | null): number | null {
  if (method !== 'eye' || eye === null || measured.length === 0) return null;
  return (eye.halfShare * measured.reduce((sum, mm) => sum + mm, 0)) / measured.length;
}

/** A word's middle stands in for a colour until one is given; estimated. */
function coloursOf({ colours, shades }: Natural, labOfShade: CaseData['labOfShade']): Sample['colours'] {
  const inWords = Object.entries(shades).flatMap(([region, shade]) => {
    const lab = labOfShade(shade);
    return lab ? [[region as RegionId, { hex: hexOfLab(lab), source: 'estimated' as const }]] : [];
  });
  const given = Object.entries(colours).map(([region, hex]) => [
    region as RegionId,
    { hex: hex as `#${string}`, source: 'typed' as const },
  ]);
  return Object.fromEntries([...inWords, ...given]);
}

/** The sample an answer takes, for one stage; `eye` is how the tier's own eye reads. */
export function sampleOf(
  natural: Natural,
  stage: StageId,
  { growing, labOfShade }: Pick<CaseData, 'growing' | 'labOfShade'>,
  eye: Eye | null = null,
): Sample {
  const measured = bodiesOf(natural, stage, growing);
  const rough = measured.length === 0 ? natural.rough : null;
  return {
    stage,
    lengthsMm: rough ? [rough.mm] : measured,
    halfWidthMm: rough ? rough.halfMm : (ownHalfWidth(natural) ?? eyeHalfWidth(natural, measured, eye)),
    overallMm: natural.overall.mm ?? null,
    caseMm: natural.case.mm ?? null,
    widthMm: null,
    method: rough ? 'eye' : natural.method,
    sex: natural.sex,
    colours: coloursOf(natural, labOfShade),
    surface: natural.surface,
    water: natural.water,
  };
}

/** Month of a natural as its calendar says, 1–12; null where it is not known. */
export function monthOf({ when }: Pick<Natural, 'when'>): number | null {
  const month = Number(/^\d{4}-(\d{2})/.exec(when)?.[1] ?? NaN);
  return month >= 1 && month <= MONTHS ? month : null;
}

const MONTHS = 12;
const HALF_YEAR = 6;

/** A length without a tool: between the bounds that were tapped, or about so much. */
function lengthByEye({ rough }: Natural): LengthSeen | null {
  if (!rough) return null;
  const span = rough.how === 'chip' ? spanOfLength(rough.mm) : null;
  return span ? { fromMm: span.fromMm, toMm: span.toMm } : { mm: rough.mm, sd: rough.halfMm / Z95 };
}

/** The belly's colour, or its colour in words. */
function bellyOf({ colours, shades }: Natural, labOfShade: CaseData['labOfShade']): Lab | null {
  const hex = colours[BELLY];
  return hex ? labOfHex(hex) : shades[BELLY] ? labOfShade(shades[BELLY]) : null;
}

/** Where the tier fishes. */
export interface World {
  /** South of the equator the year is turned. */
  south: boolean;
  fauna?: FaunaId | null;
}

/** What a natural says to the key: signs, place, month, mean length and belly. */
export function sightingOf(
  natural: Natural,
  { south, fauna }: World,
  { growing, labOfShade }: Pick<CaseData, 'growing' | 'labOfShade'>,
): Sighting {
  const bodies = bodiesOf(natural, null, growing);
  const mean = bodies.length > 0 ? bodies.reduce((sum, mm) => sum + mm, 0) / bodies.length : null;
  const weighed = (what: string) => !natural.leftOut.includes(what);
  const belly = bellyOf(natural, labOfShade);
  return {
    ...NOTHING_SEEN,
    signs: {
      ...natural.signs,
      ...(natural.found ? { found: natural.found } : {}),
      ...(natural.doing ? { doing: natural.doing } : {}),
    },
    seen: natural.seen,
    rise: natural.rise,
    water: natural.water,
    month: weighed('month') ? monthOf(natural) : null,
    south,
    region: fauna ?? null,
    lengthMm: mean !== null ? (weighed('length') ? { mm: mean, sd: INSECT_SD_MM } : null) : lengthByEye(natural),
    caseMm: natural.case.mm != null && weighed('case-length') ? { mm: natural.case.mm, sd: INSECT_SD_MM } : null,
    // A colour in words was only said: it is taken back, never left out.
    belly: natural.colours[BELLY] && !weighed('belly') ? null : belly,
  };
}

/** Where in the water an insect was taken, by where it was and what it did; nothing where neither says. */
const LEVELS: Partial<Record<string, LevelId>> = {
  bed: 'bed',
  'under-stone': 'bed',
  weed: 'bed',
  drift: 'drift',
  film: 'film',
  surface: 'surface',
  air: 'air',
  crawling: 'bed',
  swimming: 'rising',
  hanging: 'film',
  hatching: 'film',
  stuck: 'film',
  fluttering: 'surface',
  skating: 'surface',
  dipping: 'surface',
  'walking-down': 'going-down',
  spent: 'film',
};

/** What of the tier counts when a dressing is chosen. */
export interface Tier extends World {
  skill?: 1 | 2 | 3 | null;
  minutes?: number | null;
  tools?: readonly string[] | null;
  pickWeights?: Readonly<Partial<Record<Criterion, number>>>;
}

/** What is known of the tier and the moment, for choosing a dressing. */
export function pickingOf(
  natural: Natural,
  tier: Tier,
  stage: StageId | null,
  groups: readonly NaturalGroup[],
  growing: GrowingOn,
): Picking {
  const levels = [natural.found, natural.doing].flatMap((word) => LEVELS[word ?? ''] ?? []);
  const month = monthOf(natural);
  return {
    ...NO_PICKING,
    levels: [...new Set(levels)],
    groups: stage ? groupsThatFit(groups, stage, bodiesOf(natural, stage, growing), tier.fauna ?? null) : [],
    month: month === null ? null : tier.south ? ((month + HALF_YEAR - 1) % MONTHS) + 1 : month,
    skill: tier.skill ?? null,
    minutes: tier.minutes ?? null,
    tools: tier.tools ? new Set(tier.tools) : null,
    weights: tier.pickWeights ?? {},
  };
}

/** What is chosen for a natural of a stage: what the tier said, what is known of the moment, and the tails it may have. */
export function choicesOf(
  natural: Natural,
  stage: StageId,
  tier: Tier,
  chosen: Partial<Choices>,
  groups: readonly NaturalGroup[],
  growing: GrowingOn,
): Choices {
  const picking = {
    ...pickingOf(natural, tier, stage, groups, growing),
    ...(chosen.picking
      ? { stash: chosen.picking.stash, hooks: chosen.picking.hooks, results: chosen.picking.results }
      : {}),
  };
  const counted = [Number(natural.signs.tails ?? NaN)].filter(Number.isInteger);
  return { ...NO_CHOICES, ...chosen, picking, tails: tailsOfNatural({ stage, counted, fits: picking.groups, groups }) };
}

/** Stages less likely than this are not looked for in a box. */
const LEAST = 0.01;

/** What a natural asks of a box: the stages kept or, while none is, every stage by its odds; its length; its belly. */
export function boxWantedOf(
  natural: Natural,
  kept: readonly StageId[],
  belief: Belief | null,
  { key, stages, growing, labOfShade }: Pick<CaseData, 'key' | 'stages' | 'growing' | 'labOfShade'>,
  eye: Eye | null = null,
): BoxWanted {
  const odds = belief ? byStage(key, belief) : [];
  const among = odds.filter(({ stage }) => kept.includes(stage));
  const total = among.reduce((sum, { p }) => sum + p, 0);
  const likely =
    kept.length === 0
      ? odds.filter(({ p }) => p >= LEAST)
      : kept.length === 1 || total === 0
        ? kept.map((stage) => ({ stage, p: 1 / kept.length }))
        : among.map(({ stage, p }) => ({ stage, p: p / total }));
  const stage = likely[0]?.stage ?? null;
  return {
    belief: likely,
    length: stage ? wantedLength(sampleOf(natural, stage, { growing, labOfShade }, eye), stage, stages) : null,
    belly: bellyOf(natural, labOfShade),
  };
}
