export { BoxAnswers, useBestFly } from './box-answers';
export { useLedger } from './use-ledger';
export { resultLine } from './results';
export { hookLine } from './in-box';
export { PickDressing } from './pick-dressing';
