import { xmlText } from '../archive/xml';
import { svgMark } from '../hooks/drawn/curve';
import type { CardPage } from './tying-card-pdf';

const WIDTH_MM = 120;
const MARGIN_MM = 8;
const LINE_MM = 5;
const TITLE_MM = 6;
const TEXT_MM = 3.2;
/** The tallest picture, so that a long stiff tail does not make the page a strip. */
const PICTURE_MM = 60;
const CHECK_MM = 50;

const at = (value: number) => Number(value.toFixed(3));

/**
 * A card as one SVG picture in millimetres: the fly enlarged, and beneath it at true size with its lengths as bars and a line of 50 mm. It refers to nothing outside
 * itself and holds no script. What the sheet says stands in its `desc`. Colours of the marks are hex.
 */
export function tyingCardSvg({ title, sub, natural, sections, bars, drawing, words }: CardPage): string {
  const inner = WIDTH_MM - 2 * MARGIN_MM;
  const parts: string[] = [];
  const text = (x: number, y: number, said: string, size = TEXT_MM, weight = '') =>
    parts.push(
      `<text x="${at(x)}" y="${at(y)}" font-size="${size}"${weight && ` font-weight="${weight}"`}>${xmlText(said)}</text>`,
    );
  let down = MARGIN_MM + TITLE_MM;
  text(MARGIN_MM, down, title, TITLE_MM, 'bold');
  for (const line of [sub, ...natural].filter(Boolean)) text(MARGIN_MM, (down += LINE_MM), line);
  down += LINE_MM;
  if (drawing) {
    const { left, right, top, bottom } = drawing.bounds;
    const [wide, high] = [Math.max(right - left, 0.1), Math.max(top - bottom, 0.1)];
    const fly = (scale: number) => {
      const marks = drawing.marks
        .map((mark) => svgMark(mark, at(mark.mm ? (mark.width ?? 0) : (mark.width ?? 1) / (4 * scale))))
        .join('');
      parts.push(
        `<g transform="translate(${at(MARGIN_MM - left * scale)} ${at(down + top * scale)}) scale(${at(scale)})" stroke-linecap="round" stroke-linejoin="round">${marks}</g>`,
      );
      down += high * scale + LINE_MM;
    };
    const times = Math.floor(Math.min(inner / wide, PICTURE_MM / high) * 10) / 10;
    fly(times);
    text(MARGIN_MM, down, words.enlarged.replace('{{times}}', String(times)));
    down += LINE_MM;
    fly(1);
    text(MARGIN_MM, down, words.trueSize);
    down += LINE_MM;
  }
  const check = words.check === null ? [] : [{ label: words.check, mm: CHECK_MM }];
  for (const { label, mm } of [...bars, ...check]) {
    down += LINE_MM;
    parts.push(
      `<path d="M${MARGIN_MM} ${at(down - 2)}v2.4M${MARGIN_MM} ${at(down - 0.8)}h${at(mm)}M${at(MARGIN_MM + mm)} ${at(down - 2)}v2.4" fill="none" stroke="#000000" stroke-width="0.3"/>`,
    );
    text(MARGIN_MM + Math.max(mm, 0) + 3, down, label);
  }
  const height = at(down + MARGIN_MM);
  const told = sections.map((section) => [section.title, ...section.lines].join('\n')).join('\n\n');
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${WIDTH_MM}mm" height="${height}mm" viewBox="0 0 ${WIDTH_MM} ${height}" role="img"><title>${xmlText(title)}</title><desc>${told.split('\n').map(xmlText).join('\n')}</desc><rect width="${WIDTH_MM}" height="${height}" fill="#ffffff"/><g font-family="sans-serif" fill="#000000">${parts.join('')}</g></svg>\n`;
}
