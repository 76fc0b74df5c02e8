/**
 * The best blend out of many shades against all compositions worked out one by one with the library's difference: `npm run bench:blends`. Shades are drawn at random over
 * the colours that fibres have; the same best must come out, at least twenty times as fast; 200 shades end too.
 */
import { differenceCiede2000 } from 'culori';
import {
  blendPower,
  blendReflectance,
  blendsOf,
  solveBlend,
  TWENTIETHS,
  type BlendShade,
} from '../src/core/colour/blend';
import { hexOfLab, labOfReflectance, reflectanceOf, type Lab } from '../src/core/colour/colour';

let seed = 20_331_101;
function random(): number {
  seed = (Math.imul(seed ^ (seed >>> 15), 1 | seed) + 0x6d2b79f5) | 0;
  const mixed = Math.imul(seed ^ (seed >>> 7), 61 | seed) ^ seed;
  return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
}
const shades = (count: number): BlendShade[] =>
  Array.from({ length: count }, (_, at) => ({
    id: `shade-${String(at).padStart(3, '0')}`,
    hex: hexOfLab([12 + 80 * random(), -15 + 45 * random(), -15 + 60 * random()]),
    absorbency: random(),
    transmittance: 0.2,
  }));

const difference = differenceCiede2000();
const powersOf = (known: readonly BlendShade[]) => known.map(({ hex }) => reflectanceOf(hex).map(blendPower));

/** The least difference of all compositions, each worked out in full. */
function bruteForce(known: readonly BlendShade[], target: Lab): number {
  const powers = powersOf(known);
  const wanted = { mode: 'lab65' as const, l: target[0], a: target[1], b: target[2] };
  let least = Infinity;
  const look = (parts: readonly (readonly [number, number])[]) => {
    const [l, a, b] = labOfReflectance(
      [0, 1, 2].map((channel) =>
        blendReflectance(parts.reduce((sum, [at, part]) => sum + (powers[at]![channel]! * part) / TWENTIETHS, 0)),
      ) as [number, number, number],
    );
    least = Math.min(least, difference(wanted, { mode: 'lab65', l, a, b }));
  };
  for (let i = 0; i < known.length; i++) {
    look([[i, TWENTIETHS]]);
    for (let j = i + 1; j < known.length; j++) {
      for (let a = 1; a < TWENTIETHS; a++)
        look([
          [i, a],
          [j, TWENTIETHS - a],
        ]);
      for (let k = j + 1; k < known.length; k++)
        for (let a = 1; a < TWENTIETHS - 1; a++)
          for (let b = 1; b < TWENTIETHS - a; b++)
            look([
              [i, a],
              [j, b],
              [k, TWENTIETHS - a - b],
            ]);
    }
  }
  return least;
}

const FEW = 60;
const MANY = 200;
const known = shades(FEW);
let [solved, slow, apart] = [0, 0, 0];
// A colour within reach, one at its edge, one that no fibre here comes near.
const targets: Lab[] = [
  [52, 2, 28],
  [24, 10, 8],
  [88, -4, 62],
];
for (const target of targets) {
  let from = performance.now();
  const { blends, tried } = solveBlend(known, { target, wet: false, over: null, parts: 3, top: 5 });
  solved += performance.now() - from;
  if (tried !== blendsOf(FEW, 3)) throw new Error(`${tried} of ${blendsOf(FEW, 3)} were looked at`);
  from = performance.now();
  const least = bruteForce(known, target);
  slow += performance.now() - from;
  apart = Math.max(apart, Math.abs(least - blends[0]!.deltaE));
}
const from = performance.now();
const many = solveBlend(shades(MANY), { target: targets[0]!, wet: false, over: null, parts: 3, top: 5 });
const long = performance.now() - from;
const times = slow / solved;
process.stdout.write(
  [
    `${targets.length} colours out of ${FEW} shades, ${blendsOf(FEW, 3)} compositions each: ${times.toFixed(1)} times as fast as one by one (at least 20), best blends ${apart.toExponential(1)} apart at most`,
    `${MANY} shades, ${many.tried} compositions: ${((targets.length * long) / solved).toFixed(1)} times the time of ${FEW}`,
    '',
  ].join('\n'),
);
process.exitCode = times >= 20 && apart < 1e-6 ? 0 : 1;
