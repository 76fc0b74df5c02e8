import { string } from 'yup';
import { matchV1 } from './v1';

/** Frozen: matches before a part could be switched on. Read by the migration `parts-switched-on` only. */
export const matchV2 = matchV1.shape({ parentId: string().nullable().defined().default(null) });
