import { PDFDocument, rgb, StandardFonts } from 'pdf-lib';
import { cornerOn, PAGES_MM } from './field-card-svg';
import { cardShapes, type CardSize, type CardWords, type FieldCards, type PageSize } from './geometry';

const PT_PER_MM = 72 / 25.4;

function inkOf(hex: string) {
  const part = (at: number) => parseInt(hex.slice(at, at + 2), 16) / 255;
  return rgb(part(1), part(3), part(5));
}

/** The card as PDF, one page at its true size. */
export async function fieldCardPdf(
  cards: FieldCards,
  size: CardSize,
  page: PageSize,
  words: CardWords,
): Promise<Uint8Array> {
  const document = await PDFDocument.create();
  const [width, height] = PAGES_MM[page];
  const sheet = document.addPage([width * PT_PER_MM, height * PT_PER_MM]);
  const face = await document.embedFont(StandardFonts.Helvetica);
  const [x, y] = cornerOn(PAGES_MM[page], cards.cards[size].size_mm);
  const across = (mm: number) => (x + mm) * PT_PER_MM;
  const down = (mm: number) => (height - y - mm) * PT_PER_MM;
  for (const shape of cardShapes(cards, size, words)) {
    if (shape.kind === 'rect') {
      const [left, top, w, h] = shape.rect;
      sheet.drawRectangle({
        x: across(left),
        y: down(top + h),
        width: w * PT_PER_MM,
        height: h * PT_PER_MM,
        ...(shape.fill ? { color: inkOf(shape.fill) } : { opacity: 0 }),
        ...(shape.stroke ? { borderColor: inkOf(shape.stroke), borderWidth: shape.width * PT_PER_MM } : {}),
      });
    } else if (shape.kind === 'disc') {
      sheet.drawCircle({
        x: across(shape.at[0]),
        y: down(shape.at[1]),
        size: shape.radius * PT_PER_MM,
        color: inkOf(shape.fill),
      });
    } else if (shape.kind === 'line') {
      sheet.drawLine({
        start: { x: across(shape.from[0]), y: down(shape.from[1]) },
        end: { x: across(shape.to[0]), y: down(shape.to[1]) },
        thickness: shape.width * PT_PER_MM,
        color: inkOf(shape.stroke),
      });
    } else {
      sheet.drawText(shape.text, {
        x: across(shape.at[0]),
        y: down(shape.at[1]),
        size: shape.height * PT_PER_MM,
        font: face,
        color: inkOf(shape.fill),
      });
    }
  }
  return document.save();
}
