import { deltaE, labOfHex } from '@/core/colour';
import { COUNTED, DRAWN, MATERIAL_KINDS, materialsOf, NEEDS, PROTECTIONS, shadesOf } from '@/core/materials';
import { KNOWN } from './known-ids';
import { DRESSINGS, MATERIALS, SHADES } from '.';

const PLAIN = MATERIALS.filter((material) => material.of === undefined);

describe('materials', () => {
  test('at least 150, each of its own stuff, and 400 shades of them', () => {
    expect(PLAIN.length).toBeGreaterThanOrEqual(150);
    expect(SHADES.length).toBeGreaterThanOrEqual(400);
    for (const list of [MATERIALS, SHADES]) expect(new Set(list.map(({ id }) => id)).size).toBe(list.length);
    expect(new Set(MATERIALS.map(({ name }) => name.toLowerCase())).size).toBe(MATERIALS.length);
  });
  test('each says everything of itself, within bounds', () => {
    for (const own of MATERIALS) {
      const said = [own.kind, own.drawn, own.counted, own.evidence];
      expect([own.id, said.includes(undefined as never)]).toEqual([own.id, false]);
      expect(MATERIAL_KINDS).toContain(own.kind);
      expect(DRAWN).toContain(own.drawn);
      expect(COUNTED).toContain(own.counted);
      own.needs.forEach((need) => expect(NEEDS).toContain(need));
      if (own.protection !== null) expect(PROTECTIONS).toContain(own.protection);
      expect(own.functions.length).toBeGreaterThan(0);
      own.functions.forEach((does) => expect(KNOWN.functions).toContain(does));
      for (const share of [own.absorbency, own.transmittance, own.stiffness, own.sparkle, own.fragility])
        expect([own.id, share >= 0 && share <= 1]).toEqual([own.id, true]);
      expect([own.id, own.hooks[0] < own.hooks[1]]).toEqual([own.id, true]);
      expect([own.id, own.density_g_cm3 > 0.05 && own.density_g_cm3 < 20]).toEqual([own.id, true]);
      expect(own.hex).toMatch(/^#[0-9a-f]{6}$/);
    }
  });
  test('a thread says denier and fibre, and weighs what its fibre weighs', () => {
    const weighs = { nylon: 1.14, polyester: 1.38, 'gel-spun': 0.97, silk: 1.34 };
    const threads = MATERIALS.filter(({ functions }) => functions.includes('thread'));
    expect(threads.length).toBeGreaterThan(15);
    for (const { id, denier, fibre, density_g_cm3 } of threads)
      expect([id, denier! > 0, density_g_cm3]).toEqual([id, true, weighs[fibre!]]);
  });
  test('what every function asks for can be had, for what ties a fly in at least two materials', () => {
    const ways = Object.fromEntries(
      KNOWN.functions.map((does) => [does, PLAIN.filter(({ functions }) => functions.includes(does)).length]),
    );
    expect(Object.entries(ways).filter(([, count]) => count < 2)).toEqual([]);
  });
  test('lead, feathers and skins of the wild say so', () => {
    for (const own of PLAIN.filter(({ name }) => /\blead\b/i.test(name)))
      expect([own.id, own.caution]).toEqual([own.id, 'lead']);
    for (const own of PLAIN.filter(({ caution }) => caution === 'plumage' || caution === 'skins'))
      expect([own.id, own.protection]).toEqual([own.id, own.caution === 'skins' ? 'wild-skin' : 'wild-feather']);
  });
  test('what dressings ask for by name is there', () => {
    const ids = new Set(MATERIALS.map(({ id }) => id));
    for (const dressing of DRESSINGS)
      for (const { material } of dressing.parts) if (material !== null) expect(ids).toContain(material);
  });
});

describe('shades', () => {
  test('a shade of a material has what that one has, in its own colour', () => {
    const olive = MATERIALS.find(({ id }) => id === 'thread-olive-70')!;
    const nylon = MATERIALS.find(({ id }) => id === 'nylon-70')!;
    expect(olive).toEqual({ ...nylon, id: olive.id, of: nylon.id, name: olive.name, shade: 'olive', hex: '#6f6b3a' });
  });
  test('two of one material can be told apart, and are called by different words', () => {
    for (const { id } of PLAIN) {
      const own = SHADES.filter(({ of }) => of === id);
      expect(new Set(own.map(({ shade }) => shade)).size).toBe(own.length);
      const near = own.flatMap((one, at) =>
        own.slice(at + 1).filter((other) => deltaE(labOfHex(one.hex), labOfHex(other.hex)) < 1),
      );
      expect([id, near.map((shade) => shade.id)]).toEqual([id, []]);
    }
  });
  test('bright dyes are marked, some and not most', () => {
    const bright = SHADES.filter((shade) => shade.bright);
    expect(bright.length).toBeGreaterThan(20);
    expect(bright.every(({ shade }) => shade.startsWith('bright'))).toBe(true);
  });
  test('a shade of what is not there is refused', () => {
    expect(() => materialsOf([{ id: 'a', of: 'b' }])).toThrow('a/b');
    expect(() => materialsOf([{ id: 'a', of: 'b' }, { id: 'b', of: 'c' }, { id: 'c' }])).toThrow('a/b');
  });
  test('its word is said in the reader’s language, its id stays', () => {
    const [first] = shadesOf(PLAIN, [{ of: 'fine-fur', shades: { 'reed olive': '#75703a' } }], () => 'Schilf');
    expect(first).toEqual({
      id: 'fine-fur-reed-olive',
      of: 'fine-fur',
      shade: 'Schilf',
      name: 'Fine water-shedding fur, Schilf',
      hex: '#75703a',
      bright: false,
    });
  });
});
