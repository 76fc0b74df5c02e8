/** Writes a simulated photograph of one insect on the field card as JPEG: `write-photo OUT [SEED]`. For demo, tests and looking. */
import sharp from 'sharp';
import { FIELD_CARDS } from '../src/catalogue/field-cards';
import { takePhoto, type InsectPlan, type Scene } from '../src/standins/camera';

const INSECT: InsectPlan = {
  stage: 'mayfly/dun',
  bodyMm: 8.2,
  curl: 0.25,
  at: [43, 27],
  angle: 0.5,
  abdomen: '#b8a857',
  thorax: '#7f7238',
  glare: 1,
};
const SCENE: Scene = {
  seed: 5,
  card: 'wallet',
  insects: [INSECT],
  width: 1600,
  height: 1200,
  tilt: 16,
  lean: 0.7,
  rotation: 0.25,
  fill: 0.74,
  kelvin: 4600,
  uneven: 1.3,
  exposure: 0.85,
  blurPx: 0.6,
  noise: 1.5,
  shadow: { strength: 0.3, across: 0.4, soft: 0.3 },
  shade: null,
  background: '#6b5a45',
};

export async function writePhoto(
  out: string,
  more: Partial<Scene> = {},
  insect: Partial<InsectPlan> | null = {},
): Promise<void> {
  const { photo } = takePhoto(
    { ...SCENE, ...(insect ? { insects: [{ ...INSECT, ...insect }] } : {}), ...more },
    FIELD_CARDS,
  );
  await sharp(Buffer.from(photo.rgba.buffer), { raw: { width: photo.width, height: photo.height, channels: 4 } })
    .removeAlpha()
    .jpeg({ quality: 92 })
    .toFile(out);
}

if (require.main === module) {
  const [out, more, insect] = process.argv.slice(2);
  void writePhoto(
    out!,
    more ? (JSON.parse(more) as Partial<Scene>) : {},
    insect ? (JSON.parse(insect) as Partial<InsectPlan>) : {},
  );
}
