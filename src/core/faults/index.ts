export { benchFaults, cardOnHook, type BenchCatalogue } from './bench-faults';
export { dressingFaults } from './dressing-faults';
