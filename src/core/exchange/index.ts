export { readBoxFile, type BoxIds } from './box-file';
export {
  readGroupsFile,
  readMonths,
  writeGroupsFile,
  writeMonths,
  type GroupIds,
  type GroupsRead,
  type OwnGroup,
} from './groups-file';
export { readDrawerFile, writeDrawerFile, type DrawerRow, type DrawerRowRead } from './drawer-file';
export {
  COLUMN_UNITS,
  HOOK_COLUMNS,
  type ColumnFrom,
  type ColumnMap,
  type ColumnUnit,
  type HookColumn,
  type MapColumn,
} from './column-map';
export { readHooksFile, writeHooksFile, type HookIds, type HooksRead, type HooksReading } from './hooks-file';
export { slug } from './slug';
export { readStash, type StashRead, type StashRow } from './stash-file';
export { headFault, readTable, tableOf, writeBadRows, writeTable, type CellProblem, type Table } from './table';
export { readTapings, writeModelFile, type GivenTaping } from './model-file';
export {
  MOST_DRESSINGS,
  readDressings,
  writeDressings,
  type DressingProblem,
  type DressingsRead,
} from './dressings-file';
