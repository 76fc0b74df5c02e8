export type Point = readonly [x: number, y: number];
export type Rgb = readonly [r: number, g: number, b: number];

/** A transparent sheet in millimetres: linear RGB premultiplied by its cover. */
export interface Layer {
  left: number;
  top: number;
  width: number;
  height: number;
  /** Pixels of a millimetre. */
  scale: number;
  /** r, g, b, cover by pixel. */
  data: Float32Array;
}

export function layer(left: number, top: number, widthMm: number, heightMm: number, scale: number): Layer {
  const width = Math.ceil(widthMm * scale);
  const height = Math.ceil(heightMm * scale);
  return { left, top, width, height, scale, data: new Float32Array(width * height * 4) };
}

interface Ribbon {
  line: readonly Point[];
  /** Half width, mm, at a share of the way from the first point to the last. */
  half(u: number): number;
  colour(u: number, side: number): Rgb;
  opacity: number;
}

/** Paints a band along a line over what is there, its edge one pixel soft. */
export function paint(sheet: Layer, { line, half, colour, opacity }: Ribbon): void {
  const lengths = line.slice(1).map((to, index) => Math.hypot(to[0] - line[index]![0], to[1] - line[index]![1]));
  const total = lengths.reduce((sum, length) => sum + length, 0);
  const starts = lengths.map((_, index) => lengths.slice(0, index).reduce((sum, length) => sum + length, 0));
  const widest = Math.max(...Array.from({ length: 41 }, (_, index) => half(index / 40))) + 1 / sheet.scale;
  const xs = line.map((point) => point[0]);
  const ys = line.map((point) => point[1]);
  const x0 = Math.max(0, Math.floor((Math.min(...xs) - widest - sheet.left) * sheet.scale));
  const x1 = Math.min(sheet.width - 1, Math.ceil((Math.max(...xs) + widest - sheet.left) * sheet.scale));
  const y0 = Math.max(0, Math.floor((Math.min(...ys) - widest - sheet.top) * sheet.scale));
  const y1 = Math.min(sheet.height - 1, Math.ceil((Math.max(...ys) + widest - sheet.top) * sheet.scale));
  for (let py = y0; py <= y1; py++) {
    for (let px = x0; px <= x1; px++) {
      const x = sheet.left + (px + 0.5) / sheet.scale;
      const y = sheet.top + (py + 0.5) / sheet.scale;
      let best = Infinity;
      let along = 0;
      let side = 0;
      for (let s = 0; s < lengths.length; s++) {
        const ax = xs[s]!;
        const ay = ys[s]!;
        const long = lengths[s]!;
        const reach = widest + 1.6 * long;
        if (Math.abs(x - ax) > reach || Math.abs(y - ay) > reach) continue;
        const dx = xs[s + 1]! - ax;
        const dy = ys[s + 1]! - ay;
        const raw = ((x - ax) * dx + (y - ay) * dy) / (long * long);
        // Ends are cut square, so that a body is as long as its line; at a joint the next piece takes over.
        const over = raw < 0 ? -raw : raw > 1 ? raw - 1 : 0;
        const end = (raw < 0 && s === 0) || (raw > 1 && s === lengths.length - 1);
        if (end ? over * long > 0.5 / sheet.scale : over > 0.5) continue;
        const t = Math.min(1, Math.max(0, raw));
        const distance = Math.sqrt((x - ax - t * dx) ** 2 + (y - ay - t * dy) ** 2);
        if (distance < best) {
          best = distance;
          along = (starts[s]! + t * long) / total;
          side = Math.sign(dx * (y - ay) - dy * (x - ax)) * distance;
        }
      }
      if (best === Infinity) continue;
      const h = half(along);
      const cover = Math.min(1, Math.max(0, (h - best) * sheet.scale + 0.5)) * opacity;
      if (cover <= 0) continue;
      const [r, g, b] = colour(along, h > 0 ? side / h : 0);
      const at = (py * sheet.width + px) * 4;
      const keep = 1 - cover;
      sheet.data[at] = sheet.data[at]! * keep + r * cover;
      sheet.data[at + 1] = sheet.data[at + 1]! * keep + g * cover;
      sheet.data[at + 2] = sheet.data[at + 2]! * keep + b * cover;
      sheet.data[at + 3] = sheet.data[at + 3]! * keep + cover;
    }
  }
}
