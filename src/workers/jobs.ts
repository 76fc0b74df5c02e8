import type { Catalogue } from '@/core/answer';
import type { Blend, BlendAsked, BlendShade } from '@/core/colour';
import type { CardPage, CardPaper } from '@/core/exchange/tying-card-pdf';
import type { PocketPaper } from '@/core/exchange/many-cards-pdf';
import type { ChartHook, PrintPage } from '@/core/hooks/drawn';
import type { CardSize, CardWords, PageSize } from '@/core/photo/card';
import type { FlyMeasure, FlySought } from '@/core/photo/fly/measure-fly';
import type { PhotoAsked, PhotoMeasure } from '@/core/photo';
import type { BackupPlan } from '@/records/backup';
import type { FileReading } from '@/records/sheets';
import type { FileAnswer } from './read-file';

/** A measured photograph with a picture of what was measured: JPEG as a data URL, and the card millimetres it covers. */
export interface PhotoAnswer {
  measure: PhotoMeasure;
  crop: { url: string; leftMm: number; topMm: number; widthMm: number; heightMm: number } | null;
}

/** What runs in a worker, by name: what goes in and what comes out. */
export interface Jobs {
  photo: { input: { file: Blob; asked: PhotoAsked }; output: PhotoAnswer };
  /** A tied fly on a field card, with a picture of what was measured. */
  'fly-photo': {
    input: { file: Blob; sought: FlySought; printedScale: number };
    output: { measure: FlyMeasure; crop: PhotoAnswer['crop'] };
  };
  /** A field card as PDF. */
  'field-card-pdf': { input: { size: CardSize; page: PageSize; words: CardWords }; output: Uint8Array };
  /** A chart of hooks as PDF; `printed` is what a millimetre of the printer really is, `page` in the words holds {{page}} and {{of}}. */
  'chart-pdf': {
    input: {
      hooks: ChartHook[];
      page: PrintPage;
      printed: number;
      words: { title: string; check: string; page: string };
    };
    output: Uint8Array;
  };
  /** A card to tie from as PDF; `printed` is what a millimetre of the printer really is. */
  'tying-card-pdf': { input: { card: CardPage; page: CardPaper; printed: number }; output: Uint8Array };
  /** Several cards to tie from as one PDF, each on its own page, or up to four on a sheet that is folded; how many of those did not go on whole. */
  'cards-pdf': {
    input:
      | { cards: CardPage[]; pocket: false; page: CardPaper; printed: number }
      | { cards: CardPage[]; pocket: true; page: PocketPaper; printed: number };
    output: { bytes: Uint8Array; cut: number };
  };
  /** A backup packed; `pictures` are by photo, where they do not lie in the store of this app. */
  'backup-write': {
    input: { plan: BackupPlan; pictures: Record<string, string> | null };
    output: { file: Blob; missing: string[] };
  };
  /** Pictures of a backup put into the store of this app, or given back where it has none. */
  'backup-pictures': {
    input: { from: Blob; wanted: { id: string; path: string; type: string }[]; store: boolean };
    output: Record<string, string>;
  };
  /** The best blends of shades for a colour. */
  blend: { input: { shades: BlendShade[]; asked: BlendAsked }; output: { blends: Blend[]; tried: number } };
  /** A file that a tier hands over, whatever it holds; its dressings are worked out once the catalogue is handed over too. */
  'file-read': { input: { file: Blob; how: FileReading; catalogue: Catalogue | null }; output: FileAnswer };
}

export type JobName = keyof Jobs;

export type FromWorker =
  { id: number; progress: number } | { id: number; output: Jobs[JobName]['output'] } | { id: number; failed: string };

/** A job, or the wish that the worker make itself ready for one. */
export type ToWorker<J extends JobName> = { id: number; input: Jobs[J]['input'] } | { warm: true };
