import { CONVERT, NUMBER_STEP } from '../constants';
import { reason, type Reason } from '../code';
import {
  GAPE_AT,
  ofEveryShape,
  STRIDE,
  SHANK_AT,
  WIRE_ORDER,
  wireClassesApart,
  type Hook,
  type HookColumns,
} from '../hooks';
import { NO_NATURAL, scoreHook, type StyleInUse, type HookAnswer } from '../hook-score';

/** What counts most when a hook is looked for in another maker. */
export type ConvertBy = keyof typeof CONVERT.weights;

/** The hook of one maker, or of the drawer, that is nearest another. Differences are its own minus the other's. */
export interface Nearest {
  hook: HookAnswer;
  /** Number steps, 0 for the same in every way that counts. */
  steps: number;
  length_mm: number;
  gape_mm: number;
  wire_mm: number;
  mass_mg: number | null;
  same: { bend: boolean; eye: boolean; barb: boolean };
  close: boolean;
  reasons: Reason[];
}

export interface Converted {
  from: HookAnswer;
  /** Nearest of every other maker, by maker, nearest first. */
  to: Record<string, Nearest>;
  drawer: Nearest | null;
}

interface ConvertAsked {
  by: ConvertBy;
  use: StyleInUse;
  owned: Readonly<Record<string, number>>;
  onlyOwned: boolean;
}

/** Cost of every hook against one, in number steps. */
function costs(from: Hook, { table, shape, hooks }: HookColumns, by: ConvertBy): Float64Array {
  const weight = CONVERT.weights[by];
  const [shankFrom, gapeFrom] = [from.shank.value, from.gape.value];
  const apart = ofEveryShape(
    (bend, wire) => (bend === from.bend ? 0 : CONVERT.otherBend) + weight.wire * wireClassesApart(wire, from.wire),
  );
  const out = new Float64Array(hooks.length);
  const [row5, shankAt, gapeAt] = [STRIDE, SHANK_AT, GAPE_AT];
  for (let row = 0; row < out.length; row++)
    out[row] =
      (weight.length * Math.abs(Math.log(table[row * row5 + shankAt]! / shankFrom)) +
        weight.gape * Math.abs(Math.log(table[row * row5 + gapeAt]! / gapeFrom))) /
        NUMBER_STEP +
      apart[shape[row]!]!;
  return out;
}

/** Why a hook is as near as it is, the largest part first. */
function reasonsOf(from: Hook, to: Hook, steps: number, by: ConvertBy): Reason[] {
  const weight = CONVERT.weights[by];
  const stepsApart = (a: number, b: number) => Math.abs(Math.log(a / b)) / NUMBER_STEP;
  const length = to.shank.value - from.shank.value;
  const gape = to.gape.value - from.gape.value;
  const parts: Reason[] = [];
  const size = (code: string, mm: number, apart: number) => {
    if (Math.abs(mm) >= CONVERT.sameMm)
      parts.push(reason(code, { by: { mm: Math.abs(mm) } }, { steps: apart, evidence: 'theory' }));
  };
  size(
    length > 0 ? 'convert-longer' : 'convert-shorter',
    length,
    weight.length * stepsApart(to.shank.value, from.shank.value),
  );
  size(gape > 0 ? 'convert-wider' : 'convert-narrower', gape, weight.gape * stepsApart(to.gape.value, from.gape.value));
  if (to.wire !== from.wire)
    parts.push(
      reason(
        WIRE_ORDER.indexOf(to.wire) > WIRE_ORDER.indexOf(from.wire) ? 'convert-wire-heavier' : 'convert-wire-lighter',
        { from: { kind: 'wires', id: from.wire }, to: { kind: 'wires', id: to.wire } },
        { steps: weight.wire * wireClassesApart(from.wire, to.wire), evidence: 'seen' },
      ),
    );
  if (to.bend !== from.bend)
    parts.push(
      reason('convert-bend', { to: { kind: 'bends', id: to.bend } }, { steps: CONVERT.otherBend, evidence: 'seen' }),
    );
  parts.sort((a, b) => b.steps! - a.steps!);
  if (to.eye !== from.eye) parts.push(reason('convert-eye', { to: { kind: 'eyes', id: to.eye } }, { steps: 0 }));
  if (to.barb !== from.barb) parts.push(reason('convert-barb', { to: { kind: 'barbs', id: to.barb } }, { steps: 0 }));
  const mg = to.mass.value - from.mass.value;
  if (Math.abs(mg) >= CONVERT.sameMassShare * from.mass.value)
    parts.push(
      reason(mg > 0 ? 'convert-heavier' : 'convert-lighter', { mg: Math.abs(mg) }, { steps: 0, evidence: 'theory' }),
    );
  if (parts.length === 0) parts.push(reason('convert-same', {}, { steps: 0 }));
  if (steps > CONVERT.closeWithin) parts.unshift(reason('convert-not-close', { steps }, { steps, evidence: 'theory' }));
  if (to.estimated.includes('shank_mm'))
    parts.push(reason('hook-about', { source: { kind: 'sources', id: to.shank.source } }, { evidence: 'theory' }));
  return parts;
}

/** A hook by itself, in a style that may not be meant for its bend. */
function alone(hook: Hook, use: StyleInUse, owned: Readonly<Record<string, number>>): HookAnswer {
  return { ...scoreHook(hook, use, NO_NATURAL, owned[hook.id] ?? 0, true)!, pinned: false };
}

function nearestOf(from: Hook, to: Hook, steps: number, { use, owned, by }: ConvertAsked): Nearest {
  return {
    hook: alone(to, use, owned),
    steps,
    length_mm: to.shank.value - from.shank.value,
    gape_mm: to.gape.value - from.gape.value,
    wire_mm: to.wireDiameter.value - from.wireDiameter.value,
    mass_mg: to.mass.value - from.mass.value,
    same: { bend: to.bend === from.bend, eye: to.eye === from.eye, barb: to.barb === from.barb },
    close: steps <= CONVERT.closeWithin,
    reasons: reasonsOf(from, to, steps, by),
  };
}

/**
 * One hook in every other maker, and in the drawer: the least of weighted length and gape, wire classes apart and another bend.
 * Hooks no longer sold count only where they are owned; ties go by id. Source: docs/cli.md, `hooks convert`.
 */
export function convertHook(from: Hook, columns: HookColumns, asked: ConvertAsked): Converted {
  const { hooks, maker, makers, retired, byId } = columns;
  const steps = costs(from, columns, asked.by);
  const best = new Int32Array(makers.length).fill(-1);
  let drawer = -1;
  const before = (a: number, b: number) =>
    b < 0 || steps[a]! < steps[b]! || (steps[a] === steps[b] && byId[a]! < byId[b]!);
  for (let row = 0; row < hooks.length; row++) {
    const hook = hooks[row]!;
    const owned = (asked.owned[hook.id] ?? 0) > 0;
    if (owned && before(row, drawer)) drawer = row;
    if (hook.maker === from.maker || (asked.onlyOwned && !owned) || (retired[row] && !owned)) continue;
    if (before(row, best[maker[row]!]!)) best[maker[row]!] = row;
  }
  const rows = [...best].filter((row) => row >= 0).sort((a, b) => steps[a]! - steps[b]! || byId[a]! - byId[b]!);
  return {
    from: alone(from, asked.use, asked.owned),
    to: Object.fromEntries(rows.map((row) => [hooks[row]!.maker, nearestOf(from, hooks[row]!, steps[row]!, asked)])),
    drawer: drawer < 0 ? null : nearestOf(from, hooks[drawer]!, steps[drawer]!, asked),
  };
}
