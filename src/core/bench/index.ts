export {
  RULES,
  WARNS,
  type BenchHook,
  type BenchState,
  type BenchStep,
  type End,
  type Made,
  type PartStanding,
  type Refusal,
  type RuleId,
  type Skin,
  type Tied,
  type Waste,
} from './bench-shape';
export { tieCard } from './tie-card';
