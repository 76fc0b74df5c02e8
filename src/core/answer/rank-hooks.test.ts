import fc from 'fast-check';
import { SHIPPED } from '../../../tools/test-catalogue';
import { columnsOf, modelKey, xOf, type Hook } from '../hooks';
import type { HookAnswer } from '../hook-score';
import { ANY_KIND, bandSteps, isOfKind, modelsInOrder, rankHooks, type HooksAsked } from './rank-hooks';
import { placeOf, scoreHook, styleUse } from '../hook-score';

const columns = columnsOf(SHIPPED.hooks);
const style = (id: string) => SHIPPED.styles.find((item) => item.id === id)!;
const asked = (more: Partial<HooksAsked> = {}): HooksAsked => ({
  use: styleUse(style('upright-dun')),
  targetMm: 8.2,
  bodyWidthMm: 1.1,
  barbRule: 'any',
  makers: [],
  owned: {},
  onlyOwned: false,
  pin: null,
  leastShankMm: 0,
  relativeSe: 0.04,
  relativeHatchSd: 0.07,
  ...more,
});

/** The same order by the plain way: score every hook, sort them all. */
function plainly(wanted: HooksAsked): HookAnswer[] {
  const all = SHIPPED.hooks.flatMap(
    (hook) => scoreHook(hook, wanted.use, wanted, wanted.owned[hook.id] ?? 0, false) ?? [],
  );
  const best = Math.min(...all.map((hook) => hook.steps!));
  const near = (hook: HookAnswer) => Number(hook.owned > 0 && hook.steps! <= best + bandSteps(wanted.relativeSe));
  const outside = (hook: HookAnswer) =>
    Number(placeOf(wanted.use, hook.bend, xOf(hook.shank_mm, hook.gape_mm)).place < 0);
  const listed = all.some((hook) => outside(hook) === 0 && hook.steps! <= 3);
  const last = (hook: HookAnswer) => (listed ? outside(hook) : 0);
  const sold = all.some(
    (hook) => hook.maker !== 'reference' && last(hook) === 0 && hook.steps! <= best + bandSteps(wanted.relativeSe),
  );
  const unsold = (hook: HookAnswer) => Number(sold && hook.maker === 'reference');
  return all.sort(
    (a, b) =>
      last(a) - last(b) ||
      near(b) - near(a) ||
      unsold(a) - unsold(b) ||
      a.steps! - b.steps! ||
      Math.abs(a.length_steps!) - Math.abs(b.length_steps!) ||
      (a.id < b.id ? -1 : 1),
  );
}

const idsOf = (wanted: HooksAsked, top: number) =>
  rankHooks(columns, wanted, top).order.map((row) => columns.hooks[row]!.id);

describe('ranking in one pass', () => {
  const anyStyle = fc.constantFrom(...SHIPPED.styles);
  test('gives the order of a full sort, for any style, length, width and drawer', () => {
    fc.assert(
      fc.property(
        anyStyle,
        fc.double({ min: 5, max: 20, noNaN: true }),
        fc.double({ min: 0.3, max: 5, noNaN: true }),
        fc.array(fc.nat(SHIPPED.hooks.length - 1), { maxLength: 20 }),
        (any, targetMm, bodyWidthMm, rows) => {
          const wanted = asked({
            use: styleUse(any),
            targetMm,
            bodyWidthMm,
            owned: Object.fromEntries(rows.map((row) => [SHIPPED.hooks[row]!.id, 3])),
          });
          const whole = plainly(wanted);
          // Giants are ordered otherwise, by how much they carry.
          if (whole.every((hook) => hook.carry_mm < 0.85 * targetMm)) return;
          const got = idsOf(wanted, 20).map((id) => whole.find((hook) => hook.id === id)!);
          expect(new Set(got).size).toBe(Math.min(20, whole.length));
          // The logarithm of the hot loop is good to 1e-9: hooks as near as that may stand either way round.
          got.forEach((hook, place) => {
            if (hook !== whole[place]) expect(Math.abs(hook.steps! - whole[place]!.steps!)).toBeLessThan(1e-6);
          });
        },
      ),
      { numRuns: 60 },
    );
  });
  test('looked for by kind, only hooks of that kind are left, in the same order; a pinned one stays before them', () => {
    const kinds = { bend: 'curved-shank' as const, wire: null, barb: 'barbed' as const, eye: null };
    const wanted = asked({ use: styleUse(style('bead-nymph')) });
    const ofKind = plainly(wanted)
      .map((hook) => hook.id)
      .filter((id) => isOfKind(kinds, columns.hooks[columns.at.get(id)!]!));
    expect(ofKind.length).toBeGreaterThan(3);
    expect(idsOf({ ...wanted, kinds }, 500)).toEqual(ofKind);
    expect(idsOf({ ...wanted, kinds, pin: 'osmere:lark:14' }, 500)).toEqual(['osmere:lark:14', ...ofKind]);
    expect(idsOf({ ...wanted, kinds: ANY_KIND }, 500)).toEqual(idsOf(wanted, 500));
  });
  test('the same with a dressing’s own hooks in place of its style’s', () => {
    const bends = SHIPPED.dressings.filter((dressing) => dressing.hooks.length > 0);
    fc.assert(
      fc.property(fc.constantFrom(...bends), fc.double({ min: 5, max: 18, noNaN: true }), (dressing, targetMm) => {
        const wanted = asked({ use: styleUse(style(dressing.style), dressing), targetMm });
        const whole = plainly(wanted);
        if (whole.every((hook) => hook.carry_mm < 0.85 * targetMm)) return;
        idsOf(wanted, 12).forEach((id, place) => {
          if (id !== whole[place]!.id)
            expect(Math.abs(whole.find((hook) => hook.id === id)!.steps! - whole[place]!.steps!)).toBeLessThan(1e-6);
        });
      }),
      { numRuns: 60 },
    );
  });
  test('what floats never takes a jig unless it is pinned, however few hooks are left', () => {
    const dry = asked({ barbRule: 'barbless', owned: { 'tholeby:jig:12': 9 } });
    expect(idsOf(dry, 400).some((id) => columns.hooks[columns.at.get(id)!]!.bend === 'jig')).toBe(false);
    const jig = SHIPPED.hooks.find((hook) => hook.bend === 'jig')!.id;
    expect(idsOf({ ...dry, pin: jig }, 3)[0]).toBe(jig);
  });
  test('a bend of the list comes before a nearer one outside it, whatever is owned, unless none of the list is within three steps', () => {
    const use = styleUse(style('upright-dun'), { weights: [], hooks: [{ bend: 'wide', x_long: null, wire: [] }] });
    const round = SHIPPED.hooks.find((hook) => hook.bend === 'round' && Math.abs(hook.shank.value - 8) < 0.4)!;
    const first = (targetMm: number) =>
      columns.hooks[columns.at.get(idsOf(asked({ use, targetMm, owned: { [round.id]: 20 } }), 1)[0]!)!]!;
    expect(first(8.2).bend).toBe('wide');
    const wide = SHIPPED.hooks.filter((hook) => hook.bend === 'wide').map((hook) => hook.shank.value);
    expect(first(Math.min(...wide) * 0.6).bend).toBe('round');
  });
  test('a hook nobody sells comes after every sold one of its kind while one of these is in the band', () => {
    const order = idsOf(asked(), 400).map((id) => columns.hooks[columns.at.get(id)!]!);
    const listed = order.filter((hook) => hook.bend === 'round' || hook.bend === 'wide');
    const from = listed.findIndex((hook) => hook.maker === 'reference');
    expect(from).toBeGreaterThan(20);
    expect(listed.slice(from).every((hook) => hook.maker === 'reference')).toBe(true);
  });
  test('beads count on a jig and in the gape, as in the hooks scored one by one', () => {
    const use = {
      style: style('jig-nymph'),
      bead: {
        kind: 'bead' as const,
        metal: 'tungsten' as const,
        bead_kind: 'slotted' as const,
        diameter_mm: null,
        turns: null,
        cover: null,
        lock: null,
      },
      reading: 'default' as const,
      pathShare: 1,
      seatEyes: 0,
      hooks: [],
    };
    const wanted = asked({ use });
    const ranked = rankHooks(columns, wanted, 10);
    expect(ranked.order.map((row) => columns.hooks[row]!.id)).toEqual(
      plainly(wanted)
        .slice(0, 10)
        .map((hook) => hook.id),
    );
  });
  test('the longest first where none is long enough', () => {
    const wanted = asked({ targetMm: 70 });
    const { order, giant } = rankHooks(columns, wanted, 5);
    expect(giant).toBe(true);
    expect(order.map((row) => columns.hooks[row]!.id)).toEqual(
      plainly(wanted)
        .sort((a, b) => b.carry_mm - a.carry_mm)
        .slice(0, 5)
        .map((hook) => hook.id),
    );
  });
  test('the nearest of every model is its own best, and every maker has one', () => {
    const wanted = asked({ owned: { 'osmere:lark:12': 3 } });
    const whole = plainly(wanted);
    const ranked = rankHooks(columns, wanted, 1);
    const { bestOfModel, bestOfMaker } = ranked;
    const bestIds = [...bestOfModel].map((row) => (row < 0 ? null : columns.hooks[row]!.id));
    expect(bestIds).toEqual(columns.models.map((model) => whole.find((hook) => modelKey(hook) === model)?.id ?? null));
    const steps = modelsInOrder(columns, ranked).map(
      (model) => whole.find((hook) => hook.id === bestIds[model])!.steps!,
    );
    expect(steps).toEqual([...steps].sort((a, b) => a - b));
    expect(
      [...bestOfMaker]
        .filter((row) => row >= 0)
        .map((row) => columns.hooks[row]!.maker)
        .sort(),
    ).toEqual([...new Set(SHIPPED.hooks.map((hook) => hook.maker))].sort());
  });
});

describe('filters', () => {
  const retire = (id: string): Hook[] =>
    SHIPPED.hooks.map((hook) => (hook.id === id ? { ...hook, retired: true } : hook));
  const best = idsOf(asked(), 1)[0]!;
  const among = (hooks: readonly Hook[], more: Partial<HooksAsked>) => {
    const own = columnsOf(hooks);
    return rankHooks(own, asked(more), 400).order.map((row) => own.hooks[row]!.id);
  };
  test('a hook no longer sold is offered only where it is owned or pinned', () => {
    const hooks = retire(best);
    expect(among(hooks, {})).not.toContain(best);
    expect(among(hooks, { owned: { [best]: 2 } })[0]).toBe(best);
    expect(among(hooks, { pin: best })[0]).toBe(best);
  });
  test('nothing under the smallest size worth tying', () => {
    const ids = idsOf(asked({ targetMm: 3, leastShankMm: 5 }), 400);
    expect(
      Math.min(...ids.map((id) => SHIPPED.hooks.find((hook) => hook.id === id)!.shank.value)),
    ).toBeGreaterThanOrEqual(5);
    expect(ids.length).toBeGreaterThan(50);
  });
  test('a pin passes every filter and stands once', () => {
    const ids = idsOf(asked({ pin: best, onlyOwned: true, makers: ['nobody'] }), 50);
    expect(ids).toEqual([best]);
  });
});
