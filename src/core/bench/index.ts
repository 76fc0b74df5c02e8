export { RULES, WARNS, type BenchHook, type BenchState, type BenchStep, type End, type Refusal, type RuleId, type Skin, type Tied, type Waste } from './bench-shape';
export { benchSteps } from './bench-steps';
export { benchFaults, benchHook, cardOnHook, tieCard, type BenchCatalogue } from './run';
export { tie } from './tie';
export { BENCH_CODE, dressingFaults } from './dressing-faults';
