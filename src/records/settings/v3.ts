import { boolean, number, string } from 'yup';
import { settingsV2 } from './v2';

/** Frozen: settings before the tier's bench had a say in the dressing. Read by the migration `the-tier-at-the-bench` only. */
export const settingsV3 = settingsV2.shape({
  onlyOwned: boolean().default(false),
  convertBy: string().default('length'),
  smallest: number().nullable().defined().default(null),
});
