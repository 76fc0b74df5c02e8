import { LineCapStyle, PDFDocument, rgb, StandardFonts, type PDFFont } from 'pdf-lib';
import { PRINT_PAGES, type PrintPage } from '../hooks/drawn/hook-chart';
import type { Mark } from '../hooks/drawn';

const PT_PER_MM = 72 / 25.4;
/** Millimetres on paper. */
const SHEET = { margin: 15, title: 6.5, heading: 4.4, text: 3.3, lead: 1.45, gap: 3, indent: 4, picture: 62 } as const;

export interface CardPage {
  title: string;
  sub: string;
  sections: { title: string; lines: string[] }[];
  /** The fly, colours resolved to hex; null leaves the picture out. Bounds mm, y up. */
  drawing: { marks: Mark[]; bounds: { left: number; right: number; top: number; bottom: number } } | null;
}

function colour(hex: string | undefined) {
  const match = /^#([0-9a-f]{2})([0-9a-f]{2})([0-9a-f]{2})$/i.exec(hex ?? '');
  return match
    ? rgb(parseInt(match[1]!, 16) / 255, parseInt(match[2]!, 16) / 255, parseInt(match[3]!, 16) / 255)
    : undefined;
}

/** A line broken at spaces so that each piece fits; a word longer than the line stays whole. */
export function foldLine(text: string, fits: (piece: string) => boolean): string[] {
  const pieces: string[] = [];
  let piece = '';
  for (const word of text.split(' ')) {
    const longer = piece === '' ? word : `${piece} ${word}`;
    if (piece !== '' && !fits(longer)) {
      pieces.push(piece);
      piece = word;
    } else piece = longer;
  }
  return [...pieces, piece];
}

/** A card to tie from as PDF: the fly, then its sections, over as many pages as they take. */
export async function cardPdf(card: CardPage, page: PrintPage): Promise<Uint8Array> {
  const [widthMm, heightMm] = PRINT_PAGES[page];
  const document = await PDFDocument.create();
  document.setTitle(card.title);
  const face = await document.embedFont(StandardFonts.Helvetica);
  const bold = await document.embedFont(StandardFonts.HelveticaBold);
  // The standard face holds Western letters only: others are left out rather than stop the card.
  const plain = (text: string) =>
    text
      .replaceAll('−', '-')
      .replaceAll('≤', '<=')
      .replace(/[^\u0020-\u007e\u00a0-\u00ff]/g, '');
  let sheet = document.addPage([widthMm * PT_PER_MM, heightMm * PT_PER_MM]);
  let down: number = SHEET.margin;
  const room = (mm: number) => {
    if (down + mm <= heightMm - SHEET.margin) return;
    sheet = document.addPage([widthMm * PT_PER_MM, heightMm * PT_PER_MM]);
    down = SHEET.margin;
  };
  const write = (text: string, size: number, font: PDFFont, indent = 0) => {
    const wide = widthMm - 2 * SHEET.margin - indent;
    for (const piece of foldLine(plain(text), (value) => font.widthOfTextAtSize(value, size) <= wide)) {
      room(size * SHEET.lead);
      down += size;
      sheet.drawText(piece, {
        x: (SHEET.margin + indent) * PT_PER_MM,
        y: (heightMm - down) * PT_PER_MM,
        size: size * PT_PER_MM,
        font,
      });
      down += size * (SHEET.lead - 1);
    }
  };
  write(card.title, SHEET.title, bold);
  write(card.sub, SHEET.text, face);
  if (card.drawing) {
    const { left, right, top, bottom } = card.drawing.bounds;
    const scale = Math.min((widthMm - 2 * SHEET.margin) / (right - left), SHEET.picture / (top - bottom));
    const x = (SHEET.margin - left * scale) * PT_PER_MM;
    const y = (heightMm - (down + SHEET.gap + top * scale)) * PT_PER_MM;
    for (const mark of card.drawing.marks) {
      const [fill, stroke] = [colour(mark.fill), colour(mark.stroke)];
      if (!fill && !stroke) continue;
      sheet.drawSvgPath(mark.d, {
        x,
        y,
        scale: scale * PT_PER_MM,
        ...(fill ? { color: fill, opacity: mark.opacity ?? 1 } : {}),
        ...(stroke
          ? {
              borderColor: stroke,
              borderOpacity: mark.opacity ?? 1,
              borderWidth: mark.mm ? (mark.width ?? 1) : (mark.width ?? 1) * 0.05,
              borderLineCap: LineCapStyle.Round,
            }
          : {}),
      });
    }
    down += (top - bottom) * scale + 2 * SHEET.gap;
  }
  for (const section of card.sections) {
    room(SHEET.heading + 3 * SHEET.text);
    down += SHEET.gap;
    write(section.title, SHEET.heading, bold);
    for (const line of section.lines) write(line.trim(), SHEET.text, face, /^\s/.test(line) ? SHEET.indent : 0);
  }
  return document.save();
}
