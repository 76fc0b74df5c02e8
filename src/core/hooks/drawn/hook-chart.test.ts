import { inflateSync } from 'node:zlib';
import { PDFDocument, PDFRawStream } from 'pdf-lib';
import { chartPages, chartSvg, type ChartHook } from './hook-chart';
import { chartPdf } from './hook-chart-pdf';

const hook = (shankMm: number, more: Partial<ChartHook> = {}): ChartHook => ({
  bend: 'round',
  eye: 'ring',
  barb: 'none',
  shankMm,
  gapeMm: 0.6 * shankMm,
  biteMm: 0.54 * shankMm,
  wireMm: 0.4,
  eyeMm: 1.4,
  lines: ['Lark 14', 'reads 13.0'],
  ...more,
});
const WORDS = {
  title: 'Hooks of the drawer',
  check: 'this line is 50 mm',
  page: (page: number, of: number) => `${page} of ${of}`,
};
const PT = 72 / 25.4;

/** Points that a path goes through, in its own units. */
const points = (d: string) =>
  [...d.matchAll(/[ML]\s*(-?[\d.]+)[ ,](-?[\d.]+)/g)].map((match) => [Number(match[1]), Number(match[2])] as const);

/** Everything the pages of a PDF draw, as text. */
async function drawn(bytes: Uint8Array): Promise<string[]> {
  const document = await PDFDocument.load(bytes);
  return document.getPages().map((page) => {
    const contents = page.node.Contents()!;
    const streams = 'asArray' in contents ? contents.asArray().map((ref) => document.context.lookup(ref)) : [contents];
    return streams
      .map((stream) => {
        const raw = (stream as PDFRawStream).contents;
        try {
          return inflateSync(raw).toString('latin1');
        } catch {
          return Buffer.from(raw).toString('latin1');
        }
      })
      .join('\n');
  });
}

describe('as SVG', () => {
  test('in millimetres of the page, silhouettes unscaled, the rule 50 mm', () => {
    const svg = chartSvg(chartPages([hook(7.6)], 'a4', 1), 0, 'a4', 1, WORDS);
    expect(svg).toContain('width="210mm" height="297mm" viewBox="0 0 210 297"');
    expect(svg).toContain('scale(1)');
    expect(svg).toContain('h50.000');
    const wire = points(/<path d="(M[^"]+)" fill="none" stroke="#000000" stroke-width="0.4"/.exec(svg)![1]!);
    // From behind the eye back to the outside of the bend: shank, half the gape.
    expect(Math.max(...wire.map(([x]) => x)) - Math.min(...wire.map(([x]) => x))).toBeCloseTo(7.6 + 0.3 * 7.6, 0);
  });
  test('a printer that makes 1 mm 0.97 is answered with a larger drawing and rule', () => {
    const svg = chartSvg(chartPages([hook(7.6)], 'letter', 1 / 0.97), 0, 'letter', 0.97, WORDS);
    expect(Number(/h([\d.]+)"/.exec(svg)![1]) * 0.97).toBeCloseTo(50, 2);
    expect(Number(/scale\(([\d.]+)\)/.exec(svg)![1]) * 0.97).toBeCloseTo(1, 9);
  });
  test('words are escaped', () =>
    expect(chartSvg(chartPages([hook(7, { lines: ['Fine & <wide>'] })], 'a4', 1), 0, 'a4', 1, WORDS)).toContain(
      'Fine &amp; &lt;wide&gt;',
    ));
});

describe('on pages', () => {
  const many = Array.from({ length: 120 }, (_, index) => hook(4 + (index % 12) * 2));
  const pages = chartPages(many, 'a4', 1);
  test('every hook stands once, inside its page', () => {
    expect(pages.length).toBeGreaterThan(1);
    expect(pages.reduce((sum, page) => sum + page.hooks.length, 0)).toBe(120);
    for (const { hooks } of pages)
      for (const { x, y, textY } of hooks) {
        expect(x).toBeGreaterThan(12);
        expect(x).toBeLessThan(198);
        expect(y).toBeGreaterThan(30);
        expect(textY).toBeLessThan(297 - 10);
      }
  });
  test('in the order they were given', () =>
    expect(
      chartPages([hook(5, { lines: ['a'] }), hook(6, { lines: ['b'] })], 'a4', 1)[0]!.hooks.map(
        (item) => item.lines[0],
      ),
    ).toEqual(['a', 'b']));
  test('no hooks, no page', () => expect(chartPages([], 'a4', 1)).toEqual([]));
});

describe('as PDF', () => {
  test("the page and the rule are true in the PDF's own units, to 0.2 mm, with the printer's correction", async () => {
    for (const [page, [width, height]] of [
      ['a4', [210, 297]],
      ['letter', [215.9, 279.4]],
    ] as const) {
      const bytes = await chartPdf(chartPages([hook(7.6)], page, 1 / 0.97), page, 0.97, WORDS);
      const [sheet] = (await PDFDocument.load(bytes)).getPages();
      expect(sheet!.getWidth() / PT).toBeCloseTo(width, 1);
      expect(sheet!.getHeight() / PT).toBeCloseTo(height, 1);
      const [content] = await drawn(bytes);
      const line = /(-?[\d.]+) (-?[\d.]+) m\s+(-?[\d.]+) (-?[\d.]+) l/.exec(content!)!.slice(1).map(Number);
      expect(Math.abs(((line[2]! - line[0]!) / PT) * 0.97 - 50)).toBeLessThan(0.2);
    }
  });
  test('a silhouette keeps its length on paper, to 0.2 mm', async () => {
    const [content] = await drawn(await chartPdf(chartPages([hook(12)], 'a4', 1), 'a4', 1, WORDS));
    const [, matrix, drawing] = /([\d.]+ 0 0 -[\d.]+ 0 0) cm([^]*?)\n[SBf]\b/.exec(content!)!;
    const scale = Number(matrix!.split(' ')[0]) / PT;
    const span = (list: readonly (readonly [number, number])[]) =>
      Math.max(...list.map(([x]) => x)) - Math.min(...list.map(([x]) => x));
    const onPaper =
      span(
        [...drawing!.matchAll(/(-?[\d.]+) (-?[\d.]+) [ml]\b/g)].map(
          (match) => [Number(match[1]), Number(match[2])] as const,
        ),
      ) * scale;
    expect(Math.abs(onPaper - span(points(chartPages([hook(12)], 'a4', 1)[0]!.hooks[0]!.marks[0]!.d)))).toBeLessThan(
      0.01,
    );
    // Behind the eye to the outside of the bend but for the wire itself: shank and half the gape.
    expect(Math.abs(onPaper - (12 + 3.6))).toBeLessThan(0.2);
  });
  test('letters that the face lacks do not stop it', async () =>
    expect(
      (await chartPdf(chartPages([hook(7, { lines: ['Φ −1'] })], 'a4', 1), 'a4', 1, WORDS)).length,
    ).toBeGreaterThan(500));
});
