import { demoRows, hooksFromRows, REFERENCE_ROWS, shippedSchool } from '../src/catalogue';
import { hookId, type Hook } from '../src/core/hooks';

/** A catalogue of `count` hooks in all, under made-up makers: the shipped ones over and over, each copy a little longer or shorter. */
export function manyHooks(hooksCsv: string, count: number): Hook[] {
  const shipped = hooksFromRows([...demoRows(hooksCsv), ...REFERENCE_ROWS], shippedSchool);
  return Array.from({ length: count }, (_, index) => {
    const hook = shipped[index % shipped.length]!;
    const copy = Math.floor(index / shipped.length);
    const factor = 1 + 0.002 * ((copy * 37) % 41) - 0.04;
    const maker = `${hook.maker}-${copy}`;
    return {
      ...hook,
      id: hookId(maker, hook.model, hook.size),
      maker,
      makerName: `${hook.makerName} ${copy}`,
      shank: { ...hook.shank, value: hook.shank.value * factor },
      gape: { ...hook.gape, value: hook.gape.value * (2 - factor) },
    };
  });
}
