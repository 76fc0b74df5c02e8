import type { ImagePoint } from '@/core/photo/card';
import { useRedLamp } from '@/features/shell';
import { token } from '@/ui/tokens';

/** Path through places of the screen. */
export function pathThrough(spots: readonly ImagePoint[]): string {
  return `M${spots.map(([x, y]) => [x.toFixed(1), y.toFixed(1)].join(' ')).join('L')}`;
}

export interface PictureInk {
  line: string;
  casing: string;
  region: string;
  /** What the picture itself is seen through. */
  through: object;
}

/** A balanced picture is white in every light, so what is drawn on it keeps to dark inks; under the red lamp it is dimmed to red. */
export function usePictureInk(): PictureInk {
  const red = useRedLamp();
  if (red)
    return {
      line: token('dawn'),
      casing: token('ground'),
      region: token('river'),
      through: {
        filter: 'grayscale(1) contrast(1.35) brightness(0.75) sepia(1) hue-rotate(-50deg) saturate(7) brightness(0.7)',
      },
    };
  return { line: '#AE441F', casing: '#FBFDFC', region: '#1C5C69', through: {} };
}
