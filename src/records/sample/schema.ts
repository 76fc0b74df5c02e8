import { array, boolean, mixed, number, object, string, type InferType } from 'yup';
import { KNOWN } from '@/catalogue/known-ids';
import type { Method, RegionId, RiseFormId, SeenId, SexId, WaterId } from '@/catalogue/ids';
import { demo, length, maybe, mm, note, stamp, text, words } from '../fields';

/** More of one hatch than anyone measures. */
const MOST_INDIVIDUALS = 1000;

const hexes = () =>
  mixed<Partial<Record<RegionId, string>>>()
    .default({})
    .test(
      'colours',
      'colours',
      (value) =>
        value !== null &&
        typeof value === 'object' &&
        Object.entries(value).every(
          ([region, hex]) => KNOWN.regions.includes(region as RegionId) && /^#[0-9a-f]{6}$/.test(String(hex)),
        ),
    );

/** One length: the last good value, and what was typed while that cannot be read. */
export const measureSchema = object({ mm: mm(), typed: text() });

const specimenSchema = object({
  id: string().required(),
  body: measureSchema.default({ mm: null, typed: null }),
  sex: maybe<SexId>(KNOWN.sexes),
  /** Left out of the mean, with the reason given; null counts. */
  out: text(),
  /** Half-width at 95 % of this reading, mm, where it has one of its own: a photograph's. */
  halfMm: number().positive().nullable().defined().default(null),
});

/** One insect of a sample, measured or still to be. */
export function specimen(id: string, mm: number | null = null): InferType<typeof specimenSchema> {
  return specimenSchema.cast({ id, body: { mm, typed: null } });
}

export const sampleSchema = object({
  demo: demo(),
  when: stamp().required(),
  place: note().defined().default(''),
  /** The outing it was found on. */
  outingId: text(),
  water: string<WaterId>().oneOf(KNOWN.waters).nullable().default(null),
  found: maybe(KNOWN.found),
  doing: maybe(KNOWN.doing),
  surface: string<'dry' | 'wet'>().oneOf(['dry', 'wet']).default('dry'),
  method: string<Method>().oneOf(KNOWN.methods).default('typed'),
  sex: maybe<SexId>(KNOWN.sexes),
  specimens: array(specimenSchema).max(MOST_INDIVIDUALS).default([]),
  /** Soft larvae that lay in spirit are counted a little longer than they read. */
  preserved: boolean().default(false),
  /** Waits on Now for the bench in the evening. */
  kept: boolean().default(false),
  overall: measureSchema.default({ mm: null, typed: null }),
  case: measureSchema.default({ mm: null, typed: null }),
  colours: hexes(),
  /** Colours that were typed and cannot be read, kept as typed. */
  unread: words(),
  photos: array(string().required()).max(MOST_INDIVIDUALS).default([]),
  /** Answers to the key, by sign; where it was and what it did are `found` and `doing`. */
  signs: words(),
  /** Signs that cannot be told on this insect: not asked again. */
  skipped: array(string().required()).default([]),
  /** What is measured or on the clock and the key is not to weigh: length, belly, month, case-length. */
  leftOut: array(string().required()).default([]),
  seen: array(string<SeenId>().oneOf(KNOWN.seen).required()).default([]),
  rise: maybe<RiseFormId>(KNOWN.riseForms),
  /** A length without a tool, used until one is measured: how it was had, and its half-width at 95 %. */
  rough: object({
    mm: length().required(),
    halfMm: number().positive().required(),
    how: string<'chip' | 'stretch' | 'fingers' | 'grown'>().oneOf(['chip', 'stretch', 'fingers', 'grown']).required(),
  })
    .nullable()
    .default(null),
  /** Colours in words, `tone-hue`, used until a colour is given. */
  shades: words(),
  /** What another program says of it in words of its own, by its terms: kept, shown and handed on as it came. */
  extra: words(),
});

/** The name of another program's term, without the address it stands under. */
export const termName = (term: string) => term.split(/[/#:]/).at(-1)!;

export type Measure = InferType<typeof measureSchema>;
export type SampleRecord = InferType<typeof sampleSchema>;
export type SpecimenRecord = SampleRecord['specimens'][number];
