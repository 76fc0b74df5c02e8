import type { BarbId, BarbRuleId, BendId, EyeId, WireId } from '@/catalogue/ids';
import { JIG_BEAD_SHARE, NUMBER_STEP, SUIT } from '../constants';
import {
  BEAD_AT,
  bendCost,
  EYE_AT,
  eyeShare,
  GAPE_AT,
  ofEveryShape,
  pathFactor,
  STRIDE,
  SHANK_AT,
  WIRE_AT,
  wireCost,
  type HookColumns,
} from '../hooks';
import { carryOn, meantFor, placeOf, scoreHook, type StyleInUse } from '../hook-score';

/** Kinds of hook that are looked for; null for any. */
export interface HookKinds {
  bend: BendId | null;
  wire: WireId | null;
  barb: BarbId | null;
  eye: EyeId | null;
}

export const ANY_KIND: HookKinds = { bend: null, wire: null, barb: null, eye: null };

/** Whether a hook is of the kinds that are looked for. */
export function isOfKind(
  { bend, wire, barb, eye }: HookKinds,
  hook: { bend: BendId; wire: WireId; barb: BarbId; eye: EyeId },
): boolean {
  return (
    (bend === null || hook.bend === bend) &&
    (wire === null || hook.wire === wire) &&
    (barb === null || hook.barb === barb) &&
    (eye === null || hook.eye === eye)
  );
}

/** What the hooks of a catalogue are asked for. Lengths mm. */
export interface HooksAsked {
  use: StyleInUse;
  targetMm: number;
  bodyWidthMm: number;
  barbRule: BarbRuleId;
  makers: readonly string[];
  /** Hooks owned, by id. */
  owned: Readonly<Record<string, number>>;
  onlyOwned: boolean;
  /** Kinds that are looked for; any where it is left out. */
  kinds?: HookKinds;
  pin: string | null;
  /** Shortest shank worth tying on, 0 for any. */
  leastShankMm: number;
  /** se/mean of the natural: how wide the band of equally good hooks is. */
  relativeSe: number;
  /** Hatch SD/mean: how a box is split over sizes. */
  relativeHatchSd: number;
}

export interface RankedHooks {
  /** Rows of the columns, best first; the pinned one before all. */
  order: number[];
  /** Best row of every model and maker in the columns' order, −1 where none is left. */
  bestOfModel: Int32Array;
  bestOfMaker: Int32Array;
  /** Cost of the best row of every model, number steps; infinite where none is left. */
  modelSteps: Float64Array;
  /** Least cost of all, −1 where none is left. */
  nearest: number;
  giant: boolean;
}

/** Steps within which hooks count as equally good, wider where the length is less certain. */
export function bandSteps(relativeSe: number): number {
  return Math.max(SUIT.bandSteps, relativeSe / NUMBER_STEP);
}

/** Rows of the hooks owned. */
function ownedRows(columns: HookColumns, owned: HooksAsked['owned']): number[] {
  return Object.entries(owned).flatMap(([id, count]) => (count > 0 ? (columns.at.get(id) ?? []) : []));
}

function rowOf(columns: HookColumns, id: string | null): number {
  return id === null ? -1 : (columns.at.get(id) ?? -1);
}

/** 1 for every row that no filter leaves out: makers, the drawer, the water's barb rule, what is no longer sold, what is too small to tie, kinds. Null where nothing is filtered. */
function mask(columns: HookColumns, asked: HooksAsked): Uint8Array | null {
  const { barbless, retired, maker, makers, table, hooks } = columns;
  const onlyBarbless = asked.barbRule === 'barbless';
  const kinds = asked.kinds && Object.values(asked.kinds).some((kind) => kind !== null) ? asked.kinds : null;
  if (
    asked.makers.length === 0 &&
    !asked.onlyOwned &&
    !onlyBarbless &&
    asked.leastShankMm === 0 &&
    !columns.anyRetired &&
    !kinds
  )
    return null;
  const wanted = Uint8Array.from(makers, (name) => (asked.makers.length === 0 || asked.makers.includes(name) ? 1 : 0));
  const owned = new Uint8Array(maker.length);
  for (const row of ownedRows(columns, asked.owned)) owned[row] = 1;
  const keep = new Uint8Array(maker.length);
  const [stride, shankAt] = [STRIDE, SHANK_AT];
  for (let row = 0; row < keep.length; row++) {
    if (
      wanted[maker[row]!] === 0 ||
      table[row * stride + shankAt]! < asked.leastShankMm ||
      (onlyBarbless && barbless[row] === 0) ||
      (owned[row] === 0 && (asked.onlyOwned || retired[row] === 1)) ||
      (kinds && !isOfKind(kinds, hooks[row]!))
    )
      continue;
    keep[row] = 1;
  }
  return keep;
}

/** Whether a row passes the filters and is of a bend the style is meant for; a pin always is. */
export function keeps(columns: HookColumns, asked: HooksAsked): (row: number) => boolean {
  const keep = mask(columns, asked);
  const pin = rowOf(columns, asked.pin);
  return (row) =>
    row === pin || ((keep === null || keep[row] === 1) && meantFor(asked.use.style, columns.hooks[row]!.bend));
}

/** What ranking writes for every row and model, kept from one ranking to the next: a catalogue is ranked again at every key. */
interface Scratch {
  /** Cost of a row, number steps; infinite where it is left out. */
  steps: Float64Array;
  bestOfModel: Int32Array;
  /** What rows are put in order by, the least first. */
  key: Float64Array;
  /** How many rows of each of the four classes cost so many sixteenths of a step. */
  tally: Uint32Array;
  /** Least cost of each class, infinite where it has none. */
  least: Float64Array;
  /** Row of the least cost, −1 where none is left, and the most that any carries. */
  nearest: number;
  longest: number;
  /** Two sizes of a model cost the same. */
  ties: boolean;
}

const TALLIES = 1024;
const PER_STEP = 16;
/** Classes of a row: inside the fly's list of hooks or outside it, sold or of the range that nobody sells. */
const OUTSIDE = 1;
const MAKERLESS = 2;
const CLASSES = 4;
const CLASS_ROOM = TALLIES + 1;
const scratches = new WeakMap<HookColumns, Scratch>();

function scratchOf(columns: HookColumns): Scratch {
  const known = scratches.get(columns) ?? {
    steps: new Float64Array(columns.hooks.length),
    bestOfModel: new Int32Array(columns.models.length),
    key: new Float64Array(columns.hooks.length),
    tally: new Uint32Array(CLASSES * CLASS_ROOM),
    least: new Float64Array(CLASSES),
    nearest: -1,
    longest: 0,
    ties: false,
  };
  scratches.set(columns, known);
  return known;
}

/** Numbers a shape is described by. */
const TERMS = 5;

/** What a fly makes of every bend, wire class and X: factor of the shank, of the eye, of a jig's bead, what they cost, and whether it is outside the list. */
function termsOf(use: StyleInUse): Float64Array {
  const { style, pathShare, reading } = use;
  return Float64Array.from(
    ofEveryShape((bend, wire, x) => {
      const at = placeOf(use, bend, x);
      const path = meantFor(style, bend) ? pathFactor(style, bend)! * pathShare : 0;
      return [
        path,
        eyeShare(style, bend, reading),
        bend === 'jig' ? JIG_BEAD_SHARE : 0,
        bendCost(at.place) + wireCost(wire, at.wire),
        at.place < 0 ? OUTSIDE : 0,
      ];
    }).flat(),
  );
}

/** Where the series of the logarithm holds: ((r − 1)/(r + 1))² at twice the target. */
const NEAR = 1 / 9;

/** Cost of every row and the best of every model: the hot loop, in which nothing else is. */
function costAll(
  columns: HookColumns,
  terms: Float64Array,
  { use, targetMm, bodyWidthMm }: HooksAsked,
  keep: Uint8Array | null,
  scratch: Scratch,
): void {
  const { table, shape, starts, makerless } = columns;
  const { steps, bestOfModel, tally, least: leastOfClass } = scratch;
  // A bundler turns an imported name into a look-up: these are taken out of the loop.
  const [stride, shankAt, eyeAt, wireAt, gapeAt, beadAt] = [STRIDE, SHANK_AT, EYE_AT, WIRE_AT, GAPE_AT, BEAD_AT];
  const beadMm = use.bead === null ? 0 : (use.bead.diameter_mm ?? -1);
  const perStep = 1 / NUMBER_STEP;
  const { clearEnough, clearCost } = SUIT;
  const crowded = 2 * (1 - clearEnough);
  const models = bestOfModel.length;
  const seatEyes = use.seatEyes;
  tally.fill(0);
  leastOfClass.fill(Infinity);
  let ties = false;
  let nearest = -1;
  let least = Infinity;
  let longest = 0;
  let last = -1;
  let path = 0;
  let head = 0;
  let jig = 0;
  let fixed = 0;
  let outside = 0;
  for (let place = 0; place < models; place++) {
    const end = starts[place + 1]!;
    let best = -1;
    let bestCost = Infinity;
    for (let row = starts[place]!, at = row * stride; row < end; row++, at += stride) {
      const now = shape[row]!;
      if (now !== last) {
        last = now;
        path = terms[now * TERMS]!;
        head = terms[now * TERMS + 1]!;
        jig = terms[now * TERMS + 2]!;
        fixed = terms[now * TERMS + 3]!;
        outside = terms[now * TERMS + 4]!;
      }
      if (path === 0 || (keep !== null && keep[row] === 0)) {
        steps[row] = Infinity;
        continue;
      }
      const ball = beadMm < 0 ? table[at + beadAt]! : beadMm;
      const neck = jig * ball - seatEyes * table[at + eyeAt]!;
      const carry = path * table[at + shankAt]! + head * table[at + eyeAt]! + (neck > 0 ? neck : 0);
      const ratio = carry / targetMm;
      const z = (ratio - 1) / (ratio + 1);
      const y = z * z;
      // ln as a series of the inverse hyperbolic tangent, to 1e-9 between a half and twice the target; beyond that as it is.
      const ln =
        y < NEAR
          ? 2 *
            z *
            (1 + y * (1 / 3 + y * (1 / 5 + y * (1 / 7 + y * (1 / 9 + y * (1 / 11 + y * (1 / 13 + y * (1 / 15))))))))
          : Math.log(ratio);
      const thick = (ball > bodyWidthMm ? ball : bodyWidthMm) - table[at + wireAt]!;
      let cost = (ln < 0 ? -ln : ln) * perStep + fixed;
      if (thick > crowded * table[at + gapeAt]!)
        cost += clearCost * (clearEnough - 1 + thick / (2 * table[at + gapeAt]!));
      steps[row] = cost;
      const sixteenths = cost * PER_STEP;
      const kind = outside + 2 * makerless[row]!;
      tally[kind * CLASS_ROOM + (sixteenths < TALLIES ? sixteenths | 0 : TALLIES)]!++;
      if (cost < leastOfClass[kind]!) leastOfClass[kind] = cost;
      if (carry > longest) longest = carry;
      if (cost < bestCost) {
        best = row;
        bestCost = cost;
      } else if (cost === bestCost) ties = true;
    }
    bestOfModel[place] = best;
    if (bestCost < least) {
      least = bestCost;
      nearest = best;
    }
  }
  scratch.nearest = nearest;
  scratch.longest = longest;
  scratch.ties = ties;
}

/** What a row carries, mm: for the few that are compared by it. */
function carryReader({ table, shape }: HookColumns, terms: Float64Array, { use }: HooksAsked): (row: number) => number {
  const beadMm = use.bead === null ? 0 : (use.bead.diameter_mm ?? -1);
  const [stride, shankAt, eyeAt, beadAt] = [STRIDE, SHANK_AT, EYE_AT, BEAD_AT];
  return (row) => {
    const at = row * stride;
    const now = shape[row]! * TERMS;
    const eye = table[at + eyeAt]!;
    return (
      terms[now]! * table[at + shankAt]! +
      terms[now + 1]! * eye +
      Math.max(0, terms[now + 2]! * (beadMm < 0 ? table[at + beadAt]! : beadMm) - use.seatEyes * eye)
    );
  };
}

/** Before every cost there is: an owned hook in the band; after every cost, one that nobody sells; after all of these, one outside the list. */
const OWNED_FIRST = 1e6;
const MAKERLESS_LAST = 1e5;
const OUTSIDE_LAST = 4e6;

/** What is added to the cost of each class: where a listed hook is near, those outside follow; where one that is sold is in the band, those that nobody sells do. */
function demotions(least: Float64Array, band: number): Float64Array {
  const listed = Math.min(least[0]!, least[MAKERLESS]!) <= SUIT.noneFitsOver;
  const sold = Math.min(least[0]!, listed ? Infinity : least[OUTSIDE]!) <= band;
  return Float64Array.from(
    { length: CLASSES },
    (_, kind) => (kind & OUTSIDE && listed ? OUTSIDE_LAST : 0) + (kind & MAKERLESS && sold ? MAKERLESS_LAST : 0),
  );
}

/**
 * Ranks a whole catalogue for one natural: filter, carry and cost of every hook, the best `top` in order by selection, the nearest
 * of every model and maker. Order: of the fly's list, owned and in the band, sold, then cost, then length, then id; a giant takes the longest. Source: formulas §3, §4.
 */
export function rankHooks(columns: HookColumns, asked: HooksAsked, top: number): RankedHooks {
  const { maker, model, byId, hooks } = columns;
  const scratch = scratchOf(columns);
  const { steps, key, least } = scratch;
  const { shape, makerless } = columns;
  const terms = termsOf(asked.use);
  costAll(columns, terms, asked, mask(columns, asked), scratch);
  const pin = rowOf(columns, asked.pin);
  if (pin >= 0) {
    const { use, targetMm, bodyWidthMm } = asked;
    const alone = scoreHook(hooks[pin]!, use, { targetMm, bodyWidthMm }, 0, true)!;
    steps[pin] = alone.steps!;
    if (scratch.nearest < 0 || steps[pin]! < steps[scratch.nearest]!) scratch.nearest = pin;
    scratch.longest = Math.max(scratch.longest, alone.carry_mm);
  }
  const { nearest, longest, tally } = scratch;
  const giant = nearest >= 0 && longest < SUIT.giantBelow * asked.targetMm;
  const read = carryReader(columns, terms, asked);
  const carryOf = (row: number) => (row === pin ? carryOn(hooks[pin]!, asked.use, true)!.carryMm : read(row));
  const offOf = (row: number) => Math.abs(Math.log(carryOf(row) / asked.targetMm));
  const tied = (a: number, b: number) => {
    const off = offOf(a) - offOf(b);
    return off === 0 ? byId[a]! < byId[b]! : off < 0;
  };
  // What rows are put in order by, the least first: their cost, owned ones of the band before it all; of a giant, what they carry.
  const band = nearest < 0 ? 0 : steps[nearest]! + bandSteps(asked.relativeSe);
  const near = ownedRows(columns, asked.owned).filter((row) => steps[row]! <= band);
  const added = demotions(least, band);
  const demoted = !giant && added.some((value) => value > 0);
  if (giant) for (let row = 0; row < key.length; row++) key[row] = steps[row] === Infinity ? Infinity : -carryOf(row);
  else if (demoted) {
    const outside = Uint8Array.from({ length: terms.length / TERMS }, (_, at) => terms[at * TERMS + 4]!);
    for (let row = 0; row < key.length; row++)
      key[row] = steps[row]! + added[outside[shape[row]!]! + 2 * makerless[row]!]!;
  } else key.set(steps);
  if (!giant) for (const row of near) key[row]! -= OWNED_FIRST;
  const first = (a: number, b: number) => key[a]! < key[b]! || (key[a] === key[b] && tied(a, b));

  const bestOfModel = Int32Array.from(scratch.bestOfModel);
  const rival = (row: number) => {
    const best = bestOfModel[model[row]!]!;
    if (key[row] !== Infinity && row !== best && (best < 0 || first(row, best))) bestOfModel[model[row]!] = row;
  };
  if (giant || demoted || scratch.ties) for (let row = 0; row < key.length; row++) rival(row);
  else (pin < 0 ? near : [...near, pin]).forEach(rival);
  const bestOfMaker = new Int32Array(columns.makers.length).fill(-1);
  const modelSteps = new Float64Array(bestOfModel.length);
  for (let place = 0; place < bestOfModel.length; place++) {
    const best = bestOfModel[place]!;
    modelSteps[place] = best < 0 ? Infinity : steps[best]!;
    if (best < 0) continue;
    const other = bestOfMaker[maker[best]!]!;
    if (other < 0 || first(best, other)) bestOfMaker[maker[best]!] = best;
  }
  const order = firstOf(
    key,
    Math.min(top, key.length),
    giant ? leastOf(key, top) : edgeOf(tally, added, key, top),
    first,
  );
  if (pin >= 0) {
    const stands = order.indexOf(pin);
    if (stands >= 0) order.splice(stands, 1);
    order.unshift(pin);
  }
  return { order, bestOfModel, bestOfMaker, modelSteps, nearest, giant };
}

/** Models that have a hook left, by their best, the nearest first; places in the columns. */
export function modelsInOrder(
  columns: HookColumns,
  { bestOfModel, modelSteps }: Pick<RankedHooks, 'bestOfModel' | 'modelSteps'>,
): number[] {
  const models = Array.from(bestOfModel.keys()).filter((model) => bestOfModel[model]! >= 0);
  return models.sort(
    (a, b) => modelSteps[a]! - modelSteps[b]! || columns.byId[bestOfModel[a]!]! - columns.byId[bestOfModel[b]!]!,
  );
}

/** A cost that at least `top` rows are below, by the tally of costs. */
function edgeOf(tally: Uint32Array, added: Float64Array, key: Float64Array, top: number): number {
  let sum = 0;
  for (const offset of [...new Set(added)].sort((a, b) => a - b)) {
    for (let place = 0; place < TALLIES; place++) {
      for (let kind = 0; kind < CLASSES; kind++) if (added[kind] === offset) sum += tally[kind * CLASS_ROOM + place]!;
      if (sum >= top) return offset + (place + 1) / PER_STEP;
    }
  }
  return leastOf(key, top);
}

/** The key that `top` rows are not over. */
function leastOf(key: Float64Array, top: number): number {
  return top >= key.length ? Infinity : Float64Array.from(key).sort()[top]!;
}

/** The `top` rows that go first, in order, among those whose key is not over `edge`. */
function firstOf(key: Float64Array, top: number, edge: number, first: (a: number, b: number) => boolean): number[] {
  const rows: number[] = [];
  for (let row = 0; row < key.length; row++) if (key[row]! <= edge && key[row] !== Infinity) rows.push(row);
  return rows.sort((a, b) => (first(a, b) ? -1 : 1)).slice(0, top);
}
