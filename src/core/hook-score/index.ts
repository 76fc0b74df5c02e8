export {
  carryOn,
  meantFor,
  NO_NATURAL,
  placeOf,
  scoreHook,
  styleUse,
  type StyleInUse,
  type Wanted,
} from './score-hook';
export type { HookAnswer, Schools, TyingChoices } from './score-shape';
