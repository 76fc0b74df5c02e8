export { STEPS, type Step } from './steps';
