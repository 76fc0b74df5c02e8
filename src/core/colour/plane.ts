import type { Lab } from './colour';

/** Below this chroma a colour has no hue to speak of. */
const GREY = 8;

/** Where a colour stands when colours are laid out by lightness and hue; a grey has no hue and stands apart. */
export function onPlane([L, a, b]: Lab): { lightness: number; hue: number | null } {
  if (Math.hypot(a, b) < GREY) return { lightness: L, hue: null };
  const hue = (Math.atan2(b, a) * 180) / Math.PI;
  return { lightness: L, hue: hue < 0 ? hue + 360 : hue };
}
