import { boolean, number, string } from 'yup';
import { settingsV1 } from './v1';

/** Frozen: settings before the drawer had a say in a match. Read by the migration `hooks-of-ones-own` only. */
export const settingsV2 = settingsV1.shape({
  south: boolean().default(false),
  fauna: string().nullable().default(null),
  fingerMm: number().nullable().default(null),
});
