import { boolean, mixed, object, string } from 'yup';

/** Frozen: settings before the part of the world was asked. Read by the migration `part-of-the-world` only. */
export const settingsV1 = object({
  unit: string().default('mm'),
  barbRule: string().default('any'),
  letterKeys: boolean().default(true),
  schools: mixed().default({}),
});
