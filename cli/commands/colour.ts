import { SHADES } from '../../src/catalogue';
import {
  colourOf,
  colourWord,
  deltaE,
  isShown,
  labOfHex,
  shadeOf,
  solveBlend,
  wetHex,
  type Colour,
} from '../../src/core/colour';
import { doesIn, substitutesFor } from '../../src/core/dressings';
import {
  calledHeld,
  everyHeld,
  fleckFor,
  heldBy,
  hexHeld,
  mixables,
  type Held,
  type Named,
} from '../../src/core/materials';
import type { Speech } from '../../src/speech';
import { cellFault, inputFault, type Flag } from '../args';
import type { Answered, Command } from '../command';
import { checkOut } from '../check';
import { worded } from '../json';
import { DRESSINGS_FLAG, ownLibrary } from '../own-dressings';
import type { Reader } from '../read';
import { heldFrom, readStashFile, STASH_FLAG } from '../stash';
import { columns, fold } from '../text';

const MOST_BLENDS = 50;
const USUAL_TOP = 5;
const NEAREST = 8;
const FLECK = [0.05, 0.1] as const;

const COLOUR_SHAPE = 'Colour { hex, lab, surface, words, source }';

/** A colour as it is told: with its word. */
const told = (colour: Colour) => ({ ...colour, shade: shadeOf(colour.lab) });

function namedOf(read: Reader): Named {
  return { materials: ownLibrary(read).materials, shades: SHADES };
}

/** A colour that a screen can show; what none can is a fault. */
function shown(read: Reader, field: string, text: string | null, surface: 'dry' | 'wet'): Colour | null {
  const parsed = read.colour(field, text);
  if (parsed === null) return null;
  if (!isShown(parsed.lab)) return read.fault(inputFault(field, 'colour-not-shown', text));
  return { ...colourOf(parsed.hex, surface, 'typed'), lab: parsed.lab };
}

/** A number of a flag, within bounds; `usual` where it was not given. */
function number(read: Reader, name: string, [low, high]: readonly [number, number], usual: number): number {
  const text = read.one(name);
  if (text === null) return usual;
  const value = Number(text);
  if (!Number.isFinite(value)) read.fault(inputFault(name, 'number-unread', text));
  else if (value < low || value > high) read.fault(inputFault(name, 'number-range', text, { params: { low, high } }));
  return value;
}

export const blendCommand: Command = {
  name: 'blend',
  summary: 'the best mixes of one, two or three dubbings, in twentieths, for a colour',
  flags: [
    { name: 'target', takes: 'one', value: 'COL', help: 'colour to reach' },
    { name: 'wet', takes: 'nothing', help: 'the colour is to be reached wet' },
    { name: 'over', takes: 'one', value: 'COL', help: 'underbody that shows through' },
    STASH_FLAG,
    { name: 'fleck', takes: 'one', value: '0.05-0.10', help: 'share of flash, kept out of the mix' },
    { name: 'parts', takes: 'one', value: '1-3', help: 'most parts of a mix; 3 where it is not said' },
    { name: 'top', takes: 'one', value: 'N', help: 'how many mixes; 5 where it is not said' },
  ],
  words: [],
  example: 'aubade blend --target "#8a7f3c" --wet --parts 2 --json',
  shape: `{ target: ${COLOUR_SHAPE}, blends: { parts: { material, name, twentieths }[], lab_dry, lab_wet, delta_e00, words }[], fleck: { material, name, share } | null, tried, ms }`,
  run(read, speech) {
    read.needed('target');
    const wet = read.has('wet');
    const target = shown(read, 'target', read.one('target'), wet ? 'wet' : 'dry');
    const under = shown(read, 'over', read.one('over'), 'dry');
    const parts = number(read, 'parts', [1, 3], 3);
    const top = number(read, 'top', [1, MOST_BLENDS], USUAL_TOP);
    const share = read.one('fleck') === null ? null : number(read, 'fleck', FLECK, FLECK[0]);
    for (const [name, value] of [
      ['parts', parts],
      ['top', top],
    ] as const)
      if (Number.isFinite(value) && !Number.isInteger(value))
        read.fault(inputFault(name, 'cell-not-count', String(value)));
    const held = heldFrom(read) ?? everyHeld(namedOf(read));
    if (read.faults.length > 0 || target === null) return null;
    const known = mixables(held);
    if (known.length === 0) return read.fault(inputFault('stash', 'nothing-to-blend', read.one('stash')));
    const begun = performance.now();
    const { blends, tried } = solveBlend(known, {
      target: target.lab,
      wet,
      over: under?.hex ?? null,
      parts: parts as 1 | 2 | 3,
      top,
    });
    const ms = Math.round(performance.now() - begun);
    const nameOf = (id: string) => known.find((own) => own.id === id)!.name;
    const word = (apart: number) => speech.plain('colour-words', colourWord(apart));
    const flash = share === null ? null : fleckFor(held, target.lab);
    const fleck = flash && { material: flash.id, name: flash.name, share };
    return {
      json: worded(
        {
          target: told(target),
          blends: blends.map((blend) => ({
            parts: blend.parts.map(({ id, twentieths }) => ({ material: id, name: nameOf(id), twentieths })),
            lab_dry: blend.labDry,
            lab_wet: blend.labWet,
            delta_e00: blend.deltaE,
            words: word(blend.deltaE),
          })),
          fleck,
          tried,
          ms,
        },
        speech,
      ),
      text: [
        speech.t('cli.blend-for', {
          hex: target.hex,
          shade: speech.shade(shadeOf(target.lab)),
          surface: speech.plain('surfaces', target.surface),
        }),
        ...blends.map((blend) =>
          fold(
            `- ${speech.t('cli.blend-parts', {
              parts: blend.parts
                .map(({ id, twentieths }) => speech.t('cli.blend-part', { twentieths, name: nameOf(id) }))
                .join(' + '),
              words: word(blend.deltaE),
              apart: Math.round(blend.deltaE),
              dry: blend.dry,
              wet: blend.wet,
            })}`,
            2,
          ),
        ),
        ...(fleck
          ? [fold(`- ${speech.t('cli.blend-fleck', { share: Math.round(100 * share!), name: fleck.name })}`, 2)]
          : []),
      ].join('\n'),
      exit: 0,
    };
  },
};

export const shadeCommand: Command = {
  name: 'shade',
  summary: 'what a colour is called, what it is wet, and the materials nearest to it',
  flags: [
    { name: 'surface', takes: 'one', value: 'dry|wet', help: 'how the colour was seen; dry where it is not said' },
  ],
  words: ['COL'],
  example: 'aubade shade "#8a7f3c" --json',
  shape: `{ name, lab, wet: ${COLOUR_SHAPE}, nearest: { material, name, delta_e00, words }[] }`,
  run(read, speech) {
    const surface = read.flagId<'dry' | 'wet'>('surface', [
      { id: 'dry', name: 'dry' },
      { id: 'wet', name: 'wet' },
    ]);
    const text = read.words[0] ?? null;
    if (text === null) read.fault(inputFault('colour', 'flag-missing', null));
    const colour = shown(read, 'colour', text, surface ?? 'dry');
    if (read.faults.length > 0 || colour === null) return null;
    const wet = surface === 'wet' ? colour : colourOf(wetHex(colour.hex), 'wet', 'model');
    const nearest = everyHeld(namedOf(read))
      .filter(({ material, shade }) => material.transmittance < 0.5 && !shade?.bright)
      .map((held) => {
        const hex = surface === 'wet' ? wetHex(hexHeld(held), held.material.absorbency) : hexHeld(held);
        const apart = deltaE(labOfHex(hex), colour.lab);
        return {
          material: calledHeld(held).id,
          name: calledHeld(held).name,
          delta_e00: apart,
          words: speech.plain('colour-words', colourWord(apart)),
        };
      })
      .sort((a, b) => a.delta_e00 - b.delta_e00 || a.material.localeCompare(b.material))
      .slice(0, NEAREST);
    const name = speech.shade(shadeOf(colour.lab));
    return {
      json: worded({ name, lab: colour.lab, wet: told(wet), nearest }, speech),
      text: [
        speech.t('cli.shade-is', {
          hex: colour.hex,
          shade: name,
          wet: wet.hex,
          wetShade: speech.shade(shadeOf(wet.lab)),
        }),
        columns(nearest.map((own) => [`- ${own.name}`, String(Math.round(own.delta_e00)), own.words])),
      ].join('\n'),
      exit: 0,
    };
  },
};

export const substituteCommand: Command = {
  name: 'substitute',
  summary: 'what may stand in for a material, by what it does',
  flags: [
    { name: 'for', takes: 'one', value: 'ID', help: 'material that is missing, by id or name' },
    STASH_FLAG,
    { name: 'dressing', takes: 'one', value: 'ID', help: 'the fly it goes into' },
    DRESSINGS_FLAG,
  ],
  words: [],
  example: 'aubade substitute --for cock-hackle-grey --dressing first-light-dun --json',
  shape:
    '{ for, substitutes: { material, name, keeps: Id[], loses: Id[], delta_e00: number | null, changes: string[], score }[], refused: { material, name, why }[] }',
  run(read, speech) {
    read.needed('for');
    const text = read.one('for');
    const { dressings, materials } = ownLibrary(read);
    const held: readonly Held[] = heldFrom(read) ?? everyHeld(namedOf(read));
    const wanted = wantedBy(read, text);
    const dressing = read.id<string>('dressing', read.one('dressing'), dressings);
    if (read.faults.length > 0 || wanted === null) return null;
    const { own, asks } = wanted;
    const fly = dressings.find(({ id }) => id === dressing) ?? null;
    const named = materials.find(({ id }) => id === asks)!;
    if (fly && doesIn(fly, named).length === 0)
      return read.fault(
        inputFault('dressing', 'material-not-in-dressing', dressing, {
          params: { dressing: fly.name, material: named.name },
        }),
      );
    const { substitutes, refused } = substitutesFor({ wanted: named, hex: hexHeld(own), held, dressing: fly });
    const rows = substitutes.map((one) => ({
      material: one.id,
      name: one.name,
      keeps: one.keeps,
      loses: one.loses,
      delta_e00: one.deltaE,
      changes: one.changes.map((change) => speech.say(change)),
      score: one.score,
    }));
    const out = refused.map(({ id, name, why }) => ({ material: id, name, why: speech.say(why) }));
    return {
      json: worded({ for: own.shade?.id ?? asks, substitutes: rows, refused: out }, speech),
      text: [
        rows.length === 0
          ? speech.t('cli.substitute-none', { name: named.name })
          : speech.t('cli.substitute-for', { name: calledHeld(own).name }),
        ...rows.map((row) => fold(`- ${[row.name, ...row.changes].join('; ')}`, 2)),
        ...out.map((row) => fold(`- ${speech.t('cli.substitute-refused', row)}`, 2)),
      ].join('\n'),
      exit: 0,
    };
  },
};

/** A material that is asked for, in its shade, and the row of the list that dressings call it by. */
function wantedBy(read: Reader, text: string | null): { own: Held; asks: string } | null {
  if (text === null) return null;
  const named = namedOf(read);
  const found = heldBy(named, { material: text });
  if (!found.ok) {
    const near = [read.nearest(text, found.fault.allowed)];
    return read.fault(
      inputFault('for', found.fault.code, text, { params: { got: text, allowed: { list: near } }, allowed: near }),
    );
  }
  const { held } = found;
  const listed = held.shade && named.materials.some(({ id }) => id === held.shade!.id);
  return { own: held, asks: listed ? held.shade!.id : held.material.id };
}

export const stashCommand: Command = {
  name: 'stash',
  summary: 'a table of the materials to hand: every row that cannot be used, and why',
  flags: [DRESSINGS_FLAG] satisfies Flag[],
  words: ['check', 'FILE'],
  example: 'aubade stash check stash.csv --json',
  shape: 'Check { file, rows, good, bad, problems: { line, column, record, rule, message, got, accepted }[] }',
  run(read, speech) {
    const [verb, path] = read.words;
    if (verb !== 'check')
      return read.fault(
        inputFault('command', 'not-one-of', verb ?? null, { params: { allowed: 'check' }, allowed: ['check'] }),
      );
    if (path === undefined) return read.fault(inputFault('file', 'flag-missing', null));
    return checked(read, speech, path);
  },
};

function checked(read: Reader, speech: Speech, path: string): Answered | null {
  const result = readStashFile(read, 'file', path);
  if (result === null || read.faults.length > 0) return null;
  const whole = result.problems.find(({ code }) => code === 'column-missing');
  if (whole) return read.fault(cellFault('file', whole));
  return checkOut(
    path,
    { count: result.count, good: result.rows.length, problems: result.problems },
    speech,
    (problem) => (problem.column === 'material' ? problem.got : null),
  );
}
