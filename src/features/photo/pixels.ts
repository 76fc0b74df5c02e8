import { useEffect, useState } from 'react';
import type { Crop, Picture } from '@/core/photo';

/** A picture the browser has decoded, to read pixels from. */
export interface Pixels {
  width: number;
  height: number;
  /** Pixels about a place, kept inside. */
  around(x: number, y: number, radius: number): Picture;
  /** A piece as a JPEG data URL of at most `most` bytes, no wider than `widest`. */
  cut(left: number, top: number, width: number, height: number, widest: number, most: number): Promise<string>;
}

export async function blobOf(dataUrl: string): Promise<Blob> {
  const [head, body] = dataUrl.split(',') as [string, string];
  const bytes = Uint8Array.from(atob(body), (letter) => letter.charCodeAt(0));
  return new Blob([bytes], { type: /data:([^;]+)/.exec(head)?.[1] ?? 'image/jpeg' });
}

function drawn(
  bitmap: ImageBitmap,
  left: number,
  top: number,
  width: number,
  height: number,
  toWidth = width,
  toHeight = height,
): HTMLCanvasElement {
  const canvas = document.createElement('canvas');
  canvas.width = toWidth;
  canvas.height = toHeight;
  canvas
    .getContext('2d', { willReadFrequently: true })!
    .drawImage(bitmap, left, top, width, height, 0, 0, toWidth, toHeight);
  return canvas;
}

async function decoded(dataUrl: string): Promise<Pixels> {
  const bitmap = await createImageBitmap(await blobOf(dataUrl), { imageOrientation: 'from-image' });
  const { width, height } = bitmap;
  return {
    width,
    height,
    around(x, y, radius) {
      const [left, top] = [Math.max(0, Math.floor(x - radius)), Math.max(0, Math.floor(y - radius))];
      const [w, h] = [
        Math.max(1, Math.min(width, Math.ceil(x + radius)) - left),
        Math.max(1, Math.min(height, Math.ceil(y + radius)) - top),
      ];
      return {
        width: w,
        height: h,
        rgba: drawn(bitmap, left, top, w, h).getContext('2d')!.getImageData(0, 0, w, h).data,
      };
    },
    async cut(left, top, w, h, widest, most) {
      const share = Math.min(1, widest / Math.max(w, h));
      const canvas = drawn(
        bitmap,
        left,
        top,
        w,
        h,
        Math.max(1, Math.round(w * share)),
        Math.max(1, Math.round(h * share)),
      );
      let url = '';
      for (const quality of [0.75, 0.5, 0.3, 0.15]) {
        url = canvas.toDataURL('image/jpeg', quality);
        if (url.length <= most) break;
      }
      return url;
    },
  };
}

/** A picture decoded when it is needed; null until then, and where it cannot be read. */
export function usePixels(dataUrl: string | null): Pixels | null {
  const [read, setRead] = useState<{ url: string; pixels: Pixels } | null>(null);
  useEffect(() => {
    if (dataUrl === null) return;
    let left = false;
    decoded(dataUrl).then(
      (pixels) => {
        if (!left) setRead({ url: dataUrl, pixels });
      },
      () => undefined,
    );
    return () => {
      left = true;
    };
  }, [dataUrl]);
  return read && read.url === dataUrl ? read.pixels : null;
}

/** The whole of a kept crop as pixels with the millimetres it covers. */
export function cropOf(pixels: Pixels, at: { leftMm: number; topMm: number; widthMm: number; heightMm: number }): Crop {
  const { rgba, width, height } = pixels.around(
    pixels.width / 2,
    pixels.height / 2,
    Math.max(pixels.width, pixels.height),
  );
  return {
    leftMm: at.leftMm,
    topMm: at.topMm,
    widthMm: at.widthMm,
    heightMm: at.heightMm,
    width,
    height,
    rgba: new Uint8ClampedArray(rgba),
  };
}
