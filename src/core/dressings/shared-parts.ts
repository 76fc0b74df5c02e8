import type { WeightKind } from '@/catalogue/ids';
import type { Dressing, DressingAssembly, DressingStep } from './dressing';
import { STEP_DEFAULTS } from './complete-dressing';
import { addPart } from './add-part';
import { dropPart, setMaterial } from './derive';

export type DressingBundle = Dressing['bundles'][number];

/** An id that none of the others has: the stem, or the stem with a number. */
function freeId(stem: string, taken: readonly string[]): string {
  for (let n = 1; ; n++) {
    const id = n === 1 ? stem : `${stem}-${n}`;
    if (!taken.includes(id)) return id;
  }
}

/** Ties several parts from one bunch: all take the material of the first. The dressing itself where fewer than two are named or the first has no material. */
export function addBundle(dressing: Dressing, parts: readonly string[]): Dressing {
  const first = dressing.parts.find((part) => part.id === parts[0]);
  if (parts.length < 2 || !first || first.material === null) return dressing;
  const bundle: DressingBundle = {
    id: freeId(
      first.id,
      dressing.bundles.map((item) => item.id),
    ),
    material: first.material,
    parts: [...parts],
    unit: first.unit,
    amount: first.count,
  };
  return inBundle({ ...dressing, bundles: [...dressing.bundles, bundle] }, bundle);
}

function inBundle(dressing: Dressing, { parts, material }: DressingBundle): Dressing {
  return parts.reduce(
    (all, id) =>
      all.parts.find((part) => part.id === id)?.material === material ? all : setMaterial(all, id, material),
    dressing,
  );
}

/** A bunch with other parts, or another amount; with fewer than two parts it is no bunch any more. Parts that join take its material. */
export function setBundle(
  dressing: Dressing,
  id: string,
  more: Partial<Omit<DressingBundle, 'id' | 'material'>>,
): Dressing {
  const changed = dressing.bundles
    .map((bundle) => (bundle.id === id ? { ...bundle, ...more } : bundle))
    .filter((bundle) => bundle.parts.length > 1);
  const bundle = changed.find((item) => item.id === id);
  return bundle ? inBundle({ ...dressing, bundles: changed }, bundle) : { ...dressing, bundles: changed };
}

/** What a part's colour is seen through, from the bottom up; nothing takes its layers away. */
export function setLayers(dressing: Dressing, part: string, from_under: readonly string[]): Dressing {
  const rest = dressing.layers.filter((layer) => layer.part !== part);
  if (from_under.length === 0) return { ...dressing, layers: rest };
  const place = dressing.layers.findIndex((layer) => layer.part === part);
  const layer = { part, from_under: [...from_under] };
  return {
    ...dressing,
    layers: place < 0 ? [...rest, layer] : dressing.layers.map((item, index) => (index === place ? layer : item)),
  };
}

const FIRST_HELD: ReadonlySet<string> = new Set(['bind', 'catch-in', 'post', 'loop']);

/**
 * Makes a part beforehand: an assembly of one step to go on from, used by the first step that ties the part in, or by a new one
 * before the head where no step does.
 */
export function addAssembly(dressing: Dressing, part: string, name: string): Dressing {
  const own = dressing.parts.find((item) => item.id === part);
  if (!own) return dressing;
  const id = freeId(
    part,
    dressing.assemblies.map((item) => item.id),
  );
  const assembly: DressingAssembly = {
    id,
    name,
    part,
    count: 1,
    spare: 1,
    steps: [{ ...STEP_DEFAULTS, mend: [], do: 'bind', part, material: own.material }],
  };
  const at = dressing.steps.findIndex((step) => step.part === part && FIRST_HELD.has(step.do));
  const last = dressing.steps.findIndex((step) => step.do === 'finish');
  const tied: DressingStep = { ...STEP_DEFAULTS, mend: [], do: 'bind', part, material: own.material, assembly: id };
  const steps =
    at >= 0
      ? dressing.steps.map((step, index) => (index === at ? { ...step, assembly: id } : step))
      : [...dressing.steps.slice(0, Math.max(0, last)), tied, ...dressing.steps.slice(Math.max(0, last))];
  return { ...dressing, assemblies: [...dressing.assemblies, assembly], steps };
}

/** An assembly with something changed. */
export function setAssembly(
  dressing: Dressing,
  id: string,
  more: Partial<Omit<DressingAssembly, 'id' | 'part'>>,
): Dressing {
  return { ...dressing, assemblies: dressing.assemblies.map((item) => (item.id === id ? { ...item, ...more } : item)) };
}

/** A dressing without an assembly; the step that used it ties the part in as it comes. */
export function dropAssembly(dressing: Dressing, id: string): Dressing {
  return {
    ...dressing,
    assemblies: dressing.assemblies.filter((item) => item.id !== id),
    steps: dressing.steps.map((step) => (step.assembly === id ? { ...step, assembly: null } : step)),
  };
}

/** Another thread in place of one: the parts, steps and layers that were made with it take it too. */
export function setThread(dressing: Dressing, index: number, material: string): Dressing {
  const before = dressing.threads[index]!.material;
  const swap = <T extends { material: string | null }>(item: T): T =>
    item.material === before ? { ...item, material } : item;
  return {
    ...dressing,
    threads: dressing.threads.map((thread, at) => (at === index ? { ...thread, material } : thread)),
    parts: dressing.parts.map(swap),
    steps: dressing.steps.map(swap),
    assemblies: dressing.assemblies.map((item) => ({ ...item, steps: item.steps.map(swap) })),
    layers: dressing.layers.map((layer) => ({
      ...layer,
      from_under: layer.from_under.map((item) => (item === before ? material : item)),
    })),
  };
}

/** Weight laid on with the part and the steps that lay it, as the library does; a heavier hook needs neither. */
export function addWeight(dressing: Dressing, kind: WeightKind, library: readonly Dressing[]): Dressing {
  const plain: Dressing['weights'][number] = {
    kind,
    metal: null,
    bead_kind: null,
    diameter_mm: null,
    turns: null,
    cover: null,
    lock: null,
  };
  if (kind === 'hook-wire') return { ...dressing, weights: [...dressing.weights, plain] };
  const laid = addPart(dressing, kind === 'bead' ? 'bead' : 'weight', library);
  const fresh = laid.weights.slice(dressing.weights.length);
  return {
    ...laid,
    weights: [...dressing.weights, ...(fresh.length > 0 ? fresh.map((weight) => ({ ...weight, kind })) : [plain])],
  };
}

/** Weight taken off, with the part and the steps that laid it. */
export function dropWeight(dressing: Dressing, index: number): Dressing {
  const { kind } = dressing.weights[index]!;
  const part =
    kind === 'hook-wire'
      ? undefined
      : dressing.parts.find((item) => item.part === (kind === 'bead' ? 'bead' : 'weight'));
  return part
    ? dropPart(dressing, part.id)
    : { ...dressing, weights: dressing.weights.filter((_, at) => at !== index) };
}
