import type { CardSize, CardWords, PageSize } from '@/core/photo/card';
import type { Asked, PhotoMeasure } from '@/core/photo';

/** A measured photograph with a picture of what was measured: JPEG as a data URL, and the card millimetres it covers. */
export interface PhotoAnswer {
  measure: PhotoMeasure;
  crop: { url: string; leftMm: number; topMm: number; widthMm: number; heightMm: number } | null;
}

/** What runs in a worker, by name: what goes in and what comes out. */
export interface Jobs {
  photo: { input: { file: Blob; asked: Asked }; output: PhotoAnswer };
  /** A field card as PDF. */
  'card-pdf': { input: { size: CardSize; page: PageSize; words: CardWords }; output: Uint8Array };
}

export type JobName = keyof Jobs;

export type FromWorker = { id: number; progress: number } | { id: number; output: Jobs[JobName]['output'] } | { id: number; failed: string };

/** A job, or the wish that the worker make itself ready for one. */
export type ToWorker<J extends JobName> = { id: number; input: Jobs[J]['input'] } | { warm: true };
