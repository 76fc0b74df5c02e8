import { MATERIALS } from '@/catalogue';
import { deltaE, labOfHex, wetHex } from '../colour';
import { staysOff } from '.';

const grown = {
  ...MATERIALS.find((material) => material.id === 'hen-hackle-grey')!,
  hex: '#7b7c7a' as const,
  absorbency: 0.8,
};
const wanted = labOfHex('#3a5a3c');
const apart = deltaE(wanted, labOfHex(grown.hex));

test('what is dyed in any shade is never off, what grew so is as far off as it is', () => {
  expect(staysOff({ ...grown, shades: 'any' }, wanted, 'dry')).toBe(0);
  expect(staysOff({ ...grown, shades: 'one' }, wanted, 'dry')).toBeCloseTo(apart, 9);
});
test('a few shades carry it fifteen, and no more', () => {
  expect(apart).toBeGreaterThan(17);
  expect(staysOff({ ...grown, shades: 'few' }, wanted, 'dry')).toBeCloseTo(apart - 15, 9);
  expect(staysOff({ ...grown, shades: 'few' }, labOfHex('#8a8b89'), 'dry')).toBe(0);
});
test('a colour seen wet is held against the material wet, as far as it soaks', () => {
  const wet = labOfHex(wetHex(grown.hex, 0.8));
  expect(staysOff({ ...grown, shades: 'one' }, wet, 'wet')).toBeCloseTo(0, 9);
  expect(staysOff({ ...grown, shades: 'one', absorbency: 0 }, wet, 'wet')).toBeGreaterThan(1);
});
