import { SHIPPED } from '../../../tools/test-catalogue';
import { labOfHex } from '../colour';
import { askedFor, CRITERIA, type Asked, type Criterion } from './picking';
import { beforeSecond, rankDressings, whyNot, type RankedDressing } from './rank';

type More = Parameters<typeof askedFor>[1];
const ask = (stage: Asked['stage'], more: More = {}) =>
  rankDressings(SHIPPED.dressings, askedFor(stage, more), SHIPPED);
const of = (ranked: RankedDressing[], id: string) => ranked.find((item) => item.dressing.id === id)!;
const reasonOf = (item: RankedDressing, criterion: Criterion) => item.why[item.criteria.indexOf(criterion)];
const did = (item: RankedDressing, criterion: Criterion) => reasonOf(item, criterion)?.weight ?? null;

test('with a stage alone the first is made for it, rides as it does, in its usual style', () => {
  expect(ask('mayfly/dun')[0]).toMatchObject({ dressing: { id: 'first-light-dun' }, score: 1, stageMatch: 'same' });
  expect(ask('mayfly/nymph')[0]!.dressing.style).toBe('bead-nymph');
});

test('every reason carries what it did, and together they are the score', () => {
  for (const item of ask('mayfly/dun', {
    lengthMm: 22,
    water: 'still',
    colours: { 'abdomen-belly': labOfHex('#b8a857'), wing: labOfHex('#9aa0a3') },
    picking: {
      levels: ['surface'],
      month: 5,
      skill: 1,
      minutes: 6,
      tools: new Set(['bobbin']),
      stash: new Set(['thread-olive-70']),
    },
  })) {
    expect(item.criteria).toHaveLength(item.why.length);
    expect(item.why.reduce((product, why) => product * why.weight!, 1)).toBeCloseTo(item.score, 12);
  }
});

test('far outside every range a fly of the right stage still comes first: it can be scaled', () => {
  expect(ask('stonefly/nymph', { lengthMm: 95 })[0]!.dressing.stages).toContain('stonefly/nymph');
});

test('what is not known does not count', () => {
  expect(of(ask('mayfly/dun'), 'first-light-dun').criteria).toEqual(['stage', 'ride']);
});

describe('each criterion moves the score', () => {
  const pairs: [Criterion, string, Asked['stage'], More, More][] = [
    ['length', 'first-light-dun', 'mayfly/dun', { lengthMm: 9 }, { lengthMm: 30 }],
    ['group', 'flat-clinger', 'mayfly/nymph', { picking: { groups: ['m24'] } }, { picking: { groups: ['m01'] } }],
    ['water', 'slack-pool-dun', 'mayfly/dun', { water: 'slow' }, { water: 'fast' }],
    ['level', 'first-light-dun', 'mayfly/dun', { picking: { levels: ['surface'] } }, { picking: { levels: ['bed'] } }],
    ['weight', 'cheeked-quill-nymph', 'mayfly/nymph', {}, { picking: { levels: ['bed'] } }],
    ['season', 'trailing-hind-hawthorn', 'hawthorn-fly/adult', { picking: { month: 4 } }, { picking: { month: 12 } }],
    ['skill', 'ellanmere-long-dun', 'mayfly/dun', { picking: { skill: 3 } }, { picking: { skill: 1 } }],
    ['minutes', 'ellanmere-long-dun', 'mayfly/dun', { picking: { minutes: 30 } }, { picking: { minutes: 5 } }],
    [
      'tools',
      'first-light-dun',
      'mayfly/dun',
      { picking: { tools: new Set(SHIPPED.tools.map((tool) => tool.id)) } },
      { picking: { tools: new Set(['bobbin']) } },
    ],
    [
      'stash',
      'first-light-dun',
      'mayfly/dun',
      { picking: { stash: new Set(SHIPPED.materials.map((material) => material.id)) } },
      { picking: { stash: new Set(['thread-olive-70']) } },
    ],
    [
      'results',
      'first-light-dun',
      'mayfly/dun',
      { picking: { results: new Map([['first-light-dun', { took: 9, refused: 0 }]]) } },
      { picking: { results: new Map([['first-light-dun', { took: 0, refused: 9 }]]) } },
    ],
  ];
  test.each(pairs)('%s', (criterion, id, stage, good, bad) => {
    const [better, worse] = [of(ask(stage, good), id), of(ask(stage, bad), id)];
    expect(did(better, criterion) ?? 1).toBeGreaterThan(did(worse, criterion)!);
    if (criterion !== 'results')
      expect(reasonOf(worse, criterion)!.code).not.toBe(reasonOf(better, criterion)?.code ?? '');
  });
  test('a bead where flies are taken from the top is in the way', () => {
    expect(
      did(of(ask('mayfly/mature-nymph', { picking: { levels: ['film'] } }), 'swollen-pad-bead'), 'weight'),
    ).toBeLessThan(1);
    expect(
      did(of(ask('mayfly/mature-nymph', { picking: { levels: ['film'] } }), 'dark-pad-nymph'), 'weight'),
    ).toBeNull();
  });
  test('colour: what is dyed reaches every shade, what grew so only its own', () => {
    const wanted = { 'thorax-belly': labOfHex('#d9c04a') } as const;
    const ranked = ask('caddis/pupa', { colours: wanted });
    expect(did(of(ranked, 'curved-shell-pupa'), 'colour')).toBeLessThan(0.8);
    expect(did(of(ranked, 'halo-jig-pupa'), 'colour')).toBe(1);
  });
  test('seen wet, a colour is held against wet material', () => {
    const [dry, wet] = (['dry', 'wet'] as const).map((surface) =>
      of(ask('caddis/pupa', { colours: { 'thorax-belly': labOfHex('#161b12') }, surface }), 'curved-shell-pupa'),
    );
    expect(did(wet!, 'colour')!).toBeGreaterThan(did(dry!, 'colour')!);
  });
  test("a tier's record of few fish moves little", () => {
    const with_ = (took: number, refused: number) =>
      did(
        of(
          ask('mayfly/dun', { picking: { results: new Map([['first-light-dun', { took, refused }]]) } }),
          'first-light-dun',
        ),
        'results',
      )!;
    expect(with_(1, 0)).toBeGreaterThan(1);
    expect(with_(1, 0)).toBeLessThan(with_(20, 0));
    expect(with_(5, 5)).toBeCloseTo(1, 9);
  });
});

describe("weights are the tier's", () => {
  test('0 leaves a criterion out, 2 counts it twice', () => {
    const at = (weight: number) =>
      of(ask('mayfly/dun', { water: 'fast', picking: { weights: { water: weight } } }), 'slack-pool-dun');
    expect(did(at(0), 'water')).toBe(1);
    expect(did(at(2), 'water')).toBeCloseTo(did(at(1), 'water')! ** 2, 12);
  });
  test('a heavier wish for quick flies changes the first', () => {
    const quick = ask('mayfly/dun', { picking: { minutes: 6, weights: { minutes: 3, ride: 0 } } })[0]!;
    expect(quick.dressing.minutes!).toBeLessThan(9);
  });
  test('every criterion has a name of its own', () => expect(new Set(CRITERIA).size).toBe(CRITERIA.length));
});

describe('intents', () => {
  test('easier prey follows the row of the stage: another row, another prey', () => {
    const stages = SHIPPED.stages.map((row) =>
      row.id === 'mayfly/dun' ? { ...row, easier: ['mayfly/nymph' as const] } : row,
    );
    const [first] = rankDressings(SHIPPED.dressings, askedFor('mayfly/dun', { intent: 'easier-prey' }), {
      ...SHIPPED,
      stages,
    });
    expect([first!.dressing.stages.includes('mayfly/nymph'), first!.why[0]!.code]).toEqual([true, 'stage-easier']);
  });
  test('easier prey: a cripple comes before the dun itself', () => {
    const ranked = ask('mayfly/dun', { intent: 'easier-prey' });
    expect(
      ['mayfly/cripple', 'mayfly/emerger', 'mayfly/drowned-dun'].some((stage) =>
        ranked[0]!.dressing.stages.includes(stage as Asked['stage']),
      ),
    ).toBe(true);
    expect(of(ranked, 'first-light-dun').why[0]!.code).toBe('stage-not-easier');
  });
  test('half attractor: what has a spot that draws the eye comes before what has none', () => {
    const ranked = ask('mayfly/nymph', { intent: 'half-attractor' });
    expect(reasonOf(of(ranked, 'tube-wire-jig'), 'intent')).toMatchObject({ code: 'intent-attracts', weight: 1 });
    expect(did(of(ranked, 'herl-bead-nymph'), 'intent')).toBeLessThan(1);
  });
  test('after a refusal: what rides lower is favoured', () => {
    const ranked = ask('mayfly/dun', { intent: 'different-after-refusal' });
    expect(did(of(ranked, 'slack-pool-dun'), 'intent')).toBe(1);
    expect(did(of(ranked, 'first-light-dun'), 'intent')).toBeLessThan(1);
  });
});

test('why not another: what cost it most comes first, and the first has nothing against it', () => {
  const ranked = ask('mayfly/dun', { lengthMm: 8, water: 'fast' });
  const against = whyNot(ranked[0]!, of(ranked, 'ellanmere-long-dun'));
  expect(against.map((why) => why.code)).toContain('length-outside');
  expect(against.map((why) => why.weight)).toEqual([...against.map((why) => why.weight)].sort((a, b) => a! - b!));
  expect(whyNot(ranked[0]!, ranked[0]!)).toEqual([]);
});

describe('made for the insect, at its length, before any other', () => {
  const dark = { 'abdomen-belly': labOfHex('#1c1712') } as const;
  test('a colour lifts no fly of another insect over the one made for it', () => {
    const ranked = ask('alderfly/adult', { lengthMm: 12, water: 'still', colours: dark });
    expect(ranked[0]!.dressing.id).toBe('slate-roof-alder');
    expect(of(ranked, 'low-roof-sedge').score).toBeGreaterThan(0.9 * ranked[0]!.score);
  });
  test('own flies stand before neighbours, whatever the score; after a refusal the score alone counts', () => {
    const stands = (more: More) => ask('mayfly/nymph', { lengthMm: 24, ...more }).map((item) => item.stageMatch);
    const exact = stands({});
    expect(exact.lastIndexOf('same')).toBeLessThan(exact.indexOf('neighbour'));
    const scores = ask('mayfly/dun', { lengthMm: 24, intent: 'different-after-refusal' }).map((item) => item.score);
    expect(scores).toEqual([...scores].sort((a, b) => b - a));
  });
  test('inside its lengths before outside them', () => {
    const ranked = ask('mayfly/dun', { lengthMm: 30, water: 'fast' }).filter((item) => item.stageMatch === 'same');
    const inside = ranked.map(({ dressing }) => dressing.length_mm[0] <= 30 && dressing.length_mm[1] >= 30);
    expect(inside[0]).toBe(true);
    expect(inside.lastIndexOf(true)).toBeLessThan(inside.indexOf(false));
  });
  test('only regions that were measured are spoken of', () => {
    const why = reasonOf(
      of(ask('alderfly/adult', { colours: { wing: labOfHex('#55504a') } }), 'slate-roof-alder'),
      'colour',
    )!;
    expect(why.params.parts).toEqual({ list: [{ kind: 'parts', id: 'wing' }] });
  });
});

describe('what parts the first from the second', () => {
  const parted = (stage: Asked['stage'], more: More, id: string) => {
    const ranked = ask(stage, more);
    return beforeSecond(ranked[0]!, of(ranked, id)).code;
  };
  test('what cost the second most', () => {
    expect(parted('mayfly/dun', { lengthMm: 8, water: 'fast' }, 'ellanmere-long-dun')).toBe('before-second-length');
    expect(parted('mayfly/dun', { lengthMm: 8, water: 'fast' }, 'slack-pool-dun')).toBe('before-second-water');
  });
  test('of equals, the handier', () => {
    expect(parted('mayfly/dun', { lengthMm: 8, water: 'fast' }, 'auldry-two-wing-dun')).toBe('before-second-waters');
    const dun = SHIPPED.dressings.find((item) => item.id === 'first-light-dun')!;
    const twin = (more: Partial<typeof dun>) => {
      const [first, second] = rankDressings([{ ...dun, ...more, id: 'a-twin' }, dun], askedFor('mayfly/dun'), SHIPPED);
      return [first!.dressing.id, beforeSecond(first!, second!).code];
    };
    expect(twin({})).toEqual(['a-twin', 'before-second-equal']);
    expect(twin({ minutes: dun.minutes! - 1 })).toEqual(['a-twin', 'before-second-sooner']);
    expect(twin({ length_mm: [4.5, 12] })).toEqual(['first-light-dun', 'before-second-lengths']);
  });
});
