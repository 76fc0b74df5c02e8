import fc from 'fast-check';
import { DRESSINGS, MATERIALS, STAGES, STYLES, tailsOf, WAY_DRESSINGS, WAYS, WORKS } from '@/catalogue';
import ids from '@/catalogue/ids.json';
import { scoreHook, styleUse } from '../answer';
import { dressingFaults } from '../faults';
import { hookFromRow, referenceEye, referenceGape, referenceShank, referenceWire, type HookRow } from '../hooks';
import { buildCard, type Card } from '../tying';
import {
  addByWay,
  bareByWay,
  printPart,
  readPart,
  readWays,
  recordOf,
  reworked,
  SLOTS,
  workOut,
  writeWays,
  type WayPart,
} from '.';

const CHECKS = { styles: STYLES, stages: STAGES, materials: MATERIALS, ways: WAYS, tailsOf };
const of = (id: string) => structuredClone(DRESSINGS.find((dressing) => dressing.id === id)!);
const verbs = (id: string) => of(id).steps.map((step) => `${step.as ?? step.do}:${step.part ?? step.material}`);

describe('ways as data', () => {
  test('there are forty or more, each with phases in known verbs and slots, and what cannot be undone is looked at', () => {
    expect(WAYS.length).toBeGreaterThanOrEqual(40);
    expect(new Set(WAYS.map((way) => way.id)).size).toBe(WAYS.length);
    const known = new Set(ids.verbs.map((verb) => verb.id));
    for (const way of WAYS)
      for (const phase of way.phases) {
        expect([
          way.id,
          phase.id,
          known.has(phase.do),
          phase.slot === 'own' || phase.slot === 'next' || SLOTS.includes(phase.slot as never),
        ]).toEqual([way.id, phase.id, true, true]);
        if (phase.undo === 'never')
          expect([way.id, phase.id, phase.check]).toEqual([way.id, phase.id, expect.any(String)]);
      }
  });
  test('each takes a function that some shipped material has, and makes parts that are known', () => {
    const parts = new Set(ids.parts.map((part) => part.id));
    for (const way of WAYS) {
      expect([
        way.id,
        MATERIALS.some((material) => way.takes[0]!.some((does) => material.functions.includes(does))),
      ]).toEqual([way.id, true]);
      expect([way.id, way.makes.every((part) => parts.has(part))]).toEqual([way.id, true]);
    }
  });
  test('every part of the library is of a kind that its way makes', () => {
    for (const record of WAY_DRESSINGS)
      for (const part of record.parts)
        expect([
          record.id,
          part.id,
          part.what,
          WAYS.find((way) => way.id === part.way)!.makes.includes(part.what),
        ]).toEqual([record.id, part.id, part.what, true]);
  });
});

describe('parts as lines', () => {
  test('every line of the library reads, and prints the same again', () => {
    for (const record of WAY_DRESSINGS)
      for (const part of record.parts) expect([record.id, readPart(printPart(part))]).toEqual([record.id, part]);
  });
  test('any part that can be said comes back from its line', () => {
    const share = fc.record({
      base: fc.constantFrom('shank', 'gape', 'girth', 'natural', 'part:hackle', 'rest'),
      factor: fc.integer({ min: 1, max: 400 }).map((value) => value / 100),
    });
    const rule = share.chain(({ base, factor }) =>
      fc.record({
        base: fc.constant(base),
        factor: fc.constant(factor),
        low: fc.integer({ min: 1, max: 99 }).map((value) => Number(((factor * value) / 100).toFixed(4))),
        high: fc.integer({ min: 101, max: 200 }).map((value) => Number(((factor * value) / 100).toFixed(4))),
      }),
    );
    const station = fc.constantFrom(
      'tie-down',
      'mid-shank',
      'part:abdomen',
      'part:abdomen/rear',
      'part:collar',
      'front',
      'bend-start-0.2shank',
      'part:thorax+0.5eye',
    );
    const part = fc
      .record({
        id: fc.constantFrom('abdomen', 'wing-2', 'two-tone'),
        what: fc.constantFrom('abdomen', 'wing', 'hackle'),
        way: fc.constantFrom('noodle', 'swept'),
        of: fc.array(fc.constantFrom('fine-fur', 'cdc-grey'), { minLength: 1, maxLength: 2 }),
        count: fc.option(fc.oneof(fc.integer({ min: 1, max: 40 }), fc.constant('natural' as const)), { nil: null }),
        from: fc.option(station, { nil: null }),
        long: fc.option(rule, { nil: null }),
        least: fc.option(share, { nil: null }),
        thick: fc.option(share, { nil: null }),
        wide: fc.option(share, { nil: null }),
        trim: fc.option(fc.constantFrom('both', 'v-below'), { nil: null }),
        lock: fc.option(fc.constantFrom('turns', 'glue'), { nil: null }),
        counter: fc.boolean(),
        optional: fc.boolean(),
        region: fc.option(fc.constantFrom('wing', 'legs'), { nil: null }),
      })
      .map(
        (some) =>
          ({
            spare: null,
            to: null,
            unit: 'count',
            by: null,
            kind: null,
            metal: null,
            coat: null,
            tint: null,
            school: null,
            ...some,
          }) as WayPart,
      );
    fc.assert(fc.property(part, (one) => expect(readPart(printPart(one))).toEqual(one)));
  });
  test.each([
    ['abdomen noodle', 'line-short'],
    ['abdomen noodle fine-fur long deep', 'line-word'],
    ['abdomen noodle fine-fur thick', 'line-word'],
    ['abdomen noodle fine-fur %', 'line-word'],
  ])('%s: %s', (line, code) => expect(readPart(line)).toMatchObject({ code }));
  test('a record is written as it was read', () => {
    for (const record of WAY_DRESSINGS) expect(readWays(writeWays(record))).toEqual({ record, faults: [] });
  });
});

describe('steps come out of parts and one order', () => {
  test('nothing is left that cannot be read or worked out', () => {
    for (const record of WAY_DRESSINGS) expect([record.id, workOut(record, WORKS).faults]).toEqual([record.id, []]);
  });
  test('a tailed dun: wing, tail, body, hackle caught, thorax, hackle wound', () =>
    expect(verbs('first-light-dun')).toEqual([
      'start-thread:thread-olive-70',
      'bind:wing',
      'cut:wing',
      'divide:wing',
      'bind:tail',
      'split-figure-eight:tail',
      'cut:tail',
      'dub:abdomen',
      'catch-in:hackle',
      'dub:thorax',
      'wind:hackle',
      'tie-off:hackle',
      'cut:hackle',
      'finish:head',
      'cut:head',
      'coat:head',
      'free-eye:head',
    ]));
  test('a shuck is trimmed when all is wound, a bead locked by thread, a weight dammed, legs knotted beforehand', () => {
    const emerger = verbs('auldry-low-emerger');
    expect(emerger.lastIndexOf('cut:shuck')).toBeGreaterThan(emerger.indexOf('finish:head'));
    expect(verbs('staith-jig-nymph').slice(0, 4)).toEqual([
      'soak:abdomen',
      'seat-bead:bead',
      'start-thread:thread-olive-70',
      'lock-turns:bead',
    ]);
    expect(verbs('rough-herl-nymph').slice(0, 3)).toEqual([
      'lay-weight:weight',
      'start-thread:thread-brown-70',
      'dam:weight',
    ]);
    expect(
      of('trailing-crane').assemblies.map((item) => [item.part, item.count, item.steps.map((step) => step.as)]),
    ).toEqual([
      ['extended-body', 1, ['make-on-needle']],
      ['legs', 8, ['pick-legs', 'knot-legs']],
    ]);
  });
  test('a palmer is held by the rib and its tip cut when the rib is tied off', () => {
    const steps = of('ellanmere-hatching-wet').steps;
    const at = (test: (step: (typeof steps)[number]) => boolean) => steps.findIndex(test);
    expect(steps.find((step) => step.part === 'second-hackle' && step.do === 'tie-off')).toMatchObject({
      held_by: 'rib',
      material: 'silver-wire',
    });
    expect(at((step) => step.part === 'second-hackle' && step.do === 'cut')).toBeGreaterThan(
      at((step) => step.part === 'rib' && step.do === 'tie-off'),
    );
  });
  test('a second thread goes on when the first is whipped and cut', () => {
    const steps = verbs('lit-tube-pupa');
    const first = steps.indexOf('whip-away:thread-yellow-50');
    expect(steps.slice(first, first + 3)).toEqual([
      'whip-away:thread-yellow-50',
      'cut-first-thread:thread-yellow-50',
      'start-thread:thread-brown-70',
    ]);
  });
  test('resin goes over a body that asks for it, before anything in front of it', () => {
    const steps = verbs('staith-jig-nymph');
    expect(steps.indexOf('coat:abdomen')).toBe(steps.indexOf('cut:abdomen') + 1);
    expect(steps.indexOf('coat:abdomen')).toBeLessThan(steps.indexOf('dub:thorax'));
  });
  test('wire is cut with wire’s caution, thread and hair with the blade’s', () => {
    for (const dressing of DRESSINGS)
      for (const step of dressing.steps.filter((item) => item.do === 'cut')) {
        const does = dressing.parts.find((part) => part.id === step.part)?.function;
        expect([dressing.id, step.part, step.caution]).toEqual([
          dressing.id,
          step.part,
          does === 'rib.wire' || does === 'body.wire' ? 'sharp-pieces' : 'blade',
        ]);
      }
  });
  test.each([
    ['way-unknown', { way: 'braid' }],
    ['material-unknown', { of: ['moonlight'] }],
    ['way-takes-not', { of: ['copper-wire'] }],
    ['field-reaches-not', { tint: 'brown-marker' }],
    ['field-reaches-not', { coat: 'head-varnish' }],
    ['field-reaches-not', { trim: 'flat-below' }],
  ])('%s is a fault', (code, more) => {
    const record = structuredClone(WAY_DRESSINGS[0]!);
    Object.assign(
      record.parts.find((part) => part.id === 'abdomen')!,
      more,
    );
    expect(workOut(record, WORKS).faults.map((fault) => fault.code)).toContain(code);
  });
  test('a token that names nothing is a fault', () => {
    const record = { ...structuredClone(WAY_DRESSINGS[0]!), order: ['thread', 'propeller'] };
    expect(workOut(record, WORKS).faults).toContainEqual({ code: 'token-unknown', params: { token: 'propeller' } });
  });
  test('without any order each part goes in by its slot, and most flies can be tied so', () => {
    const passing = WAY_DRESSINGS.filter(
      (record) => dressingFaults(workOut({ ...record, order: [] }, WORKS).dressing, CHECKS).length === 0,
    );
    expect(passing.length / WAY_DRESSINGS.length).toBeGreaterThan(0.7);
  });
});

describe('a dressing is changed as its parts', () => {
  test('the record is found again in parts and steps', () => {
    for (const dressing of DRESSINGS)
      expect([dressing.id, workOut(recordOf(dressing)!, WORKS).dressing]).toEqual([dressing.id, dressing]);
  });
  test('what a hand wrote into a step, and steps it put in, stay when a part is added', () => {
    const own = of('dark-pad-nymph');
    const wind = own.steps.find((step) => step.part === 'rib' && step.do === 'wind')!;
    Object.assign(wind, { check: 'bright against the dark', side: 'far' });
    own.steps.splice(own.steps.indexOf(wind) + 1, 0, {
      ...structuredClone(wind),
      phase: null,
      as: null,
      do: 'check',
      check: 'count them',
    });
    const next = addByWay(own, { what: 'legs' }, DRESSINGS, WORKS)!;
    expect(next.parts.map((part) => part.part)).toContain('legs');
    const kept = next.steps.findIndex((step) => step.part === 'rib' && step.do === 'wind');
    expect(next.steps[kept]).toMatchObject({ check: 'bright against the dark', side: 'far' });
    expect(next.steps[kept + 1]).toMatchObject({ do: 'check', check: 'count them' });
  });
  test('a part taken out and put back in its place is the same dressing', () => {
    for (const id of ['first-light-dun', 'auldry-bright-ring-pupa', 'dark-pad-nymph']) {
      const dressing = of(id);
      const hackle = recordOf(dressing)!.parts.find((part) => part.what === 'rib' || part.what === 'hackle')!;
      const order = recordOf(dressing)!.order;
      const at = dressing.parts.findIndex((part) => part.id === hackle.id);
      const out = reworked(
        dressing,
        (record) => ({
          ...record,
          parts: record.parts.filter((part) => part.id !== hackle.id),
          order: record.order.filter((token) => !token.startsWith(`${hackle.id}.`)),
        }),
        WORKS,
      )!;
      expect(out.parts.some((part) => part.id === hackle.id)).toBe(false);
      const back = reworked(
        out,
        (record) => ({ ...record, parts: [...record.parts.slice(0, at), hackle, ...record.parts.slice(at)], order }),
        WORKS,
      )!;
      expect(back).toEqual(dressing);
    }
  });
  test('one made by hand is none of ways', () => {
    const own = of('first-light-dun');
    own.parts[0]!.way = null;
    expect(recordOf(own)).toBeNull();
    expect(addByWay(own, { what: 'legs' }, DRESSINGS, WORKS)).toBeNull();
    expect(bareByWay('bare', 'Bare', 'mayfly/dun', 'upright-dun', [own], WORKS)).toBeNull();
  });
});

describe('the bright-ring pupa on a curved 12, worked through by hand', () => {
  const shank = referenceShank(12);
  const row: HookRow = {
    maker: 'reference',
    makerName: '',
    model: 'curve',
    modelName: '',
    size: '12',
    bend: 'curved-shank',
    eye: 'down',
    point: 'straight',
    barb: 'barbed',
    wire: 'standard',
    xLong: 0,
    xHeavy: 0,
    labels: 'bigger-smaller',
    shankMm: shank,
    gapeMm: referenceGape(shank),
    biteMm: null,
    wireMm: referenceWire(shank),
    eyeMm: referenceEye(shank),
    massMg: null,
    source: 'model',
  };
  const dressing = of('auldry-bright-ring-pupa');
  const use = styleUse(
    STYLES.find((style) => style.id === dressing.style)!,
    dressing,
  );
  const card: Card = buildCard({
    dressing,
    hook: scoreHook(hookFromRow(row, 'number')!, use, { targetMm: null, bodyWidthMm: null }, 0, true)!,
    use,
    catalogue: { stages: STAGES, materials: MATERIALS, ways: WAYS },
    natural: { stage: 'caddis/pupa', measuredMm: 11, bodyWidthMm: 2.42, colours: {}, tails: [] },
    choices: { schools: {}, hand: 'right', barbRule: 'any', without: [], added: [], swaps: {} },
    count: null,
  });
  const part = (id: string) => card.parts.find((item) => item.id === id)!;
  const round = (value: number | null) => (value === null ? null : Number(value.toFixed(1)));
  test('room and bead', () => {
    expect(card.room_mm).toBeCloseTo(5.44, 1);
    expect([part('bead').mm, card.face_mm]).toEqual([2.8, 2.8]);
    expect(card.weights[0]!.bore_needed_mm).toBeCloseTo(0.8, 1);
  });
  test.each([
    ['abdomen', 10.6, 6.5, 2.1],
    ['thorax', 6.5, 4.5, 2.4],
    ['hackle', 4.5, 3.2, null],
    ['head', 3.2, 2.8, null],
  ])('%s from %s to %s', (id, from, to, thick) => {
    expect([round(part(id).from_mm), round(part(id).to_mm), round(part(id).thick_mm)]).toEqual([from, to, thick]);
  });
  test('amounts: noodles, dubbing, rib, width of the case, barb', () => {
    expect([Math.round(part('abdomen').amount.noodleMm!), round(part('abdomen').amount.dubbingMg)]).toEqual([31, 1.7]);
    expect([Math.round(part('thorax').amount.noodleMm!), round(part('thorax').amount.dubbingMg)]).toEqual([19, 1.1]);
    expect([card.ribs[0]!.turns, round(card.ribs[0]!.pitch_mm)]).toEqual([6, 0.7]);
    expect([round(part('wing-case').wide_mm), round(part('hackle').mm)]).toEqual([1.5, 4]);
  });
  test('the thread starts behind the bead, flash locks it, the head is whipped behind it', () => {
    const step = (as: string) => card.steps.find((item) => (item.as ?? item.do) === as)!;
    expect(round(step('start-thread').at!.mm)).toBe(2.8);
    expect(round(step('pass-flash').at!.mm)).toBe(2.8);
    expect(step('finish')).toMatchObject({ turns: 5 });
    expect(round(step('finish').at!.mm)).toBe(3.2);
  });
});
