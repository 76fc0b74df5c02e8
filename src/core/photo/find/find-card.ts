import type { CardGeometry, CardSize, FieldCards, ImagePoint } from '../card';
import type { Grey, Photograph } from '../picture';
import { findMarks, type RoundMark } from './find-marks';
import { homography, project, type Homography } from './homography';

/** The card as it lies in a picture. */
export interface FoundCard {
  size: CardSize;
  geometry: CardGeometry;
  /** Millimetres on the card to pixels. */
  toPicture: Homography;
  /** How far the upper and lower middle marks lie from where a flat card has them, mm: curl, or a bent lens. */
  bow: { upper: ImagePoint; lower: ImagePoint };
  residualMm: number;
  marks: number;
  /** Pixels of a millimetre in the clear field, about. */
  pxPerMm: number;
  /** Width of a sharp step, px. */
  edgePx: number;
}

const SCALES = [800, 1600, 3200] as const;
/** A mark this far from its place is not the card's, mm as a share of the card's width. */
const NEAR = 0.022;

function cross(o: ImagePoint, a: ImagePoint, b: ImagePoint): number {
  return (a[0] - o[0]) * (b[1] - o[1]) - (a[1] - o[1]) * (b[0] - o[0]);
}

/** Four points in turn, clockwise as seen; null when one lies inside the others' triangle. */
function ring(points: readonly ImagePoint[]): ImagePoint[] | null {
  const middle: ImagePoint = [
    points.reduce((sum, p) => sum + p[0], 0) / 4,
    points.reduce((sum, p) => sum + p[1], 0) / 4,
  ];
  const sorted = [...points].sort(
    (a, b) => Math.atan2(a[1] - middle[1], a[0] - middle[0]) - Math.atan2(b[1] - middle[1], b[0] - middle[0]),
  );
  for (let index = 0; index < 4; index++)
    if (cross(sorted[index]!, sorted[(index + 1) % 4]!, sorted[(index + 2) % 4]!) <= 0) return null;
  return sorted;
}

interface Fit {
  size: CardSize;
  toPicture: Homography;
  pairs: { model: ImagePoint; mark: RoundMark; index: number }[];
  offMm: number;
}

/** Mean brightness over a patch, roughly linear. */
function patchLight(
  { width, height, factor, values }: Grey,
  h: Homography,
  rect: readonly [number, number, number, number],
): number {
  let sum = 0;
  let count = 0;
  for (let i = 1; i < 6; i++) {
    for (let j = 1; j < 6; j++) {
      const [x, y] = project(h, [rect[0] + (rect[2] * i) / 6, rect[1] + (rect[3] * j) / 6]);
      const [px, py] = [Math.floor(x / factor), Math.floor(y / factor)];
      if (px < 0 || py < 0 || px >= width || py >= height) continue;
      sum += values[py * width + px]! ** 2.2;
      count++;
    }
  }
  return count === 0 ? NaN : sum / count;
}

/** Whether the patches run from white to black the right way up, in one column or in both. */
function patchesAgree(grey: Grey, card: CardGeometry, h: Homography, both: boolean): boolean {
  const columns = [card.patches.slice(0, 4), card.patches.slice(4)];
  const agrees = (column: CardGeometry['patches']) => {
    const light = column.map((patch) => patchLight(grey, h, patch.rect_mm));
    return light.every((value, index) => Number.isFinite(value) && (index === 0 || value < light[index - 1]! * 0.92));
  };
  return both ? columns.every(agrees) : columns.some(agrees);
}

/** Marks matched to the card's own places under a homography of four of them. */
function matchUp(marks: readonly RoundMark[], card: CardGeometry, h: Homography): Fit['pairs'] {
  const pairs: Fit['pairs'] = [];
  const across = Math.hypot(
    project(h, card.marks_mm[0]!)[0] - project(h, card.marks_mm[2]!)[0],
    project(h, card.marks_mm[0]!)[1] - project(h, card.marks_mm[2]!)[1],
  );
  card.marks_mm.forEach((model, index) => {
    const [x, y] = project(h, model);
    let best: RoundMark | null = null;
    let least = NEAR * across;
    for (const mark of marks) {
      const off = Math.hypot(mark.at[0] - x, mark.at[1] - y);
      if (off < least) [best, least] = [mark, off];
    }
    if (best) pairs.push({ model, mark: best, index });
  });
  return pairs;
}

const CORNERS: readonly number[] = [0, 2, 5, 3];
/** What is said of the residual where no fifth mark tells it, mm. */
const UNCHECKED_MM = 0.12;
/** Four marks of the model that do not lie three in a line, the corners first. */
const QUADS: readonly (readonly number[])[] = [
  CORNERS,
  [0, 1, 5, 3],
  [1, 2, 5, 3],
  [0, 2, 5, 4],
  [0, 2, 4, 3],
  [0, 1, 4, 3],
  [0, 1, 5, 4],
  [1, 2, 4, 3],
  [1, 2, 5, 4],
];

function bestFit(grey: Grey, marks: readonly RoundMark[], cards: FieldCards): Fit | null {
  let best = null as Fit | null;
  const n = marks.length;
  for (const quad of QUADS) {
    for (let a = 0; a < n; a++)
      for (let b = a + 1; b < n; b++)
        for (let c = b + 1; c < n; c++)
          for (let d = c + 1; d < n; d++) {
            const turned = ring([marks[a]!.at, marks[b]!.at, marks[c]!.at, marks[d]!.at]);
            if (!turned) continue;
            for (let start = 0; start < 4; start++) {
              const points = [0, 1, 2, 3].map((index) => turned[(start + index) % 4]!);
              for (const size of Object.keys(cards.cards) as CardSize[]) {
                const card = cards.cards[size];
                const h = homography(
                  quad.map((index) => card.marks_mm[index]!),
                  points,
                );
                if (!h) continue;
                const pairs = matchUp(marks, card, h);
                // Four corners are enough only where all else agrees.
                if (
                  pairs.length < 4 ||
                  (pairs.length === 4 && quad !== CORNERS) ||
                  (best && pairs.length < best.pairs.length)
                )
                  continue;
                const fine = homography(
                  pairs.map((pair) => pair.model),
                  pairs.map((pair) => pair.mark.at),
                );
                if (!fine || !lookedAt(fine, card) || !patchesAgree(grey, card, fine, pairs.length === 4)) continue;
                const scale = pxPerMmAt(fine, card.size_mm[0] / 2, card.size_mm[1] / 2);
                const offMm =
                  Math.sqrt(
                    pairs.reduce(
                      (sum, { model, mark }) =>
                        sum +
                        Math.hypot(project(fine, model)[0] - mark.at[0], project(fine, model)[1] - mark.at[1]) ** 2,
                      0,
                    ) / pairs.length,
                  ) / scale;
                if (!best || pairs.length > best.pairs.length || offMm < best.offMm)
                  best = { size, toPicture: fine, pairs, offMm };
              }
            }
          }
    if (best && best.pairs.length === 6) return best;
  }
  return best;
}

/** One millimetre along either side of the card at a spot of it, px. */
function millimetresAt(h: Homography, x: number, y: number): [ImagePoint, ImagePoint] {
  const [at, right, down] = [project(h, [x, y]), project(h, [x + 1, y]), project(h, [x, y + 1])];
  return [
    [right[0] - at[0], right[1] - at[1]],
    [down[0] - at[0], down[1] - at[1]],
  ];
}

/** A card is never seen as slanted as this: its sides at least so square to each other (cosine), neither much shorter than the other. */
const MOST_SKEW = 0.47;
const MOST_SQUEEZE = 1.7;

/** Whether a card could be seen so from above: other marks taken for its own shear it. */
export function lookedAt(h: Homography, { size_mm }: Pick<CardGeometry, 'size_mm'>): boolean {
  const [[ax, ay], [bx, by]] = millimetresAt(h, size_mm[0] / 2, size_mm[1] / 2);
  const [across, along] = [Math.hypot(ax, ay), Math.hypot(bx, by)];
  return (
    Math.abs(ax * bx + ay * by) < MOST_SKEW * across * along && Math.max(across / along, along / across) < MOST_SQUEEZE
  );
}

/** Pixels of a millimetre about a spot of the card: the geometric mean over both directions. */
export function pxPerMmAt(h: Homography, x: number, y: number): number {
  const [[ax, ay], [bx, by]] = millimetresAt(h, x, y);
  return Math.sqrt(Math.abs(ax * by - ay * bx));
}

/** The middle of a ring's ink in perspective is not the image of its middle: how far it lies off, px. */
function inkOffset(h: Homography, at: ImagePoint, radius: number): ImagePoint {
  let [weight, sx, sy] = [0, 0, 0];
  const steps = 24;
  for (const [outer, inner] of [
    [1, 0.66],
    [0.375, 0],
  ] as const) {
    for (let i = 0; i < 4; i++) {
      const r = radius * Math.sqrt(inner ** 2 + ((outer ** 2 - inner ** 2) * (i + 0.5)) / 4);
      for (let j = 0; j < steps; j++) {
        const angle = (2 * Math.PI * j) / steps;
        const spot: ImagePoint = [at[0] + r * Math.cos(angle), at[1] + r * Math.sin(angle)];
        const area = (outer ** 2 - inner ** 2) * pxPerMmAt(h, spot[0], spot[1]) ** 2;
        const [x, y] = project(h, spot);
        weight += area;
        sx += area * x;
        sy += area * y;
      }
    }
  }
  const [x, y] = project(h, at);
  return [sx / weight - x, sy / weight - y];
}

/** Finds the field card in a photograph; null when less shows than five of its marks and one column of patches, or its four corners and both. */
export function findCard(photo: Photograph, cards: FieldCards): FoundCard | null {
  for (const longest of SCALES) {
    const grey = photo.grey(longest);
    const marks = findMarks(photo, grey);
    const fit = marks.length >= 4 ? bestFit(grey, marks, cards) : null;
    if (fit) return settle(fit, cards);
    if (longest >= Math.max(photo.width, photo.height)) break;
  }
  return null;
}

function settle({ size, toPicture: first, pairs }: Fit, cards: FieldCards): FoundCard {
  const geometry = cards.cards[size];
  let toPicture = first;
  const corners = pairs.filter(({ index }) => CORNERS.includes(index));
  // With all four corners they carry the plane and the middle marks tell how far it is bowed.
  const carry = corners.length === 4 ? corners : pairs;
  for (let pass = 0; pass < 2; pass++) {
    const spots = carry.map(({ model, mark }): ImagePoint => {
      const [dx, dy] = inkOffset(toPicture, model, geometry.mark_radius_mm);
      return [mark.at[0] - dx, mark.at[1] - dy];
    });
    toPicture =
      homography(
        carry.map(({ model }) => model),
        spots,
      ) ?? toPicture;
  }
  const scaleAt = (spot: ImagePoint) => pxPerMmAt(toPicture, spot[0], spot[1]);
  const offOf = (index: number): ImagePoint => {
    const pair = pairs.find((item) => item.index === index);
    if (!pair) return [0, 0];
    const [x, y] = project(toPicture, pair.model);
    const [ox, oy] = inkOffset(toPicture, pair.model, geometry.mark_radius_mm);
    const [dx, dy] = [pair.mark.at[0] - ox - x, pair.mark.at[1] - oy - y];
    // Pixels back to millimetres by the local directions of the card.
    const [ex, ey] = [
      project(toPicture, [pair.model[0] + 1, pair.model[1]]),
      project(toPicture, [pair.model[0], pair.model[1] + 1]),
    ];
    const [ax, ay, bx, by] = [ex[0] - x, ex[1] - y, ey[0] - x, ey[1] - y];
    const det = ax * by - ay * bx;
    return [(dx * by - dy * bx) / det, (ax * dy - ay * dx) / det];
  };
  const bow =
    carry === pairs
      ? { upper: [0, 0] as ImagePoint, lower: [0, 0] as ImagePoint }
      : { upper: offOf(1), lower: offOf(4) };
  const offs = pairs.map(({ model, mark }) => {
    const [x, y] = project(toPicture, model);
    const [dx, dy] = inkOffset(toPicture, model, geometry.mark_radius_mm);
    return Math.hypot(mark.at[0] - dx - x, mark.at[1] - dy - y) / scaleAt(model);
  });
  const [fx, fy, fw, fh] = geometry.field_mm;
  return {
    size,
    geometry,
    toPicture,
    bow,
    residualMm:
      pairs.length === 4 ? UNCHECKED_MM : Math.sqrt(offs.reduce((sum, off) => sum + off ** 2, 0) / offs.length),
    marks: pairs.length,
    pxPerMm: scaleAt([fx + fw / 2, fy + fh / 2]),
    edgePx: pairs.reduce((sum, { mark }) => sum + mark.edgePx, 0) / pairs.length,
  };
}
