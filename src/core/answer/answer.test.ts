import fc from 'fast-check';
import { REFERENCE_ONLY, sampleOf, SHIPPED } from '../../../tools/test-catalogue';
import { answer, NO_CHOICES } from './answer';
import { cardFor } from './card-for';
import type { Answer, Choices, Sample } from './answer-shape';

const ask = (sample: Sample, choices: Partial<Choices> = {}, catalogue = SHIPPED) =>
  answer(sample, { ...NO_CHOICES, ...choices }, catalogue);
const mean3 = { lengthsMm: [8.1, 8.4, 7.9] };

function noNaN(value: unknown, path = ''): void {
  if (typeof value === 'number' && !Number.isFinite(value)) throw new Error(`not a number at ${path}`);
  if (value !== null && typeof value === 'object')
    for (const [key, item] of Object.entries(value)) noNaN(item, `${path}.${key}`);
}

describe('the main job', () => {
  const cases: [Sample['stage'], Partial<Sample>][] = [
    ['mayfly/dun', { lengthsMm: [8.2, 8.6, 8.0] }],
    ['midge/pupa', { lengthsMm: [6.5] }],
    ['stonefly/nymph', { lengthsMm: [22] }],
    ['caddis/cased-larva', { lengthsMm: [], caseMm: 13 }],
    ['mayfly/spent', { lengthsMm: [7.5] }],
    ['mayfly/emerger', { lengthsMm: [6.8] }],
    ['caddis/pupa', { lengthsMm: [9] }],
    ['mayfly/nymph', { lengthsMm: [10] }],
    ['caddis/adult', { lengthsMm: [11] }],
    ['midge/emerger', { lengthsMm: [5.5] }],
    ['crane-fly/adult', { lengthsMm: [20] }],
  ];
  test.each(cases)('%s is answered', (stage, more) => {
    const result = ask(sampleOf(stage, more));
    expect(result.hooks[0]!.steps).toBeLessThanOrEqual(1.5);
    expect(Object.keys(result.by_maker).length).toBeGreaterThanOrEqual(4);
    expect(result.dressing).toMatchObject({ stage_match: 'same' });
    expect(result.alternatives.length).toBeGreaterThan(0);
    expect(result.card!.fits).toBe(true);
    expect(result.card!.steps.length).toBeGreaterThanOrEqual(5);
    expect(result.none_fits).toBeNull();
  });
  test('every mayfly stage has a dressing of its own', () => {
    for (const row of SHIPPED.stages.filter((item) => item.order === 'mayfly'))
      expect(ask(sampleOf(row.id)).dressing!.stage_match).toBe('same');
  });
});

describe('golden figures on the reference range', () => {
  const result = ask(sampleOf('mayfly/dun', mean3), { hookPin: 'reference:standard-dry:14' }, REFERENCE_ONLY);
  test('carry, steps and how far it holds', () => {
    const [first] = result.hooks;
    expect(first!.carry_mm).toBeCloseTo(7.70626, 5);
    expect(first!.length_steps).toBeCloseTo(-0.638554, 5);
    expect(result.holds!.low_mm).toBeCloseTo(7.10113, 5);
    expect(result.holds!.high_mm).toBeCloseTo(8.3641, 5);
    expect(result.holds).toMatchObject({ below: 'reference:standard-dry:16', above: 'reference:standard-dry:12' });
  });
  test('every dimension of the range is about', () => expect(result.hooks[0]!.estimated).toContain('shank_mm'));
});

describe('choices', () => {
  test('a pinned hook stays first, and keeps only dressings it can carry', () => {
    const result = ask(sampleOf('mayfly/dun', mean3), { hookPin: 'reference:standard-dry:4' });
    expect(result.hooks[0]).toMatchObject({ id: 'reference:standard-dry:4', pinned: true });
    expect(result.warnings.map((item) => item.code)).toContain('pinned-hook-keeps');
    expect(result.alternatives.length).toBeGreaterThan(0);
  });
  test('a pinned hook of a bend the style is not meant for is kept, with a warning', () => {
    const result = ask(sampleOf('mayfly/dun'), {
      hookPin: 'reference:curved-shank:14',
      dressingPin: 'first-light-dun',
    });
    expect(result.hooks[0]!.id).toBe('reference:curved-shank:14');
    expect(result.warnings.map((item) => item.code)).toContain('bend-borrowed');
    expect(result.hooks.filter((hook) => hook.bend === 'curved-shank')).toHaveLength(1);
  });
  test('a pinned dressing sets the style', () =>
    expect(ask(sampleOf('mayfly/dun'), { dressingPin: 'first-light-post-dun' })).toMatchObject({
      style: { id: 'post-dun', from: 'dressing' },
      dressing: { pinned: true },
    }));
  test('one owned hook in the band goes first', () => {
    const plain = ask(sampleOf('mayfly/dun', mean3));
    const other = plain.hooks.find((hook, index) => index > 0 && hook.steps! <= plain.hooks[0]!.steps! + 1)!;
    expect(ask(sampleOf('mayfly/dun', mean3), { owned: { [other.id]: 5 } }).hooks[0]).toMatchObject({
      id: other.id,
      owned: 5,
    });
  });
  test('an owned hook far out of the band does not', () =>
    expect(ask(sampleOf('mayfly/dun', mean3), { owned: { 'ravelin:plain-dry:6': 9 } }).hooks[0]!.id).not.toBe(
      'ravelin:plain-dry:6',
    ));
  test('only owned, only some makers, barbless only', () => {
    expect(
      ask(sampleOf('mayfly/dun'), { onlyOwned: true, owned: { 'osmere:lark:14': 1 } }).hooks.map((hook) => hook.id),
    ).toEqual(['osmere:lark:14']);
    expect(Object.keys(ask(sampleOf('mayfly/dun'), { makers: ['bessock'] }).by_maker)).toEqual(['bessock']);
    expect(new Set(ask(sampleOf('mayfly/dun'), { barbRule: 'barbless' }).hooks.map((hook) => hook.barb))).toEqual(
      new Set(['none']),
    );
  });
  test('nothing left says so', () => {
    const result = ask(sampleOf('mayfly/dun'), { onlyOwned: true });
    expect(result).toMatchObject({ hooks: [], none_fits: { nearest: null }, holds: null, card: null });
  });
  test('where a barbless rule leaves no hook of the fly’s list, the first with a flattened barb is named', () => {
    const barbed = { ...SHIPPED, hooks: SHIPPED.hooks.filter((hook) => hook.bend !== 'round' || hook.barb !== 'none') };
    const said = (barbRule: 'barbless' | 'any', dressingPin: string, catalogue: typeof SHIPPED = barbed) =>
      ask(sampleOf('caddis/emerging-pupa', { lengthsMm: [9] }), { barbRule, dressingPin }, catalogue).warnings.find(
        (why) => why.code === 'flatten-instead',
      );
    expect(said('barbless', 'clipped-palmer-wet')?.params.hook).toEqual(expect.stringMatching(/\S+ \S+/));
    expect(said('any', 'clipped-palmer-wet')).toBeUndefined();
    expect(said('barbless', 'clipped-palmer-wet', SHIPPED)).toBeUndefined();
    expect(said('barbless', 'half-way-pupa')).toBeUndefined();
  });
  test('a card on a hook its dressing is not made for says in what', () => {
    const reasons = (hookPin: string) =>
      ask(sampleOf('mayfly/nymph'), { hookPin, dressingPin: 'staith-jig-nymph' }).card!.hook_reasons.map(
        (why) => why.code,
      );
    expect(reasons('bessock:fine:14')).toEqual(['wire-apart', 'bend-not-listed']);
    expect(reasons('tholeby:jig:14')).toEqual([]);
    expect(
      ask(sampleOf('mayfly/dun'), {
        hookPin: 'kyrewood:stone-4x:12',
        dressingPin: 'first-light-dun',
      }).card!.hook_reasons.map((why) => why.code),
    ).toContain('x-not-listed');
  });
  test('a flattened rule adds the first step to a barbed hook, and not to a barbless one', () => {
    const steps = (hookPin: string) =>
      ask(sampleOf('mayfly/dun'), { barbRule: 'flattened', hookPin, dressingPin: 'first-light-dun' }).card!.steps;
    expect(steps('ravelin:plain-dry:14')[0]).toMatchObject({ n: 1, check: 'flatten-barb', caution: 'hook-point' });
    expect(steps('tholeby:short-wide:14')[0]!.check).not.toBe('flatten-barb');
  });
  test('an offset of one packet is a larger fly', () => {
    const exact = ask(sampleOf('mayfly/dun', mean3));
    const bigger = ask(sampleOf('mayfly/dun', mean3), { offset: { sizes: 1, intent: 'bigger' } });
    expect(bigger.target_mm / exact.target_mm).toBeCloseTo(1.18405, 5);
  });
  test('schools: short and thin, as it looks, nymph tail', () => {
    const wet = (schools: Choices['schools']) =>
      ask(sampleOf('mayfly/drowned-dun'), { schools, hookPin: 'ravelin:stout-wet:14', dressingPin: 'washed-dun' })
        .hooks[0]!.carry_mm;
    expect(wet({ 'nymph-length': 'short-and-thin' })).toBeLessThan(wet({}));
    expect(wet({ 'eye-reading': 'as-it-looks' })).toBeGreaterThan(wet({ 'eye-reading': 'as-measured' }));
    const tail = (schools: Choices['schools']) =>
      ask(sampleOf('mayfly/nymph', { lengthsMm: [10] }), { schools, hookPin: 'ravelin:stout-wet:12' }).card!;
    const half = tail({ 'nymph-tail': 'half' });
    expect(half.parts.find((part) => part.part === 'tail')!.mm).toBeCloseTo(half.hook.shank_mm / 2, 9);
  });
});

describe('naturals at the edges', () => {
  test('a crane fly under 13 mm is tied whole', () => {
    expect(ask(sampleOf('crane-fly/adult', { lengthsMm: [8] })).style).toMatchObject({ id: 'small-adult', p: 1 });
    expect(ask(sampleOf('crane-fly/adult', { lengthsMm: [20] })).style).toMatchObject({ id: 'detached-body', p: 0.4 });
  });
  test('a giant takes the longest hook and says so', () => {
    const result = ask(sampleOf('stonefly/nymph', { lengthsMm: [55] }));
    expect(result.warnings.map((item) => item.code)).toContain('giant');
    expect(result.hooks[0]!.carry_mm).toBe(Math.max(...result.hooks.map((hook) => hook.carry_mm)));
    expect(result.none_fits!.nearest).not.toBeNull();
  });
  test('a stage without a dressing takes the nearest of its order and says so', () => {
    const result = ask(
      sampleOf('caddis/spent', { lengthsMm: [11] }),
      {},
      { ...SHIPPED, dressings: SHIPPED.dressings.filter((dressing) => !dressing.stages.includes('caddis/spent')) },
    );
    expect(result.dressing).toMatchObject({ stage_match: 'neighbour' });
    expect(SHIPPED.dressings.find((dressing) => dressing.id === result.dressing!.id)!.stages).toContain(
      'caddis/egg-layer',
    );
    expect(result.dressing!.why.map((why) => why.code)).toContain('no-second-fly');
    expect(result.warnings.map((item) => item.code)).toContain('dressing-of-neighbour');
  });
  test('an order without any dressing still gets a fly and a runner-up', () => {
    const result = ask(
      sampleOf('leech/adult', { lengthsMm: [30] }),
      {},
      { ...SHIPPED, dressings: SHIPPED.dressings.filter((dressing) => !dressing.stages.includes('leech/adult')) },
    );
    expect(result.dressing!.stage_match).toBe('neighbour');
    expect(result.alternatives.length).toBeGreaterThan(0);
  });
  test('a cluster is measured as a raft and its holds are bodies again', () => {
    const result = ask(sampleOf('midge/cluster', { lengthsMm: [4] }));
    expect(result.measured_mm).toBeCloseTo(Math.sqrt(44), 9);
    expect(result.holds!.low_mm).toBeLessThan(4);
    expect(result.holds!.high_mm).toBeGreaterThan(4);
  });
  test('overall alone is a body, estimated', () => {
    const result = ask(sampleOf('caddis/adult', { lengthsMm: [], overallMm: 13.3 }));
    expect(result.natural.length.meanMm).toBeCloseTo(10, 9);
    expect(result.natural.lengthSource).toBe('estimated');
  });
  test('females alone tell the males', () => {
    const said = ask(sampleOf('mayfly/dun', { sex: 'female', lengthsMm: [11.5] })).warnings.find(
      (item) => item.code === 'females-only',
    )!;
    expect(said.params.other).toEqual({ mm: expect.closeTo(10, 9) });
  });
});

test('every stage at every length: pins hold, nothing is NaN, parts fit or the card says which does not', () => {
  const stages = fc.constantFrom(...SHIPPED.stages.map((row) => row.id));
  const pins = fc.option(fc.constantFrom(...SHIPPED.hooks.map((hook) => hook.id)), { nil: null });
  const dressings = fc.option(fc.constantFrom(...SHIPPED.dressings.map((dressing) => dressing.id)), { nil: null });
  fc.assert(
    fc.property(
      stages,
      fc.array(fc.double({ min: 0.5, max: 120, noNaN: true }), { minLength: 1, maxLength: 5 }),
      pins,
      dressings,
      fc.integer({ min: -3, max: 3 }),
      (stage, lengthsMm, hookPin, dressingPin, sizes) => {
        const result: Answer = ask(sampleOf(stage, { lengthsMm }), {
          hookPin,
          dressingPin,
          offset: { sizes, intent: 'exact' },
        });
        const { ladder: _columns, ...said } = result;
        noNaN(said);
        if (hookPin) expect(result.hooks[0]!.id).toBe(hookPin);
        if (dressingPin) expect(result.dressing!.id).toBe(dressingPin);
        const card = result.card!;
        if (card.fits) expect(card.used_mm).toBeLessThanOrEqual(card.room_mm + 1e-6);
        else expect(card.over!.mm).toBeGreaterThan(0);
        expect(result.alternatives.length).toBeGreaterThan(0);
      },
    ),
    { numRuns: 60 },
  );
});

describe('a card without a natural', () => {
  const dressing = SHIPPED.dressings.find((item) => item.id === 'first-light-dun')!;
  const hook = SHIPPED.hooks.find((item) => item.id === 'reference:standard-dry:14')!;
  test('has no target and takes colours from the materials', () => {
    const card = cardFor({ dressing, hook, sample: null, choices: NO_CHOICES, catalogue: SHIPPED, count: 6 });
    expect(card.hook).toMatchObject({ target_mm: null, steps: null, probability: null, share: null });
    expect(card.parts.find((part) => part.part === 'abdomen')!.colour).toMatchObject({
      region: null,
      source: 'default',
    });
    expect(card.batch).toMatchObject({ count: 6, minutes: 9 * 6 * 1.5 });
  });
  test('with a natural, its colours are bound to the parts', () => {
    const sample = sampleOf('mayfly/dun', { colours: { 'abdomen-belly': { hex: '#b8a857', source: 'typed' } } });
    const card = cardFor({ dressing, hook, sample, choices: NO_CHOICES, catalogue: SHIPPED, count: null });
    expect(card.parts.find((part) => part.part === 'abdomen')!.colour).toMatchObject({
      hex: '#b8a857',
      region: 'abdomen-belly',
      source: 'typed',
    });
    expect(card.batch).toBeNull();
  });
});
