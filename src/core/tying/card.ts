import type { LandmarkId } from '@/catalogue/ids';
import type { BenchState, PartStanding } from '../bench/bench-shape';
import { swapFaults } from '../bench/swap-faults';
import { tieCard } from '../bench/tie-card';
import type { AfterStep, Card, CardPart, CardStep } from '../card/card-shape';
import { layOnHook } from '../card/lay';
import { leftOut, readyAtBench, type Bench, type Dressing, type DressingWeight } from '../dressings';
import { placeOf, type HookAnswer, type StyleInUse } from '../hook-score';
import { barbAllowed, placeReasons, xOf } from '../hooks';
import type { Material } from '../materials';
import { baseLength } from './bases';
import { batchOf } from './batch';
import { budgetOf } from './card-budget';
import { cautionsOf } from './card-cautions';
import { layersOf } from './card-colours';
import { hackleOf } from './card-hackles';
import type { CardInput } from './card-input';
import { lengthsOn } from './card-lengths';
import { partsOf } from './card-parts';
import { ribOf } from './card-ribs';
import { FLATTEN_BARB, numbered, stepMaker } from './card-steps';
import { threadsOf } from './card-threads';
import { weightOf } from './card-weights';
import { fromStash } from './from-stash';
import { inSchool } from './in-school';
import { layOut, type LaidPart, type LayOut, type LayOutInput } from './lay-out';
import { schoolRules } from './schools';
import { turnsHeld, type ThreadOnHook } from './thread-advice';

type Lengths = LayOutInput['lengths'];
type MaterialOf = (id: string | null) => Material | null;

/** A card to tie from: the dressing laid out on one hook, in millimetres. Source: domain §4, §12; formulas §5–§8. */
export function buildCard(input: CardInput): Card {
  const { hook, use, catalogue, natural, choices } = input;
  const without = leftOut(input.dressing, choices, natural?.stage ?? null);
  const schooled = inSchool(input.dressing, choices.schools, catalogue);
  const wanted = Object.fromEntries(
    Object.entries(natural?.colours ?? {}).map(([region, colour]) => [region, colour.lab]),
  );
  const { dressing, used, ...stash } = fromStash(
    schooled.dressing,
    choices.picking?.stash ?? null,
    catalogue,
    wanted,
    choices.swaps,
  );
  const { ready, reasons } = readyAtBench(stash, dressing, benchOf(hook, choices.picking), catalogue.tools ?? []);
  const material: MaterialOf = (id) => catalogue.materials.find((item) => item.id === id) ?? null;
  const stage = catalogue.stages.find((row) => row.id === (natural?.stage ?? dressing.stages[0]))!;
  const { lengths, beadMm, pathMm, bead, marks } = lengthsOn(hook, use, natural, stage);
  const laid = laidOn(dressing, { input, without, lengths, bead, pathMm, material });
  const parts = partsOf({ dressing, laid, hook, material, natural });
  const stepOf = stepMaker(parts, laid, marks, pathMm, material, hook);
  const kept = dressing.steps.filter((step) => step.part === null || !without.includes(step.part)).map(stepOf);
  const steps = numbered(barbAllowed(hook.barb, choices.barbRule).flatten ? [FLATTEN_BARB, ...kept] : kept);
  const card: Card = {
    dressing: { id: dressing.id, name: dressing.name, rev: dressing.rev },
    style: dressing.style,
    hook,
    hook_reasons: hookReasons(hook, use),
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
    threads: threadsOf(dressing, threadOn(hook, laid, steps), catalogue.materials),
    weights: dressing.weights.map((weight) => weightOf(weight, hook, beadMm, coverOf(weight, lengths, laid))),
    ribs: laid.parts.flatMap((item) => ribOf(item, laid) ?? []),
    hackles: laid.parts.flatMap((item) => hackleOf(item, hook, choices.schools['hackle-trim'])),
    layers: layersOf(dressing, parts, material, natural),
    bundles: dressing.bundles.map(({ parts: of, amount }) => ({
      parts: of.filter((id) => !without.includes(id)),
      amount,
    })),
    assemblies: madeBefore(dressing, without, stepOf),
    steps,
    cautions: cautionsOf(dressing, steps, hook),
    evidence: dressing.evidence,
    batch: null,
    taper: dressing.taper,
    minutes: dressing.minutes,
    tools: dressing.tools,
    schools_unused: schooled.unused,
    ready,
    stash: reasons,
    materials: used,
  };
  tieCard(dressing, card, catalogue).states.forEach(
    ({ parts: standing }, index) => (steps[index]!.after = afterOf(standing)),
  );
  const taken = new Set(used.flatMap(({ as, used: id }) => (as === 'substitute' || as === 'hand' ? [id] : [])));
  const wrong =
    taken.size === 0
      ? []
      : swapFaults({ dressing, card, style: use.style, stages: [stage], materials: catalogue.materials }, taken);
  if (wrong.length > 0)
    Object.assign(card, { ready: ready === 'unknown' ? ready : 'short', stash: [...reasons, ...wrong] });
  if (input.count !== null) card.batch = batchOf(card, input.count);
  return choices.hand === 'left' ? mirrorCard(card) : card;
}

interface LaidOn {
  input: CardInput;
  without: readonly string[];
  lengths: Lengths;
  bead: { frontMm: number; rearMm: number };
  pathMm: number;
  material: MaterialOf;
}

/** The dressing laid out on the hook, its bead seated: set back it leaves one eye bare before it, on a jig half of it stands on the neck. Source: domain §3. */
function laidOn(dressing: Dressing, { input, without, lengths, bead, pathMm, material }: LaidOn): LayOut {
  const { hook, use, choices } = input;
  const laid = layOut(dressing, {
    lengths,
    roomMm: hook.room_mm,
    tieDownMm: pathMm,
    without,
    schools: schoolRules(dressing, choices.schools),
    faceMm: bead.rearMm,
    headInFrontMm: Math.max(0, bead.frontMm),
    reserveMm: use.style.reserve * hook.eye_mm,
    layOf: (part) => layOnHook(material(part.material), part.function, hook.shank_mm, part.way === 'open'),
  });
  const seated = (item: LaidPart) => (item.part.part === 'bead' ? { ...item, fromMm: bead.frontMm } : item);
  return { ...laid, parts: laid.parts.map(seated) };
}

const laidPart = (laid: LayOut, kind: CardPart['part']) => laid.parts.find((item) => item.part.part === kind);

/** What of the bench is known: the card's own hook, counted only where packets are. */
const benchOf = (hook: HookAnswer, picking: CardInput['choices']['picking']): Bench => ({
  hook: picking?.hooks
    ? { had: picking.hooks.has(hook.id), name: `${hook.maker_name} ${hook.model_name} ${hook.size}` }
    : null,
  tools: picking?.tools ?? null,
});

/** Why this hook, but for what its bend alone says. */
function hookReasons(hook: HookAnswer, use: StyleInUse): Card['hook_reasons'] {
  const place = placeOf(use, hook.bend, xOf(hook.shank_mm, hook.gape_mm));
  return placeReasons(use.style, hook, place).filter((why) => why.code !== 'bend-second');
}

/** What a thread has to do with: the hook, the head, and the turns already held where the head begins. */
function threadOn(hook: HookAnswer, laid: LayOut, steps: readonly CardStep[]): ThreadOnHook {
  const head = laidPart(laid, 'head');
  return {
    shankMm: hook.shank_mm,
    eyeMm: hook.eye_mm,
    wireMm: hook.wire_mm,
    headMm: head?.mm ?? null,
    heldAtHead: turnsHeld(steps, head?.fromMm ?? null),
  };
}

/** The stretch a weight lies over, mm; null where the dressing leaves it to the hook. */
function coverOf({ cover }: DressingWeight, lengths: Lengths, laid: LayOut): number | null {
  if (!cover) return null;
  const known = { ...lengths, abdomen: laidPart(laid, 'abdomen')?.mm ?? 0 };
  return (baseLength(cover.base, known, new Map(), false) ?? 0) * cover.factor;
}

/** What is made before the hook is taken up. */
function madeBefore(
  dressing: Dressing,
  without: readonly string[],
  stepOf: ReturnType<typeof stepMaker>,
): Card['assemblies'] {
  return dressing.assemblies
    .filter((assembly) => !without.includes(assembly.part))
    .map(({ id, name, part, count, spare, steps }) => ({
      id,
      name,
      part,
      count,
      spare,
      steps: numbered(steps.map(stepOf)),
    }));
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
