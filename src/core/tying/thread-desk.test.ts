import { SHIPPED } from '../../../tools/test-catalogue';
import { MATERIALS, SHADES } from '@/catalogue';
import { deltaE, hexOfLab, labOfHex } from '../colour';
import { everyHeld, heldBy, hexHeld, type Held } from '../materials';
import { headTurnBudget, type ThreadOnHook } from './thread-advice';
import { threadsThatServe } from './thread-desk';
import { aughtOf, denierOf, threadFacts } from './thread-facts';

const NAMED = { materials: MATERIALS, shades: SHADES };
const dressing = (id: string) => SHIPPED.dressings.find((own) => own.id === id)!;
const held = (material: string): Held => {
  const found = heldBy(NAMED, { material });
  if (!found.ok) throw new Error(material);
  return found.held;
};
const ON: ThreadOnHook = { shankMm: 7, eyeMm: 1.2, wireMm: 0.45, headMm: 1.2, heldAtHead: 4 };

describe('labels of spools', () => {
  test.each([
    [135, 'nylon', 6],
    [70, 'polyester', 8],
    [60, 'nylon', 10],
    [50, 'nylon', 12],
    [45, 'nylon', 14],
    [40, 'nylon', 16],
    [100, 'gel-spun', 6],
    [50, 'gel-spun', 12],
    [30, 'gel-spun', 18],
    [75, 'gel-spun', 9],
  ] as const)('%i denier %s is about %i/0, and back', (denier, fibre, aught) => {
    expect(aughtOf(denier, fibre)).toBe(aught);
    expect(Math.abs(denierOf(aught, fibre)! - denier)).toBeLessThanOrEqual(1);
  });
  test('beyond the labels, and for silk, nothing is guessed', () => {
    expect([aughtOf(210, 'nylon'), aughtOf(20, 'nylon'), aughtOf(70, 'silk')]).toEqual([null, null, null]);
    expect([denierOf(3, 'nylon'), denierOf(20, 'gel-spun'), denierOf(8, 'silk')]).toEqual([null, null, null]);
  });
});

test('the figures of a thread: formulas §8, and the strength of domain §5', () => {
  const facts = threadFacts({ denier: 70, fibre: 'nylon' })!;
  expect(facts.solidMm).toBeCloseTo(0.0932031, 6);
  expect(facts.roundMm).toBeCloseTo(0.0932031 / Math.sqrt(0.65), 6);
  expect(facts.flat.wideMm * facts.flat.thickMm).toBeCloseTo((Math.PI * 0.0932031 ** 2) / 4, 6);
  expect(facts.flat.wideMm).toBeCloseTo(4 * 0.0932031, 6);
  expect([facts.grams, facts.aught]).toEqual([[350, 455], 8]);
  expect(threadFacts({ denier: 100, fibre: 'gel-spun' })!.grams).toEqual([2800, 3500]);
  expect(threadFacts({ denier: 100, fibre: 'silk' })!.grams).toEqual([350, 450]);
  expect(threadFacts({ denier: null, fibre: 'silk' })).toBeNull();
});

describe('which threads serve', () => {
  const fly = dressing('first-light-dun');
  const judge = (...ids: string[]) => threadsThatServe(fly, fly.threads[0]!, ON, ids.map(held), SHIPPED.materials);
  const one = (id: string) => judge(id)[0]!;
  test('the one that is written serves, and comes first of all', () => {
    expect(one('thread-olive-70')).toMatchObject({ serves: 'serves', shows: 0, facts: { denier: 70 } });
    const all = threadsThatServe(fly, fly.threads[0]!, ON, everyHeld(NAMED), SHIPPED.materials);
    expect(all[0]!.id).toBe('thread-olive-70');
    expect(all.findIndex(({ serves }) => serves === 'no')).toBeGreaterThan(
      all.map(({ serves }) => serves).lastIndexOf('serves'),
    );
  });
  test('at the head: its turns, those that have room, and what they build up', () => {
    const { head, facts } = one('thread-olive-70');
    expect(head).toEqual({
      turns: ON.heldAtHead + fly.threads[0]!.finish_turns,
      budget: headTurnBudget(70, 'nylon', ON),
      bulkMm: expect.any(Number),
    });
    expect(head!.bulkMm).toBeCloseTo(head!.turns * facts.flat.thickMm, 9);
  });
  test('a slick one takes seven turns to finish at least, and is used with care', () => {
    const slick = one('gel-spun-olive-50');
    expect(slick.head!.turns).toBe(ON.heldAtHead + 7);
    expect(slick).toMatchObject({ serves: 'care' });
    expect(slick.reasons.map(({ code }) => code)).toContain('gel-spun-slick');
  });
  test('another colour that shows, and a thicker one, are said', () => {
    expect(one('thread-red-70')).toMatchObject({ serves: 'care' });
    expect(one('thread-red-70').reasons.map(({ code }) => code)).toContain('thread-other-colour');
    const thick = judge('nylon-140')[0] ?? one('Nylon thread, 140 denier');
    expect(thick.reasons.find(({ code }) => code === 'thread-bulkier')!.params).toEqual({ share: 41 });
  });
  test('one that would break does not serve, with what it holds', () => {
    const weak = threadsThatServe(fly, fly.threads[0]!, ON, everyHeld(NAMED), SHIPPED.materials).filter(
      ({ facts }) => facts.denier === 40,
    );
    expect(weak.length).toBeGreaterThan(0);
    for (const { serves, reasons } of weak) {
      expect(serves).toBe('no');
      expect(reasons[0]).toMatchObject({ code: 'refused-would-break', params: { grams: 200, needed: 350 } });
    }
  });
  test('where there is no room for half its turns it does not serve; up to there with care', () => {
    const at = (wireMm: number) =>
      threadsThatServe(
        fly,
        fly.threads[0]!,
        { ...ON, wireMm, headMm: 0.4 },
        [held('thread-olive-70')],
        SHIPPED.materials,
      )[0]!;
    const seen = [0.45, 0.3, 0.2, 0.15, 0.1].map(at);
    for (const { head, serves } of seen)
      expect(serves).toBe(head!.turns > 2 * head!.budget ? 'no' : head!.turns > head!.budget ? 'care' : 'serves');
    expect(new Set(seen.map(({ serves }) => serves)).size).toBe(3);
  });
  test('covered by the body its colour is no matter', () => {
    const covered = { ...fly, parts: fly.parts.filter(({ part }) => part !== 'head'), layers: [] };
    expect(threadsThatServe(covered, fly.threads[0]!, ON, [held('thread-red-70')], SHIPPED.materials)[0]).toMatchObject(
      { shows: null, serves: 'serves' },
    );
  });
  test('a fifth thicker is a lump, less is not; further off than related is another colour', () => {
    const olive = held('thread-olive-70');
    const made = (denier: number, hex = hexHeld(olive)): Held => ({
      material: { ...olive.material, denier },
      shade: null,
      hex,
    });
    const codes = (own: Held) =>
      threadsThatServe(fly, fly.threads[0]!, ON, [own], SHIPPED.materials)[0]!.reasons.map(({ code }) => code);
    // Thickness goes with the root of the denier: 70 × 1.2² = 100.8.
    expect([made(100), made(102)].map((own) => codes(own).includes('thread-bulkier'))).toEqual([false, true]);
    const away = (by: number) => {
      const [L, a, b] = labOfHex(hexHeld(olive));
      return made(70, hexOfLab([L + by, a, b]));
    };
    const near = Array.from({ length: 60 }, (_, at) => away(at / 2)).filter(
      (own) => deltaE(labOfHex(hexHeld(olive)), labOfHex(hexHeld(own))) <= 10,
    );
    const [last, next] = [near.at(-1)!, away(near.length / 2)];
    expect([last, next].map((own) => codes(own).includes('thread-other-colour'))).toEqual([false, true]);
  });
  test('only threads are asked', () => expect(judge('peacock-herl')).toEqual([]));
});
