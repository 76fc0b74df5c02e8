import { DRESSINGS, MATERIALS, STAGES, STYLES, WAYS } from '@/catalogue';
import ids from '@/catalogue/ids.json';
import type { SchoolOption } from '@/catalogue/ids';
import { answer, NO_CHOICES } from '@/core/answer';
import { RULES } from '@/core/bench';
import { cardOnHook } from '@/core/faults';
import { referenceRangeOf } from '@/core/dressings';
import { inSchool, type Card } from '@/core/tying';
import { sampleOf, SHIPPED } from '../../tools/test-catalogue';
import says from './en-say.json';
import { createI18n, createSpeech } from '.';
import { cardSheet } from './card';

const speech = createSpeech(createI18n(), 'mm');
const NUMBER_WORDS = /\b(one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|half|third|quarter|twice)\b/i;
/** Words that count nothing: they name sides, or what is met once on any fly. */
const NO_MEASURE = /one each side|one another|other|figures? of eight|half hitches/gi;

test('no sentence of a way holds a digit or a number word: numbers come from figures alone', () => {
  for (const [key, text] of Object.entries({ ...says.say, ...says.act })) {
    const bare = text.replace(/{{\w+}}/g, '').replace(NO_MEASURE, '');
    expect([key, /\d/.test(bare), NUMBER_WORDS.exec(bare)?.[0]]).toEqual([key, false, undefined]);
  }
});

test('every code that a way says has words, a shorter form where it names a figure, and every act and rule too', () => {
  const codes = new Set(
    WAYS.flatMap((way) =>
      way.phases.flatMap((phase) => [phase.check, phase.face, ...phase.mends]).filter((code) => code !== undefined),
    ),
  );
  const known: Record<string, string> = says.say;
  for (const code of codes) {
    if (code === 'hole-by-kind') continue;
    expect([code, code! in known]).toEqual([code, true]);
    if (known[code!]!.includes('{{')) expect([code, `${code}_bare` in known]).toEqual([code, true]);
  }
  const acts: Record<string, string> = says.act;
  for (const dressing of DRESSINGS)
    for (const step of [...dressing.steps, ...dressing.assemblies.flatMap((item) => item.steps)])
      if (step.as !== null) expect([dressing.id, step.as, step.as in acts]).toEqual([dressing.id, step.as, true]);
  for (const rule of RULES) expect([rule, rule in says.rule]).toEqual([rule, true]);
});

/** Every number that a card holds, as it is written in millimetres and as a count. */
function numbersOf(card: Card): Set<string> {
  const found = new Set<string>();
  const walk = (value: unknown) => {
    if (typeof value === 'number') {
      for (const digits of [0, 1, 2]) found.add(value.toFixed(digits));
      found.add(String(value));
      found.add(String(Math.round(value)));
      found.add(String(Math.round(value / 60)));
    } else if (typeof value === 'string') for (const number of value.match(/\d+(\.\d+)?/g) ?? []) found.add(number);
    else if (value !== null && typeof value === 'object') Object.values(value).forEach(walk);
  };
  walk(card);
  return found;
}

/** Numbers of the steps' sentences, leaving out a step's own number and words that only caution. */
function said(card: Card): string[] {
  const steps = [...card.steps, ...card.assemblies.flatMap((item) => item.steps)];
  return steps.flatMap((step) =>
    [
      speech.stepTitle(step),
      ...speech.stepDetail(step),
      speech.stepCheck(step) ?? '',
      ...speech.stepMends(step),
    ].flatMap((text) => text.match(/\d+(\.\d+)?/g) ?? []),
  );
}

/** As the dressing is written, and with each option of every school that reaches a card; the others choose hooks, or turn the card round. */
const SCHOOLS: Partial<SchoolOption>[] = [
  {},
  ...ids.schools
    .filter((school) => !['size', 'x-label', 'eye-reading', 'hand'].includes(school.id))
    .flatMap((school) => school.options.map((option) => ({ [school.id]: option.id }))),
];

test.each(DRESSINGS.map((dressing) => [dressing.id, dressing] as const))(
  '%s: at three sizes, under every school, no sentence names a number that its card does not hold',
  (_, dressing) => {
    const style = STYLES.find((item) => item.id === dressing.style)!;
    const wrong: string[] = [];
    const looked = new Set<string>();
    // A school that has no place in it leaves its cards as they are.
    const here = SCHOOLS.filter((schools) => inSchool(dressing, schools, SHIPPED).unused.length === 0);
    for (const range of referenceRangeOf(dressing, style)) {
      for (const schools of here) {
        const card = cardOnHook(
          dressing,
          range,
          { styles: STYLES, stages: STAGES, materials: MATERIALS, ways: WAYS },
          schools,
        );
        // Most schools change nothing here: what was looked at once is not looked at again.
        const key = JSON.stringify([card.steps, card.assemblies]);
        if (looked.has(key)) continue;
        looked.add(key);
        const known = numbersOf(card);
        for (const number of said(card))
          if (!known.has(number) && !known.has(number.replace(/\.0$/, '')))
            wrong.push(`${JSON.stringify(schools)} ${number}`);
      }
    }
    expect(wrong).toEqual([]);
  },
);

test('the sheet of a card: mends, gauge, weight, widths, colours, what cannot be undone, each caution once', () => {
  const sheet = (id: string, stage: Parameters<typeof sampleOf>[0], mm: number) =>
    cardSheet(
      answer(
        sampleOf(stage, { lengthsMm: [mm], colours: { 'abdomen-belly': { hex: '#c9b44a', source: 'measured' } } }),
        { ...NO_CHOICES, dressingPin: id },
        SHIPPED,
      ).card!,
      speech,
    );
  const text = (id: string, stage: Parameters<typeof sampleOf>[0], mm: number) =>
    sheet(id, stage, mm)
      .sections.flatMap((section) => [section.title, ...section.lines])
      .join('\n');
  const dun = text('first-light-dun', 'mayfly/dun', 8);
  expect(dun).toMatch(/gauge \d+/);
  expect(dun).toMatch(/If it went wrong: /);
  expect(dun).toMatch(/cannot be undone/);
  expect(dun).toMatch(/Abdomen: .* in .*(olive|yellow)/);
  expect(dun).not.toMatch(/0\.0 mg|-\d+;/);
  const stone = text('flat-stone-nymph', 'stonefly/nymph', 22);
  expect(stone).toMatch(/Lead wire \d\.\d+ mm, one strip each side, \d+\.\d mm; \d+ mg/);
  expect(stone).toMatch(/Back strip: .* mm wide/);
  const care = sheet('flat-stone-nymph', 'stonefly/nymph', 22).sections.find((section) => section.id === 'care')!.lines;
  expect(care.filter((line) => line.includes('Blades')).length).toBe(1);
  expect(care.find((line) => line.includes('Lead:'))).toMatch(/^Step \d/);
  expect(care.filter((line) => line.includes('Local rules')).length).toBe(1);
});
