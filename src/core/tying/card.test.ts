import fc from 'fast-check';
import { sampleOf, SHIPPED } from '../../../tools/test-catalogue';
import { answer, NO_CHOICES } from '../answer';
import { bundleDiameter, dubbingMass, fibresTaken, flatThickness, loopFor, threadDiameter, woundCut } from './amounts';
import { mirrorCard } from './card';

const cardOf = (
  stage: Parameters<typeof sampleOf>[0],
  mm: number,
  hookPin: string | null = null,
  dressingPin: string | null = null,
) => answer(sampleOf(stage, { lengthsMm: [mm] }), { ...NO_CHOICES, hookPin, dressingPin }, SHIPPED).card!;
const part = (card: ReturnType<typeof cardOf>, kind: string) => card.parts.find((item) => item.part === kind)!;

describe('amounts: golden figures of formulas §8', () => {
  test('threads', () => {
    expect(threadDiameter(70, 'nylon')).toBeCloseTo(0.0932031, 6);
    expect(threadDiameter(30, 'gel-spun')).toBeCloseTo(0.0661468, 6);
    expect(bundleDiameter(70, 'nylon')).toBeCloseTo(0.0932031 / Math.sqrt(0.65), 6);
    // As wide as four of its diameters, so that the section stays: pi/4 of d² over 4 d.
    expect(flatThickness(70, 'nylon')).toBeCloseTo((0.0932031 * Math.PI) / 16, 6);
  });
  test('winding, loop, dubbing and loss', () => {
    expect(woundCut(5, 1.6, 0.9)).toBeCloseTo(85.5324, 4);
    expect(loopFor(40)).toEqual({ heightMm: 75, threadMm: 210 });
    expect(dubbingMass(1.3, 0.45, 4.2)).toBeCloseTo(0.64, 2);
    expect(fibresTaken(6, 0.25)).toBe(8);
  });
});

describe('a dun on the reference 14', () => {
  const card = cardOf('mayfly/dun', 8, 'reference:standard-dry:14', 'first-light-dun');
  test('parts by their bases', () => {
    expect(part(card, 'tail').mm).toBeCloseTo(7, 9);
    expect(part(card, 'abdomen').mm).toBeCloseTo(0.62 * 7, 9);
    expect(part(card, 'hackle').mm).toBeCloseTo(1.5 * 4.294, 3);
    expect(part(card, 'wing').mm).toBeCloseTo(Math.max(7, 1.1 * 1.5 * 4.294), 3);
    expect(part(card, 'tail').range_mm).toEqual([expect.closeTo(6.3, 9), expect.closeTo(7.7, 9)]);
  });
  test('the body lies from the tie-down forward and the thorax takes the rest', () => {
    expect(part(card, 'abdomen').from_mm).toBeCloseTo(7, 9);
    expect(part(card, 'thorax').from_mm).toBeCloseTo(part(card, 'abdomen').to_mm!, 9);
    expect(part(card, 'thorax').to_mm).toBeCloseTo(1.41252, 4);
    expect(card.used_mm).toBeCloseTo(card.room_mm, 9);
  });
  test('its hackle reads on a gauge and has its turns', () =>
    expect(card.hackles).toEqual([expect.objectContaining({ gauge: '16', turns: 4, trim: 'full' })]));
  test('by the gauge a hackle reads this hook’s own number, and one under the next; unset it is as the dressing is written', () => {
    const by = (gauge: 'same' | 'one-under') =>
      answer(
        sampleOf('mayfly/dun', { lengthsMm: [8] }),
        {
          ...NO_CHOICES,
          hookPin: 'reference:standard-dry:14',
          dressingPin: 'first-light-dun',
          schools: { 'hackle-gauge': gauge },
        },
        SHIPPED,
      ).card!.hackles[0]!;
    expect(by('same')).toMatchObject({ gauge: '14', barb_mm: expect.closeTo(1.75 * 4.294, 3) });
    expect(by('one-under')).toMatchObject({ gauge: '16', barb_mm: expect.closeTo(1.51 * 4.294, 3) });
  });
  test('a soft feather goes by its barb in millimetres and has no gauge', () => {
    const soft = cardOf('mayfly/drowned-dun', 9, null, 'washed-dun').hackles[0]!;
    expect(soft.gauge).toBeNull();
    expect(soft.barb_mm).toBeGreaterThan(1);
  });
  test('steps are numbered, cautioned and end with a free eye', () => {
    expect(card.steps.map((step) => step.n)).toEqual(card.steps.map((_, index) => index + 1));
    expect(card.steps[card.steps.length - 1]!.do).toBe('free-eye');
    for (const step of card.steps.filter((item) => item.do === 'cut')) expect(step.caution).toBe('blade');
    expect(card.cautions.map((item) => item.id)).toEqual(
      expect.arrayContaining(['hook-point', 'blade', 'varnish', 'needle']),
    );
  });
  test('the yellow of the thread is part of what is seen', () =>
    expect(card.layers[0]).toMatchObject({
      part: 'abdomen',
      from_under: [{ material: 'thread-olive-70' }, { material: 'fine-fur' }],
    }));
});

test('a dun too small for its parts says which part, by how much and what may go', () => {
  const card = cardOf('mayfly/drowned-dun', 4, 'bessock:smut:24', 'washed-dun');
  expect(card.fits).toBe(false);
  expect(card.over).toMatchObject({ part: 'thorax', drop: [] });
  expect(card.over!.mm).toBeCloseTo(card.used_mm - card.room_mm, 9);
});

describe('beads, weights and ribs', () => {
  const card = cardOf('mayfly/nymph', 10, 'ravelin:stout-wet:12');
  test('the bead takes its length from the room and is checked against the gape', () => {
    const [bead] = card.weights;
    expect(bead).toMatchObject({ kind: 'bead', metal: 'tungsten', bead_kind: 'countersunk', warnings: [] });
    expect(bead!.range_mm![0]).toBeLessThan(bead!.diameter_mm!);
    expect(card.landmarks.find((mark) => mark.id === 'behind-bead')!.mm).toBe(bead!.diameter_mm);
    expect(part(card, 'bead').mm).toBe(bead!.diameter_mm);
  });
  test('a rib has turns, pitch and a cut', () => {
    const rib = card.ribs[0]!;
    expect(rib).toMatchObject({ turns: 5, counter: true });
    expect(rib.pitch_mm * 5).toBeCloseTo(part(card, 'abdomen').mm!, 9);
    expect(rib.cut_mm).toBeGreaterThan(60);
  });
  test('side strips weigh by their length', () => {
    const stone = cardOf('stonefly/nymph', 22);
    expect(stone.weights[0]).toMatchObject({ kind: 'sides', metal: 'lead' });
    expect(stone.weights[0]!.mass_mg).toBeGreaterThan(20);
    expect(stone.cautions.map((item) => item.id)).toContain('lead');
  });
});

test('mirroring changes the hand and near for far, leaves the thread alone, and twice changes nothing', () => {
  fc.assert(
    fc.property(fc.constantFrom(...SHIPPED.dressings), (dressing) => {
      const card = cardOf(
        dressing.stages[0]!,
        Math.sqrt(dressing.length_mm[0] * dressing.length_mm[1]),
        null,
        dressing.id,
      );
      const left = mirrorCard(card);
      expect(left.hand).toBe('left');
      expect(mirrorCard(left)).toEqual(card);
      for (const [index, step] of card.steps.entries())
        if (step.frame !== 'hand') expect(left.steps[index]).toEqual(step);
    }),
    { numRuns: 30 },
  );
});

test('what is made beforehand is mirrored with the rest', () => {
  const card = cardOf('hawthorn-fly/adult', 11, null, 'trailing-hind-hawthorn');
  const [assembly] = card.assemblies;
  const step = { ...assembly!.steps[0]!, frame: 'hand' as const, side: 'near' as const };
  const made = { ...card, assemblies: [{ ...assembly!, steps: [step, { ...step, frame: 'thread' as const }] }] };
  expect(mirrorCard(made).assemblies[0]!.steps.map(({ side }) => side)).toEqual(['far', 'near']);
  expect(mirrorCard(mirrorCard(made))).toEqual(made);
});

test('a left-handed card catches in on the far side what a right-handed one has near', () => {
  const right = answer(sampleOf('mayfly/dun'), NO_CHOICES, SHIPPED).card!;
  const left = answer(sampleOf('mayfly/dun'), { ...NO_CHOICES, hand: 'left' }, SHIPPED).card!;
  const caught = (card: typeof right) =>
    card.steps.find((step) => step.do === 'catch-in' && step.side === (card === right ? 'near' : 'far'));
  expect(caught(left)!.n).toBe(caught(right)!.n);
});

describe('a tail that is counted as the natural’s own', () => {
  const tail = (tails: readonly number[]) =>
    part(
      answer(
        sampleOf('mayfly/diver', { lengthsMm: [8] }),
        { ...NO_CHOICES, dressingPin: 'silver-diver', hookPin: 'reference:standard-dry:14', tails },
        SHIPPED,
      ).card!,
      'tail',
    );
  test.each([
    [[2], 2, [2]],
    [[3], 3, [3]],
    [[2, 3], 3, [2, 3]],
    [[], 3, []],
  ])('of %j tails', (tails, count, said) => expect(tail(tails)).toMatchObject({ count, tails: said }));
  test('one that is a bunch has no such count', () =>
    expect(part(cardOf('mayfly/dun', 8, 'reference:standard-dry:14', 'first-light-dun'), 'tail')).toMatchObject({
      count: 7,
      tails: null,
    }));
});
