import type { PartId } from '@/catalogue/ids';
import { donorOf, newPartId, same, type Dressing, type DressingPart, type DressingStep } from '../dressings';
import { SAY, workOut, type WaysCatalogue } from './compile';
import type { WayDressing, WayPart } from './way';

/** A dressing as parts, ways and one order, from its parts and steps; null where a part was made by hand. */
export function recordOf(dressing: Dressing): WayDressing | null {
  if (dressing.parts.some((part) => part.way === null)) return null;
  const notes = Object.fromEntries(dressing.steps.flatMap((step) => (step.note !== null && step.part !== null && step.phase !== null ? [[`${step.part}.${step.phase}`, step.note]] : [])));
  let edge = 'tie-down';
  // Where one body follows another its beginning goes without saying.
  const parts = dressing.parts.map((part): WayPart => {
    const own = wayPart(part, dressing);
    if (part.to !== 'forward') return own;
    const follows = part.from === edge;
    edge = `part:${part.id}`;
    return follows ? { ...own, from: null } : own;
  });
  return { ...dressing, parts, order: orderOf(dressing), notes };
}

function wayPart(part: DressingPart, dressing: Dressing): WayPart {
  const weight = part.part === 'bead' ? dressing.weights.find((item) => item.kind === 'bead') : part.part === 'weight' ? dressing.weights.find((item) => item.kind === 'wound' || item.kind === 'sides') : undefined;
  const long = part.part === 'weight' ? weight?.cover : part.factor === null ? null : { base: part.base, factor: part.factor };
  return {
    id: part.id, what: part.part, way: part.way!, of: [bunchOf(part, dressing) ?? part.material ?? '', ...part.also], count: part.follows ?? part.count, spare: part.spare, from: part.from, to: part.to,
    long: long ? { ...long, low: part.low ?? long.factor, high: part.high ?? long.factor } : null,
    least: part.at_least, thick: part.thick, wide: part.wide, unit: part.unit, by: part.by as WayPart['by'], trim: part.trim, lock: weight?.lock ?? null, kind: weight?.bead_kind ?? null, metal: weight?.metal ?? null,
    counter: part.counter, coat: part.coat, tint: part.tint, region: part.region, school: part.school, optional: part.optional,
  };
}

/** The part whose bunch this one is made of as well. */
function bunchOf(part: DressingPart, dressing: Dressing): string | null {
  const bundle = dressing.bundles.find((item) => item.parts.slice(1).includes(part.id));
  return bundle ? bundle.parts[0]! : null;
}

/** The order that steps stand in, as tokens: a part's phases that follow one another are one. */
function orderOf(dressing: Dressing): string[] {
  const tokens: string[] = [];
  const threads = dressing.threads.filter((thread) => thread.role !== 'sewing').map((thread) => thread.material);
  let last: string | null = null;
  for (const step of dressing.steps) {
    if (step.do === 'start-thread' || step.as === 'whip-away') {
      const place = threads.indexOf(step.material ?? '');
      tokens.push(step.as === 'whip-away' ? `t${place + 1}.end` : place <= 0 ? 'thread' : `t${place + 1}`);
      last = null;
    } else if (step.part !== null && step.phase !== null && step.part !== last) {
      tokens.push(`${step.part}.${step.phase}`);
      last = step.part;
    }
  }
  return tokens;
}

/** What of a step a hand may change; it goes with the step when the dressing is worked out anew. */
const BY_HAND = ['at', 'turns', 'side', 'vise', 'orientation', 'tool', 'check', 'mend', 'caution', 'reversible', 'wait_s'] as const satisfies readonly (keyof DressingStep)[];

const keyOf = (step: DressingStep) => `${step.part}.${step.phase}`;

/** A dressing worked out anew after its parts were changed; what was written into its steps by hand stays. Null where it is not made of ways. */
export function reworked(dressing: Dressing, change: (record: WayDressing) => WayDressing, catalogue: WaysCatalogue): Dressing | null {
  const record = recordOf(dressing);
  if (record === null) return null;
  const was = new Map(workOut(record, catalogue).dressing.steps.map((step) => [keyOf(step), step]));
  const is = new Map(dressing.steps.filter((step) => step.phase !== null).map((step) => [keyOf(step), step]));
  const next = workOut(change(record), catalogue).dressing;
  const kept = next.steps.map((step): DressingStep => {
    const [before, now] = [was.get(keyOf(step)), is.get(keyOf(step))];
    if (step.phase === null || !before || !now) return step;
    const own = Object.fromEntries(BY_HAND.flatMap((key) => (same(before[key], now[key]) ? [] : [[key, now[key]]])));
    return { ...step, ...own };
  });
  return { ...next, steps: withHandSteps(dressing.steps, kept) };
}

/** Steps that a hand put in stand behind the one they stood behind. */
function withHandSteps(before: readonly DressingStep[], after: readonly DressingStep[]): DressingStep[] {
  const all = [...after];
  before.forEach((step, index) => {
    const coded = step.phase !== null || step.do === 'start-thread' || step.do === 'free-eye' || step.as !== null || step.check?.startsWith(SAY);
    if (coded) return;
    const previous = before.slice(0, index).findLast((other) => other.phase !== null);
    const at = previous ? all.findIndex((other) => other.phase !== null && keyOf(other) === keyOf(previous)) : -1;
    all.splice(at + 1, 0, step);
  });
  return all;
}

/** Adds a part by its way: its steps come in at their places. Null where the dressing is not made of ways or takes no such part. */
export function addByWay(dressing: Dressing, kind: PartId, library: readonly Dressing[], catalogue: WaysCatalogue): Dressing | null {
  const id = newPartId(dressing, kind);
  const found = donorOf(kind, dressing.style, library);
  if (!found || found.part.way === null || id === null) return null;
  const donor = wayPart(found.part, found.dressing);
  const has = (station: string | null) => station === null || !station.startsWith('part:') || dressing.parts.some((part) => part.id === /^part:([a-z0-9-]+)/.exec(station)![1]);
  const own = (base: string) => !base.startsWith('part:') || dressing.parts.some((part) => `part:${part.id}` === base);
  const part: WayPart = {
    ...donor, id, optional: false, from: has(donor.from) && donor.to !== 'forward' ? donor.from : null, to: has(donor.to) ? donor.to : null,
    long: donor.long && !own(donor.long.base) ? { base: 'gape', factor: 1, low: 0.9, high: 1.1 } : donor.long, least: donor.least && own(donor.least.base) ? donor.least : null,
  };
  return reworked(dressing, (record) => {
    // Along the hook a new part stands behind the one that fills what is left.
    const before = record.parts.findIndex((item) => item.what === 'head' || (part.to === 'forward' && item.to === 'forward'));
    const at = before < 0 ? record.parts.length : before;
    return { ...record, parts: [...record.parts.slice(0, at), part, ...record.parts.slice(at)].map((item) => (item.to === 'forward' ? { ...item, from: null } : item)) };
  }, catalogue);
}

const SPOOLED: ReadonlySet<string> = new Set(['noodle', 'layers', 'floss', 'tubing', 'yarn']);

/** What a fly cannot be without: body, head, and what the body hangs on. */
const BARE: ReadonlySet<PartId> = new Set(['abdomen', 'case', 'head', 'bead', 'extended-body']);

/** The least of a fly in a style, made by the library's ways: thread, body and head. Null where the library holds none. */
export function bareByWay(id: string, name: string, stage: Dressing['stages'][number], style: Dressing['style'], library: readonly Dressing[], catalogue: WaysCatalogue): Dressing | null {
  const made = library.filter((item) => item.style === style && item.parts.every((part) => part.way !== null));
  // A body off a spool reaches over any hook; quills and biots are short.
  const spooled = (item: Dressing) => item.parts.some((part) => part.to === 'forward' && part.part !== 'thorax' && SPOOLED.has(part.way!));
  const model = made.find((item) => item.stages.includes(stage) && spooled(item)) ?? made.find(spooled) ?? made[0];
  const record = model && recordOf(model);
  if (!model || !record) return null;
  const along = record.parts.some((part) => BARE.has(part.what) && part.to === 'forward');
  const parts = record.parts.filter((part) => BARE.has(part.what) || (!along && part.to === 'forward')).map((part): WayPart => ({ ...part, of: [model.parts.find((item) => item.id === part.id)?.material ?? part.of[0]!, ...part.of.slice(1)], optional: false, least: null, from: part.to === 'forward' ? null : part.from }));
  const front = parts.findLast((part) => part.to === 'forward');
  const wayParts = parts.map((part) => (part === front ? { ...part, long: { base: 'rest', factor: 1, low: 0.9, high: 1 } } : part));
  const threads = record.threads.filter((thread) => thread.role === 'sewing' || thread === record.threads[record.threads.length - 1]);
  const bare = workOut({ ...record, id, name, rev: 1, stages: [stage], parts: wayParts, order: [], notes: {}, threads, taper: 'none', evidence: 'theory', claims: [], bank: [], parent: null, changes: [], switches: [] }, catalogue);
  return bare.dressing;
}
