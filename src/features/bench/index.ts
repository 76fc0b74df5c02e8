export { BenchStep } from './bench-step';
export { CardAssemblies, CardExtras, CardParts, CardSteps, partQuantity } from './card-view';
export { RoomBudget } from './room-budget';
export { SchoolsPanel } from './schools-panel';
export { Stations } from './stations';
export { SwitchRow } from './switch-row';
export { TieScreen } from './tie-screen';
export { KeepCard } from './keep-card';
