export {
  AS_IT_IS,
  FILE_LIMITS,
  readFile,
  type ArchiveRead,
  type FileRead,
  type FileReading,
  type TableLooked,
} from './file';
export { mapOf, neededOf, SHEET_IDS, type SheetId } from './columns';
export { takeTable, withoutSample, type OwnRow, type SheetIn } from './take';
