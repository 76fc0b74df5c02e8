export { readDrawerFile } from './drawer-file';
export { readHooksFile, slug, type HookIds, type HooksRead } from './hooks-file';
export { readNumber, readTable, type CellProblem, type Table } from './table';
