import { deltaE, labOfHex, stackColour, type Lab, type LayerMaterial } from '../colour';
import { calledHeld, hexHeld, type Held } from './held';

/** A thread or floss laid under a thin skin, and what is seen of the two. */
export interface Underbody {
  id: string;
  name: string;
  hex: `#${string}`;
  dry: `#${string}`;
  wet: `#${string}`;
  /** CIEDE2000 to the colour wanted, in the state that was asked for. */
  deltaE: number;
}

const winds = ({ material: { functions } }: Held) =>
  functions.includes('body.thread') || functions.includes('thread') || functions.includes('body.floss');

/** Threads and flosses to lay under a thin skin, or several that lie over one another, innermost first: the one that brings the colour nearest first; of equals by id. Bright dyes are left out: no reflectance stands for them. Source: formulas §9. */
export function underbodies(
  skins: readonly LayerMaterial[],
  held: readonly Held[],
  { target, wet }: { target: Lab; wet: boolean },
): Underbody[] {
  return held
    .filter((own) => winds(own) && !own.shade?.bright)
    .map((own): Underbody => {
      const hex = hexHeld(own);
      const seen = stackColour([{ hex, transmittance: 0, absorbency: own.material.absorbency }, ...skins]);
      return {
        id: calledHeld(own).id,
        name: calledHeld(own).name,
        hex,
        ...seen,
        deltaE: deltaE(labOfHex(wet ? seen.wet : seen.dry), target),
      };
    })
    .sort((a, b) => a.deltaE - b.deltaE || a.id.localeCompare(b.id));
}
