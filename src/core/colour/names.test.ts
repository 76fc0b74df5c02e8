import { MATERIALS, SHADES } from '@/catalogue';
import { deltaE, labOfHex, shadeOf, type Lab } from '.';
import { CENTRES } from './shade';

const LABS: readonly (readonly [name: string, lab: Lab])[] = [...MATERIALS, ...SHADES].map(({ id, hex }) => [
  id,
  labOfHex(hex),
]);
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
