import { SHIPPED } from '../../../tools/test-catalogue';
import { askedFor, neededBy, rankDressings, readyAtBench } from '../dressings';
import { hookFor, readyAtHand } from '.';

const dressing = (id: string) => SHIPPED.dressings.find((own) => own.id === id)!;
const dun = dressing('first-light-dun');
const stash = new Set(neededBy(dun).map(({ material }) => material));
const hooks = (...ids: string[]) => new Set(ids);
const every = (made: typeof dun) => new Set(made.tools);

describe('a hook of the drawer that carries a dressing', () => {
  test('is of a bend it is made for, and carries a natural of its range', () => {
    expect(hookFor(dun, hooks('bessock:fine:13'), SHIPPED)?.id).toBe('bessock:fine:13');
    // Long and curved is not made for it; far too large carries none of its naturals.
    expect(hookFor(dun, hooks('tholeby:deep-curve:14'), SHIPPED)).toBeNull();
    const osmere = SHIPPED.hooks.filter(({ id }) => id.startsWith('osmere:lark:')).map(({ id }) => id);
    const fit = osmere.filter((id) => hookFor(dun, hooks(id), SHIPPED));
    expect(fit.length).toBeGreaterThan(1);
    expect(fit.length).toBeLessThan(osmere.length);
  });
  test('of several the one in the middle of the range; none of none, or of what nobody knows', () => {
    const several = SHIPPED.hooks.filter(({ id }) => id.startsWith('osmere:lark:')).map(({ id }) => id);
    const best = hookFor(dun, new Set(several), SHIPPED)!;
    const fit = several.filter((id) => hookFor(dun, hooks(id), SHIPPED));
    expect([fit[0], fit.at(-1)]).not.toContain(best.id);
    expect(hookFor(dun, hooks(), SHIPPED)).toBeNull();
    expect(hookFor(dun, hooks('no:such:1'), SHIPPED)).toBeNull();
  });
  test('reaches one number step over the ends of its range, and no further', () => {
    const within = (low: number, high: number) =>
      hookFor({ ...dun, length_mm: [low, high] }, hooks('bessock:fine:13'), SHIPPED);
    let high = 3;
    while (!within(2, high)) high += 0.05;
    let low = 20;
    while (!within(low, 30)) low -= 0.05;
    // From the first natural that is long enough to the last that is short enough: two number steps.
    expect(Math.log(low / high) / 0.0844692).toBeCloseTo(2, 1);
  });
});

test('a hook that was measured anew is asked anew', () => {
  const drawer = hooks('bessock:fine:13');
  const at = { stash, hooks: drawer, tools: null };
  expect(readyAtHand(dun, at, SHIPPED).ready).toBe('ready');
  const longer = SHIPPED.hooks.map((hook) =>
    hook.id === 'bessock:fine:13' ? { ...hook, shank: { ...hook.shank, value: 4 * hook.shank.value } } : hook,
  );
  expect(readyAtHand(dun, at, { ...SHIPPED, hooks: longer }).ready).toBe('short');
});

describe('what is at hand', () => {
  const known = { stash, hooks: hooks('bessock:fine:13'), tools: every(dun) };
  const codes = (at: Parameters<typeof readyAtHand>[1]) => {
    const { ready, reasons } = readyAtHand(dun, at, SHIPPED);
    return [ready, ...reasons.map(({ code }) => code)];
  };
  test('all of it is ready; hooks and tools of which nothing was said do not count', () => {
    expect(codes(known)).toEqual(['ready', 'ready-all']);
    expect(codes({ stash, hooks: null, tools: null })).toEqual(['ready', 'ready-all']);
  });
  test('without a hook it is short, without a tool it is done otherwise', () => {
    expect(codes({ ...known, hooks: hooks() })).toEqual(['short', 'ready-all', 'ready-no-hook']);
    const [first] = dun.tools;
    expect(codes({ ...known, tools: new Set(dun.tools.slice(1)) })).toEqual([
      'substitutes',
      'ready-all',
      'ready-no-tool',
    ]);
    expect(first).toBeDefined();
  });
  test('until a stash is begun it is unknown, whatever hooks there are', () =>
    expect(codes({ ...known, stash: null, hooks: hooks() })).toEqual(['unknown']));
  test('a card says which hook it is', () =>
    expect(
      readyAtBench(
        { ready: 'ready', reasons: [] },
        dun,
        { hook: { had: false, name: 'Osmere Lark 14' }, tools: null },
        [],
      ).reasons,
    ).toMatchObject([{ code: 'ready-no-such-hook', params: { hook: 'Osmere Lark 14' } }]));
});

test('in the choice a dressing that no hook of the drawer carries counts as short, with why', () => {
  const asked = (carried: (() => boolean) | null) =>
    rankDressings([dun], askedFor('mayfly/dun', { carried, picking: { stash } }), SHIPPED)[0]!;
  const [any, none, unknown] = [asked(() => true), asked(() => false), asked(null)];
  expect(any.score).toBe(unknown.score);
  expect(none.score).toBeLessThan(any.score);
  expect(none.why.map(({ code }) => code)).toContain('ready-no-hook');
  expect(any.why.map(({ code }) => code)).not.toContain('ready-no-hook');
});
