import { checkDressing, type Dressing, type DressingFault, type LaysOut } from '../dressings';
import { BENCH_CODE } from '../code';
import { WARNS } from '../bench/bench-shape';
import { benchFaults, cardOnHook, type BenchCatalogue } from './bench-faults';

/** Every fault of a dressing: what its record lacks, and what hands cannot tie on reference hooks over its whole range. Source: formulas §12. */
export function dressingFaults(dressing: Dressing, catalogue: BenchCatalogue): DressingFault[] {
  const laysOut: LaysOut = (item, hook, naturalMm, switched) => {
    const card = cardOnHook(item, { hook, naturalMm }, catalogue, {}, switched);
    return {
      fits: card.fits,
      overMm: card.over?.mm ?? 0,
      part: card.over?.part ?? null,
      sizes: new Map(card.parts.flatMap((part) => (part.mm === null ? [] : [[part.id, part.mm] as const]))),
      gapeMm: card.hook.gape_mm,
      eyeMm: card.hook.eye_mm,
      abdomenMm: card.parts.find((part) => part.part === 'abdomen')?.mm ?? null,
      carryMm: card.hook.carry_mm,
    };
  };
  const record = checkDressing(dressing, catalogue, laysOut);
  // A record that names what is not there cannot be tied at all: that is said first.
  if (record.some((fault) => fault.code === 'material-unknown' || fault.code === 'step-part-unknown')) return record;
  const tied = benchFaults(dressing, catalogue).filter(
    (refusal) =>
      !WARNS.has(refusal.rule) && !(refusal.rule === 'P3' && record.some((fault) => fault.code === 'no-room')),
  );
  return [
    ...record,
    ...tied.map(({ rule, step, part, params }) => ({
      code: `${BENCH_CODE}${rule}`,
      dressing: dressing.id,
      step,
      part,
      params,
    })),
  ];
}
