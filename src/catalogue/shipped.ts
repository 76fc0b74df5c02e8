import type { Dressing, Tool } from '@/core/dressings';
import {
  completeModel,
  referenceRange,
  type Hook,
  type HookRow,
  type ReferenceModel,
  type StageRow,
  type Style,
  type XLabelSchool,
} from '@/core/hooks';
import { readHooksFile } from '@/core/exchange';
import type { Catalogue } from '@/core/answer';
import {
  readWays,
  workOut,
  type Way,
  type WayDressing,
  type WaysCatalogue,
  type WrittenWayDressing,
} from '@/core/ways';
import { tailsFor } from '@/core/naturals';
import caddis from './dressings/caddis.json';
import landAndOthers from './dressings/land-and-others.json';
import mayfly from './dressings/mayfly.json';
import midge from './dressings/midge.json';
import stonefly from './dressings/stonefly.json';
import type { OrderId, StageId } from './ids';
import ids from './ids.json';
import { KNOWN } from './known-ids';
import makers from './makers.json';
import referenceModels from './reference-range.json';
import tools from './tools.json';
import ways from './ways.json';
import { GROUPS } from './key';
import { MATERIALS } from './materials';

export interface Maker {
  id: string;
  name: string;
  xLabel: XLabelSchool;
  habit: string;
}

export const SHIPPED_MAKERS = makers as Maker[];
export const STYLES = ids.styles as Style[];
export const STAGES = ids.stages as StageRow[];
/** The stage that most people know an order by. */
export const faceOf = (order: OrderId): StageId => ids.orders.find((row) => row.id === order)!.face as StageId;

/** The row of a stage. */
export const stageRow = (id: StageId): StageRow => STAGES.find((row) => row.id === id)!;

export { MATERIALS, SHADES, shadesIn } from './materials';

export const TOOLS = tools as Tool[];

/** Ways of work: how each part is made. */
export const WAYS = ways as unknown as readonly Way[];

/** What parts are worked out with. */
export const WORKS: WaysCatalogue = { ways: WAYS, materials: MATERIALS };

/** The shipped library as it is thought of: parts, ways, one order. */
export const WAY_DRESSINGS: readonly WayDressing[] = [mayfly, caddis, stonefly, midge, landAndOthers]
  .flat()
  .map((written) => readWays(written as unknown as WrittenWayDressing).record);

/** The shipped library with its steps. Each passes the schema and the bench: tested, not looked at again here. */
export const DRESSINGS: readonly Dressing[] = WAY_DRESSINGS.map((record) => workOut(record, WORKS).dressing);

/** For each natural a dressing is made for, the tails it may have. */
export function tailsOf(dressing: Pick<Dressing, 'stages' | 'groups'>): readonly (readonly number[])[] {
  return tailsFor(dressing.stages, dressing.groups, GROUPS);
}

const REFERENCE_NAME = SHIPPED_MAKERS.find((maker) => maker.id === 'reference')!.name;

/** Rows of the maker-less range, every dimension a model. */
export const REFERENCE_ROWS: readonly HookRow[] = referenceRange(referenceModels as ReferenceModel[], REFERENCE_NAME);

/** Hooks from rows, model by model; `schoolOf` gives a maker's reading of "2X long". Rows that cannot be read are left out. */
export function hooksFromRows(rows: readonly HookRow[], schoolOf: (maker: string) => XLabelSchool): Hook[] {
  const models = new Map<string, HookRow[]>();
  for (const row of rows) {
    const model = models.get(`${row.maker}:${row.model}`);
    if (model) model.push(row);
    else models.set(`${row.maker}:${row.model}`, [row]);
  }
  return [...models.values()].flatMap((model) => completeModel(model, schoolOf(model[0]!.maker)));
}

/** Hooks of the maker-less range. */
export const REFERENCE_HOOKS: readonly Hook[] = hooksFromRows(REFERENCE_ROWS, () => 'number');

/** Reading of an X label by one of the shipped makers; the plain number otherwise. */
export function shippedSchool(maker: string): XLabelSchool {
  return SHIPPED_MAKERS.find((item) => item.id === maker)?.xLabel ?? 'number';
}

/** Rows of the six demo makers, from the text of hooks.csv. */
export function demoRows(hooksCsv: string): HookRow[] {
  return readHooksFile(hooksCsv, KNOWN).rows;
}

/** A catalogue of the given hooks with the shipped styles, stages, dressings and materials. */
export function catalogueOf(hooks: readonly Hook[]): Catalogue {
  return {
    styles: STYLES,
    stages: STAGES,
    hooks,
    dressings: DRESSINGS,
    materials: MATERIALS,
    ways: WAYS,
    tools: TOOLS,
  };
}
