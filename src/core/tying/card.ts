import type { CautionId, LandmarkId, RegionId, StageId } from '@/catalogue/ids';
import { GAUGE_BARB_PER_GAPE, NUMBERS_PER_PACKET } from '../constants';
import { reason, type Reason } from '../code';
import { colourOf, shadeOf, stackColour, wetHex, type LayerMaterial } from '../colour';
import {
  leftOut,
  type Dressing,
  type DressingPart,
  type DressingStep,
  type DressingWeight,
  type Picking,
} from '../dressings';
import {
  barbAllowed,
  beadMass,
  beadPlace,
  beadRange,
  boreNeeded,
  hookLength,
  landmarks,
  nearestWire,
  pinnedPathFactor,
  placeReasons,
  readsGape,
  sizeLabelOf,
  stripMassPerMm,
  usualBead,
  woundMass,
  xOf,
  type StageRow,
} from '../hooks';
import { staysOff, type Material } from '../materials';
import { placeOf, type HookAnswer, type StyleInUse, type TyingChoices } from '../hook-score';
import type { Way } from '../ways';
import { threadDiameter, woundCut } from './amounts';
import { cutOf, partAmount } from './part-amount';
import { headTurnBudget, threadReasons, turnsHeld, type ThreadOnHook } from './thread-advice';
import type { BenchState, PartStanding } from '../bench/bench-shape';
import { tieCard } from '../bench/tie-card';
import type {
  AfterStep,
  Card,
  CardPart,
  CardStep,
  CardThread,
  CardWeight,
  NamedColour,
  RoomAfter,
} from '../card/card-shape';
import { baseLength } from './bases';
import { countsTurns, LOOPED, layOnHook } from '../card/lay';
import { figuresOf } from './figures';
import { isAlong, layOut, type LaidPart, type LayOut } from './lay-out';
import { fromStash } from './from-stash';
import { inSchool } from './in-school';
import { schoolRules } from './schools';
import { batchOf } from './batch';

/** What the natural gives to a card; absent when a card is made from a dressing and a hook alone. */
export interface CardNatural {
  stage: StageId;
  measuredMm: number;
  bodyWidthMm: number;
  colours: Partial<Record<RegionId, NamedColour>>;
  /** Tails it may have; empty where nothing says so. */
  tails: readonly number[];
}

export interface CardInput {
  dressing: Dressing;
  hook: HookAnswer;
  use: StyleInUse;
  catalogue: { stages: readonly StageRow[]; materials: readonly Material[]; ways: readonly Way[] };
  natural: CardNatural | null;
  choices: TyingChoices & { picking?: Pick<Picking, 'stash'> };
  /** Flies to tie; null for a card without a batch. */
  count: number | null;
}

/** Width of a bodkin until the tier sets it, mm. */
const TOOL_MM = 1.0;
/** Butt kept on a part that is measured before it is bound, mm. */
const BUTT_MM = 20;

/** Colours that were named: the few shades of the materials come back on every card. */
const namedColours = new Map<string, NamedColour>();

function named(hex: string, source: NamedColour['source'], surface: 'dry' | 'wet' = 'dry'): NamedColour {
  const key = `${hex} ${source} ${surface}`;
  const known = namedColours.get(key);
  if (known) return known;
  const colour = colourOf(hex, surface, source);
  const made = { ...colour, shade: shadeOf(colour.lab) };
  namedColours.set(key, made);
  return made;
}

function layers(materials: readonly Material[]): LayerMaterial[] {
  return materials.map(({ hex, transmittance, absorbency }) => ({ hex, transmittance, absorbency }));
}

/** Clear enough for what lies beneath to be the colour. */
const CLEAR = 0.5;

function wantedColour(partId: string, dressing: Dressing, natural: CardNatural | null): NamedColour | null {
  const region = dressing.parts.find((part) => part.id === partId)?.region;
  return (region && natural?.colours[region]) || null;
}

/** A part in the natural's colour as far as its material comes in it; what it stays, and by how much, where it does not. */
function partColour(part: DressingPart, own: Material | null, natural: CardNatural | null): CardPart['colour'] {
  const wanted = part.region ? natural?.colours[part.region] : undefined;
  if (!own) return wanted ? { ...wanted, region: part.region, stays: null, wet: null } : null;
  const off = wanted ? staysOff(own, wanted.lab, wanted.surface) : null;
  const clear =
    own.transmittance >= CLEAR && own.functions.some((does) => does === 'body.tubing' || does === 'wing.spent');
  const reached = wanted !== undefined && !clear && off === 0;
  const colour = reached ? wanted : named(own.hex, 'default');
  return {
    ...colour,
    region: wanted ? part.region : null,
    stays: wanted && !reached && !clear ? off : null,
    wet: named(wetHex(colour.hex, own.absorbency), 'model', 'wet'),
  };
}

/** What lies over one another in the shades chosen: the outermost as its part is, and under a clear skin a thread that gives the colour. */
function inColours(stack: readonly Material[], outer: CardPart['colour'], wanted: NamedColour | null): Material[] {
  const top = stack[stack.length - 1];
  return stack.map((item) => {
    if (item === top && stack.length > 0 && outer && item.transmittance < CLEAR) return { ...item, hex: outer.hex };
    return item !== top && top && top.transmittance >= CLEAR && wanted && item.shades === 'any'
      ? { ...item, hex: wanted.hex }
      : item;
  });
}

/** A card to tie from: the dressing laid out on one hook, in millimetres. Source: domain §4, §12; formulas §5–§8. */
export function buildCard(input: CardInput): Card {
  const { hook, use, catalogue, natural, choices } = input;
  const without = leftOut(input.dressing, choices, natural?.stage ?? null);
  const schooled = inSchool(input.dressing, choices.schools, catalogue);
  const { dressing, ready, reasons: stash } = fromStash(schooled.dressing, choices.picking?.stash ?? null, catalogue);
  const material = (id: string | null) =>
    id === null ? null : (catalogue.materials.find((item) => item.id === id) ?? null);
  const stage = catalogue.stages.find((row) => row.id === (natural?.stage ?? dressing.stages[0]))!;
  const naturalMm = natural?.measuredMm ?? hook.carry_mm / use.style.share;
  const beadMm = use.bead === null ? 0 : (use.bead.diameter_mm ?? usualBead(hook.gape_mm, hook.bend));
  const pathMm = pinnedPathFactor(use.style, hook.bend).factor * use.pathShare * hook.shank_mm;
  const bead = beadPlace({ bend: hook.bend, beadMm, seatMm: use.seatEyes * hook.eye_mm });
  const marks = landmarks({
    shankMm: hook.shank_mm,
    gapeMm: hook.gape_mm,
    eyeMm: hook.eye_mm,
    pathMm,
    behindBeadMm: bead.rearMm,
  });
  const lengths = {
    shank: hook.shank_mm,
    'hook-length': hookLength(hook.shank_mm, hook.gape_mm, hook.wire_mm),
    overall: hookLength(hook.shank_mm, hook.gape_mm, hook.wire_mm) + hook.eye_mm,
    gape: hook.gape_mm,
    eye: hook.eye_mm,
    fly: pathMm,
    natural: naturalMm,
    bead: beadMm,
    girth: natural?.bodyWidthMm ?? stage.girth * naturalMm,
    tool: TOOL_MM,
    landmarks: marks,
  };
  const laid = seatBead(
    bead.frontMm,
    layOut(dressing, {
      lengths,
      roomMm: hook.room_mm,
      tieDownMm: pathMm,
      without,
      schools: schoolRules(dressing, choices.schools),
      faceMm: bead.rearMm,
      headInFrontMm: Math.max(0, bead.frontMm),
      reserveMm: use.style.reserve * hook.eye_mm,
      layOf: (part) => layOnHook(material(part.material), part.function, hook.shank_mm, part.way === 'open'),
    }),
  );
  const colourOfPart = (part: DressingPart): CardPart['colour'] => partColour(part, material(part.material), natural);
  const parts = laid.parts.map((item): CardPart => {
    const own = material(item.part.material);
    const rib = ribOf(item, laid);
    const amount = partAmount({
      part: item.part,
      material: own,
      crossedMm: item.part.part === 'rib' ? bodyOf(item, laid)?.thickMm : null,
      mm: item.mm,
      fromMm: item.fromMm,
      toMm: item.toMm,
      thickMm: item.thickMm,
      wireMm: hook.wire_mm,
      shankMm: hook.shank_mm,
      gapeMm: hook.gape_mm,
      looped: dressing.steps.some((step) => step.part === item.part.id && step.do === 'loop'),
      woundByStep: dressing.steps.some((step) => step.part === item.part.id && step.do === 'wind'),
    });
    return {
      id: item.part.id,
      part: item.part.part,
      base: item.part.base,
      factor: item.part.factor,
      mm: item.mm,
      range_mm: item.rangeMm,
      from_mm: item.fromMm,
      to_mm: item.toMm,
      thick_mm: item.thickMm,
      wide_mm: item.wideMm,
      count: follows(item.part) ? tailsOn(item.part, natural) : countOf(item),
      tails: follows(item.part) ? [...(natural?.tails ?? [])] : null,
      spare: item.part.spare,
      material:
        own && item.part.function
          ? { id: own.id, name: own.name, function: item.part.function, ...(own.look ? { look: own.look } : {}) }
          : null,
      colour: colourOfPart(item.part),
      method: item.part.method,
      optional: item.part.optional,
      cut_mm:
        rib?.cut_mm ??
        cutOf(amount, Math.max(item.thickMm ?? 0, hook.wire_mm), own) ??
        (item.part.method === 'measure-then-bind' && item.mm !== null ? item.mm + BUTT_MM : null),
      amount,
    };
  });
  const flatten = barbAllowed(hook.barb, choices.barbRule).flatten;
  const stepOf = stepMaker(parts, laid, marks, pathMm, material, hook);
  const kept = dressing.steps.filter((step) => step.part === null || !without.includes(step.part)).map(stepOf);
  if (flatten)
    kept.unshift({ ...EMPTY_STEP, do: 'check', check: 'flatten-barb', caution: 'hook-point', reversible: false });
  const steps = numbered(kept);
  const threadOn: ThreadOnHook = {
    shankMm: hook.shank_mm,
    eyeMm: hook.eye_mm,
    wireMm: hook.wire_mm,
    headMm: partMm(laid, 'head'),
    heldAtHead: turnsHeld(steps, laid.parts.find((item) => item.part.part === 'head')?.fromMm ?? null),
  };
  const lengthOf = (share: DressingWeight['cover']) =>
    share
      ? (baseLength(share.base, { ...lengths, abdomen: partMm(laid, 'abdomen') ?? 0 }, new Map(), false) ?? 0) *
        share.factor
      : null;
  const card: Card = {
    dressing: { id: dressing.id, name: dressing.name, rev: dressing.rev },
    style: dressing.style,
    hook,
    hook_reasons: placeReasons(use.style, hook, placeOf(use, hook.bend, xOf(hook.shank_mm, hook.gape_mm))).filter(
      (why) => why.code !== 'bend-second',
    ),
    hand: 'right',
    fits: laid.fits,
    room_mm: laid.roomMm,
    used_mm: laid.usedMm,
    over: laid.over,
    budget: budgetOf(steps, laid),
    landmarks: (Object.entries(marks) as [LandmarkId, number][]).map(([id, mm]) => ({ id, mm })),
    parts,
    face_mm: bead.rearMm,
    binder: dressing.threads.length > 0 ? 'thread' : 'wire',
    threads: dressing.threads.flatMap((thread): CardThread[] => {
      const own = material(thread.material);
      if (!own || own.denier === null || own.fibre === null) return [];
      const reasons = threadReasons(dressing, thread, own, threadOn, catalogue.materials);
      return [
        {
          role: thread.role,
          material: own.id,
          name: own.name,
          denier: own.denier,
          diameter_mm: threadDiameter(own.denier, own.fibre),
          colour: named(own.hex, 'default'),
          finish_turns: thread.finish_turns,
          head_turns:
            thread.role === 'head' || thread.role === 'foundation'
              ? headTurnBudget(own.denier, own.fibre, threadOn)
              : null,
          optional: thread.optional,
          reasons,
        },
      ];
    }),
    weights: dressing.weights.map((weight) => weightOf(weight, hook, beadMm, lengthOf(weight.cover))),
    ribs: laid.parts.flatMap((item) => ribOf(item, laid) ?? []),
    hackles: laid.parts.flatMap((item) => hackleOf(item, hook, choices.schools['hackle-trim'])),
    layers: dressing.layers.map((layer) => {
      const stack = inColours(
        layer.from_under.flatMap((id) => material(id) ?? []),
        parts.find((part) => part.id === layer.part)?.colour ?? null,
        wantedColour(layer.part, dressing, natural),
      );
      const seen = stackColour(layers(stack));
      return {
        part: layer.part,
        from_under: stack.map((item) => ({ material: item.id, surface_mm: null })),
        dry: named(seen.dry, 'model'),
        wet: named(seen.wet, 'model', 'wet'),
      };
    }),
    assemblies: dressing.assemblies
      .filter((assembly) => !without.includes(assembly.part))
      .map(({ id, name, part, count, spare, steps: own }) => ({
        id,
        name,
        part,
        count,
        spare,
        steps: numbered(own.map(stepOf)),
      })),
    steps,
    cautions: cautionsOf(dressing, steps, hook),
    evidence: dressing.evidence,
    batch: null,
    taper: dressing.taper,
    minutes: dressing.minutes,
    tools: dressing.tools,
    schools_unused: schooled.unused,
    ready,
    stash,
  };
  tieCard(dressing, card, catalogue).states.forEach(
    ({ parts: standing }, index) => (steps[index]!.after = afterOf(standing)),
  );
  if (input.count !== null) card.batch = batchOf(card, input.count);
  return choices.hand === 'left' ? mirrorCard(card) : card;
}

function afterOf(standing: BenchState['parts']): AfterStep {
  const those = (which: (part: PartStanding) => boolean) => Object.keys(standing).filter((id) => which(standing[id]!));
  return {
    placed: those((part) => part.there === 'placed'),
    waiting: those((part) => part.there === 'waiting'),
    to_length: those((part) => !part.toLength),
    to_trim: those((part) => !part.trimmed),
  };
}

/** The bead's front face: set back it leaves one eye bare before it, on a jig half of it stands on the neck. Source: domain §3. */
function seatBead(frontMm: number, laid: LayOut): LayOut {
  return {
    ...laid,
    parts: laid.parts.map((item) => (item.part.part === 'bead' ? { ...item, fromMm: frontMm } : item)),
  };
}

function partMm(laid: LayOut, kind: string): number | null {
  return laid.parts.find((item) => item.part.part === kind)?.mm ?? null;
}

/** The body a rib crosses: the part named in its `to`. */
function bodyOf(item: LaidPart, laid: LayOut): LaidPart | undefined {
  return laid.parts.find((other) => `part:${other.part.id}` === item.part.to);
}

/** A rib as it is wound. */
function ribOf(item: LaidPart, laid: LayOut): Card['ribs'][number] | null {
  const { part } = item;
  if (
    part.part !== 'rib' ||
    part.count === null ||
    part.count === 0 ||
    item.fromMm === null ||
    item.toMm === null ||
    part.material === null
  )
    return null;
  const body = bodyOf(item, laid);
  const turns = turnsLaid(item) ?? part.count;
  const pitch = Math.abs(item.fromMm - item.toMm) / turns;
  return {
    part: part.id,
    material: part.material,
    turns,
    pitch_mm: pitch,
    cut_mm: woundCut(turns, body?.thickMm ?? 1, pitch),
    counter: part.counter,
  };
}

const HACKLES: ReadonlySet<string> = new Set(['hackle', 'second-hackle', 'stacked-hackle']);
const HACKLE_PITCH_MM = 0.5;
const HACKLE_GRIP_MM = 25;

/** The packet number whose gape is right for a barb. Source: formulas §8. */
function gaugeOf(barbMm: number): string {
  return sizeLabelOf(Math.round(readsGape(barbMm / GAUGE_BARB_PER_GAPE) / NUMBERS_PER_PACKET) * NUMBERS_PER_PACKET);
}

function hackleOf(
  item: LaidPart,
  hook: HookAnswer,
  trim: Card['hackles'][number]['trim'] | undefined,
): Card['hackles'] {
  const { part } = item;
  if (!HACKLES.has(part.part) || item.mm === null || part.count === null || part.material === null) return [];
  // Only stiff feathers go by a gauge; soft ones by their barb in millimetres.
  const gauge = part.function === 'hackle.stiff' ? gaugeOf(item.mm) : null;
  const turns = item.turns ?? part.count;
  const stem =
    turns * Math.hypot(Math.PI * Math.max(item.thickMm ?? 0, 2 * hook.wire_mm), HACKLE_PITCH_MM) + HACKLE_GRIP_MM;
  return [
    {
      part: part.id,
      material: part.material,
      barb_mm: item.mm,
      gauge,
      turns,
      trim: trim ?? part.trim ?? 'full',
      stem_mm: stem,
    },
  ];
}

function weightOf(weight: DressingWeight, hook: HookAnswer, beadMm: number, coverMm: number | null): CardWeight {
  const empty: CardWeight = {
    kind: weight.kind,
    metal: weight.metal,
    diameter_mm: null,
    range_mm: null,
    bead_kind: null,
    bore_mm: null,
    bore_needed_mm: null,
    wire_mm: null,
    turns: null,
    length_mm: null,
    mass_mg: 0,
    warnings: [],
  };
  if (weight.kind === 'hook-wire') return { ...empty, wire_mm: hook.wire_mm, mass_mg: hook.mass_mg ?? 0 };
  if (weight.kind === 'bead') {
    const kind = weight.bead_kind ?? 'drilled';
    const [low, , high] = beadRange(hook.gape_mm, hook.bend);
    const warnings: Reason[] = [];
    if (beadMm < low || beadMm > high)
      warnings.push(
        reason(
          beadMm < low ? 'bead-small' : 'bead-large',
          { bead: { mm: beadMm }, low: { mm: low }, high: { mm: high } },
          { evidence: 'heard' },
        ),
      );
    if (kind === 'slotted' && hook.bend !== 'jig') warnings.push(reason('slotted-may-turn', {}, { evidence: 'seen' }));
    const metal = weight.metal === 'brass' || weight.metal === 'glass' ? weight.metal : 'tungsten';
    return {
      ...empty,
      diameter_mm: beadMm,
      range_mm: [low, high],
      bead_kind: kind,
      bore_needed_mm: boreNeeded(beadMm, kind, hook.gape_mm, hook.wire_mm, hook.barb === 'barbed'),
      length_mm: beadMm,
      mass_mg: beadMass(beadMm, metal, kind),
      warnings,
    };
  }
  const metal = weight.metal === 'tin' ? 'tin' : 'lead';
  const wireMm = weight.diameter_mm ?? nearestWire(hook.wire_mm);
  if (weight.kind === 'sides') {
    const lengthMm = coverMm ?? hook.shank_mm / 2;
    return { ...empty, wire_mm: wireMm, length_mm: lengthMm, mass_mg: 2 * lengthMm * stripMassPerMm(wireMm, metal) };
  }
  const turns = weight.turns ?? Math.max(1, Math.floor((coverMm ?? hook.shank_mm / 2) / wireMm));
  return {
    ...empty,
    wire_mm: wireMm,
    turns,
    length_mm: turns * wireMm,
    mass_mg: woundMass(turns, wireMm, hook.wire_mm, metal),
  };
}

const numbered = (steps: readonly CardStep[]): CardStep[] => steps.map((step, index) => ({ ...step, n: index + 1 }));

/** Turns that fit where a part made by a way is counted in turns; null where it is not. */
function turnsLaid({ part, turns }: LaidPart): number | null {
  return part.way && (countsTurns(part.part, part.function) || LOOPED.has(part.way)) ? turns : null;
}

/** How many, of turns as they fit or of pieces; a loop counts what is loaded in it. */
/** Whether a part is counted as the natural's own. */
const follows = (part: DressingPart) => part.follows === 'natural';

/** The natural's tails; where it may have so many or so many, as the dressing says if that is one of them. */
function tailsOn(part: DressingPart, natural: CardNatural | null): number | null {
  const tails = natural?.tails ?? [];
  return tails.length === 0 || tails.includes(part.count ?? 0) ? part.count : Math.max(...tails);
}

const countOf = (item: LaidPart) =>
  (countsTurns(item.part.part, item.part.function) ? turnsLaid(item) : null) ?? item.part.count;

/** Turns a step winds: as the dressing says, as the part counts them, or as its length and the lie of the material give them. */
function turnsOf(step: DressingStep, part: CardPart | undefined, laid: LaidPart | undefined): number | null {
  if (step.turns !== null || step.do !== 'wind' || !part) return step.turns;
  const turns = laid === undefined ? null : turnsLaid(laid);
  if (turns !== null) return turns;
  return part.amount.wound === null ? part.count : Math.max(1, Math.round(part.amount.wound.turns));
}

/** Makes the card's step of a dressing's step: its part in millimetres and its place on this hook. */
function stepMaker(
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

const FILLS: ReadonlySet<string> = new Set(['bind', 'wind', 'dub', 'fold', 'loop', 'coat']);

/** Room after each step that fills some: the first that makes a part lie along the hook. */
function budgetOf(steps: readonly CardStep[], laid: LayOut): RoomAfter[] {
  const along = new Map(laid.parts.filter((item) => isAlong(item.part)).map((item) => [item.part.id, item]));
  const placed = new Set<string>();
  const total = laid.usedMm + laid.spareMm;
  let used = 0;
  return steps.flatMap((step): RoomAfter[] => {
    const item = step.part === null || !FILLS.has(step.do) || placed.has(step.part) ? undefined : along.get(step.part);
    if (!item || step.part === null) return [];
    placed.add(step.part);
    used += item.mm ?? 0;
    return [
      {
        step: step.n,
        part: item.part.id,
        kind: item.part.part,
        used_mm: used,
        left_mm: laid.roomMm + laid.spareMm - used,
        needed_mm: Math.max(0, total - used),
      },
    ];
  });
}

/** `check: 'flatten-barb'` is a code that speech renders: the step belongs to the water's rule, not to the dressing. */
const EMPTY_STEP: CardStep = {
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
  check: null,
  mend: [],
  caution: null,
  reversible: true,
  wait_s: null,
  method: null,
  assembly: null,
  as: null,
  figures: {},
  note: null,
  bench: null,
  after: null,
};

function cautionsOf(dressing: Dressing, steps: readonly CardStep[], hook: HookAnswer): Card['cautions'] {
  const seen: { id: CautionId; step: number | null }[] = steps.flatMap((step) =>
    step.caution ? [{ id: step.caution, step: step.n }] : [],
  );
  if (!seen.some((item) => item.id === 'hook-point') && hook.barb !== 'none')
    seen.unshift({ id: 'hook-point', step: null });
  for (const id of dressing.cautions) if (!seen.some((item) => item.id === id)) seen.push({ id, step: null });
  return seen;
}

/** The card for the other hand: near and far change places where the frame is the hand; the thread's lay does not. Twice gives the card back. */
export function mirrorCard(card: Card): Card {
  const swap = { near: 'far', far: 'near', top: 'top', under: 'under' } as const;
  const other = (step: CardStep): CardStep =>
    step.frame === 'hand' && step.side ? { ...step, side: swap[step.side] } : step;
  // What is made beforehand is made in the same hand.
  return {
    ...card,
    hand: card.hand === 'left' ? 'right' : 'left',
    steps: card.steps.map(other),
    assemblies: card.assemblies.map((assembly) => ({ ...assembly, steps: assembly.steps.map(other) })),
  };
}
