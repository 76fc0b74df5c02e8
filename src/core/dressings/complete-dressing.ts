import type { Dressing, DressingPart, DressingStep } from './dressing';

/** A dressing as it is written to a file: what equals the default may be left out. */
export type WrittenDressing = Pick<
  Dressing,
  'id' | 'rev' | 'name' | 'stages' | 'style' | 'ride' | 'waters' | 'length_mm' | 'skill' | 'evidence' | 'taper'
> &
  Partial<Omit<Dressing, 'parts' | 'steps' | 'assemblies'>> & {
    parts: (Pick<DressingPart, 'id' | 'part' | 'base'> & Partial<DressingPart>)[];
    steps: (Pick<DressingStep, 'do'> & Partial<DressingStep>)[];
    assemblies?: (Omit<Dressing['assemblies'][number], 'steps' | 'spare'> & {
      spare?: number;
      steps: (Pick<DressingStep, 'do'> & Partial<DressingStep>)[];
    })[];
  };

export const PART_DEFAULTS: Omit<DressingPart, 'id' | 'part' | 'base'> = {
  factor: null,
  low: null,
  high: null,
  at_least: null,
  from: null,
  to: null,
  thick: null,
  wide: null,
  count: null,
  spare: null,
  unit: 'count',
  material: null,
  function: null,
  region: null,
  method: null,
  optional: false,
  scaled: false,
  school: null,
  counter: false,
  trim: null,
  way: null,
  by: null,
  coat: null,
  tint: null,
  also: [],
  follows: null,
};

export const STEP_DEFAULTS: Omit<DressingStep, 'do'> = {
  part: null,
  material: null,
  at: null,
  turns: null,
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
  phase: null,
  as: null,
  points: null,
  waits_for: null,
  cuts: null,
  leaves_waste: null,
  stays: false,
  held_by: null,
  locks: false,
  note: null,
};

const WEIGHT_DEFAULTS = {
  metal: null,
  bead_kind: null,
  diameter_mm: null,
  turns: null,
  cover: null,
  lock: null,
} as const;

/** Fresh defaults: lists of one dressing are not another's. */
const dressingDefaults = (): Omit<
  Dressing,
  keyof Pick<
    Dressing,
    | 'id'
    | 'rev'
    | 'name'
    | 'stages'
    | 'style'
    | 'ride'
    | 'waters'
    | 'length_mm'
    | 'skill'
    | 'evidence'
    | 'taper'
    | 'parts'
    | 'steps'
  >
> => ({
  levels: [],
  size_by_water: {},
  hooks: [],
  months: [],
  groups: [],
  minutes: null,
  work_order: null,
  protection: 'none',
  finish: 'tidy',
  head_room: null,
  threads: [],
  weights: [],
  layers: [],
  bundles: [],
  switches: [],
  assemblies: [],
  tools: [],
  cautions: [],
  bank: [],
  claims: [],
  parent: null,
  changes: [],
});

function completeStep(step: Pick<DressingStep, 'do'> & Partial<DressingStep>): DressingStep {
  return { ...STEP_DEFAULTS, ...step, mend: [...(step.mend ?? [])] };
}

/** The lists of a dressing's head, whose entries may leave out what equals a default. */
type Head = Pick<Dressing, 'threads' | 'switches' | 'bank' | 'changes' | 'hooks'>;
export type WrittenHead = Partial<Pick<WrittenDressing, keyof Head>>;

/** These lists with every default in its place. */
export function completeHead(written: WrittenHead): Head {
  return {
    threads: (written.threads ?? []).map((thread) => ({ ...thread, optional: thread.optional ?? false })),
    switches: (written.switches ?? []).map((item) => ({
      ...item,
      attracts: item.attracts ?? false,
      stages: [...(item.stages ?? [])],
    })),
    bank: (written.bank ?? []).map((item) => ({ ...item, ride: item.ride ?? null })),
    changes: (written.changes ?? []).map((item) => ({ ...item, part: item.part ?? null })),
    hooks: (written.hooks ?? []).map((item) => ({ ...item, x_long: item.x_long ?? null, wire: item.wire ?? [] })),
  };
}

/** A written dressing with every default in its place; the same as casting it by the schema, without the cost. Not checked. */
export function completeDressing(written: WrittenDressing): Dressing {
  return {
    ...dressingDefaults(),
    ...written,
    ...completeHead(written),
    weights: (written.weights ?? []).map((weight) => ({ ...WEIGHT_DEFAULTS, ...weight })),
    bundles: (written.bundles ?? []).map((bundle) => ({
      ...bundle,
      unit: bundle.unit ?? 'count',
      amount: bundle.amount ?? null,
    })),
    assemblies: (written.assemblies ?? []).map((assembly) => ({
      ...assembly,
      spare: assembly.spare ?? 0,
      steps: assembly.steps.map(completeStep),
    })),
    parts: written.parts.map((part) => ({ ...PART_DEFAULTS, ...part, also: [...(part.also ?? [])] })),
    steps: written.steps.map(completeStep),
  };
}

/** A value without what equals its default. */
export function without<T extends object>(value: T, defaults: object): Partial<T> {
  return Object.fromEntries(
    Object.entries(value).filter(
      ([key, item]) =>
        !(key in defaults) || JSON.stringify(item) !== JSON.stringify(defaults[key as keyof typeof defaults]),
    ),
  ) as Partial<T>;
}

/** Keys in the order they are written in, so that a file read and written again is the same. */
const ORDER = {
  dressing: [
    'id',
    'rev',
    'name',
    'stages',
    'style',
    'ride',
    'levels',
    'waters',
    'size_by_water',
    'hooks',
    'months',
    'groups',
    'length_mm',
    'minutes',
    'skill',
    'evidence',
    'taper',
    'work_order',
    'protection',
    'finish',
    'head_room',
    'threads',
    'weights',
    'layers',
    'bundles',
    'switches',
    'assemblies',
    'parts',
    'steps',
    'tools',
    'cautions',
    'bank',
    'claims',
    'parent',
    'changes',
  ],
  part: ['id', 'part', 'base', ...Object.keys(PART_DEFAULTS)],
  step: ['do', ...Object.keys(STEP_DEFAULTS)],
  share: ['base', 'factor'],
  threads: ['role', 'material', 'finish_turns', 'optional'],
  weights: ['kind', ...Object.keys(WEIGHT_DEFAULTS)],
  layers: ['part', 'from_under'],
  bundles: ['id', 'material', 'parts', 'unit', 'amount'],
  switches: ['id', 'name', 'parts', 'on', 'stages', 'attracts', 'why'],
  assemblies: ['id', 'name', 'part', 'count', 'spare', 'steps'],
  hooks: ['bend', 'x_long', 'wire'],
  bank: ['id', 'text', 'ride'],
  claims: ['text', 'evidence'],
  changes: ['kind', 'part', 'text'],
} as const;

export function ordered<T extends object>(value: T, keys: readonly string[]): T {
  return Object.fromEntries(keys.flatMap((key) => (key in value ? [[key, value[key as keyof T]]] : []))) as T;
}

const share = (value: DressingPart['thick']) => value && ordered(value, ORDER.share);
const writtenStep = (step: DressingStep) =>
  ordered(without(step, STEP_DEFAULTS), ORDER.step) as WrittenDressing['steps'][number];

/** The lists of a dressing's head as they are written; `completeHead` gives them back. */
export function writtenHead(dressing: Head & Pick<Dressing, 'claims'>) {
  return {
    threads: dressing.threads.map((item) => ordered(without(item, { optional: false }), ORDER.threads)),
    switches: dressing.switches.map((item) => ordered(without(item, { attracts: false, stages: [] }), ORDER.switches)),
    hooks: dressing.hooks.map((item) => ordered(item, ORDER.hooks)),
    bank: dressing.bank.map((item) => ordered(without(item, { ride: null }), ORDER.bank)),
    claims: dressing.claims.map((item) => ordered(item, ORDER.claims)),
    changes: dressing.changes.map((item) => ordered(without(item, { part: null }), ORDER.changes)),
  };
}

/** A dressing for a file: what equals its default left out. `completeDressing` gives it back. */
export function writtenDressing(dressing: Dressing): WrittenDressing {
  const all = {
    ...dressing,
    ...writtenHead(dressing),
    weights: dressing.weights.map((item) =>
      ordered(without({ ...item, cover: share(item.cover) }, WEIGHT_DEFAULTS), ORDER.weights),
    ),
    layers: dressing.layers.map((item) => ordered(item, ORDER.layers)),
    bundles: dressing.bundles.map((item) => ordered(item, ORDER.bundles)),
    assemblies: dressing.assemblies.map((item) =>
      ordered({ ...without(item, { spare: 0 }), steps: item.steps.map(writtenStep) }, ORDER.assemblies),
    ),
    parts: dressing.parts.map((item) =>
      ordered(
        without(
          { ...item, thick: share(item.thick), wide: share(item.wide), at_least: share(item.at_least) },
          PART_DEFAULTS,
        ),
        ORDER.part,
      ),
    ),
    steps: dressing.steps.map(writtenStep),
  };
  return ordered(without(all, dressingDefaults()), ORDER.dressing) as unknown as WrittenDressing;
}
