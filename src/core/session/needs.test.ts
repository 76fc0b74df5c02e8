import { TOOLS } from '@/catalogue';
import { cardOn14 } from '../../../tools/test-catalogue';
import { hooksFor, sessionNeeds, spoiledShare } from '.';

const NONE = { tied: 0, spoiled: 0 };
const dun = cardOn14('first-light-dun');

test('one fly in twelve is usually spoiled; the tier’s own record weighs more with every fly', () => {
  expect(spoiledShare(NONE)).toBeCloseTo(1 / 12, 9);
  expect(spoiledShare({ tied: 88, spoiled: 19 })).toBeCloseTo(0.2, 9);
  expect([hooksFor(1, NONE), hooksFor(11, NONE), hooksFor(12, NONE), hooksFor(0, NONE)]).toEqual([2, 12, 14, 0]);
  expect(hooksFor(8, { tied: 88, spoiled: 19 })).toBe(10);
});

test('hooks of two dressings on one hook add up; without a drawer nothing is said to be left', () => {
  const items = [
    { card: dun, count: 4, record: NONE },
    { card: { ...dun, dressing: { ...dun.dressing, id: 'b' } }, count: 2, record: NONE },
  ];
  const needs = sessionNeeds(items, { owned: { [dun.hook.id]: 5 }, tools: null }, TOOLS);
  expect(needs.hooks).toEqual([expect.objectContaining({ id: dun.hook.id, flies: 6, wanted: 5 + 3, left: 5 })]);
  expect(sessionNeeds(items, { owned: {}, tools: null }, TOOLS).hooks[0]!.left).toBe(0);
  expect(sessionNeeds(items, { owned: null, tools: null }, TOOLS).hooks[0]!.left).toBeNull();
});

test('tools that are missing are told with how to do without; cautions once', () => {
  const items = [
    { card: dun, count: 1, record: NONE },
    { card: dun, count: 1, record: NONE },
  ];
  expect(sessionNeeds(items, { owned: null, tools: null }, TOOLS).tools).toEqual([]);
  expect(sessionNeeds(items, { owned: null, tools: new Set(dun.tools) }, TOOLS).tools).toEqual([]);
  const none = sessionNeeds(items, { owned: null, tools: new Set() }, TOOLS).tools;
  expect(none.map(({ id }) => id)).toEqual([...new Set(dun.tools)]);
  for (const { without } of none) expect(without).not.toBe('');
  const { cautions } = sessionNeeds(items, { owned: null, tools: null }, TOOLS);
  expect(new Set(cautions).size).toBe(cautions.length);
  expect(cautions).toEqual(expect.arrayContaining(['hook-point', 'varnish']));
});

test('materials that are short and what stands in are told by their dressing', () => {
  const [first, second] = dun.materials as [(typeof dun.materials)[number], (typeof dun.materials)[number]];
  const card = {
    ...dun,
    materials: [
      { ...first, as: 'short' as const },
      { ...second, as: 'substitute' as const },
    ],
  };
  const needs = sessionNeeds([{ card, count: 1, record: NONE }], { owned: null, tools: null }, TOOLS);
  expect(needs.short).toEqual([{ dressing: dun.dressing.name, material: expect.any(String) }]);
  expect(needs.short[0]!.material).not.toBe(first.used);
  expect(needs.instead).toEqual([{ dressing: dun.dressing.name, material: second.asked, by: expect.any(String) }]);
});
