export { ReadingReport, useForesee } from './reading-report';
export { Unshown } from './unshown';
export { asideAfter, useTrial, type Undrawn } from './trial';
