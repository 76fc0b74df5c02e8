import type { Dressing, DressingPart, DressingStep } from './dressing';

/** A dressing as it is written to a file: what equals the default may be left out. */
export type WrittenDressing = Pick<Dressing, 'id' | 'rev' | 'name' | 'stages' | 'style' | 'ride' | 'waters' | 'length_mm' | 'skill' | 'evidence' | 'taper'> & Partial<Omit<Dressing, 'parts' | 'steps' | 'assemblies'>> & {
  parts: (Pick<DressingPart, 'id' | 'part' | 'base'> & Partial<DressingPart>)[];
  steps: (Pick<DressingStep, 'do'> & Partial<DressingStep>)[];
  assemblies?: (Omit<Dressing['assemblies'][number], 'steps' | 'spare'> & { spare?: number; steps: (Pick<DressingStep, 'do'> & Partial<DressingStep>)[] })[];
};

export const PART_DEFAULTS: Omit<DressingPart, 'id' | 'part' | 'base'> = {
  factor: null, low: null, high: null, at_least: null, from: null, to: null, thick: null, count: null, spare: null, unit: 'count', material: null, function: null, region: null, method: null, optional: false, scaled: false, school: null, counter: false, trim: null,
};

export const STEP_DEFAULTS: Omit<DressingStep, 'do'> = {
  part: null, material: null, at: null, turns: null, side: null, frame: null, vise: null, orientation: null, tool: null, check: null, mend: [], caution: null, reversible: true, wait_s: null, method: null, assembly: null,
};

const WEIGHT_DEFAULTS = { metal: null, bead_kind: null, diameter_mm: null, turns: null, cover: null, lock: null } as const;

/** Fresh defaults: lists of one dressing are not another's. */
const dressingDefaults = (): Omit<Dressing, keyof Pick<Dressing, 'id' | 'rev' | 'name' | 'stages' | 'style' | 'ride' | 'waters' | 'length_mm' | 'skill' | 'evidence' | 'taper' | 'parts' | 'steps'>> => ({
  levels: [], size_by_water: {}, hooks: [], months: [], minutes: null, work_order: null, protection: 'none', finish: 'tidy', head_room: null, threads: [], weights: [], layers: [], bundles: [], switches: [], assemblies: [], tools: [], cautions: [], bank: [], claims: [], parent: null, changes: [],
});

function completeStep(step: Pick<DressingStep, 'do'> & Partial<DressingStep>): DressingStep {
  return { ...STEP_DEFAULTS, ...step, mend: [...(step.mend ?? [])] };
}

/** A written dressing with every default in its place; the same as casting it by the schema, without the cost. Not checked. */
export function completeDressing(written: WrittenDressing): Dressing {
  return {
    ...dressingDefaults(),
    ...written,
    threads: (written.threads ?? []).map((thread) => ({ ...thread, optional: thread.optional ?? false })),
    weights: (written.weights ?? []).map((weight) => ({ ...WEIGHT_DEFAULTS, ...weight })),
    bundles: (written.bundles ?? []).map((bundle) => ({ ...bundle, unit: bundle.unit ?? 'count', amount: bundle.amount ?? null })),
    switches: (written.switches ?? []).map((item) => ({ ...item, attracts: item.attracts ?? false })),
    assemblies: (written.assemblies ?? []).map((assembly) => ({ ...assembly, spare: assembly.spare ?? 0, steps: assembly.steps.map(completeStep) })),
    bank: (written.bank ?? []).map((item) => ({ ...item, ride: item.ride ?? null })),
    changes: (written.changes ?? []).map((item) => ({ ...item, part: item.part ?? null })),
    hooks: (written.hooks ?? []).map((item) => ({ ...item, x_long: item.x_long ?? null, wire: item.wire ?? [] })),
    parts: written.parts.map((part) => ({ ...PART_DEFAULTS, ...part })),
    steps: written.steps.map(completeStep),
  };
}

function without<T extends object>(value: T, defaults: object): Partial<T> {
  return Object.fromEntries(Object.entries(value).filter(([key, item]) => !(key in defaults) || JSON.stringify(item) !== JSON.stringify(defaults[key as keyof typeof defaults]))) as Partial<T>;
}

/** A dressing for a file: what equals its default left out. `completeDressing` gives it back. */
export function writtenDressing(dressing: Dressing): WrittenDressing {
  const steps = (list: readonly DressingStep[]) => list.map((step) => without(step, STEP_DEFAULTS) as WrittenDressing['steps'][number]);
  return {
    ...without(dressing, dressingDefaults()),
    ...(dressing.threads.length > 0 ? { threads: dressing.threads.map((thread) => without(thread, { optional: false })) } : {}),
    ...(dressing.weights.length > 0 ? { weights: dressing.weights.map((weight) => without(weight, WEIGHT_DEFAULTS)) } : {}),
    ...(dressing.assemblies.length > 0 ? { assemblies: dressing.assemblies.map((assembly) => ({ ...without(assembly, { spare: 0 }), steps: steps(assembly.steps) })) } : {}),
    parts: dressing.parts.map((part) => without(part, PART_DEFAULTS)),
    steps: steps(dressing.steps),
  } as WrittenDressing;
}
