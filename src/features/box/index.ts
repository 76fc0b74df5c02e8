export { BoxAnswers, useBestFly } from './box-answers';
export { BoxScreen } from './box-screen';
export { BoxesScreen } from './boxes-screen';
export { EnterScreen } from './enter-screen';
export { useLedger } from './use-ledger';
export { resultLine } from './results';
