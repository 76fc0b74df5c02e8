import { SHIPPED, sampleOf } from '../../tools/test-catalogue';
import { answer, cardFor, NO_CHOICES } from '@/core/answer';
import { amountLines } from './amount-lines';
import { careLines } from './card-facts';
import { railLabels } from './rail-label';
import { createI18n, createSpeech, headlineParts } from './speech';

const i18n = createI18n();
const mm = createSpeech(i18n, 'mm');
const inches = createSpeech(i18n, 'in-fraction');
const card = answer(
  sampleOf('mayfly/dun'),
  { ...NO_CHOICES, dressingPin: 'first-light-dun', hookPin: 'reference:standard-dry:14' },
  SHIPPED,
).card!;

test("a length in a reason takes the reader's unit", () => {
  const coded = { code: 'none-fits', params: { hook: 'Lark 14', steps: 3.25, target: { mm: 8 }, carry: { mm: 12.7 } } };
  expect(mm.say(coded)).toContain('it carries 12.7 mm for 8.0 mm');
  expect(inches.say(coded)).toContain('it carries 1/2 in');
});
test('an id in a reason takes its name, small inside a sentence, and lists are joined', () => {
  expect(mm.say({ code: 'stage-same', params: { stage: { kind: 'stages', id: 'mayfly/dun' } } })).toBe(
    'made for mayfly dun',
  );
  expect(mm.say({ code: 'outliers', params: { count: 2, values: { list: [{ mm: 4 }, { mm: 12 }] } } })).toMatch(
    /^4\.0 mm, 12\.0 mm lies far/,
  );
});
test('an abbreviation keeps its capitals inside a sentence', () =>
  expect(mm.plain('cautions', 'uv-resin')).toBe('UV resin'));
test('every caution ends with the line on rules and practice', () =>
  expect(mm.caution('lead')).toMatch(/Local rules and licensed practice come first\.$/));
test('a step is said as a tier says it: what, with what, where, how', () => {
  const bind = card.steps.find((step) => step.do === 'bind' && step.kind === 'wing')!;
  expect(mm.stepTitle(bind)).toBe('Bind the wing');
  expect(mm.stepDetail(bind)).toEqual(
    expect.arrayContaining([expect.stringMatching(/^with /), expect.stringMatching(/2\.3 mm from behind the eye/)]),
  );
  expect(mm.stepTitle(card.steps.find((step) => step.do === 'cut' && step.kind === 'head')!)).not.toMatch(/head/);
});
test('the headline of a card is at most three lengths, tail before wing', () => {
  const parts = headlineParts(card);
  expect(parts.map((part) => part.part)).toEqual(['tail', 'abdomen', 'wing']);
});
test("the flatten-barb step of a water's rule has its words", () => {
  const flattened = answer(
    sampleOf('mayfly/dun'),
    { ...NO_CHOICES, barbRule: 'flattened', hookPin: 'reference:standard-dry:14' },
    SHIPPED,
  ).card!;
  expect(mm.stepTitle(flattened.steps[0]!)).toMatch(/barb/i);
  expect(mm.stepCheck(flattened.steps[0]!)).toMatch(/cloth/);
});

test('nothing is cut of thread, which hangs from its spool; what comes off another spool is', () => {
  const lines = (dressing: string, part: string) =>
    amountLines(
      cardFor({
        dressing: SHIPPED.dressings.find((item) => item.id === dressing)!,
        hook: SHIPPED.hooks.find((item) => item.id === 'reference:standard-dry:14')!,
        sample: null,
        choices: NO_CHOICES,
        catalogue: SHIPPED,
        count: null,
      }).parts.find((item) => item.id === part)!,
      mm,
    );
  expect(lines('first-light-speck-dun', 'abdomen').join()).not.toMatch(/cut/);
  expect(lines('green-speck-hopper', 'abdomen').join()).toMatch(/cut \d/);
});

test('a caution of what is made beforehand names the thing and its step', () => {
  const stone = cardFor({
    dressing: SHIPPED.dressings.find((item) => item.id === 'stitched-overhang-stone')!,
    hook: SHIPPED.hooks.find((item) => item.id === 'reference:standard-dry:4')!,
    sample: null,
    choices: NO_CHOICES,
    catalogue: SHIPPED,
    count: null,
  });
  expect(careLines(stone, mm)).toContainEqual(expect.stringMatching(/^Stitched body, step 3: Solvent/));
  expect(careLines(stone, mm).every((line) => /step|Step/.test(line))).toBe(true);
});

describe('numbers and days', () => {
  const speech = createSpeech(createI18n(), 'mm');
  test('a number has its decimals, a real minus and no thousands', () =>
    expect([speech.number(1.25, 1), speech.number(-0.5, 1), speech.number(12345.6), speech.number(0, 2)]).toEqual([
      '1.3',
      '−0.5',
      '12346',
      '0.00',
    ]));
  test('a day is short, with its hour where it is asked, and in full', () =>
    expect([speech.day('2033-05-24'), speech.day('2033-05-24T04:50', true), speech.moment('2033-05-24T04:50')]).toEqual(
      ['24 May', '24 May 2033, 04:50', 'Tuesday 24 May, 04:50'],
    ));
  test('a time that is none stands as it was noted', () =>
    expect([speech.day('soon'), speech.day(NaN), speech.moment('')]).toEqual(['soon', 'NaN', '']));
  test('another language writes its own way', () => {
    const i18n = createI18n('de');
    expect([createSpeech(i18n, 'mm').number(1.25, 2), createSpeech(i18n, 'mm').day('2033-03-04')]).toEqual([
      '1,25',
      expect.stringMatching(/^4\. M/),
    ]);
  });
  test('names of ids, and of what a row offers, come by key', () => {
    const i18n = createI18n();
    i18n.addResource('en', 'id', 'waters.fast', 'Schnell');
    i18n.addResource('en', 'id', 'schools/taper.none', 'Keine');
    const { ids: own } = createSpeech(i18n, 'mm');
    expect(own.waters.find((row) => row.id === 'fast')!.name).toBe('Schnell');
    expect(own.schools.find((row) => row.id === 'taper')!.options.find((option) => option.id === 'none')!.name).toBe(
      'Keine',
    );
  });
});

describe('lists', () => {
  const speech = createSpeech(createI18n(), 'mm');

  test('what is empty is left out, and nothing joined is nothing', () => {
    expect(speech.list(['dun', null, 'spinner', '', false, 3])).toBe('dun, spinner, 3');
    expect(speech.clauses(['a, b', undefined, 'c'])).toBe('a, b; c');
    expect(speech.beside(['14', 0, 'barbless'])).toBe('14 · 0 · barbless');
    expect(speech.sentences(['One', null])).toBe('One');
    expect([speech.list([]), speech.beside([null])]).toEqual(['', '']);
  });

  test('another language joins them its own way, and writes names inside a sentence as it does', () => {
    const german = createI18n('de');
    german.addResource('de', 'translation', 'list.names-inside', 'as they are');
    const other = createSpeech(german, 'mm');
    expect(other.list(['a', 'b', 'c'])).toBe('a, b und c');
    expect([other.plain('orders', 'mayfly'), speech.plain('orders', 'mayfly')]).toEqual(['Mayfly', 'mayfly']);
  });

  test('a rail says its sizes in view, and what is open about it', () => {
    const rail = { maker: 'Osmere', model: 'Lark', open: null };
    expect(railLabels(speech)(rail, ['12', '14'])).toBe('Osmere Lark: 12, 14');
    expect(railLabels(speech)({ ...rail, open: { said: 'taping 2 would settle it' } }, ['12'])).toBe(
      'Osmere Lark: 12; taping 2 would settle it',
    );
  });
});
