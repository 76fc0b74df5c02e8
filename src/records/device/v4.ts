import { boolean } from 'yup';
import { deviceV3 } from './v3';

/** Frozen: a device before backups. Read by the migration `backed-up` only. */
export const deviceV4 = deviceV3.shape({
  cardKept: boolean().default(false),
  stepsAway: boolean().default(false),
});
