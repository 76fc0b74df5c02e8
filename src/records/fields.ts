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
const STAMP =
  /^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])(T([01]\d|2[0-3]):[0-5]\d(:[0-5]\d(\.\d+)?)?(Z|[+-]\d\d:\d\d)?)?$/;
/** A local day with its time, `2033-05-24T04:50`; screens sort, count and write by it. */
export const stamp = () => string().matches(STAMP);
/** Something that is written by hand: longer than any note, shorter than what stops a page. */
export const note = () => string().max(10_000);
/** Length of a body, mm. */
export const length = () => number().min(LENGTH_RANGE_MM[0]).max(LENGTH_RANGE_MM[1]);
export const mm = () => length().nullable().defined().default(null);
export const text = () => note().nullable().defined().default(null);
export const words = () =>
  mixed<Record<string, string>>()
    .default({})
    .test(
      'words',
      'words',
      (value) =>
        value !== null && typeof value === 'object' && Object.values(value).every((item) => typeof item === 'string'),
    );
/** A dimension of a hook, mm, or its mass, mg: none is near 10 m. */
export const dimension = () => number().positive().max(10_000).nullable().defined().default(null);

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
