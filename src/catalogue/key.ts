import {
  prepareKey,
  type Answers,
  type ColourWords,
  type GrowingOn,
  type KeyData,
  type NaturalGroup,
  type WaterOdds,
} from '@/core/belief';
import type { Lab } from '@/core/colour';
import colourWords from './colour-words.json';
import groups from './groups.json';
import growingOn from './growing-on.json';
import ids from './ids.json';
import likelihoods from './likelihoods.json';
import observations from './observations.json';
import { STAGES } from './shipped';

/** Signs of the key with their answers, then where, doing what and in what light. */
export const ANSWERS = Object.fromEntries([
  ...ids.signs.map((sign) => [sign.id, sign.answers.map((answer) => answer.id)]),
  ['found', ids.found.map((item) => item.id)],
  ['doing', ids.doing.map((item) => item.id)],
  ['light', ids.lights.map((item) => item.id)],
]) as unknown as Answers;

export const GROUPS = groups as unknown as readonly NaturalGroup[];
export const COLOUR_WORDS = colourWords as unknown as ColourWords;
export const GROWING_ON = growingOn as unknown as GrowingOn;

/** Centre of a colour word `tone-hue`; null when it is none. */
export function labOfShade(shade: string): Lab | null {
  const [tone, hue] = shade.split('-') as [string, string];
  return COLOUR_WORDS.hues[hue]?.[tone] ?? null;
}

/** What of the shipped data a case is worked out against, beside the key. */
export const CASE = { growing: GROWING_ON, labOfShade };

/** The shipped key, made ready once. */
export const KEY = prepareKey({
  answers: ANSWERS,
  data: likelihoods as unknown as KeyData,
  odds: observations as unknown as WaterOdds,
  groups: GROUPS,
  colours: COLOUR_WORDS,
  stages: STAGES,
});
