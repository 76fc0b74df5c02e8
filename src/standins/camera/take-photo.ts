import type { CardSize, FieldCards } from '@/core/photo/card';
import { chance, type Chance } from './chance';
import { drawFly, type FlyPlan, type FlyTruth } from './fly';
import { drawInsect, linear, type InsectPlan, type InsectTruth } from './insect';
import type { Layer, Point, Rgb } from './layer';

/** A photograph as a camera file holds it: sRGB, four bytes a pixel. */
export interface Photo {
  width: number;
  height: number;
  rgba: Uint8ClampedArray;
}

export interface Scene {
  seed: number;
  card: CardSize | null;
  insects: readonly InsectPlan[];
  /** Tied flies that lie on the card beside them. */
  flies?: readonly FlyPlan[];
  width: number;
  height: number;
  /** Degrees away from straight above, and the way it leans. */
  tilt: number;
  lean: number;
  rotation: number;
  /** Share of the picture's width that the card takes, about. */
  fill: number;
  kelvin: number;
  /** Brightest over darkest across the card. */
  uneven: number;
  exposure: number;
  blurPx: number;
  /** SD of the noise, of 255. */
  noise: number;
  /** Share of light that the insect's shadow takes, and how far it falls, mm. */
  shadow: { strength: number; across: number; soft: number };
  /** A shadow's edge over the whole card; null for none. */
  shade: { strength: number; angle: number; at: number; soft: number } | null;
  background: string;
}

export interface Taken {
  photo: Photo;
  truths: InsectTruth[];
  flyTruths: FlyTruth[];
  /** Where the card's corners are in the picture, px, clockwise from the upper left. */
  corners: Point[];
}

const CARD_SCALE = 40;
const INSECT_SCALE = 44;

/** White of a black body, by the fit of Kang and others (2002), as gains of linear sRGB with the largest 1. */
function lightOf(kelvin: number): Rgb {
  const t = 1000 / kelvin;
  const x =
    kelvin < 4000
      ? -0.2661239 * t ** 3 - 0.234358 * t ** 2 + 0.8776956 * t + 0.17991
      : -3.0258469 * t ** 3 + 2.1070379 * t ** 2 + 0.2226347 * t + 0.24039;
  const y =
    kelvin < 2222
      ? -1.1063814 * x ** 3 - 1.3481102 * x ** 2 + 2.18555832 * x - 0.20219683
      : kelvin < 4000
        ? -0.9549476 * x ** 3 - 1.37418593 * x ** 2 + 2.09137015 * x - 0.16748867
        : 3.081758 * x ** 3 - 5.8733867 * x ** 2 + 3.75112997 * x - 0.37001483;
  const [X, Z] = [x / y, (1 - x - y) / y];
  const rgb = [3.2406 * X - 1.5372 - 0.4986 * Z, -0.9689 * X + 1.8758 + 0.0415 * Z, 0.0557 * X - 0.204 + 1.057 * Z].map(
    (value) => Math.max(0.08, value),
  );
  const most = Math.max(...rgb);
  return [rgb[0]! / most, rgb[1]! / most, rgb[2]! / most];
}

/** The card's grey from above, 0–1 linear, at `CARD_SCALE` pixels of a millimetre. */
function cardTexture(cards: FieldCards, size: CardSize): { width: number; height: number; grey: Float32Array } {
  const card = cards.cards[size];
  const width = Math.round(card.size_mm[0] * CARD_SCALE);
  const height = Math.round(card.size_mm[1] * CARD_SCALE);
  const ink = (name: keyof FieldCards['inks']) => linear(cards.inks[name])[0];
  const grey = new Float32Array(width * height).fill(ink('white'));
  const rect = (x: number, y: number, w: number, h: number, value: number) => {
    for (
      let py = Math.max(0, Math.floor(y * CARD_SCALE));
      py < Math.min(height, Math.ceil((y + h) * CARD_SCALE));
      py++
    ) {
      for (
        let px = Math.max(0, Math.floor(x * CARD_SCALE));
        px < Math.min(width, Math.ceil((x + w) * CARD_SCALE));
        px++
      ) {
        const over = (low: number, high: number, at: number) =>
          Math.min(1, Math.max(0, Math.min(high * CARD_SCALE, at + 1) - Math.max(low * CARD_SCALE, at)));
        const cover = over(x, x + w, px) * over(y, y + h, py);
        const index = py * width + px;
        grey[index] = grey[index]! * (1 - cover) + value * cover;
      }
    }
  };
  const disc = (cx: number, cy: number, radius: number, value: number) => {
    for (let py = Math.floor((cy - radius) * CARD_SCALE) - 1; py <= (cy + radius) * CARD_SCALE + 1; py++) {
      for (let px = Math.floor((cx - radius) * CARD_SCALE) - 1; px <= (cx + radius) * CARD_SCALE + 1; px++) {
        if (px < 0 || py < 0 || px >= width || py >= height) continue;
        const cover = Math.min(
          1,
          Math.max(0, radius * CARD_SCALE - Math.hypot(px + 0.5 - cx * CARD_SCALE, py + 0.5 - cy * CARD_SCALE) + 0.5),
        );
        const index = py * width + px;
        grey[index] = grey[index]! * (1 - cover) + value * cover;
      }
    }
  };
  const [fx, fy, fw, fh] = card.field_mm;
  const frame = cards.frame_mm;
  for (const [x, y, w, h] of [
    [fx - frame / 2, fy - frame / 2, fw + frame, frame],
    [fx - frame / 2, fy + fh - frame / 2, fw + frame, frame],
    [fx - frame / 2, fy, frame, fh],
    [fx + fw - frame / 2, fy, frame, fh],
  ] as const)
    rect(x, y, w, h, ink('dark'));
  for (const patch of card.patches) rect(...patch.rect_mm, ink(patch.ink));
  for (const [x, y] of card.marks_mm) {
    disc(x, y, card.mark_radius_mm * cards.mark.ring[0], ink('black'));
    disc(x, y, card.mark_radius_mm * cards.mark.ring[1], ink('white'));
    disc(x, y, card.mark_radius_mm * cards.mark.dot, ink('black'));
  }
  for (let mm = 0; mm <= card.rule.length_mm; mm++)
    rect(
      card.rule.from_mm[0] + mm - cards.tick_mm / 2,
      card.rule.from_mm[1],
      cards.tick_mm,
      mm % 10 === 0 ? 1.3 : mm % 5 === 0 ? 1.1 : 0.8,
      ink('black'),
    );
  rect(
    card.check.from_mm[0],
    card.check.from_mm[1] - cards.tick_mm / 2,
    card.check.length_mm,
    cards.tick_mm,
    ink('black'),
  );
  return { width, height, grey };
}

const textures = new Map<CardSize, ReturnType<typeof cardTexture>>();

/** Cover of an insect's sheet, blurred, as its shadow. */
function shadowOf(sheet: Layer, softMm: number): Float32Array {
  const cover = new Float32Array(sheet.width * sheet.height);
  for (let index = 0; index < cover.length; index++) cover[index] = sheet.data[index * 4 + 3]!;
  const radius = Math.max(1, Math.round(softMm * sheet.scale));
  return box(box(cover, sheet.width, sheet.height, radius), sheet.width, sheet.height, radius);
}

/** Mean over a square, by running sums. */
function box(values: Float32Array, width: number, height: number, radius: number): Float32Array {
  const across = new Float32Array(values.length);
  const out = new Float32Array(values.length);
  const size = 2 * radius + 1;
  for (let y = 0; y < height; y++) {
    let sum = 0;
    for (let x = -radius; x < width; x++) {
      if (x + radius < width) sum += values[y * width + x + radius]!;
      if (x - radius - 1 >= 0) sum -= values[y * width + x - radius - 1]!;
      if (x >= 0) across[y * width + x] = sum / size;
    }
  }
  for (let x = 0; x < width; x++) {
    let sum = 0;
    for (let y = -radius; y < height; y++) {
      if (y + radius < height) sum += across[(y + radius) * width + x]!;
      if (y - radius - 1 >= 0) sum -= across[(y - radius - 1) * width + x]!;
      if (y >= 0) out[y * width + x] = sum / size;
    }
  }
  return out;
}

function gaussian(values: Float32Array, width: number, height: number, sigma: number): Float32Array {
  if (sigma < 0.3) return values;
  const radius = Math.ceil(2.6 * sigma);
  const kernel = Array.from({ length: 2 * radius + 1 }, (_, index) => Math.exp(-0.5 * ((index - radius) / sigma) ** 2));
  const sum = kernel.reduce((total, value) => total + value, 0);
  const weights = Float32Array.from(kernel, (value) => value / sum);
  const out = new Float32Array(values.length);
  const row = new Float32Array(width + 2 * radius);
  for (let y = 0; y < height; y++) {
    // Down the columns into one padded row, then along it.
    row.fill(0);
    for (let k = -radius; k <= radius; k++) {
      const from = Math.min(height - 1, Math.max(0, y + k)) * width;
      const weight = weights[k + radius]!;
      for (let x = 0; x < width; x++) row[x + radius] = row[x + radius]! + weight * values[from + x]!;
    }
    row.fill(row[radius]!, 0, radius);
    row.fill(row[width + radius - 1]!, width + radius);
    const to = y * width;
    for (let x = 0; x < width; x++) {
      let total = 0;
      for (let k = 0; k <= 2 * radius; k++) total += weights[k]! * row[x + k]!;
      out[to + x] = total;
    }
  }
  return out;
}

const GRAINS = 1 << 16;
const ENCODED = Float32Array.from({ length: 4097 }, (_, index) => encode(index / 4096));

function encode(value: number): number {
  const v = Math.min(1, Math.max(0, value));
  return 255 * (v <= 0.0031308 ? 12.92 * v : 1.055 * v ** (1 / 2.4) - 0.055);
}

/** Takes a simulated photograph of insects on a card; the same scene gives the same picture. For demo, tests and benchmarks only. */
export function takePhoto(scene: Scene, cards: FieldCards): Taken {
  const dice = chance(scene.seed);
  const { width, height } = scene;
  const size = scene.card ?? 'wallet';
  const card = cards.cards[size];
  const texture = textures.get(size) ?? cardTexture(cards, size);
  textures.set(size, texture);
  const focal = 0.78 * width;
  const distance = (focal * card.size_mm[0]) / (scene.fill * width);
  const camera = turning(scene);
  const middle: Point = [card.size_mm[0] / 2, card.size_mm[1] / 2];
  // Camera centre in card coordinates: card z points at the camera.
  const eye = camera.toCard([0, 0, -distance]);
  const insects = scene.insects.map((plan) =>
    drawInsect(plan, dice, Math.min(INSECT_SCALE, 1700 / (3 * plan.bodyMm + 8))),
  );
  const flies = (scene.flies ?? []).map((plan) => drawFly(plan, dice, INSECT_SCALE));
  const drawn = [...insects, ...flies];
  const shadows = drawn.map(({ sheet }) => shadowOf(sheet, Math.max(0.05, scene.shadow.soft)));
  const light = lightOf(scene.kelvin);
  const ground = linear(scene.background);
  const [r, g, b] = [
    new Float32Array(width * height),
    new Float32Array(width * height),
    new Float32Array(width * height),
  ];
  const gradient = Math.log(scene.uneven) / Math.hypot(card.size_mm[0], card.size_mm[1]);
  const towards = dice.between(0, 2 * Math.PI);
  const over = new Float32Array(4);
  const [c0, c1, c2] = [
    camera.toCard([1 / focal, 0, 0]),
    camera.toCard([0, 1 / focal, 0]),
    camera.toCard([(0.5 - width / 2) / focal, (0.5 - height / 2) / focal, 1]),
  ];
  const [eyeX, eyeY, eyeZ] = [middle[0] + eye[0], middle[1] + eye[1], eye[2]];
  const [cardW, cardH] = card.size_mm;
  const fall = scene.shadow.across;
  const [cosTo, sinTo, far] = [Math.cos(towards), Math.sin(towards), Math.hypot(...middle)];
  for (let py = 0; py < height; py++) {
    for (let px = 0; px < width; px++) {
      const rayX = c2[0] + c0[0] * px + c1[0] * py;
      const rayY = c2[1] + c0[1] * px + c1[1] * py;
      const rayZ = c2[2] + c0[2] * px + c1[2] * py;
      const t = -eyeZ / rayZ;
      const x = eyeX + t * rayX;
      const y = eyeY + t * rayY;
      let red: number;
      let green: number;
      let blue: number;
      if (scene.card !== null && x >= 0 && y >= 0 && x < cardW && y < cardH)
        red = green = blue = sampleGrey(texture, x, y);
      else {
        const grain = 0.9 + 0.2 * Math.abs(Math.sin(x * 1.7 + Math.sin(y * 0.6) * 2));
        red = ground[0] * grain;
        green = ground[1] * grain;
        blue = ground[2] * grain;
      }
      for (let index = 0; index < drawn.length; index++) {
        const { sheet, truth } = drawn[index]!;
        const shade = sampleOne(shadows[index]!, sheet, x - fall, y - fall * 0.6);
        if (shade > 0) {
          const keep = 1 - scene.shadow.strength * shade;
          red *= keep;
          green *= keep;
          blue *= keep;
        }
        const raised = (truth.midHeightMm - eyeZ) / rayZ;
        if (!sample(sheet, eyeX + raised * rayX, eyeY + raised * rayY, over)) continue;
        red = red * (1 - over[3]!) + over[0]!;
        green = green * (1 - over[3]!) + over[1]!;
        blue = blue * (1 - over[3]!) + over[2]!;
      }
      let lit = scene.exposure * Math.exp(-gradient * ((x - middle[0]) * cosTo + (y - middle[1]) * sinTo + far));
      if (scene.shade) {
        const along =
          (x - middle[0]) * Math.cos(scene.shade.angle) +
          (y - middle[1]) * Math.sin(scene.shade.angle) -
          scene.shade.at;
        lit *= 1 - scene.shade.strength / (1 + Math.exp(-along / Math.max(0.2, scene.shade.soft)));
      }
      const at = py * width + px;
      r[at] = red * lit * light[0];
      g[at] = green * lit * light[1];
      b[at] = blue * lit * light[2];
    }
  }
  const planes = [r, g, b].map((plane) => gaussian(plane, width, height, scene.blurPx));
  const rgba = new Uint8ClampedArray(width * height * 4);
  const grains = Float32Array.from({ length: GRAINS }, () => scene.noise * quickNormal(dice));
  let grain = 0;
  for (let at = 0; at < width * height; at++) {
    // A table read from a new place in every row: long enough that its repetition is not seen.
    if (at % width === 0) grain = (dice.next() * GRAINS) | 0;
    for (let channel = 0; channel < 3; channel++)
      rgba[at * 4 + channel] =
        ENCODED[(Math.min(1, planes[channel]![at]!) * 4096) | 0]! + grains[grain++ & (GRAINS - 1)]!;
    rgba[at * 4 + 3] = 255;
  }
  const corner = (x: number, y: number): Point => {
    const [cx, cy, cz] = camera.toCamera([x - middle[0] - eye[0], y - middle[1] - eye[1], -eye[2]]);
    return [width / 2 + (focal * cx) / cz, height / 2 + (focal * cy) / cz];
  };
  const [w, h] = card.size_mm;
  return {
    photo: { width, height, rgba },
    truths: insects.map(({ truth }) => truth),
    flyTruths: flies.map(({ truth }) => truth),
    corners: [corner(0, 0), corner(w, 0), corner(w, h), corner(0, h)],
  };
}

/** Three throws of a die stand for a normal: mean 0, SD 1. */
function quickNormal(dice: Chance): number {
  return (dice.next() + dice.next() + dice.next() - 1.5) * 2;
}

type Vector = readonly [number, number, number];

/** Turns between the camera (z ahead, y down) and the card (z toward the camera when it looks straight down). */
function turning({ tilt, lean, rotation }: Scene): { toCard(v: Vector): Vector; toCamera(v: Vector): Vector } {
  const t = (tilt * Math.PI) / 180;
  const [cl, sl, ct, st, cr, sr] = [
    Math.cos(lean),
    Math.sin(lean),
    Math.cos(t),
    Math.sin(t),
    Math.cos(rotation),
    Math.sin(rotation),
  ];
  // Tilt about an axis in the picture that stands at `lean`, then rotation about the view.
  const axis: Vector = [cl, sl, 0];
  const lean3 = (v: Vector): Vector => {
    const dot = axis[0] * v[0] + axis[1] * v[1];
    return [
      v[0] * ct + axis[1] * v[2] * st + axis[0] * dot * (1 - ct),
      v[1] * ct - axis[0] * v[2] * st + axis[1] * dot * (1 - ct),
      v[2] * ct + (axis[0] * v[1] - axis[1] * v[0]) * st,
    ];
  };
  // The columns of the turn, from what it does to the axes: card = turn * camera, and back by its transpose.
  const columns = (
    [
      [1, 0, 0],
      [0, 1, 0],
      [0, 0, 1],
    ] as Vector[]
  ).map((unit): Vector => {
    const [x, y, z] = lean3(unit);
    return [x * cr + y * sr, -x * sr + y * cr, -z];
  });
  const [a, b, c] = columns as [Vector, Vector, Vector];
  return {
    toCard: (v) => [
      a[0] * v[0] + b[0] * v[1] + c[0] * v[2],
      a[1] * v[0] + b[1] * v[1] + c[1] * v[2],
      a[2] * v[0] + b[2] * v[1] + c[2] * v[2],
    ],
    toCamera: (v) => [
      a[0] * v[0] + a[1] * v[1] + a[2] * v[2],
      b[0] * v[0] + b[1] * v[1] + b[2] * v[2],
      c[0] * v[0] + c[1] * v[1] + c[2] * v[2],
    ],
  };
}

function sampleGrey(
  { width, height, grey }: { width: number; height: number; grey: Float32Array },
  x: number,
  y: number,
): number {
  const fx = Math.min(width - 1.001, Math.max(0, x * CARD_SCALE - 0.5));
  const fy = Math.min(height - 1.001, Math.max(0, y * CARD_SCALE - 0.5));
  const [ix, iy] = [Math.floor(fx), Math.floor(fy)];
  const [u, v] = [fx - ix, fy - iy];
  const at = iy * width + ix;
  return (
    (grey[at]! * (1 - u) + grey[at + 1]! * u) * (1 - v) + (grey[at + width]! * (1 - u) + grey[at + width + 1]! * u) * v
  );
}

/** Weights of the four cells about a place of a sheet; -1 where it lies outside. */
let [shareX, shareY] = [0, 0];
function cellOf(sheet: Layer, x: number, y: number): number {
  const fx = (x - sheet.left) * sheet.scale - 0.5;
  const fy = (y - sheet.top) * sheet.scale - 0.5;
  if (fx < 0 || fy < 0 || fx >= sheet.width - 1 || fy >= sheet.height - 1) return -1;
  shareX = fx - (fx | 0);
  shareY = fy - (fy | 0);
  return (fy | 0) * sheet.width + (fx | 0);
}

function between(values: Float32Array, stride: number, row: number, at: number): number {
  return (
    (values[at]! * (1 - shareX) + values[at + stride]! * shareX) * (1 - shareY) +
    (values[at + row]! * (1 - shareX) + values[at + row + stride]! * shareX) * shareY
  );
}

function sampleOne(values: Float32Array, sheet: Layer, x: number, y: number): number {
  const at = cellOf(sheet, x, y);
  return at < 0 ? 0 : between(values, 1, sheet.width, at);
}

/** Red, green, blue and cover of a sheet at a place, into `out`; false where nothing covers it. */
function sample(sheet: Layer, x: number, y: number, out: Float32Array): boolean {
  const at = cellOf(sheet, x, y);
  if (at < 0) return false;
  for (let channel = 0; channel < 4; channel++)
    out[channel] = between(sheet.data, 4, sheet.width * 4, at * 4 + channel);
  return out[3]! > 0;
}
