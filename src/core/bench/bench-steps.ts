import type { FunctionId, PartId, VerbId } from '@/catalogue/ids';
import type { Dressing, DressingStep } from '../dressings';
import type { Material } from '../materials';
import type { Card, CardPart, CardStep } from '../card/card-shape';
import { BENCH } from '../constants';
import { layOnHook } from '../card/lay';
import { SAY } from '../code';
import { WIRE, type BenchHook, type BenchStep, type Cover, type Made, type Points, type Stretch } from './bench-shape';

/** Seconds an act takes a practised hand; what waits comes on top. Typical; the tier's own record replaces the sum. */
const SECONDS: Partial<Record<VerbId, number>> = {
  'seat-bead': 15,
  'lay-weight': 40,
  'start-thread': 15,
  bind: 30,
  'catch-in': 20,
  wind: 30,
  dub: 40,
  loop: 60,
  fold: 15,
  divide: 30,
  post: 30,
  draw: 20,
  cut: 8,
  'tie-off': 10,
  finish: 20,
  coat: 20,
  tint: 10,
  tease: 15,
  clip: 15,
  check: 5,
  'free-eye': 5,
};

const FEATHERS: ReadonlySet<FunctionId> = new Set(['hackle.stiff', 'hackle.soft', 'hackle.cdc-loop']);
const SOLID: ReadonlySet<PartId> = new Set(['abdomen', 'thorax', 'case', 'underbody', 'tag', 'egg-mass', 'collar']);
const UPRIGHT: ReadonlySet<FunctionId> = new Set(['wing.post', 'wing.hair']);
const REARWARD: ReadonlySet<PartId> = new Set([
  'tail',
  'shuck',
  'tag',
  'larva-head',
  'extended-body',
  'egg-mass',
  'wing-case',
  'back',
]);
const SIDEWAYS: ReadonlySet<PartId> = new Set(['legs', 'wing-buds', 'beard', 'gills', 'hackle']);

/** Words of a step that was written by hand: where it has no fields of its own they say what is meant. */
const SAYS = {
  wasteCut: /(waste|end) (is )?cut/i,
  isWaste: /butt|stub|stump|stem cut|close|over the eye|no stem|waste/i,
  isLength: /long|short|ragged|round|length|ends? |third|half|quarter|taper to/i,
  front: /forward|over the eye|to the front/i,
  rear: /rear|back|lying back/i,
};

function pointsOf(
  part: CardPart | undefined,
  step: Pick<DressingStep, 'orientation' | 'check'>,
  does: FunctionId | null,
): Points {
  const said = step.orientation?.startsWith(SAY) ? '' : `${step.orientation ?? ''}`;
  if (part === undefined) return 'out';
  if (part.part === 'post') return 'up';
  if (does !== null && UPRIGHT.has(does) && part.part !== 'gills') return SAYS.rear.test(said) ? 'rear' : 'up';
  if (does === 'wing.spent' && part.part === 'wing')
    return SAYS.rear.test(`${said} ${step.check ?? ''}`) ? 'rear' : 'out';
  if (SAYS.front.test(said)) return 'front';
  if (SAYS.rear.test(said) || REARWARD.has(part.part) || does === 'wing.down') return 'rear';
  if (SIDEWAYS.has(part.part)) return 'out';
  return part.part === 'antennae' || part.part === 'cheeks' ? 'front' : 'up';
}

function coverOf(kind: PartId | null, does: FunctionId | null, verb: VerbId): Cover {
  if (kind === null || does === null) return 'none';
  if (verb === 'dub') return kind === 'halo' ? 'none' : 'closed';
  if (verb === 'finish') return 'closed';
  if (verb === 'fold') return 'top';
  if (kind === 'rib' || kind === 'gills' || FEATHERS.has(does)) return 'open';
  if (SOLID.has(kind)) return 'closed';
  return does.startsWith('body.') || does === 'case.yarn' || does === 'thread' ? 'closed' : 'open';
}

export interface BenchInput {
  dressing: Dressing;
  card: Card;
  materials: readonly Material[];
  /** Rear face and front of the bead, and the tie-down, from behind the eye, mm. */
  hook: BenchHook;
}

/** The steps of a card as acts on the hook. What a dressing does not say itself is read from its parts and from the words of its steps. */
export function benchSteps({ dressing, card, materials, hook }: BenchInput): BenchStep[] {
  const parts = new Map(card.parts.map((part) => [part.id, part]));
  const byId = new Map(materials.map((material) => [material.id, material]));
  const threads = new Set(dressing.threads.map((thread) => thread.material));
  const wires =
    dressing.threads.length === 0
      ? new Set(dressing.parts.filter((part) => part.function === 'body.wire').map((part) => part.material))
      : new Set<string | null>();
  const ribs = card.parts.filter((part) => part.part === 'rib');
  const locked = dressing.weights.some(
    (weight) => weight.kind === 'bead' && (weight.lock === 'none' || weight.lock === null),
  );
  return card.steps.map((step, index): BenchStep => {
    const part = step.part === null ? undefined : parts.get(step.part);
    const own = dressing.parts.find((item) => item.id === step.part);
    const coated =
      step.do === 'coat'
        ? byId.get(step.material?.id ?? '')?.functions.find((item) => item.startsWith('coat.') || item === 'wax')
        : undefined;
    const does = coated ?? own?.function ?? null;
    const material = step.material?.id ?? (step.do === 'wind' || step.do === 'dub' ? (own?.material ?? null) : null);
    const words = `${step.check ?? ''} ${step.orientation ?? ''}`;
    const at = step.at?.mm ?? null;
    const caught =
      step.do === 'wind' &&
      card.steps.some((other) => other.part === step.part && other.do === 'catch-in' && other.n < step.n);
    const byThread =
      material !== null &&
      !caught &&
      (threads.has(material) ||
        (step.do !== 'catch-in' && wires.has(material) && step.part !== null && step.do !== 'wind'));
    const holder =
      step.do === 'tie-off' && material !== null && material !== own?.material && !threads.has(material)
        ? ribs.find((rib) => rib.material?.id === material)
        : undefined;
    const named = step.do === 'tie-off' && !step.bench ? heldByWords(words, dressing) : undefined;
    const folded = card.steps.some((later) => later.part === step.part && later.do === 'fold');
    const lay = layOnHook(
      byId.get(material ?? '') ?? null,
      does,
      card.hook.shank_mm,
      own?.way === 'open' || step.kind === 'gills',
    );
    return {
      n: step.n,
      do: step.do,
      part: step.part,
      kind: step.kind,
      does,
      material,
      byThread,
      at,
      span: spanOf(step, index, part, does, card, hook),
      cover:
        step.do === 'lay-weight' && card.weights.some((weight) => weight.kind === 'sides')
          ? 'none'
          : step.do === 'lay-weight'
            ? 'closed'
            : coverOf(step.kind, does, step.do),
      points: step.bench?.points ?? pointsOf(part, step, does),
      endMm: part?.mm ?? 0,
      waits: step.bench?.waits_for
        ? step.bench.waits_for
        : step.do === 'bind'
          ? folded
            ? 'fold'
            : 'show'
          : folded
            ? 'fold'
            : 'wind',
      leavesWaste: step.bench?.leaves_waste ?? (step.do === 'bind' && step.kind !== 'weight'),
      stays: step.bench?.stays ?? false,
      cuts: step.bench ? step.bench.cuts : cutsOf(step, part, words),
      heldBy: step.bench?.held_by ?? named ?? holder?.id ?? (wires.size > 0 && step.do !== 'wind' ? WIRE : null),
      turns: step.turns,
      wanted: part?.count ?? null,
      layMm: own?.way === 'plume-loop' ? null : lay,
      side: step.side,
      vise: step.vise,
      checked: step.check !== null,
      never: !step.reversible,
      waitS: step.wait_s ?? 0,
      seconds: SECONDS[step.do] ?? 10,
      lock: step.bench ? step.bench.locks : step.do === 'seat-bead' && locked,
      as: step.as,
    };
  });
}

/** Another part's wire that holds this one, where only the words say so. */
function heldByWords(words: string, dressing: Dressing): string | undefined {
  const said = /(?:locked|held|caught) by (?:\w+ ){0,5}?(\w+) wire/i.exec(words)?.[1]?.toLowerCase();
  return said === undefined
    ? undefined
    : dressing.parts.find((part) => part.material?.startsWith(`${said}-`) && part.material.endsWith('wire'))?.id;
}

/** Parts that are bound into something made beforehand, beside the one that is made. */
export function madeBeforehand(dressing: Dressing): Made[] {
  return dressing.assemblies.flatMap((assembly) =>
    assembly.steps.flatMap((step) =>
      step.do === 'bind' && step.part !== null && step.part !== assembly.part
        ? [{ part: step.part, of: assembly.part }]
        : [],
    ),
  );
}

function cutsOf(step: CardStep, part: CardPart | undefined, words: string): BenchStep['cuts'] {
  if (step.do === 'tie-off') return SAYS.wasteCut.test(words) ? 'waste' : null;
  if (step.do !== 'cut') return null;
  if (step.kind === 'head') return 'thread';
  if (part === undefined) return 'waste';
  if (SAYS.isWaste.test(words)) return 'waste';
  if (
    part.method === 'bind-then-cut' &&
    (part.part === 'tail' ||
      part.part === 'shuck' ||
      part.part === 'post' ||
      part.part === 'gills' ||
      part.part === 'legs' ||
      part.part === 'larva-head')
  )
    return 'show';
  return SAYS.isLength.test(words) && part.part === 'wing' ? 'show' : 'waste';
}

/** What a step covers: its part's stretch; a feather from where it is wound to where it is tied off; the head; a coat its part. */
function spanOf(
  step: CardStep,
  index: number,
  part: CardPart | undefined,
  does: FunctionId | null,
  card: Card,
  hook: BenchHook,
): Stretch | null {
  // Turns of thread that only hold something cover nothing.
  if ((step.do === 'wind' && step.as !== null) || step.as === 'ball') return null;
  if (step.do === 'finish' && part && part.from_mm !== null && part.to_mm !== null && step.bench)
    return { rear: part.from_mm, front: part.to_mm };
  if (step.do === 'finish') {
    const length = part?.mm ?? hook.eyeMm;
    const at = step.at?.mm ?? length;
    return { rear: Math.max(at, length), front: Math.max(0, Math.min(at, length) - length) };
  }
  if (step.do === 'lay-weight') {
    const weight = card.weights.find((item) => item.kind === 'wound' || item.kind === 'sides');
    const middle = step.at?.mm ?? hook.shankMm / 2;
    return weight?.length_mm
      ? {
          rear: Math.min(hook.tieDownMm, middle + weight.length_mm / 2),
          front: Math.max(0, middle - weight.length_mm / 2),
        }
      : null;
  }
  if (!part || !['wind', 'dub', 'fold', 'coat'].includes(step.do)) return null;
  const tied = card.steps.slice(index + 1).find((later) => later.part === step.part && later.do === 'tie-off');
  const lies =
    part.from_mm !== null && part.to_mm !== null
      ? { rear: Math.max(part.from_mm, part.to_mm), front: Math.min(part.from_mm, part.to_mm) }
      : null;
  const to = tied?.at?.mm ?? null;
  if (
    lies !== null &&
    !(does !== null && FEATHERS.has(does) && to !== null && Math.abs(to - lies.front) < BENCH.slackMm)
  )
    return lies;
  const at = step.at?.mm ?? null;
  if (at === null) return lies;
  if (to !== null && Math.abs(to - at) > 1e-9) return { rear: Math.max(at, to), front: Math.min(at, to) };
  return (
    lies ??
    (part.mm !== null && step.do !== 'fold' && does !== null && !FEATHERS.has(does)
      ? { rear: at, front: Math.max(0, at - part.mm) }
      : null)
  );
}
