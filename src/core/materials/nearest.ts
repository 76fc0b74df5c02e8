import { deltaE, labOfHex, type Lab } from '../colour';
import type { MaterialShade } from './material';

/** The shade of a list that comes nearest to a colour, and how far it lies; null of none. */
export function nearestShade<S extends Pick<MaterialShade, 'id' | 'hex'>>(
  shades: readonly S[],
  lab: Lab,
): { shade: S; apart: number } | null {
  let best: { shade: S; apart: number } | null = null;
  for (const shade of shades) {
    const apart = deltaE(labOfHex(shade.hex), lab);
    if (!best || apart < best.apart) best = { shade, apart };
  }
  return best;
}
