import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { SHIPPED, sampleOf } from '../../../tools/test-catalogue';
import { cardFor, NO_CHOICES, type Choices, type Sample } from '../answer';
import golden from './__tests__/whole-cards.json';

interface Asked {
  dressing: string;
  hook: string;
  mm?: number;
  sample?: Partial<Sample> | null;
  choices?: Partial<Choices>;
  count?: number;
}

const typed = (hex: `#${string}`) => ({ hex, source: 'typed' as const });
const WARM = {
  'abdomen-belly': typed('#8a7f3c'),
  'abdomen-back': typed('#5b4a2a'),
  'thorax-belly': typed('#9a6a3c'),
  wing: typed('#9aa0a3'),
  legs: typed('#6a5a3a'),
  shuck: typed('#a5743a'),
};

/** Cards asked as differently as they can be: natural or none, a stash, hands, schools, parts in and out, hooks far too small. */
const CARDS: readonly Asked[] = [
  { dressing: 'first-light-dun', hook: 'reference:standard-dry:14', sample: { colours: WARM }, count: 6 },
  { dressing: 'first-light-dun', hook: 'reference:standard-dry:24', mm: 9 },
  {
    dressing: 'first-light-post-dun',
    hook: 'reference:standard-dry:12',
    sample: { colours: WARM, surface: 'wet' },
    choices: { hand: 'left', schools: { 'tie-off': 'post-base', 'hackle-trim': 'flat-below' } },
    count: 1,
  },
  {
    dressing: 'herl-bead-nymph',
    hook: 'reference:long-3x:10',
    sample: null,
    choices: { schools: { 'bead-seat': 'back-one-eye', 'nymph-tail': 'gape' } },
    count: 12,
  },
  {
    dressing: 'half-out-dun',
    hook: 'reference:curved-shank:12',
    sample: { colours: WARM },
    choices: { schools: { 'shuck-material': 'soaking', 'shuck-length': 'fly' }, without: ['shuck'] },
  },
  {
    dressing: 'gravel-house',
    hook: 'reference:long-3x:8',
    sample: { caseMm: 16 },
    choices: { schools: { taper: 'side-strips' } },
    count: 30,
  },
  {
    dressing: 'trailing-hind-hawthorn',
    hook: 'reference:standard-dry:12',
    choices: {
      picking: { ...NO_CHOICES.picking, stash: new Set(['thread-black-70', 'peacock-herl', 'cock-hackle-black']) },
    },
    count: 3,
  },
  { dressing: 'tube-wire-jig', hook: 'reference:jig:14', sample: { colours: WARM } },
  { dressing: 'tube-wire-jig', hook: 'reference:standard-dry:16', sample: { colours: WARM } },
  { dressing: 'two-lump-ant', hook: 'reference:standard-dry:16', choices: { added: ['wings'] } },
  { dressing: 'ellanmere-plume-raft', hook: 'reference:standard-dry:12', sample: { colours: WARM } },
  {
    dressing: 'glass-head-worm',
    hook: 'reference:continuous-curve:14',
    sample: { colours: { 'abdomen-belly': typed('#8e2a22') } },
  },
  {
    dressing: 'clipped-palmer-wet',
    hook: 'reference:standard-dry:10',
    choices: { added: ['tag'], barbRule: 'flattened' },
  },
  {
    dressing: 'cheeked-quill-nymph',
    hook: 'reference:long-3x:12',
    sample: { colours: WARM },
    choices: { without: ['cheeks'], tails: [2] },
  },
  { dressing: 'silver-speck-boatman', hook: 'reference:standard-dry:14', mm: 6 },
  { dressing: 'looping-strip-leech', hook: 'reference:long-3x:6', choices: { hand: 'left' } },
];

const round = (value: unknown): unknown => {
  if (typeof value === 'number') return Number(value.toPrecision(7));
  if (Array.isArray(value)) return value.map(round);
  return value !== null && typeof value === 'object'
    ? Object.fromEntries(Object.entries(value).map(([key, item]) => [key, round(item)]))
    : value;
};

test('whole cards: nothing of a card moves unseen', () => {
  const now = CARDS.map(({ dressing: id, hook: hookId, mm, sample = {}, choices = {}, count = null }) => {
    const dressing = SHIPPED.dressings.find((item) => item.id === id)!;
    const hook = SHIPPED.hooks.find((item) => item.id === hookId)!;
    const natural =
      sample &&
      sampleOf(dressing.stages[0]!, {
        lengthsMm: [mm ?? Math.sqrt(dressing.length_mm[0] * dressing.length_mm[1])],
        ...sample,
      });
    const card = cardFor({
      dressing,
      hook,
      sample: natural,
      choices: { ...NO_CHOICES, ...choices },
      catalogue: SHIPPED,
      count: count as number | null,
    });
    return round({ asked: `${id} ${hookId} ${JSON.stringify({ mm, choices })}`, card });
  });
  // A change that is meant is written anew with WRITE_GOLDEN=1 and looked through.
  if (process.env.WRITE_GOLDEN)
    return writeFileSync(
      join(__dirname, '__tests__/whole-cards.json'),
      `[\n${now.map((card) => JSON.stringify(card)).join(',\n')}\n]\n`,
    );
  expect(JSON.parse(JSON.stringify(now))).toEqual(golden);
});
