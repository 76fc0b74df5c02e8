import { deltaE, labOfHex, wetHex, type Lab } from '../colour';
import type { Material } from './material';

/** How far the shades that a material comes in carry it from the one it is shown in, CIEDE2000. Typical. */
const REACH = { few: 15, one: 0 } as const;

/** Lab of a material's colour, dry or wet: the same few are asked for at every key. */
const labs = new Map<string, Lab>();

function labOf({ hex, absorbency }: Material, surface: 'dry' | 'wet'): Lab {
  const key = `${hex} ${absorbency} ${surface}`;
  const known = labs.get(key) ?? labOfHex(surface === 'wet' ? wetHex(hex, absorbency) : hex);
  labs.set(key, known);
  return known;
}

/** How far off a colour a material stays however it is dyed (CIEDE2000), seen as the colour was, dry or wet; 0 where it comes in it. */
export function staysOff(material: Material, wanted: Lab, surface: 'dry' | 'wet'): number {
  return material.shades === 'any' ? 0 : Math.max(0, deltaE(wanted, labOf(material, surface)) - REACH[material.shades]);
}
