import type { HookRow } from './hook';
import { hookMass, referenceEye, referenceGape, referenceShank, referenceWire, throatOf } from './scale';
import { readSizeLabel } from './size-label';

/** A model of the maker-less range: shapes and sizes are data, dimensions come from the scale. `longer` is in numbers. */
export interface ReferenceModel {
  model: string;
  name: string;
  bend: HookRow['bend'];
  eye: HookRow['eye'];
  barb: HookRow['barb'];
  longer: number;
  sizes: string[];
}

/** The maker-less range on the reference scale, every dimension a model. Source: formulas §1. */
export function referenceRange(models: readonly ReferenceModel[], makerName: string): HookRow[] {
  return models.flatMap((model) =>
    model.sizes.flatMap((size) => {
      const label = readSizeLabel(size);
      if (label.kind !== 'number') return [];
      const scaleLength = referenceShank(label.n);
      const shankMm = referenceShank(label.n - model.longer);
      const gapeMm = referenceGape(scaleLength);
      const wireMm = referenceWire(scaleLength);
      const eyeMm = referenceEye(scaleLength);
      return [
        {
          maker: 'reference',
          makerName,
          model: model.model,
          modelName: model.name,
          size,
          bend: model.bend,
          eye: model.eye,
          point: 'straight' as const,
          barb: model.barb,
          wire: 'standard' as const,
          xLong: model.longer,
          xHeavy: 0,
          labels: 'bigger-smaller' as const,
          shankMm,
          gapeMm,
          biteMm: throatOf(gapeMm),
          wireMm,
          eyeMm,
          massMg: hookMass(shankMm, gapeMm, wireMm, eyeMm),
          source: 'model' as const,
        },
      ];
    }),
  );
}
