import { number } from 'yup';
import { settingsV4 } from './v4';

/** Frozen: settings before what the hands do. Read by the migration `what-the-hands-do` only. */
export const settingsV5 = settingsV4.shape({ backupDays: number().nullable().defined().default(30) });
