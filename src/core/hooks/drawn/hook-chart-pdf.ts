import { LineCapStyle, PDFDocument, rgb, StandardFonts } from 'pdf-lib';
import {
  LINE,
  MARGIN,
  PRINT_PAGES,
  ruleOf,
  TEXT,
  TITLE,
  WIRE_LINE_MM,
  type ChartPage,
  type ChartWords,
  type PrintPage,
} from './hook-chart';

const PT_PER_MM = 72 / 25.4;

/** The whole chart as PDF, a page each at its true size. Its library is large: the worker makes it. */
export async function chartPdf(
  pages: readonly ChartPage[],
  page: PrintPage,
  printed: number,
  words: ChartWords,
): Promise<Uint8Array> {
  const [width, height] = PRINT_PAGES[page];
  const scale = 1 / printed;
  const rule = ruleOf(page, scale);
  const document = await PDFDocument.create();
  const face = await document.embedFont(StandardFonts.Helvetica);
  const black = rgb(0, 0, 0);
  // The standard face holds Western letters only: others are left out rather than stop the chart.
  const plain = (value: string) => value.replaceAll('−', '-').replace(/[^\u0020-\u007e\u00a0-\u00ff]/g, '');
  pages.forEach((content, index) => {
    const sheet = document.addPage([width * PT_PER_MM, height * PT_PER_MM]);
    const up = (mm: number) => (height - mm) * PT_PER_MM;
    const text = (x: number, y: number, size: number, value: string) =>
      sheet.drawText(plain(value), { x: x * PT_PER_MM, y: up(y), size: size * PT_PER_MM, font: face });
    const line = (from: readonly [number, number], to: readonly [number, number]) =>
      sheet.drawLine({
        start: { x: from[0] * PT_PER_MM, y: up(from[1]) },
        end: { x: to[0] * PT_PER_MM, y: up(to[1]) },
        thickness: WIRE_LINE_MM * PT_PER_MM,
      });
    text(MARGIN, MARGIN + TITLE, TITLE, words.title);
    text(MARGIN, MARGIN + TITLE + 5, TEXT, words.page(index + 1, pages.length));
    line([rule.x, rule.y], [rule.x + rule.length, rule.y]);
    for (const x of [rule.x, rule.x + rule.length]) line([x, rule.y - 1.5], [x, rule.y + 1.5]);
    text(rule.x + rule.length - face.widthOfTextAtSize(plain(words.check), TEXT), rule.y + 5, TEXT, words.check);
    for (const hook of content.hooks) {
      for (const mark of hook.marks)
        sheet.drawSvgPath(mark.d, {
          x: hook.x * PT_PER_MM,
          y: up(hook.y),
          scale: scale * PT_PER_MM,
          ...(mark.fill ? { color: black } : {}),
          ...(mark.stroke ? { borderColor: black, borderWidth: mark.width!, borderLineCap: LineCapStyle.Round } : {}),
        });
      hook.lines.forEach((value, at) =>
        text(hook.textX - face.widthOfTextAtSize(plain(value), TEXT) / 2, hook.textY + at * LINE, TEXT, value),
      );
    }
  });
  return document.save();
}
