import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { inflateSync } from 'node:zlib';
import { PDFDocument, PDFName, PDFRawStream, PDFStream } from 'pdf-lib';
import { DRESSINGS } from '@/catalogue';
import { createI18n, createSpeech } from '@/speech';
import { cardSheet } from '@/speech/card';
import { cardOn14 } from '../../../tools/test-catalogue';
import { tyingCardSvg } from './tying-card-svg';
import { CARD_PAPERS, cardPdf, foldLine, type CardPage, type CardPaper } from './tying-card-pdf';

const PT_PER_MM = 72 / 25.4;
const face = (name: string) =>
  readFileSync(`node_modules/@expo-google-fonts/instrument-sans/${name}/InstrumentSans_${name}.ttf`);
const FACES = { text: face('400Regular'), strong: face('600SemiBold') };
const speech = createSpeech(createI18n(), 'mm');
const MARKS = {
  marks: [
    { d: 'M0 0L-7 0', stroke: '#102030', width: 0.4, mm: true },
    { d: 'M0 0L1 1Z', fill: '#aabbcc', opacity: 0.5 },
    { d: 'M0 0L1 1' },
  ],
  bounds: { left: -8, right: 1, top: 2, bottom: -3 },
};

function pageOf(id: string, more: Partial<CardPage> = {}): CardPage {
  return {
    ...cardSheet(cardOn14(id), speech),
    natural: ['Pale riffle dun, 8.1 mm ± 0.6, 3 measured', 'River Auldry, long riffle · 24 May 2033'],
    bars: [
      { label: 'shank 7.0 mm', mm: 7 },
      { label: 'wing 7.1 mm', mm: 7.1 },
    ],
    drawing: MARKS,
    words: {
      check: 'This line is 50 mm',
      enlarged: 'drawn {{times}} times its size',
      trueSize: 'true size',
      notes: 'Notes',
    },
    ...more,
  };
}

/** The drawing orders of a page, as text. */
function ordersOf(document: PDFDocument, page = 0): string {
  const contents = document.getPage(page).node.Contents()!;
  const streams =
    contents instanceof PDFStream ? [contents] : contents.asArray().map((ref) => document.context.lookup(ref));
  return (streams as PDFRawStream[])
    .map((stream) => {
      const plain = stream.dict.get(PDFName.of('Filter')) ? inflateSync(stream.contents) : Buffer.from(stream.contents);
      return plain.toString('latin1');
    })
    .join('\n');
}

/** Lengths of the level lines that are drawn, mm. */
function levelLines(orders: string): number[] {
  return [...orders.matchAll(/([\d.]+) ([\d.]+) m\s+(?:[\d.-]+ )*?([\d.]+) ([\d.]+) l\s/g)]
    .filter(([, , y, , z]) => Math.abs(Number(y) - Number(z)) < 1e-6)
    .map(([, x, , w]) => Math.abs(Number(w) - Number(x)) / PT_PER_MM);
}
const has = (lengths: readonly number[], mm: number) => lengths.some((length) => Math.abs(length - mm) < 0.02);

test.each(Object.keys(CARD_PAPERS) as CardPaper[])(
  'one page of %s, faces embedded, with everything on it',
  async (paper) => {
    const pdf = await PDFDocument.load(await cardPdf(pageOf('first-light-dun'), paper, FACES));
    expect(pdf.getTitle()).toBe('First-light upright dun');
    expect(pdf.getPageCount()).toBe(1);
    const [width, height] = CARD_PAPERS[paper];
    expect(pdf.getPage(0).getSize().width).toBeCloseTo(width * PT_PER_MM, 1);
    expect(pdf.getPage(0).getSize().height).toBeCloseTo(height * PT_PER_MM, 1);
    const fonts = pdf.context
      .enumerateIndirectObjects()
      .filter(([, object]) => object instanceof PDFRawStream && object.dict.get(PDFName.of('Subtype')) === undefined);
    expect(fonts.length).toBeGreaterThan(2);
    const lengths = levelLines(ordersOf(pdf));
    for (const mm of [50, 7, 7.1]) expect(has(lengths, mm)).toBe(true);
  },
);

test('what is drawn at its true size is made larger by as much as the printer makes it smaller', async () => {
  const lengths = levelLines(
    ordersOf(await PDFDocument.load(await cardPdf(pageOf('first-light-dun'), 'a4', FACES, 0.97))),
  );
  expect(has(lengths, 50 / 0.97)).toBe(true);
  expect(has(lengths, 7 / 0.97)).toBe(true);
  expect(has(lengths, 50)).toBe(false);
});

const LONGEST = DRESSINGS.map(({ id, steps, parts, assemblies }) => ({
  id,
  length: JSON.stringify([steps, parts, assemblies]).length,
}))
  .sort((a, b) => b.length - a.length)
  .slice(0, 3)
  .flatMap(({ id }) => (['a4', 'letter'] as const).map((paper) => [id, paper] as const));

test.each(LONGEST)('%s, one of the longest cards of the library, is one page of %s too', async (id, paper) =>
  expect((await PDFDocument.load(await cardPdf(pageOf(id), paper, FACES))).getPageCount()).toBe(1),
);

test('a card with no end goes on to further pages, and one without a picture needs none', async () => {
  const lines = Array.from(
    { length: 260 },
    (_, n) => `${n}. Wind it once more and look at it well before the next turn`,
  );
  const pdf = await PDFDocument.load(
    await cardPdf(pageOf('first-light-dun', { sections: [{ title: 'Steps', lines }], drawing: null }), 'a5', FACES),
  );
  expect(pdf.getPageCount()).toBeGreaterThan(1);
});

test('letters that the face has not are left out, and stop no card', async () => {
  const made = cardPdf(pageOf('first-light-dun', { title: '鱼 dun', natural: ['\u202f5 mm, 🪰'] }), 'a4', FACES);
  expect((await PDFDocument.load(await made)).getPageCount()).toBe(1);
});

test('a ± that the face has not is written otherwise, not left out', async () => {
  const letters = async (said: string) => {
    const orders = ordersOf(
      await PDFDocument.load(await cardPdf(pageOf('first-light-dun', { natural: [said] }), 'a4', FACES)),
    );
    return [...orders.matchAll(/<([0-9A-F]+)> Tj/g)].map(([, glyphs]) => glyphs!.length / 4)[2];
  };
  expect(await letters('8.1 ± 0.6')).toBe('8.1 +/- 0.6'.length);
});

test('a line is broken at spaces only', () => {
  const fits = (piece: string) => piece.length <= 9;
  expect(foldLine('one two three fourteenletters five', fits)).toEqual(['one two', 'three', 'fourteenletters', 'five']);
  expect(foldLine('', fits)).toEqual(['']);
});

describe('a card as one SVG picture', () => {
  const svg = tyingCardSvg(pageOf('first-light-dun', { title: 'Dun & "post" <olive>' }));
  /** What another program finds in it. */
  const found = (path: string) =>
    execFileSync('xmllint', ['--xpath', path, '-'], { input: svg, encoding: 'utf8' }).trim();
  test('is measured in millimetres: bars, the line of 50 mm and the fly beneath are at true size', () => {
    expect(found('string(/*/@width)')).toBe('120mm');
    expect(found('string(/*/@viewBox)')).toMatch(/^0 0 120 [\d.]+$/);
    const lengths = [...svg.matchAll(/M8 [\d.]+h([\d.]+)M/g)].map(([, mm]) => Number(mm));
    expect(lengths).toEqual([7, 7.1, 50]);
    const scales = [...svg.matchAll(/scale\(([\d.]+)\)/g)].map(([, scale]) => Number(scale));
    expect(scales).toEqual([11.5, 1]);
    expect(svg).toContain('drawn 11.5 times its size');
    // A line of a width in millimetres keeps it, one of a width on the screen is thin at either size.
    expect([...svg.matchAll(/stroke="#102030" stroke-width="([\d.]+)"/g)].map(([, width]) => width)).toEqual([
      '0.4',
      '0.4',
    ]);
  });
  test('says all of the card to who cannot see it, and nothing in it runs or is fetched', () => {
    expect(found('string(//*[local-name()="title"])')).toBe('Dun & "post" <olive>');
    const sheet = cardSheet(cardOn14('first-light-dun'), speech);
    const told = found('string(//*[local-name()="desc"])');
    for (const { title, lines } of sheet.sections)
      for (const line of [title, ...lines]) expect(told).toContain(line.trim());
    expect(svg).not.toMatch(/<script|href|url\(|on[a-z]+=|&nbsp;|<image/i);
  });
  test('without a picture its bars stand alone', () =>
    expect(tyingCardSvg(pageOf('first-light-dun', { drawing: null }))).not.toContain('scale('));
});
