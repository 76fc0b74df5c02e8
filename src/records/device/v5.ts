import { number } from 'yup';
import { text } from '../fields';
import { deviceV4 } from './v4';

/** Frozen: a device before it stood at the vise. Read by the migration `at-the-vise` only. */
export const deviceV5 = deviceV4.shape({
  backedUp: text(),
  handedOver: number().nullable().defined().default(null),
});
