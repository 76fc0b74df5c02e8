import { PDFDocument, rgb } from 'pdf-lib';
import { POCKET_MOST } from './pocket';
import {
  cardPdf,
  CARD_PAPERS,
  type CardFaces,
  type CardPage,
  type CardPaper,
  type QuarterPaper,
} from './tying-card-pdf';

const PT_PER_MM = 72 / 25.4;
const FOLD = rgb(0.6, 0.64, 0.66);

/** Papers that are folded into four, with a quarter of each. */
const QUARTER = { a4: 'a4-quarter', letter: 'letter-quarter' } as const satisfies Partial<
  Record<CardPaper, QuarterPaper>
>;
export type PocketPaper = keyof typeof QUARTER;

/** Several cards in one file, each from a page of its own on. */
export async function cardsPdf(
  cards: readonly CardPage[],
  paper: CardPaper,
  faces: CardFaces,
  printed = 1,
): Promise<Uint8Array> {
  const all = await PDFDocument.create();
  for (const card of cards) {
    const one = await PDFDocument.load(await cardPdf(card, paper, faces, printed));
    for (const page of await all.copyPages(one, one.getPageIndices())) all.addPage(page);
  }
  return all.save();
}

/** Up to four cards on the quarters of one sheet that is folded twice, at their true size; how many of them did not go on their quarter whole is told, for what is cut off is lost at the water. */
export async function pocketPdf(
  cards: readonly CardPage[],
  paper: PocketPaper,
  faces: CardFaces,
  printed = 1,
): Promise<{ bytes: Uint8Array; cut: number }> {
  const [wide, high] = CARD_PAPERS[paper].map((mm) => mm * PT_PER_MM) as [number, number];
  const sheet = await PDFDocument.create();
  const page = sheet.addPage([wide, high]);
  let cut = 0;
  for (const [at, card] of cards.slice(0, POCKET_MOST).entries()) {
    const bytes = await cardPdf(card, QUARTER[paper], faces, printed);
    cut += (await PDFDocument.load(bytes)).getPageCount() > 1 ? 1 : 0;
    const [panel] = await sheet.embedPdf(bytes, [0]);
    page.drawPage(panel!, { x: at % 2 === 0 ? 0 : wide / 2, y: at < 2 ? high / 2 : 0 });
  }
  for (const [start, end] of [
    [
      { x: wide / 2, y: 0 },
      { x: wide / 2, y: high },
    ],
    [
      { x: 0, y: high / 2 },
      { x: wide, y: high / 2 },
    ],
  ] as const)
    page.drawLine({ start, end, thickness: 0.4, color: FOLD, dashArray: [4, 4] });
  return { bytes: await sheet.save(), cut };
}
