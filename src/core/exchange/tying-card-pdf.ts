import fontkit from '@pdf-lib/fontkit';
import { LineCapStyle, PDFDocument, rgb, type PDFFont, type PDFPage } from 'pdf-lib';
import { PRINT_PAGES } from '../hooks/drawn/hook-chart';
import type { Mark } from '../hooks/drawn';

const PT_PER_MM = 72 / 25.4;

/** Papers a card is printed on, mm. */
export const CARD_PAPERS = { ...PRINT_PAGES, a5: [148, 210] } as const;
export type CardPaper = keyof typeof CARD_PAPERS;

/** Panels of a sheet that is folded twice, mm. */
const QUARTERS = {
  'a4-quarter': PRINT_PAGES.a4.map((mm) => mm / 2) as [number, number],
  'letter-quarter': PRINT_PAGES.letter.map((mm) => mm / 2) as [number, number],
} as const;
export type QuarterPaper = keyof typeof QUARTERS;
const SIZES = { ...CARD_PAPERS, ...QUARTERS };

/** Millimetres on paper. Text shrinks from `most` until the card is one page, never below the paper's `least`: smaller is not read at a vise. */
const SHEET = {
  columns: 2,
  title: 6,
  sub: 3.1,
  lead: 1.32,
  gap: 3,
  indent: 3,
  check: 50,
  bar: 4,
  noteLine: 7,
} as const;
const TEXT = { most: 3.2, step: 0.1, label: 2.4 } as const;
/** Small papers go into a pocket: they have less room for notes, a smaller picture, and smaller text. */
const POCKET = { margin: 5, gutter: 3, notes: 0, picture: 14, least: 1.7 } as const;
const PAPER: Record<
  CardPaper | QuarterPaper,
  { margin: number; gutter: number; notes: number; picture: number; least: number }
> = {
  a4: { margin: 10, gutter: 6, notes: 3, picture: 34, least: 2 },
  letter: { margin: 10, gutter: 6, notes: 3, picture: 34, least: 2 },
  a5: { margin: 7, gutter: 4, notes: 1, picture: 22, least: 1.7 },
  'a4-quarter': POCKET,
  'letter-quarter': POCKET,
};
const INK = rgb(0.08, 0.13, 0.15);
const SOFT = rgb(0.4, 0.45, 0.47);

/** A card as it is printed: words as the reader speaks them, lengths in millimetres. */
export interface CardPage {
  title: string;
  sub: string;
  /** What it is tied for, and when. */
  natural: string[];
  sections: { title: string; lines: string[] }[];
  /** Lengths drawn as they are, to lay material against. */
  bars: { label: string; mm: number }[];
  /** The fly, colours resolved to hex; null leaves the picture out. Bounds mm, y up. */
  drawing: { marks: Mark[]; bounds: { left: number; right: number; top: number; bottom: number } } | null;
  words: {
    /** Beside the line of 50 mm; null where nothing is laid against the paper. */
    check: string | null;
    /** Under the enlarged drawing; holds `{{times}}`. */
    enlarged: string;
    trueSize: string;
    notes: string;
  };
}

/** The two faces of a card, as TrueType. */
export interface CardFaces {
  text: Uint8Array;
  strong: Uint8Array;
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

/** What stands for a sign that a face has not. */
const IN_PLACE_OF: Readonly<Record<string, string>> = {
  '±': '+/-',
  '−': '-',
  '≤': '<=',
  '≥': '>=',
  '\u202f': ' ',
  '\u00a0': ' ',
};

/** A face with the widths of its words remembered, mm at a size of 1 mm; letters it has not are left out, or said otherwise, rather than shown as boxes. */
class Face {
  private readonly widths = new Map<string, number>();
  private readonly has: ReadonlySet<number>;
  constructor(readonly font: PDFFont) {
    this.has = new Set(font.getCharacterSet());
  }
  plain(text: string): string {
    return [...text]
      .map((letter) => (this.has.has(letter.codePointAt(0)!) ? letter : (IN_PLACE_OF[letter] ?? '')))
      .join('');
  }
  private wide(word: string): number {
    const known = this.widths.get(word) ?? this.font.widthOfTextAtSize(word, 1);
    this.widths.set(word, known);
    return known;
  }
  fold(text: string, size: number, room: number): string[] {
    const space = this.wide(' ');
    // A line is tried a word longer each time: what is known of it without the word is not summed again.
    let last = { piece: '', mm: 0 };
    const across = (piece: string) => {
      const cut = piece.lastIndexOf(' ');
      const mm =
        cut > 0 && piece.slice(0, cut) === last.piece
          ? last.mm + space + this.wide(piece.slice(cut + 1))
          : piece.split(' ').reduce((sum, word, index) => sum + this.wide(word) + (index === 0 ? 0 : space), 0);
      last = { piece, mm };
      return mm;
    };
    return foldLine(this.plain(text), (piece) => across(piece) * size <= room);
  }
}

/** A line of text where it stands on its page, mm from the left and from the top to its foot. */
interface Placed {
  page: number;
  x: number;
  y: number;
  text: string;
  face: Face;
  size: number;
}

interface Columns {
  top: number;
  bottom: number;
  /** Top of the columns of further pages. */
  nextTop: number;
  left: number;
  wide: number;
  gutter: number;
}

/** The sections set in columns at one size of text, and on how many pages. */
function inColumns(
  sections: CardPage['sections'],
  size: number,
  { top, bottom, nextTop, left, wide, gutter }: Columns,
  { text, strong }: { text: Face; strong: Face },
): { placed: Placed[]; pages: number } {
  const placed: Placed[] = [];
  let [page, column, y] = [0, 0, top];
  const next = () => {
    column += 1;
    if (column === SHEET.columns) [page, column] = [page + 1, 0];
    y = page === 0 ? top : nextTop;
  };
  const write = (line: string, face: Face, at: number, indent: number, keep: number) => {
    const pieces = face.fold(line, at, wide - indent);
    if (y + at * SHEET.lead * Math.min(pieces.length, 2) + keep > bottom) next();
    for (const piece of pieces) {
      if (y + at * SHEET.lead > bottom) next();
      y += at * SHEET.lead;
      placed.push({ page, x: left + column * (wide + gutter) + indent, y, text: piece, face, size: at });
    }
  };
  for (const section of sections) {
    y += y === top || y === nextTop ? 0 : size * 0.7;
    write(section.title, strong, size * 1.15, 0, 2 * size * SHEET.lead);
    for (const line of section.lines) write(line.trim(), text, size, /^\s/.test(line) ? SHEET.indent : 0, 0);
  }
  return { placed, pages: page + 1 };
}

/** So long a line may be to stand beside others of its section. */
const SHORT = 40;

/** A section run together where there is no room for its lines: what belongs to a line follows it, and short lines stand side by side. */
function run({ title, lines }: CardPage['sections'][number]): CardPage['sections'][number] {
  const whole: string[] = [];
  for (const line of lines) {
    const last = whole.at(-1);
    if (last !== undefined && /^\s/.test(line)) whole[whole.length - 1] = `${last}; ${line.trim()}`;
    else whole.push(line);
  }
  return { title, lines: whole.every((line) => line.length <= SHORT) ? [whole.join(' · ')] : whole };
}

/** Draws marks of a fly, mm with y up, so many times their size, with their origin at a place of the page. */
function drawMarks(sheet: PDFPage, marks: readonly Mark[], scale: number, x: number, y: number): void {
  for (const mark of marks) {
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
}

/**
 * A card to tie from as PDF on one page: the fly enlarged and at its true size, its lengths as bars at 1:1, the line that tells whether the printer kept
 * them, the natural, parts, steps, cautions, and room for notes. A card that is not read on one page goes on to the next. `printed` is what a millimetre of
 * this printer really is, over 1 mm: what is drawn at 1:1 is made larger by as much as the printer makes it smaller.
 */
export async function cardPdf(
  card: CardPage,
  paper: CardPaper | QuarterPaper,
  faces: CardFaces,
  printed = 1,
): Promise<Uint8Array> {
  const [widthMm, heightMm] = SIZES[paper];
  const { margin, gutter, notes: noteLines, picture } = PAPER[paper];
  const document = await PDFDocument.create();
  document.registerFontkit(fontkit);
  document.setTitle(card.title);
  const text = new Face(await document.embedFont(faces.text, { subset: true }));
  const strong = new Face(await document.embedFont(faces.strong, { subset: true }));
  const inner = widthMm - 2 * margin;
  const first = document.addPage([widthMm * PT_PER_MM, heightMm * PT_PER_MM]);
  const foot = (mm: number) => (heightMm - mm) * PT_PER_MM;
  const put = (sheet: PDFPage, { x, y, text: line, face, size }: Omit<Placed, 'page'>, soft = false) =>
    sheet.drawText(line, {
      x: x * PT_PER_MM,
      y: foot(y),
      size: size * PT_PER_MM,
      font: face.font,
      color: soft ? SOFT : INK,
    });
  const line = (sheet: PDFPage, from: readonly [number, number], to: readonly [number, number], thick = 0.25) =>
    sheet.drawLine({
      start: { x: from[0] * PT_PER_MM, y: foot(from[1]) },
      end: { x: to[0] * PT_PER_MM, y: foot(to[1]) },
      thickness: thick * PT_PER_MM,
      color: INK,
    });
  let down: number = margin;
  const head = (what: string, size: number, face: Face, soft = false) => {
    for (const piece of face.fold(what, size, inner)) {
      down += size * SHEET.lead;
      put(first, { x: margin, y: down, text: piece, face, size }, soft);
    }
  };
  head(card.title, SHEET.title, strong);
  head(card.sub, SHEET.sub, text);
  for (const said of card.natural) head(said, SHEET.sub, text, true);
  down += SHEET.gap;

  // Left the fly enlarged, right what is laid against it at its true size.
  const rightWide = Math.max(SHEET.check / printed + 4, inner * 0.42);
  const right = margin + inner - rightWide;
  const own = 1 / printed;
  const half = rightWide / 2;
  // Short ones stand two in a row.
  const rows: CardPage['bars'][] = [];
  const check = card.words.check === null ? [] : [{ label: card.words.check, mm: SHEET.check }];
  for (const bar of [...card.bars, ...check]) {
    const open = rows.at(-1);
    if (open?.length === 1 && [...open, bar].every(({ mm }) => mm * own < half - 3)) open.push(bar);
    else rows.push([bar]);
  }
  const size = card.drawing && {
    wide: card.drawing.bounds.right - card.drawing.bounds.left,
    high: card.drawing.bounds.top - card.drawing.bounds.bottom,
  };
  const enlarged = (high: number) => (size ? Math.min((inner - rightWide - gutter) / size.wide, high / size.high) : 0);
  const barsTop = down + (size ? size.high * own + SHEET.gap : 0);
  const bandFoot = (high: number) =>
    Math.max(
      size ? down + size.high * enlarged(high) + SHEET.sub * 1.2 : down,
      barsTop + rows.length * (TEXT.label + SHEET.bar),
    ) + SHEET.gap;

  // As much room as the steps leave: first lines are run together, then the picture and the notes give way.
  const noteRoom = (lines: number) => (lines === 0 ? 0 : lines * SHEET.noteLine + SHEET.sub * 2);
  const close = card.sections.map(run);
  const ways = [
    { sections: card.sections, picture, notes: noteLines },
    { sections: close, picture, notes: noteLines },
    { sections: close, picture: picture * 0.6, notes: Math.min(1, noteLines) },
  ].map((way) => ({
    ...way,
    columns: {
      top: bandFoot(way.picture),
      bottom: heightMm - margin - noteRoom(way.notes),
      nextTop: margin,
      left: margin,
      wide: (inner - (SHEET.columns - 1) * gutter) / SHEET.columns,
      gutter,
    },
  }));
  const fitted = ({ sections, columns }: (typeof ways)[number]) => {
    let at: number = TEXT.most;
    let set = inColumns(sections, at, columns, { text, strong });
    while (set.pages > 1 && at - TEXT.step >= PAPER[paper].least - 1e-9) {
      at -= TEXT.step;
      set = inColumns(sections, at, columns, { text, strong });
    }
    return set;
  };
  let [way, laid] = [ways[0]!, fitted(ways[0]!)];
  for (const tighter of ways.slice(1)) if (laid.pages > 1) [way, laid] = [tighter, fitted(tighter)];

  if (card.drawing && size) {
    const { marks, bounds } = card.drawing;
    const scale = enlarged(way.picture);
    const label = (x: number, y: number, words: string) =>
      put(first, { x, y, text: text.plain(words), face: text, size: TEXT.label }, true);
    drawMarks(first, marks, scale, (margin - bounds.left * scale) * PT_PER_MM, foot(down + bounds.top * scale));
    label(
      margin,
      down + size.high * scale + SHEET.sub * 1.2,
      card.words.enlarged.replace('{{times}}', (scale * printed).toFixed(1)),
    );
    drawMarks(first, marks, own, (right - bounds.left * own) * PT_PER_MM, foot(down + bounds.top * own));
    label(right + size.wide * own + 2, down + size.high * own * 0.6, card.words.trueSize);
  }
  rows.forEach((row, index) => {
    const top = barsTop + index * (TEXT.label + SHEET.bar) + TEXT.label;
    row.forEach(({ label, mm }, place) => {
      const x = right + place * half;
      put(first, { x, y: top, text: text.plain(label), face: text, size: TEXT.label });
      const [y, end] = [top + 1.6, x + mm * own];
      line(first, [x, y], [end, y], 0.4);
      for (const tick of [x, end]) line(first, [tick, y - 0.9], [tick, y + 0.9], 0.2);
    });
  });
  const sheets = [first];
  while (sheets.length < laid.pages) sheets.push(document.addPage([widthMm * PT_PER_MM, heightMm * PT_PER_MM]));
  for (const item of laid.placed) put(sheets[item.page]!, item);
  const notesTop = heightMm - margin - noteRoom(way.notes) + SHEET.sub * 1.5;
  if (way.notes > 0)
    put(first, { x: margin, y: notesTop, text: strong.plain(card.words.notes), face: strong, size: SHEET.sub });
  for (let n = 1; n <= way.notes; n++) {
    const y = notesTop + n * SHEET.noteLine - 1;
    line(first, [margin, y], [widthMm - margin, y], 0.15);
  }
  return document.save();
}
