export { packBackup, planBackup, type BackupPlan, type Manifest } from './write';
export { picturesIn, readAnyBackup, readBackup, type Backup, type BackupRead } from './read';
export { mergeBackup, notIn, opsToReplace, replaceByBackup } from './restore';
export { csvOf, TABLE_NAMES, TABLES, type TableName } from './tables';
