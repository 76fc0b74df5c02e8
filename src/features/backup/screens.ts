export { BackupDue } from './backup-due';
export { BackupPanel } from './backup-panel';
export { StorageMeter } from './storage-meter';
export { RestorePreview } from './restore-preview';
export { packPlan } from './make-backup';
export { restore } from './take-restore';
