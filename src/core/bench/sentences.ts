import type { Card, CardStep } from '../card/card-shape';
import type { Refusal } from './bench-shape';

const NUMBERS: Record<string, number> = {
  half: 0.5,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  eleven: 11,
  twelve: 12,
};
const WORD = Object.keys(NUMBERS).join('|');
const TURNS = new RegExp(`\\b(${WORD}|\\d+)\\s+(?:\\w+\\s+){0,2}turns?\\b`, 'i');
const LAYERS = new RegExp(`\\b(${WORD}|\\d+)\\s+(?:flat\\s+)?layers?\\b`, 'i');
const FIBRES = new RegExp(
  `\\b(${WORD}|\\d+)\\s+(?:\\w+\\s+){0,2}(fibres|hairs|strands|bristles|wisps|plumes|tips)\\b`,
  'i',
);
/** Eyes of wire that a sentence leaves bare, by how it says so. */
const EYES: readonly [pattern: RegExp, eyes: number][] = [
  [/\bhalf\san\seye\b.*(bare|free)/i, 0.5],
  [/\ban\seye\sand\sa\shalf\b.*(bare|free)/i, 1.5],
  [/\btwo\seyes\b.*(bare|free)/i, 2],
  [/\b(one|an)\seye\b.*(bare|free)/i, 1],
];

/** Eyes by which a sentence may be off. */
const EYE_SLACK = 0.2;

const numberOf = (word: string) => NUMBERS[word.toLowerCase()] ?? Number(word);

/** Measures in a step's own words that its figures do not hold. A sentence that is made from figures cannot be here; one that was typed can. */
export function contradictions(card: Card): Refusal[] {
  const found: Refusal[] = [];
  const add = (step: CardStep, said: string, is: number) =>
    found.push({ rule: 'L8', step: step.n, part: step.part, params: { said, is: Number(is.toFixed(2)) } });
  for (const step of card.steps) {
    const words = step.check;
    if (words === null || words.startsWith('school:')) continue;
    const turns = TURNS.exec(words);
    if (
      turns &&
      step.do === 'wind' &&
      step.turns !== null &&
      !/around|lock/.test(words) &&
      Math.abs(step.turns - numberOf(turns[1]!)) > 1e-9
    )
      add(step, turns[0], step.turns);
    const layers = LAYERS.exec(words);
    if (layers && step.do === 'wind' && step.turns !== null && /wire/.test(step.material?.id ?? ''))
      add(step, layers[0], 1);
    const fibres = FIBRES.exec(words);
    if (
      fibres &&
      step.do === 'bind' &&
      step.count !== null &&
      step.count > 0 &&
      numberOf(fibres[1]!) > 1 &&
      numberOf(fibres[1]!) !== step.count &&
      !/a side/.test(words)
    )
      add(step, fibres[0], step.count);
    const eyes = EYES.find(([pattern]) => pattern.test(words));
    if (eyes && step.at !== null && step.do === 'tie-off') {
      const end = step.at.mm / card.hook.eye_mm;
      if (Math.abs(end - eyes[1]) > EYE_SLACK) add(step, eyes[0].exec(words)![0], end);
    }
  }
  return found;
}
