import { number, object, string } from 'yup';
import { deviceV1 } from './v1';

/** Frozen: a device before the side of the thumb and the cautions of the day. Read by the migration `thumb-and-cautions` only. */
export const deviceV2 = deviceV1.concat(
  object({ screen: object({ key: string().required(), pxPerMm: number().required() }).nullable().default(null) }),
);
