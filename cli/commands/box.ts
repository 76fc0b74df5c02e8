import ids from '../../src/catalogue/ids.json';
import type { StageId, WaterId } from '../../src/catalogue/ids';
import { CASE, COLOUR_WORDS, labOfShade, STAGES } from '../../src/catalogue';
import { KEY } from '../../src/catalogue/key';
import { believe } from '../../src/core/belief';
import { carriedFly, matchBox, type BoxAnswer, type BoxWanted, type CarriedFly } from '../../src/core/box';
import { boxWantedOf, insectOf, NOTHING_NOTED, sightingOf, type Natural } from '../../src/core/case';
import { BELLY } from '../../src/core/constants';
import { colourWord, hexOfLab } from '../../src/core/colour';
import { readiness } from '../../src/core/dressings';
import { readBoxFile } from '../../src/core/exchange';
import type { Material } from '../../src/core/materials';
import { roundAll } from '../../src/core/units';
import type { Speech } from '../../src/speech';
import { cellFault, inputFault } from '../args';
import { catalogueFor } from '../catalogue';
import type { Command } from '../command';
import { worded } from '../json';
import { DRESSINGS_FLAG } from '../own-dressings';
import type { Reader } from '../read';
import { whenOf } from '../sample';
import { STASH_FLAG, stashFrom, withStash } from '../stash';
import { signsOf } from '../signs';
import { columns, fold } from '../text';

const TOP = 12;
const TONES = ['dark', 'mid', 'pale'];

/** "pale olive" or "olive" as a colour word of the list, `tone-hue`. */
function shadeOfWords(text: string): string | null {
  const words = text
    .trim()
    .toLowerCase()
    .split(/[\s-]+/);
  const tone = words.find((word) => TONES.includes(word)) ?? 'mid';
  const hue = words.find((word) => word in COLOUR_WORDS.hues);
  return hue ? `${tone}-${hue}` : null;
}

/** The middle of a colour in words. */
function hexOfWords(text: string): string | null {
  const lab = labOfShade(shadeOfWords(text) ?? '');
  return lab ? hexOfLab(lab) : null;
}

function fliesOf(read: Reader): CarriedFly[] {
  const path = read.one('box');
  const text = path === null ? null : read.file('box', path);
  const catalogue = catalogueFor(read, undefined);
  if (text === null) return [];
  const known = {
    stages: STAGES.map((stage) => stage.id),
    rides: ids.rides.map((ride) => ride.id),
    dressings: catalogue.dressings.map((dressing) => dressing.id),
    shade: hexOfWords,
  };
  const { flies, problems } = readBoxFile(text, known);
  for (const problem of problems) read.fault(cellFault('box', problem));
  return flies.map((fly) => carriedFly(fly, catalogue));
}

/** What the flags say of the natural: a stage, or signs; length, belly or its colour in words. */
function wantedOf(read: Reader): BoxWanted {
  const stage = read.stage() as StageId | null;
  const heard = signsOf(read);
  const month = heard.has('month') ? Number(heard.get('month')) : null;
  const water = read.flagId<string>('water', ids.waters) ?? heard.get('water') ?? null;
  heard.delete('month');
  heard.delete('water');
  const mm = read.length('length', read.one('length'));
  const colour = read.colour('belly', read.one('belly'));
  const words = read.one('words');
  const shade = words === null ? null : shadeOfWords(words);
  if (words !== null && shade === null)
    read.fault(
      inputFault('words', 'not-one-of', words, {
        params: { allowed: Object.keys(COLOUR_WORDS.hues).join(', ') },
        allowed: Object.keys(COLOUR_WORDS.hues),
      }),
    );
  const natural: Natural = {
    ...NOTHING_NOTED,
    when: whenOf(month),
    water: water as WaterId | null,
    signs: Object.fromEntries(heard),
    specimens: mm === null ? [] : [insectOf(mm)],
    colours: colour ? { [BELLY]: colour.hex } : {},
    shades: shade ? { [BELLY]: shade } : {},
  };
  return boxWantedOf(natural, stage ? [stage] : [], believe(KEY, sightingOf(natural, { south: false }, CASE)), {
    key: KEY,
    stages: STAGES,
    ...CASE,
  });
}

function flyOut(answer: BoxAnswer, stash: ReadonlySet<string> | null, materials: readonly Material[], speech: Speech) {
  // Whether another can be tied when the last is gone.
  const again = answer.fly.dressing && readiness(answer.fly.dressing, stash, materials).reason;
  return {
    fly: answer.fly.id,
    name: answer.fly.name,
    hook: answer.fly.hook,
    left: answer.fly.left,
    place: answer.fly.place,
    score: answer.score,
    steps: answer.steps,
    colour_words: answer.deltaE === null ? null : colourWord(answer.deltaE),
    trims: answer.trims.map(({ id, gain }) => ({ id, text: speech.t(`trim-on-bank.${id}`), gain })),
    reasons: worded(again ? [...answer.reasons, again] : answer.reasons, speech),
  };
}

export const boxCommand: Command = {
  name: 'box',
  summary: 'the flies carried that answer a natural: box match --box FILE',
  flags: [
    DRESSINGS_FLAG,
    { name: 'box', takes: 'one', value: 'FILE', help: 'flies carried: docs/formats/box.md' },
    { name: 'order', takes: 'one', value: 'ID', help: 'order of the natural' },
    { name: 'stage', takes: 'one', value: 'ID', help: 'its stage' },
    { name: 'sign', takes: 'many', value: 'NAME=ANSWER', help: 'or its signs' },
    { name: 'length', takes: 'one', value: 'LEN', help: 'body length' },
    { name: 'belly', takes: 'one', value: 'COL', help: 'colour of the belly' },
    { name: 'words', takes: 'one', value: 'WORDS', help: 'or its colour in words: "pale olive"' },
    { name: 'water', takes: 'one', value: 'ID', help: 'fast, slow, still' },
    { name: 'top', takes: 'one', value: 'N', help: 'flies to list (12)' },
    { name: 'catalogue', takes: 'many', value: 'FILE', help: 'hooks of your own' },
    STASH_FLAG,
  ],
  words: ['match'],
  example: 'aubade box match --box box.csv --stage mayfly/dun --length 8.2',
  shape:
    '{ belief[], flies: { fly, name, hook, left, place, score, steps, colour_words, trims[], reasons[] }[], none_close, next_look }',
  run(read, speech) {
    if (read.words[0] !== 'match') {
      read.fault(
        inputFault('command', 'command-unknown', `box ${read.words[0] ?? ''}`.trim(), {
          params: { nearest: 'box match' },
          allowed: ['match'],
        }),
      );
      return null;
    }
    read.needed('box');
    const flies = fliesOf(read);
    const wanted = wantedOf(read);
    const stash = stashFrom(read);
    const { materials } = withStash(read);
    const top = read.number('top', [1, 100000], true) ?? TOP;
    if (read.faults.length > 0) return null;
    const result = matchBox(flies, wanted, STAGES);
    const json = {
      belief: wanted.belief.map(({ stage, p }) => ({ order: stage.split('/')[0], stage: stage.split('/')[1], p })),
      flies: result.flies.slice(0, top).map((answer) => flyOut(answer, stash, materials, speech)),
      none_close: result.noneClose ? speech.say(result.noneClose) : null,
      next_look: result.nextLook ? { what: result.nextLook.what, could_change: result.nextLook.couldChange } : null,
    };
    const lines = [
      columns(
        result.flies
          .slice(0, top)
          .map((answer) => [
            answer.fly.name,
            answer.fly.place,
            speech.t('cli.left', { count: answer.fly.left }),
            answer.steps === null ? '' : `${answer.steps >= 0 ? '+' : '-'}${Math.abs(answer.steps).toFixed(1)}`,
          ]),
      ),
      ...(json.none_close ? [fold(json.none_close)] : []),
      ...(result.nextLook
        ? [speech.t(result.nextLook.couldChange ? `box-look.${result.nextLook.what}` : 'box-look.nothing')]
        : []),
    ];
    return { json: roundAll(json), text: lines.join('\n'), exit: 0 };
  },
};
