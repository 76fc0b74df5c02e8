import { DRESSINGS, MATERIALS, STAGES, STYLES, tailsOf, WAYS } from '@/catalogue';
import { referenceRangeOf, switchedWays, type Dressing } from '../dressings';
import { tieCard } from '../bench';
import { benchFaults, cardOnHook } from '.';

const CATALOGUE = { styles: STYLES, stages: STAGES, materials: MATERIALS, ways: WAYS, tailsOf };
const of = (id: string) => DRESSINGS.find((dressing) => dressing.id === id)!;
const styleOf = (dressing: Dressing) => STYLES.find((style) => style.id === dressing.style)!;
const rulesOf = (dressing: Dressing) => benchFaults(dressing, CATALOGUE).map(({ rule }) => rule);
const middle = (dressing: Dressing) => referenceRangeOf(dressing, styleOf(dressing))[1]!;

test('a part that is only there when its switch is on is tied as well', () => {
  const beetle = of('shell-top-beetle');
  expect(rulesOf(beetle)).toEqual([]);
  // The spot bound over the folded shell: thread is led over a finished body, with the switch on alone.
  const behind = {
    ...beetle,
    parts: beetle.parts.map((part) => (part.id === 'post' ? { ...part, from: 'one-third' } : part)),
    steps: beetle.steps.map((step) => (step.part === 'post' && step.at !== null ? { ...step, at: 'one-third' } : step)),
  };
  expect(rulesOf(behind)).toContain('T2');
  expect(
    rulesOf({
      ...behind,
      switches: [],
      parts: behind.parts.filter((part) => part.id !== 'post'),
      steps: behind.steps.filter((step) => step.part !== 'post'),
    }),
  ).toEqual([]);
});

test('what a switch leaves out is on neither the card nor the bench', () => {
  const nymph = of('cheeked-quill-nymph');
  const [asRule, , bare] = switchedWays(nymph);
  const cards = [asRule!, bare!].map((way) => cardOnHook(nymph, middle(nymph), CATALOGUE, {}, way));
  expect(cards.map((card) => card.parts.some((part) => part.id === 'cheeks'))).toEqual([true, false]);
  for (const card of cards) expect(tieCard(nymph, card, CATALOGUE).refusals).toEqual([]);
});

/** Faults that a hand makes in a record: each is made in turn in every dressing that has such a step. */
const FAULTS: [string, (step: Dressing['steps'][number]) => boolean][] = [
  ['a thread never started', (step) => step.do === 'start-thread'],
  ['a material never caught in', (step) => step.do === 'catch-in'],
  ['a material never tied off', (step) => step.do === 'tie-off' && step.as === null],
  ['waste never cut', (step) => step.do === 'cut' && step.cuts === 'waste'],
  ['a thread never cut', (step) => step.do === 'cut' && step.cuts === 'thread'],
  ['a fly never whipped', (step) => step.do === 'finish'],
];
test.each(FAULTS)('%s is refused in every dressing of the library', (_, isIt) => {
  const silent = DRESSINGS.flatMap((dressing) => {
    const { hook, naturalMm } = middle(dressing);
    const card = cardOnHook(dressing, { hook, naturalMm }, CATALOGUE);
    const at = dressing.steps.findIndex(
      (step) => isIt(step) && card.steps.some((own) => own.part === step.part && own.do === step.do),
    );
    if (at < 0) return [];
    const spoiled = { ...dressing, steps: dressing.steps.filter((_step, index) => index !== at) };
    return tieCard(spoiled, cardOnHook(spoiled, { hook, naturalMm }, CATALOGUE), CATALOGUE).refusals.length === 0
      ? [`${dressing.id} ${dressing.steps[at]!.part}`]
      : [];
  });
  expect(silent).toEqual([]);
});
