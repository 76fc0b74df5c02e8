import fc from 'fast-check';
import { RIGS } from '@/catalogue/rigs';
import {
  downTheLeader,
  HOLDS,
  indicatorMm,
  LEAD_MM,
  loadOf,
  rigDepths,
  rigWarnings,
  tippetDragMg,
  type RiggedFly,
  type RiggedRide,
  type Spare,
} from '.';

const rig = (id: string) => RIGS.find((own) => own.id === id)!;
const ride = (more: Partial<RiggedRide> = {}): RiggedRide => ({
  state: 'sink',
  massMg: 60,
  wetMg: 50,
  bearsMg: 0,
  soakedMg: 0,
  sinkMmS: 300,
  ...more,
});
const dry = (more: Partial<RiggedRide> = {}) =>
  ride({ state: 'high', massMg: 20, wetMg: 12, bearsMg: 200, sinkMmS: null, ...more });
const fly = (id: string, own: RiggedRide | null = ride(), more: Partial<RiggedFly> = {}): RiggedFly => ({
  id,
  name: id.toUpperCase(),
  position: null,
  apartMm: null,
  ride: own,
  soft: false,
  ...more,
});
const said = (flies: RiggedFly[], id: string, spares: Spare[] = []) =>
  rigWarnings(flies, rig(id), spares).map(({ code, mend }) => [code, mend]);

test('flies without a place stand where the rig has room, from the line down', () => {
  const down = downTheLeader([fly('a'), fly('b', ride(), { position: 'top' }), fly('c')], rig('wet-team'));
  expect(down.map(({ id, position }) => [id, position])).toEqual([
    ['b', 'top'],
    ['a', 'middle'],
    ['c', 'point'],
  ]);
});

test('two stand at the ends, one alone on the point', () => {
  const places = (flies: RiggedFly[], id = 'wet-team') => downTheLeader(flies, rig(id)).map(({ position }) => position);
  expect(places([fly('a'), fly('b')])).toEqual(['top', 'point']);
  expect(places([fly('a'), fly('b', ride(), { position: 'middle' })])).toEqual(['top', 'middle']);
  expect(places([fly('a')])).toEqual(['point']);
});

test('the drag of half a metre of tippet, by hand: ½ · 1.2 · 0.15 mm · 500 mm · (50 mm/s)² is 0.1125 mN·10⁻³, 11.47 mg', () => {
  // 0.5 · 1e−6 mg/mm³·… · 1.2 · 75 mm² · 2,500 mm²/s² = 0.1125e−3 · … N; over 9.80665e−3 mN a mg.
  expect(tippetDragMg(500)).toBeCloseTo((0.5e-6 * 1.2 * 0.15 * 500 * 2500) / 0.00980665, 9);
  expect(tippetDragMg(500)).toBeCloseTo(11.47, 2);
  expect(loadOf([fly('n', ride({ wetMg: 40 }), { apartMm: 500 })], rig('dry-dropper'))).toBeCloseTo(51.47, 2);
  // What is lighter than water loads nothing.
  expect(loadOf([fly('n', ride({ wetMg: -4 }), { apartMm: 500 })], rig('dry-dropper'))).toBeCloseTo(11.47, 2);
  expect(HOLDS).toEqual({ dry: 1.5, indicator: 1.3 });
  // A ball of foam of 0.9 mg a mm³ that lifts 100 mg is 5.96 mm across.
  expect(indicatorMm(100)).toBeCloseTo(5.96, 2);
});

describe('below a dry', () => {
  const nymph = (wetMg: number) => fly('n', ride({ wetMg }), { apartMm: 500 });
  // It has to bear half as much again as the nymph and its tippet: of 40 mg 77.2.
  test.each([
    ['it holds soaked as well', dry({ soakedMg: 98 }), []],
    ['it holds while it is dry', dry({ soakedMg: 96 }), [['rig-dry-while-dry', null]]],
    ['it does not hold', dry({ bearsMg: 97 }), [['rig-dry-cannot', null]]],
  ])('%s', (_, top, warnings) => {
    expect(said([fly('d', top), nymph(40)], 'dry-dropper')).toEqual(warnings);
  });
  test('one that cannot hold gets the heaviest nymph of the boxes it does', () => {
    const spares = [
      { flyId: 'f1', name: 'Heavy', ride: ride({ wetMg: 39 }) },
      { flyId: 'f2', name: 'Light', ride: ride({ wetMg: 10 }) },
      { flyId: 'f3', name: 'Lighter', ride: ride({ wetMg: 5 }) },
      { flyId: 'f4', name: 'Dry', ride: dry() },
      { flyId: 'f5', name: 'Unknown', ride: null },
    ];
    expect(said([fly('d', dry({ bearsMg: 60 })), nymph(40)], 'dry-dropper', spares)).toEqual([
      ['rig-dry-cannot', { do: 'instead', fly: 'n', flyId: 'f2', name: 'Light' }],
    ]);
  });
  test('one that does not float changes places with one that does', () => {
    expect(said([fly('n'), fly('d', dry({ soakedMg: 300 }))], 'dry-dropper')[0]).toEqual([
      'rig-dry-sinks',
      { do: 'swap', a: 'n', b: 'd' },
    ]);
    expect(said([fly('n'), fly('m')], 'behind-a-dry')[0]).toEqual(['rig-dry-sinks', null]);
  });
});

describe('teams', () => {
  test('the heaviest belongs on the point, a soft wet excepted; one as heavy to a twentieth is as heavy', () => {
    const [heavy, light] = [fly('h', ride({ wetMg: 100 })), fly('l', ride({ wetMg: 40 }))];
    expect(said([heavy, light], 'wet-team')).toEqual([['rig-heavy-on-top', { do: 'swap', a: 'h', b: 'l' }]]);
    expect(said([light, heavy], 'wet-team')).toEqual([]);
    expect(said([heavy, { ...light, soft: true }], 'wet-team')).toEqual([]);
    expect(said([heavy, { ...light, soft: true }], 'indicator')).toHaveLength(1);
    expect(said([heavy, fly('l', ride({ wetMg: 96 }))], 'wet-team')).toEqual([]);
    expect(said([heavy, light], 'tight-line')).toEqual([['rig-anchor', { do: 'swap', a: 'h', b: 'l' }]]);
  });
  test('a bushy one below drags a slim one up, and belongs on top', () => {
    const team = [fly('n', ride({ wetMg: 30 })), fly('b', dry())];
    expect(said(team, 'wet-team')).toContainEqual(['rig-dragged-up', { do: 'swap', a: 'b', b: 'n' }]);
    expect(said([team[1]!, team[0]!], 'wet-team')).toEqual([]);
    expect(said([fly('n', ride({ wetMg: 300 })), fly('b', dry())], 'wet-team').map(([code]) => code)).not.toContain(
      'rig-dragged-up',
    );
  });
  test('what floats where a rig wants what sinks: it changes places, else the heaviest carried that the point outweighs', () => {
    const light = fly('b', dry({ bearsMg: 40 }));
    const heavy = fly('h', ride({ wetMg: 300 }));
    expect(said([heavy, light], 'wet-team')).toContainEqual(['rig-wants-sinking', { do: 'swap', a: 'b', b: 'h' }]);
    expect(said([light, heavy], 'wet-team')).toEqual([]);
    const spares = [
      { flyId: 'f1', name: 'Slim', ride: ride({ wetMg: 120 }) },
      { flyId: 'f2', name: 'Slimmer', ride: ride({ wetMg: 90 }) },
      { flyId: 'f3', name: 'Anchor', ride: ride({ wetMg: 400 }) },
      { flyId: 'f5', name: 'As heavy', ride: ride({ wetMg: 290 }) },
      { flyId: 'f4', name: 'Dry', ride: dry() },
    ];
    const instead = { do: 'instead', fly: 'b', flyId: 'f1', name: 'Slim' };
    for (const id of ['tight-line', 'indicator'])
      expect(said([light, heavy], id, spares)).toEqual([['rig-wants-sinking', instead]]);
    expect(said([light], 'tight-line', spares)).toEqual([
      ['rig-wants-sinking', { ...instead, flyId: 'f3', name: 'Anchor' }],
    ]);
    expect(said([light, heavy], 'tight-line')).toEqual([['rig-wants-sinking', null]]);
  });
  test('an emerger hangs below a dry and on a team; a second dry only behind a big one', () => {
    const up = dry({ soakedMg: 300, bearsMg: 300 });
    const below = (state: RiggedRide['state'], id: string) =>
      said([fly('d', up), fly('e', dry({ state, bearsMg: 21 }))], id).map(([code]) => code);
    expect(below('hanging', 'dry-dropper')).toEqual([]);
    expect(below('high', 'dry-dropper')).toEqual(['rig-wants-sinking']);
    expect(below('film', 'behind-a-dry')).toEqual([]);
    for (const state of ['hanging', 'film'] as const) expect(below(state, 'wet-team')).toEqual([]);
    expect(below('film', 'indicator')).toContain('rig-wants-sinking');
    expect(below('high', 'wet-team')).toEqual(['rig-wants-sinking']);
  });
  test('more than the rig has places for; stretches that are out of the usual; nothing of what is not known', () => {
    expect(said([fly('a'), fly('b'), fly('c')], 'tight-line')[0]).toEqual(['rig-many', { do: 'off', fly: 'c' }]);
    const apart = (mm: number) => said([fly('a'), fly('b', ride(), { apartMm: mm })], 'wet-team').map(([code]) => code);
    expect([apart(600), apart(590), apart(1201)]).toEqual([[], ['rig-apart'], ['rig-apart']]);
    expect(said([fly('a', null), fly('b', null)], 'wet-team')).toEqual([]);
    expect(said([], 'solo')).toEqual([]);
  });
});

describe('through a drift', () => {
  test('a fly sinks at 0.55 of its own speed, no deeper than its leader; below a dry no deeper than its tippet', () => {
    const [one] = rigDepths([fly('a', ride({ sinkMmS: 100 }))], rig('solo'), 4);
    expect([one!.alongMm, Math.round(one!.depthMm)]).toEqual([0, 220]);
    expect(rigDepths([fly('a')], rig('solo'), 100)[0]!.depthMm).toBe(LEAD_MM);
    const [top, nymph] = rigDepths([fly('d', dry()), fly('n', ride(), { apartMm: 400 })], rig('dry-dropper'), 10);
    // A tippet is 1.25 times as long as it fishes deep.
    expect([top!.depthMm, nymph!.depthMm]).toEqual([0, 320]);
    const [hung] = rigDepths([fly('n', ride(), { apartMm: 700 })], rig('indicator'), 10);
    expect(hung!.depthMm).toBe(700);
  });
  test('neighbours are never further apart than the leader between them, and nothing rises as it drifts on', () => {
    const any = fc.record({
      sinkMmS: fc.option(fc.double({ min: 0, max: 800, noNaN: true })),
      apartMm: fc.option(fc.integer({ min: 100, max: 2000 })),
    });
    fc.assert(
      fc.property(
        fc.array(any, { minLength: 1, maxLength: 3 }),
        fc.constantFrom(...RIGS),
        fc.double({ min: 0.1, max: 30, noNaN: true }),
        (all, own, seconds) => {
          const flies = all.map(({ sinkMmS, apartMm }, n) =>
            fly(`f${n}`, sinkMmS === null ? dry() : ride({ sinkMmS }), { apartMm }),
          );
          const places = rigDepths(flies, own, seconds);
          const later = rigDepths(flies, own, seconds * 2);
          places.forEach((place, n) => {
            const next = places[n + 1];
            if (next)
              expect(Math.abs(next.depthMm - place.depthMm)).toBeLessThanOrEqual(next.alongMm - place.alongMm + 1e-6);
            expect(place.depthMm).toBeGreaterThanOrEqual(0);
            if (own.afloat !== null) expect(place.depthMm).toBeLessThanOrEqual(place.alongMm + 1e-6);
          });
          const deepest = (of: typeof places) => Math.max(...of.map(({ depthMm }) => depthMm));
          expect(deepest(later)).toBeGreaterThanOrEqual(deepest(places) - 1e-6);
        },
      ),
      { seed: 8 },
    );
  });
});

test('rigs as data: each has its places, and every one of more than one fly its spacing in order', () => {
  expect(RIGS.map(({ id }) => id).sort()).toEqual(
    ['behind-a-dry', 'dry-dropper', 'indicator', 'solo', 'tight-line', 'wet-team'].sort(),
  );
  for (const { places: all, apartMm, afloat } of RIGS) {
    const places = all.map(({ at }) => at);
    for (const { at, sits } of all) {
      expect(sits.length).toBeGreaterThan(0);
      expect(sits.includes('floats') || at !== afloat).toBe(true);
    }
    if (places.length === 1) expect(apartMm).toBeNull();
    else expect([...apartMm!].sort((a, b) => a - b)).toEqual(apartMm);
    if (afloat !== null && afloat !== 'indicator') expect(places).toContain(afloat);
  }
});
