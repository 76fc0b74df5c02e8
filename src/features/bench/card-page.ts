import type { CardPage } from '@/core/exchange/tying-card-pdf';
import type { Card } from '@/core/tying';
import { headlineParts, type Speech } from '@/speech';
import { cardSheet, partNamed } from '@/speech/card';
import { flyMarks, inTheme } from '@/ui/drawings';

/** The card as it is printed: the sheet, the fly, and its lengths as bars. */
export function cardPage(
  card: Card,
  natural: readonly string[],
  speech: Speech,
  words: (key: string, params?: Record<string, unknown>) => string,
): CardPage {
  const { marks, bounds } = flyMarks(card);
  const bar = (label: string, mm: number) => ({
    label: words('paper.bar', { what: label, mm: speech.length(mm) }),
    mm,
  });
  const { notes, ...sheet } = cardSheet(card, speech);
  return {
    ...sheet,
    natural: [...notes, ...natural],
    bars: [
      bar(words('hook.shank'), card.hook.shank_mm),
      ...headlineParts(card).map(({ id, mm }) => bar(partNamed(card, id, speech), mm)),
    ],
    drawing: {
      marks: marks.map((mark) => ({
        ...mark,
        fill: mark.fill && inTheme(mark.fill, 'morning'),
        stroke: mark.stroke && inTheme(mark.stroke, 'morning'),
      })),
      bounds,
    },
    words: {
      check: words('paper.check'),
      enlarged: words('paper.enlarged', { times: '{{times}}' }),
      trueSize: words('paper.true-size'),
      notes: words('paper.notes'),
    },
  };
}

/** Sections that go on a quarter of a sheet: what a part measures and what is taken of it; the rest is on the whole card. */
const POCKET: ReadonlySet<string> = new Set(['parts', 'take', 'threads', 'weights', 'hackles', 'ribs']);

/** The card as it goes into a pocket: parts and amounts, its steps by their names alone. */
export function pocketPage(
  card: Card,
  speech: Speech,
  words: (key: string, params?: Record<string, unknown>) => string,
): CardPage {
  const page = cardPage(card, [], speech, words);
  const sections = cardSheet(card, speech).sections.filter(({ id }) => POCKET.has(id));
  const steps = card.steps.map((step) => `${step.n} ${speech.stepTitle(step)}`);
  return {
    ...page,
    sections: [...sections, { title: words('dressing.steps'), lines: [speech.beside(steps)] }],
    bars: page.bars.slice(0, 3),
  };
}
