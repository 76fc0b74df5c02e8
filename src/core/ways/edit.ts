import type { PartId } from '@/catalogue/ids';
import { dropPart, newPartId, type Dressing, type DressingPart } from '../dressings';
import type { Material } from '../materials';
import { workOut, type WaysCatalogue } from './compile';
import { mergeDressings } from './merge';
import type { Way, WayDressing, WayPart } from './way';

/** A dressing as parts, ways and one order, from its parts and steps; null where a part was made by hand. */
export function recordOf(dressing: Dressing): WayDressing | null {
  if (dressing.parts.some((part) => part.way === null)) return null;
  const notes = Object.fromEntries(
    dressing.steps.flatMap((step) =>
      step.note !== null && step.part !== null && step.phase !== null
        ? [[`${step.part}.${step.phase}`, step.note]]
        : [],
    ),
  );
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
  const weight =
    part.part === 'bead'
      ? dressing.weights.find((item) => item.kind === 'bead')
      : part.part === 'weight'
        ? dressing.weights.find((item) => item.kind === 'wound' || item.kind === 'sides')
        : undefined;
  const long =
    part.part === 'weight' ? weight?.cover : part.factor === null ? null : { base: part.base, factor: part.factor };
  return {
    id: part.id,
    what: part.part,
    way: part.way!,
    of: [bunchOf(part, dressing) ?? part.material ?? '', ...part.also],
    count: part.follows ?? part.count,
    spare: part.spare,
    from: part.from,
    to: part.to,
    long: long ? { ...long, low: part.low ?? long.factor, high: part.high ?? long.factor } : null,
    least: part.at_least,
    thick: part.thick,
    wide: part.wide,
    unit: part.unit,
    by: part.by as WayPart['by'],
    trim: part.trim,
    lock: weight?.lock ?? null,
    kind: weight?.bead_kind ?? null,
    metal: weight?.metal ?? null,
    counter: part.counter,
    coat: part.coat,
    tint: part.tint,
    region: part.region,
    school: part.school,
    optional: part.optional,
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

/** A dressing worked out anew after its parts were changed; what was written into it by hand stays. Null where it is not made of ways. */
export function reworked(
  dressing: Dressing,
  change: (record: WayDressing) => WayDressing,
  catalogue: WaysCatalogue,
): Dressing | null {
  const record = recordOf(dressing);
  if (record === null) return null;
  return mergeDressings(workOut(record, catalogue).dressing, dressing, workOut(change(record), catalogue).dressing);
}

/** One part with other fields, its steps worked out anew. Null where the dressing is not made of ways. */
export function withWayPart(
  dressing: Dressing,
  id: string,
  more: Partial<WayPart>,
  catalogue: WaysCatalogue,
): Dressing | null {
  return reworked(dressing, (record) => withFields(record, id, more), catalogue);
}

/** A record with other fields for one part. Phases that come with them begin where the part began. */
export function withFields(record: WayDressing, id: string, more: Partial<WayPart>): WayDressing {
  const first = record.order.find((token) => token === id || token.startsWith(`${id}.`));
  return {
    ...record,
    parts: record.parts.map((part) => (part.id === id ? { ...part, ...more } : part)),
    order: record.order.map((token) => (token === first ? id : token)),
  };
}

/** A field of a part that its way asks for. */
export type AskedField =
  | 'from'
  | 'to'
  | 'long'
  | 'least'
  | 'thick'
  | 'wide'
  | 'count'
  | 'by'
  | 'trim'
  | 'lock'
  | 'kind'
  | 'metal'
  | 'counter'
  | 'coat'
  | 'tint';

/** Figures of which nothing is counted. */
const UNCOUNTED: ReadonlySet<string> = new Set(['noodle', 'layers', 'none', 'head', 'bead', 'wire', 'coat']);
const WIDTHS: ReadonlySet<string> = new Set(['strip', 'pair', 'made']);

/** What can be said of a part made in this way; a field that would reach nothing is not asked. */
export function asksOf(way: Way, what: PartId): ReadonlySet<AskedField> {
  const when = (test: (phase: Way['phases'][number]) => boolean, ...fields: AskedField[]) =>
    way.phases.some(test) ? fields : [];
  const placed = what !== 'head' && what !== 'bead' && way.lies !== 'on';
  const wound = way.figure === 'barb' || way.figure === 'loop';
  return new Set<AskedField>([
    ...(placed || what === 'weight' ? ['from' as const, 'long' as const] : what === 'head' ? ['long' as const] : []),
    ...(placed && (way.lies === 'over' || wound) ? ['to' as const] : []),
    ...(placed ? ['least' as const] : []),
    ...(way.lies === 'stretch' || way.lies === 'made' || way.figure === 'strip' ? ['thick' as const] : []),
    ...(WIDTHS.has(way.figure) ? ['wide' as const] : []),
    ...(placed && !UNCOUNTED.has(way.figure) ? ['count' as const] : []),
    ...when((phase) => phase.as?.includes('BY') ?? false, 'by'),
    ...when((phase) => phase.when === 'trim', 'trim'),
    ...when((phase) => phase.when === 'coat', 'coat'),
    ...when((phase) => phase.when === 'tint', 'tint'),
    ...(what === 'bead' ? (['lock', 'kind', 'metal'] as const) : what === 'weight' ? (['metal'] as const) : []),
    ...(what === 'rib' ? ['counter' as const] : []),
  ]);
}

/** One part as its way has it; null for a part made by hand. */
export function wayPartOf(dressing: Dressing, id: string): WayPart | null {
  const part = dressing.parts.find((item) => item.id === id);
  return part?.way ? wayPart(part, dressing) : null;
}

/** Fields of a part changed: by its way where the dressing is made of ways, else in the part alone. */
export function setPart(dressing: Dressing, id: string, more: Partial<WayPart>, catalogue: WaysCatalogue): Dressing {
  return (
    withWayPart(dressing, id, more, catalogue) ?? {
      ...dressing,
      parts: dressing.parts.map((part) => (part.id === id ? inPart(part, more) : part)),
    }
  );
}

function inPart(part: DressingPart, { long, least, thick, wide, count, ...more }: Partial<WayPart>): DressingPart {
  const same = Object.fromEntries(
    (['from', 'to', 'spare', 'unit', 'by', 'trim', 'counter', 'coat', 'tint', 'region'] as const).flatMap((key) =>
      more[key] === undefined ? [] : [[key, more[key]]],
    ),
  );
  return {
    ...part,
    ...same,
    ...(long === undefined
      ? {}
      : {
          base: long?.base ?? 'eye-judged',
          factor: long?.factor ?? null,
          low: long?.low ?? null,
          high: long?.high ?? null,
        }),
    ...(least === undefined ? {} : { at_least: least }),
    ...(thick === undefined ? {} : { thick }),
    ...(wide === undefined ? {} : { wide }),
    ...(count === undefined
      ? {}
      : {
          count: count === 'natural' ? part.count : count,
          follows: count === 'natural' ? ('natural' as const) : null,
        }),
  };
}

/** A part that was taken out of a dressing, and all that went with it. */
export interface TakenOut {
  id: string;
  what: PartId;
  before: Dressing;
  after: Dressing;
}

/** Takes a part out: its steps go with it, what lay by it lies where it would without. */
export function takeOut(dressing: Dressing, id: string, catalogue: WaysCatalogue): TakenOut | null {
  const part = dressing.parts.find((item) => item.id === id);
  return part
    ? {
        id,
        what: part.part,
        before: dressing,
        after: reworked(dressing, (record) => withoutPart(record, id), catalogue) ?? dropPart(dressing, id),
      }
    : null;
}

/** Puts a part back as it was; what was changed since stays changed. */
export function putBack(dressing: Dressing, taken: TakenOut): Dressing {
  return mergeDressings(taken.after, dressing, taken.before);
}

function withoutPart(record: WayDressing, id: string): WayDressing {
  const gone = record.parts.find((part) => part.id === id)!;
  const names = (text: string | null | undefined) =>
    text != null && new RegExp(`^(part|reach):${id}(?![a-z0-9-])`).test(text);
  const parts = record.parts
    .filter((part) => part.id !== id)
    .map((part): WayPart => ({
      ...part,
      of: part.of.map((of) => (of === id ? gone.of[0]! : of)),
      from: names(part.from) ? null : part.from,
      to: names(part.to) ? null : part.to,
      long: names(part.long?.base) ? null : part.long,
      least: names(part.least?.base) ? null : part.least,
      thick: names(part.thick?.base) ? null : part.thick,
      wide: names(part.wide?.base) ? null : part.wide,
    }));
  const owns = (token: string) => token === id || token.startsWith(`${id}.`);
  return {
    ...record,
    parts,
    order: record.order.filter((token) => !owns(token)),
    notes: Object.fromEntries(Object.entries(record.notes).filter(([token]) => !owns(token))),
    switches: record.switches
      .map((item) => ({ ...item, parts: item.parts.filter((part) => part !== id) }))
      .filter((item) => item.parts.length > 0),
  };
}

/** The ways that make a kind of part, the style's usual one first, then the library's. */
export function waysOf(
  kind: PartId,
  style: Dressing['style'],
  library: readonly Dressing[],
  ways: readonly Way[],
): Way[] {
  const uses = (way: Way, some: readonly Dressing[]) =>
    some.reduce(
      (sum, dressing) => sum + dressing.parts.filter((part) => part.part === kind && part.way === way.id).length,
      0,
    );
  const inStyle = library.filter((dressing) => dressing.style === style);
  return ways
    .filter((way) => way.makes.includes(kind))
    .map((way) => ({ way, here: uses(way, inStyle), all: uses(way, library) }))
    .sort((a, b) => b.here - a.here || b.all - a.all)
    .map(({ way }) => way);
}

/** The materials a way can be worked in, one list for each it takes. */
export function materialsOf(way: Way, materials: readonly Material[]): Material[][] {
  return way.takes.map((functions) =>
    materials.filter((material) => material.functions.some((does) => functions.includes(does))),
  );
}

/** How a new part is to be made, of what and where; what is left out is as the library does it. */
export interface NewPart {
  what: PartId;
  way?: string;
  of?: string[];
  from?: WayPart['from'];
}

/** A part of the library made in this way, of this style where there is one. */
function modelFor({ what, way }: NewPart, style: Dressing['style'], library: readonly Dressing[]): WayPart | null {
  const made = library.flatMap((dressing) =>
    dressing.parts
      .filter((part) => part.way !== null && (way === undefined ? part.part === what : part.way === way))
      .map((part) => ({ dressing, part })),
  );
  const near = (test: (item: (typeof made)[number]) => boolean) => made.find(test);
  const found =
    near((item) => item.part.part === what && item.dressing.style === style) ??
    near((item) => item.part.part === what) ??
    made[0];
  return found
    ? { ...wayPart(found.part, found.dressing), what, of: [found.part.material ?? '', ...found.part.also] }
    : null;
}

/** Adds a part by its way: its steps come in at their places. Null where the dressing is not made of ways or takes no such part. */
export function addByWay(
  dressing: Dressing,
  given: NewPart,
  library: readonly Dressing[],
  catalogue: WaysCatalogue,
): Dressing | null {
  const id = newPartId(dressing, given.what);
  const model = modelFor(given, dressing.style, library);
  if (!model || id === null) return null;
  const has = (station: string | null) =>
    station === null ||
    !station.startsWith('part:') ||
    dressing.parts.some((part) => part.id === /^part:([a-z0-9-]+)/.exec(station)![1]);
  const own = (base: string) => !base.startsWith('part:') || dressing.parts.some((part) => `part:${part.id}` === base);
  const part: WayPart = {
    ...model,
    id,
    optional: false,
    way: given.way ?? model.way,
    of: given.of ?? model.of,
    from: given.from ?? (has(model.from) && model.to !== 'forward' ? model.from : null),
    to: has(model.to) ? model.to : null,
    long: model.long && !own(model.long.base) ? { base: 'gape', factor: 1, low: 0.9, high: 1.1 } : model.long,
    least: model.least && own(model.least.base) ? model.least : null,
  };
  return reworked(
    dressing,
    (record) => ({
      ...record,
      parts: placed(record.parts, part, dressing.style, library).map((item) =>
        item.to === 'forward' ? { ...item, from: null } : item,
      ),
    }),
    catalogue,
  );
}

const REST: WayPart['long'] = { base: 'rest', factor: 1, low: 0.9, high: 1 };
/** A body before a thorax where the library holds none of the style. */
const BODY_SHARE: WayPart['long'] = { base: 'shank', factor: 0.6, low: 0.54, high: 0.66 };

/** The parts with a new one in its place: before the head, and of those along the hook a thorax in front of the body, which then takes its share in place of all the room; another behind the one that fills what is left. */
function placed(
  parts: readonly WayPart[],
  part: WayPart,
  style: Dressing['style'],
  library: readonly Dressing[],
): WayPart[] {
  const insert = (list: readonly WayPart[], at: number, item: WayPart) => [
    ...list.slice(0, at),
    item,
    ...list.slice(at),
  ];
  const head = parts.findIndex((item) => item.what === 'head');
  const end = head < 0 ? parts.length : head;
  if (part.to !== 'forward') return insert(parts, end, part);
  const along = parts.filter((item) => item.to === 'forward');
  if (part.what !== 'thorax' || along.length === 0)
    return insert(parts, Math.min(end, Math.max(0, along.length === 0 ? end : parts.indexOf(along[0]!))), part);
  // A bead takes its room off the body: as it is in the library with one.
  const beaded = (list: readonly { what?: PartId; part?: PartId }[]) =>
    list.some((item) => (item.what ?? item.part) === 'bead');
  const inStyle = library.filter((item) => item.style === style);
  const alike = inStyle.filter((item) => beaded(item.parts) === beaded(parts));
  const shares = (alike.length > 0 ? alike : inStyle).flatMap((item) =>
    item.parts.filter(
      (own) =>
        own.to === 'forward' &&
        own.part !== 'thorax' &&
        own.base === 'shank' &&
        own.factor !== null &&
        item.parts.some((other) => other.part === 'thorax'),
    ),
  );
  const usual = [...shares].sort((a, b) => a.factor! - b.factor!)[shares.length >> 1];
  const long: WayPart['long'] = usual
    ? { base: usual.base, factor: usual.factor!, low: usual.low ?? usual.factor!, high: usual.high ?? usual.factor! }
    : BODY_SHARE;
  const body = parts.map((item) =>
    item.to === 'forward' && item.long?.base === 'rest'
      ? { ...item, long, thick: item.thick ?? usual?.thick ?? null }
      : item,
  );
  return insert(body, body.indexOf(body.findLast((item) => item.to === 'forward')!) + 1, { ...part, long: REST });
}

const SPOOLED: ReadonlySet<string> = new Set(['noodle', 'layers', 'floss', 'tubing', 'yarn']);

/** What a fly cannot be without: body, head, and what the body hangs on. */
const BARE: ReadonlySet<PartId> = new Set(['abdomen', 'case', 'head', 'bead', 'extended-body']);

/** The least of a fly in a style, made by the library's ways: thread, body and head. Null where the library holds none. */
export function bareByWay(
  id: string,
  name: string,
  stage: Dressing['stages'][number],
  style: Dressing['style'],
  library: readonly Dressing[],
  catalogue: WaysCatalogue,
): Dressing | null {
  const made = library.filter((item) => item.style === style && item.parts.every((part) => part.way !== null));
  // A body off a spool reaches over any hook; quills and biots are short.
  const spooled = (item: Dressing) =>
    item.parts.some((part) => part.to === 'forward' && part.part !== 'thorax' && SPOOLED.has(part.way!));
  // One that ties over many lengths leaves the tier the most room.
  const spread = ({ length_mm: [low, high] }: Dressing) => high / low;
  const widest = [...made].sort((a, b) => spread(b) - spread(a));
  const model =
    widest.find((item) => item.stages.includes(stage) && spooled(item)) ?? widest.find(spooled) ?? widest[0];
  const record = model && recordOf(model);
  if (!model || !record) return null;
  const along = record.parts.some((part) => BARE.has(part.what) && part.to === 'forward');
  const parts = record.parts
    .filter((part) => BARE.has(part.what) || (!along && part.to === 'forward'))
    .map((part): WayPart => ({
      ...part,
      of: [model.parts.find((item) => item.id === part.id)?.material ?? part.of[0]!, ...part.of.slice(1)],
      optional: false,
      least: null,
      from: part.to === 'forward' ? null : part.from,
    }));
  const front = parts.findLast((part) => part.to === 'forward');
  const wayParts = parts.map((part) => (part === front ? { ...part, long: REST } : part));
  const threads = record.threads.filter(
    (thread) => thread.role === 'sewing' || thread === record.threads[record.threads.length - 1],
  );
  const bare = workOut(
    {
      ...record,
      id,
      name,
      rev: 1,
      stages: [stage],
      parts: wayParts,
      order: [],
      notes: {},
      threads,
      taper: 'none',
      evidence: 'theory',
      claims: [],
      bank: [],
      parent: null,
      changes: [],
      switches: [],
    },
    catalogue,
  );
  return bare.dressing;
}
