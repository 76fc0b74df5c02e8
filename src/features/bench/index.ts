export { BenchStep } from './bench-step';
export { RoomFold, SmallPrintFold, WorkFold } from './card-folds';
export { CardAssemblies, CardParts, CardSteps, partQuantity } from './card-view';
export { RoomBudget } from './room-budget';
export { SchoolsPanel } from './schools-panel';
export { SwitchRow } from './switch-row';
export { TieScreen } from './tie-screen';
export { KeepCard } from './keep-card';
