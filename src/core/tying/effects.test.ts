import { SHIPPED } from '../../../tools/test-catalogue';
import { airHeld, labOfHex, openedTo, wetHex } from '../colour';
import type { Card } from '../card/card-shape';
import { effectsOf, matCover } from './effects';

const called = (id: string) => SHIPPED.materials.find((own) => own.id === id) ?? null;
const OLIVE = '#8a7f3c';

function effects(material: string, does: string, thread: string, tint: string | null = null) {
  const card = {
    parts: [
      {
        id: 'abdomen',
        part: 'abdomen',
        material: { id: material, name: material, function: does },
        colour: { hex: OLIVE, region: null, wet: { hex: wetHex(OLIVE) } },
      },
    ],
    layers: [],
    threads: [{ material: thread }],
  } as unknown as Pick<Card, 'parts' | 'layers' | 'threads'>;
  const dressing = { parts: [{ id: 'abdomen', tint }] } as never;
  return effectsOf(card, 'abdomen', dressing, called);
}
const light = (hex: string) => labOfHex(hex)[0];

describe('fur that the water draws together', () => {
  test('covers 0.95 where it drinks nothing or stands, 0.7 where it drinks all and lies', () => {
    expect(matCover({ absorbency: 0, stiffness: 0 })).toBeCloseTo(0.95, 9);
    expect(matCover({ absorbency: 1, stiffness: 1 })).toBeCloseTo(0.95, 9);
    expect(matCover({ absorbency: 1, stiffness: 0 })).toBeCloseTo(0.7, 9);
  });
  test('shows the thread beneath: darker over black, lighter over white', () => {
    const [over] = effects('claret-fur', 'body.dubbed', 'thread-black-70');
    expect(over).toMatchObject({ effect: 'matted', by: { id: 'thread-black-70' } });
    expect(light(over!.hex)).toBeLessThan(light(wetHex(OLIVE)) - 1);
    const [pale] = effects('claret-fur', 'body.dubbed', 'thread-white-70');
    expect(light(pale!.hex)).toBeGreaterThan(light(wetHex(OLIVE)) + 5);
  });
  test('is fur alone: a quill does not open', () =>
    expect(effects('stripped-quill', 'body.quill', 'thread-black-70')).toEqual([]));
});

test('what floats and holds air is silvery under water; what drinks is not', () => {
  const [air] = effects('cdc', 'hackle.cdc-loop', 'thread-olive-70');
  expect(air).toMatchObject({ effect: 'air', by: null });
  expect(light(air!.hex)).toBeGreaterThan(light(wetHex(OLIVE)) + 5);
  expect(effects('marabou', 'hackle.cdc-loop', 'thread-olive-70')).toEqual([]);
});

test('a marker is a film over what it tints: it darkens, and takes the colour with it', () => {
  const [tinted] = effects('closed-foam', 'body.quill', 'thread-olive-70', 'black-marker');
  expect(tinted).toMatchObject({ effect: 'tinted', by: { id: 'black-marker' } });
  expect(light(tinted!.hex)).toBeLessThan(light(OLIVE) - 10);
});

test('a difference that nobody sees is not told', () =>
  expect(effects('claret-fur', 'body.dubbed', 'thread-olive-70').every(({ hex }) => hex !== wetHex(OLIVE))).toBe(true));

test('three tenths of what holds air mirror a sky of grey', () => {
  expect(airHeld('#000000', 0.3)).toBe(openedTo('#b7c0c8', '#000000', 0.3));
  expect(effects('cdc', 'hackle.cdc-loop', 'thread-olive-70')[0]!.hex).toBe(openedTo('#b7c0c8', wetHex(OLIVE), 0.3));
});
