import type { CautionId, FunctionId, PartId, VerbId } from '@/catalogue/ids';
import { SAY, type Coded } from '../code';
import {
  PART_DEFAULTS,
  STEP_DEFAULTS,
  type Dressing,
  type DressingPart,
  type DressingStep,
  type Station,
} from '../dressings';
import type { Material } from '../materials';
import { SLOTS, type Phase, type Slot, type Way, type WayDressing, type WayPart } from './way';

export interface WaysCatalogue {
  ways: readonly Way[];
  materials: readonly Material[];
}

export interface WorkedOut {
  dressing: Dressing;
  faults: Coded[];
}

/** Part with its way, and where it lies. */
interface Laid {
  part: WayPart;
  way: Way;
  /** Where it begins and ends, as stations. */
  rear: Station | null;
  front: Station | null;
}

interface Chunk {
  laid: Laid;
  phases: Phase[];
}

const OWN_SLOT: Partial<Record<PartId, Slot>> = {
  abdomen: 'body',
  case: 'body',
  underbody: 'base',
  thorax: 'thorax',
  tag: 'rear',
  'egg-mass': 'rear',
  'larva-head': 'rear',
  collar: 'hackle',
  halo: 'thorax',
  cheeks: 'hackle',
  gills: 'close',
  'extended-body': 'rear',
  'wing-buds': 'mount',
  tail: 'rear',
  hackle: 'hackle',
};
const AT_REAR: ReadonlySet<PartId> = new Set([
  'tail',
  'shuck',
  'tag',
  'larva-head',
  'extended-body',
  'egg-mass',
  'gills',
]);
const BEFOREHAND: ReadonlySet<string> = new Set(['foam-stitch', 'needle-body', 'knotted']);
/** Seconds a thin resin takes under the torch. */
const COAT_S = 20;
const LATE: ReadonlySet<string> = new Set(['trim', 'coat', 'eye', 'after-rib', 'tease', 'lock', 'dam']);
const WIRES: ReadonlySet<FunctionId> = new Set(['rib.wire', 'body.wire', 'weight.wire']);
const TOOLS: Partial<Record<VerbId, string>> = {
  'start-thread': 'bobbin',
  cut: 'scissors',
  clip: 'scissors',
  tease: 'bodkin',
  finish: 'whip-tool',
};
const WITH_MATERIAL: ReadonlySet<VerbId> = new Set([
  'bind',
  'catch-in',
  'wind',
  'dub',
  'fold',
  'loop',
  'tie-off',
  'coat',
  'lay-weight',
  'seat-bead',
  'tease',
  'draw',
  'finish',
  'post',
  'divide',
]);
const BY_THREAD: ReadonlySet<VerbId> = new Set(['post', 'divide', 'finish']);

/** Turns a dressing made of parts and ways into steps in one order: what the bench ties and the card prints. Source: ways of work. */
export function workOut(given: WayDressing, { ways, materials }: WaysCatalogue): WorkedOut {
  const faults: Coded[] = [];
  const { record, bundles } = unbundled(given);
  const byId = new Map(ways.map((way) => [way.id, way]));
  const material = new Map(materials.map((item) => [item.id, item]));
  const known = record.parts.filter((part) => {
    if (byId.has(part.way)) return true;
    faults.push({ code: 'way-unknown', params: { part: part.id, way: part.way } });
    return false;
  });
  const laid = layParts(known, byId);
  faults.push(...laid.flatMap(unreached));
  const functionOf = (item: Laid) => doesOf(item, material, faults);
  const does = new Map(laid.map((item) => [item.part.id, functionOf(item)]));
  const sequence = merge(laid, record.order, faults);
  const steps = new Steps(record, laid, does, material).write(sequence);
  const all = [...steps.steps, ...steps.assemblies.flatMap((assembly) => assembly.steps)];
  const { notes: _notes, order: _order, parts: _parts, ...head } = record;
  const dressing: Dressing = {
    ...head,
    head_room: null,
    parts: laid.map((item) => partOf(item, does.get(item.part.id) ?? null)),
    steps: steps.steps,
    assemblies: steps.assemblies,
    weights: laid.flatMap((item) => weightOf(item, material)),
    layers: layersOf(record, laid, does, material),
    bundles,
    tools: [
      ...new Set(
        all
          .flatMap((step) => step.tool ?? [])
          .concat(all.some((step) => step.vise === 'turned') ? ['turning-vise'] : []),
      ),
    ],
    cautions: [...new Set(all.flatMap((step) => step.caution ?? []))],
  };
  return { dressing, faults };
}

/** Parts that are made of another's bunch, with its material in its place, and the bunches. */
function unbundled(record: WayDressing): { record: WayDressing; bundles: Dressing['bundles'] } {
  const byId = new Map(record.parts.map((part) => [part.id, part]));
  const bundles = new Map<string, Dressing['bundles'][number]>();
  const parts = record.parts.map((part): WayPart => {
    const first = byId.get(part.of[0]!);
    if (!first || first === part) return part;
    const known = bundles.get(first.id) ?? {
      id: first.id,
      material: first.of[0]!,
      parts: [first.id],
      unit: first.unit,
      amount: typeof first.count === 'number' ? first.count : null,
    };
    bundles.set(first.id, {
      ...known,
      parts: [...known.parts, part.id],
      amount: known.amount !== null && typeof part.count === 'number' ? Math.max(known.amount, part.count) : null,
    });
    return { ...part, of: [first.of[0]!, ...part.of.slice(1)] };
  });
  return { record: { ...record, parts }, bundles: [...bundles.values()] };
}

/** Where each part lies, from where it was said to or by what it is. */
function layParts(parts: readonly WayPart[], ways: ReadonlyMap<string, Way>): Laid[] {
  let edge: Station = 'tie-down';
  const body = parts.find((part) => part.to === 'forward');
  const thorax = parts.find((part) => part.what === 'thorax');
  const last = parts.filter((part) => part.to === 'forward').at(-1);
  const under = (part: WayPart, way: Way) => (way.over === 'thorax' ? (thorax ?? body) : body);
  return parts.map((part): Laid => {
    const way = ways.get(part.way)!;
    if (part.to === 'forward') {
      const rear = part.from ?? edge;
      edge = `part:${part.id}`;
      return { part, way, rear, front: `part:${part.id}` };
    }
    if (part.what === 'head')
      return { part: { ...part, to: 'head' }, way, rear: `part:${part.id}/rear`, front: `part:${part.id}/rear` };
    if (part.what === 'bead') return { part, way, rear: 'behind-eye', front: 'front' };
    if (part.to === 'collar') return { part, way, rear: last ? `part:${last.id}` : 'front', front: `part:${part.id}` };
    if (way.lies === 'over') {
      const over = under(part, way);
      return {
        part,
        way,
        rear: part.from ?? (over ? `part:${over.id}/rear` : 'tie-down'),
        front: part.to ?? (over ? `part:${over.id}` : 'front'),
      };
    }
    const mark =
      part.from ??
      (AT_REAR.has(part.what)
        ? 'tie-down'
        : part.what === 'wing' || part.what === 'post' || part.what === 'tuft' || part.what === 'hair-wing'
          ? 'one-third'
          : part.what === 'weight'
            ? 'mid-shank'
            : thorax
              ? `part:${thorax.id}/rear`
              : 'one-third');
    const front =
      part.to ?? (way.figure === 'barb' || way.figure === 'loop' ? (thorax ? `part:${thorax.id}` : mark) : mark);
    return { part, way, rear: mark, front };
  });
}

/** The function its material has here: the first of its way's that the material can do. */
function doesOf({ part, way }: Laid, material: ReadonlyMap<string, Material>, faults: Coded[]): FunctionId | null {
  const own = material.get(part.of[0]!);
  if (!own) {
    faults.push({ code: 'material-unknown', params: { part: part.id, material: part.of[0]! } });
    return null;
  }
  const does = way.takes[0]!.find((item) => own.functions.includes(item));
  if (!does) faults.push({ code: 'way-takes-not', params: { part: part.id, way: way.id, material: own.name } });
  return does ?? null;
}

/** Faults of what is asked of a part and reaches no phase of its way. */
function unreached({ part, way }: Laid): Coded[] {
  const reaches = (field: 'coat' | 'tint' | 'trim') => way.phases.some((phase) => phase.when === field);
  const asked = (['coat', 'tint'] as const).filter((field) => part[field] !== null && !reaches(field));
  const trim = part.trim !== null && part.trim !== 'full' && !reaches('trim') ? (['trim'] as const) : [];
  return [...asked, ...trim].map((field) => ({
    code: 'field-reaches-not',
    params: { part: part.id, way: way.id, field },
  }));
}

function slotOf(phase: Phase, laid: Laid): Slot {
  if (phase.slot === 'own') return OWN_SLOT[laid.part.what] ?? 'body';
  if (phase.slot === 'next') return 'mount';
  // A wing bound behind the thorax goes on before it, one in front of it after all.
  return phase.slot === 'front-wing' && laid.part.what !== 'antennae' && laid.part.from !== 'part:thorax'
    ? 'mount'
    : phase.slot;
}

function isOn(phase: Phase, { part }: Laid): boolean {
  switch (phase.when) {
    case 'trim':
      return part.trim !== null && part.trim !== 'full';
    case 'coat':
      return part.coat !== null;
    case 'tint':
      return part.tint !== null;
    case 'lock':
      return part.lock !== null && part.lock !== 'none' && part.lock !== 'flash';
    case 'by-ball':
      return part.by === 'ball';
    default:
      return true;
  }
}

/** Chunks of phases in one order: where tokens say, and by slot where they do not. */
function merge(laid: readonly Laid[], order: readonly string[], faults: Coded[]): (Chunk | string)[] {
  const sequence: (Chunk | string)[] = [];
  const waiting: Chunk[] = [];
  for (const item of laid) {
    const phases = item.way.phases.filter((phase) => isOn(phase, item));
    const tokens = order.filter((token) => token === item.part.id || token.startsWith(`${item.part.id}.`));
    const cuts = tokens.map((token) =>
      token === item.part.id ? 0 : phases.findIndex((phase) => phase.id === token.slice(item.part.id.length + 1)),
    );
    if (tokens.length > 0 && cuts.every((cut) => cut !== 0)) cuts.push(0);
    const begins =
      tokens.length > 0
        ? cuts.filter((cut) => cut >= 0)
        : phases.flatMap((phase, index) =>
            index === 0 ||
            (phases[index - 1]!.slot !== 'next' && slotOf(phase, item) !== slotOf(phases[index - 1]!, item))
              ? [index]
              : [],
          );
    // What is soaked or made beforehand comes before all; trims and coats come late wherever the rest was put.
    phases.forEach((phase, index) => {
      if (
        index > 0 &&
        ((phases[index - 1]!.slot === 'made' && phase.slot !== 'made') ||
          (LATE.has(phase.slot) && phase.slot !== phases[index - 1]!.slot))
      )
        begins.push(index);
    });
    const sorted = [...new Set(begins)].sort((a, b) => a - b);
    sorted.forEach((begin, place) =>
      waiting.push({ laid: item, phases: phases.slice(begin, sorted[place + 1] ?? phases.length) }),
    );
  }
  const take = (test: (chunk: Chunk) => boolean): Chunk | undefined => {
    const at = waiting.findIndex(test);
    return at < 0 ? undefined : waiting.splice(at, 1)[0];
  };
  const isMade = (chunk: Chunk) => chunk.phases[0]?.slot === 'made';
  for (let made = take(isMade); made; made = take(isMade)) sequence.push(made);
  for (const token of order) {
    if (token === 'thread' || /^t\d(\.end)?$/.test(token)) {
      sequence.push(token);
      continue;
    }
    const [id, phase] = token.split('.') as [string, string | undefined];
    const chunk = take((item) => item.laid.part.id === id && (phase === undefined || item.phases[0]?.id === phase));
    // What was soaked or made beforehand stands there already.
    const stands = sequence.some(
      (item) =>
        typeof item !== 'string' && item.laid.part.id === id && item.phases.some((own) => own.id === (phase ?? own.id)),
    );
    if (chunk) sequence.push(chunk);
    else if (!stands) faults.push({ code: 'token-unknown', params: { token } });
  }
  if (!sequence.includes('thread') && laid.some((item) => item.part.what === 'head')) insert(sequence, 'thread');
  for (const chunk of waiting) insert(sequence, chunk);
  return sequence;
}

const rankOf = (item: Chunk | string) =>
  SLOTS.indexOf(
    typeof item === 'string'
      ? 'thread'
      : slotOf(item.phases.find((phase) => phase.slot !== 'next') ?? item.phases[0]!, item.laid),
  );

/** Puts a chunk behind everything of its own slot or an earlier one, and behind the other phases of its part. */
function insert(sequence: (Chunk | string)[], item: Chunk | string): void {
  const rank = rankOf(item);
  const own =
    typeof item === 'string'
      ? -1
      : sequence.findLastIndex((other) => typeof other !== 'string' && other.laid === item.laid);
  let at = sequence.findIndex(
    (other, index) => index > own && (typeof other !== 'string' || other === 'thread') && rankOf(other) > rank,
  );
  if (at < 0) at = sequence.length;
  sequence.splice(Math.max(at, own + 1), 0, item);
}

/** Writes steps, keeping count of which thread is on. */
class Steps {
  readonly steps: DressingStep[] = [];
  readonly assemblies: Dressing['assemblies'] = [];
  private thread: string | null = null;

  constructor(
    private readonly record: WayDressing,
    private readonly laid: readonly Laid[],
    private readonly does: ReadonlyMap<string, FunctionId | null>,
    private readonly material: ReadonlyMap<string, Material>,
  ) {}

  write(sequence: readonly (Chunk | string)[]): this {
    for (const item of sequence) {
      if (typeof item === 'string') this.threadToken(item);
      else this.chunk(item);
    }
    // A fly that its own wire holds together has no head to whip, but an eye to free.
    if (!this.laid.some((item) => item.part.what === 'head'))
      this.add({
        do: 'free-eye',
        at: 'behind-eye',
        tool: 'bodkin',
        caution: 'needle',
        check: `${SAY}tippet-passes`,
        mend: [`${SAY}bodkin-while-wet`],
      });
    return this;
  }

  private add(step: Partial<DressingStep> & Pick<DressingStep, 'do'>) {
    this.steps.push(this.whole(step));
  }

  private whole(step: Partial<DressingStep> & Pick<DressingStep, 'do'>): DressingStep {
    return { ...STEP_DEFAULTS, mend: [], ...step, tool: step.tool ?? TOOLS[step.do] ?? null };
  }

  private threadToken(token: string) {
    const threads = this.record.threads.filter((thread) => thread.role !== 'sewing');
    const [name, end] = token.split('.') as [string, string | undefined];
    const index = name === 'thread' ? 0 : Number(name.slice(1)) - 1;
    const own = threads[index]?.material ?? null;
    if (end !== undefined) {
      this.add({
        do: 'tie-off',
        as: 'whip-away',
        material: own,
        turns: threads[index]?.finish_turns ?? 3,
        frame: 'thread',
        tool: 'whip-tool',
        check: `${SAY}does-not-slide`,
        mend: [`${SAY}more-turns`],
      });
      this.add({
        do: 'cut',
        as: 'cut-first-thread',
        material: own,
        cuts: 'thread',
        reversible: false,
        check: `${SAY}no-thread-end`,
        caution: 'blade',
        tool: 'scissors',
      });
      return;
    }
    this.thread = own;
    const beaded = this.laid.some((item) => item.part.what === 'bead');
    const at: Station =
      index > 0
        ? (this.steps.findLast((step) => step.at !== null && step.do !== 'coat')?.at ?? 'mid-shank')
        : beaded
          ? 'front'
          : 'mid-shank';
    this.add({
      do: 'start-thread',
      material: own,
      at,
      frame: 'thread',
      check: `${SAY}thread-flat`,
      mend: [`${SAY}waste-at-angle`],
      caution: index === 0 ? 'hook-point' : null,
    });
  }

  private chunk({ laid, phases }: Chunk) {
    const made = BEFOREHAND.has(laid.way.id) && phases[0]?.slot === 'made';
    const written = phases.map((phase) => this.step(laid, phase));
    if (!made) {
      this.steps.push(...this.protected(laid, phases, written));
      return;
    }
    const legs = laid.way.figure === 'legs';
    const count = legs && typeof laid.part.count === 'number' ? laid.part.count : 1;
    this.assemblies.push({
      id: laid.part.id,
      name: `${SAY}made-${laid.way.id}`,
      part: laid.part.id,
      count,
      spare: legs ? (laid.part.spare ?? 2) : 0,
      steps: written,
    });
  }

  /** The abdomen's steps with what keeps it whole: glue on the thread before it is wound, or resin over it when it is cut. */
  private protected(laid: Laid, phases: readonly Phase[], written: DressingStep[]): DressingStep[] {
    const { protection } = this.record;
    if (laid.part.what !== 'abdomen' || (protection !== 'resin-over' && protection !== 'glue-under')) return written;
    const winds = phases.findIndex((phase) => phase.do === 'wind' || phase.do === 'dub' || phase.do === 'fold');
    if (winds < 0) return written;
    const over = protection === 'resin-over';
    const material = this.firstDoing(over ? 'coat.resin' : 'coat.glue', over ? 'thin-resin' : 'bond-cement');
    const coat = this.whole({
      do: 'coat',
      part: laid.part.id,
      material,
      at: laid.rear,
      as: over ? null : 'glue-under',
      wait_s: over ? COAT_S : null,
      vise: over ? 'turned' : null,
      tool: 'bodkin',
      caution: this.material.get(material ?? '')?.caution ?? null,
      check: `${SAY}${over ? 'even-film' : 'thin-even'}`,
      mend: [`${SAY}wick-off`],
    });
    return over ? [...written, coat] : [...written.slice(0, winds), coat, ...written.slice(winds)];
  }

  private step(laid: Laid, phase: Phase): DressingStep {
    const { part, way } = laid;
    const material = this.materialOf(laid, phase);
    const own = this.material.get(material ?? '');
    const wire = WIRES.has(this.does.get(part.id) as FunctionId);
    const never = phase.undo === 'never';
    const as = phase.as?.replace('LOCK', part.lock ?? 'turns').replace('BY', part.by ?? 'figure-eight') ?? null;
    const assembly = phase.do === 'bind' && BEFOREHAND.has(way.id) ? part.id : null;
    const key = `${part.id}.${phase.id}`;
    return this.whole({
      do: phase.do,
      part: part.id,
      material,
      at: this.stationOf(laid, phase),
      turns: phase.do === 'finish' ? this.finishTurns() : (phase.turns ?? null),
      side: phase.side ?? null,
      frame:
        phase.frame ??
        (phase.do === 'bind' || phase.do === 'fold'
          ? 'hook'
          : phase.do === 'catch-in'
            ? 'hand'
            : phase.do === 'tie-off' || phase.do === 'finish'
              ? 'thread'
              : null),
      vise: phase.vise ?? null,
      orientation: phase.face
        ? `${SAY}${this.faceOf(laid, phase.face)}`
        : part.counter && phase.do === 'wind'
          ? `${SAY}counter-wound`
          : null,
      tool: phase.tool ?? (phase.do === 'cut' && wire ? 'second-scissors' : null),
      check: phase.check ? `${SAY}${this.checkOf(laid, phase)}` : null,
      mend: phase.mends.map((mend) => `${SAY}${mend}`),
      caution: phase.caution ?? this.cautionOf(phase, own, wire),
      reversible: !never,
      wait_s: phase.wait ?? null,
      method: phase.method ?? null,
      assembly,
      phase: phase.id,
      as,
      points: phase.points ?? null,
      waits_for: phase.waits ?? this.waitsFor(laid, phase),
      cuts: phase.cuts ?? null,
      leaves_waste: phase.do === 'bind' ? (phase.leaves ?? true) : null,
      stays: false,
      held_by: phase.by === 'rib' ? this.ribId() : null,
      locks: phase.locks ?? (phase.do === 'seat-bead' && part.lock === 'none'),
      note: this.record.notes[key] ?? null,
    });
  }

  private waitsFor({ way }: Laid, phase: Phase): DressingStep['waits_for'] {
    if (phase.do !== 'catch-in' && phase.do !== 'loop') return phase.do === 'bind' ? 'show' : null;
    return way.phases.some((other) => other.do === 'fold') ? 'fold' : 'wind';
  }

  private finishTurns(): number | null {
    const head =
      this.record.threads.find((thread) => thread.role === 'head') ??
      this.record.threads.find((thread) => thread.material === this.thread);
    return head?.finish_turns ?? null;
  }

  private ribId(): string | null {
    return this.laid.find((item) => item.part.what === 'rib')?.part.id ?? null;
  }

  private faceOf({ part }: Laid, face: string): string {
    return face === 'hole-by-kind' ? `hole-${part.kind ?? 'drilled'}` : face;
  }

  /** A way's check, where the part lies otherwise than most: a tail that a school keeps together, a thorax beside an abdomen. */
  private checkOf({ part }: Laid, phase: Phase): string {
    if (phase.check === 'fork-even' && part.by === 'thread-loop') return 'fork-by-loop';
    if (phase.check === 'clipped' && part.trim !== null) return `clipped-${part.trim}`;
    return phase.check!;
  }

  private cautionOf(phase: Phase, own: Material | undefined, wire: boolean): CautionId | null {
    if (own?.caution && (WITH_MATERIAL.has(phase.do) || phase.of !== undefined)) return own.caution;
    if (phase.do === 'cut' || phase.do === 'clip') return wire ? 'sharp-pieces' : 'blade';
    return phase.do === 'free-eye' || phase.do === 'tease' || phase.tool === 'bodkin' ? 'needle' : null;
  }

  private materialOf(laid: Laid, phase: Phase): string | null {
    const { part } = laid;
    if (phase.of === 'thread' || BY_THREAD.has(phase.do)) return this.thread;
    if (phase.of === 'coat.glue' && part.what !== 'case')
      return this.firstDoing('coat.glue', part.of[1] ?? 'bond-cement');
    if (phase.of !== undefined) {
      const wanted = phase.of;
      const given = [part.coat, part.tint, ...part.of.slice(1)].find(
        (id) => id !== null && id !== undefined && this.material.get(id)?.functions.includes(wanted),
      );
      return (
        given ??
        this.firstDoing(
          wanted,
          wanted === 'body.dubbed'
            ? (this.record.parts.find(
                (other) =>
                  other.what === 'thorax' && this.material.get(other.of[0]!)?.functions.includes('body.dubbed'),
              )?.of[0] ?? null)
            : null,
        )
      );
    }
    if (phase.by === 'rib') return this.laid.find((item) => item.part.what === 'rib')?.part.of[0] ?? null;
    return WITH_MATERIAL.has(phase.do) ? part.of[0]! : null;
  }

  private firstDoing(wanted: FunctionId, usual: string | null): string | null {
    if (usual !== null && this.material.has(usual)) return usual;
    return [...this.material.values()].find((item) => item.functions.includes(wanted))?.id ?? null;
  }

  private stationOf(laid: Laid, phase: Phase): Station | null {
    switch (phase.at) {
      case 'rear':
        return laid.rear;
      case 'front':
        return laid.front;
      case 'face':
        return 'front';
      case 'bead':
      case 'eye':
        return 'behind-eye';
      case 'span':
        return laid.rear;
      case 'butts':
        return this.buttsAt(laid);
      default:
        return laid.way.lies === 'made' && phase.slot === 'made' ? null : laid.rear;
    }
  }

  /** Where butts are cut: where the taper wants them, else close to where they are bound. */
  private buttsAt(laid: Laid): Station | null {
    const { taper } = this.record;
    const { part } = laid;
    const body = this.laid.find((item) => item.part.what === 'abdomen' || item.part.what === 'case');
    const wound = this.steps.some((step) => step.part === body?.part.id && (step.do === 'wind' || step.do === 'dub'));
    if (!body || wound) return laid.rear;
    if (AT_REAR.has(part.what) && (taper === 'tail-butts' || taper === 'butts-left')) return body.front;
    return taper === 'wing-butts' && !AT_REAR.has(part.what) ? 'mid-shank' : laid.rear;
  }
}

function partOf({ part, way, rear, front }: Laid, does: FunctionId | null): DressingPart {
  const long = part.long;
  const inFront = part.to === 'collar';
  const head = part.what === 'head';
  const counted = head || part.what === 'bead';
  return {
    ...PART_DEFAULTS,
    id: part.id,
    part: part.what,
    base: long?.base ?? (part.what === 'bead' ? 'bead' : head ? 'eye' : part.count === null ? 'eye-judged' : 'count'),
    factor: long?.factor ?? (counted ? 1 : null),
    low: long?.low ?? (counted ? (head ? 0.1 : 1) : null),
    high: long?.high ?? (counted ? 1 : null),
    at_least: part.least,
    from: part.to === 'forward' ? rear : inFront || head ? null : rear,
    to:
      part.to === 'forward' || inFront || head
        ? part.to
        : way.lies === 'over'
          ? front
          : (part.to ?? (front !== rear && (way.figure === 'barb' || way.figure === 'loop') ? front : null)),
    thick: part.thick,
    wide: part.wide,
    count: part.count === 'natural' ? 3 : part.count,
    follows: part.count === 'natural' ? 'natural' : null,
    spare: part.spare,
    unit: part.unit,
    material: part.of[0]!,
    function: does,
    region: part.region,
    optional: part.optional,
    school: part.school,
    counter: part.counter,
    trim: part.trim,
    method: way.phases.find((phase) => phase.method)?.method ?? null,
    way: way.id,
    by: part.by,
    coat: part.coat,
    tint: part.tint,
    also: part.of.slice(1),
  };
}

function weightOf({ part, way }: Laid, material: ReadonlyMap<string, Material>): Dressing['weights'] {
  if (part.what !== 'bead' && part.what !== 'weight') return [];
  const empty = { bead_kind: null, diameter_mm: null, turns: null, cover: null, lock: null } as const;
  const metal = part.metal ?? metalOf(part.of[0]!, material);
  if (part.what === 'bead')
    return [{ ...empty, kind: 'bead', metal, bead_kind: part.kind ?? 'drilled', lock: part.lock }];
  return [
    {
      ...empty,
      kind: way.id === 'sides' ? 'sides' : 'wound',
      metal,
      cover: part.long ? { base: part.long.base, factor: part.long.factor } : null,
    },
  ];
}

function metalOf(id: string, material: ReadonlyMap<string, Material>): Dressing['weights'][number]['metal'] {
  const said = `${id} ${material.get(id)?.name ?? ''}`.toLowerCase();
  return (['tungsten', 'brass', 'glass', 'lead', 'tin'] as const).find((metal) => said.includes(metal)) ?? 'tungsten';
}

const SEEN_THROUGH: ReadonlySet<PartId> = new Set(['abdomen', 'thorax', 'case', 'extended-body']);

/** What lies under what is seen: the thread that was on when a body was wound, and the body. */
function layersOf(
  record: WayDressing,
  laid: readonly Laid[],
  does: ReadonlyMap<string, FunctionId | null>,
  material: ReadonlyMap<string, Material>,
): Dressing['layers'] {
  const thread = record.threads.find((item) => item.role !== 'sewing')?.material;
  return laid.flatMap(({ part }) => {
    const own = material.get(part.of[0]!);
    if (!SEEN_THROUGH.has(part.what) || part.to !== 'forward' || !own || !thread || does.get(part.id) === null)
      return [];
    return [{ part: part.id, from_under: own.id === thread ? [own.id] : [thread, own.id] }];
  });
}
