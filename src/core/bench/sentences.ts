import type { Card, CardStep } from '../tying/card-shape';
import type { Refusal } from './bench-shape';

const NUMBERS: Record<string, number> = { half: 0.5, one: 1, two: 2, three: 3, four: 4, five: 5, six: 6, seven: 7, eight: 8, nine: 9, ten: 10, eleven: 11, twelve: 12 };
const WORD = Object.keys(NUMBERS).join('|');
const TURNS = new RegExp(`\\b(${WORD}|\\d+)\\s+(?:\\w+\\s+){0,2}turns?\\b`, 'i');
const LAYERS = new RegExp(`\\b(${WORD}|\\d+)\\s+(?:flat\\s+)?layers?\\b`, 'i');
const FIBRES = new RegExp(`\\b(${WORD}|\\d+)\\s+(?:\\w+\\s+){0,2}(fibres|hairs|strands|bristles|wisps|plumes|tips)\\b`, 'i');
const EYES = new RegExp(`\\b(half an eye|an eye and a half|one eye|an eye|two eyes)( of (?:wire|shank))? (?:still )?(bare|free)`, 'i');
const EYE_SHARE: Record<string, number> = { 'half an eye': 0.5, 'an eye and a half': 1.5, 'one eye': 1, 'an eye': 1, 'two eyes': 2 };

const numberOf = (word: string) => NUMBERS[word.toLowerCase()] ?? Number(word);

/** Measures in a step's own words that its figures do not hold. A sentence that is made from figures cannot be here; one that was typed can. */
export function contradictions(card: Card): Refusal[] {
  const found: Refusal[] = [];
  const add = (step: CardStep, said: string, is: number) => found.push({ rule: 'L8', step: step.n, part: step.part, params: { said, is: Number(is.toFixed(2)) } });
  for (const step of card.steps) {
    const words = step.check;
    if (words === null || words.startsWith('school:')) continue;
    const turns = TURNS.exec(words);
    if (turns && step.do === 'wind' && step.turns !== null && !/around|lock/.test(words) && Math.abs(step.turns - numberOf(turns[1]!)) > 1e-9) add(step, turns[0], step.turns);
    const layers = LAYERS.exec(words);
    if (layers && step.do === 'wind' && step.turns !== null && /wire/.test(step.material?.id ?? '')) add(step, layers[0], 1);
    const fibres = FIBRES.exec(words);
    if (fibres && step.do === 'bind' && step.count !== null && step.count > 0 && numberOf(fibres[1]!) > 1 && numberOf(fibres[1]!) !== step.count && !/a side/.test(words)) add(step, fibres[0], step.count);
    const eyes = EYES.exec(words);
    if (eyes && step.at !== null && (step.do === 'tie-off' || step.do === 'wind')) {
      const end = step.at.mm / card.hook.eye_mm;
      const wanted = EYE_SHARE[eyes[1]!.toLowerCase()]!;
      if (step.do === 'tie-off' && Math.abs(end - wanted) > 0.2) add(step, eyes[0], end);
    }
  }
  return found;
}
