import { SHIPPED } from '../../../tools/test-catalogue';
import { cardFor, NO_CHOICES } from '../answer';
import type { DressingPart } from '../dressings';
import { PART_DEFAULTS } from '../dressings';
import { referenceGape, referenceShank } from '../hooks';
import { cutLength, largestForOnePiece, partAmount, woundOver, type PartOnHook } from './part-amount';
import { headTurnBudget } from './thread-advice';

const material = (id: string) => SHIPPED.materials.find((item) => item.id === id)!;
const part = (more: Partial<DressingPart>): DressingPart => ({
  ...PART_DEFAULTS,
  id: 'abdomen',
  part: 'abdomen',
  base: 'shank',
  ...more,
});
const on = (more: Partial<PartOnHook>): PartOnHook => ({
  part: part({}),
  material: null,
  mm: 4.2,
  fromMm: 7,
  toMm: 2.8,
  thickMm: 1.2 / 0.81,
  wireMm: 0.4,
  shankMm: 7,
  gapeMm: 4.294,
  looped: false,
  woundByStep: true,
  ...more,
});
const card = (dressing: string, hook = 'reference:standard-dry:14') =>
  cardFor({
    dressing: SHIPPED.dressings.find((item) => item.id === dressing)!,
    hook: SHIPPED.hooks.find((item) => item.id === hook)!,
    sample: null,
    choices: { ...NO_CHOICES, hookPin: hook, dressingPin: dressing },
    catalogue: SHIPPED,
    count: null,
  });

test('golden: an abdomen of 4.2 mm, mean 1.2 thick, turns 0.7 apart takes 6 turns and 23 mm', () => {
  const wound = woundOver(4.2, 1.2, 0.7);
  expect(wound.turns).toBeCloseTo(6, 9);
  expect(wound.lengthMm).toBeCloseTo(23, 0);
});

describe('pieces', () => {
  const biot = (usable_mm: number) =>
    partAmount(
      on({
        part: part({ function: 'body.biot', material: 'turkey-biot', spare: 1 }),
        material: { ...material('turkey-biot'), lay_mm: 0.7, usable_mm },
      }),
    );
  test('one that just reaches, two where it does not, spares on top', () => {
    expect(biot(24)).toMatchObject({ pieces: 1, need: 1, take: 2 });
    expect(biot(20)).toMatchObject({ pieces: 2, need: 2, take: 3 });
  });
  test('the largest hook that one covers is larger for a longer piece, and smaller than this hook where two are needed', () => {
    expect(biot(60).onePieceTo!).toBeLessThan(biot(24).onePieceTo!);
    expect(biot(20).onePieceTo!).toBeGreaterThan(14);
    expect(biot(24).onePieceTo!).toBeLessThanOrEqual(14);
  });
  test('on that hook one piece does reach, on the next larger it does not', () => {
    const [usable, diameter, span] = [24, 1.2, 4.2];
    const largest = largestForOnePiece(woundOver(span, diameter, 0.7), diameter, usable, 7);
    const need = (size: number) => {
      const k = referenceShank(size) / 7;
      return woundOver(span * k, diameter * k, 0.7).lengthMm;
    };
    expect(need(largest)).toBeLessThanOrEqual(usable);
    expect(need(largest - 2)).toBeGreaterThan(usable);
  });
  test('what comes off a spool is cut with what is held; a short piece is not cut', () => {
    const amount = biot(24);
    expect(cutLength(amount, 1.2 / 0.81, material('turkey-biot'))).toBeNull();
    expect(cutLength(amount, 1.2 / 0.81, material('clear-tubing'))!).toBeCloseTo(amount.wound!.lengthMm + 60, 6);
  });
});

test('golden: dubbing of 4.2 mm, 1.3 over 0.45, is 0.64 mg; its noodle is longer than the wound length by what stays bare', () => {
  const amount = partAmount(
    on({ part: part({ function: 'body.dubbed' }), material: material('fine-fur'), thickMm: 1.3, wireMm: 0.45 }),
  );
  expect(amount.dubbingMg).toBeCloseTo(0.64, 2);
  expect(amount.pinches).toBe(1);
  expect(amount.noodleMm!).toBeGreaterThan(15);
  expect(amount.noodleMm!).toBeLessThan(60);
});

test('golden: a bunch of hair is 1.5 mm on a 12, 1.2 on a 14, 0.9 on a 16', () => {
  const bunch = (size: number) =>
    partAmount(
      on({
        part: part({ unit: 'compressed-mm', function: 'wing.hair' }),
        material: material('elk-hair'),
        shankMm: referenceShank(size),
        gapeMm: referenceGape(referenceShank(size)),
      }),
    ).need!;
  expect([bunch(12), bunch(14), bunch(16)].map((mm) => Number(mm.toFixed(1)))).toEqual([1.5, 1.2, 0.9]);
  // On large hooks it is no more of the gape than a good bunch is on a 12.
  expect(bunch(2)).toBeCloseTo(0.32 * referenceGape(referenceShank(2)), 9);
});

test('a loop is drawn off twice its height and a hand', () => {
  const { loop } = partAmount(
    on({ looped: true, part: part({ function: 'hackle.cdc-loop' }), material: material('cdc-grey') }),
  );
  expect(loop!.threadMm).toBeCloseTo(2 * loop!.heightMm + 60, 9);
});

test('counted fibres say how much stem they take', () => {
  expect(
    partAmount(
      on({ part: part({ function: 'tail.stiff', count: 7, spare: 2 }), material: material('stiff-fibres-grey') }),
    ),
  ).toMatchObject({ need: 7, take: 9, stemMm: 3.6 });
});

test('without a material, or where nothing is wound, nothing is made up', () => {
  const empty = partAmount(on({}));
  expect([
    empty.wound,
    empty.pieces,
    empty.loop,
    empty.noodleMm,
    empty.dubbingMg,
    empty.stemMm,
    empty.need,
    empty.take,
  ]).toEqual(Array(8).fill(null));
  expect(
    partAmount(on({ woundByStep: false, part: part({ function: 'body.thread' }), material: material('thread-red-70') }))
      .wound,
  ).toBeNull();
});

describe('on a card', () => {
  test('a step winds as many turns as its length gives', () => {
    const { parts, steps } = card('auldry-low-emerger');
    const abdomen = parts.find((item) => item.part === 'abdomen')!;
    expect(steps.find((step) => step.do === 'wind' && step.part === 'abdomen')!.turns).toBe(
      Math.round(abdomen.amount.wound!.turns),
    );
  });
  test('room grows step by step to what is used, and what is still to come fits into what is left', () => {
    const { budget, used_mm, room_mm } = card('first-light-dun');
    expect(budget.map((row) => row.kind)).toEqual(['abdomen', 'thorax']);
    expect(budget[budget.length - 1]).toMatchObject({
      used_mm: expect.closeTo(used_mm, 9),
      left_mm: expect.closeTo(room_mm - used_mm, 9),
      needed_mm: 0,
    });
    for (const row of budget) expect(row.left_mm).toBeGreaterThanOrEqual(row.needed_mm - 1e-9);
  });
  test('what is made beforehand has steps of its own, numbered, in millimetres where a part has them', () => {
    const { assemblies, steps } = card('ellanmere-long-dun');
    expect(assemblies.map((item) => [item.id, item.part, item.count, item.steps.map((step) => step.n)])).toEqual([
      ['extended-body', 'extended-body', 1, [1, 2, 3]],
    ]);
    expect(assemblies[0]!.steps[0]!.mm).toBeGreaterThan(0);
    expect(steps.filter((step) => step.assembly === 'extended-body').length).toBeGreaterThan(0);
  });
  test('a part left out takes its assembly, its steps and its room along', () => {
    const without = cardFor({
      dressing: SHIPPED.dressings.find((item) => item.id === 'skating-egg-layer')!,
      hook: SHIPPED.hooks.find((item) => item.id === 'reference:standard-dry:14')!,
      sample: null,
      choices: { ...NO_CHOICES, without: ['palmer'] },
      catalogue: SHIPPED,
      count: null,
    });
    expect(without.parts.map((item) => item.id)).not.toContain('second-hackle');
    expect(without.steps.some((step) => step.part === 'second-hackle')).toBe(false);
    expect(without.steps.map((step) => step.n)).toEqual(without.steps.map((_, index) => index + 1));
  });
});

describe('thread', () => {
  const on14 = { shankMm: 7, eyeMm: 1.41, wireMm: 0.405, headMm: 1.41, heldAtHead: 0 };
  test('a finer thread, and a larger head, take more turns', () => {
    expect(headTurnBudget(30, 'gel-spun', on14)).toBeGreaterThan(headTurnBudget(70, 'nylon', on14));
    expect(headTurnBudget(70, 'nylon', { ...on14, headMm: 0.7 })).toBeLessThan(headTurnBudget(70, 'nylon', on14));
  });
  const reasons = (dressing: string, hook?: string) =>
    card(dressing, hook).threads.flatMap((thread) => thread.reasons.map((why) => why.code));
  test('bulk, pull, slip, show-through and split each have their reason', () => {
    expect(reasons('first-light-dun')).toEqual(
      expect.arrayContaining(['thread-bulk', 'thread-splits', 'thread-underbody']),
    );
    expect(reasons('halo-jig-pupa')).toContain('thread-shows');
    expect(reasons('speck-adult')).toContain('gel-spun-slick');
    expect(reasons('hair-roof-adult', 'reference:standard-dry:14')).toContain('thread-holds');
    expect(reasons('half-out-dun', 'reference:standard-dry:8')).toContain('thread-holds');
  });
});
