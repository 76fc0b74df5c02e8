import type { BarbId, BendId, EyeId, PointId, Source, WireId } from '@/catalogue/ids';
import { NUMBER_STEP, SD_STEPS } from '../constants';
import { isAbout, type Quantity } from '../quantity';
import { hookMass, wireClass } from './scale';
import { labelDimensions, type XLabelSchool } from './label-dimensions';

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
  labels: 'bigger-smaller' | 'bigger-bigger';
  shankMm: number | null;
  gapeMm: number | null;
  biteMm: number | null;
  wireMm: number | null;
  eyeMm: number | null;
  massMg: number | null;
  source: Source;
}

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

/**
 * Fills what a row leaves out from its label (formulas §6), and classes its wire: by the wire's own measure where there is
 * one, else by the label. Null when the row has no shank and its label cannot be read.
 */
export function hookFromRow(row: HookRow, school: XLabelSchool): Hook | null {
  const label = labelDimensions(row.size, row.xLong, row.xHeavy, school);
  const estimated: HookDimension[] = [];
  const take = (name: HookDimension, own: number | null, guess: number | null): Quantity | null => {
    const source: Source = own === null ? 'label' : row.source;
    const value = own ?? guess;
    if (value === null) return null;
    if (isAbout(source)) estimated.push(name);
    return { value, sd: value * NUMBER_STEP * (isAbout(source) ? SD_STEPS.about : SD_STEPS.known), source };
  };
  const shank = take('shank_mm', row.shankMm, label?.shankMm ?? null);
  const gape = take('gape_mm', row.gapeMm, label?.gapeMm ?? null);
  if (!shank || !gape) return null;
  const wireDiameter = take('wire_mm', row.wireMm, label?.wireMm ?? null);
  const eyeOuter = take('eye_mm', row.eyeMm, label?.eyeMm ?? null);
  if (!wireDiameter || !eyeOuter) return null;
  const bite = take('bite_mm', row.biteMm, gape.value * 0.9)!;
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
    wire: row.wireMm === null ? (row.wire ?? classed) : classed,
    labels: row.labels,
    shank,
    gape,
    bite,
    wireDiameter,
    eyeOuter,
    mass,
    estimated,
  };
}
