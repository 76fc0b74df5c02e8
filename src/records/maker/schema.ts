import { boolean, object, string, type InferType } from 'yup';
import type { XLabelSchool } from '@/core/hooks';
import { demo, note } from '../fields';

export const makerSchema = object({
  demo: demo(),
  name: note().required(),
  xLabel: string<XLabelSchool>().oneOf(['number', 'catalogue-step']).default('number'),
  habit: string().defined().default(''),
  retired: boolean().default(false),
});

export type MakerRecord = InferType<typeof makerSchema>;
