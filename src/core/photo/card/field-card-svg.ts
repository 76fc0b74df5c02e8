import { xmlText } from '../../archive/xml';
import {
  cardShapes,
  type CardShape,
  type CardSize,
  type CardWords,
  type FieldCards,
  type PageSize,
  type ImagePoint,
} from './geometry';

/** Pages the cards are printed on, mm. */
export const PAGES_MM: Readonly<Record<PageSize, ImagePoint>> = { a4: [210, 297], letter: [215.9, 279.4] };
const CUT_MARGIN_MM = 3;
const CUT_MM = 0.1;

/** Where the card's corner lies on its page: in the middle, a third down. */
export function cornerOn(page: ImagePoint, card: ImagePoint): ImagePoint {
  return [(page[0] - card[0]) / 2, (page[1] - card[1]) / 3];
}

function svgOf(shape: CardShape): string {
  switch (shape.kind) {
    case 'rect':
      return `<rect x="${shape.rect[0]}" y="${shape.rect[1]}" width="${shape.rect[2]}" height="${shape.rect[3]}" fill="${shape.fill ?? 'none'}"${shape.stroke ? ` stroke="${shape.stroke}" stroke-width="${shape.width}"` : ''}/>`;
    case 'disc':
      return `<circle cx="${shape.at[0]}" cy="${shape.at[1]}" r="${Number(shape.radius.toFixed(4))}" fill="${shape.fill}"/>`;
    case 'line':
      return `<path d="M${shape.from.join(' ')}L${shape.to.join(' ')}" stroke="${shape.stroke}" stroke-width="${shape.width}"/>`;
    case 'text':
      return `<text x="${shape.at[0]}" y="${shape.at[1]}" font-family="sans-serif" font-size="${Number(shape.height.toFixed(3))}" fill="${shape.fill}">${xmlText(shape.text)}</text>`;
  }
}

/** The card as SVG on its page, user units of 1 mm; the root states the card's size, corner and clear field. */
export function fieldCardSvg(cards: FieldCards, size: CardSize, page: PageSize, words: CardWords): string {
  const card = cards.cards[size];
  const [width, height] = PAGES_MM[page];
  const [x, y] = cornerOn(PAGES_MM[page], card.size_mm);
  const cut = [
    -CUT_MARGIN_MM,
    -CUT_MARGIN_MM,
    card.size_mm[0] + 2 * CUT_MARGIN_MM,
    card.size_mm[1] + 2 * CUT_MARGIN_MM,
  ];
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}" data-field-card="${size}" data-corner-mm="${x} ${y}" data-card-mm="${card.size_mm.join(' ')}" data-field-mm="${card.field_mm.join(' ')}" data-check-mm="${card.check.length_mm}">`,
    `<g transform="translate(${x} ${y})">`,
    `<rect x="${cut[0]}" y="${cut[1]}" width="${cut[2]}" height="${cut[3]}" fill="none" stroke="${cards.inks.light}" stroke-width="${CUT_MM}" stroke-dasharray="2 2"/>`,
    ...cardShapes(cards, size, words).map(svgOf),
    '</g>',
    '</svg>',
    '',
  ].join('\n');
}
