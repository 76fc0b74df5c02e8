import fc from 'fast-check';
import { MATERIALS, SHADES } from '@/catalogue';
import { deltaE, labOfHex, stackColour } from '../colour';
import {
  everyHeld,
  fleckFor,
  heldBy,
  hexHeld,
  idsHeld,
  materialCalled,
  mixables,
  underbodies,
  withCalled,
  withHeld,
} from '.';

const NAMED = { materials: MATERIALS, shades: SHADES };
const held = (material: string, shade?: string, hex?: `#${string}`) => {
  const found = heldBy(NAMED, { material, ...(shade ? { shade } : {}), ...(hex ? { hex } : {}) });
  if (!found.ok) throw new Error(found.fault.code);
  return found.held;
};

describe('what a drawer holds, by its name', () => {
  test.each([
    ['fine-fur', undefined, 'fine-fur', null],
    ['Fine water-shedding fur', undefined, 'fine-fur', null],
    ['fine water-shedding fur', 'Reed Olive', 'fine-fur', 'fine-fur-reed-olive'],
    ['fine-fur-reed-olive', undefined, 'fine-fur', 'fine-fur-reed-olive'],
    ['Fine water-shedding fur, reed olive', undefined, 'fine-fur', 'fine-fur-reed-olive'],
    // A dressing's name for one is that one of its material.
    ['thread-olive-70', undefined, 'nylon-70', 'thread-olive-70'],
    ['Olive nylon thread, 70 denier', undefined, 'nylon-70', 'thread-olive-70'],
  ])('%s %s', (material, shade, of, id) => {
    const own = held(material, shade);
    expect([own.material.id, own.shade?.id ?? null]).toEqual([of, id]);
  });
  test('what nobody knows is said, with what it might have been', () => {
    expect(heldBy(NAMED, { material: 'moonlight' })).toMatchObject({
      ok: false,
      fault: { code: 'material-not-known', column: 'material' },
    });
    const shade = heldBy(NAMED, { material: 'fine-fur', shade: 'moonlight' });
    expect(shade).toMatchObject({ ok: false, fault: { code: 'shade-not-known', column: 'shade' } });
    expect(!shade.ok && shade.fault.allowed).toContain('reed olive');
  });
  test('a shade of nobody’s has the colour that is said of it, and a measured one stands before its label', () => {
    expect(held('fine-fur', 'river mud', '#554433')).toMatchObject({
      shade: { id: 'fine-fur-river-mud', name: 'Fine water-shedding fur, river mud', hex: '#554433' },
    });
    const measured = held('fine-fur', 'reed olive', '#777744');
    expect([measured.shade?.id, hexHeld(measured)]).toEqual(['fine-fur-reed-olive', '#777744']);
    expect(hexHeld(held('fine-fur'))).toBe(MATERIALS.find(({ id }) => id === 'fine-fur')!.hex);
  });
  test('who has a shade has it as a material of its own, in the colour it was measured in', () => {
    const own = [held('thread-olive-70'), held('fine-fur', 'reed olive', '#777744'), held('kapok')];
    expect([...idsHeld(own)].sort()).toEqual(['fine-fur-reed-olive', 'kapok', 'thread-olive-70']);
    const all = withHeld(MATERIALS, own);
    expect(all).toHaveLength(MATERIALS.length + 1);
    expect(all.find(({ id }) => id === 'fine-fur-reed-olive')).toMatchObject({
      of: 'fine-fur',
      hex: '#777744',
      shades: 'one',
    });
  });
  test('everything that can be had is each shade once', () => {
    const all = everyHeld(NAMED).map((own) => own.shade?.id ?? own.material.id);
    expect(new Set(all).size).toBe(all.length);
    expect(all).toEqual(expect.arrayContaining(SHADES.map(({ id }) => id)));
  });
});

describe('what can be blended', () => {
  const every = everyHeld(NAMED);
  const known = mixables(every);
  test('loose fibre that is dubbed; no herl, no thread, no flash and no bright dye', () => {
    const ids = known.map(({ id }) => id);
    expect(ids).toContain('fine-fur-reed-olive');
    for (const id of ['peacock-herl', 'thread-olive-70', 'fine-chenille-tan']) expect(ids).not.toContain(id);
    expect(ids.some((id) => id.startsWith('cut-flash'))).toBe(false);
    expect(known.filter(({ id }) => SHADES.some((shade) => shade.id === id && shade.bright))).toEqual([]);
  });
  test('what was measured goes in as it was measured, and once', () => {
    const twice = mixables([held('fine-fur', 'reed olive'), held('fine-fur', 'reed olive', '#777744')]);
    expect(twice.map(({ hex }) => hex)).toEqual(['#777744']);
  });
  test('flecks are the flash nearest to the colour; none where there is none', () => {
    const target = labOfHex('#5f8a3a');
    const fleck = fleckFor(every, target)!;
    expect(fleck.id).toMatch(/^cut-flash/);
    const others = every.filter(({ material }) => material.id === 'cut-flash');
    const best = Math.min(...others.map((own) => deltaE(labOfHex(hexHeld(own)), target)));
    expect(deltaE(labOfHex(fleck.hex), target)).toBeCloseTo(best, 9);
    expect(fleckFor([held('fine-fur')], target)).toBeNull();
  });
});

describe('an underbody for a thin skin', () => {
  const threads = everyHeld(NAMED).filter(({ material }) => material.kind === 'thread' || material.kind === 'floss');
  const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);
  test('the first is never worse than any other that is had, dry or wet', () =>
    fc.assert(
      fc.property(
        hex,
        hex,
        fc.double({ min: 0.2, max: 0.8, noNaN: true }),
        fc.boolean(),
        (skinHex, target, transmittance, wet) => {
          const skin = { hex: skinHex, transmittance, absorbency: 0.4 };
          const found = underbodies([skin], threads, { target: labOfHex(target), wet });
          for (const own of threads.filter(({ shade }) => !shade?.bright).slice(0, 30)) {
            const seen = stackColour([
              { hex: hexHeld(own), transmittance: 0, absorbency: own.material.absorbency },
              skin,
            ]);
            expect(found[0]!.deltaE).toBeLessThanOrEqual(
              deltaE(labOfHex(wet ? seen.wet : seen.dry), labOfHex(target)) + 1e-9,
            );
          }
        },
      ),
      { numRuns: 40 },
    ));
  test('yellow under a thin olive skin reads a warmer olive than black does', () => {
    const skin = { hex: '#8c7a56', transmittance: 0.5, absorbency: 0.3 };
    const [yellow, black] = [held('thread-yellow-50'), held('thread-black-70')].map(
      (own) => underbodies([skin], [own], { target: labOfHex('#8a7f3c'), wet: true })[0]!,
    );
    expect(labOfHex(yellow!.wet)[2]).toBeGreaterThan(labOfHex(black!.wet)[2] + 5);
    expect(yellow!.deltaE).toBeLessThan(black!.deltaE);
  });
  test('only what is wound beneath is tried', () =>
    expect(
      underbodies([{ hex: '#8c7a56', transmittance: 0.5, absorbency: 0 }], [held('peacock-herl')], {
        target: labOfHex('#8a7f3c'),
        wet: true,
      }),
    ).toEqual([]));
});

describe('a material by its id', () => {
  const sold = SHADES.find(({ id }) => !MATERIALS.some((own) => own.id === id))!;
  test('may be a shade that no dressing names: the facts of the whole, its own colour', () => {
    expect(materialCalled(NAMED, sold.id)).toMatchObject({ id: sold.id, hex: sold.hex, of: sold.of, shades: 'one' });
    expect(materialCalled(NAMED, 'cdc')).toBe(MATERIALS.find(({ id }) => id === 'cdc'));
    expect(materialCalled(NAMED, 'no-such')).toBeNull();
  });
  test('is added to a list only where it is not there', () => {
    expect(withCalled(MATERIALS, ['cdc', 'no-such'], NAMED)).toBe(MATERIALS);
    expect(withCalled(MATERIALS, [sold.id], NAMED)).toHaveLength(MATERIALS.length + 1);
  });
});

test('a shade that is in the drawer comes in no other: it is no longer dyed to match', () => {
  const shade = MATERIALS.find(({ of, shades }) => of !== undefined && shades !== 'one')!;
  expect(withHeld(MATERIALS, [held(shade.id)]).find(({ id }) => id === shade.id)!.shades).toBe('one');
});
