import { execFileSync } from 'node:child_process';
import { join } from 'node:path';
import { deltaE, labOfHex } from '../colour';
import type { InsectPlan, Scene } from '@/standins/camera';
import type { Measured } from '../../../tools/measure-scenes';
import type { PhotoAsked } from './index';

const DUN: InsectPlan = {
  stage: 'mayfly/nymph',
  bodyMm: 9,
  curl: 0.2,
  at: [43, 27],
  angle: 0.4,
  abdomen: '#7f7238',
  thorax: '#3b352c',
  glare: 2,
};
/** A rolled pad of one colour, of the shape of a stout larva. */
const PAD: InsectPlan = { ...DUN, stage: 'caddis/free-larva', bodyMm: 13, curl: 0, angle: 1.2, glare: 0 };
const SCENE: Scene = {
  seed: 7,
  card: 'wallet',
  insects: [DUN],
  width: 1300,
  height: 975,
  tilt: 14,
  lean: 0.7,
  rotation: 0.3,
  fill: 0.74,
  kelvin: 4200,
  uneven: 1.3,
  exposure: 0.85,
  blurPx: 0.6,
  noise: 1.5,
  shadow: { strength: 0.3, across: 0.4, soft: 0.3 },
  shade: null,
  background: '#6b5a45',
};

/** Every photograph of this file by name. */
const CASES: Record<string, { more: Partial<Scene>; asked?: Partial<PhotoAsked> }> = {
  plain: { more: {} },
  'in lamp light': { more: { kelvin: 2800, uneven: 1.8 } },
  'from the back': { more: {}, asked: { view: 'back' } },
  'on a card printed at 97 %': { more: {}, asked: { printedScale: 0.97 } },
  'upside down and tilted to 34 degrees': { more: { tilt: 34, lean: 2.4, rotation: 3.4 } },
  'a soft larva that gives 4 %': {
    more: { insects: [{ ...DUN, stage: 'caddis/free-larva', curl: 1.7 }] },
    asked: { stretch: 0.04, winged: false },
  },
  'a case with tails and legs out of it': { more: {}, asked: { what: 'case' } },
  'a curled larva': {
    more: { insects: [{ ...DUN, stage: 'caddis/free-larva', curl: 1.7 }] },
    asked: { winged: false },
  },
  'a winged dun': { more: { insects: [{ ...DUN, stage: 'mayfly/dun' }] } },
  'a small dark midge': {
    more: { insects: [{ ...DUN, stage: 'midge/pupa', bodyMm: 5, abdomen: '#2f2b26' }], width: 1700, height: 1275 },
  },
  'a pale spinner': { more: { insects: [{ ...DUN, stage: 'mayfly/spent', abdomen: '#c9b48c', thorax: '#c8b070' }] } },
  'a card half in shade': { more: { shade: { strength: 0.35, angle: 0.5, at: 2, soft: 3 } } },
  'two insects': {
    more: {
      insects: [
        { ...DUN, at: [28, 20] },
        { ...DUN, at: [57, 34], bodyMm: 7, angle: 2 },
      ],
      width: 1700,
      height: 1275,
    },
  },
  'pads of three furs': {
    more: {
      insects: [
        { ...PAD, at: [24, 22], abdomen: '#c9b48c', thorax: '#c9b48c' },
        { ...PAD, at: [44, 30], abdomen: '#3b352c', thorax: '#3b352c', bodyMm: 10 },
        { ...PAD, at: [62, 24], abdomen: '#7f7238', thorax: '#7f7238', bodyMm: 7 },
      ],
      kelvin: 3200,
      width: 1700,
      height: 1275,
    },
    asked: { pads: true },
  },
  'no pad': { more: { insects: [] }, asked: { pads: true } },
  'photo-no-card': { more: { card: null, insects: [] } },
  'photo-nothing': { more: { insects: [] } },
  'photo-touches-edge': { more: { insects: [{ ...DUN, at: [14.5, 27], angle: 0 }] } },
  'photo-small': { more: { insects: [{ ...DUN, bodyMm: 2.8 }] } },
  'photo-blurred': { more: { blurPx: 4 } },
  'photo-dark': { more: { exposure: 0.03, noise: 0.5 } },
};

// In a process of its own: loops over pixels crawl inside Jest's sandbox.
const names = Object.keys(CASES);
const run = (): Measured[] =>
  JSON.parse(
    execFileSync(process.execPath, ['--import', 'tsx', join(__dirname, '../../../tools/measure-scenes.ts')], {
      input: JSON.stringify(
        names.map((name) => ({ scene: { ...SCENE, ...CASES[name]!.more }, asked: CASES[name]!.asked })),
      ),
      maxBuffer: 64 * 1024 * 1024,
      cwd: join(__dirname, '../../..'),
    }).toString(),
  );
const results = new Map(run().map((result, index) => [names[index]!, result]));
const of = (name: string) => results.get(name)!;
const share = (name: string) =>
  Math.max(
    ...of(name).truths.map((truth) =>
      Math.min(...of(name).insects.map((insect) => Math.abs(insect.bodyMm - truth.bodyMm) / truth.bodyMm)),
    ),
  );

describe('a photograph on the field card', () => {
  const [insect] = of('plain').insects;
  const [truth] = of('plain').truths;
  test('gives the body along its curve, with a ± that holds it', () => {
    expect(of('plain').refused).toBeNull();
    expect(share('plain')).toBeLessThan(0.02);
    expect(Math.abs(insect!.bodyMm - truth!.bodyMm)).toBeLessThan(2.6 * insect!.sdMm);
    expect(insect!.sdMm).toBeLessThan(0.3);
  });
  test('its ± is made of its parts; a soft body gives as much as is asked, and is the less sure', () => {
    for (const name of ['plain', 'a curled larva', 'two insects'])
      for (const found of of(name).insects)
        expect(Math.hypot(...Object.values(found.error))).toBeCloseTo(found.sdMm, 9);
    const [soft, firm] = [of('a soft larva that gives 4 %').insects[0]!, of('a curled larva').insects[0]!];
    expect(soft.error.stretch).toBeCloseTo(0.04 * soft.bodyMm, 9);
    expect([firm.error.stretch, soft.sdMm]).toEqual([0, expect.closeTo(Math.hypot(firm.sdMm, 0.04 * soft.bodyMm), 6)]);
    expect(soft.confidence).toBeLessThan(firm.confidence);
  });
  test('gives its width, and a midline that runs from the head', () => {
    expect(Math.abs(insect!.widthMm - truth!.widthMm) / truth!.widthMm).toBeLessThan(0.15);
    expect(insect!.widthsMm).toHaveLength(21);
    const [head, tail] = [insect!.midlineMm[0]!, insect!.midlineMm[insect!.midlineMm.length - 1]!];
    expect(Math.cos(Math.atan2(tail[1] - head[1], tail[0] - head[0]) - DUN.angle)).toBeGreaterThan(0.9);
  });
  test('gives its colours as they are under any light, glare left out', () => {
    expect(deltaE(insect!.regions['abdomen-belly']!.lab, labOfHex(DUN.abdomen))).toBeLessThan(2.5);
    expect(deltaE(insect!.regions['thorax-belly']!.lab, labOfHex(DUN.thorax))).toBeLessThan(3.5);
    expect(deltaE(of('in lamp light').insects[0]!.regions['abdomen-belly']!.lab, labOfHex(DUN.abdomen))).toBeLessThan(
      2.5,
    );
  });
  test('gives the colours of pads of material, the largest first, under any light; no insects', () => {
    const { pads, insects, refused } = of('pads of three furs');
    expect([refused, insects, pads.length]).toEqual([null, [], 3]);
    const truth = ['#c9b48c', '#3b352c', '#7f7238'];
    pads.forEach(({ lab }, at) => expect(deltaE(lab, labOfHex(truth[at]!))).toBeLessThan(4));
    expect(of('plain').pads).toEqual([]);
    expect(of('no pad').refused).toMatchObject({ code: 'photo-nothing' });
  });
  test('names regions by the view', () =>
    expect(Object.keys(of('from the back').insects[0]!.regions)).toEqual(
      expect.arrayContaining(['abdomen-back', 'thorax-back']),
    ));
  test('takes a printed scale into every length', () =>
    expect(of('on a card printed at 97 %').insects[0]!.bodyMm / insect!.bodyMm).toBeCloseTo(0.97, 3));
});

test.each([
  'in lamp light',
  'upside down and tilted to 34 degrees',
  'a curled larva',
  'a winged dun',
  'a small dark midge',
  'a pale spinner',
  'a card half in shade',
])('the length holds: %s', (name) => {
  expect(of(name).refused).toBeNull();
  expect(share(name)).toBeLessThan(0.035);
});

test('a case is measured whole: what sticks out of it is no tail and no wing', () => {
  const [found] = of('a case with tails and legs out of it').insects;
  expect([found!.what, found!.error.root, found!.error.wing, found!.warnings.map((warning) => warning.code)]).toEqual([
    'case',
    0,
    0,
    [],
  ]);
  expect(of('plain').insects[0]!.error.root).toBeGreaterThan(0);
});

test('several insects are each measured and numbered', () => {
  expect(of('two insects').insects.map((insect) => insect.n)).toEqual([1, 2]);
  expect(share('two insects')).toBeLessThan(0.035);
});

test.each(names.filter((name) => name.startsWith('photo-')))(
  'what cannot be told is refused with its reason, never a number: %s',
  (name) => {
    expect([of(name).refused?.code, of(name).insects]).toEqual([name, []]);
  },
);
