import type { Source } from '@/catalogue/ids';
import { completeModel, scaleNumber } from '@/core/hooks/complete-model';
import type { Hook, HookRow } from '@/core/hooks/hook';
import { tapedOf } from '@/core/hooks/tape';
import type { MakerRecord } from '../maker/schema';
import type { ModelRecord } from './schema';

/** The model of a hook: `maker:model` of `maker:model:size`. */
export function modelIdOf(id: string): string {
  return id.slice(0, id.lastIndexOf(':'));
}

/** Sizes of a model, the biggest hook first; labels that cannot be read last, by name. */
export function sizesOf(model: ModelRecord): string[] {
  return Object.keys(model.sizes).sort((a, b) => {
    const [one, other] = [a, b].map((size) => scaleNumber({ size, labels: model.labels }));
    if (one === null || other === null) return Number(one === null) - Number(other === null) || a.localeCompare(b);
    return one! - other!;
  });
}

/** The rows of a model as a hooks file has them: its own values, without what was taped. */
export function rowsOf(model: ModelRecord, maker: MakerRecord | undefined): HookRow[] {
  return sizesOf(model).map((size): HookRow => {
    const own = model.sizes[size]!;
    return {
      maker: model.makerId,
      makerName: maker?.name ?? model.makerId,
      model: model.slug,
      modelName: model.name,
      size,
      bend: model.bend,
      eye: model.eye,
      point: model.point,
      barb: model.barb,
      wire: model.wire ?? null,
      xLong: model.xLong,
      xHeavy: model.xHeavy,
      labels: model.labels,
      shankMm: own.shankMm ?? null,
      gapeMm: own.gapeMm ?? null,
      biteMm: own.biteMm ?? null,
      wireMm: own.wireMm ?? null,
      eyeMm: own.eyeMm ?? null,
      massMg: own.massMg ?? null,
      source: own.source as Source,
      ...(model.retired || own.retired || maker?.retired ? { retired: true } : {}),
    };
  });
}

/** What was taped of every size, beside its own row. */
function withTapings(rows: HookRow[], model: ModelRecord, maker: MakerRecord | undefined): HookRow[] {
  const tapings = Object.values(model.tally);
  if (tapings.length === 0) return rows;
  const bare = completeModel(rows, maker?.xLabel ?? 'number');
  return rows.map((row) => {
    const own = tapings.filter((taping) => taping.size === row.size);
    const hook = bare.find((item) => item.size === row.size);
    if (own.length === 0) return row;
    const ends = hook ? { gapeMm: hook.gape.value, wireMm: hook.wireDiameter.value, eyeMm: hook.eyeOuter.value } : null;
    return {
      ...row,
      taped: tapedOf(
        own.map((taping) => ({
          how: taping.how,
          shankMm: taping.shankMm ?? null,
          gapeMm: taping.gapeMm ?? null,
          overallMm: taping.overallMm ?? null,
          wireMm: taping.wireMm ?? null,
        })),
        ends,
      ),
    };
  });
}

const hooksOfModel = new WeakMap<ModelRecord, { maker: MakerRecord | undefined; hooks: Hook[] }>();

/** Hooks of one model, remembered until it or its maker changes. */
export function hooksOf(model: ModelRecord, maker: MakerRecord | undefined): Hook[] {
  const known = hooksOfModel.get(model);
  if (known && known.maker === maker) return known.hooks;
  const hooks = completeModel(withTapings(rowsOf(model, maker), model, maker), maker?.xLabel ?? 'number');
  hooksOfModel.set(model, { maker, hooks });
  return hooks;
}
