export { readBoxFile, type BoxIds } from './box-file';
export { readGroupsFile, readMonths, writeGroupsFile, writeMonths, type GroupIds, type GroupsRead, type OwnGroup } from './groups-file';
export { readDrawerFile } from './drawer-file';
export { readHooksFile, slug, writeHooksFile, type HookIds, type HooksRead } from './hooks-file';
export { readNumber, readTable, writeTable, type CellProblem, type Table } from './table';
