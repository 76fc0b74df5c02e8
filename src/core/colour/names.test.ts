import { GROUPS, labOfShade, MATERIALS, SHADES } from '@/catalogue';
import { matches as VALLEY } from '@/catalogue/demo-valley.json';
import { deltaE, labOfHex, shadeOf, type Lab } from '.';
import { CENTRES } from './shade';

/** Colours of naturals: as the guide says them of every group and stage, and as they were measured in the valley. */
const SAID = [...new Set(GROUPS.flatMap(({ stages }) => stages.flatMap(({ shades }) => shades)))];
const NATURALS: readonly (readonly [name: string, lab: Lab])[] = [
  ...SAID.map((id) => [id, labOfShade(id)!] as const),
  ...VALLEY.flatMap(({ key, colours }) =>
    Object.entries(colours).map(([region, hex]) => [`${key} ${region}`, labOfHex(hex)] as const),
  ),
];
const LABS: readonly (readonly [name: string, lab: Lab])[] = [
  ...[...MATERIALS, ...SHADES].map(({ id, hex }) => [id, labOfHex(hex)] as const),
  ...NATURALS,
];
/** Random numbers that are the same in every run. */
function drawn() {
  let seed = 20_261_130;
  return () => (seed = (seed * 48_271) % 2_147_483_647) / 2_147_483_647;
}

test('no shipped colour lies far from the word it is called by', () => {
  const far = LABS.map(([id, lab]) => {
    const { tone, hue } = shadeOf(lab);
    const centre = CENTRES.find((own) => own.shade.tone === tone && own.shade.hue === hue)!;
    return [id, Math.round(deltaE(lab, centre.lab))] as const;
  }).filter(([, apart]) => apart > 16);
  expect(far).toEqual([]);
});

test('a colour that the guide says of a natural is called by that word', () => {
  expect(SAID.length).toBeGreaterThan(10);
  expect(NATURALS.length).toBeGreaterThan(SAID.length + 10);
  for (const id of SAID) {
    const { tone, hue } = shadeOf(labOfShade(id)!);
    expect(tone === null ? hue : `${tone}-${hue}`).toBe(tone === null ? id.replace(/^\w+-/, '') : id);
  }
});

test('two colours that look the same are called the same, but at the edge of a word', () => {
  const next = drawn();
  const step = () => (next() - 0.5) * 2;
  let [near, other] = [0, 0];
  for (const [, lab] of LABS)
    for (let at = 0; at < 20; at++) {
      const beside: Lab = [lab[0] + step(), lab[1] + step(), lab[2] + step()];
      if (deltaE(lab, beside) >= 1) continue;
      near++;
      const [here, there] = [shadeOf(lab), shadeOf(beside)];
      if (here.hue !== there.hue || here.tone !== there.tone) other++;
    }
  expect(near).toBeGreaterThan(10_000);
  expect(other / near).toBeLessThan(0.1);
});
