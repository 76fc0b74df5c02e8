import fc from 'fast-check';
import { DRESSINGS, MATERIALS } from '@/catalogue';
import { cardOn14 } from '../../../tools/test-catalogue';
import { afloat, bearingOf, type Afloat } from './float';
import { bankChanges, depthAfter, depthOverDrift, flyInWater, rideOf, sinkSpeed, wetWeight } from '.';

const line = (more: Partial<Afloat> = {}): Afloat => ({
  lyingMm: 0,
  tips: 0,
  airMm3: 0,
  front: 0,
  sheds: true,
  absorbency: 0.1,
  ...more,
});
const flyOf = (id: string) => flyInWater(cardOn14(id), MATERIALS);
const positive = (max: number) => fc.double({ min: 0.01, max, noNaN: true });

test('sinking: worked by hand', () => {
  // 100 mg in 20 mm³ weighs 80 mg in water: 80 · 9.80665e−3 = 0.784532 mN. ½ρA of 6 mm² is 3e−6, so v²·C_d = 261,511.
  // v 400: Re = 400 · 1.5 / 1.31 = 458, C_d = 1 + 10/59.4 = 1.168, v = 473.1; again 1.1505, 476.8; again 1.1497, 476.9.
  expect(wetWeight({ massMg: 100, volumeMm3: 20 })).toBe(80);
  expect(sinkSpeed({ massMg: 100, volumeMm3: 20, areaMm2: 6 }, 1.5)).toBeCloseTo(476.9, 0);
  expect(sinkSpeed({ massMg: 20, volumeMm3: 20, areaMm2: 6 }, 1.5)).toBe(0);
  // On a tippet at 0.55 of it, two seconds.
  expect(depthAfter(476.9, 2)).toBeCloseTo(524.6, 1);
  // A drift of 5 m in 500 mm/s is ten seconds.
  expect(depthOverDrift({ sinkMmS: 100 }, 500)).toBeCloseTo(550, 9);
  expect(depthOverDrift({ sinkMmS: null }, 500)).toBeNull();
  expect(depthOverDrift({ sinkMmS: 100 }, 0)).toBeNull();
});

test('floating: worked by hand', () => {
  // 2 · 0.0742 / 9.80665e−3 = 15.13 mg a mm; π · 0.07 · 0.0742 · cos 65° / 9.80665e−3 = 0.703 mg a tip; 0.9 mg a mm³ of air.
  const bearing = bearingOf(
    [line({ lyingMm: 2, front: 0.25 }), line({ tips: 10 }), line({ airMm3: 4, absorbency: 0 })],
    0,
  );
  expect(bearing.frontMg).toBeCloseTo(7.566, 2);
  expect(bearing.behindMg).toBeCloseTo(22.699, 2);
  expect(bearing.tipsMg).toBeCloseTo(7.03, 2);
  expect(bearing.airMg).toBeCloseTo(3.6, 9);
  // Of absorbency 0.1 in 600 s: e^−1 of it is left; soaked through only the foam bears.
  expect(bearingOf([line({ lyingMm: 2 })], 600).behindMg).toBeCloseTo(30.265 * Math.exp(-1), 2);
  expect(bearingOf([line({ lyingMm: 9, tips: 9 }), line({ airMm3: 4, absorbency: 0 })], null)).toEqual({
    tipsMg: 0,
    frontMg: 0,
    behindMg: 0,
    airMg: 3.6,
  });
  // What takes water bears nothing.
  expect(bearingOf([line({ lyingMm: 9, tips: 9, sheds: false })], 0)).toMatchObject({ tipsMg: 0, behindMg: 0 });
});

test('high on tips and air, in the film on all that lies, hanging where what is behind bears too little, else down', () => {
  const bears = (tipsMg: number, frontMg: number, behindMg: number, airMg = 0) =>
    afloat({ tipsMg, frontMg, behindMg, airMg }, 20);
  expect(bears(21, 0, 0)).toEqual({ state: 'high', margin: 1.05 });
  expect(bears(11, 0, 0, 10).state).toBe('high');
  expect(bears(5, 8, 8)).toEqual({ state: 'film', margin: 1.05 });
  expect(bears(0, 40, 9).state).toBe('hanging');
  expect(bears(0, 40, 11).state).toBe('film');
  expect(bears(5, 8, 6)).toEqual({ state: null, margin: 0.95 });
});

test('heavier never sinks slower, larger never quicker; more that lies never floats worse, soaked never better', () => {
  fc.assert(
    fc.property(
      positive(300),
      positive(50),
      positive(30),
      positive(5),
      positive(50),
      (mass, volume, area, across, more) => {
        const speed = (massMg: number, areaMm2: number) => sinkSpeed({ massMg, volumeMm3: volume, areaMm2 }, across);
        expect(speed(mass + more, area)).toBeGreaterThanOrEqual(speed(mass, area));
        expect(speed(mass, area + more)).toBeLessThanOrEqual(speed(mass, area));
      },
    ),
    { seed: 10 },
  );
  const part = fc.record({
    lyingMm: positive(20),
    tips: fc.nat(60),
    airMm3: positive(10),
    front: fc.double({ min: 0, max: 1, noNaN: true }),
    sheds: fc.boolean(),
    absorbency: fc.constantFrom(0, 0.1, 0.5, 1),
  });
  const all = (parts: Afloat[], seconds: number | null) => {
    const { tipsMg, frontMg, behindMg, airMg } = bearingOf(parts, seconds);
    return tipsMg + frontMg + behindMg + airMg;
  };
  fc.assert(
    fc.property(fc.array(part, { minLength: 1, maxLength: 6 }), positive(20), positive(900), (parts, more, seconds) => {
      const [first, ...rest] = parts as [Afloat, ...Afloat[]];
      expect(all([{ ...first, lyingMm: first.lyingMm + more }, ...rest], 0)).toBeGreaterThanOrEqual(all(parts, 0));
      expect(all(parts, seconds)).toBeLessThanOrEqual(all(parts, 0) + 1e-9);
      expect(all(parts, null)).toBeLessThanOrEqual(all(parts, seconds) + 1e-9);
    }),
    { seed: 10 },
  );
});

/** Every constant of what a tied fly is moves one of these: state, margin, mg, mm³, mm/s, s afloat. A change that is meant is looked through and written anew. */
test.each([
  ['first-light-dun', 0, ['high', 1.456, 24.62, 6.475, null, 1387]],
  ['first-light-dun', 900, ['film', 2.283, 24.62, 6.475, null, 1387]],
  ['first-light-dun', null, ['under', 0, 24.62, 6.475, 103, null]],
  ['auldry-flat-spinner', 0, ['film', 20, 24.35, 5.799, null, null]],
  ['ellanmere-tuft-emerger', 0, ['film', 4.259, 25.58, 6.215, null, 434.2]],
  ['staith-speck-riser', 0, ['hanging', 3.726, 26.31, 7.848, null, 393.8]],
  ['herl-bead-nymph', 0, ['sink', 0, 117.1, 11.03, 575, null]],
  ['hair-roof-adult', 0, ['film', 10.97, 24.49, 6.74, null, 1202]],
  ['stitched-red-dragon', null, ['high', 1.234, 30.68, 91.44, null, null]],
  ['ellanmere-plume-raft', 60, ['film', 4.451, 26.3, 7.047, null, 507.7]],
  ['flat-clinger', 0, ['sink', 0, 36.34, 7.917, 180.2, null]],
] as const)('the model of %s after %s s on a reference 14', (id, seconds, said) => {
  const { state, margin, massMg, volumeMm3, sinkMmS, floatS } = rideOf(flyOf(id), seconds);
  const round = (value: number | null) => (value === null ? null : Number(value.toPrecision(4)));
  expect([state, round(margin), round(massMg), round(volumeMm3), round(sinkMmS), round(floatS)]).toEqual(said);
});

test('on the bank: each change does to the ride what hands know of it, and what changes nothing is not offered', () => {
  const of = (id: string) => Object.fromEntries(bankChanges(flyOf(id)).map(({ id: what, ride }) => [what, ride]));
  const dun = of('first-light-dun');
  expect(rideOf(flyOf('first-light-dun'), 0).state).toBe('high');
  expect(dun['clip-flat']!.state).toBe('film');
  expect(dun['clip-v']!.margin).toBeGreaterThan(0);
  expect(dun.sink!.state).toBe('under');
  // One class of wire is 1.058 thicker: 1.119 of the hook's 20.46 mg is 2.44 mg more.
  expect(dun['heavier-wire']!.massMg - rideOf(flyOf('first-light-dun'), 0).massMg).toBeCloseTo(2.44, 1);
  expect(dun['lighter-wire']!.margin).toBeGreaterThan(dun['heavier-wire']!.margin);
  const nymph = of('herl-bead-nymph');
  expect(Object.keys(nymph)).not.toContain('clip-flat');
  expect(Object.keys(nymph)).not.toContain('sink');
  // A split of fur slows a beaded nymph by less than a twentieth.
  expect(Object.keys(nymph)).not.toContain('add-fur');
  // A split of fur in front is 1 mg, and 3 mm of it bear 45.4 mg more.
  const riser = rideOf(flyOf('staith-speck-riser'), 0);
  expect(of('staith-speck-riser')['add-fur']!.margin).toBeCloseTo(
    (riser.margin * riser.massMg + 45.4) / (riser.massMg + 1),
    3,
  );
  expect(of('half-out-dun')['wet-shuck']).toBeUndefined();
  expect(of('first-light-dun')['wet-shuck']!.margin).toBeLessThan(2);
});

test('foam of a card that says neither how wide nor how thick is a strip of 0.6 of the gape, 1.5 mm thick', () => {
  const card = cardOn14('stitched-red-dragon');
  const at = card.parts.findIndex(({ material }) => material?.function === 'body.foam');
  const part = { ...card.parts[at]!, mm: 10, thick_mm: null, wide_mm: null };
  const { parts } = flyInWater({ ...card, parts: card.parts.with(at, part) }, MATERIALS);
  expect(parts.find((own) => own.part === part.id)!.airMm3).toBeCloseTo(0.6 * card.hook.gape_mm * 1.5 * 10, 9);
});

test('the library: dry, three in four ride as they are meant to; wetted, all that are meant to sink do, and no dry fly is a stone', () => {
  const rides = DRESSINGS.map(({ id, ride }) => ({
    id,
    ride,
    dry: rideOf(flyOf(id), 0),
    wet: rideOf(flyOf(id), null),
  }));
  expect(rides.filter(({ ride, dry }) => dry.state === ride).length).toBeGreaterThan(0.7 * rides.length);
  const down = (state: string) => state === 'under' || state === 'sink';
  expect(rides.filter(({ ride, wet }) => down(ride) && !down(wet.state)).map(({ id }) => id)).toEqual([]);
  const stones = rides.filter(({ ride, dry }) => !down(ride) && down(dry.state)).map(({ id }) => id);
  expect(stones.length).toBeLessThan(0.06 * rides.length);
});
