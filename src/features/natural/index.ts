export { NaturalStep } from './natural-step';
