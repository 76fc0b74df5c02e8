import fc from 'fast-check';
import { deltaE, hexOfLab, labOfHex } from '../../colour';
import { lengthOf } from '../body/midline';
import type { ImagePoint } from '../card';
import type { Crop } from '../field/balanced';
import { homography, project } from '../find/homography';
import {
  colourAt,
  colourOfTap,
  curveThrough,
  endShown,
  lengthByHand,
  neutralOf,
  nodesOf,
  outlineOf,
  scaleOfFour,
  scaleOfTwo,
  shareNear,
  traceOf,
  tracedColours,
  tracedLength,
  turnedRound,
  USUAL_CUTS,
  withCut,
} from './index';

/** An arc of a circle, mm. */
function arc(radius: number, angle: number, points = 60): ImagePoint[] {
  return Array.from({ length: points + 1 }, (_, index): ImagePoint => [
    30 + radius * Math.sin((angle * index) / points),
    20 + radius * (1 - Math.cos((angle * index) / points)),
  ]);
}
const FOUND = {
  midlineMm: arc(9, 1.2),
  bodyMm: lengthOf(arc(9, 1.2)) * 0.98,
  sdMm: 0.06,
  widthsMm: Array.from({ length: 21 }, (_, index) => 1.6 * Math.sin((Math.PI * (index + 1)) / 22)),
  factor: 0.98,
};

describe('a line through nodes', () => {
  test('goes through every one, and is straight through two', () => {
    const nodes: ImagePoint[] = [
      [0, 0],
      [2, 3],
      [5, 3.5],
      [9, 1],
    ];
    const curve = curveThrough(nodes);
    for (const node of nodes) expect(shareNear(curve, node).off).toBeLessThan(1e-9);
    expect(curveThrough(nodes.slice(0, 2))).toEqual(nodes.slice(0, 2));
  });
  test('seven nodes carry the length of an arc within a hundredth', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 3, max: 20, noNaN: true }),
        fc.double({ min: 0.1, max: 3, noNaN: true }),
        (radius, angle) => {
          const line = arc(radius, angle, 200);
          expect(lengthOf(curveThrough(nodesOf(line, 7))) / (radius * angle)).toBeCloseTo(1, 2);
        },
      ),
    );
  });
});

describe('a trace moved by hand', () => {
  const trace = traceOf(FOUND);
  test('unmoved it is as long as it was found', () => {
    expect(tracedLength(trace, FOUND, 40).bodyMm).toBeCloseTo(FOUND.bodyMm, 6);
    expect(trace.cuts).toEqual(USUAL_CUTS);
  });
  test('an end drawn out by a millimetre adds one, at the height of the body', () => {
    const [end, before] = [trace.nodes[4]!, trace.nodes[3]!];
    const length = Math.hypot(end[0] - before[0], end[1] - before[1]);
    const out: ImagePoint = [end[0] + (end[0] - before[0]) / length, end[1] + (end[1] - before[1]) / length];
    const moved = tracedLength({ ...trace, nodes: [...trace.nodes.slice(0, 4), out] }, FOUND, 40);
    expect(moved.bodyMm - FOUND.bodyMm).toBeCloseTo(0.98, 1);
  });
  test("its ± grows where the picture shows less, and never falls under half of the scale's", () => {
    expect(tracedLength(trace, FOUND, 10).sdMm).toBeGreaterThan(tracedLength(trace, FOUND, 40).sdMm);
    expect(tracedLength(trace, { ...FOUND, sdMm: 2 }, 1000).sdMm).toBeGreaterThan(0.99);
  });
  test('where the parts of the ± are known, the ends a hand has set leave it, and the card, the height and a soft body stay', () => {
    const error = { ends: 0.2, blur: 0.3, posture: 0.4, root: 3, card: 0.05, height: 0.04, stretch: 0 };
    const sd = (more: object) => tracedLength(trace, { ...FOUND, sdMm: 3.1, error: { ...error, ...more } }, 1000).sdMm;
    expect(sd({})).toBeCloseTo(Math.hypot(Math.SQRT2 * 0.04, 0.004 * FOUND.bodyMm, 0.05, 0.04, 0.4), 3);
    // A line that was moved has no more of the found one's doubt, from 0.15 mm on.
    const aside = (mm: number) =>
      tracedLength(
        {
          ...trace,
          nodes: trace.nodes.map(([x, y], index): ImagePoint =>
            index === 2 ? [x - mm * Math.sin(0.6), y + mm * Math.cos(0.6)] : [x, y],
          ),
        },
        { ...FOUND, error },
        1000,
      ).sdMm;
    expect([aside(0.13) > 0.4, aside(0.17) < 0.15]).toEqual([true, true]);
    for (const part of ['card', 'height', 'stretch']) expect(sd({ [part]: 0.2 })).toBeGreaterThan(0.2);
  });
  describe('an end that was shown by a tap', () => {
    const wide = 1.6;
    const far = trace.nodes[4]!;
    const at = (share: number, aside = 0): ImagePoint => {
      const angle = 1.2 * share;
      return [30 + (9 + aside) * Math.sin(angle), 20 + 9 - (9 + aside) * Math.cos(angle)];
    };
    const length = (which: 'head' | 'end', spot: ImagePoint) =>
      lengthOf(curveThrough(endShown(trace, which, spot, wide).nodes));
    test('ends the found line there, within it and beyond it', () => {
      expect(length('end', at(0.7))).toBeCloseTo(0.7 * 9 * 1.2, 1);
      expect(length('end', at(1.15))).toBeCloseTo(1.15 * 9 * 1.2, 1);
      expect(endShown(trace, 'end', at(0.7), wide).nodes[4]).toEqual(at(0.7));
      expect(endShown(trace, 'end', at(0.7), wide).nodes[0]).toEqual(trace.nodes[0]);
    });
    test('the head likewise, and the tail stays', () => {
      const moved = endShown(trace, 'head', at(0.2), wide);
      expect([moved.nodes[0], moved.nodes[4]]).toEqual([at(0.2), far]);
      expect(lengthOf(curveThrough(moved.nodes))).toBeCloseTo(0.8 * 9 * 1.2, 1);
    });
    test('well beside the line it goes straight from the other end: the line lay on something else', () => {
      const spot = at(0.8, -4);
      const { nodes } = endShown(trace, 'end', spot, wide);
      expect(lengthOf(curveThrough(nodes))).toBeCloseTo(Math.hypot(spot[0] - 30, spot[1] - 20), 6);
      expect(endShown(trace, 'end', at(0.8, -1.1), wide).nodes[2]).not.toEqual(nodes[2]);
      // Just within three quarters of the width the found line is kept, just outside it is not.
      const straightness = (aside: number) => {
        const line = curveThrough(endShown(trace, 'end', at(0.8, aside), wide).nodes);
        return (
          lengthOf(line) / Math.hypot(line[0]![0] - line[line.length - 1]![0], line[0]![1] - line[line.length - 1]![1])
        );
      };
      expect([straightness(-1.1) > 1.01, straightness(-1.3) < 1.001]).toEqual([true, true]);
    });
    test('beside the head it says that head and end were taken for one another', () => {
      const moved = endShown(trace, 'end', at(0.1), wide);
      expect([moved.nodes[0], moved.nodes[4]]).toEqual([far, at(0.1)]);
      expect(endShown(trace, 'end', at(0.45), wide).nodes[0]).toEqual(trace.nodes[0]);
      expect(endShown(trace, 'end', at(0.35), wide).nodes[0]).toEqual(far);
    });
  });
  test('turned round the other end is the head', () => {
    const other = turnedRound(trace);
    expect([other.nodes[0], other.nodes[4]]).toEqual([trace.nodes[4], trace.nodes[0]]);
    expect(turnedRound(other)).toEqual(trace);
  });
  test('the ends of its regions keep their order, however far one is pulled', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 3 }), fc.double({ min: -0.5, max: 1.5, noNaN: true })), {
          maxLength: 12,
        }),
        (pulls) => {
          const cuts = pulls.reduce((at, [index, share]) => withCut(at, index as 0 | 1 | 2 | 3, share), USUAL_CUTS);
          expect([...cuts].sort((a, b) => a - b)).toEqual([...cuts]);
          expect([cuts[0] >= 0, cuts[3] <= 1, cuts[1] - cuts[0] > 0.039, cuts[3] - cuts[2] > 0.039]).toEqual([
            true,
            true,
            true,
            true,
          ]);
        },
      ),
    );
  });
  test('an outline goes round its region as wide as the body', () => {
    const outline = outlineOf(FOUND.midlineMm, FOUND.widthsMm, 0.4, 0.6);
    const offs = outline.map((spot) => shareNear(FOUND.midlineMm, spot).off);
    expect(Math.max(...offs)).toBeCloseTo(0.8, 1);
    expect(
      outline.every((spot) => {
        const { share } = shareNear(FOUND.midlineMm, spot);
        return share > 0.38 && share < 0.62;
      }),
    ).toBe(true);
  });
});

describe('colours of a moved trace', () => {
  const [THORAX, ABDOMEN] = ['#3b352c', '#b8a857'];
  const bytes = (hex: string) => [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16));
  /** A straight body of 10 mm, dark to its third, on white. */
  const crop: Crop = (() => {
    const [width, height] = [300, 100];
    const rgba = new Uint8ClampedArray(width * height * 4);
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++) {
        const [mmX, mmY] = [(x + 0.5) / 20, (y + 0.5) / 20];
        const on = mmX > 2 && mmX < 12 && Math.abs(mmY - 2.5) < 0.8;
        rgba.set([...(on ? bytes(mmX < 5.5 ? THORAX : ABDOMEN) : [255, 255, 255]), 255], (y * width + x) * 4);
      }
    return { leftMm: 0, topMm: 0, widthMm: 15, heightMm: 5, width, height, rgba };
  })();
  const line: ImagePoint[] = [
    [2, 2.5],
    [7, 2.5],
    [12, 2.5],
  ];
  const widths = Array.from({ length: 21 }, () => 1.6);
  const trace = { nodes: line, cuts: USUAL_CUTS };
  test('are those of its regions, and follow when they are moved', () => {
    const found = tracedColours(crop, trace, widths, 'belly');
    expect(hexOfLab(found['thorax-belly']!.lab)).toBe(THORAX);
    expect(hexOfLab(found['abdomen-belly']!.lab)).toBe(ABDOMEN);
    const turned = tracedColours(crop, turnedRound(trace), widths, 'back');
    expect(hexOfLab(turned['thorax-back']!.lab)).toBe(ABDOMEN);
    const moved = tracedColours(crop, { ...trace, cuts: [0.1, 0.2, 0.21, 0.33] }, widths, 'belly');
    expect(hexOfLab(moved['abdomen-belly']!.lab)).toBe(THORAX);
  });
  test('a tap takes what lies under it, in the circle that was chosen', () => {
    expect(hexOfLab(colourAt(crop, [9, 2.5], 0.5)!.lab)).toBe(ABDOMEN);
    const over = colourAt(crop, [5.5, 2.5], 0.7)!;
    expect([hexOfLab(over.lab), hexOfLab(over.second!.lab)].sort()).toEqual([THORAX, ABDOMEN].sort());
  });
});

describe('by hand, without a card', () => {
  test('two taps on a known length carry a scale, and the slant they cannot see goes into the ±', () => {
    const scale = scaleOfTwo(
      {
        spots: [
          [100, 100],
          [500, 400],
        ],
        tapPx: 2,
      },
      25,
    )!;
    const body = lengthByHand(
      {
        spots: [
          [200, 200],
          [260, 280],
        ],
        tapPx: 2,
      },
      scale,
    )!;
    expect(body.bodyMm).toBeCloseTo(5, 6);
    expect(body.sdMm / body.bodyMm).toBeGreaterThan(0.015);
    expect(
      scaleOfTwo(
        {
          spots: [
            [10, 10],
            [12, 12],
          ],
          tapPx: 2,
        },
        25,
      ),
    ).toBeNull();
  });
  test('four taps take the slant out, whichever corner comes first', () => {
    const h = homography(
      [
        [0, 0],
        [85.6, 0],
        [85.6, 53.98],
        [0, 53.98],
      ],
      [
        [120, 90],
        [880, 140],
        [820, 640],
        [160, 560],
      ],
    )!;
    const corners = (
      [
        [0, 0],
        [85.6, 0],
        [85.6, 53.98],
        [0, 53.98],
      ] as ImagePoint[]
    ).map((spot) => project(h, spot));
    const body = (
      [
        [20, 20],
        [25, 22],
        [30, 20],
      ] as ImagePoint[]
    ).map((spot) => project(h, spot));
    const wanted = lengthOf(
      curveThrough([
        [20, 20],
        [25, 22],
        [30, 20],
      ]),
    );
    for (let turn = 0; turn < 4; turn++) {
      const spots = [...corners.slice(turn), ...corners.slice(0, turn)];
      expect(
        lengthByHand({ spots: body, tapPx: 1.5 }, scaleOfFour({ spots, tapPx: 1.5 }, 85.6, 53.98)!)!.bodyMm,
      ).toBeCloseTo(wanted, 2);
    }
    expect(scaleOfFour({ spots: corners.slice(0, 3), tapPx: 1 }, 85.6, 53.98)).toBeNull();
  });
  test('more taps follow a curve more closely than its two ends', () => {
    const line = arc(8, 2.4);
    const scale = scaleOfTwo(
      {
        spots: [
          [0, 0],
          [100, 0],
        ],
        tapPx: 0.2,
      },
      100,
    )!;
    const by = (count: number) => lengthByHand({ spots: nodesOf(line, count), tapPx: 0.2 }, scale)!.bodyMm;
    expect(by(2)).toBeLessThan(0.85 * 8 * 2.4);
    expect(by(6)).toBeCloseTo(8 * 2.4, 0);
    expect(lengthByHand({ spots: [[1, 1]], tapPx: 1 }, scale)).toBeNull();
  });
  test('a tap on white paper takes the tint of the lamp out of a colour', () => {
    const patch = (rgb: readonly number[]) => ({
      width: 6,
      height: 6,
      rgba: Uint8ClampedArray.from({ length: 144 }, (_, at) => (at % 4 === 3 ? 255 : rgb[at % 4]!)),
    });
    const light = [1, 0.7, 0.4];
    const lit = (hex: string) =>
      [1, 3, 5].map((at, channel) => {
        const v = parseInt(hex.slice(at, at + 2), 16) / 255;
        const linear = (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4) * 0.9 * light[channel]!;
        return Math.round(255 * (linear <= 0.0031308 ? 12.92 * linear : 1.055 * linear ** (1 / 2.4) - 0.055));
      });
    const neutral = neutralOf(patch(lit('#f3f3f3')), 'white');
    expect(deltaE(colourOfTap(patch(lit('#7f7238')), neutral)!.lab, labOfHex('#7f7238'))).toBeLessThan(2.5);
    expect(deltaE(colourOfTap(patch(lit('#7f7238')), null)!.lab, labOfHex('#7f7238'))).toBeGreaterThan(8);
    expect(neutralOf(patch([2, 2, 2]), 'grey')).toBeNull();
  });
});
