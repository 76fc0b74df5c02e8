export { BenchStep } from './bench-step';
export { CardParts, CardSteps, partQuantity } from './card-view';
export { TieScreen } from './tie-screen';
