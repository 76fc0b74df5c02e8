import type { DoingId, FoundId, RegionId, SeenId } from '@/catalogue/ids';
import type { AskedId } from '@/core/belief';
import { parseColour } from '@/core/colour/colour';
import { BELLY, LENGTH_RANGE_MM } from '@/core/constants';
import { longerSex } from '@/core/naturals/sex-ratio';
import { command, found } from '../command';
import { specimen, type Measure, type SampleRecord, type SpecimenRecord } from './schema';

interface OfSample {
  sampleId: string;
}

function answerSign(sample: SampleRecord, sign: AskedId, answer: string | null): void {
  sample.skipped = sample.skipped.filter((other) => other !== sign);
  if (sign === 'found') sample.found = answer as FoundId | null;
  else if (sign === 'doing') sample.doing = answer as DoingId | null;
  else if (answer === null) delete sample.signs[sign];
  else sample.signs[sign] = answer;
}

/** A sign of the key said, or taken back with null; it is asked again. */
export const saySign = command<OfSample & { sign: AskedId; answer: string | null }>(
  'sign',
  ({ sample }, { sampleId, sign, answer }) => answerSign(found(sample, sampleId), sign, answer),
);

/** A sign that cannot be told on this insect. */
export const skipSign = command<OfSample & { sign: AskedId }>(
  'skip-sign',
  ({ sample }, { sampleId, sign }) => {
    const own = found(sample, sampleId);
    if (!own.skipped.includes(sign)) own.skipped.push(sign);
  },
  { label: 'sign' },
);

/** Something seen on the water, or not. */
export const saySeen = command<OfSample & { seen: SeenId; on: boolean }>(
  'seen',
  ({ sample }, { sampleId, seen, on }) => {
    const own = found(sample, sampleId);
    own.seen = on ? [...new Set([...own.seen, seen])] : own.seen.filter((other) => other !== seen);
  },
  { label: 'sign' },
);

/** One thing taken back: what was only said goes, what was measured or is on the clock stays and is no longer weighed. */
export const takeBack = command<OfSample & { sign: string; answer: string }>(
  'take-back',
  ({ sample }, { sampleId, sign, answer }) => {
    const own = found(sample, sampleId);
    const leave = () => void (own.leftOut = [...new Set([...own.leftOut, sign])]);
    if (sign === 'water') own.water = null;
    else if (sign === 'seen') own.seen = own.seen.filter((seen) => seen !== answer);
    else if (sign === 'rise') own.rise = null;
    else if (sign === 'length') {
      if (own.specimens.some((item) => item.body.mm !== null)) leave();
      else own.rough = null;
    } else if (sign === 'belly') {
      if (own.colours[BELLY]) leave();
      else delete own.shades[BELLY];
    } else if (sign === 'month' || sign === 'case-length') leave();
    else answerSign(own, sign as AskedId, null);
  },
  { label: 'sign' },
);

/** What was left out is weighed again. */
export const weighAgain = command<OfSample & { what: string }>(
  'weigh-again',
  ({ sample }, { sampleId, what }) => {
    const own = found(sample, sampleId);
    own.leftOut = own.leftOut.filter((other) => other !== what);
  },
  { label: 'sign' },
);

/** Fields of a sample that stand alone, and what undo calls a change of each. */
const PLAIN = {
  water: 'water',
  rough: 'rough',
  rise: 'sign',
  method: 'method',
  surface: 'surface',
  sex: 'sex',
  preserved: 'preserved',
  kept: 'keep',
  place: 'title',
  when: 'when',
} as const;
type PlainField = keyof typeof PLAIN;

export const setSample = command<OfSample & Partial<Pick<SampleRecord, PlainField>>>(
  'set-sample',
  ({ sample }, { sampleId, ...fields }) => void Object.assign(found(sample, sampleId), fields),
  {
    label: ({ sampleId: _, ...fields }) => PLAIN[Object.keys(fields)[0] as PlainField],
    field: ({ sampleId, place }) => (place === undefined ? null : `${sampleId}/place`),
  },
);

/** One length as it is typed: of one insect, of the whole with its wings, or of a case. A body typed anew loses the ± of its photograph. */
export const typeMeasure = command<OfSample & { of: 'overall' | 'case' | { specimenId: string }; measure: Measure }>(
  'length',
  ({ sample }, { sampleId, of, measure }) => {
    const own = found(sample, sampleId);
    if (of === 'overall' || of === 'case') {
      own[of] = measure;
      return;
    }
    const insect = own.specimens.find((item) => item.id === of.specimenId);
    if (insect) Object.assign(insect, { body: measure, halfMm: null });
  },
  { field: ({ sampleId, of }) => `${sampleId}/${typeof of === 'string' ? of : of.specimenId}` },
);

export const addSpecimen = command<OfSample, string>(
  'add-specimen',
  ({ sample }, { sampleId }, { newId }) => {
    const id = newId('specimen');
    found(sample, sampleId).specimens.push(specimen(id));
    return id;
  },
  { label: 'length' },
);

export const dropSpecimen = command<OfSample & { specimenId: string }>(
  'drop-specimen',
  ({ sample }, { sampleId, specimenId }) => {
    const own = found(sample, sampleId);
    own.specimens = own.specimens.filter((item) => item.id !== specimenId);
  },
  { label: 'length' },
);

/** Hundredths of a millimetre are kept. */
const HUNDREDTHS = 100;

/** A length a little longer or shorter, within what a body can be. */
export const nudgeSpecimen = command<OfSample & { specimenId: string; byMm: number }>(
  'nudge',
  ({ sample }, { sampleId, specimenId, byMm }) => {
    const insect = found(sample, sampleId).specimens.find((item) => item.id === specimenId);
    if (!insect) return;
    const [least, most] = LENGTH_RANGE_MM;
    insect.body = {
      mm: Math.min(most, Math.max(least, Math.round(((insect.body.mm ?? 0) + byMm) * HUNDREDTHS) / HUNDREDTHS)),
      typed: null,
    };
  },
  { label: 'length', field: ({ specimenId }) => `nudge-${specimenId}` },
);

/** What sets one insect apart: its sex, or why it is left out of the mean. */
export const setSpecimen = command<OfSample & { specimenId: string } & Partial<Pick<SpecimenRecord, 'sex' | 'out'>>>(
  'apart',
  ({ sample }, { sampleId, specimenId, ...fields }) => {
    const insect = found(sample, sampleId).specimens.find((item) => item.id === specimenId);
    if (insect) Object.assign(insect, fields);
  },
);

/** Two heaps of lengths told apart: which of `among` are the longer ones; which sex is longer is known of the order. */
export const tellSexesApart = command<
  OfSample & { among: readonly string[]; longer: readonly string[]; order: string }
>(
  'tell-apart',
  ({ sample }, { sampleId, among, longer, order }) => {
    const sexOfLonger = longerSex(order);
    const other = sexOfLonger === 'male' ? 'female' : 'male';
    for (const insect of found(sample, sampleId).specimens)
      if (among.includes(insect.id)) insect.sex = longer.includes(insect.id) ? sexOfLonger : other;
  },
  { label: 'apart' },
);

/** A colour as it is typed; one that cannot be read is kept as typed. */
export const typeColour = command<OfSample & { region: RegionId; text: string }>(
  'colour',
  ({ sample }, { sampleId, region, text }) => {
    const own = found(sample, sampleId);
    delete own.unread[region];
    if (text.trim() === '') {
      delete own.colours[region];
      delete own.shades[region];
      return;
    }
    const colour = parseColour(text);
    if (colour) {
      own.colours[region] = colour.hex;
      delete own.shades[region];
    } else own.unread[region] = text;
  },
  { field: ({ sampleId, region }) => `${sampleId}/colour-${region}` },
);

/** A colour in words, `tone-hue`, in place of one that was given otherwise; null forgets it. */
export const sayShade = command<OfSample & { region: RegionId; shade: string | null }>(
  'words',
  ({ sample }, { sampleId, region, shade }) => {
    const own = found(sample, sampleId);
    if (shade === null) {
      delete own.shades[region];
      return;
    }
    own.shades[region] = shade;
    delete own.colours[region];
    delete own.unread[region];
  },
);
