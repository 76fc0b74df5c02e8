export { WhatIsHere } from './what-is-here';
export { BackupDue } from '@/features/backup/screens';
export { RunningNow } from '@/features/out/screens';
