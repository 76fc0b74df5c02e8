import { DRESSINGS, KNOWN, MATERIALS, STAGES, TOOLS } from '@/catalogue';
import before from '../bench/__tests__/library-v2.json';
import { completeDressing, writtenDressing, type WrittenDressing } from './complete-dressing';
import { dressingSchema, type Dressing } from './dressing';

const having = (stage: string) =>
  DRESSINGS.filter((dressing) => dressing.stages.includes(stage as Dressing['stages'][number]));
const schema = dressingSchema(KNOWN);

test('there are sixty or more, each with an id of its own', () => {
  expect(DRESSINGS.length).toBeGreaterThanOrEqual(60);
  expect(new Set(DRESSINGS.map((dressing) => dressing.id)).size).toBe(DRESSINGS.length);
  expect(new Set(DRESSINGS.map((dressing) => dressing.name.toLowerCase())).size).toBe(DRESSINGS.length);
});

test.each(STAGES.map((stage) => stage.id))('%s has a dressing', (stage) =>
  expect(having(stage).length).toBeGreaterThan(0),
);

test('the main stages have several schools: other styles, other ways of building', () => {
  for (const [stage, schools] of [
    ['mayfly/dun', 4],
    ['mayfly/emerger', 4],
    ['mayfly/nymph', 6],
    ['caddis/pupa', 3],
    ['mayfly/spent', 4],
    ['midge/pupa', 2],
    ['stonefly/nymph', 3],
  ] as const) {
    const built = new Set(
      having(stage).map(
        (dressing) =>
          `${dressing.style} ${dressing.parts
            .map((part) => `${part.part}:${part.function}`)
            .sort()
            .join(' ')}`,
      ),
    );
    expect([stage, built.size]).toEqual([stage, expect.any(Number)]);
    expect(built.size).toBeGreaterThanOrEqual(schools);
  }
});

test.each(DRESSINGS.map((dressing) => [dressing.id, dressing] as const))('%s is whole as data', (_, dressing) => {
  expect(schema.validateSync(dressing, { strict: true })).toEqual(dressing);
  expect(
    [
      dressing.levels.length,
      dressing.hooks.length,
      dressing.tools.length,
      dressing.bank.length,
      dressing.claims.length,
    ].every((count) => count > 0),
  ).toBe(true);
  expect(dressing.minutes).not.toBeNull();
  // A colour is the natural's: every body, wing and tail names the region it takes its shade from.
  for (const part of dressing.parts.filter(
    (item) => ['abdomen', 'wing', 'tail', 'case', 'extended-body'].includes(item.part) && item.material !== null,
  ))
    expect([part.id, part.region]).not.toEqual([
      part.id,
      part.part === 'tail' && dressing.id === 'glass-phantom'
        ? undefined
        : dressing.id === 'glass-phantom'
          ? undefined
          : null,
    ]);
  // Numbers come from rules: none is a bare millimetre.
  expect(dressing.parts.filter((part) => part.base === 'mm')).toEqual([]);
  if (dressing.parent !== null) expect(DRESSINGS.some((item) => item.id === dressing.parent)).toBe(true);
  for (const tool of dressing.tools) expect(TOOLS.find((item) => item.id === tool)?.without).toMatch(/\w/);
  if (dressing.evidence !== 'theory' && dressing.evidence !== 'heard')
    expect(dressing.claims.some((claim) => claim.evidence === dressing.evidence)).toBe(true);
});

test('nothing said of a dressing is more than heard, theory or seen: nothing was tested', () => {
  expect(DRESSINGS.flatMap((dressing) => dressing.claims).filter((claim) => claim.evidence === 'tested')).toEqual([]);
});

test('a file of before is filled the same as by the schema', () => {
  for (const written of before as unknown as WrittenDressing[])
    expect(completeDressing(written)).toEqual(schema.cast(written));
});

test('written without its defaults and filled again a dressing is the same', () => {
  for (const dressing of DRESSINGS) {
    const written = writtenDressing(dressing);
    expect(completeDressing(JSON.parse(JSON.stringify(written)) as WrittenDressing)).toEqual(dressing);
    expect(JSON.stringify(written).length).toBeLessThan(JSON.stringify(dressing).length);
  }
});

test("defaults of one dressing are not another's", () => {
  const [one, two] = [DRESSINGS[0]!, DRESSINGS[1]!].map((dressing) => completeDressing(writtenDressing(dressing)));
  one!.months.push(3);
  one!.steps[0]!.mend.push('x');
  expect(two!.months).toEqual([]);
  expect(DRESSINGS[0]!.steps[0]!.mend).not.toContain('x');
});

test('what is wound off a short piece says how long it is, and what is dyed says so', () => {
  for (const id of ['turkey-biot', 'goose-biot', 'peacock-herl', 'stripped-quill'])
    expect(MATERIALS.find((material) => material.id === id)!.usable_mm).toBeGreaterThan(0);
  expect(MATERIALS.filter((material) => material.shades === 'one').map((material) => material.id)).toContain(
    'peacock-herl',
  );
  for (const material of MATERIALS)
    expect([material.id, /^#[0-9a-f]{6}$/.test(material.hex), ['any', 'few', 'one'].includes(material.shades)]).toEqual(
      [material.id, true, true],
    );
});
