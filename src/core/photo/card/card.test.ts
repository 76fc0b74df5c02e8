import { FIELD_CARDS } from '@/catalogue/field-cards';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { cardShapes, fieldCardSvg, PAGES_MM, type CardSize } from './index';

const WORDS = { title: 'title', print: 'print', check: '50 mm' };
const SIZES: CardSize[] = ['wallet', 'large'];
const inside = ([x, y, w, h]: readonly [number, number, number, number], [W, H]: readonly [number, number]) =>
  x >= 0 && y >= 0 && x + w <= W && y + h <= H;

describe.each(SIZES)('the %s card', (size) => {
  const card = FIELD_CARDS.cards[size];
  test('has its marks, patches and field on it, and nothing lies in the field', () => {
    expect(card.marks_mm).toHaveLength(6);
    for (const [x, y] of card.marks_mm)
      expect(
        inside(
          [x - card.mark_radius_mm, y - card.mark_radius_mm, 2 * card.mark_radius_mm, 2 * card.mark_radius_mm],
          card.size_mm,
        ),
      ).toBe(true);
    expect(card.patches.map((patch) => patch.ink)).toEqual([
      'white',
      'light',
      'dark',
      'black',
      'white',
      'light',
      'dark',
      'black',
    ]);
    const [fx, fy, fw, fh] = card.field_mm;
    for (const {
      rect_mm: [x, y, w, h],
    } of card.patches) {
      expect(inside([x, y, w, h], card.size_mm)).toBe(true);
      expect(x + w < fx || x > fx + fw || y + h < fy || y > fy + fh).toBe(true);
    }
    for (const [x, y] of card.marks_mm)
      expect(y + card.mark_radius_mm < fy || y - card.mark_radius_mm > fy + fh || x < fx || x > fx + fw).toBe(true);
    expect(card.rule.from_mm[1]).toBeGreaterThan(fy + fh);
    expect(card.check.length_mm).toBe(50);
  });
  test('is drawn with a tick every millimetre, three discs a mark, and its numbers in the root', () => {
    const shapes = cardShapes(FIELD_CARDS, size, WORDS);
    expect(shapes.filter((shape) => shape.kind === 'disc')).toHaveLength(18);
    expect(shapes.filter((shape) => shape.kind === 'line')).toHaveLength(card.rule.length_mm + 1 + 3);
    const svg = fieldCardSvg(FIELD_CARDS, size, 'letter', { ...WORDS, title: 'a < b & c' });
    expect(svg).toContain(`data-field-mm="${card.field_mm.join(' ')}"`);
    expect(svg).toContain(`viewBox="0 0 ${PAGES_MM.letter[0]} ${PAGES_MM.letter[1]}"`);
    expect(svg).toContain('a &lt; b &amp; c');
  });
  test('stands in the published description as it is drawn', () => {
    const text = readFileSync(join(__dirname, '../../../../docs/formats/field-card.md'), 'utf8');
    const [fx, fy, fw, fh] = card.field_mm;
    expect(text).toContain(`${fx}, ${fy}, ${fw}, ${fh}`);
    for (const [x, y] of card.marks_mm) expect(text).toContain(`(${x}, ${y})`);
    for (const ink of Object.values(FIELD_CARDS.inks)) expect(text).toContain(ink);
  });
});
