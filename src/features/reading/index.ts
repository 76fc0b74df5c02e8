export { useForesee } from './reading-report';
export { useForeseen } from './foreseen';
export { asideAfter, type Undrawn } from './trial';
