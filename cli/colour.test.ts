import { join } from 'node:path';
import { MATERIALS, SHADES } from '../src/catalogue';
import { ciede2000 } from '../src/core/colour/ciede2000';
import { file, folder, json, runNow as run } from './__tests__/files';

type Lab = [number, number, number];
const STASH = file(
  'stash.csv',
  'material;shade;hex;amount\nFine water-shedding fur;reed olive;;3\nFine water-shedding fur;river mud;#554433;\nSoft rabbit fur;;;\n' +
    'kapok;;;0\npeacock-herl;;;\ncut-flash;;;\n',
);

describe('blend', () => {
  const { exit, value } = json('blend', '--target', '#6a5a3c', '--stash', STASH, '--top', '9');
  test('mixes what is in the stash alone, in twentieths, best first', () => {
    expect(exit).toBe(0);
    expect(Object.keys(value)).toEqual(['target', 'blends', 'fleck', 'tried', 'ms']);
    expect(value.target).toMatchObject({ hex: '#6a5a3c', surface: 'dry', source: 'typed', words: expect.any(String) });
    const used = new Set(
      value.blends.flatMap((blend: { parts: { material: string }[] }) => blend.parts.map((part) => part.material)),
    );
    // What ran out, herl and flash are no part of a mix.
    expect([...used].sort()).toEqual(['fine-fur-reed-olive', 'fine-fur-river-mud', 'rabbit-fur']);
    // Three singles, three pairs in 19 ways, one triple in 171.
    expect(value.tried).toBe(3 + 3 * 19 + 171);
    for (const blend of value.blends) {
      expect(blend.parts.reduce((sum: number, part: { twentieths: number }) => sum + part.twentieths, 0)).toBe(20);
      expect(blend.delta_e00).toBeCloseTo(ciede2000(...(value.target.lab as Lab), ...(blend.lab_dry as Lab)), 3);
    }
    const apart = value.blends.map((blend: { delta_e00: number }) => blend.delta_e00);
    expect(apart).toEqual([...apart].sort((a, b) => a - b));
  });
  test('no two need the same', () => {
    const needs = value.blends.map((blend: { parts: { material: string }[] }) =>
      blend.parts.map((part) => part.material).join(),
    );
    expect(new Set(needs).size).toBe(needs.length);
  });
  test('wet, over an underbody, with flecks that are no part of the mix', () => {
    const wet = json(
      'blend',
      '--target=#6a5a3c',
      '--wet',
      '--over',
      '#d8b93e',
      '--parts',
      '1',
      '--fleck',
      '0.08',
      '--stash',
      STASH,
    ).value;
    expect(wet.target.surface).toBe('wet');
    expect(wet.blends.every((blend: { parts: object[] }) => blend.parts.length === 1)).toBe(true);
    expect(wet.blends[0].delta_e00).toBeCloseTo(
      ciede2000(...(wet.target.lab as Lab), ...(wet.blends[0].lab_wet as Lab)),
      3,
    );
    expect(wet.fleck).toMatchObject({ material: expect.stringMatching(/^cut-flash/), share: 0.08 });
    expect(value.fleck).toBeNull();
  });
  test('everything that is sold is tried where no stash is given', () => {
    const all = json('blend', '--target', '#6a5a3c', '--parts', '1').value;
    expect(all.tried).toBeGreaterThan(150);
    expect(all.blends[0].delta_e00).toBeLessThan(10);
  });
  test.each([
    [['blend'], 'target'],
    [['blend', '--target', 'olive'], 'target'],
    [['blend', '--target', 'lab(50 100 -120)'], 'target'],
    [['blend', '--target', '#6a5a3c', '--parts', '4'], 'parts'],
    [['blend', '--target', '#6a5a3c', '--parts', '1.5'], 'parts'],
    [['blend', '--target', '#6a5a3c', '--top', '0'], 'top'],
    [['blend', '--target', '#6a5a3c', '--fleck', '0.2'], 'fleck'],
    [['blend', '--target', '#6a5a3c', '--stash', file('herl.csv', 'material\npeacock-herl\n')], 'stash'],
    [['blend', '--target', '#6a5a3c', '--stash', file('none.csv', 'name,shade\n')], 'stash'],
  ])('%j is refused by its flag', (argv, field) => {
    const refused = json(...argv);
    expect([refused.exit, refused.value.error.field]).toEqual([2, field]);
  });
  test('in words', () => {
    const said = run('blend', '--target', '#6a5a3c', '--stash', STASH, '--top', '2', '--fleck', '0.05').stdout;
    expect(said).toMatch(/^for #6a5a3c, .*seen dry\n- \d+\/20 /);
    expect(said).toMatch(/5 % of Cut flash/);
    for (const line of said.split('\n')) expect(line.length).toBeLessThanOrEqual(80);
  });
});

describe('shade', () => {
  test('a shipped colour is nearest to itself, and darker wet', () => {
    const { hex, id } = SHADES.find((shade) => shade.of === 'rabbit-fur')!;
    const { value } = json('shade', hex);
    expect(Object.keys(value)).toEqual(['name', 'lab', 'wet', 'nearest']);
    expect(value.nearest[0]).toMatchObject({ material: id, delta_e00: 0, words: 'same' });
    expect(value.wet.lab[0]).toBeLessThan(value.lab[0]);
    const apart = value.nearest.map((own: { delta_e00: number }) => own.delta_e00);
    expect(apart).toEqual([...apart].sort((a, b) => a - b));
  });
  test('a colour seen wet is held against wet materials', () => {
    const dry = json('shade', '#6a5a3c').value;
    const wet = json('shade', '#6a5a3c', '--surface', 'wet').value;
    expect(wet.wet.hex).toBe('#6a5a3c');
    expect(wet.nearest).not.toEqual(dry.nearest);
  });
  test.each([[['shade']], [['shade', 'olive']], [['shade', '#123456', '--surface', 'damp']]])('%j is refused', (argv) =>
    expect(json(...argv).exit).toBe(2),
  );
});

describe('substitute', () => {
  test('by what it does, in its fly, from all or from the stash', () => {
    const { value } = json('substitute', '--for', 'fine-fur', '--dressing', 'first-light-dun');
    expect(Object.keys(value)).toEqual(['for', 'substitutes', 'refused']);
    expect(value.for).toBe('fine-fur');
    expect(Object.keys(value.substitutes[0])).toEqual([
      'material',
      'name',
      'keeps',
      'loses',
      'delta_e00',
      'changes',
      'score',
    ]);
    for (const one of value.substitutes) expect(one.keeps).toContain('body.dubbed');
    const own = json('substitute', '--for', 'rust-fur', '--stash', STASH).value.substitutes.map(
      (one: { material: string }) => one.material,
    );
    expect(own[0]).toMatch(/^fine-fur-/);
    expect(own).not.toContain('kapok');
  });
  test('a shade is asked for by its name, and what may not stand in is told', () => {
    const shade = SHADES.find(({ of, id }) => of === 'rabbit-fur' && !MATERIALS.some((own) => own.id === id))!;
    expect(json('substitute', '--for', shade.name).value.for).toBe(shade.id);
    const bead = json('substitute', '--for', 'bead-tungsten').value;
    expect(bead.refused).toEqual(
      expect.arrayContaining([
        expect.objectContaining({ material: 'bead-brass', why: expect.stringContaining('sink') }),
      ]),
    );
    expect(run('substitute', '--for', 'bead-tungsten').stdout).toMatch(/not Brass bead: it weighs 50 %/);
  });
  test.each([
    [['substitute'], 'for'],
    [['substitute', '--for', 'moonlight'], 'for'],
    [['substitute', '--for', 'kapok', '--dressing', 'first-light-dun'], 'dressing'],
    [['substitute', '--for', 'kapok', '--dressing', 'moonlight'], 'dressing'],
  ])('%j is refused by its flag', (argv, field) => {
    const refused = json(...argv);
    expect([refused.exit, refused.value.error.field]).toEqual([2, field]);
  });
});

describe('stash check', () => {
  const ODD = file(
    'odd.csv',
    'name,shade,colour,count,function\nFine water-shedding fur,reed olive,,3,body.dubbed\nNope,,,1,\nMarabou,black,,-2,\nKapok,,orange,,\nfloss,moonlight,,,\nfloss,claret,,,tail.stiff\nfloss,mine,#112233,,\nfloss,mine,#445566,,\nfloss,tan,,1,braid\n',
  );
  test('every bad row by line and column, with what it may be', () => {
    const { exit, value } = json('stash', 'check', ODD);
    expect([exit, value.rows, value.good]).toEqual([2, 9, 2]);
    expect(
      value.problems.map((own: { line: number; column: string; rule: string }) => [own.line, own.column, own.rule]),
    ).toEqual([
      [3, 'name', 'material-not-known'],
      [4, 'count', 'cell-range'],
      [5, 'colour', 'cell-not-hex'],
      [6, 'shade', 'shade-not-known'],
      [7, 'function', 'function-not-its-own'],
      [9, 'shade', 'shade-twice'],
      [10, 'function', expect.stringMatching(/^cell-/)],
    ]);
    expect(value.problems[3].accepted).toContain('claret');
  });
  test('JSON is read as well, and a good table is good', () => {
    const good = file(
      'good.json',
      JSON.stringify([
        { material: 'kapok', amount: 3 },
        { material: 'fine-fur', shade: 'reed olive' },
      ]),
    );
    expect(json('stash', 'check', good)).toMatchObject({ exit: 0, value: { rows: 2, good: 2, bad: 0, problems: [] } });
  });
  test('what is no table is refused', () => {
    expect(json('stash', 'check', file('empty.csv', 'shade\nolive\n')).exit).toBe(2);
    expect(json('stash', 'check', join(folder, 'gone.csv')).value.error.field).toBe('file');
    expect(json('stash', 'look').value.error.field).toBe('command');
    expect(json('stash', 'check').value.error.field).toBe('file');
  });
});
