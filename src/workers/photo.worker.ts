import { FIELD_CARDS } from '@/catalogue/field-cards';
import { cardShapes, type ImagePoint } from '@/core/photo/card';
import { measureFly } from '@/core/photo/fly/measure-fly';
import { measurePhoto, type PhotoAsked, type Crop, type Grey, type CropReader, type Photograph } from '@/core/photo';
import type { FromWorker, Jobs, ToWorker } from './jobs';

/** Larger pictures are made smaller as they are decoded; the card gives the scale. */
const MOST_PIXELS = 16e6;
const CROP_PX = 720;
const CROP_BYTES = 40_000;
const MARGIN_MM = 2;
/** About a fly: its bend and its barbs lie beside what is measured. */
const FLY_MARGIN_MM = 4;

interface WorkerScope {
  onmessage: ((event: MessageEvent<ToWorker<'photo'> | ToWorker<'fly-photo'>>) => void) | null;
  postMessage(message: FromWorker): void;
}

const scope = self as unknown as WorkerScope;

/** A photograph the browser has decoded, read by pieces through a canvas: a large one is never copied whole. */
class Decoded implements Photograph {
  readonly width: number;
  readonly height: number;

  constructor(private readonly bitmap: ImageBitmap) {
    this.width = bitmap.width;
    this.height = bitmap.height;
  }

  private drawn(
    left: number,
    top: number,
    width: number,
    height: number,
    toWidth: number,
    toHeight: number,
  ): Uint8ClampedArray {
    const context = new OffscreenCanvas(toWidth, toHeight).getContext('2d', { willReadFrequently: true })!;
    context.imageSmoothingQuality = 'low';
    context.drawImage(this.bitmap, left, top, width, height, 0, 0, toWidth, toHeight);
    return context.getImageData(0, 0, toWidth, toHeight).data;
  }

  grey(longest: number): Grey {
    const factor = Math.max(1, Math.ceil(Math.max(this.width, this.height) / longest));
    const [width, height] = [Math.floor(this.width / factor), Math.floor(this.height / factor)];
    const rgba = this.drawn(0, 0, width * factor, height * factor, width, height);
    const values = new Float32Array(width * height);
    for (let at = 0; at < values.length; at++)
      values[at] = (0.3 * rgba[at * 4]! + 0.59 * rgba[at * 4 + 1]! + 0.11 * rgba[at * 4 + 2]!) / 255;
    return { width, height, factor, values };
  }

  read(left: number, top: number, right: number, bottom: number): ReturnType<Photograph['read']> {
    const [width, height] = [Math.max(1, right - left), Math.max(1, bottom - top)];
    return { left, top, width, height, rgba: this.drawn(left, top, width, height, width, height) };
  }

  close(): void {
    this.bitmap.close();
  }
}

async function decode(file: Blob): Promise<Decoded> {
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image', colorSpaceConversion: 'default' });
  const share = Math.sqrt(MOST_PIXELS / (bitmap.width * bitmap.height));
  if (share >= 1) return new Decoded(bitmap);
  const smaller = await createImageBitmap(bitmap, {
    resizeWidth: Math.round(bitmap.width * share),
    resizeHeight: Math.round(bitmap.height * share),
    resizeQuality: 'medium',
  });
  bitmap.close();
  return new Decoded(smaller);
}

/** The crop as a JPEG of at most 40 kB. */
async function pictureOf(crop: Crop): Promise<string> {
  const canvas = new OffscreenCanvas(crop.width, crop.height);
  canvas
    .getContext('2d')!
    .putImageData(new ImageData(crop.rgba as Uint8ClampedArray<ArrayBuffer>, crop.width, crop.height), 0, 0);
  let blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.75 });
  for (const quality of [0.5, 0.3, 0.15]) {
    if (blob.size <= CROP_BYTES * 0.73) break;
    blob = await canvas.convertToBlob({ type: 'image/jpeg', quality });
  }
  const bytes = new Uint8Array(await blob.arrayBuffer());
  let text = '';
  for (let at = 0; at < bytes.length; at += 8192) text += String.fromCharCode(...bytes.subarray(at, at + 8192));
  return `data:image/jpeg;base64,${btoa(text)}`;
}

async function measure(
  photo: Decoded,
  asked: PhotoAsked,
  progress: (done: number) => void,
): Promise<Jobs['photo']['output']> {
  let look: CropReader | null = null;
  const result = measurePhoto(
    photo,
    asked,
    FIELD_CARDS,
    (done) => progress(0.2 + 0.75 * done),
    (given) => {
      look = given;
    },
  );
  const spots = result.insects.flatMap((insect) => insect.midlineMm);
  const margin = MARGIN_MM + 0.35 * Math.max(0, ...result.insects.map((insect) => insect.bodyMm));
  const crop = await cropAbout(spots, margin, look);
  photo.close();
  return { measure: result, crop };
}

/** The picture about some places of the card; null where there are none. */
async function cropAbout(
  spots: readonly ImagePoint[],
  margin: number,
  cut: CropReader | null,
): Promise<Jobs['photo']['output']['crop']> {
  if (!cut || spots.length === 0) return null;
  const xs = spots.map((spot) => spot[0]);
  const ys = spots.map((spot) => spot[1]);
  const crop = cut(
    {
      left: Math.min(...xs) - margin,
      top: Math.min(...ys) - margin,
      right: Math.max(...xs) + margin,
      bottom: Math.max(...ys) + margin,
    },
    CROP_PX,
  );
  return {
    url: await pictureOf(crop),
    leftMm: crop.leftMm,
    topMm: crop.topMm,
    widthMm: crop.widthMm,
    heightMm: crop.heightMm,
  };
}

async function measureTied(
  photo: Decoded,
  { sought, printedScale }: Jobs['fly-photo']['input'],
  progress: (done: number) => void,
): Promise<Jobs['fly-photo']['output']> {
  let look: CropReader | null = null;
  const measure = measureFly(
    photo,
    sought,
    printedScale,
    FIELD_CARDS,
    (done) => progress(0.2 + 0.75 * done),
    (given) => {
      look = given;
    },
  );
  const spots = [...(measure.axis ?? []), ...measure.parts.flatMap(({ from, to }) => [from, to])];
  const crop = await cropAbout(spots, FLY_MARGIN_MM, look);
  photo.close();
  return { measure, crop };
}

/** A drawn card with a body on it, so that the code is warm before the first photograph comes. */
function drawnCard(): Decoded {
  const px = 24;
  const [width, height] = FIELD_CARDS.cards.wallet.size_mm;
  const canvas = new OffscreenCanvas(Math.round(width * px), Math.round(height * px));
  const context = canvas.getContext('2d')!;
  context.scale(px, px);
  for (const shape of cardShapes(FIELD_CARDS, 'wallet', { title: '', print: '', check: '' })) {
    context.beginPath();
    if (shape.kind === 'rect') context.rect(...shape.rect);
    else if (shape.kind === 'disc') context.arc(...shape.at, shape.radius, 0, 2 * Math.PI);
    else continue;
    context.fillStyle = shape.fill ?? 'transparent';
    context.fill();
  }
  context.fillStyle = '#7f7238';
  context.beginPath();
  context.ellipse(width / 2, height / 2, 5, 0.9, 0.3, 0, 2 * Math.PI);
  context.fill();
  return new Decoded(canvas.transferToImageBitmap());
}

const WARM_ROUNDS = 4;
let asked = 0;

/** Measures the drawn card a few times, a round at a time, until a job comes. */
function warm(rounds: number): void {
  if (rounds === 0 || asked > 0) return;
  void measure(drawnCard(), { view: 'belly', surface: 'dry', printedScale: 1 }, () => undefined).then(() =>
    setTimeout(() => warm(rounds - 1), 0),
  );
}

scope.onmessage = ({ data }) => {
  if ('warm' in data) return warm(WARM_ROUNDS);
  asked++;
  const { id, input } = data;
  const progress = (done: number) => scope.postMessage({ id, progress: done });
  const work = async () => {
    const photo = await decode(input.file);
    progress(0.2);
    return 'sought' in input ? measureTied(photo, input, progress) : measure(photo, input.asked, progress);
  };
  work().then(
    (output) => scope.postMessage({ id, output }),
    (error: unknown) => scope.postMessage({ id, failed: error instanceof Error ? error.message : String(error) }),
  );
};
