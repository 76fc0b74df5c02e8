import { SHIPPED } from '../../../tools/test-catalogue';
import { scaleDressing } from '../../../tools/scale-dressing';
import { cardFor, carryOn, NO_CHOICES, styleUse, type Choices } from '../answer';
import { derive, type Dressing } from '../dressings';
import { reads, type Hook } from '../hooks';
import { mirrorCard, type Card } from '.';

/** Hooks of the shipped catalogue that carry a natural of the dressing's range in its style, of a bend it is meant for: of those within half a number of each other one. */
function hooksInRange(dressing: Dressing): Hook[] {
  const style = SHIPPED.styles.find((item) => item.id === dressing.style)!;
  const bead = dressing.weights.find((weight) => weight.kind === 'bead') ?? null;
  const asked = (mm: number) =>
    style.share *
    (style.measure === 'case' ? 1.2 * mm : style.measure === 'raft' ? Math.sqrt(Math.max(1, 11 / mm)) * mm : mm);
  const inRange = SHIPPED.hooks.filter((hook) => {
    if (!style.bends.includes(hook.bend)) return false;
    const carried = carryOn(hook, { ...styleUse(style), bead }, false);
    return (
      carried !== null &&
      carried.carryMm >= asked(dressing.length_mm[0]) &&
      carried.carryMm <= asked(dressing.length_mm[1])
    );
  });
  return [...new Map(inRange.map((hook) => [`${hook.bend} ${Math.round(reads(hook.shank.value!))}`, hook])).values()];
}

const cardOn = (dressing: Dressing, hook: Hook, choices: Partial<Choices> = {}) =>
  cardFor({
    dressing,
    hook,
    sample: null,
    choices: { ...NO_CHOICES, hookPin: hook.id, dressingPin: dressing.id, ...choices },
    catalogue: SHIPPED,
    count: null,
  });

const LENGTHS: ReadonlySet<string> = new Set([
  'mm',
  'thick_mm',
  'cut_mm',
  'barb_mm',
  'stem_mm',
  'pitch_mm',
  'diameter_mm',
  'length_mm',
  'lengthMm',
  'pitchMm',
  'heightMm',
  'threadMm',
  'noodleMm',
  'dubbingMg',
  'stemMm',
  'need',
  'take',
  'turns',
  'pieces',
]);

/** Places from behind the eye, and what is of no length where there is no bead. */
const PLACES: ReadonlySet<string> = new Set(['at', 'from', 'to', 'face']);
/** Rules whose length is not a share of the hook alone: turns of a stem do not grow as the hook does. */
const NOT_A_SHARE = /^(rest|count|eye-judged|mm|eye|reach:|part:)/;

/** Numbers that are none, and lengths and amounts of nothing or less. A place may be behind the eye, at 0. */
function faults(card: Card): string[] {
  const found: string[] = [];
  const walk = (value: unknown, key: string, place: boolean): void => {
    if (typeof value === 'number') {
      if (!Number.isFinite(value) || (!place && LENGTHS.has(key) && value <= 0)) found.push(`${key} is ${value}`);
    } else if (value !== null && typeof value === 'object')
      for (const [name, item] of Object.entries(value)) walk(item, name, PLACES.has(key));
  };
  for (const item of [
    ...card.parts,
    ...card.ribs,
    ...card.hackles,
    ...card.weights,
    ...card.threads,
    ...card.steps,
    ...card.assemblies,
    ...card.budget,
  ])
    walk(item, '', false);
  if (!card.fits && !(card.over !== null && card.over.mm > 0)) found.push('does not fit and does not say what');
  if (card.fits && card.budget.some((row) => row.left_mm < -1e-6)) found.push('room is exceeded at a step');
  return found;
}

describe.each(SHIPPED.dressings.map((dressing) => [dressing.id, dressing] as const))('%s', (_, dressing) => {
  const hooks = hooksInRange(dressing);
  test('on every hook of its range every part fits or the card says which does not; nothing is NaN, negative or of no length', () => {
    expect(hooks.length).toBeGreaterThan(0);
    expect(hooks.flatMap((hook) => faults(cardOn(dressing, hook)).map((fault) => `${hook.id}: ${fault}`))).toEqual([]);
  });
  test('mirrored twice it is unchanged, and once only what the hand does', () => {
    const card = cardOn(dressing, hooks[0]!);
    const left = mirrorCard(card);
    expect(mirrorCard(left)).toEqual(card);
    card.steps.forEach((step, index) => {
      if (step.frame !== 'hand') expect(left.steps[index]!.side).toBe(step.side);
    });
  });
  test('derived with nothing changed it gives the same card', () => {
    const hook = hooks[Math.floor(hooks.length / 2)]!;
    const own = derive(dressing, 'own', 'Own');
    expect({ ...cardOn(own, hook), dressing: null }).toEqual({ ...cardOn(dressing, hook), dressing: null });
    expect(own.parent).toBe(dressing.id);
  });
});

test('scaling keeps proportions: twice the hook is twice every share of it', () => {
  const twice = (hook: Hook): Hook => {
    const grow = <T extends { value: number | null }>(quantity: T): T => ({
      ...quantity,
      value: quantity.value === null ? null : quantity.value * 2,
    });
    return {
      ...hook,
      shank: grow(hook.shank),
      gape: grow(hook.gape),
      bite: grow(hook.bite),
      wireDiameter: grow(hook.wireDiameter),
      eyeOuter: grow(hook.eyeOuter),
    };
  };
  for (const dressing of SHIPPED.dressings.filter((item) => !item.weights.some((weight) => weight.kind === 'bead'))) {
    const hook = hooksInRange(dressing)[0]!;
    const [one, two] = [cardOn(dressing, hook), cardOn(scaleDressing(dressing, 2), twice(hook))];
    one.parts.forEach((part, index) => {
      if (part.mm !== null && !NOT_A_SHARE.test(part.base))
        expect([dressing.id, part.id, two.parts[index]!.mm! / part.mm]).toEqual([
          dressing.id,
          part.id,
          expect.closeTo(2, 6),
        ]);
    });
  }
});
