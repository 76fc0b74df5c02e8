const RADIANS = Math.PI / 180;
const POWER = 25 ** 7;

const turned = (b: number, a: number) => {
  if (a === 0 && b === 0) return 0;
  const hue = Math.atan2(b, a) / RADIANS;
  return hue < 0 ? hue + 360 : hue;
};

/** Weight of a difference of lightness about a lightness, S_L. */
export function lightnessWeight(mean: number): number {
  const from = (mean - 50) ** 2;
  return 1 + (0.015 * from) / Math.sqrt(20 + from);
}

/**
 * CIEDE2000 between two colours in CIELAB, in plain numbers, for where millions are worked out; elsewhere `deltaE`. Its part of lightness alone, |ΔL|/S_L, is never
 * more than the whole. Source: Sharma, Wu and Dalal 2005.
 */
export function ciede2000(l1: number, a1: number, b1: number, l2: number, a2: number, b2: number): number {
  const chroma = (Math.hypot(a1, b1) + Math.hypot(a2, b2)) / 2;
  const seventh = chroma ** 7;
  const stretch = 1 + 0.5 * (1 - Math.sqrt(seventh / (seventh + POWER)));
  const [p1, p2] = [a1 * stretch, a2 * stretch];
  const [c1, c2] = [Math.hypot(p1, b1), Math.hypot(p2, b2)];
  const [h1, h2] = [turned(b1, p1), turned(b2, p2)];
  const grey = c1 * c2 === 0;
  let turn = h2 - h1;
  if (grey) turn = 0;
  else if (turn > 180) turn -= 360;
  else if (turn < -180) turn += 360;
  const dl = l2 - l1;
  const dc = c2 - c1;
  const dh = 2 * Math.sqrt(c1 * c2) * Math.sin((turn / 2) * RADIANS);
  let hue = h1 + h2;
  if (!grey) {
    if (Math.abs(h1 - h2) <= 180) hue /= 2;
    else hue = hue < 360 ? (hue + 360) / 2 : (hue - 360) / 2;
  }
  const mean = (c1 + c2) / 2;
  const t =
    1 -
    0.17 * Math.cos((hue - 30) * RADIANS) +
    0.24 * Math.cos(2 * hue * RADIANS) +
    0.32 * Math.cos((3 * hue + 6) * RADIANS) -
    0.2 * Math.cos((4 * hue - 63) * RADIANS);
  const meanSeventh = mean ** 7;
  const rotated =
    -2 * Math.sqrt(meanSeventh / (meanSeventh + POWER)) * Math.sin(60 * Math.exp(-(((hue - 275) / 25) ** 2)) * RADIANS);
  const wl = dl / lightnessWeight((l1 + l2) / 2);
  const wc = dc / (1 + 0.045 * mean);
  const wh = dh / (1 + 0.015 * mean * t);
  return Math.sqrt(wl * wl + wc * wc + wh * wh + rotated * wc * wh);
}
