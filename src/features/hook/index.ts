export { holdsLine } from './holds';
export { HookDimensions } from './hook-detail';
export { HookStep } from './hook-step';
