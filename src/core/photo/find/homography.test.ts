import fc from 'fast-check';
import { cameraOver } from './camera';
import { homography, inverse, project, type Homography } from './homography';
import { pxPerMmAt } from './find-card';
import type { ImagePoint } from '../card';

const SLANTED: Homography = [12, 1.5, 300, -0.8, 11, 200, 0.0012, -0.0007, 1];
const CORNERS: ImagePoint[] = [
  [5, 5],
  [80.6, 5],
  [80.6, 48.98],
  [5, 48.98],
];

/** A pinhole camera over the card: focal length in px, tilt about x in radians, height in mm. */
function pinhole(focal: number, tilt: number, height: number, width: number, tall: number): Homography {
  const [c, s] = [Math.cos(tilt), Math.sin(tilt)];
  // Card (x, y, 0) about its middle, turned about x, then moved away along the view.
  const rows = [
    [1, 0, -42.8],
    [0, c, -27 * c],
    [0, s, height - 27 * s],
  ];
  const k = [
    [focal, 0, width / 2],
    [0, focal, tall / 2],
    [0, 0, 1],
  ];
  return k.flatMap((row) =>
    [0, 1, 2].map((column) => row.reduce((sum, value, index) => sum + value * rows[index]![column]!, 0)),
  );
}

describe('a plane in perspective', () => {
  test('four corners give it back', () => {
    const h = homography(
      CORNERS,
      CORNERS.map((corner) => project(SLANTED, corner)),
    )!;
    for (const spot of [
      [42.8, 27],
      [13, 44],
      [70, 12],
    ] as ImagePoint[]) {
      const [want, got] = [project(SLANTED, spot), project(h, spot)];
      expect(got[0]).toBeCloseTo(want[0], 6);
      expect(got[1]).toBeCloseTo(want[1], 6);
    }
  });
  test('more points than four share their error', () => {
    const spots: ImagePoint[] = [...CORNERS, [42.8, 5], [42.8, 48.98]];
    const pushed = spots.map((spot, index): ImagePoint => {
      const [x, y] = project(SLANTED, spot);
      return index === 4 ? [x + 2, y] : [x, y];
    });
    const h = homography(spots, pushed)!;
    const offs = spots.map((spot, index) =>
      Math.hypot(project(h, spot)[0] - pushed[index]![0], project(h, spot)[1] - pushed[index]![1]),
    );
    expect(Math.max(...offs)).toBeLessThan(2);
    expect(Math.min(...offs)).toBeGreaterThan(0);
  });
  test('points in one line carry nothing', () =>
    expect(
      homography(
        [
          [0, 0],
          [1, 0],
          [2, 0],
          [3, 0],
        ],
        [
          [0, 0],
          [1, 0],
          [2, 0],
          [3, 0],
        ],
      ),
    ).toBeNull());
  test('there and back is where one was', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 85, noNaN: true }), fc.double({ min: 0, max: 54, noNaN: true }), (x, y) => {
        const [bx, by] = project(inverse(SLANTED), project(SLANTED, [x, y]));
        expect(Math.hypot(bx - x, by - y)).toBeLessThan(1e-6);
      }),
    );
  });
  test('pixels of a millimetre follow the plane', () => {
    expect(pxPerMmAt([10, 0, 5, 0, 10, 7, 0, 0, 1], 20, 20)).toBeCloseTo(10, 6);
    expect(pxPerMmAt(SLANTED, 5, 5)).not.toBeCloseTo(pxPerMmAt(SLANTED, 80, 45), 1);
  });
});

describe('the camera over the card', () => {
  test('its height is right where the lens is the usual one', () => {
    const { above, tiltDeg } = cameraOver(pinhole(1540, 0, 180, 2000, 1500), 2000, 1500);
    expect(above[2]).toBeCloseTo(180, 0);
    expect([above[0], above[1]]).toEqual([expect.closeTo(42.8, 1), expect.closeTo(27, 1)]);
    expect(tiltDeg).toBeLessThan(0.5);
  });
  test('a tilted card tells the lens by its own perspective', () => {
    const tilted = cameraOver(pinhole(2400, 0.55, 260, 2000, 1500), 2000, 1500);
    expect(Math.abs(tilted.tiltDeg - (0.55 * 180) / Math.PI)).toBeLessThan(2);
    expect(Math.abs(tilted.above[2] - 260 * Math.cos(0.55)) / (260 * Math.cos(0.55))).toBeLessThan(0.12);
  });
  test('from straight above the lens is not known, and the ± says so', () => {
    const [above, slanted] = [
      cameraOver(pinhole(1540, 0.02, 180, 2000, 1500), 2000, 1500),
      cameraOver(pinhole(1540, 0.6, 180, 2000, 1500), 2000, 1500),
    ];
    expect(above.sdShare).toBeGreaterThan(slanted.sdShare);
    expect(above.sdShare).toBeLessThanOrEqual(0.21);
  });
});
