import { DRESSINGS, MATERIALS, SHADES } from '@/catalogue';
import { createI18n, createSpeech } from '@/speech';
import { COUNTED, DRAWN, everyHeld, heldBy, NEEDS, type Material } from '../materials';
import { doesIn, substitutesFor } from './substitutes';

const EVERY = everyHeld({ materials: MATERIALS, shades: SHADES });
const material = (id: string): Material => MATERIALS.find((own) => own.id === id)!;
const fly = (id: string) => DRESSINGS.find((own) => own.id === id)!;
const asked = (id: string, dressing: string | null = null, held = EVERY) =>
  substitutesFor({ wanted: material(id), hex: material(id).hex, held, dressing: dressing ? fly(dressing) : null });
const own = (id: string) => {
  const found = heldBy({ materials: MATERIALS, shades: SHADES }, { material: id });
  return found.ok ? [found.held] : [];
};

describe('what stands in for a material', () => {
  test('does in its fly all that the other did, in every dressing, and is not the other', () => {
    for (const dressing of DRESSINGS)
      for (const { material: id } of dressing.parts) {
        const does = id === null ? [] : doesIn(dressing, material(id));
        if (does.length === 0) continue;
        for (const one of asked(id!, dressing.id).substitutes.slice(0, 5)) {
          expect([
            dressing.id,
            one.id,
            does.filter((function_) => !one.held.material.functions.includes(function_)),
          ]).toEqual([dressing.id, one.id, []]);
          expect(one.id).not.toBe(id);
        }
      }
  });
  test('keeps and loses are what both do and what the other does alone', () => {
    for (const one of asked('cock-hackle-grey').substitutes) {
      expect(one.keeps.length).toBeGreaterThan(0);
      expect([...one.keeps, ...one.loses].sort()).toEqual([...material('cock-hackle-grey').functions].sort());
    }
  });
  test('the same stuff in another shade stands first, the nearest shade of it', () => {
    const [first] = asked('thread-olive-70').substitutes;
    expect(first!.held.material.fibre).toBe('nylon');
    expect(first!.deltaE).toBeLessThan(8);
  });
  test('function and ride stand before colour, colour before texture', () => {
    const scores = asked('fine-fur').substitutes;
    expect(scores.map(({ score }) => score)).toEqual([...scores.map(({ score }) => score)].sort((a, b) => b - a));
    const floats = scores.findIndex((one) => !one.held.material.floats);
    expect(scores.slice(0, 3).every((one) => one.held.material.floats)).toBe(true);
    expect(floats).toBeGreaterThan(2);
  });
  test('what changes in the tying is said: needs, turns, pieces, water, bulk', () => {
    const codes = (id: string, by: string) => asked(id, null, own(by)).substitutes[0]!.changes.map(({ code }) => code);
    expect(codes('fine-fur', 'rough-fur')).toEqual(expect.arrayContaining(['change-soaks', 'change-sinks']));
    expect(codes('turkey-biot', 'goose-biot')).toEqual(expect.arrayContaining(['change-turns', 'change-pieces']));
    expect(codes('clear-tubing', 'latex-strip')).toContain('change-breaks');
    expect(codes('nylon-70', 'nylon-140')).toContain('change-bulk-more');
    expect(codes('turkey-biot', 'goose-biot')).not.toContain('change-needs-soak');
    expect(codes('thin-resin', 'tinted-resin')).not.toContain('change-caution');
  });
  test('every change can be said', () => {
    const i18n = createI18n();
    const speech = createSpeech(i18n, 'mm');
    for (const key of [...DRAWN.map((id) => `change-tied-${id}`), ...NEEDS.map((id) => `change-needs-${id}`)])
      expect([key, i18n.exists(`reason.${key}`)]).toEqual([key, true]);
    expect(COUNTED.length).toBeGreaterThan(5);
    for (const one of asked('turkey-biot').substitutes)
      for (const change of one.changes) expect(speech.say(change)).not.toMatch(/[{}]|reason\./);
  });
});

describe('refused', () => {
  const why = (id: string, by: string, dressing: string | null) => asked(id, dressing, own(by)).refused[0]?.why.code;
  test('a light bead for a heavy one, a weak thread for a strong one', () => {
    expect(why('bead-tungsten', 'bead-brass', null)).toBe('refused-too-light');
    expect(why('gel-spun-50', 'nylon-50', null)).toBe('refused-would-break');
    expect(asked('nylon-70', null, own('gel-spun-75')).substitutes).toHaveLength(1);
  });
  test('what drinks for what carries a dry fly, and nothing else of it', () => {
    const dry = DRESSINGS.find(
      (own_) => own_.ride === 'high' && own_.parts.some(({ material: id }) => id === 'foam-tan'),
    )!;
    expect(dry).toBeDefined();
    const sinking = { ...material('foam-tan'), id: 'stone', of: undefined, floats: false } as unknown as Material;
    const held = [{ material: sinking, shade: null, hex: null }];
    expect(
      substitutesFor({ wanted: material('foam-tan'), hex: '#b99c69', held, dressing: dry }).refused[0]?.why.code,
    ).toBe('refused-would-sink');
  });
  test('loose fibres for a hackle that is wound', () =>
    expect(why('cock-hackle-grey', 'stiff-fibres-grey', null)).toBe('refused-not-wound'));
  test('what lifts for what is to sink', () => {
    const nymph = DRESSINGS.find(
      (own_) =>
        own_.ride === 'sink' &&
        own_.parts.some(({ material: id, function: does }) => id === 'rough-fur' && does === 'body.dubbed'),
    )!;
    expect(why('rough-fur', 'kapok', nymph.id)).toBe('refused-would-float');
  });
});

describe('where the lines are', () => {
  const like = (id: string, more: Partial<Material>): Material => ({
    ...material(id),
    id: 'other',
    name: 'Other',
    ...more,
  });
  const one = (id: string, more: Partial<Material>, dressing: string | null = null) =>
    substitutesFor({
      wanted: material(id),
      hex: material(id).hex,
      held: [{ material: like(id, more), shade: null, hex: null }],
      dressing: dressing ? fly(dressing) : null,
    });
  const density = material('bead-tungsten').density_g_cm3;
  test('six tenths of a weight are enough, seven tenths of a strength, and no less', () => {
    expect(one('bead-tungsten', { density_g_cm3: 0.601 * density }).substitutes).toHaveLength(1);
    expect(one('bead-tungsten', { density_g_cm3: 0.599 * density }).refused).toHaveLength(1);
    expect(one('nylon-70', { denier: 49.5 }).substitutes).toHaveLength(1);
    expect(one('nylon-70', { denier: 48.5 }).refused).toHaveLength(1);
  });
  test('below six tenths of a gram in a cubic centimetre a body lifts a fly that is to sink', () => {
    const nymph = DRESSINGS.find(
      ({ ride, parts }) => ride === 'sink' && parts.some((own_) => own_.material === 'rough-fur'),
    )!;
    expect(one('rough-fur', { floats: true, density_g_cm3: 0.61 }, nymph.id).refused).toHaveLength(0);
    expect(one('rough-fur', { floats: true, density_g_cm3: 0.59 }, nymph.id).refused).toHaveLength(1);
  });
  test('a quarter more of something is said, and a tenth more turns', () => {
    const codes = (more: Partial<Material>) => one('turkey-biot', more).substitutes[0]!.changes.map(({ code }) => code);
    const { absorbency, stiffness, fragility, sparkle, lay_mm } = material('turkey-biot');
    expect(
      codes({
        absorbency: absorbency + 0.24,
        stiffness: stiffness + 0.24,
        fragility: fragility + 0.24,
        sparkle: sparkle + 0.24,
      }),
    ).toEqual([]);
    expect(codes({ absorbency: absorbency + 0.26 })).toEqual(['change-soaks']);
    expect(codes({ absorbency: absorbency - 0.26 })).toEqual(['change-sheds']);
    expect(codes({ stiffness: stiffness + 0.26 })).toEqual(['change-stiffer']);
    expect(codes({ stiffness: stiffness - 0.26 })).toEqual(['change-softer']);
    expect(codes({ fragility: fragility + 0.26 })).toEqual(['change-breaks']);
    expect(codes({ sparkle: sparkle + 0.26 })).toEqual(['change-brighter']);
    expect(codes({ sparkle: sparkle - 0.26 })).toEqual(['change-duller']);
    expect(codes({ lay_mm: lay_mm! / 1.09 })).toEqual([]);
    expect(codes({ lay_mm: lay_mm! / 1.11 })).toEqual(['change-turns']);
  });
  test('what each tells for: function more than ride, ride more than colour, colour more than texture; the same in all is one', () => {
    const score = (more: Partial<Material>) => one('fine-fur', more).substitutes[0]!.score;
    expect(score({})).toBeCloseTo(1, 9);
    expect(score({ functions: ['body.dubbed'] })).toBeCloseTo(1 - 0.55 / 2, 9);
    expect(score({ floats: false })).toBeCloseTo(0.8, 9);
    // As far off as can be.
    expect(score({ hex: '#0000ff' })).toBeCloseTo(0.85, 9);
    expect(score({ stiffness: material('fine-fur').stiffness + 0.3 })).toBeCloseTo(1 - 0.1 * 0.1, 9);
  });
});
