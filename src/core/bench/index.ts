export { RULES, WARNS, type BenchHook, type BenchState, type BenchStep, type End, type Made, type PartStanding, type Refusal, type RuleId, type Skin, type Tied, type Waste } from './bench-shape';
export { benchSteps } from './bench-steps';
export { benchFaults, cardOnHook, type BenchCatalogue } from './run';
export { benchHook, tieCard } from './tie-card';
export { tie } from './tie';
export { BENCH_CODE, dressingFaults } from './dressing-faults';
