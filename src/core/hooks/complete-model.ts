import { NUMBER_STEP, SD_STEPS } from '../constants';
import type { Quantity } from '../quantity';
import { hookFromRow, type Hook, type HookRow, type LawDimensions } from './hook';
import { labelDimensions, labelNumber, type LabelDimensions, type XLabelSchool } from './label-dimensions';
import { modelLaw, ratioLaw, type ModelSize } from './model-law';
import { readSizeLabel } from './size-label';

/** Where a size stands on its model's own scale, smaller for a bigger hook; null for free text. */
export function scaleNumber(row: Pick<HookRow, 'size' | 'labels'>): number | null {
  const size = readSizeLabel(row.size);
  return labelNumber(row.size, row.labels) ?? (size.kind === 'number' ? -size.n : null);
}

const KNOWN_SHARE = NUMBER_STEP * SD_STEPS.known;

/** A dimension as it was measured: taped by the tier, or in the row of a file that says so. */
function measured(row: HookRow, name: 'shank' | 'gape' | 'wire'): Quantity | null {
  const taped = row.taped?.[name];
  if (taped) return taped;
  const own = { shank: row.shankMm, gape: row.gapeMm, wire: row.wireMm }[name];
  return own === null || row.source !== 'measured' ? null : { value: own, sd: own * KNOWN_SHARE, source: 'measured' };
}

/** Sizes that a law runs along: those whose label has a number. */
function lawSizes(numbers: readonly (number | null)[], labels: readonly (LabelDimensions | null)[]): ModelSize[] {
  return numbers.flatMap((n, index) => (n === null ? [] : [{ n, labelShankMm: labels[index]?.shankMm ?? null }]));
}

/** Tape one, know the packet: lengths of every size that was not measured, from those that were. Empty while none was. Source: formulas §6. */
function lengthLaw(rows: readonly HookRow[], labels: readonly (LabelDimensions | null)[]): (Quantity | null)[] {
  const none = rows.map(() => null);
  if (!rows.some((row) => measured(row, 'shank'))) return none;
  const numbers = rows.map(scaleNumber);
  const known = rows.flatMap((row, index) => {
    const shank = measured(row, 'shank');
    return numbers[index] === null || !shank
      ? []
      : [{ n: numbers[index]!, shankMm: shank.value, sdMm: shank.sd ?? shank.value * KNOWN_SHARE }];
  });
  const sizes = lawSizes(numbers, labels);
  if (known.length === 0) return none;
  const byNumber = new Map(modelLaw(sizes, known).map((item) => [item.n, item]));
  return numbers.map((n) => {
    const item = n === null ? undefined : byNumber.get(n);
    return item ? { value: item.shankMm, sd: item.sdMm, source: 'model' as const } : null;
  });
}

/** The same for gape or wire, as one ratio to what the labels say. */
function ratioOf(
  rows: readonly HookRow[],
  labels: readonly (LabelDimensions | null)[],
  name: 'gape' | 'wire',
): (Quantity | null)[] {
  const labelled = (index: number) => (name === 'gape' ? labels[index]?.gapeMm : labels[index]?.wireMm) ?? null;
  const pairs = rows.flatMap((row, index) => {
    const own = measured(row, name);
    const labelMm = labelled(index);
    return own && labelMm !== null
      ? [{ labelMm, measuredMm: own.value, sdShare: (own.sd ?? own.value * KNOWN_SHARE) / own.value }]
      : [];
  });
  if (pairs.length === 0) return rows.map(() => null);
  const { ratio, sd } = ratioLaw(pairs);
  return rows.map((_, index) => {
    const labelMm = labelled(index);
    return labelMm === null ? null : { value: labelMm * ratio, sd: labelMm * ratio * sd, source: 'model' as const };
  });
}

function lawsOf(rows: readonly HookRow[], school: XLabelSchool): LawDimensions[] {
  const open = rows.some(
    (row) => row.shankMm === null || row.gapeMm === null || row.wireMm === null || row.source !== 'measured',
  );
  const any = rows.some((row) => row.taped || row.source === 'measured');
  if (!open || !any) return rows.map(() => ({}));
  const labels = rows.map((row) => labelDimensions(row.size, row.xLong, row.xHeavy, school, row.labels));
  const [shank, gape, wire] = [lengthLaw(rows, labels), ratioOf(rows, labels, 'gape'), ratioOf(rows, labels, 'wire')];
  return rows.map((_, index) => ({
    ...(shank[index] ? { shank: shank[index] } : {}),
    ...(gape[index] ? { gape: gape[index] } : {}),
    ...(wire[index] ? { wire: wire[index] } : {}),
  }));
}

/**
 * The hooks of one model from its rows: what was measured stands, and what was not follows from those that were and from the labels,
 * each with its own uncertainty. Rows of which nothing can be read are left out. Source: formulas §6.
 */
export function completeModel(rows: readonly HookRow[], school: XLabelSchool): Hook[] {
  const laws = lawsOf(rows, school);
  return rows.flatMap((row, index) => hookFromRow(row, school, laws[index]) ?? []);
}

/**
 * A size of a model that its maker does not stock, or that is not known of it, between two that are: every dimension along the line
 * of its neighbours. Null outside the range of the model, or where the label cannot be read.
 */
export function betweenSizes(rows: readonly HookRow[], size: string, school: XLabelSchool): Hook | null {
  const [first] = rows;
  const wanted = first ? scaleNumber({ size, labels: first.labels }) : null;
  if (!first || wanted === null) return null;
  const placed = completeModel(rows, school)
    .flatMap((hook) => {
      const n = scaleNumber({ size: hook.size, labels: first.labels });
      return n === null ? [] : [{ n, hook }];
    })
    .sort((a, b) => a.n - b.n);
  const above = placed.findIndex(({ n }) => n > wanted);
  if (above <= 0) return null;
  const [low, high] = [placed[above - 1]!, placed[above]!];
  const share = (wanted - low.n) / (high.n - low.n);
  const along = (a: Quantity, b: Quantity) => a.value ** (1 - share) * b.value ** share;
  return hookFromRow(
    {
      ...first,
      size,
      source: 'model',
      taped: undefined,
      wire: null,
      shankMm: along(low.hook.shank, high.hook.shank),
      gapeMm: along(low.hook.gape, high.hook.gape),
      biteMm: along(low.hook.bite, high.hook.bite),
      wireMm: along(low.hook.wireDiameter, high.hook.wireDiameter),
      eyeMm: along(low.hook.eyeOuter, high.hook.eyeOuter),
      massMg: along(low.hook.mass, high.hook.mass),
    },
    school,
  );
}

/** The law of a model as a table: every size with its shank, ± and where it comes from. */
export function lawTable(rows: readonly HookRow[], school: XLabelSchool): { size: string; shank: Quantity }[] {
  const labels = rows.map((row) => labelDimensions(row.size, row.xLong, row.xHeavy, school, row.labels));
  const numbers = rows.map(scaleNumber);
  const sizes = lawSizes(numbers, labels);
  const prior = sizes.length === 0 ? [] : modelLaw(sizes, []);
  return completeModel(rows, school).map((hook) => {
    const index = rows.findIndex((row) => row.size === hook.size);
    const before = hook.shank.source === 'label' ? prior.find((item) => item.n === numbers[index]) : undefined;
    return { size: hook.size, shank: before ? { ...hook.shank, sd: before.sdMm } : hook.shank };
  });
}
