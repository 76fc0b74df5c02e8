import { object, type InferType } from 'yup';
import { KNOWN } from '@/catalogue/known-ids';
import { dressingSchema } from '@/core/dressings/dressing';
import { demo, text } from '../fields';

export const dressingRecordSchema = dressingSchema(KNOWN).concat(object({ demo: demo(), base: text() }));

export type DressingRecord = InferType<typeof dressingRecordSchema>;
