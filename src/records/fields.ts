import { boolean, mixed, number, string, type Schema } from 'yup';
import { KNOWN } from '@/catalogue/known-ids';
import type { StageId } from '@/catalogue/ids';
import { LENGTH_RANGE_MM } from '@/core/constants';

/** Whether a record came with the demo valley. */
export const demo = () => boolean().default(false);
export const stage = () => string<StageId>().oneOf(KNOWN.stages);
export const maybe = <T extends string>(values: readonly T[]) =>
  string<T>()
    .nullable()
    .defined()
    .default(null)
    .oneOf([...values, null]);
/** Length of a body, mm. */
export const length = () => number().min(LENGTH_RANGE_MM[0]).max(LENGTH_RANGE_MM[1]);
export const mm = () => length().nullable().defined().default(null);
export const text = () => string().nullable().defined().default(null);
export const words = () =>
  mixed<Record<string, string>>()
    .default({})
    .test(
      'words',
      'words',
      (value) =>
        value !== null && typeof value === 'object' && Object.values(value).every((item) => typeof item === 'string'),
    );
export const dimension = () => number().positive().nullable().defined().default(null);

/** Every value of a map by its own schema; the map's keys are free. */
export const mapOf = <T>(schema: Schema<T>) =>
  mixed<Record<string, T>>()
    .default({})
    .test(
      'map',
      'map',
      (value) =>
        value !== null && typeof value === 'object' && Object.values(value).every((item) => schema.isValidSync(item)),
    );
