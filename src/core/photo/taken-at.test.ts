import sharp from 'sharp';
import { takenAt } from './taken-at';

const NOW = '2033-05-24T20:00';
const picture = sharp({ create: { width: 8, height: 8, channels: 3, background: '#8a7a3c' } });
const taken = (at: string) =>
  picture
    .clone()
    .withExif({ IFD2: { DateTimeOriginal: at } })
    .jpeg()
    .toBuffer();

test('the camera’s own time is read as the time of this place', async () => {
  expect(await takenAt(await taken('2033:05:24 04:31:07'), NOW)).toBe('2033-05-24T04:31');
});

test('a time that has not come, nonsense and a picture without one are not believed', async () => {
  expect(await takenAt(await taken('2034:05:24 04:31:07'), NOW)).toBeNull();
  expect(await takenAt(await taken('yesterday'), NOW)).toBeNull();
  expect(await takenAt(await taken('2033:00:00 00:00:00'), NOW)).toBeNull();
  expect(await takenAt(await picture.clone().jpeg().toBuffer(), NOW)).toBeNull();
  expect(await takenAt(new Uint8Array([1, 2, 3]), NOW)).toBeNull();
});
