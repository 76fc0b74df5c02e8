export { benchFaults, cardOnHook, type BenchCatalogue } from './bench-faults';
export { BENCH_CODE, dressingFaults } from './dressing-faults';
