import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { SHIPPED } from '../../../tools/test-catalogue';
import { labOfHex } from '../colour';
import golden from './__tests__/ranked.json';
import { askedFor, type Asked } from './picking';
import { beforeSecond, rankDressings, whyNot } from './rank';

const SHOWN = 14;
const OLIVE = { 'abdomen-belly': labOfHex('#8a7f3c'), wing: labOfHex('#9aa0a3'), 'thorax-belly': labOfHex('#5b3d28') };
const round = (value: number) => Number(value.toFixed(6));

/** Sixteen questions that between them ask everything a dressing is judged by. */
const QUESTIONS: readonly [Asked['stage'], Parameters<typeof askedFor>[1]][] = [
  [
    'mayfly/dun',
    {
      lengthMm: 8.2,
      water: 'slow',
      colours: OLIVE,
      picking: { levels: ['surface'], groups: ['m01', 'm02'], month: 5, skill: 2, minutes: 8 },
    },
  ],
  [
    'mayfly/dun',
    {
      lengthMm: 3,
      water: 'fast',
      intent: 'easier-prey',
      picking: { levels: ['bed', 'drift'], month: 11, skill: 1, minutes: 2, tools: new Set(['bobbin', 'scissors']) },
    },
  ],
  [
    'mayfly/dun',
    {
      intent: 'different-after-refusal',
      picking: {
        stash: new Set(['thread-olive-70', 'stiff-fibres-grey', 'cdc-grey']),
        results: new Map([
          ['first-light-dun', { took: 3, refused: 1 }],
          ['half-out-dun', { took: 0, refused: 2 }],
        ]),
      },
    },
  ],
  ['mayfly/dun', { lengthMm: 9, intent: 'half-attractor', picking: { weights: { ride: 2, length: 0, intent: 2 } } }],
  [
    'mayfly/nymph',
    {
      lengthMm: 10,
      water: 'fast',
      surface: 'wet',
      colours: OLIVE,
      picking: { levels: ['bed'], groups: ['m24'], skill: 3 },
    },
  ],
  [
    'mayfly/nymph',
    {
      lengthMm: 20,
      picking: { levels: ['film', 'surface'], stash: new Set(SHIPPED.materials.map((material) => material.id)) },
    },
  ],
  ['mayfly/spinner', { lengthMm: 9, intent: 'easier-prey', picking: { levels: ['surface'] } }],
  ['mayfly/cripple', { lengthMm: 7.5, water: 'still', colours: { shuck: labOfHex('#8a5a2a') } }],
  [
    'caddis/pupa',
    { lengthMm: 12, water: 'slow', colours: OLIVE, picking: { levels: ['rising'], month: 7, minutes: 5 } },
  ],
  ['caddis/adult', { lengthMm: 4.5, picking: { levels: ['surface', 'bed'], groups: ['c08'], tools: new Set([]) } }],
  ['midge/pupa', { lengthMm: 6, water: 'still', picking: { levels: ['film'], month: 3 } }],
  ['stonefly/nymph', { lengthMm: 95, water: 'fast', picking: { levels: ['bed'] } }],
  ['hawthorn-fly/adult', { lengthMm: 11, picking: { month: 4 } }],
  ['crane-fly/adult', { lengthMm: 18, intent: 'easier-prey' }],
  ['mayfly/diver', {}],
  ['leech/adult', { lengthMm: 30, water: 'slow', picking: { skill: 1, minutes: 4, tools: new Set(['bobbin']) } }],
];

test('the golden table of the choice: no fit, reason or order moves unseen', () => {
  const now = QUESTIONS.map(([stage, more]) => {
    const ranked = rankDressings(SHIPPED.dressings, askedFor(stage, more), SHIPPED);
    return {
      stage,
      before: ranked[1] ? beforeSecond(ranked[0]!, ranked[1]) : null,
      lastCost: whyNot(ranked[0]!, ranked.at(-1)!).map(({ code }) => code),
      of: ranked.length,
      first: ranked
        .slice(0, SHOWN)
        .map(({ dressing, score, stageMatch, why, criteria }) => [
          dressing.id,
          round(score),
          stageMatch,
          why.map(({ code, params, evidence, weight }, at) => [
            criteria[at],
            code,
            params,
            evidence,
            round(weight ?? 1),
          ]),
        ]),
    };
  });
  // A change that is meant is written anew with WRITE_GOLDEN=1 and looked through.
  if (process.env.WRITE_GOLDEN)
    return writeFileSync(
      join(__dirname, '__tests__/ranked.json'),
      `[\n${now.map((asked) => JSON.stringify(asked)).join(',\n')}\n]\n`,
    );
  expect(JSON.parse(JSON.stringify(now))).toEqual(golden);
});
