import { addPart, donorOf, newPartId, setOptional } from './add-part';
import type { Dressing, DressingPart, DressingStep } from './dressing';

const part = (id: string, more: Partial<DressingPart> = {}) =>
  ({ id, part: id, base: 'gape', from: null, to: null, optional: false, ...more }) as DressingPart;
const step = (verb: string, of: string | null, more: object = {}) =>
  ({ do: verb, part: of, at: null, tool: null, caution: null, assembly: null, ...more }) as unknown as DressingStep;
const dressing = (id: string, style: string, parts: DressingPart[], steps: DressingStep[], more: object = {}) =>
  ({ id, style, parts, steps, weights: [], tools: [], cautions: [], switches: [], ...more }) as unknown as Dressing;
const work = ({ steps }: Dressing) =>
  steps.map((own) => [own.do, own.part, own.at].filter((word) => word !== null).join(' '));

/** Written by hand: its abdomen is called `body`. */
const OWN = dressing(
  'own',
  'plain',
  [part('tail'), part('body', { part: 'abdomen' }), part('hackle'), part('head')],
  [
    step('start-thread', null),
    step('bind', 'tail', { at: 'tie-down' }),
    step('catch-in', 'body'),
    step('wind', 'body'),
    step('tie-off', 'body'),
    step('wind', 'hackle'),
    step('tie-off', 'hackle'),
    step('finish', 'head'),
  ],
  { tools: ['bobbin'], cautions: ['hook-point'], weights: [{ kind: 'hook-wire' }] },
);
const DONOR = dressing(
  'donor',
  'plain',
  [
    part('abdomen'),
    part('rib', { base: 'part:abdomen', from: 'part:abdomen', to: 'part:thorax', optional: true }),
    part('thorax'),
    part('head'),
  ],
  [
    step('start-thread', null),
    step('catch-in', 'rib', { at: 'part:abdomen', tool: 'pliers' }),
    step('wind', 'abdomen'),
    step('wind', 'rib', { at: 'one-eye', caution: 'blade' }),
    step('tie-off', 'rib', { at: 'part:thorax', assembly: 'made-before' }),
    step('dub', 'thorax'),
    step('finish', 'head'),
  ],
);
const OTHER = dressing(
  'other',
  'else',
  [part('rib', { base: 'shank' })],
  [step('start-thread', null), step('wind', 'rib')],
);

describe('where a part comes from', () => {
  test('from a dressing of the same style, or from the first that has it', () => {
    expect(donorOf('rib', 'plain' as never, [OTHER, DONOR])).toEqual({ dressing: DONOR, part: DONOR.parts[1] });
    expect(donorOf('rib', 'third' as never, [OTHER, DONOR])!.dressing).toBe(OTHER);
    expect(donorOf('wing', 'plain' as never, [OTHER, DONOR])).toBeNull();
  });
  test('its id is its kind, then numbered; what can stand once only is not there twice', () => {
    expect([
      newPartId(OWN, 'rib'),
      newPartId(OWN, 'hackle'),
      newPartId(OWN, 'abdomen'),
      newPartId(OWN, 'head'),
    ]).toEqual(['rib', 'hackle-2', null, null]);
    for (const kind of ['bead', 'weight', 'thorax', 'case'] as const)
      expect(newPartId(dressing('one', 'plain', [part(kind)], []), kind)).toBeNull();
    // Another kind has taken its name, or its kind goes by another.
    expect(newPartId(OWN, 'body' as never)).toBe('body-1');
    expect(newPartId(dressing('one', 'plain', [part('front', { part: 'hackle' })], []), 'hackle')).toBe('hackle');
  });
});

describe('a part is worked in where the library works it', () => {
  const made = addPart(OWN, 'rib', [OTHER, DONOR]);
  test("it stands before the head, on parts by their own names here, and is no switch's", () => {
    expect(made.parts.map(({ id }) => id)).toEqual(['tail', 'body', 'hackle', 'rib', 'head']);
    expect(made.parts[3]).toEqual({
      ...DONOR.parts[1],
      base: 'part:body',
      from: 'part:body',
      to: 'one-third',
      optional: false,
    });
  });
  test('it is caught in behind the start and wound behind the body and its tying off', () => {
    expect(work(made)).toEqual([
      'start-thread',
      'catch-in rib part:body',
      'bind tail tie-down',
      'catch-in body',
      'wind body',
      'tie-off body',
      'wind rib one-eye',
      'tie-off rib one-third',
      'wind hackle',
      'tie-off hackle',
      'finish head',
    ]);
    expect(made.steps.every((own) => own.assembly === null)).toBe(true);
  });
  test('its tools and cautions are named once with those there were', () => {
    expect([made.tools, made.cautions, made.weights]).toEqual([
      ['bobbin', 'pliers'],
      ['hook-point', 'blade'],
      [{ kind: 'hook-wire' }],
    ]);
    const twice = addPart({ ...OWN, tools: ['pliers'], cautions: ['blade'] } as never, 'rib', [DONOR]);
    expect([twice.tools, twice.cautions]).toEqual([['pliers'], ['blade']]);
  });
  test('a base that is not here becomes the gape; the library itself is not changed', () => {
    const before = structuredClone(DONOR);
    const bare = addPart(
      dressing('bare', 'plain', [part('head')], [step('start-thread', null), step('finish', 'head')]),
      'rib',
      [DONOR],
    );
    expect(bare.parts[0]).toMatchObject({ id: 'rib', base: 'gape', from: 'one-third' });
    expect(work(bare)).toEqual([
      'start-thread',
      'catch-in rib one-third',
      'wind rib one-eye',
      'tie-off rib one-third',
      'finish head',
    ]);
    bare.parts[0]!.base = 'shank';
    bare.steps[1]!.at = 'mid-shank' as never;
    expect(DONOR).toEqual(before);
  });
  test('made in another way here it comes behind what makes the part, and behind nothing else', () => {
    const dubbed = dressing(
      'dubbed',
      'plain',
      [part('abdomen'), part('head')],
      [step('start-thread', null), step('dub', 'abdomen'), step('show', 'abdomen'), step('finish', 'head')],
    );
    expect(work(addPart(dubbed, 'rib', [DONOR]))).toEqual([
      'start-thread',
      'catch-in rib part:abdomen',
      'dub abdomen',
      'wind rib one-eye',
      'tie-off rib one-third',
      'show abdomen',
      'finish head',
    ]);
    const bound = dressing(
      'bound',
      'plain',
      [part('tail'), part('legs'), part('head')],
      [step('start-thread', null), step('bind', 'tail'), step('trim', 'tail'), step('finish', 'head')],
    );
    const leg = dressing(
      'leg',
      'plain',
      [part('tail'), part('legs', { part: 'antennae' })],
      [step('start-thread', null), step('divide', 'tail'), step('bind', 'legs')],
    );
    expect(work(addPart(bound, 'antennae', [leg]))).toEqual([
      'start-thread',
      'bind tail',
      'trim tail',
      'bind antennae',
      'finish head',
    ]);
  });
  test('its steps keep their order though what they follow here comes earlier', () => {
    const late = dressing(
      'late',
      'plain',
      [part('tail'), part('hackle'), part('beard')],
      [step('wind', 'hackle'), step('bind', 'beard'), step('bind', 'tail'), step('cut', 'beard')],
    );
    expect(work(addPart(OWN, 'beard', [late]))).toEqual([
      'start-thread',
      'bind tail tie-down',
      'catch-in body',
      'wind body',
      'tie-off body',
      'wind hackle',
      'tie-off hackle',
      'bind beard',
      'cut beard',
      'finish head',
    ]);
  });
  test('what the library has not, or what stands once only, leaves the dressing as it is', () => {
    expect(addPart(OWN, 'wing', [OTHER, DONOR])).toBe(OWN);
    expect(addPart(OWN, 'abdomen', [DONOR])).toBe(OWN);
  });
});

describe('what weighs', () => {
  const weighed = dressing(
    'weighed',
    'plain',
    [part('bead'), part('weight'), part('tail')],
    [step('seat-bead', 'bead'), step('start-thread', null), step('lay-strips', 'weight')],
    { weights: [{ kind: 'bead', metal: 'brass' }, { kind: 'wound', metal: 'lead' }, { kind: 'hook-wire' }] },
  );
  test('a bead is seated before all else and brings its weight', () => {
    const made = addPart(OWN, 'bead', [weighed]);
    expect(work(made)[0]).toBe('seat-bead bead');
    expect(work(made).slice(1)).toEqual(work(OWN));
    expect(made.weights).toEqual([{ kind: 'hook-wire' }, { kind: 'bead', metal: 'brass' }]);
  });
  test("laid weight likewise, without the bead's and the wire's", () => {
    const made = addPart(OWN, 'weight', [weighed]);
    expect(work(made)[0]).toBe('lay-strips weight');
    expect(made.weights).toEqual([{ kind: 'hook-wire' }, { kind: 'wound', metal: 'lead' }]);
  });
  test('no other part brings any', () => {
    expect(addPart(dressing('none', 'plain', [part('head')], []), 'tail', [weighed]).weights).toEqual([]);
  });
});

describe('a part by a switch', () => {
  const OPTIONAL = {
    id: 'own-tail',
    name: 'Tail',
    parts: ['tail'],
    on: true,
    attracts: false,
    why: 'Tail',
    stages: [],
  };
  test('is made optional by one of its own, taken out of those it was in; an emptied one goes', () => {
    const both = {
      ...OWN,
      switches: [
        { ...OPTIONAL, id: 'two', parts: ['tail', 'hackle'] },
        { ...OPTIONAL, id: 'one' },
      ],
    };
    const made = setOptional(both, 'tail', 'Tail', true);
    expect(made.switches).toEqual([{ ...OPTIONAL, id: 'two', parts: ['hackle'] }, OPTIONAL]);
    expect(made.parts.map((own) => own.optional)).toEqual([true, false, false, false]);
    const back = setOptional(made, 'tail', 'Tail', false);
    expect([back.switches.map(({ id }) => id), back.parts]).toEqual([['two'], OWN.parts]);
  });
});
