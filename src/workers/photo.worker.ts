import { FIELD_CARDS } from '@/catalogue/field-cards';
import { balancedCrop, measurePhoto, type Crop, type Picture } from '@/core/photo';
import type { FromWorker, Jobs } from './jobs';

/** Larger pictures are made smaller as they are decoded; the card gives the scale. */
const MOST_PIXELS = 16e6;
const CROP_PX = 900;
const CROP_BYTES = 40_000;
const MARGIN_MM = 2;

interface WorkerScope {
  onmessage: ((event: MessageEvent<{ id: number; input: Jobs['photo']['input'] }>) => void) | null;
  postMessage(message: FromWorker): void;
}

const scope = self as unknown as WorkerScope;

async function decode(file: Blob): Promise<Picture> {
  let bitmap = await createImageBitmap(file, { imageOrientation: 'from-image', colorSpaceConversion: 'default' });
  const share = Math.sqrt(MOST_PIXELS / (bitmap.width * bitmap.height));
  if (share < 1) {
    const width = Math.round(bitmap.width * share);
    const smaller = await createImageBitmap(bitmap, { resizeWidth: width, resizeHeight: Math.round(bitmap.height * share), resizeQuality: 'medium' });
    bitmap.close();
    bitmap = smaller;
  }
  const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
  const context = canvas.getContext('2d', { willReadFrequently: true })!;
  context.drawImage(bitmap, 0, 0);
  const picture = { width: bitmap.width, height: bitmap.height, rgba: context.getImageData(0, 0, bitmap.width, bitmap.height).data };
  bitmap.close();
  return picture;
}

/** The crop as a JPEG of at most 40 kB. */
async function pictureOf(crop: Crop): Promise<string> {
  const canvas = new OffscreenCanvas(crop.width, crop.height);
  canvas.getContext('2d')!.putImageData(new ImageData(crop.rgba as Uint8ClampedArray<ArrayBuffer>, crop.width, crop.height), 0, 0);
  let blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.85 });
  for (const quality of [0.7, 0.5, 0.3, 0.15]) {
    if (blob.size <= CROP_BYTES * 0.73) break;
    blob = await canvas.convertToBlob({ type: 'image/jpeg', quality });
  }
  const bytes = new Uint8Array(await blob.arrayBuffer());
  let text = '';
  for (let at = 0; at < bytes.length; at += 8192) text += String.fromCharCode(...bytes.subarray(at, at + 8192));
  return `data:image/jpeg;base64,${btoa(text)}`;
}

async function measure({ file, asked }: Jobs['photo']['input'], progress: (done: number) => void): Promise<Jobs['photo']['output']> {
  const picture = await decode(file);
  progress(0.2);
  let look: ((bounds: { left: number; top: number; right: number; bottom: number }) => Crop) | null = null;
  const result = measurePhoto(picture, asked, FIELD_CARDS, (done) => progress(0.2 + 0.75 * done), (field, light) => {
    look = (bounds) => balancedCrop(field, light, bounds, CROP_PX);
  });
  const spots = result.insects.flatMap((insect) => insect.midlineMm);
  const cut = look as ((bounds: { left: number; top: number; right: number; bottom: number }) => Crop) | null;
  if (!cut || spots.length === 0) return { measure: result, crop: null };
  const xs = spots.map((spot) => spot[0]);
  const ys = spots.map((spot) => spot[1]);
  const margin = MARGIN_MM + 0.35 * Math.max(...result.insects.map((insect) => insect.bodyMm));
  const crop = cut({ left: Math.min(...xs) - margin, top: Math.min(...ys) - margin, right: Math.max(...xs) + margin, bottom: Math.max(...ys) + margin });
  return { measure: result, crop: { url: await pictureOf(crop), leftMm: crop.leftMm, topMm: crop.topMm, widthMm: crop.widthMm, heightMm: crop.heightMm } };
}

scope.onmessage = ({ data }) => {
  const { id, input } = data;
  measure(input, (progress) => scope.postMessage({ id, progress })).then(
    (output) => scope.postMessage({ id, output }),
    (error: unknown) => scope.postMessage({ id, failed: error instanceof Error ? error.message : String(error) }),
  );
};
