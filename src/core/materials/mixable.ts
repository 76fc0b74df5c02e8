import { deltaE, labOfHex, type Lab } from '../colour';
import type { BlendShade } from '../colour/blend';
import { calledHeld, hexHeld, type Held } from './held';

/** Something that may go into a blend, with what it is called. */
export interface Mixable extends BlendShade {
  name: string;
}

/** From so much on a fibre shows as flecks of its own and gives nothing to the mix: formulas §9. */
const FLASH = 0.9;

const isFlash = ({ material }: Held) => material.sparkle >= FLASH;
/** Loose fibre that is dubbed on. */
const isLoose = ({ material: { functions, drawn } }: Held) => drawn === 'lock' && functions.includes('body.dubbed');

const mixable = (held: Held): Mixable => ({
  id: calledHeld(held).id,
  name: calledHeld(held).name,
  hex: hexHeld(held),
  absorbency: held.material.absorbency,
  transmittance: held.material.transmittance,
});

/** What of a drawer can be blended: loose fibre that is dubbed, without flash and without bright dyes, whose colour no reflectance stands for. Each once. */
export function mixables(held: readonly Held[]): Mixable[] {
  const known = new Map<string, Mixable>();
  for (const own of held)
    if (isLoose(own) && !isFlash(own) && !own.shade?.bright) known.set(mixable(own).id, mixable(own));
  return [...known.values()];
}

/** The flash nearest to a colour, for flecks; null where there is none. */
export function fleckFor(held: readonly Held[], target: Lab): Mixable | null {
  const flecks = held.filter((own) => isLoose(own) && isFlash(own)).map(mixable);
  const apart = ({ hex }: Mixable) => deltaE(labOfHex(hex), target);
  return flecks.sort((a, b) => apart(a) - apart(b) || a.id.localeCompare(b.id))[0] ?? null;
}
