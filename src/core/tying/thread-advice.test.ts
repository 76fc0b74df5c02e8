import type { Dressing } from '../dressings';
import type { Material } from '../materials';
import { headTurnBudget, threadReasons, turnsHeld, type ThreadOnHook } from './thread-advice';

const ON: ThreadOnHook = { shankMm: 7, eyeMm: 1.41, wireMm: 0.405, headMm: 1.41, heldAtHead: 6 };
const nylon = { id: 'nylon-70', name: 'Nylon', denier: 70, fibre: 'nylon' } as Material;
const part = (more: object) =>
  ({ part: 'tail', material: null, function: null, unit: 'count', ...more }) as unknown as Dressing['parts'][number];
const thread = (more: object = {}) =>
  ({
    role: 'foundation',
    material: 'nylon-70',
    finish_turns: 5,
    optional: false,
    ...more,
  }) as unknown as Dressing['threads'][number];
const dressing = (parts: Dressing['parts'] = [], layers: object[] = []) => ({ parts, layers }) as unknown as Dressing;
const HEAD = part({ part: 'head', material: 'nylon-70' });
const said = (of: Dressing, own = thread(), material = nylon, on = ON, materials: readonly Material[] = []) =>
  threadReasons(of, own, material, on, materials).map(({ code, params, evidence }) => [code, params, evidence]);

describe('what is tied off under the head', () => {
  const step = (mm: number | null, turns: number | null, verb = 'tie-off') =>
    ({ do: verb, at: mm === null ? null : { landmark: null, mm }, turns }) as never;
  test("is held by its own turns, or four, as far as the head's rear and a hair behind it", () => {
    expect(
      turnsHeld([step(1, 4), step(1.4, null), step(1.54, 2), step(1.56, 9), step(0.5, 7, 'wind'), step(null, 7)], 1.4),
    ).toBe(4 + 4 + 2);
  });
  test('without a head nothing is', () => expect(turnsHeld([step(1, 4)], null)).toBe(0));
});

describe('turns a head may take', () => {
  test('as many side by side as it is long, in as many layers as keep it neat', () => {
    // 1.41 mm in flats of 0.373 mm, three; 0.2025 mm on either side in layers of 0.0183 mm, eleven.
    expect(headTurnBudget(70, 'nylon', ON)).toBe(3 * 11);
    expect(headTurnBudget(70, 'nylon', { ...ON, headMm: null })).toBe(3 * 11);
    expect(headTurnBudget(70, 'nylon', { ...ON, headMm: 0.75 })).toBe(2 * 11);
  });
  test('one at the least', () =>
    expect(headTurnBudget(300, 'polyester', { ...ON, headMm: 0.1, wireMm: 0.01 })).toBe(1));
});

describe('why a thread suits, or does not', () => {
  test('one that makes the head: its turns against what the head may take', () => {
    expect(said(dressing([HEAD]))).toEqual([['thread-bulk', { turns: 11, budget: 33, denier: 70 }, 'theory']]);
    expect(said(dressing([HEAD]), thread({ finish_turns: 27 }))).toEqual([
      ['thread-bulk', { turns: 33, budget: 33, denier: 70 }, 'theory'],
    ]);
    expect(said(dressing([HEAD]), thread({ finish_turns: 28 }))).toEqual([
      ['thread-bulk-over', { turns: 34, budget: 33, denier: 70 }, 'theory'],
    ]);
    expect(said(dressing([HEAD]), thread({ role: 'head' }))).toHaveLength(1);
  });
  test('one that makes no head has no turns there', () => {
    expect(said(dressing([HEAD]), thread({ role: 'body' }))).toEqual([]);
    expect(
      said(dressing([part({ part: 'head', material: 'silk' }), part({ part: 'tail', material: 'nylon-70' })])),
    ).toEqual([]);
  });
  test('hair that flares pulls at it, by the size of the hook', () => {
    const hair = part({ function: 'wing.hair' });
    const [[code, params, evidence]] = said(dressing([hair])) as [[string, { grams: number; pull: number }, string]];
    expect([code, evidence]).toEqual([params.grams < params.pull ? 'thread-weak' : 'thread-holds', 'theory']);
    expect(said(dressing([hair]), thread(), nylon, { ...ON, shankMm: 14 })[0]![1]).toMatchObject({
      grams: params.grams,
      pull: expect.closeTo(2 * params.pull, -1),
    });
    expect(said(dressing([hair]), thread(), nylon, { ...ON, shankMm: 70 })[0]![0]).toBe('thread-weak');
    expect(said(dressing([hair]), thread(), nylon, { ...ON, shankMm: 0.7 })[0]![0]).toBe('thread-holds');
    expect(said(dressing([part({ function: 'wing.down', unit: 'compressed-mm' })]))).toHaveLength(1);
    for (const other of [part({ function: 'wing.down' }), part({ unit: 'compressed-mm' })])
      expect(said(dressing([other]))).toEqual([]);
    expect(said(dressing([hair]), thread({ role: 'rib' }))).toEqual([]);
  });
  test('gel-spun slips, and does so by what was seen', () =>
    expect(said(dressing(), thread({ role: 'rib' }), { ...nylon, fibre: 'gel-spun' })).toEqual([
      ['gel-spun-slick', {}, 'seen'],
    ]));
  test('one that shows through says so; one under a clear film is its underbody', () => {
    const film = (transmittance: number) => [{ id: 'film', name: 'Film', transmittance } as Material];
    const over = (...from_under: string[]) => dressing([], [{ region: null, from_under }]);
    expect(said(over('nylon-70', 'film'), thread({ role: 'show-through' }), nylon, ON, film(0.6))).toEqual([
      ['thread-shows', {}, 'seen'],
    ]);
    expect(said(over('nylon-70', 'film'), thread(), nylon, ON, film(0.25))).toEqual([
      ['thread-underbody', { material: 'Film' }, 'theory'],
    ]);
    for (const [layers, clear] of [
      [over('nylon-70', 'film'), 0.24],
      [over('nylon-70'), 0.6],
      [over('silk', 'film'), 0.6],
      [over('film', 'nylon-70'), 0.6],
    ] as const)
      expect(said(layers, thread(), nylon, ON, film(clear))).toEqual([]);
  });
  test('what can be split is said where fur or plume goes between, and silk cannot', () => {
    for (const does of ['body.dubbed', 'hackle.cdc-loop'])
      expect(said(dressing([part({ function: does })]))).toEqual([['thread-splits', {}, 'seen']]);
    expect(said(dressing([part({ function: 'body.dubbed' })]), thread(), { ...nylon, fibre: 'silk' })).toEqual([]);
    expect(said(dressing([part({ function: 'body.herl' })]))).toEqual([]);
  });
  test('what has no denier, or no known fibre, is not judged', () => {
    for (const own of [
      { ...nylon, denier: null },
      { ...nylon, fibre: null },
    ])
      expect(
        said(dressing([HEAD, part({ function: 'body.dubbed' })]), thread({ role: 'show-through' }), own as Material),
      ).toEqual([]);
  });
});
