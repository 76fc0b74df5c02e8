export { command, enter, Gone, type Around, type Command } from './command';
export { KINDS, noEntities, type Entities, type Kind, type RecordTypes } from './kinds';
export { entriesOf, migrate, VERSIONS, type Migrated } from './migrate';
export {
  folded,
  foldAll,
  isOwner,
  LEDGERS,
  type EventOp,
  type Entered,
  type EventTypes,
  type OwnerKind,
  type Tally,
} from './ledger';
export { lives, mendedBy, mergeCopies, stamped, TALLY, withoutTally, type Copy } from './merge';
export { GONE, type Clocks } from './clocks';
export { ownKeys, readRecords, recordsFile, type RecordsRead } from './file';
export type { Carried } from './carried';
export { putBack } from './put-back';
export { backupDue } from './backup-due';
export { nameOf, readingOf, type Reading, type ReadRecord } from './reading';
export { cleanEntities, hasDemo, leaveDemo, holdsOwn } from './demo';
export { inYears, yearsUntil } from './in-years';
export * from './sample/schema';
export * from './sample/commands';
export * from './match/schema';
export * from './match/commands';
export * from './match/file';
export * from './fly/schema';
export * from './fly/queries';
export * from './fly/commands';
export * from './box/schema';
export * from './box/commands';
export * from './photo/schema';
export * from './photo/queries';
export * from './photo/commands';
export * from './eye/schema';
export * from './group/schema';
export * from './group/queries';
export * from './group/commands';
export * from './maker/schema';
export * from './model/schema';
export * from './model/queries';
export * from './model/commands';
export * from './packet/schema';
export * from './packet/queries';
export * from './packet/commands';
export * from './stash/schema';
export * from './stash/queries';
export * from './stash/commands';
export * from './material/schema';
export * from './material/commands';
export * from './dressing/schema';
export * from './dressing/queries';
export { deleteDressing, makeDressing, putDressing } from './dressing/commands';
export * from './batch/schema';
export * from './batch/queries';
export * from './batch/commands';
export * from './water/schema';
export * from './water/commands';
export * from './outing/schema';
export * from './water/queries';
export * from './trial/schema';
export * from './trial/commands';
export * from './outing/queries';
export * from './outing/commands';
export * from './settings/schema';
export * from './settings/commands';
export * from './device/schema';
export * from './device/commands';
