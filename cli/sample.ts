import ids from '../src/catalogue/ids.json';
import type { BarbRuleId, IntentId, Method, RegionId, SexId, StageId, WaterId } from '../src/catalogue/ids';
import { CASE, GROUPS } from '../src/catalogue';
import { type Choices, type Sample, type Schools } from '../src/core/answer';
import { choicesOf, insectOf, NOTHING_NOTED, sampleOf, waitsFor, type Natural } from '../src/core/case';
import { BELLY } from '../src/core/constants';
import { NO_PICKING } from '../src/core/dressings';
import { inputFault, type Flag } from './args';
import { DRESSINGS_FLAG } from './own-dressings';
import type { Reader } from './read';
import { STASH_FLAG, stashFrom } from './stash';

export const NATURAL_FLAGS: readonly Flag[] = [
  { name: 'order', takes: 'one', value: 'ID', help: 'order of the natural' },
  { name: 'stage', takes: 'one', value: 'ID', help: 'life stage' },
  { name: 'length', takes: 'many', value: 'LEN', help: 'body, one for each individual' },
  { name: 'belly', takes: 'one', value: 'COL', help: 'abdomen from below' },
  { name: 'back', takes: 'one', value: 'COL', help: 'abdomen from above' },
  { name: 'colour', takes: 'many', value: 'REGION=COL', help: 'colour of a region' },
];

export const CHOICE_FLAGS: readonly Flag[] = [
  { name: 'barb', takes: 'one', value: 'any|flattened|barbless', help: 'barb rule of the water' },
  { name: 'offset', takes: 'one', value: 'N', help: 'packet steps, -3 to 3, + is a larger fly' },
  { name: 'school', takes: 'many', value: 'NAME=ID', help: 'a school of ids.md' },
  { name: 'hand', takes: 'one', value: 'right|left', help: 'hand that winds' },
  { name: 'catalogue', takes: 'many', value: 'FILE', help: 'hooks added to the shipped ones' },
  DRESSINGS_FLAG,
  STASH_FLAG,
];

const COUNT_RANGE = [1, 200] as const;

function colours(read: Reader): Sample['colours'] {
  const found: Record<string, Sample['colours'][RegionId]> = {};
  const add = (region: string, field: string, text: string | null) => {
    const colour = read.colour(field, text);
    if (colour) found[region] = { hex: colour.hex, lab: colour.lab, source: 'typed' };
  };
  add(BELLY, 'belly', read.one('belly'));
  add('abdomen-back', 'back', read.one('back'));
  for (const pair of read.many('colour')) {
    const [name, ...rest] = pair.split('=');
    if (rest.length === 0) {
      read.fault(inputFault('colour', 'region-colour', pair, { allowed: ids.regions.map((region) => region.id) }));
      continue;
    }
    const region = read.id<RegionId>('colour', name!, ids.regions);
    if (region) add(region, 'colour', rest.join('='));
  }
  return found;
}

function schools(read: Reader): Schools {
  const chosen: Record<string, string> = {};
  for (const pair of read.many('school')) {
    const [name, option] = pair.split('=');
    const school = ids.schools.find((item) => item.id === name);
    if (!school || option === undefined) {
      read.fault(inputFault('school', 'school-option', pair, { allowed: ids.schools.map((item) => item.id) }));
      continue;
    }
    const id = read.id<string>('school', option, school.options);
    if (id) chosen[school.id] = id;
  }
  return chosen as Schools;
}

/** When a natural was taken, of which only the month was said. */
export const whenOf = (month: number | null) => (month === null ? '' : `0000-${String(month).padStart(2, '0')}`);

/** A natural of the flags, its stage, and what an answer takes of it. */
export interface NaturalRead {
  natural: Natural;
  stage: StageId;
  sample: Sample;
}

/** The natural of the flags; null when no length was given or the stage is missing. */
export function naturalFrom(read: Reader): NaturalRead | null {
  const stage = read.stage() as StageId | null;
  const lengths = read.lengths('length');
  if (read.many('length').length > COUNT_RANGE[1])
    read.fault(inputFault('length', 'too-many-lengths', String(read.many('length').length)));
  const overall = read.length('overall-length', read.one('overall-length'));
  const caseMm = read.length('case-length', read.one('case-length'));
  const given = colours(read);
  const natural: Natural = {
    ...NOTHING_NOTED,
    specimens: lengths.map(insectOf),
    overall: { mm: overall },
    case: { mm: caseMm },
    method: read.flagId<Method>('method', ids.methods) ?? 'typed',
    sex: read.flagId<SexId>('sex', ids.sexes),
    surface: read.flagId<'dry' | 'wet'>('surface', ids.surfaces) ?? 'dry',
    water: read.flagId<WaterId>('water', ids.waters),
  };
  if (stage === null || waitsFor(natural, stage, CASE.growing) !== null) return null;
  // Colours that were typed as Lab are kept as exactly as they were typed.
  return { natural, stage, sample: { ...sampleOf(natural, stage, CASE), colours: given } };
}

/** What is chosen for a natural, worked out as in the app for a tier of whom nothing is known. */
export function chosenFor({ natural, stage }: NaturalRead, chosen: Partial<Choices>): Choices {
  return choicesOf(natural, stage, NOBODY, chosen, GROUPS, CASE.growing);
}

const NOBODY = { south: false, fauna: null } as const;

const SIZE_OFFSET = { exact: 0, 'one-up': 1, 'one-down': -1 } as const;

/** What the flags choose; anything left out follows from the natural. */
export function choicesFrom(
  read: Reader,
  owned: Record<string, number>,
): Partial<Choices> & Pick<Choices, 'schools' | 'makers'> {
  const chosen = schools(read);
  const typed = read.number('offset', [-3, 3], false);
  const sizes = typed ?? SIZE_OFFSET[chosen.size ?? 'exact'];
  const intent =
    read.flagId<IntentId>('intent', ids.intents) ?? (sizes === 0 ? 'exact' : sizes > 0 ? 'bigger' : 'smaller');
  const barb = read.flagId<BarbRuleId>('barb', ids['barb-rules']);
  const hand = read.flagId<'right' | 'left'>('hand', HANDS);
  return {
    offset: { sizes, intent },
    barbRule: read.has('barbless') ? 'barbless' : (barb ?? 'any'),
    owned,
    onlyOwned: read.has('owned'),
    makers: read.many('maker').map((maker) => maker.toLowerCase()),
    schools: chosen,
    hand: hand ?? chosen.hand ?? 'right',
    picking: { ...NO_PICKING, stash: stashFrom(read) },
  };
}

const HANDS = [
  { id: 'right', name: 'Right' },
  { id: 'left', name: 'Left' },
];
