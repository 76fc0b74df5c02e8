import type { Card } from '@/core/tying';
import { chance } from './chance';
import { flyPlan } from './fly';
import type { Scene } from './take-photo';

/** SD of what a part is off its card, as a share, and the most. */
const OFF = { sd: 0.12, short: -0.25, long: 0.3 } as const;

/** A scene of a fly tied from a card by unsteady hands, in any light that a tier would take a picture in; every part is off by chance. */
export function anyFly(seed: number, card: Card): { scene: Scene; off: Record<string, number> } {
  const dice = chance(seed);
  const off = Object.fromEntries(
    card.parts.map(({ id }) => [id, Math.max(OFF.short, Math.min(OFF.long, dice.normal() * OFF.sd))]),
  );
  const plan = flyPlan(
    card,
    off,
    {
      at: [42.8 + dice.between(-5, 5), 27 + dice.between(-2, 2)],
      angle: dice.next() * 2 * Math.PI,
      flip: dice.next() < 0.5,
      heightMm: dice.between(0.8, 3),
    },
    dice,
  );
  const width = Math.round(dice.between(2000, 2800));
  return {
    off,
    scene: {
      seed,
      card: 'wallet',
      insects: [],
      flies: [plan],
      width,
      height: Math.round(width * 0.75),
      tilt: dice.between(0, 25),
      lean: dice.between(0, 2 * Math.PI),
      rotation: dice.pick([0, Math.PI]) + dice.between(-0.2, 0.2),
      fill: dice.between(0.65, 0.85),
      kelvin: dice.between(3000, 7500),
      uneven: dice.between(1, 1.5),
      exposure: dice.between(0.75, 0.97),
      blurPx: dice.between(0.3, 1.2),
      noise: dice.between(0, 2.5),
      shadow: { strength: dice.between(0, 0.35), across: dice.between(0.1, 0.8), soft: dice.between(0.2, 0.8) },
      shade: null,
      background: '#6b5a45',
    },
  };
}
