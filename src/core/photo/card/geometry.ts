export type CardSize = 'wallet' | 'large';
export type PageSize = 'a4' | 'letter';
export type Ink = 'white' | 'light' | 'dark' | 'black';
export type Rect = readonly [x: number, y: number, width: number, height: number];
export type ImagePoint = readonly [x: number, y: number];

/** One field card, millimetres from its upper left corner, y downward: src/catalogue/field-cards.json, docs/formats/field-card.md. */
export interface CardGeometry {
  size_mm: ImagePoint;
  mark_radius_mm: number;
  /** Upper row, then lower row, each from the left. */
  marks_mm: readonly ImagePoint[];
  patches: readonly { ink: Ink; rect_mm: Rect }[];
  field_mm: Rect;
  rule: { from_mm: ImagePoint; length_mm: number };
  check: { from_mm: ImagePoint; length_mm: number };
  text: { title_mm: ImagePoint; print_mm: ImagePoint; height_mm: number };
}

/** Both cards, with what they share. Ring and dot are shares of the mark's radius. */
export interface FieldCards {
  inks: Readonly<Record<Ink, string>>;
  mark: { ring: readonly [outer: number, inner: number]; dot: number };
  frame_mm: number;
  tick_mm: number;
  cards: Readonly<Record<CardSize, CardGeometry>>;
}

/** A shape of the card in the order it is drawn; grey as `#rrggbb`, millimetres. */
export type CardShape =
  | { kind: 'rect'; rect: Rect; fill: string | null; stroke: string | null; width: number }
  | { kind: 'disc'; at: ImagePoint; radius: number; fill: string }
  | { kind: 'line'; from: ImagePoint; to: ImagePoint; stroke: string; width: number }
  | { kind: 'text'; at: ImagePoint; height: number; fill: string; text: string };

const LONG_TICK = 1.3;
const FIVE_TICK = 1.1;
const TICK = 0.8;
const CHECK_TICK = 0.5;
const OUTLINE_MM = 0.1;

/** What the card says in words; given, because core holds none. */
export interface CardWords {
  title: string;
  print: string;
  check: string;
}

/** Every shape of a card, so that SVG, PDF and a simulated camera draw the same one. */
export function cardShapes(cards: FieldCards, size: CardSize, words: CardWords): CardShape[] {
  const card = cards.cards[size];
  const { white, dark, black } = cards.inks;
  const [fx, fy, fw, fh] = card.field_mm;
  const { rule, check } = card;
  const [rx, ry] = rule.from_mm;
  const [cx, cy] = check.from_mm;
  const line = (from: ImagePoint, to: ImagePoint, width = cards.tick_mm): CardShape => ({
    kind: 'line',
    from,
    to,
    stroke: black,
    width,
  });
  return [
    { kind: 'rect', rect: [0, 0, ...card.size_mm], fill: white, stroke: null, width: 0 },
    { kind: 'rect', rect: [fx, fy, fw, fh], fill: null, stroke: dark, width: cards.frame_mm },
    ...card.patches.map(({ ink, rect_mm: rect }): CardShape => ({
      kind: 'rect',
      rect,
      fill: cards.inks[ink],
      stroke: ink === 'white' ? dark : null,
      width: OUTLINE_MM,
    })),
    ...card.marks_mm.flatMap((at): CardShape[] => [
      { kind: 'disc', at, radius: card.mark_radius_mm * cards.mark.ring[0], fill: black },
      { kind: 'disc', at, radius: card.mark_radius_mm * cards.mark.ring[1], fill: white },
      { kind: 'disc', at, radius: card.mark_radius_mm * cards.mark.dot, fill: black },
    ]),
    ...Array.from({ length: rule.length_mm + 1 }, (_, mm) =>
      line([rx + mm, ry], [rx + mm, ry + (mm % 10 === 0 ? LONG_TICK : mm % 5 === 0 ? FIVE_TICK : TICK)]),
    ),
    line([cx, cy], [cx + check.length_mm, cy]),
    line([cx, cy - CHECK_TICK], [cx, cy + CHECK_TICK]),
    line([cx + check.length_mm, cy - CHECK_TICK], [cx + check.length_mm, cy + CHECK_TICK]),
    { kind: 'text', at: card.text.title_mm, height: card.text.height_mm, fill: black, text: words.title },
    { kind: 'text', at: card.text.print_mm, height: card.text.height_mm, fill: black, text: words.print },
    {
      kind: 'text',
      at: [cx + check.length_mm + 1, cy + 0.6],
      height: card.text.height_mm * 0.7,
      fill: black,
      text: words.check,
    },
  ];
}
