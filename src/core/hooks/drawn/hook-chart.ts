import { xmlText } from '../../archive/xml';
import { svgMark, type Mark } from './curve';
import { hookMarks, type HookDimensions } from './hook-marks';

/** Pages a chart is printed on, mm. */
export const PRINT_PAGES = { a4: [210, 297], letter: [215.9, 279.4] } as const;
export type PrintPage = keyof typeof PRINT_PAGES;

/** A hook of the chart: its own dimensions, and the lines that stand below it. */
export interface ChartHook extends HookDimensions {
  lines: readonly string[];
}

export interface ChartWords {
  title: string;
  /** Beside the rule: what it must measure. */
  check: string;
  page: (page: number, of: number) => string;
}

interface PlacedHook {
  marks: readonly Mark[];
  /** Where the back of the eye lies, mm from the upper left corner of the page. */
  x: number;
  y: number;
  lines: readonly string[];
  /** Middle of the lines of text, and the first of them. */
  textX: number;
  textY: number;
}

export interface ChartPage {
  hooks: PlacedHook[];
  number: number;
}

export const MARGIN = 12;
const HEAD = 22;
const GAP = 7;
const ROW_GAP = 6;
export const LINE = 3.4;
export const TEXT = 2.6;
const CHARACTER = 0.56;
export const TITLE = 5;
const RULE = 50;
const INK = '#000000';
export const WIRE_LINE_MM = 0.15;

/** Silhouettes in rows at 1:1, as many as a page takes; `scale` undoes what the printer makes of a millimetre. */
export function chartPages(hooks: readonly ChartHook[], page: PrintPage, scale: number): ChartPage[] {
  const [width, height] = PRINT_PAGES[page];
  const pages: ChartPage[] = [];
  let row: (PlacedHook & { top: number; bottom: number })[] = [];
  let x = MARGIN;
  let y = MARGIN + HEAD;
  const pageNow = () => pages[pages.length - 1] ?? (pages.push({ hooks: [], number: 1 }), pages[0]!);
  const close = () => {
    if (row.length === 0) return;
    const top = Math.max(...row.map((item) => item.top));
    const below = Math.max(...row.map((item) => item.bottom));
    const lines = Math.max(...row.map((item) => item.lines.length)) * LINE;
    const tall = top + below + 2 + lines;
    if (y + tall > height - MARGIN && pageNow().hooks.length > 0) {
      pages.push({ hooks: [], number: pages.length + 1 });
      y = MARGIN + HEAD;
    }
    for (const { top: _top, bottom: _bottom, ...item } of row)
      pageNow().hooks.push({ ...item, y: y + top, textY: y + top + below + 2 + TEXT });
    y += tall + ROW_GAP;
    row = [];
    x = MARGIN;
  };
  for (const hook of hooks) {
    const { marks, bounds } = hookMarks(hook, INK);
    const text = Math.max(0, ...hook.lines.map((line) => line.length)) * TEXT * CHARACTER;
    const wide = Math.max((bounds.right - bounds.left) * scale, text);
    if (x + wide > width - MARGIN) close();
    const left = x + (wide - (bounds.right - bounds.left) * scale) / 2;
    row.push({
      marks,
      x: left - bounds.left * scale,
      y: 0,
      lines: hook.lines,
      textX: x + wide / 2,
      textY: 0,
      top: bounds.top * scale,
      bottom: -bounds.bottom * scale,
    });
    x += wide + GAP;
  }
  close();
  return pages;
}

/** The rule that says whether the printer kept the size: from its first mark to its last, `RULE` mm once the correction is in. */
export function ruleOf(page: PrintPage, scale: number): { x: number; y: number; length: number } {
  const length = RULE * scale;
  return { x: PRINT_PAGES[page][0] - MARGIN - length, y: MARGIN + 8, length };
}

/**
 * One page of the chart as SVG, user units of 1 mm. `printed` is what a millimetre of this printer really is, over 1 mm (the card's own
 * correction): the drawing is made larger by as much as the printer makes it smaller.
 */
export function chartSvg(
  pages: readonly ChartPage[],
  index: number,
  page: PrintPage,
  printed: number,
  words: ChartWords,
): string {
  const [width, height] = PRINT_PAGES[page];
  const scale = 1 / printed;
  const rule = ruleOf(page, scale);
  const text = (x: number, y: number, size: number, value: string, anchor = 'start') =>
    `<text x="${x.toFixed(3)}" y="${y.toFixed(3)}" font-family="sans-serif" font-size="${size}" text-anchor="${anchor}">${xmlText(value)}</text>`;
  const tick = (x: number) =>
    `<path d="M${x.toFixed(3)} ${rule.y - 1.5}V${rule.y + 1.5}" stroke="${INK}" stroke-width="${WIRE_LINE_MM}" fill="none"/>`;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}" data-check-mm="${RULE}" data-scale="${scale}">`,
    text(MARGIN, MARGIN + TITLE, TITLE, words.title),
    text(MARGIN, MARGIN + TITLE + 5, TEXT, words.page(index + 1, pages.length)),
    `<path d="M${rule.x.toFixed(3)} ${rule.y}h${rule.length.toFixed(3)}" stroke="${INK}" stroke-width="${WIRE_LINE_MM}" fill="none"/>`,
    tick(rule.x),
    tick(rule.x + rule.length),
    text(rule.x + rule.length, rule.y + 5, TEXT, words.check, 'end'),
    ...pages[index]!.hooks.flatMap((hook) => [
      `<g transform="translate(${hook.x.toFixed(3)} ${hook.y.toFixed(3)}) scale(${scale})" stroke-linecap="round" stroke-linejoin="round">`,
      ...hook.marks.map((mark) => svgMark(mark, mark.width)),
      '</g>',
      ...hook.lines.map((line, at) => text(hook.textX, hook.textY + at * LINE, TEXT, line, 'middle')),
    ]),
    '</svg>',
    '',
  ].join('\n');
}
