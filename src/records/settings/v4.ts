import { array, mixed, number, string } from 'yup';
import { settingsV3 } from './v3';

/** Frozen: settings before backups. Read by the migration `backups` only. */
export const settingsV4 = settingsV3.shape({
  skill: number().nullable().defined().default(null),
  minutes: number().nullable().defined().default(null),
  tools: array(string().required()).nullable().defined().default(null),
  dressingSchools: mixed().default({}),
  pickWeights: mixed().default({}),
});
