import ids from '@/catalogue/ids.json';
import type { StageId } from '@/catalogue/ids';
import { chance } from './chance';
import type { Scene } from './take-photo';

const BODIES = [
  '#b8a857',
  '#7f7238',
  '#8a4c2a',
  '#3b352c',
  '#6f6a45',
  '#c8b070',
  '#5a3a22',
  '#8d8f86',
  '#4a4f35',
  '#a2542c',
  '#c9b48c',
  '#2f2b26',
] as const;
const GROUNDS = ['#6b5a45', '#3f4a3a', '#8c8c86', '#2a2a2c', '#a58f6c', '#51636b'] as const;

/** A scene drawn from the whole range that the benchmark asks for: any stage, light, tilt, size and blur. */
export function anyScene(seed: number, maxWidth = 4000): Scene {
  const dice = chance(seed);
  const stage = dice.pick(ids.stages).id as StageId;
  const soft = /larva|pupa|leech/.test(stage);
  const bodyMm = Math.exp(dice.between(Math.log(3), Math.log(30)));
  // For a small insect a tier goes close and holds the card along the picture.
  const small = bodyMm < 6;
  const width = Math.round(dice.between(small ? 2000 : 1600, maxWidth));
  const fill = small ? dice.between(0.8, 0.95) : dice.between(0.55, 0.9);
  const rotation = small ? dice.pick([0, Math.PI]) + dice.between(-0.25, 0.25) : dice.between(0, 2 * Math.PI);
  // The whole card lies in the picture, leaning too.
  const [across, down] = [
    85.6 * Math.abs(Math.cos(rotation)) + 54 * Math.abs(Math.sin(rotation)),
    85.6 * Math.abs(Math.sin(rotation)) + 54 * Math.abs(Math.cos(rotation)),
  ];
  const most = Math.min(85.6 / across, (0.75 * 85.6) / down) * 0.8;
  const abdomen = dice.pick(BODIES);
  // Legless worms are of one colour from end to end.
  const worm = /(midge|crane-fly|black-fly)\/larva|leech|caterpillar/.test(stage);
  return {
    seed,
    card: 'wallet',
    insects: [
      {
        stage,
        bodyMm,
        curl: soft ? dice.between(-1.8, 1.8) : dice.between(-0.35, 0.35),
        at: [42.8 + dice.between(-6, 6), 27 + dice.between(-1.5, 1.5)],
        angle: bodyMm > 14 ? dice.pick([0, Math.PI]) + dice.between(-0.2, 0.2) : dice.between(0, 2 * Math.PI),
        abdomen,
        thorax: worm ? abdomen : dice.pick(BODIES),
        glare: dice.next() < 0.4 ? 3 : 0,
      },
    ],
    width,
    height: Math.round(width * 0.75),
    tilt: dice.between(0, 35),
    lean: dice.between(0, 2 * Math.PI),
    rotation,
    fill: Math.min(fill * 0.92, most),
    kelvin: dice.between(2700, 9000),
    uneven: dice.between(1, 2),
    exposure: dice.between(0.7, 0.97),
    blurPx: dice.between(0, 1.5),
    noise: dice.between(0, 3.5),
    shadow: { strength: dice.between(0, 0.5), across: dice.between(0.1, 1.2), soft: dice.between(0.1, 0.8) },
    shade:
      dice.next() < 0.2
        ? {
            strength: dice.between(0.15, 0.4),
            angle: dice.between(0, 6.28),
            at: dice.between(-20, 20),
            soft: dice.between(1, 8),
          }
        : null,
    background: dice.pick(GROUNDS),
  };
}
