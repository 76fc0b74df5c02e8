export { HowFar } from './how-far';
export { HookDimensions } from './hook-detail';
export { HookStep } from './hook-step';
export { OnlyOwned } from './only-owned';
export { KindChips, kindsSaid } from './kind-chips';
