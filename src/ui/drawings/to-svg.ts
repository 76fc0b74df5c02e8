import { xmlText } from '@/core/archive/xml';
import { svgMark, type Mark } from '@/core/hooks/drawn';
import tokens from '../tokens/tokens.json';
import type { ThemeName } from '../tokens';

/** Marks in millimetres at a place of a picture: `scale` pixels a millimetre, their origin at (x, y) pixels. */
export interface PlacedMarks {
  marks: readonly Mark[];
  scale: number;
  x: number;
  y: number;
}

export interface SvgPicture {
  width: number;
  height: number;
  theme: ThemeName;
  /** Ground under everything; none leaves it clear. */
  ground?: boolean;
  title: string;
  placed: readonly PlacedMarks[];
  /** Words and lines that are not marks, already as SVG. */
  more?: string;
}

const round = (value: number) => Number(value.toFixed(3));

/** Colours of the page's variables in one theme: a file has no page. */
export function inTheme(text: string, theme: ThemeName): string {
  return text.replace(
    /var\(--([a-z-]+)\)/g,
    (_, name: string) => tokens.colours[theme][name as keyof (typeof tokens.colours)['morning']] ?? '#000000',
  );
}

/** A drawing as an SVG file of its own: colours resolved, nothing referred to. */
export function svgPicture({ width, height, theme, ground = true, title, placed, more = '' }: SvgPicture): string {
  const paths = placed
    .map(({ marks, scale, x, y }) => {
      const inner = marks
        .map((mark) => svgMark(mark, round((mark.mm ? mark.width : (mark.width ?? 1) / scale) ?? 1)))
        .join('');
      return `<g transform="translate(${round(x)} ${round(y)}) scale(${round(scale)})" stroke-linecap="round" stroke-linejoin="round">${inner}</g>`;
    })
    .join('');
  const under = ground ? `<rect width="${width}" height="${height}" fill="var(--plane)"/>` : '';
  return inTheme(
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}" role="img" aria-label="${xmlText(title)}"><title>${xmlText(title)}</title>${under}${paths}${more}</svg>`,
    theme,
  );
}

/** Scale and origin that fit bounds (mm, y up) into a box of pixels with a margin. */
export function fitInto(
  bounds: { left: number; right: number; top: number; bottom: number },
  width: number,
  height: number,
  margin: number,
): Omit<PlacedMarks, 'marks'> {
  const scale = Math.min(
    (width - 2 * margin) / Math.max(0.1, bounds.right - bounds.left),
    (height - 2 * margin) / Math.max(0.1, bounds.top - bounds.bottom),
  );
  return {
    scale,
    x: width / 2 - ((bounds.left + bounds.right) / 2) * scale,
    y: height / 2 + ((bounds.top + bounds.bottom) / 2) * scale,
  };
}
