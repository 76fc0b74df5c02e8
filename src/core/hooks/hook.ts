import type { BarbId, BendId, EyeId, PointId, Source, WireId } from '@/catalogue/ids';
import { NUMBER_STEP, SD_STEPS } from '../constants';
import { isAbout, type Quantity } from '../quantity';
import {
  dimensionsAt,
  labelDimensions,
  labelNumber,
  numbersLong,
  type LabelDimensions,
  type LabelDirection,
  type XLabelSchool,
} from './label-dimensions';
import { hookMass, reads, readsGape, throatOf, wireClass } from './scale';

/** A row of hooks.csv after reading: cells that were empty are null. Millimetres and milligrams. */
export interface HookRow {
  maker: string;
  makerName: string;
  model: string;
  modelName: string;
  size: string;
  bend: BendId;
  eye: EyeId;
  point: PointId;
  barb: BarbId;
  wire: WireId | null;
  xLong: number;
  xHeavy: number;
  labels: LabelDirection;
  shankMm: number | null;
  gapeMm: number | null;
  biteMm: number | null;
  wireMm: number | null;
  eyeMm: number | null;
  massMg: number | null;
  source: Source;
  /** No longer sold: offered only where it is owned or pinned. */
  retired?: boolean;
  /** Fields of its model that a file did not say: what stands there is only usual, and does not go over what is known. */
  unsaid?: readonly ShapeField[];
  /** What the tier measured of it; goes before everything else. */
  taped?: Partial<Record<'shank' | 'gape' | 'wire', Quantity>>;
}

/** What a file may leave unsaid of a model, because it has a usual. */
export type ShapeField = 'eye' | 'point' | 'barb' | 'xLong' | 'xHeavy' | 'labels';

/** A dimension of a hook that may have been estimated. */
export type HookDimension = 'shank_mm' | 'gape_mm' | 'bite_mm' | 'wire_mm' | 'eye_mm' | 'mass_mg';

/** A hook with every dimension filled, and which of them are not its own. */
export interface Hook {
  id: string;
  maker: string;
  makerName: string;
  model: string;
  modelName: string;
  size: string;
  bend: BendId;
  eye: EyeId;
  point: PointId;
  barb: BarbId;
  wire: WireId;
  labels: HookRow['labels'];
  retired: boolean;
  shank: Quantity;
  gape: Quantity;
  bite: Quantity;
  wireDiameter: Quantity;
  eyeOuter: Quantity;
  mass: Quantity;
  estimated: HookDimension[];
}

/** `maker:model:size` with `/` written `-`. */
export function hookId(maker: string, model: string, size: string): string {
  return `${maker}:${model}:${size.replaceAll('/', '-')}`;
}

/** A hook's model, the part of its id before the size. */
export function modelKey(hook: Pick<Hook, 'maker' | 'model'>): string {
  return `${hook.maker}:${hook.model}`;
}

/** What a model's measured hooks say of one size of it (formulas §6). */
export type LawDimensions = Partial<Record<'shank' | 'gape' | 'wire', Quantity>>;

/**
 * Fills what a row leaves out: what was taped goes first, then the row's own, then the law of its model, then its label, and where
 * the label cannot be read what its own shank or gape reads. Classes its wire: by the wire's own measure where there is one, else by
 * the label. Null when neither a length nor a label can be read. Source: formulas §6.
 */
export function hookFromRow(row: HookRow, school: XLabelSchool, law: LawDimensions = {}): Hook | null {
  const label = labelDimensions(row.size, row.xLong, row.xHeavy, school, row.labels) ?? readFromIron(row, school, law);
  const unread = labelNumber(row.size, row.labels) === null;
  const estimated: HookDimension[] = [];
  const take = (
    name: HookDimension,
    own: number | null,
    guess: number | null,
    taped: Quantity | undefined = undefined,
    lawful: Quantity | undefined = undefined,
  ): Quantity | null => {
    if (taped) return taped;
    if (own === null && lawful) {
      estimated.push(name);
      return lawful;
    }
    const source: Source = own !== null ? row.source : unread ? 'estimated' : 'label';
    const value = own ?? guess;
    if (value === null) return null;
    if (isAbout(source)) estimated.push(name);
    return { value, sd: value * NUMBER_STEP * (isAbout(source) ? SD_STEPS.about : SD_STEPS.known), source };
  };
  const { taped = {} } = row;
  const shank = take('shank_mm', row.shankMm, label?.shankMm ?? null, taped.shank, law.shank);
  const gape = take('gape_mm', row.gapeMm, label?.gapeMm ?? null, taped.gape, law.gape);
  if (!shank || !gape) return null;
  const wireDiameter = take('wire_mm', row.wireMm, label?.wireMm ?? null, taped.wire, law.wire);
  const eyeOuter = take('eye_mm', row.eyeMm, label?.eyeMm ?? null);
  if (!wireDiameter || !eyeOuter) return null;
  const bite = take('bite_mm', row.biteMm, throatOf(gape.value))!;
  const mass = take('mass_mg', row.massMg, hookMass(shank.value, gape.value, wireDiameter.value, eyeOuter.value))!;
  const classed = wireClass(wireDiameter.value, gape.value);
  return {
    id: hookId(row.maker, row.model, row.size),
    maker: row.maker,
    makerName: row.makerName,
    model: row.model,
    modelName: row.modelName,
    size: row.size,
    bend: row.bend,
    eye: row.eye,
    point: row.point,
    barb: row.barb,
    wire: row.wireMm === null && !taped.wire ? (row.wire ?? classed) : classed,
    labels: row.labels,
    retired: row.retired ?? false,
    shank,
    gape,
    bite,
    wireDiameter,
    eyeOuter,
    mass,
    estimated,
  };
}

/** A label that says nothing: the number is then what the iron itself reads, or what its model's law says of it, its X taken off. */
function readFromIron(row: HookRow, school: XLabelSchool, law: LawDimensions): LabelDimensions | null {
  const shankMm = row.taped?.shank?.value ?? row.shankMm ?? law.shank?.value ?? null;
  const gapeMm = row.taped?.gape?.value ?? row.gapeMm;
  if (gapeMm !== null) return dimensionsAt(readsGape(gapeMm), row.xLong, row.xHeavy, school);
  return shankMm === null
    ? null
    : dimensionsAt(reads(shankMm) + numbersLong(row.xLong, school), row.xLong, row.xHeavy, school);
}
