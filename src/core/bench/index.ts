export { RULES, WARNS, type BenchHook, type BenchState, type BenchStep, type End, type Made, type PartStanding, type Refusal, type RuleId, type Skin, type Tied, type Waste } from './bench-shape';
export { benchFaults, cardOnHook, type BenchCatalogue } from './run';
export { tieCard } from './tie-card';
export { BENCH_CODE, dressingFaults } from './dressing-faults';
