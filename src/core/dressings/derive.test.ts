import { DRESSINGS, tailsOf, WORKS } from '@/catalogue';
import { scaleDressing } from '../../../tools/scale-dressing';
import { SHIPPED } from '../../../tools/test-catalogue';
import { dressingFaults } from '../faults';
import { addByWay, bareByWay } from '../ways';
import { addPart, donorOf, setOptional } from './add-part';
import { derive, differences, dropPart, movedRun, recheckCounts, rechecks, runOf, setMaterial } from './derive';
import type { Dressing } from './dressing';
import { leftOut } from './left-out';

const of = (id: string): Dressing => structuredClone(DRESSINGS.find((dressing) => dressing.id === id)!);
const faults = (dressing: Dressing) => dressingFaults(dressing, { ...SHIPPED, tailsOf }).map((fault) => fault.code);
const mine = (id: string) => derive(of(id), 'mine', 'Mine');

test('derived with nothing changed there is nothing to say of it', () => {
  for (const dressing of DRESSINGS) expect(differences(dressing, derive(dressing, 'mine', 'Mine'))).toEqual([]);
});

test('the parent is never touched', () => {
  const parent = of('first-light-dun');
  const own = derive(parent, 'mine', 'Mine');
  own.parts[0]!.factor = 9;
  own.steps.pop();
  expect(parent).toEqual(of('first-light-dun'));
  expect(own).toMatchObject({ id: 'mine', rev: 1, parent: 'first-light-dun', changes: [] });
});

test('every kind of change is named with its part', () => {
  const parent = of('first-light-dun');
  const said = (own: Dressing) => differences(parent, own).map((item) => [item.kind, item.part]);
  expect(said(scaleDressing(mine('first-light-dun'), 1.5))).toEqual([['scaled', null]]);
  expect(said(setMaterial(mine('first-light-dun'), 'hackle', 'cock-hackle-ginger'))).toEqual([['material', 'hackle']]);
  const own = mine('first-light-dun');
  own.parts[0]!.factor = 1.05;
  own.parts[1]!.region = 'abdomen-back';
  expect(said(own)).toEqual([
    ['rule', 'tail'],
    ['recoloured', 'abdomen'],
  ]);
  expect(said(dropPart(mine('first-light-dun'), 'tail'))).toEqual([['dropped', 'tail']]);
  expect(said(addPart(mine('first-light-dun'), 'egg-mass', DRESSINGS))).toEqual([['added', 'egg-mass']]);
  expect(said({ ...mine('first-light-dun'), steps: movedRun(mine('first-light-dun').steps, 1, 4) })).toEqual([
    ['order', null],
  ]);
  const whole: [Partial<Dressing>, string][] = [
    [{ threads: [] }, 'threads'],
    [{ weights: [{ ...of('herl-bead-nymph').weights[0]! }] }, 'weights'],
    [{ hooks: [] }, 'hooks'],
    [{ months: [12] }, 'season'],
    [{ size_by_water: { fast: 2 } }, 'season'],
    [{ assemblies: of('ellanmere-long-dun').assemblies }, 'beforehand'],
    [{ bundles: of('cheeked-quill-nymph').bundles }, 'bunches'],
    [{ layers: [] }, 'layers'],
    [{ finish: 'rough' }, 'built'],
  ];
  for (const [more, kind] of whole) expect(said({ ...mine('first-light-dun'), ...more })).toEqual([[kind, null]]);
  expect(
    said({ ...dropPart(mine('cheeked-quill-nymph'), 'beard'), threads: [], id: 'x' }).map(([kind]) => kind),
  ).toContain('threads');
});

describe('a part is dropped with all that hangs on it', () => {
  test('its steps, and the rib that crosses it', () => {
    const own = dropPart(of('half-out-dun'), 'abdomen');
    expect(own.parts.map((part) => part.id)).not.toEqual(expect.arrayContaining(['abdomen', 'rib']));
    expect(own.steps.some((step) => step.part === 'abdomen' || step.part === 'rib')).toBe(false);
    expect(JSON.stringify(own)).not.toContain('part:abdomen');
  });
  test('its switch, its bundle, its assembly and its weight', () => {
    expect(dropPart(of('cheeked-quill-nymph'), 'cheeks').switches).toEqual([]);
    expect(dropPart(of('cheeked-quill-nymph'), 'beard').bundles).toEqual([]);
    expect(dropPart(of('trailing-hind-hawthorn'), 'legs').assemblies).toEqual([]);
    expect(dropPart(of('herl-bead-nymph'), 'bead').weights).toEqual([]);
  });
  test.each(
    DRESSINGS.flatMap((dressing) =>
      dressing.parts.filter((part) => part.optional).map((part) => [dressing.id, part.id] as const),
    ),
  )('%s without its optional %s still passes', (id, part) => expect(faults(dropPart(of(id), part))).toEqual([]));
});

test('a material is changed in the part, its steps, its bundle and its layers', () => {
  const own = setMaterial(of('cheeked-quill-nymph'), 'tail', 'hen-hackle-grey');
  expect(own.parts.filter((part) => part.id === 'tail' || part.id === 'beard').map((part) => part.material)).toEqual([
    'hen-hackle-grey',
    'hen-hackle-grey',
  ]);
  expect(own.bundles[0]!.material).toBe('hen-hackle-grey');
  expect(own.steps.filter((step) => step.part === 'tail' && step.do === 'bind').map((step) => step.material)).toEqual([
    'hen-hackle-grey',
  ]);
  expect(setMaterial(of('tube-wire-jig'), 'abdomen', 'latex-strip').layers[0]!.from_under).toEqual([
    'thread-tan-70',
    'latex-strip',
  ]);
});

test('scaling multiplies lengths and beads, and leaves shares as they are', () => {
  const own = of('herl-bead-nymph');
  own.weights[0]!.diameter_mm = 2.4;
  const twice = scaleDressing(own, 2);
  expect(twice.length_mm).toEqual([9, 36]);
  expect(twice.weights[0]!.diameter_mm).toBe(4.8);
  expect(twice.parts.map((part) => part.factor)).toEqual(own.parts.map((part) => part.factor));
});

test('a rule that was given or taken away is told with what it was', () => {
  const parent = of('first-light-dun');
  const told = (before: Partial<Dressing['parts'][number]>, after: Partial<Dressing['parts'][number]>) => {
    const put = (dressing: Dressing, more: object) => ({
      ...dressing,
      parts: dressing.parts.map((part) => (part.id === 'tail' ? { ...part, ...more } : part)),
    });
    return differences(put(parent, before), put(mine('first-light-dun'), after)).map(({ kind, from, to }) => [
      kind,
      from,
      to,
    ]);
  };
  expect(told({ base: 'shank', factor: 1 }, { base: 'shank', factor: 1.2 })).toEqual([
    ['rule', '1 × shank', '1.2 × shank'],
  ]);
  expect(told({ base: 'shank', factor: null }, { base: 'gape', factor: 2 })).toEqual([['rule', null, '2 × gape']]);
  expect(told({ base: 'gape', factor: 2 }, { base: 'shank', factor: null })).toEqual([['rule', '2 × gape', null]]);
});

test('runs that stand at an end, are moved to the first place, or into themselves', () => {
  const step = (part: string | null) => ({ ...of('first-light-dun').steps[0]!, part });
  const steps = [step('a'), step('a'), step('b'), step(null), step(null), step('c')];
  const order = (moved: typeof steps) => moved.map(({ part }) => part ?? '-').join('');
  expect([runOf(steps, 0), runOf(steps, 3), runOf(steps, 5), runOf(steps, 9)]).toEqual([2, 1, 1, 1]);
  expect([
    order(movedRun(steps, 2, 0)),
    order(movedRun(steps, 0, 0)),
    order(movedRun(steps, 0, 1)),
    order(movedRun(steps, 0, 2)),
    order(movedRun(steps, 5, 4)),
    order(movedRun(steps, 2, 5)),
  ]).toEqual(['baa--c', 'aab--c', 'aab--c', 'baa--c', 'aab-c-', 'aa--cb']);
});

test('a step moves by one place and not beyond the ends', () => {
  const own = of('first-light-dun');
  const parts = (steps: typeof own.steps) => steps.map((step) => step.part).join(' ');
  const at = own.steps.findIndex((step) => step.part === 'tail');
  expect([
    movedRun(own.steps, 0, -1),
    movedRun(own.steps, at, at + 1),
    movedRun(own.steps, 0, own.steps.length),
  ]).toEqual([own.steps, own.steps, own.steps]);
  expect(runOf(own.steps, at)).toBe(3);
  expect(runOf(own.steps, 0)).toBe(1);
  expect(
    parts(movedRun(own.steps, at, 1))
      .split(' ')
      .slice(1, 7),
  ).toEqual(['tail', 'tail', 'tail', 'wing', 'wing', 'wing']);
  expect(movedRun(own.steps, at + 1, at + 4).slice(at, at + 4)).toEqual([
    own.steps[at],
    own.steps[at + 3],
    own.steps[at + 4],
    own.steps[at + 1],
  ]);
  expect(movedRun(movedRun(own.steps, at, at + 3), at + 1, at)).toEqual(own.steps);
});

test('what does not scale is named at the end where it fails', () => {
  const end = {
    lengthMm: 40,
    shankMm: 30,
    beadMm: 5,
    beadRangeMm: [2, 4] as const,
    headTurns: 60,
    headBudget: 40,
    gauge: 4,
    weightWireMm: 0.76,
    hookWireMm: 1.2,
  };
  expect(rechecks(end).map((why) => why.code)).toEqual([
    'recheck-bead',
    'recheck-head',
    'recheck-gauge',
    'recheck-wire',
  ]);
  expect(rechecks({ ...end, beadMm: 3, headTurns: 20, gauge: 14, weightWireMm: 1.1 })).toEqual([]);
  expect(
    rechecks({
      ...end,
      beadMm: null,
      beadRangeMm: null,
      headTurns: null,
      headBudget: null,
      gauge: null,
      weightWireMm: null,
    }),
  ).toEqual([]);
});

test('fibres are counted again for a much longer or shorter natural, and not where they were', () => {
  const parent = of('first-light-dun');
  expect(recheckCounts(parent, scaleDressing(mine('first-light-dun'), 2))).toMatchObject({
    code: 'recheck-count',
    params: { times: 2 },
  });
  expect(recheckCounts(parent, scaleDressing(mine('first-light-dun'), 1.1))).toBeNull();
  const counted = scaleDressing(mine('first-light-dun'), 0.4);
  counted.parts.forEach((part) => {
    if (part.count !== null) part.count += 1;
  });
  expect(recheckCounts(parent, counted)).toBeNull();
});

test('each thing to look at again says its figures and what it rests on, and a bound itself is still good', () => {
  const end = {
    lengthMm: 40,
    shankMm: 30,
    beadMm: null,
    beadRangeMm: null,
    headTurns: null,
    headBudget: null,
    gauge: null,
    weightWireMm: null,
    hookWireMm: 1,
  };
  const length = { mm: 40 };
  const bead = (beadMm: number | null) => rechecks({ ...end, beadMm, beadRangeMm: [2, 4] });
  expect(bead(1.9)).toEqual([
    expect.objectContaining({
      code: 'recheck-bead',
      params: { length, bead: { mm: 1.9 }, low: { mm: 2 }, high: { mm: 4 } },
      evidence: 'heard',
    }),
  ]);
  expect([bead(2), bead(4), bead(null), rechecks({ ...end, beadMm: 9 })]).toEqual([[], [], [], []]);
  const head = (headTurns: number | null, headBudget: number | null) => rechecks({ ...end, headTurns, headBudget });
  expect(head(9, 8)).toEqual([
    expect.objectContaining({ code: 'recheck-head', params: { length, turns: 9, budget: 8 }, evidence: 'theory' }),
  ]);
  expect([head(8, 8), head(null, 8), head(8, null), head(null, -1)]).toEqual([[], [], [], []]);
  const gauge = (n: number) => rechecks({ ...end, gauge: n });
  expect(gauge(0)).toEqual([
    expect.objectContaining({ code: 'recheck-gauge', params: { length, gauge: 0 }, evidence: 'heard' }),
  ]);
  expect([gauge(8), gauge(26), gauge(28).length]).toEqual([[], [], 1]);
  const wire = (weightWireMm: number) => rechecks({ ...end, weightWireMm });
  expect(wire(1.5)).toEqual([
    expect.objectContaining({
      code: 'recheck-wire',
      params: { length, wire: { mm: 1.5 }, hook: { mm: 1 } },
      evidence: 'heard',
    }),
  ]);
  expect([wire(1.4), wire(0.72), wire(0.71).length]).toEqual([[], [], 1]);
});

test('what is counted again is named, and only what is counted in pieces', () => {
  const parent = of('first-light-dun');
  const own = scaleDressing(mine('first-light-dun'), 2);
  const counted = parent.parts
    .filter((part) => part.count !== null && part.unit === 'count')
    .map((part) => ({ kind: 'parts', id: part.part }));
  expect(counted.length).toBeGreaterThan(0);
  expect(recheckCounts(parent, own)).toMatchObject({
    params: { parts: { list: counted }, times: 2 },
    evidence: 'heard',
  });
  expect(recheckCounts(parent, scaleDressing(mine('first-light-dun'), 1.4))).not.toBeNull();
  const other = {
    ...own,
    parts: own.parts.map((part, at) => ({ ...part, id: own.parts[(at + 1) % own.parts.length]!.id })),
  };
  expect(
    recheckCounts(parent, { ...other, parts: other.parts.map((part) => ({ ...part, unit: 'pinches' as const })) }),
  ).toBeNull();
});

describe('what a dropped part leaves behind', () => {
  const own = {
    ...of('half-out-dun'),
    layers: [
      { part: 'abdomen', from_under: ['a'] },
      { part: 'shuck', from_under: ['b'] },
    ],
    weights: [{ ...of('herl-bead-nymph').weights[0]! }, { ...of('gravel-house').weights[0]! }],
  };
  const tied = (more: Partial<Dressing['parts'][number]>, id = 'thorax') => ({
    ...own,
    parts: own.parts.map((part) => (part.id === id ? { ...part, ...more } : part)),
  });
  const part = (dressing: Dressing, id: string) => dressing.parts.find((item) => item.id === id)!;
  test('layers of others, and weights that are not it', () => {
    const less = dropPart(own, 'abdomen');
    expect(less.layers).toEqual([{ part: 'shuck', from_under: ['b'] }]);
    expect(less.weights).toEqual(own.weights);
    expect(
      dropPart({ ...own, parts: [...own.parts, { ...part(of('herl-bead-nymph'), 'bead') }] }, 'bead').weights,
    ).toEqual([own.weights[1]]);
    expect(
      dropPart({ ...own, parts: [...own.parts, { ...part(of('gravel-house'), 'weight') }] }, 'weight').weights,
    ).toEqual([own.weights[0]]);
  });
  test('a rib of another part stays', () => {
    const ribbed = {
      ...own,
      parts: [
        ...own.parts,
        { ...part(of('dark-pad-nymph'), 'rib'), id: 'one', to: 'part:abdomen' },
        { ...part(of('dark-pad-nymph'), 'rib'), id: 'other', to: 'part:thorax' },
        { ...part(own, 'thorax'), id: 'no-rib', to: 'part:abdomen' },
      ],
    };
    expect(dropPart(ribbed, 'abdomen').parts.map((item) => item.id)).toEqual(
      expect.arrayContaining(['other', 'no-rib']),
    );
    expect(dropPart(ribbed, 'abdomen').parts.map((item) => item.id)).not.toContain('one');
  });
  test('a measure by it is by eye, one by another stays', () => {
    const by = {
      base: 'part:abdomen' as const,
      factor: 2,
      low: 1,
      high: 3,
      at_least: { base: 'part:abdomen' as const, factor: 1 },
    };
    expect(part(dropPart(tied(by), 'abdomen'), 'thorax')).toMatchObject({
      base: 'eye-judged',
      factor: null,
      low: null,
      high: null,
      at_least: null,
    });
    const kept = {
      base: 'part:shuck' as const,
      factor: 2,
      low: 1,
      high: 3,
      at_least: { base: 'part:shuck' as const, factor: 1 },
    };
    expect(part(dropPart(tied(kept), 'abdomen'), 'thorax')).toMatchObject(kept);
  });
  test('what stood at its front stands where it began', () => {
    expect(part(dropPart(tied({ from: 'part:abdomen', to: 'part:abdomen' }), 'abdomen'), 'thorax')).toMatchObject({
      from: part(own, 'abdomen').from ?? 'tie-down',
      to: part(own, 'abdomen').from ?? 'tie-down',
    });
    expect(dropPart(tied({ from: 'part:nowhere' }), 'nowhere').parts.find((item) => item.id === 'thorax')!.from).toBe(
      'tie-down',
    );
  });
  test('a bunch that is left with one part is none, one with two is', () => {
    const bunch = {
      id: 'b',
      material: 'm',
      parts: ['abdomen', 'shuck', 'thorax'],
      unit: 'count' as const,
      amount: null,
    };
    expect(dropPart({ ...own, bundles: [bunch] }, 'abdomen').bundles).toEqual([
      { ...bunch, parts: ['shuck', 'thorax'] },
    ]);
    expect(dropPart({ ...own, bundles: [{ ...bunch, parts: ['abdomen', 'shuck'] }] }, 'abdomen').bundles).toEqual([]);
  });
});

test('another material goes where that part had the old one, and nowhere else', () => {
  const own = of('trailing-hind-hawthorn');
  const was = own.parts.find((part) => part.id === 'legs')!.material;
  const next = setMaterial(own, 'legs', 'barred-rubber');
  const told = (dressing: Dressing) =>
    [...dressing.steps, ...dressing.assemblies.flatMap((item) => item.steps)].map((step) => [step.part, step.material]);
  expect(told(next)).toEqual(
    told(own).map(([part, material]) => [part, part === 'legs' && material === was ? 'barred-rubber' : material]),
  );
  expect(next.assemblies.map(({ id, count }) => [id, count])).toEqual(
    own.assemblies.map(({ id, count }) => [id, count]),
  );
  expect(setMaterial(own, 'nowhere', 'barred-rubber').parts).toEqual(own.parts);
  const odd = {
    ...own,
    steps: own.steps.map((step) => (step.part === 'legs' ? { ...step, material: 'head-varnish' } : step)),
    bundles: [{ id: 'b', material: 'm', parts: ['head', 'thorax'], unit: 'count' as const, amount: null }],
  };
  expect(setMaterial(odd, 'legs', 'barred-rubber')).toMatchObject({ steps: odd.steps, bundles: odd.bundles });
});

describe('a part is added as the library makes it', () => {
  test('from a dressing of the same style where there is one', () => {
    expect(donorOf('hackle', 'post-dun', DRESSINGS)!.dressing.style).toBe('post-dun');
    expect(donorOf('bead', 'upright-dun', DRESSINGS)!.part.part).toBe('bead');
    expect(donorOf('coat', 'upright-dun', [])).toBeNull();
  });
  test.each([
    ['auldry-flat-spinner', 'tag'],
    ['first-light-dun', 'tag'],
    ['rough-herl-nymph', 'beard'],
    ['any-grub', 'rib'],
    ['dark-pad-nymph', 'legs'],
    ['hair-roof-adult', 'antennae'],
    ['cheeked-quill-nymph', 'wing-case'],
  ] as const)('%s with a %s passes the checker', (id, kind) => {
    const own = addByWay(of(id), { what: kind }, DRESSINGS, WORKS)!;
    expect(own.parts.map((part) => part.part)).toContain(kind);
    expect(own.parts[own.parts.length - 1]!.part).toBe('head');
    expect(faults(own)).toEqual([]);
  });
  test('a bead comes first in the work and brings its weight', () => {
    const own = addByWay(of('rough-herl-nymph'), { what: 'bead' }, DRESSINGS, WORKS)!;
    expect(own.steps[0]!.do).toBe('seat-bead');
    expect(own.weights.map((weight) => weight.kind)).toContain('bead');
  });
  test('what can stand once only is not added twice', () => {
    const own = of('first-light-dun');
    expect(addPart(own, 'abdomen', DRESSINGS)).toBe(own);
    expect(
      addPart(own, 'hackle', DRESSINGS)
        .parts.filter((part) => part.part === 'hackle')
        .map((part) => part.id),
    ).toEqual(['hackle', 'hackle-2']);
  });
});

test.each(
  SHIPPED.stages.map(
    (stage) => [stage.id, (DRESSINGS.find((item) => item.stages[0] === stage.id) ?? stage).style] as const,
  ),
)('a bare hook for %s passes the checker', (stage, style) => {
  const bare = bareByWay('bare', 'Bare', stage, style, DRESSINGS, WORKS)!;
  expect(bare).toMatchObject({ id: 'bare', stages: [stage], style, parent: null, switches: [] });
  expect(faults(bare)).toEqual([]);
});
test('no dressing in a style, no bare one', () =>
  expect(bareByWay('bare', 'Bare', 'mayfly/dun', 'upright-dun', [], WORKS)).toBeNull());

describe('switches', () => {
  test('a part made optional gets a switch of its own, and loses it', () => {
    const own = setOptional(of('first-light-dun'), 'tail', 'Tail', true);
    expect([own.parts[0]!.optional, own.switches]).toEqual([
      true,
      [expect.objectContaining({ parts: ['tail'], on: true })],
    ]);
    expect(faults(own)).toEqual([]);
    expect(setOptional(own, 'tail', 'Tail', false)).toEqual({ ...of('first-light-dun'), switches: [] });
  });
  test('what is off is left out; what is turned on or off by hand follows the hand', () => {
    const own = of('clipped-palmer-wet');
    expect(leftOut(own)).toEqual(['tag']);
    expect(leftOut(own, { without: [], added: ['tag'] })).toEqual([]);
    const ant = of('two-lump-ant');
    expect(leftOut(ant, { without: [], added: [] }, 'ant/winged')).toEqual([]);
    const wings = leftOut(ant, { without: [], added: [] }, 'ant/worker');
    expect(wings).toEqual(ant.switches.find((item) => item.id === 'wings')!.parts);
    expect(leftOut(ant, { without: [], added: ['wings'] }, 'ant/worker')).toEqual([]);
    expect(leftOut(ant, { without: ['wings'], added: [] }, 'ant/winged')).toEqual(wings);
    expect(leftOut(of('cheeked-quill-nymph'), { without: ['cheeks'], added: [] })).toEqual(['cheeks']);
    expect(leftOut(of('first-light-dun'), { without: ['tail', 'none'], added: [] })).toEqual(['tail']);
  });
});
