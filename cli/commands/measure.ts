import sharp from 'sharp';
import { Z95 } from '../../src/core/constants';
import { FIELD_CARDS } from '../../src/catalogue/field-cards';
import ids from '../../src/catalogue/ids.json';
import { hexOfLab } from '../../src/core/colour';
import {
  measureByScale,
  measurePhoto,
  photographOf,
  type Photograph,
  type PhotoMeasure,
  type View,
} from '../../src/core/photo';
import { roundAll } from '../../src/core/units';
import type { Speech } from '../../src/speech';
import { inputFault } from '../args';
import type { Command } from '../command';
import { worded } from '../json';
import type { Reader } from '../read';

/** Larger pictures are made smaller first; the scale is the card's own. */
const LONGEST_PX = 4400;
const MOST_PIXELS = 60e6;

async function pictureOf(read: Reader, path: string): Promise<{ picture: Photograph; shrunk: number } | null> {
  try {
    const image = sharp(path, { limitInputPixels: MOST_PIXELS }).rotate();
    const { width, height } = await sharp(path).metadata();
    const longest = Math.max(width ?? 0, height ?? 0);
    const sized = longest > LONGEST_PX ? image.resize({ width: LONGEST_PX, height: LONGEST_PX, fit: 'inside' }) : image;
    const { data, info } = await sized.toColourspace('srgb').ensureAlpha().raw().toBuffer({ resolveWithObject: true });
    return {
      picture: photographOf({
        width: info.width,
        height: info.height,
        rgba: new Uint8Array(data.buffer, data.byteOffset, data.length),
      }),
      shrunk: longest > LONGEST_PX ? Math.max(info.width, info.height) / longest : 1,
    };
  } catch {
    return read.fault(inputFault('photo', 'photo-unread', path));
  }
}

/** Two points in pixels, `x,y:x,y`. */
function pointsOf(read: Reader): [number, number, number, number] | null {
  const text = read.one('points');
  if (text === null) return null;
  const found = /^(\d+(?:\.\d+)?),(\d+(?:\.\d+)?):(\d+(?:\.\d+)?),(\d+(?:\.\d+)?)$/.exec(text.trim());
  if (!found) return read.fault(inputFault('points', 'points-unread', text));
  return [Number(found[1]), Number(found[2]), Number(found[3]), Number(found[4])];
}

/** A card's own correction: `{ "printed_scale": 0.97 }`. */
function scaleOfFile(read: Reader): number | null {
  const path = read.one('field-card');
  const text = path === null ? null : read.file('field-card', path);
  if (text === null) return null;
  try {
    const value = Number((JSON.parse(text) as { printed_scale?: unknown }).printed_scale);
    if (value >= 0.8 && value <= 1.25) return value;
  } catch {
    return read.fault(inputFault('field-card', 'file-unread', path));
  }
  return read.fault(inputFault('field-card', 'number-range', path, { params: { low: 0.8, high: 1.25 } }));
}

function outOf(
  result: PhotoMeasure,
  asked: { view: View; surface: 'dry' | 'wet'; printedScale: number },
  speech: Speech,
) {
  return {
    refused: result.refused
      ? {
          code: result.refused.code,
          message: speech.say(result.refused, 'fault'),
          do: speech.t(`photo-do.${result.refused.code}`),
        }
      : null,
    field_card: {
      found: result.card !== null,
      kind: result.card?.size ?? null,
      residual_mm: result.card?.residualMm ?? null,
      tilt_deg: result.card?.tiltDeg ?? null,
      printed_scale: asked.printedScale,
    },
    light: result.light ? { white_xyz: xyzOf(result.light.white), unevenness: result.light.unevenness } : null,
    specimens: result.insects.map((insect) => ({
      n: insect.n,
      view: insect.view,
      surface: insect.surface,
      body_mm: insect.bodyMm,
      body_sd_mm: insect.sdMm,
      body_error_mm: insect.error,
      overall_mm: insect.overallMm,
      width_mm: insect.widthMm,
      confidence: insect.confidence,
      midline_mm: insect.midlineMm,
      widths_mm: insect.widthsMm,
      regions: Object.fromEntries(
        Object.entries(insect.regions).map(([region, colour]) => [
          region,
          { lab: colour.lab, hex: hexOfLab(colour.lab), delta_e_spread: colour.spread, second: colour.second },
        ]),
      ),
      warnings: worded(insect.warnings, speech),
    })),
  };
}

/** Linear sRGB to CIE XYZ, D65. Source: IEC 61966-2-1. */
function xyzOf([r, g, b]: readonly [number, number, number]): [number, number, number] {
  return [
    0.4123908 * r + 0.3575843 * g + 0.1804808 * b,
    0.212639 * r + 0.7151687 * g + 0.0721923 * b,
    0.0193308 * r + 0.1191948 * g + 0.9505322 * b,
  ];
}

export const measureCommand: Command = {
  name: 'measure',
  summary: 'length, widths and colours of the insects in a photograph',
  flags: [
    { name: 'field-card', takes: 'one', value: 'FILE', help: 'your card\'s own correction: { "printed_scale": 0.97 }' },
    { name: 'printed-scale', takes: 'one', value: 'N', help: 'true over printed length of the check line (1)' },
    { name: 'view', takes: 'one', value: 'ID', help: 'back, belly or side (belly)' },
    { name: 'surface', takes: 'one', value: 'ID', help: 'dry or wet (dry)' },
    { name: 'known', takes: 'one', value: 'LEN', help: 'without a card: a known length' },
    { name: 'points', takes: 'one', value: 'x,y:x,y', help: 'its two ends in the picture, px' },
  ],
  words: ['PHOTO'],
  example: 'aubade measure insect.jpg --view belly --surface wet --json',
  shape: '{ refused, field_card, light, specimens[] }',
  async run(read, speech) {
    const [path] = read.words;
    if (path === undefined) read.fault(inputFault('photo', 'flag-missing', null));
    const view = read.flagId<View>('view', ids.views) ?? 'belly';
    const surface = read.flagId<'dry' | 'wet'>('surface', ids.surfaces) ?? 'dry';
    const printedScale = read.number('printed-scale', [0.8, 1.25], false) ?? scaleOfFile(read) ?? 1;
    const known = read.length('known', read.one('known'));
    const points = pointsOf(read);
    if (known !== null && read.one('points') === null) read.needed('points');
    if (points !== null && read.one('known') === null) read.needed('known');
    if (read.faults.length > 0) return null;
    const decoded = await pictureOf(read, path!);
    if (!decoded) return null;
    const asked = { view, surface, printedScale };
    const { picture, shrunk } = decoded;
    const result =
      known !== null && points !== null
        ? measureByScale(picture, (shrunk * Math.hypot(points[2] - points[0], points[3] - points[1])) / known, asked)
        : measurePhoto(picture, asked, FIELD_CARDS);
    const json = outOf(result, asked, speech);
    const lines = json.refused
      ? [json.refused.message, json.refused.do]
      : result.insects.map((insect) =>
          speech.t('cli.measured-insect', {
            n: insect.n,
            body: speech.length(insect.bodyMm, true),
            half: speech.length(Z95 * insect.sdMm, true),
            overall: speech.length(insect.overallMm),
            width: speech.length(insect.widthMm),
          }),
        );
    return { json: roundAll(json), text: lines.join('\n'), exit: 0 };
  },
};
