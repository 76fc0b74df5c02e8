export { BenchStep } from './bench-step';
export { CardParts, CardSteps } from './card-view';
export { TieScreen } from './tie-screen';
