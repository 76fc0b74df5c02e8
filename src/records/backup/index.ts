export { onlyOf, packBackup, planBackup, type BackupPlan, type Manifest } from './write';
export { backupOf, picturesIn, readAnyBackup, readBackup, type Backup, type BackupRead } from './read';
export { mergeBackup, notIn, opsToReplace, replaceByBackup } from './restore';
export { csvOf, TABLE_NAMES, TABLES, type BackupTable, type TableName } from './tables';
export { collectionFile, FORMS, KIND_OF, type CollectionAsked, type CollectionFile, type Form } from './collection';
