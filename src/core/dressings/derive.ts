import type { ChangeKind, Dressing, DressingPart } from './dressing';
import { reason, type Reason } from '../code';

export type NotedChange = Dressing['changes'][number];

/** A dressing of one's own from another: the same in everything, with its parent kept. */
export function derive(parent: Dressing, id: string, name: string): Dressing {
  return { ...structuredClone(parent), id, name, rev: 1, parent: parent.id, changes: [] };
}

/** What in a part follows a rule. */
const RULE: readonly (keyof DressingPart)[] = [
  'base',
  'factor',
  'low',
  'high',
  'at_least',
  'thick',
  'from',
  'to',
  'count',
  'spare',
  'unit',
  'trim',
  'counter',
  'scaled',
  'school',
];

/** Whether two values are written alike. */
export const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/** What is not of one part, by what a tier calls it. */
const WHOLE = {
  threads: ['threads'],
  weights: ['weights'],
  hooks: ['hooks'],
  season: ['months', 'size_by_water'],
  beforehand: ['assemblies'],
  bunches: ['bundles'],
  layers: ['layers'],
  built: ['taper', 'work_order', 'protection', 'finish', 'head_room'],
} as const satisfies Record<string, readonly (keyof Dressing)[]>;

const WITH_A_PART = ['weights', 'beforehand', 'bunches', 'layers'] as const;
const TAKES: Partial<Record<Difference['kind'], readonly (keyof typeof WHOLE)[]>> = {
  added: WITH_A_PART,
  dropped: WITH_A_PART,
  material: ['beforehand', 'bunches', 'layers'],
  scaled: ['weights'],
};

export interface Difference {
  kind: ChangeKind | keyof typeof WHOLE;
  part: string | null;
  /** What it was and what it is: for material, region and range. */
  from: string | null;
  to: string | null;
}

/** Everything in which a dressing differs from the one it was made from, part by part. Empty when nothing was changed but its name. */
export function differences(parent: Dressing, own: Dressing): Difference[] {
  const found: Difference[] = [];
  const add = (kind: Difference['kind'], part: string | null, from: string | null = null, to: string | null = null) =>
    found.push({ kind, part, from, to });
  if (!same(parent.length_mm, own.length_mm)) add('scaled', null, parent.length_mm.join('–'), own.length_mm.join('–'));
  for (const part of own.parts) {
    const before = parent.parts.find((item) => item.id === part.id);
    if (!before) {
      add('added', part.id, null, part.material);
      continue;
    }
    if (before.material !== part.material) add('material', part.id, before.material, part.material);
    if (before.region !== part.region) add('recoloured', part.id, before.region, part.region);
    if (RULE.some((key) => !same(before[key], part[key])))
      add(
        'rule',
        part.id,
        before.factor === null ? null : `${before.factor} × ${before.base}`,
        part.factor === null ? null : `${part.factor} × ${part.base}`,
      );
  }
  for (const before of parent.parts)
    if (!own.parts.some((part) => part.id === before.id)) add('dropped', before.id, before.material, null);
  const kept = (dressing: Dressing) =>
    dressing.steps
      .filter(
        (step) =>
          step.part === null ||
          (own.parts.some((part) => part.id === step.part) && parent.parts.some((part) => part.id === step.part)),
      )
      .map((step) => `${step.do}:${step.part}`);
  if (!same(kept(parent), kept(own))) add('order', null);
  // What a part that went or came, another material or another length takes with it is told with that.
  const taken = new Set(found.flatMap(({ kind }) => TAKES[kind] ?? []));
  for (const [kind, fields] of Object.entries(WHOLE) as [keyof typeof WHOLE, readonly (keyof Dressing)[]][])
    if (!taken.has(kind) && fields.some((field) => !same(parent[field], own[field]))) add(kind, null);
  return found;
}

/** A dressing without a part: its steps, its rib, its place in bundles, switches, layers and assemblies go with it. */
export function dropPart(dressing: Dressing, id: string): Dressing {
  const gone = new Set([
    id,
    ...dressing.parts.filter((part) => part.part === 'rib' && part.to === `part:${id}`).map((part) => part.id),
  ]);
  const front = dressing.parts.find((part) => part.id === id);
  // What stood at the front of the part stands where it began now; a base that was its length is by eye.
  const station = (value: string | null) => (value === `part:${id}` ? (front?.from ?? 'tie-down') : value);
  return {
    ...dressing,
    parts: dressing.parts
      .filter((part) => !gone.has(part.id))
      .map((part) => ({
        ...part,
        from: station(part.from),
        to: station(part.to),
        base: part.base === `part:${id}` ? 'eye-judged' : part.base,
        factor: part.base === `part:${id}` ? null : part.factor,
        low: part.base === `part:${id}` ? null : part.low,
        high: part.base === `part:${id}` ? null : part.high,
        at_least: part.at_least?.base === `part:${id}` ? null : part.at_least,
      })),
    steps: dressing.steps
      .filter((step) => step.part === null || !gone.has(step.part))
      .map((step) => ({ ...step, at: station(step.at) })),
    weights:
      front?.part === 'bead'
        ? dressing.weights.filter((weight) => weight.kind !== 'bead')
        : front?.part === 'weight'
          ? dressing.weights.filter((weight) => weight.kind !== 'wound' && weight.kind !== 'sides')
          : dressing.weights,
    layers: dressing.layers.filter((layer) => !gone.has(layer.part)),
    bundles: dressing.bundles
      .map((bundle) => ({ ...bundle, parts: bundle.parts.filter((part) => !gone.has(part)) }))
      .filter((bundle) => bundle.parts.length > 1),
    switches: dressing.switches
      .map((item) => ({ ...item, parts: item.parts.filter((part) => !gone.has(part)) }))
      .filter((item) => item.parts.length > 0),
    assemblies: dressing.assemblies.filter((assembly) => !gone.has(assembly.part)),
  };
}

/** Another material for a part, in its part, its steps, its bundle's other parts and its layers. */
export function setMaterial(dressing: Dressing, id: string, material: string): Dressing {
  const before = dressing.parts.find((part) => part.id === id)?.material ?? null;
  const shared = new Set([
    id,
    ...dressing.bundles.filter((bundle) => bundle.parts.includes(id)).flatMap((bundle) => bundle.parts),
  ]);
  const swap = <T extends { part: string | null; material: string | null }>(step: T): T =>
    step.part !== null && shared.has(step.part) && step.material === before ? { ...step, material } : step;
  return {
    ...dressing,
    parts: dressing.parts.map((part) => (shared.has(part.id) ? { ...part, material } : part)),
    steps: dressing.steps.map(swap),
    assemblies: dressing.assemblies.map((assembly) => ({ ...assembly, steps: assembly.steps.map(swap) })),
    bundles: dressing.bundles.map((bundle) => (bundle.parts.includes(id) ? { ...bundle, material } : bundle)),
    layers: dressing.layers.map((layer) =>
      shared.has(layer.part)
        ? { ...layer, from_under: layer.from_under.map((item) => (item === before ? material : item)) }
        : layer,
    ),
  };
}

/** How many steps of one part follow one another from this one on. */
export function runOf(steps: readonly Dressing['steps'][number][], from: number): number {
  const part = steps[from]?.part ?? null;
  let length = 1;
  while (part !== null && steps[from + length]?.part === part) length++;
  return length;
}

/** Steps with one of them, and those of its part that follow it at once, put in the place of another; as they were where they cannot go there. */
export function movedRun<S extends Dressing['steps'][number]>(steps: readonly S[], from: number, to: number): S[] {
  const length = runOf(steps, from);
  if (to < 0 || to >= steps.length || (to >= from && to < from + length)) return [...steps];
  const rest = [...steps.slice(0, from), ...steps.slice(from + length)];
  const at = to < from ? to : to - length + 1;
  return [...rest.slice(0, at), ...steps.slice(from, from + length), ...rest.slice(at)];
}

/** What a scaled dressing has to be looked at again for: what its ends ask of bead, thread, gauge and counts. */
export interface EndOfRange {
  lengthMm: number;
  shankMm: number;
  beadMm: number | null;
  beadRangeMm: readonly [number, number] | null;
  headTurns: number | null;
  headBudget: number | null;
  gauge: number | null;
  /** Wire wound or laid as weight, and the hook's own, mm. */
  weightWireMm: number | null;
  hookWireMm: number;
}

/** Gauges that hackle can be had in, as hook numbers. */
const GAUGES = [8, 26] as const;

/** Weight wire is chosen near the hook's own; from so many times off it is far. Fibres and turns are counted again from so many times the length. */
const WIRE_OFF = 1.4;
const COUNT_OFF = 1.4;

/** What does not scale, at one end of a dressing's range. Source: domain §13. */
export function rechecks(end: EndOfRange): Reason[] {
  const at = { length: { mm: end.lengthMm } };
  const reasons: Reason[] = [];
  if (end.beadMm !== null && end.beadRangeMm && (end.beadMm < end.beadRangeMm[0] || end.beadMm > end.beadRangeMm[1]))
    reasons.push(
      reason(
        'recheck-bead',
        { ...at, bead: { mm: end.beadMm }, low: { mm: end.beadRangeMm[0] }, high: { mm: end.beadRangeMm[1] } },
        { evidence: 'heard' },
      ),
    );
  if (end.headTurns !== null && end.headBudget !== null && end.headTurns > end.headBudget)
    reasons.push(
      reason('recheck-head', { ...at, turns: end.headTurns, budget: end.headBudget }, { evidence: 'theory' }),
    );
  if (end.gauge !== null && (end.gauge < GAUGES[0] || end.gauge > GAUGES[1]))
    reasons.push(reason('recheck-gauge', { ...at, gauge: end.gauge }, { evidence: 'heard' }));
  if (end.weightWireMm !== null && Math.abs(Math.log(end.weightWireMm / end.hookWireMm)) > Math.log(WIRE_OFF))
    reasons.push(
      reason(
        'recheck-wire',
        { ...at, wire: { mm: end.weightWireMm }, hook: { mm: end.hookWireMm } },
        { evidence: 'heard' },
      ),
    );
  return reasons;
}

/** Counted parts that a scaled dressing has kept as they were, where its naturals are much longer or shorter than its parent's; null where there is nothing to count again. */
export function recheckCounts(parent: Dressing, own: Dressing): Reason | null {
  const middle = ({ length_mm: [low, high] }: Dressing) => Math.sqrt(low * high);
  const times = middle(own) / middle(parent);
  if (Math.abs(Math.log(times)) < Math.log(COUNT_OFF)) return null;
  const kept = own.parts.filter(
    (part) =>
      part.count !== null &&
      part.unit === 'count' &&
      parent.parts.some((item) => item.id === part.id && item.count === part.count),
  );
  return kept.length === 0
    ? null
    : reason(
        'recheck-count',
        { parts: { list: kept.map((part) => ({ kind: 'parts', id: part.part })) }, times: Number(times.toFixed(1)) },
        { evidence: 'heard' },
      );
}
