import { array, boolean, mixed, number, object, string, type InferType } from 'yup';
import { KNOWN } from '@/catalogue/known-ids';
import type { BarbRuleId, FaunaId, UnitId } from '@/catalogue/ids';
import { CRITERIA, type Criterion } from '@/core/dressings/picking';
import type { ConvertBy } from '@/core/answer';
import { maybe, words } from '../fields';

export const settingsSchema = object({
  unit: string<UnitId>().oneOf(KNOWN.units).default('mm'),
  barbRule: string<BarbRuleId>().oneOf(KNOWN.barbRules).default('any'),
  letterKeys: boolean().default(true),
  schools: words(),
  /** South of the equator the year is turned. */
  south: boolean().default(false),
  fauna: maybe<FaunaId>(KNOWN.faunas),
  /** Days after which the last backup is old; null for never. */
  backupDays: number().integer().min(1).max(365).nullable().defined().default(30),
  /** Width of the tier's own finger, set once. */
  fingerMm: number().min(5).max(40).nullable().defined().default(null),
  /** Only hooks in the drawer are offered. */
  onlyOwned: boolean().default(false),
  /** What counts most when a hook is looked for in another maker. */
  convertBy: string<ConvertBy>().oneOf(['length', 'gape', 'ride']).default('length'),
  /** Where the hands are surely off with a part, a card says what to aim at. */
  aims: boolean().default(true),
  /** Smallest reading worth tying, as a size number; null for any. */
  smallest: number().integer().min(0).max(32).nullable().defined().default(null),
  /** How practised the tier is, 1 to 3, and the most minutes one fly may take; null for any. */
  skill: number<1 | 2 | 3>()
    .oneOf([1, 2, 3, null as never])
    .nullable()
    .defined()
    .default(null),
  minutes: number().min(1).max(120).nullable().defined().default(null),
  /** Tools on the bench; null until they were ticked once. */
  tools: array(string().required()).nullable().defined().default(null),
  /** Schools kept for one dressing, by its id: over the tier's own. */
  dressingSchools: mixed<Record<string, Record<string, string>>>()
    .default({})
    .test(
      'schools',
      'schools',
      (value) =>
        value !== null &&
        typeof value === 'object' &&
        Object.values(value).every((item) => item !== null && typeof item === 'object'),
    ),
  /** What each criterion of the choice counts: 1 as a rule, 0 leaves it out, 2 counts it twice. */
  pickWeights: mixed<Partial<Record<Criterion, number>>>()
    .default({})
    .test(
      'weights',
      'weights',
      (value) =>
        value !== null &&
        typeof value === 'object' &&
        Object.entries(value).every(
          ([name, weight]) =>
            (CRITERIA as readonly string[]).includes(name) && Number(weight) >= 0 && Number(weight) <= 3,
        ),
    ),
});

/** The one settings record. */
export const SETTINGS_ID = 'main';

export type SettingsRecord = InferType<typeof settingsSchema>;
