import ids from '@/catalogue/ids.json';
import type { BendId, StageId } from '@/catalogue/ids';
import { SHIPPED, sampleOf } from '../../../tools/test-catalogue';
import { answer, NO_CHOICES } from '@/core/answer';
import { at, band, curveOf, pathOf, smooth, walk, type Point } from '@/core/hooks/drawn';
import { cardOnCommonHook } from '../../../tools/plate-pixels';
import { nosed } from './fly/bodies';
import { boundsOf } from './fly/brush';
import { flyMarks } from './fly/fly-marks';
import { partStates } from './fly/progress';
import { cardInWater } from './in-water';
import { fitInto, svgPicture } from './to-svg';
import { hookMarks } from '@/core/hooks/drawn';
import likelihoods from '@/catalogue/likelihoods.json';
import { BASE, FORMS } from './natural-forms';
import { naturalMarks } from './natural-marks';

const distance = (a: Point, b: Point) => Math.hypot(a[0] - b[0], a[1] - b[1]);
const finite = (d: string) => !/NaN|Infinity|undefined/.test(d);

describe('curves', () => {
  test('a place along a curve, and straight on beyond its ends', () => {
    const line = curveOf([
      [0, 0],
      [-4, 0],
      [-4, -3],
    ]);
    expect(line.length).toBe(7);
    expect(at(line, 2).p).toEqual([-2, 0]);
    expect(at(line, 5.5).p[1]).toBeCloseTo(-1.5, 9);
    expect(at(line, 9).p[1]).toBeCloseTo(-5, 9);
    expect(at(line, -1).p[0]).toBeCloseTo(1, 9);
  });
  test('where a curve runs to the left its normal points up, away from the gape', () => {
    expect(
      at(
        curveOf([
          [0, 0],
          [-4, 0],
        ]),
        1,
      ).n,
    ).toEqual([0, 1]);
  });
  test('a walk of half a turn comes back beside its start, a diameter away', () => {
    const arc = walk([0, 0], 0, [{ length: Math.PI * 2, turn: Math.PI }], 0.01);
    const end = arc.points[arc.points.length - 1]!;
    expect(end[0]).toBeCloseTo(0, 2);
    expect(end[1]).toBeCloseTo(4, 2);
  });
  test('a band keeps its half-width on both sides', () => {
    const outline = band(
      curveOf([
        [0, 0],
        [-10, 0],
      ]),
      2,
      8,
      () => 0.5,
      4,
    );
    expect(outline).toHaveLength(10);
    expect(new Set(outline.map(([, y]) => Math.abs(y)))).toEqual(new Set([0.5]));
  });
  test('paths turn y downward and close when asked', () => {
    expect(
      pathOf([
        [0, 1],
        [2, -3],
      ]),
    ).toBe('M0 -1L2 3');
    expect(
      pathOf(
        [
          [0, 1],
          [2, -3],
        ],
        true,
      ),
    ).toMatch(/Z$/);
    expect(
      smooth([
        [0, 0],
        [1, 0],
        [1, 1],
      ]),
    ).toMatch(/^M0 0C.*Z$/);
  });
});

describe('a hook is drawn from its own dimensions', () => {
  const dims = (bend: BendId, more = {}) => ({
    bend,
    eye: 'down' as const,
    barb: 'barbed' as const,
    shankMm: 8,
    gapeMm: 4.8,
    biteMm: 4.3,
    wireMm: 0.45,
    eyeMm: 1.5,
    ...more,
  });
  test.each(ids.bends.map((bend) => bend.id as BendId))(
    '%s: the straight from behind the eye to above the point is the shank',
    (bend) => {
      const { curve } = hookMarks(dims(bend));
      const point = curve.points[curve.points.length - 1]!;
      const back = Math.min(...curve.points.map(([x]) => x));
      expect(curve.points[0]).toEqual([0, 0]);
      expect(back).toBeLessThan(-0.9 * 8);
      expect(point[0]).toBeGreaterThan(back);
      expect(point[1]).toBeLessThan(-0.5 * 4.8);
    },
  );
  test('on a round bend the point lies one gape under the shank', () => {
    const { curve } = hookMarks(dims('round'));
    const lowest = Math.min(...curve.points.map(([, y]) => y));
    expect(-lowest).toBeCloseTo(4.8, 0);
  });
  test('twice the hook is twice the drawing', () => {
    const one = hookMarks(dims('round')).bounds;
    const two = hookMarks(dims('round', { shankMm: 16, gapeMm: 9.6, biteMm: 8.6, wireMm: 0.9, eyeMm: 3 })).bounds;
    expect((two.right - two.left) / (one.right - one.left)).toBeCloseTo(2, 1);
    expect((two.top - two.bottom) / (one.top - one.bottom)).toBeCloseTo(2, 1);
  });
  test('a barb is drawn on a barbed hook only', () => {
    expect(hookMarks(dims('round')).marks.length).toBeGreaterThan(
      hookMarks(dims('round', { barb: 'none' })).marks.length,
    );
  });
  test('the wire is as thick as it is', () => {
    expect(hookMarks(dims('round')).marks.some((mark) => mark.mm && Math.abs(mark.width! - 0.45) < 1e-9)).toBe(true);
  });
});

describe('a fly is drawn from its card', () => {
  const cards = SHIPPED.dressings.map(
    (dressing) =>
      answer(
        sampleOf(dressing.stages[0]!, {
          lengthsMm: [Math.sqrt(dressing.length_mm[0] * dressing.length_mm[1])],
          water: dressing.waters[0]!,
        }),
        { ...NO_CHOICES, dressingPin: dressing.id },
        SHIPPED,
      ).card!,
  );
  test.each(cards.map((card) => [card.dressing.id, card] as const))(
    '%s: every stroke is a number, and something of every dressing shows',
    (_, card) => {
      const drawing = flyMarks(card);
      expect(drawing.marks.every((mark) => finite(mark.d))).toBe(true);
      expect(drawing.marks.length).toBeGreaterThan(drawing.hook.marks.length + 1);
      expect(drawing.bounds.right - drawing.bounds.left).toBeGreaterThan(card.hook.shank_mm);
    },
  );
  test.each(['biot', 'foam', 'glass', 'cord', 'straw', 'tips'] as const)(
    'what looks like %s is drawn by its column, whatever it is called: one of the tier’s own too',
    (look) => {
      const stroke = (card: (typeof cards)[number]) =>
        flyMarks(card)
          .marks.map(({ d, opacity }) => `${d} ${opacity ?? ''}`)
          .join('\n');
      const dressings = SHIPPED.dressings.filter((dressing) =>
        dressing.parts.some((part) => SHIPPED.materials.find((item) => item.id === part.material)?.look === look),
      );
      const own = cards.filter((card) => dressings.some((dressing) => dressing.id === card.dressing.id));
      const withMaterials = (card: (typeof cards)[number], change: object) => ({
        ...card,
        parts: card.parts.map((part) => ({ ...part, material: part.material && { ...part.material, ...change } })),
      });
      for (const card of own)
        expect(stroke(withMaterials(card, { id: 'own-thing-x1', name: 'Mine' }))).toBe(stroke(card));
      expect(own.some((card) => stroke(withMaterials(card, { look: undefined })) !== stroke(card))).toBe(true);
    },
  );
  test('dimension lines are as long as the parts they name', () => {
    const straight = cards.filter((card) => card.hook.bend === 'round');
    expect(straight.length).toBeGreaterThan(5);
    for (const card of straight) {
      for (const line of flyMarks(card).dimensions.filter((item) =>
        ['tail', 'abdomen', 'thorax'].includes(item.kind),
      )) {
        const part = card.parts.find((item) => item.id === line.part)!;
        expect([card.dressing.id, line.kind, distance(line.from, line.to) / part.mm!]).toEqual([
          card.dressing.id,
          line.kind,
          expect.closeTo(1, 1),
        ]);
      }
    }
  });
  test('before the first part is bound only the hook is there; each step adds and the last is the fly', () => {
    const card = cards.find((item) => item.dressing.id === 'first-light-dun')!;
    const there = (upTo: number) =>
      card.parts.filter((part) => partStates(card, upTo)(part).there !== 'no').map((part) => part.id);
    const grown = card.steps.map((step) => there(step.n));
    expect(flyMarks(card, { upTo: 0 }).marks).toHaveLength(flyMarks(card).hook.marks.length);
    grown.slice(1).forEach((now, index) => expect(now).toEqual(expect.arrayContaining(grown[index]!)));
    expect(there(card.steps.length)).toHaveLength(card.parts.length);
  });
  test.each(cards.map((card) => [card.dressing.id, card] as const))('%s after its last step is the fly', (_, card) => {
    expect(flyMarks(card, { upTo: card.steps.length }).marks).toEqual(flyMarks(card).marks);
  });
  test('what is caught in waits behind until it is wound, and what is cut last is long until then', () => {
    const card = cards.find((item) => item.dressing.id === 'first-light-post-dun')!;
    const hackle = card.parts.find((part) => part.part === 'hackle')!;
    const at = (verb: string, part: string) => card.steps.find((step) => step.do === verb && step.part === part)!.n;
    expect(partStates(card, at('catch-in', hackle.id))(hackle).there).toBe('waiting');
    expect(partStates(card, at('wind', hackle.id))(hackle).there).toBe('yes');
    const tallest = (upTo?: number) => flyMarks(card, { upTo }).bounds.top;
    expect(tallest(at('cut', 'post') - 1)).toBeGreaterThan(tallest() * 1.2);
  });
  test.each(cards.map((card) => [card.dressing.id, card] as const))(
    '%s from above is as wide on both sides, but for one wing',
    (_, card) => {
      const { bounds, marks } = flyMarks(card, { view: 'top' });
      expect(marks.every((mark) => finite(mark.d))).toBe(true);
      if (card.dressing.id !== 'one-side-cripple') expect(bounds.top / -bounds.bottom).toBeCloseTo(1, 0);
    },
  );
  test('a plain drawing carries no colour of a material', () => {
    const card = cards[0]!;
    const colours = (plain: boolean) =>
      flyMarks(card, { plain })
        .marks.flatMap((mark) => [mark.fill, mark.stroke])
        .filter((value) => value?.startsWith('#'));
    expect(colours(false).length).toBeGreaterThan(0);
    expect(colours(true)).toEqual([]);
  });
  test('the same card is drawn the same twice', () =>
    expect(flyMarks(cards[0]!).marks).toEqual(flyMarks(cards[0]!).marks));
  test('the ring of a step lies on the wire at its millimetre', () => {
    const card = cards.find((item) => item.hook.bend === 'round')!;
    const point = flyMarks(card).pointAt(3);
    expect(point[0]).toBeCloseTo(-3, 1);
    expect(Math.abs(point[1])).toBeLessThan(0.2);
  });
});

describe('a natural is drawn to its length', () => {
  const stages = ids.stages.map((stage) => stage.id as StageId);
  test.each(stages)('%s', (stage) => {
    const small = naturalMarks(stage, 8, {}, 10);
    const large = naturalMarks(stage, 16, {}, 20);
    expect(small.marks.length).toBeGreaterThan(2);
    expect(small.marks.every((mark) => finite(mark.d))).toBe(true);
    const span = (drawing: typeof small) => drawing.bounds.right - drawing.bounds.left;
    expect(span(large) / span(small)).toBeCloseTo(2, 1);
    expect(span(small)).toBeGreaterThanOrEqual(8 * 0.9);
  });
  test('regions take the colours measured', () => {
    const drawing = naturalMarks('mayfly/dun', 8, { wing: '#123456', 'abdomen-belly': '#654321' });
    const used = new Set(drawing.marks.flatMap((mark) => [mark.fill, mark.stroke]));
    expect(used).toContain('#123456');
    expect(used).toContain('#654321');
  });
  test('unlike insects have unlike outlines', () => {
    const shapes = (['mayfly/dun', 'caddis/adult', 'stonefly/adult', 'midge/pupa', 'crane-fly/adult'] as StageId[]).map(
      (stage) =>
        naturalMarks(stage, 8, {})
          .marks.map((mark) => mark.d)
          .join(''),
    );
    expect(new Set(shapes).size).toBe(shapes.length);
  });
});

describe('a drawing as a file', () => {
  const svg = svgPicture({
    width: 100,
    height: 50,
    theme: 'dusk',
    title: 'a "b" <c>',
    placed: [
      {
        marks: [
          { d: 'M0 0L1 1', stroke: 'var(--ink)', width: 2 },
          { d: 'M0 0L2 0', stroke: 'var(--ink)', width: 0.4, mm: true },
        ],
        scale: 10,
        x: 5,
        y: 6,
      },
    ],
  });
  test('colours of the page are resolved and words are safe', () => {
    expect(svg).not.toMatch(/var\(/);
    expect(svg).toContain('#DEE9E7');
    expect(svg).toContain('<title>a &quot;b&quot; &lt;c&gt;</title>');
  });
  test('strokes of the pen keep their pixels, wire keeps its millimetres', () => {
    expect(svg).toContain('stroke-width="0.2"');
    expect(svg).toContain('stroke-width="0.4"');
  });
  test('a drawing is fitted whole into its box', () => {
    const { scale, x, y } = fitInto({ left: -10, right: 2, top: 3, bottom: -5 }, 200, 100, 10);
    expect(scale).toBeCloseTo(10, 9);
    expect([x - 10 * scale, x + 2 * scale]).toEqual([40, 160]);
    expect([y - 3 * scale, y + 5 * scale]).toEqual([10, 90]);
  });
});

describe('a hackle as its turns lie', () => {
  const card = (id: string) => cardOnCommonHook(SHIPPED.dressings.find((dressing) => dressing.id === id)!);
  const of = (id: string, trim: 'full' | 'flat-below' | 'both', kind = 'hackle') => {
    const shown = card(id);
    const trimmed = {
      ...shown,
      hackles: shown.hackles.map((item) => ({ ...item, trim })),
      parts: shown.parts.filter((part) => part.part === kind || part.thick_mm !== null),
    };
    const { marks } = flyMarks(trimmed);
    const bare = flyMarks({ ...trimmed, parts: trimmed.parts.filter((part) => part.part !== kind) }).marks;
    return boundsOf(marks.filter((mark) => !bare.some((other) => other.d === mark.d)));
  };
  test('stands over the whole of its stretch, one barb high and low', () => {
    const shown = card('first-light-dun');
    const hackle = shown.parts.find((part) => part.part === 'hackle')!;
    const { left, right, top, bottom } = of('first-light-dun', 'full');
    expect(right - left).toBeGreaterThan(hackle.from_mm! - hackle.to_mm!);
    expect(top - bottom).toBeGreaterThan(1.8 * hackle.mm!);
    expect(top - bottom).toBeLessThan(2.6 * hackle.mm!);
  });
  test('clipped flat below it keeps its barbs above and a stub below; above and below, neither', () => {
    const hackle = card('first-light-dun').parts.find((part) => part.part === 'hackle')!;
    const flat = of('first-light-dun', 'flat-below');
    expect(flat.top).toBeGreaterThan(0.8 * hackle.mm!);
    expect(-flat.bottom).toBeLessThan(0.4 * hackle.mm!);
    const both = of('first-light-dun', 'both');
    expect(Math.max(both.top, -both.bottom)).toBeLessThan(0.6 * hackle.mm!);
  });
  test('a palmer stands along the body, not from one point', () => {
    const second = card('ellanmere-hatching-wet').parts.find((part) => part.part === 'second-hackle')!;
    const { left, right } = of('ellanmere-hatching-wet', 'full', 'second-hackle');
    expect(right - left).toBeGreaterThan(0.9 * (second.from_mm! - second.to_mm!));
  });
});

test('a body with nothing in front of it runs down to the head, one behind a thorax does not', () => {
  const plain = () => 1;
  expect([nosed(plain)(0), nosed(plain)(0.7)]).toEqual([1, 1]);
  expect(nosed(plain)(1)).toBeLessThan(0.5);
});

test('through a clear body its thread is seen, dry and wet', () => {
  const card = cardOnCommonHook(SHIPPED.dressings.find((dressing) => dressing.id === 'glass-head-worm')!);
  const layer = card.layers.find((item) => item.part === 'abdomen')!;
  const fills = (shown: typeof card) => flyMarks(shown).marks.map((mark) => mark.fill);
  expect(layer.dry.hex).not.toBe(card.parts.find((part) => part.id === 'abdomen')!.colour!.hex);
  expect(fills(card)).toContain(layer.dry.hex);
  expect(fills(cardInWater(card))).toContain(layer.wet.hex);
});

describe('naturals as they hold themselves', () => {
  const of = (stage: StageId) => naturalMarks(stage, 10, {});
  test.each(['caddis/free-larva', 'caddis/pupa', 'midge/pupa', 'shrimp/adult'] as const)(
    '%s curls down, its back the outside of the curve',
    (stage) => {
      const body = of(stage).marks.filter((mark) => mark.fill !== undefined);
      const { top } = boundsOf(body);
      expect(top).toBeGreaterThan(-boundsOf(body).bottom);
    },
  );
  test('a raft is several insects, wider than one and no larger each', () => {
    const [raft, adult] = [of('midge/cluster'), of('crane-fly/adult')];
    expect(raft.marks.length).toBeGreaterThan(2 * adult.marks.length);
    expect(raft.bounds.right - raft.bounds.left).toBeGreaterThan(1.5 * 10);
    expect(raft.marks.every((mark) => finite(mark.d))).toBe(true);
  });
  test('no two orders have a stage of the same picture, and every mark lies within its bounds', () => {
    const pictures = ids.stages.map(({ id }) => ({
      order: id.split('/')[0],
      drawing: naturalMarks(id as StageId, 10, {}),
    }));
    pictures.forEach(({ order, drawing }, at) => {
      expect(
        pictures
          .slice(at + 1)
          .filter(
            (other) => other.order !== order && JSON.stringify(other.drawing.marks) === JSON.stringify(drawing.marks),
          ),
      ).toEqual([]);
      const points = drawing.marks.flatMap((mark) =>
        [...mark.d.matchAll(/(-?[\d.]+(?:e-?\d+)?)[ ,](-?[\d.]+(?:e-?\d+)?)/g)].map(
          ([, x, y]) => [Number(x), -Number(y)] as const,
        ),
      );
      const over = points.filter(
        ([x, y]) =>
          x < drawing.bounds.left - 0.35 ||
          x > drawing.bounds.right + 0.35 ||
          y > drawing.bounds.top + 0.35 ||
          y < drawing.bounds.bottom - 0.35,
      );
      expect([ids.stages[at]!.id, over]).toEqual([ids.stages[at]!.id, []]);
    });
  });
  test('a leech has no eye, a grasshopper a leg to jump with, a boatman one to row', () => {
    const oars = (stage: StageId) => of(stage).marks.filter((mark) => mark.width === 3).length;
    expect([oars('water-boatman/adult'), oars('backswimmer/adult'), oars('caddis/adult')]).toEqual([1, 1, 0]);
    const knees = (stage: StageId) =>
      of(stage).marks.filter((mark) => mark.d.startsWith('M-8 -2.5') && mark.fill === undefined).length;
    expect([knees('grasshopper/adult'), knees('caddis/adult')]).toEqual([1, 0]);
    expect(of('leech/adult').marks.filter((mark) => mark.fill === 'var(--ink)')).toEqual([]);
  });
  test('what the key tells of a stage more often than not is what is drawn', () => {
    const SURE = 0.55;
    const PAIRS = 3;
    // Its one spine is no tail to who answers the key.
    const ODD = ['water-flea/adult: tails'];
    const told = (stage: string, sign: string): string | null => {
      const signs = likelihoods.stages[stage as keyof typeof likelihoods.stages].signs as Record<
        string,
        Record<string, number> | null
      >;
      const [best] = Object.entries(signs[sign] ?? {}).sort(([, a], [, b]) => b - a);
      return best && best[1] >= SURE ? best[0] : null;
    };
    const differ = Object.keys(likelihoods.stages).flatMap((stage) => {
      const form = { ...BASE, ...FORMS[stage] };
      const [gills, house, tails, legs, wings] = ['gills', 'case', 'tails', 'legs', 'wings'].map((sign) =>
        told(stage, sign),
      );
      const wrong = [
        gills === 'abdomen' && !form.gills,
        gills === 'breathers' && !form.plumes,
        gills === 'none' && (form.gills || form.plumes),
        house === 'none' && form.case !== 'none',
        house === 'plant' && form.case !== 'leaves',
        tails != null && /^[0-3]$/.test(tails) && form.case === 'none' && form.tails !== Number(tails),
        tails === 'plates' && form.fan !== 'plates',
        legs === 'none' && form.legs > 0,
        legs?.startsWith('six') === true && form.legs !== PAIRS,
        legs === 'rowing' && form.strong !== 'row',
        legs === 'jumping' && form.strong !== 'jump',
        wings === 'none' && form.wing !== 'none',
      ];
      const signs = [
        'gills',
        'breathers',
        'no gills',
        'no case',
        'leaves',
        'tails',
        'plates',
        'no legs',
        'six legs',
        'oars',
        'jumps',
        'no wings',
      ];
      return signs.filter((_, at) => wrong[at]).map((sign) => `${stage}: ${sign}`);
    });
    expect(differ).toEqual(ODD);
  });
  test('every insect stands on six legs that come from its thorax', () => {
    for (const stage of [
      'mayfly/dun',
      'caddis/adult',
      'stonefly/nymph',
      'beetle/adult',
      'grasshopper/adult',
    ] as const) {
      const near = of(stage).marks.find((mark) => mark.width === 1.8 && mark.fill === undefined)!;
      const far = of(stage).marks.find((mark) => mark.width === 0.8 && mark.opacity === 0.4)!;
      const hips = [near, far].flatMap((mark) => [...mark.d.matchAll(/M(-?[\d.]+)/g)].map(([, x]) => Number(x)));
      const jumps = stage === 'grasshopper/adult' ? 2 : 0;
      expect([stage, hips.length + jumps]).toEqual([stage, 6]);
      expect(Math.min(...hips)).toBeGreaterThan(-0.5 * 10);
    }
  });
  test('one that swims on its back is drawn on its back, and light goes through what is clear', () => {
    const { top, bottom } = of('backswimmer/adult').bounds;
    const boatman = of('water-boatman/adult').bounds;
    expect(top).toBeGreaterThan(3);
    expect(-boatman.bottom).toBeGreaterThan(3);
    expect(-bottom).toBeLessThan(top);
    const glass = naturalMarks('phantom-midge/larva', 10, { 'abdomen-belly': '#123456' });
    const filled = glass.marks.filter((mark) => mark.fill === '#123456');
    expect(new Set(filled.map((mark) => mark.opacity))).toEqual(new Set([0.3]));
  });
  test('one that is spent has both wings spread, neither hanging below by its length', () =>
    expect(-of('mayfly/spent').bounds.bottom).toBeLessThan(0.45 * 10));
});
