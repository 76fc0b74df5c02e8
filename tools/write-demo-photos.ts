/** Takes the demo's sample photographs with the simulated camera, to public/demo, where the export finds them; kept until their scenes change. */
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import cards from '../src/catalogue/demo-cards.json';
import type { Card } from '../src/core/tying';
import { anyFly, type InsectPlan } from '../src/standins/camera';
import { writePhoto } from './write-photo';

const OUT = join(__dirname, '../public/demo');
const NYMPH: InsectPlan = {
  stage: 'mayfly/nymph',
  bodyMm: 9.4,
  curl: 0.2,
  at: [29, 22],
  angle: 0.5,
  abdomen: '#7f7238',
  thorax: '#4a3b2a',
  glare: 2,
};

const SCENES = {
  dun: { more: {}, insect: {} },
  larva: {
    more: { seed: 21, kelvin: 3400, tilt: 22, rotation: -0.2 },
    insect: {
      stage: 'caddis/free-larva',
      bodyMm: 14.5,
      curl: 1.5,
      angle: 0.1,
      abdomen: '#8a8f4a',
      thorax: '#5a4a2c',
      glare: 3,
    },
  },
  nymphs: {
    more: { seed: 33, kelvin: 5600, insects: [NYMPH, { ...NYMPH, bodyMm: 8.1, at: [57, 33], angle: 2.4 }] },
    insect: null,
  },
} as const;

/** A fly of the valley's sessions, tied by unsteady hands. */
const FLY = { of: 'first-light-dun', seed: 12, at: [45, 27], angle: 0.2 } as const;

async function main(): Promise<void> {
  const made = join(OUT, '.scenes.json');
  const { scene } = anyFly(FLY.seed, cards[FLY.of] as unknown as Card);
  const fly = {
    ...scene,
    width: 2000,
    height: 1500,
    flies: scene.flies?.map((own) => ({ ...own, at: FLY.at, angle: FLY.angle })),
  };
  const wanted = JSON.stringify([SCENES, fly]);
  if (existsSync(made) && readFileSync(made, 'utf8') === wanted) return;
  mkdirSync(OUT, { recursive: true });
  for (const [name, { more, insect }] of Object.entries(SCENES))
    await writePhoto(join(OUT, `${name}.jpg`), more as object, insect as object | null);
  await writePhoto(join(OUT, 'fly.jpg'), fly, null);
  writeFileSync(made, wanted);
}

void main();
