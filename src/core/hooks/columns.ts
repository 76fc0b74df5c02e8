import type { BendId, WireId } from '@/catalogue/ids';
import { usualBead } from './bead';
import { modelKey, type Hook } from './hook';
import { reads, readsGape } from './scale';

const BEND_ORDER: readonly BendId[] = ['round', 'wide', 'curved-shank', 'continuous-curve', 'jig'];
/** The range that no maker sells. */
const MAKERLESS = 'reference';
export const WIRE_ORDER: readonly WireId[] = ['light', 'standard', 'heavy'];

/** Where a dimension stands in a row of `table`, and how many there are. */
export const SHANK_AT = 0;
export const EYE_AT = 1;
export const WIRE_AT = 2;
export const GAPE_AT = 3;
/** The stocked bead that a style with one takes on the hook. */
export const BEAD_AT = 4;
export const STRIDE = 5;

/** Least and most X of a shape; beyond them a hook counts as the last. */
const X_LEAST = -4;
const X_MOST = 8;

/** How many numbers a hook is longer than its gape asks, whole: its X as measured, not as labelled. Source: formulas §1. */
export function xOf(shankMm: number, gapeMm: number): number {
  return Math.max(X_LEAST, Math.min(X_MOST, Math.round(readsGape(gapeMm) - reads(shankMm))));
}

/** Bend, wire class and X in one number. */
function shapeOf(bend: BendId, wire: WireId, x: number): number {
  return (
    (BEND_ORDER.indexOf(bend) * WIRE_ORDER.length + WIRE_ORDER.indexOf(wire)) * (X_MOST - X_LEAST + 1) + x - X_LEAST
  );
}

/** What is worked out once for every shape, in the order `shape` counts them. */
export function ofEveryShape<T>(work: (bend: BendId, wire: WireId, x: number) => T): T[] {
  const xs = Array.from({ length: X_MOST - X_LEAST + 1 }, (_, place) => place + X_LEAST);
  return BEND_ORDER.flatMap((bend) => WIRE_ORDER.flatMap((wire) => xs.map((x) => work(bend, wire, x))));
}

/** Hooks as one typed table, models side by side, so that a whole catalogue is ranked in one pass. Millimetres. */
export interface HookColumns {
  /** In the order of the rows. */
  hooks: readonly Hook[];
  /** Five dimensions a row, side by side: read together, they are found together. */
  table: Float64Array;
  /** Bend, wire class and X in one number (`shapeOf`). */
  shape: Uint8Array;
  barbless: Uint8Array;
  /** 1 for hooks of the reference range, which nobody sells. */
  makerless: Uint8Array;
  retired: Uint8Array;
  anyRetired: boolean;
  /** Place among all ids in order: the last key of every ranking. */
  byId: Int32Array;
  maker: Int32Array;
  model: Int32Array;
  makers: string[];
  models: string[];
  /** First row of every model, and the end of the last. */
  starts: Int32Array;
  at: ReadonlyMap<string, number>;
}

const packed = new WeakMap<readonly Hook[], HookColumns>();

/** The columns of a list of hooks; the same list is packed once. */
export function columnsOf(hooks: readonly Hook[]): HookColumns {
  const known = packed.get(hooks);
  if (known) return known;
  const columns = pack(hooks);
  packed.set(hooks, columns);
  return columns;
}

/** Places of the distinct values of a list, in the order they first stand in it. */
function places(values: readonly string[]): { names: string[]; of: Int32Array } {
  const names = new Map<string, number>();
  const of = Int32Array.from(values, (value) => {
    const place = names.get(value) ?? names.size;
    names.set(value, place);
    return place;
  });
  return { names: [...names.keys()], of };
}

function pack(unordered: readonly Hook[]): HookColumns {
  const groups = new Map<string, Hook[]>();
  for (const hook of unordered) {
    const group = groups.get(modelKey(hook));
    if (group) group.push(hook);
    else groups.set(modelKey(hook), [hook]);
  }
  const hooks = [...groups.values()].flat();
  const byId = new Int32Array(hooks.length);
  const ids = hooks.map((hook) => hook.id);
  Array.from(ids.keys())
    .sort((a, b) => (ids[a]! < ids[b]! ? -1 : ids[a]! > ids[b]! ? 1 : 0))
    .forEach((row, place) => {
      byId[row] = place;
    });
  const starts = new Int32Array(groups.size + 1);
  [...groups.values()].forEach((group, index) => {
    starts[index + 1] = starts[index]! + group.length;
  });
  const makers = places(hooks.map((hook) => hook.maker));
  const models = places(hooks.map(modelKey));
  return {
    hooks,
    table: Float64Array.from(
      hooks.flatMap((hook) => [
        hook.shank.value,
        hook.eyeOuter.value,
        hook.wireDiameter.value,
        hook.gape.value,
        usualBead(hook.gape.value, hook.bend),
      ]),
    ),
    shape: Uint8Array.from(hooks, (hook) => shapeOf(hook.bend, hook.wire, xOf(hook.shank.value, hook.gape.value))),
    makerless: Uint8Array.from(hooks, (hook) => (hook.maker === MAKERLESS ? 1 : 0)),
    barbless: Uint8Array.from(hooks, (hook) => (hook.barb === 'none' ? 1 : 0)),
    retired: Uint8Array.from(hooks, (hook) => (hook.retired ? 1 : 0)),
    anyRetired: hooks.some((hook) => hook.retired),
    byId,
    maker: makers.of,
    model: models.of,
    makers: makers.names,
    models: models.names,
    starts,
    at: new Map(ids.map((id, row) => [id, row])),
  };
}
