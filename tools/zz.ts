import sharp from 'sharp';
import { FIELD_CARDS } from '../src/catalogue/field-cards';
import { anyScene, takePhoto } from '../src/standins/camera';
(async () => {
  const tiles = [];
  for (const seed of [1, 2, 3, 4, 5, 6]) {
    const t = Date.now();
    const { photo, truths, corners } = takePhoto(anyScene(seed, 2000), FIELD_CARDS);
    console.log(seed, photo.width, Date.now() - t, 'ms', truths[0]!.stage, truths[0]!.bodyMm.toFixed(2), corners.map((c) => c.map((v) => v.toFixed(0)).join(',')).join(' '));
    tiles.push(await sharp(Buffer.from(photo.rgba.buffer), { raw: { width: photo.width, height: photo.height, channels: 4 } }).resize(500).png().toBuffer());
  }
  await sharp({ create: { width: 1510, height: 760, channels: 3, background: '#000' } }).composite(tiles.map((input, i) => ({ input, left: (i % 3) * 505, top: Math.floor(i / 3) * 380 }))).png().toFile('/tmp/look/photos.png');
})();
