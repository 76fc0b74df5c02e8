import { readFileSync } from 'node:fs';
import { PDFDocument } from 'pdf-lib';
import { DRESSINGS } from '@/catalogue';
import { cardsPdf, pocketPdf } from '@/core/exchange/many-cards-pdf';
import { createI18n, createSpeech } from '@/speech';
import { cardOn14 } from '../../../tools/test-catalogue';
import { cardPage, pocketPage } from './card-page';

const face = (name: string) =>
  new Uint8Array(readFileSync(`node_modules/@expo-google-fonts/instrument-sans/${name}/InstrumentSans_${name}.ttf`));
const FACES = { text: face('400Regular'), strong: face('600SemiBold') };
const speech = createSpeech(createI18n(), 'mm');
const words = (key: string, params?: Record<string, unknown>) => speech.t(`ui.${key}`, params ?? {}) as string;
const pocket = (id: string) => pocketPage(cardOn14(id), speech, words);

/** The dressings with the most to say of them. */
const FULLEST = [...DRESSINGS]
  .map(({ id }) => ({ id, said: pocket(id).sections.reduce((sum, { lines }) => sum + lines.join('').length, 0) }))
  .sort((a, b) => b.said - a.said)
  .slice(0, 6)
  .map(({ id }) => id);

test.each(['a4', 'letter'] as const)(
  'on a folded sheet of %s each of four dressings goes on its quarter whole, whichever it is',
  async (paper) => {
    for (const four of [FULLEST.slice(0, 4), FULLEST.slice(2, 6)]) {
      const { bytes, cut } = await pocketPdf(four.map(pocket), paper, FACES);
      expect([four, cut]).toEqual([four, 0]);
      expect((await PDFDocument.load(bytes)).getPageCount()).toBe(1);
    }
  },
);

test('what does not go on its quarter is told, and a fifth dressing is left out', async () => {
  const page = pocket(FULLEST[0]!);
  const long = { ...page, sections: [...page.sections, ...page.sections, ...page.sections, ...page.sections] };
  expect((await pocketPdf([long, page], 'a4', FACES)).cut).toBe(1);
  const one = (await pocketPdf(FULLEST.slice(0, 4).map(pocket), 'a4', FACES)).bytes.length;
  const five = (await pocketPdf(FULLEST.slice(0, 5).map(pocket), 'a4', FACES)).bytes.length;
  expect(Math.abs(five - one)).toBeLessThan(100);
});

test('several cards are one file, each from a page of its own on', async () => {
  const pages = FULLEST.slice(0, 3).map((id) => cardPage(cardOn14(id), [], speech, words));
  const document = await PDFDocument.load(await cardsPdf(pages, 'letter', FACES));
  expect(document.getPageCount()).toBeGreaterThanOrEqual(3);
  const { width, height } = document.getPage(0).getSize();
  expect([width, height]).toEqual([expect.closeTo(612, 0), expect.closeTo(792, 0)]);
});
