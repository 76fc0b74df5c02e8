import { SHIPPED } from '../../../tools/test-catalogue';
import { columnsOf, type Hook } from '../hooks';
import { convertHook, type ConvertBy } from './convert';
import { styleUse } from '../hook-score';

const style = SHIPPED.styles.find((item) => item.id === 'nymph')!;
const ask = (
  from: Hook,
  by: ConvertBy = 'length',
  owned: Record<string, number> = {},
  hooks: readonly Hook[] = SHIPPED.hooks,
  onlyOwned = false,
) => convertHook(from, columnsOf(hooks), { by, use: styleUse(style), owned, onlyOwned });
const hook = (id: string) => SHIPPED.hooks.find((item) => item.id === id)!;
const lark = hook('osmere:lark:14');
const STEP = -Math.log(0.919);
const CLASSES = ['light', 'standard', 'heavy'];

describe('what is that in mine', () => {
  test.each([
    ['length', 1, 0.5, 1],
    ['gape', 0.5, 1, 1],
    ['ride', 1, 0.5, 2],
  ] as const)('%s: the nearest of every other maker, by the stated cost', (by, wL, wG, wW) => {
    const { to } = ask(lark, by);
    const cost = (other: Hook) =>
      (wL * Math.abs(Math.log(other.shank.value / lark.shank.value)) +
        wG * Math.abs(Math.log(other.gape.value / lark.gape.value))) /
        STEP +
      wW * Math.abs(CLASSES.indexOf(other.wire) - CLASSES.indexOf(lark.wire)) +
      (other.bend === lark.bend ? 0 : 0.5);
    expect(Object.keys(to).sort()).toEqual(['bessock', 'kyrewood', 'ravelin', 'reference', 'tholeby', 'vantry']);
    for (const [maker, nearest] of Object.entries(to)) {
      const best = SHIPPED.hooks.filter((item) => item.maker === maker).reduce((a, b) => (cost(b) < cost(a) ? b : a));
      expect(nearest.hook.id).toBe(best.id);
      expect(nearest.steps).toBeCloseTo(cost(best), 9);
      expect(nearest.close).toBe(nearest.steps <= 1.5);
    }
  });
  test('differences are its own minus the other, and the first reason is the largest part', () => {
    const { to } = ask(
      lark,
      'length',
      {},
      SHIPPED.hooks.filter((item) => item.model === 'short-wide'),
    );
    const nearest = to.tholeby!;
    const own = hook(nearest.hook.id);
    expect(nearest.length_mm).toBeCloseTo(own.shank.value - lark.shank.value, 9);
    expect(nearest.gape_mm).toBeCloseTo(own.gape.value - lark.gape.value, 9);
    expect(nearest.reasons.map((item) => item.code).slice(0, 2)).toEqual(['convert-not-close', 'convert-wider']);
    expect(nearest.same).toEqual({
      bend: own.bend === lark.bend,
      eye: own.eye === lark.eye,
      barb: own.barb === lark.barb,
    });
  });
  test('more or less mass is said as what it does; a twentieth is nothing', () => {
    const of = (share: number) =>
      ask(lark, 'length', {}, [
        { ...hook('tholeby:short-wide:14'), mass: { ...lark.mass, value: share * lark.mass.value } },
      ]).to.tholeby!.reasons.filter((item) => /^convert-(heavier|lighter)$/.test(item.code));
    expect(of(1.5)).toMatchObject([
      { code: 'convert-heavier', params: { mg: expect.closeTo(0.5 * lark.mass.value, 9) }, steps: 0 },
    ]);
    expect(of(0.5)).toMatchObject([
      { code: 'convert-lighter', params: { mg: expect.closeTo(0.5 * lark.mass.value, 9) } },
    ]);
    expect([of(1.04), of(0.96)]).toEqual([[], []]);
  });
  test('a hook by itself carries what a nymph would, and has no fields of a natural', () => {
    const { from } = ask(lark);
    expect(from.carry_mm).toBeCloseTo(lark.shank.value + 0.5 * lark.eyeOuter.value, 9);
    expect([from.target_mm, from.length_steps, from.steps, from.probability, from.share, from.pinned]).toEqual([
      null,
      null,
      null,
      null,
      null,
      false,
    ]);
  });
  test('the drawer answers with what is owned, of any maker', () => {
    const owned = { 'ravelin:plain-dry:12': 3, 'tholeby:short-wide:16': 9, 'bessock:fine:13': 0 };
    expect(ask(lark, 'length', owned).drawer!.hook).toMatchObject({ id: 'ravelin:plain-dry:12', owned: 3 });
    expect(ask(lark, 'length', { [lark.id]: 1 }).drawer).toMatchObject({
      steps: 0,
      close: true,
      reasons: [{ code: 'convert-same' }],
    });
    expect(ask(lark).drawer).toBeNull();
    expect(Object.keys(ask(lark, 'length', owned, SHIPPED.hooks, true).to)).toEqual(['ravelin', 'tholeby']);
  });
  test('a hook no longer sold is not offered, unless it is owned', () => {
    const first = Object.values(ask(lark).to)[0]!.hook.id;
    const hooks = SHIPPED.hooks.map((item) => (item.id === first ? { ...item, retired: true } : item));
    const maker = first.split(':')[0]!;
    expect(ask(lark, 'length', {}, hooks).to[maker]!.hook.id).not.toBe(first);
    expect(ask(lark, 'length', { [first]: 1 }, hooks).to[maker]!.hook.id).toBe(first);
  });
});
