import { SHIPPED } from '../../../tools/test-catalogue';
import { SHADES } from '@/catalogue';
import { cardFor, NO_CHOICES, swapRefusals } from '../answer';
import { laws } from '../bench/laws';
import { tieCard } from '../bench/tie-card';
import type { Card } from '../card/card-shape';
import { deltaE, labOfHex } from '../colour';
import { neededBy, substitutesFor, type Dressing } from '../dressings';
import { everyHeld, withCalled, type Material } from '../materials';
import { fromStash } from './from-stash';
import { swapKey } from './swap-key';

const dressing = (id: string) => SHIPPED.dressings.find((item) => item.id === id)!;
const needs = (id: string) =>
  new Set([
    ...dressing(id).parts.flatMap((part) => part.material ?? []),
    ...dressing(id).threads.map((thread) => thread.material),
  ]);
const worked = (id: string, have: ReadonlySet<string> | null) => fromStash(dressing(id), have, SHIPPED);

test('without a stash, or with all of it there, the dressing stays as it is', () => {
  expect(worked('first-light-dun', null)).toEqual({
    dressing: dressing('first-light-dun'),
    ready: 'unknown',
    reasons: [],
    used: [...needs('first-light-dun')].map((id) => ({ asked: id, used: id, as: 'itself' })),
  });
  const all = worked('first-light-dun', needs('first-light-dun'));
  expect([all.ready, all.dressing, all.reasons.map((why) => why.code)]).toEqual([
    'ready',
    dressing('first-light-dun'),
    ['ready-all'],
  ]);
});

test('what is missing is worked in what stands in for it best, in parts, steps and layers', () => {
  const have = needs('first-light-dun');
  have.delete('fine-fur');
  have.add('claret-fur').add('spiky-blend').add('underfur');
  const { dressing: made, ready, reasons } = worked('first-light-dun', have);
  const nearest = made.parts.find((part) => part.id === 'thorax')!.material!;
  expect(ready).toBe('substitutes');
  expect(reasons.map((why) => why.code)).toEqual(['ready-substitutes', 'stash-swap']);
  // It floats, as what it stands in for does; the two others drink.
  expect(nearest).toBe('underfur');
  expect(JSON.stringify([made.parts, made.steps, made.layers])).not.toContain('"fine-fur"');
});

describe('a material in the shades that are had', () => {
  const have = needs('first-light-dun');
  have.delete('fine-fur');
  have.add('rust-fur').add('yellow-fur');
  const made = (wanted: Parameters<typeof fromStash>[3]) =>
    fromStash(dressing('first-light-dun'), have, SHIPPED, wanted);
  const region = dressing('first-light-dun').parts.find((part) => part.id === 'abdomen')!.region!;
  const abdomen = (of: ReturnType<typeof made>) => of.dressing.parts.find((part) => part.id === 'abdomen')!.material;
  const rust = labOfHex(SHIPPED.materials.find((material) => material.id === 'rust-fur')!.hex);
  test('is the material where no colour is asked for, or one that a shade comes near', () => {
    const any = made({});
    expect([any.ready, any.reasons.map(({ code }) => code)]).toEqual(['ready', ['ready-all', 'stash-shade']]);
    const near = made({ [region]: rust });
    expect([near.ready, abdomen(near)]).toEqual(['ready', 'rust-fur']);
  });
  test('is another where its shades are far from the natural’s colour, the nearest of them', () => {
    const far = made({ [region]: labOfHex('#2f5f9a') });
    expect(far.ready).toBe('substitutes');
    expect(far.reasons.map(({ code }) => code)).toContain('stash-swap');
    expect(['rust-fur', 'yellow-fur']).toContain(abdomen(far));
  });
  test('related is ten, and no further', () => {
    const step = (by: number): [number, number, number] => [rust[0], rust[1], rust[2] - by];
    let by = 0;
    while (deltaE(step(by), rust) <= 10) by += 0.5;
    expect(made({ [region]: step(by - 0.5) }).ready).toBe('ready');
    expect(made({ [region]: step(by) }).ready).toBe('substitutes');
  });
});

test('another thread is in the threads and in the steps it is used in', () => {
  const have = needs('first-light-dun');
  have.delete('thread-olive-70');
  have.add('thread-brown-70');
  const thread = worked('first-light-dun', have).dressing;
  expect(thread.threads[0]!.material).toBe('thread-brown-70');
  expect(JSON.stringify(thread.steps)).not.toContain('thread-olive-70');
});

test('what nothing at hand can do is short, and stays as written; one made by hand is swapped in its steps', () => {
  const have = needs('first-light-dun');
  for (const material of SHIPPED.materials) if (material.functions.includes('hackle.stiff')) have.delete(material.id);
  const { ready, reasons, dressing: made } = worked('first-light-dun', have);
  expect([ready, reasons[0]!.code, made.parts.find((part) => part.id === 'hackle')!.material]).toEqual([
    'short',
    'ready-short',
    'cock-hackle-grey',
  ]);
  const own = {
    ...dressing('first-light-dun'),
    parts: dressing('first-light-dun').parts.map((part) => ({ ...part, way: null })),
  };
  const furs = needs('first-light-dun');
  furs.delete('fine-fur');
  furs.add('rust-fur');
  expect(JSON.stringify(fromStash(own, furs, SHIPPED).dressing.steps)).not.toContain('"fine-fur"');
});

describe('what stands in', () => {
  const material = (id: string, hex: string, ...functions: string[]) => ({
    id,
    name: id.toUpperCase(),
    hex,
    functions,
    kind: 'fur',
    floats: true,
    absorbency: 0.3,
    stiffness: 0.1,
    sparkle: 0.1,
    fragility: 0.1,
    density_g_cm3: 1.3,
    needs: [],
    drawn: 'lock',
    lay_mm: null,
    usable_mm: null,
    denier: null,
    fibre: null,
    caution: null,
  });
  const CATALOGUE = {
    ...SHIPPED,
    materials: [
      material('wanted', '#808080', 'body.dubbed'),
      material('far', '#ff0000', 'body.dubbed'),
      material('b-near', '#828282', 'body.dubbed'),
      material('a-near', '#828282', 'body.dubbed'),
      material('same', '#808080', 'rib.wire'),
      material('silk', '#202020', 'thread'),
      material('cord', '#404040', 'thread'),
    ],
  } as unknown as typeof SHIPPED;
  const own = dressing('first-light-dun');
  const part = (id: string, of: string | null, does: string | null, more: object = {}) =>
    ({
      ...own.parts[0]!,
      id,
      material: of,
      function: does,
      optional: false,
      way: null,
      ...more,
    }) as (typeof own.parts)[number];
  const made = (parts: typeof own.parts, thread = 'silk') => ({
    ...own,
    parts,
    steps: [],
    layers: [],
    assemblies: [],
    threads: [{ ...own.threads[0]!, material: thread }],
  });
  const swaps = (of: ReturnType<typeof made>, ...have: string[]) => {
    const { dressing: is, reasons } = fromStash(of, new Set(have), CATALOGUE);
    return {
      parts: is.parts.map((item) => item.material),
      thread: is.threads[0]!.material,
      said: reasons.slice(1).map(({ params }) => [params.from, params.to]),
    };
  };
  const one = made([part('abdomen', 'wanted', 'body.dubbed')]);
  test('of what does the same work alike, the nearest in colour; of two as near the first by name', () => {
    expect(swaps(one, 'far', 'same', 'b-near', 'a-near', 'silk')).toEqual({
      parts: ['a-near'],
      thread: 'silk',
      said: [['WANTED', 'A-NEAR']],
    });
    expect(swaps(one, 'far', 'b-near', 'silk')).toMatchObject({ parts: ['b-near'] });
    expect(swaps(one, 'far', 'same', 'silk')).toMatchObject({ parts: ['far'] });
  });
  test('only for what is missing: what is there stays, though another is as near', () => {
    expect(
      swaps(
        made([part('abdomen', 'b-near', 'body.dubbed'), part('thorax', 'wanted', 'body.dubbed')]),
        'a-near',
        'b-near',
        'silk',
      ),
    ).toEqual({ parts: ['b-near', 'a-near'], thread: 'silk', said: [['WANTED', 'A-NEAR']] });
  });
  test('with nothing to swap the very dressing comes back', () => {
    expect(fromStash(one, new Set(['wanted', 'silk']), CATALOGUE).dressing).toBe(one);
    expect(fromStash(one, new Set(['same', 'silk']), CATALOGUE)).toMatchObject({ ready: 'short', dressing: one });
  });
  test('a part of no material, of no work, or of one nobody knows is left alone', () => {
    const odd = made([part('a', null, 'body.dubbed'), part('b', 'wanted', null), part('c', 'unknown', 'body.dubbed')]);
    expect(swaps(odd, 'far', 'silk')).toEqual({ parts: [null, 'wanted', 'unknown'], thread: 'silk', said: [] });
  });
  test('a thread by its own nearest, and one material in two parts is swapped alike and said once', () => {
    const two = made([part('abdomen', 'wanted', 'body.dubbed'), part('thorax', 'wanted', 'body.dubbed')]);
    expect(swaps(two, 'far', 'cord')).toEqual({
      parts: ['far', 'far'],
      thread: 'cord',
      said: [
        ['WANTED', 'FAR'],
        ['SILK', 'CORD'],
      ],
    });
  });
});

test('a coat and a tint of a material that is swapped are swapped with it, others stay', () => {
  const own = dressing('first-light-dun');
  const have = new Set(SHIPPED.materials.map((item) => item.id));
  have.delete('thread-olive-70');
  const made = (coat: string | null, tint: string | null) => {
    const { dressing: is } = fromStash(
      { ...own, parts: own.parts.map((part) => (part.id === 'thorax' ? { ...part, coat, tint } : part)) },
      have,
      SHIPPED,
    );
    const { coat: c, tint: t } = is.parts.find((part) => part.id === 'thorax')!;
    return [c, t];
  };
  const other = fromStash(own, have, SHIPPED).dressing.threads[0]!.material;
  expect(other).not.toBe('thread-olive-70');
  expect(made('thread-olive-70', null)).toEqual([other, null]);
  expect(made(null, 'thread-olive-70')).toEqual([null, other]);
  expect(made('head-varnish', 'brown-marker')).toEqual(['head-varnish', 'brown-marker']);
});

describe('a material chosen by hand', () => {
  const by = (have: ReadonlySet<string> | null, swaps: Record<string, string>) =>
    fromStash(dressing('first-light-dun'), have, SHIPPED, {}, swaps);
  const fur = 'first-light-dun/fine-fur';
  test('is in parts, steps and layers, with or without a stash, and what changes in the tying is said', () => {
    const { dressing: made, ready, reasons, used } = by(null, { [fur]: 'claret-fur' });
    expect(made.parts.find(({ id }) => id === 'thorax')!.material).toBe('claret-fur');
    expect(JSON.stringify([made.parts, made.steps, made.layers])).not.toContain('"fine-fur"');
    expect(ready).toBe('unknown');
    expect(reasons[0]).toMatchObject({ code: 'swap-by-hand' });
    // It drinks, where the other sheds.
    expect(reasons.map(({ code }) => code)).toContain('change-soaks');
    expect(used).toContainEqual({ asked: 'fine-fur', used: 'claret-fur', as: 'hand' });
  });
  test('is kept though the stash has what was written, and nothing stands in for one that is not there', () => {
    const have = needs('first-light-dun');
    expect(by(have, { [fur]: 'claret-fur' })).toMatchObject({ ready: 'short' });
    expect(by(have, { [fur]: 'claret-fur' }).dressing.parts.some(({ material }) => material === 'claret-fur')).toBe(
      true,
    );
    expect(by(new Set([...have, 'claret-fur']), { [fur]: 'claret-fur' }).ready).toBe('ready');
  });
  test('may be the one that is written, which the stash then no longer changes', () => {
    const have = needs('first-light-dun');
    have.delete('fine-fur');
    have.add('underfur');
    const kept = by(have, { [fur]: 'fine-fur' });
    expect([kept.ready, kept.dressing]).toEqual(['short', dressing('first-light-dun')]);
    expect(kept.reasons.map(({ code }) => code)).toEqual(['kept-by-hand', 'ready-short']);
  });
  test('of another dressing, or one that nobody knows, changes nothing', () => {
    for (const swaps of [{ 'other/fine-fur': 'claret-fur' }, { [fur]: 'no-such' }] as Record<string, string>[])
      expect(by(null, swaps).dressing).toBe(dressing('first-light-dun'));
  });
});

test('how each material is used is told: as it is, in a shade, in what stands in, or not at all', () => {
  const have = needs('first-light-dun');
  for (const id of ['fine-fur', 'thread-olive-70', 'hackle-grey']) have.delete(id);
  have.add('rust-fur').add('thread-brown-70');
  const used = worked('first-light-dun', have).used;
  expect(used.find(({ asked }) => asked === 'fine-fur')).toMatchObject({ used: 'rust-fur', as: 'shade' });
  expect(used.filter(({ as }) => as === 'itself').every(({ asked, used: id }) => asked === id && have.has(id))).toBe(
    true,
  );
  expect(worked('first-light-dun', new Set(['lead-wire'])).used.every(({ as }) => as === 'short')).toBe(true);
});

describe('a card tied in what was chosen by hand', () => {
  const sold = everyHeld({ materials: SHIPPED.materials, shades: SHADES });
  const hook = SHIPPED.hooks.find(({ id }) => id === 'reference:standard-dry:14')!;
  const large = SHIPPED.hooks.find(({ id }) => id === 'reference:standard-dry:6')!;
  const card = (own: Dressing, swaps: Record<string, string>, materials = SHIPPED.materials, on = hook) =>
    cardFor({
      dressing: own,
      hook: on,
      sample: null,
      choices: { ...NO_CHOICES, swaps },
      catalogue: { ...SHIPPED, materials },
      count: null,
    });
  const refusals = (made: Dressing, of: Card, materials: readonly Material[]) =>
    [
      ...tieCard(made, of, { materials }).refusals,
      ...laws({
        dressing: made,
        card: of,
        style: SHIPPED.styles.find(({ id }) => id === made.style)!,
        materials,
        naturalMm: 8,
        stages: [],
        tails: [],
      }),
    ]
      // How many turns of a thread have room the card says by itself.
      .filter(({ rule }) => rule !== 'T8')
      .map(({ rule, part }) => `${rule} ${part}`);
  test('ties like the one that is written, or says why it does not, whatever stands in', () => {
    let [tried, told] = [0, 0];
    for (const own of SHIPPED.dressings.filter((_, at) => at % 5 === 0)) {
      const before = [hook, large].map(
        (on) => new Set(refusals(own, card(own, {}, SHIPPED.materials, on), SHIPPED.materials)),
      );
      for (const { material } of neededBy(own)) {
        const wanted = SHIPPED.materials.find(({ id }) => id === material)!;
        const [best] = substitutesFor({ wanted, hex: wanted.hex, held: sold, dressing: own }).substitutes;
        if (!best) continue;
        const materials = withCalled(SHIPPED.materials, [best.id], { materials: SHIPPED.materials, shades: SHADES });
        const swaps = { [swapKey(own.id, material)]: best.id };
        const { dressing: made, used } = fromStash(own, null, { ...SHIPPED, materials }, {}, swaps);
        expect(used).toContainEqual({ asked: material, used: best.id, as: 'hand' });
        expect([...made.parts, ...made.threads, ...made.steps].map((one) => one.material)).not.toContain(material);
        [hook, large].forEach((on, at) => {
          const tied = card(own, swaps, [...materials], on);
          const said = tied.stash.filter(({ code }) => code.startsWith('swap-too-'));
          const fresh = refusals(made, tied, materials).filter((one) => !before[at]!.has(one));
          expect([own.id, best.id, material, on.id, ...fresh]).toEqual(
            said.length > 0
              ? expect.arrayContaining([own.id, expect.stringMatching(/^(E9|P6) /)])
              : [own.id, best.id, material, on.id],
          );
          tried++;
          told += Number(said.length > 0);
        });
      }
    }
    expect(tried).toBeGreaterThan(100);
    expect(told).toBeGreaterThan(0);
  });
  test('one that is too short on the hook is said with its pieces, and leaves the fly short', () => {
    const own = dressing('foot-up-snail');
    const swaps = { [swapKey(own.id, 'peacock-herl')]: 'peacock-sword' };
    const tied = card(own, swaps, SHIPPED.materials, large);
    expect(tied.stash.find(({ code }) => code === 'swap-too-short')).toMatchObject({
      params: { to: SHIPPED.materials.find(({ id }) => id === 'peacock-sword')!.name, need: expect.any(Number) },
    });
    expect(swapRefusals(tied, own, swaps, SHIPPED).map(({ code }) => code)).toContain('swap-too-short');
    expect(swapRefusals(tied, own, {}, SHIPPED)).toEqual([]);
    const all = new Set([...neededBy(own).map(({ material }) => material), 'peacock-sword']);
    const choices = { ...NO_CHOICES, swaps, picking: { ...NO_CHOICES.picking, stash: all } };
    expect(cardFor({ dressing: own, hook: large, sample: null, choices, catalogue: SHIPPED, count: null }).ready).toBe(
      'short',
    );
  });
  test('takes other amounts, thread and finish', () => {
    const snail = dressing('foot-up-snail');
    const pieces = (of: Card) => of.parts.find(({ id }) => id === 'abdomen')!.amount.pieces;
    expect(pieces(card(snail, { 'foot-up-snail/peacock-herl': 'peacock-sword' }))).not.toBe(pieces(card(snail, {})));
    const fly = dressing('first-light-dun');
    const plain = card(fly, {});
    const thin = card(fly, { 'first-light-dun/thread-olive-70': 'gel-spun-olive-50' });
    expect(thin.threads[0]).toMatchObject({ denier: 50, finish_turns: 7 });
    expect(thin.threads[0]!.diameter_mm).toBeLessThan(plain.threads[0]!.diameter_mm);
    expect(thin.steps.filter(({ do: verb }) => verb === 'finish').map(({ turns }) => turns)).toEqual([7]);
    expect(thin.stash.map(({ code }) => code)).toContain('swap-by-hand');
  });
});
