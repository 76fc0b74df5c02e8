import { DRESSINGS, KNOWN, MATERIALS, WORKS } from '@/catalogue';
import { readDressings, writeDressings } from '../exchange';
import { setPart } from '../ways';
import { materialOf } from './own-material';

const OWN = { id: 'own-dusk-fur', name: 'Dusk fur', like: 'fine-fur', hex: '#4a3f52' };
const own = materialOf(OWN, MATERIALS)!;
const works = { ...WORKS, materials: [own, ...MATERIALS] };
const dun = {
  ...setPart(
    structuredClone(DRESSINGS.find((item) => item.id === 'first-light-dun')!),
    'abdomen',
    { of: [own.id] },
    works,
  ),
  id: 'mine',
  name: 'Mine',
};

test('one of the tier’s own does what the one it is like does, in the one colour it has', () => {
  const like = MATERIALS.find((material) => material.id === 'fine-fur')!;
  expect(own).toEqual({ ...like, id: OWN.id, name: OWN.name, hex: OWN.hex, shades: 'one', like: 'fine-fur' });
  expect(materialOf({ ...OWN, like: 'moonlight' }, MATERIALS)).toBeNull();
});

test('a dressing takes it in its part and its steps', () => {
  expect(dun.parts.find((part) => part.id === 'abdomen')).toMatchObject({ material: own.id, function: 'body.dubbed' });
  expect(dun.steps.find((step) => step.part === 'abdomen' && step.do === 'dub')!.material).toBe(own.id);
});

describe('in a file of dressings', () => {
  test('it goes with the dressings that take it, and comes back with them', () => {
    const text = writeDressings([dun], works);
    expect(JSON.parse(text).materials).toEqual([OWN]);
    expect(readDressings(text, KNOWN, WORKS)).toMatchObject({ problems: [], materials: [own], dressings: [dun] });
  });
  test('dressings of shipped materials carry none', () =>
    expect(JSON.parse(writeDressings([DRESSINGS[0]!], works)).materials).toBeUndefined());
  test.each([
    [{ ...OWN, like: 'moonlight' }, /material-unknown moonlight/],
    [{ ...OWN, hex: 'grey' }, /hex/],
    [{ ...OWN, id: 'fine-fur' }, /material-unknown/],
    [7, /./],
  ])('%j is named and not taken', (material, said) => {
    const read = readDressings(
      JSON.stringify({
        aubade: 'dressings',
        version: 3,
        materials: [material],
        items: [JSON.parse(writeDressings([DRESSINGS[0]!], WORKS)).items[0]],
      }),
      KNOWN,
      WORKS,
    );
    expect(read.materials).toEqual([]);
    expect(read.problems).toEqual([
      { record: expect.any(String), path: 'materials', message: expect.stringMatching(said) },
    ]);
    expect(read.dressings).toHaveLength(1);
  });
});
