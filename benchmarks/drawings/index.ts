import { chance, type Chance } from '../../src/standins/camera/chance';
import { photographed, type Drawing, type Scene } from './drawing';
import { stroked } from './stroked';
import { downWinged, dun, hairLegged, spent } from './winged';

export { CORNERS, type Scene } from './drawing';

/** Half of them duns and spinners with tails. */
const HANDS: readonly ((dice: Chance) => Drawing)[] = [
  stroked,
  dun,
  spent,
  downWinged,
  stroked,
  dun,
  spent,
  hairLegged,
];
const SEED = 7919;

/** The drawing of a number, on its card. */
export function sceneOf(seed: number): Scene {
  const dice = chance(seed * SEED);
  return photographed(HANDS[seed % HANDS.length]!(dice), dice);
}
