import fc from 'fast-check';
import { boxSchema } from './box/schema';
import { groupSchema } from './group/schema';
import { KINDS, type Kind } from './kinds';
import { matchSchema, newAnswer, type MatchRecord } from './match/schema';
import { lives, mendedBy, mergeCopies, stamped, type Copy } from './merge';
import { modelSchema, sizeRecord, type ModelRecord } from './model/schema';
import { sampleSchema, specimen, type SampleRecord } from './sample/schema';

const WHEN = '2033-05-24T04:50';
const BORN = 10;

/** A record on one device: what is done to it, each at its time. */
function device<T extends object>(kind: Kind, first: T) {
  let copy: Copy = { data: first, clocks: { '': BORN } };
  return {
    edit(now: number, change: (data: T) => T | null) {
      const before = lives(copy) ? (copy.data as T) : undefined;
      const after = before === undefined ? undefined : change(structuredClone(before));
      if (before === undefined) return;
      copy = { data: after ?? copy.data, clocks: stamped(kind, before, after ?? undefined, copy.clocks, now) };
    },
    get copy() {
      return copy;
    },
  };
}

const sample = () =>
  sampleSchema.cast({
    when: WHEN,
    place: 'ford',
    specimens: [specimen('s1', 8), specimen('s2', 9)],
    photos: ['p1'],
    signs: { wings: 'none' },
  }) as SampleRecord;

type Act = (data: SampleRecord) => SampleRecord | null;
const value = fc.integer({ min: 1, max: 6 });
/** Everything a tier does to a sample, deleting it too. */
const acts: fc.Arbitrary<Act> = fc.oneof(
  value.map((n): Act => (data) => ({ ...data, place: n === 1 ? '' : `place ${n}` })),
  value.map((n): Act => (data) => ({ ...data, water: n < 3 ? null : n < 5 ? 'fast' : 'still' })),
  value.map((n): Act => (data) => ({ ...data, colours: { ...data.colours, 'abdomen-belly': `#00000${n}` } })),
  fc.constant<Act>((data) => ({ ...data, colours: {} })),
  value.map((n): Act => (data) => ({
    ...data,
    photos: n > 3 ? [...new Set([...data.photos, `p${n}`])] : data.photos.filter((id) => id !== `p${n}`),
  })),
  value.map((n): Act => (data) => ({
    ...data,
    specimens: data.specimens.map((item) =>
      item.id === `s${n}` ? { ...item, body: { mm: 5 + n, typed: null } } : item,
    ),
  })),
  value.map((n): Act => (data) => ({ ...data, specimens: data.specimens.filter((item) => item.id !== `s${n}`) })),
  value.map((n): Act => (data) => ({
    ...data,
    specimens: data.specimens.some((item) => item.id === `s${n}`)
      ? data.specimens
      : [...data.specimens, specimen(`s${n}`, 4)],
  })),
  value.map(
    (n): Act =>
      (data) =>
        n === 1 ? null : data,
  ),
);
/** What three devices do from the same beginning; times may be the same, and clocks may be apart. */
const history = fc.array(
  fc.record({ on: fc.integer({ min: 0, max: 2 }), at: fc.integer({ min: BORN + 1, max: BORN + 12 }), act: acts }),
  { maxLength: 14 },
);

function played(steps: { on: number; at: number; act: Act }[]): Copy[] {
  const devices = [0, 1, 2].map(() => device('sample', sample()));
  for (const { on, at, act } of steps) devices[on]!.edit(at, act);
  return devices.map(({ copy }) => copy);
}
const merge = (one: Copy, other: Copy) => mergeCopies('sample', one, other);
/** What a copy says, whatever the order its parts are written in. */
const said = ({ data, clocks }: Copy) => ({
  data: data && Object.fromEntries(Object.entries(data).sort(([a], [b]) => a.localeCompare(b))),
  clocks: Object.fromEntries(Object.entries(clocks).sort()),
  here: lives({ data, clocks }),
});

describe('two copies of a record as one', () => {
  test('come to the same, whichever is named first', () => {
    fc.assert(
      fc.property(history, (steps) => {
        const [one, other] = played(steps) as [Copy, Copy];
        expect(said(merge(one, other)).here).toBe(said(merge(other, one)).here);
        expect(said(merge(one, other))).toEqual(said(merge(other, one)));
      }),
    );
  });
  test('come to the same, in whatever order three of them meet', () => {
    fc.assert(
      fc.property(history, (steps) => {
        const [a, b, c] = played(steps) as [Copy, Copy, Copy];
        expect(said(merge(merge(a, b), c))).toEqual(said(merge(a, merge(b, c))));
      }),
    );
  });
  test('twice is once', () => {
    fc.assert(
      fc.property(history, (steps) => {
        const [a, b] = played(steps) as [Copy, Copy];
        const both = merge(a, b);
        expect(said(merge(both, b))).toEqual(said(both));
        expect(said(merge(a, a))).toEqual(said(a));
      }),
    );
  });
  test('are a record that its schema takes', () => {
    fc.assert(
      fc.property(history, (steps) => {
        const [a, b] = played(steps) as [Copy, Copy];
        const both = merge(a, b);
        if (lives(both)) expect(KINDS.sample.schema.isValidSync(mendedBy('sample', both.data!))).toBe(true);
      }),
    );
  });
  test('of one field the later edit stands, of another the other’s: nothing else moves', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 9 }), fc.integer({ min: 1, max: 9 }), (x, y) => {
        const [one, other] = [device('sample', sample()), device('sample', sample())];
        one.edit(BORN + x, (data) => ({ ...data, place: 'one' }));
        other.edit(BORN + y, (data) => ({ ...data, place: 'other' }));
        one.edit(BORN + 20, (data) => ({ ...data, water: 'fast' }));
        const both = merge(one.copy, other.copy).data as SampleRecord;
        if (x !== y) expect(both.place).toBe(x > y ? 'one' : 'other');
        expect(both).toEqual({ ...sample(), place: both.place, water: 'fast' });
      }),
    );
  });
  test('who saw a value and wrote over it wins, though its clock is behind', () => {
    const one = device('sample', sample());
    one.edit(1000, (data) => ({ ...data, place: 'weir' }));
    const seen = stamped('sample', one.copy.data!, { ...one.copy.data!, place: 'ford again' }, one.copy.clocks, 20);
    expect(
      (merge(one.copy, { data: { ...one.copy.data!, place: 'ford again' }, clocks: seen }).data as SampleRecord).place,
    ).toBe('ford again');
  });
});

describe('what was never said erases nothing', () => {
  test('an empty field that nobody emptied loses to anything said, however old', () => {
    const full: Copy = { data: { ...sample(), rough: { mm: 8, halfMm: 1, how: 'chip' } }, clocks: { '': 1 } };
    const bare: Copy = { data: sampleSchema.cast({ when: WHEN }), clocks: { '': 99 } };
    expect(merge(full, bare).data).toMatchObject({
      place: 'ford',
      rough: { mm: 8 },
      photos: ['p1'],
      specimens: [{ id: 's1' }, { id: 's2' }],
    });
  });
  test('one that was emptied on purpose, later, stays empty', () => {
    const [one, other] = [device('sample', sample()), device('sample', sample())];
    other.edit(BORN + 1, (data) => ({ ...data, place: 'weir' }));
    one.edit(BORN + 2, (data) => ({ ...data, place: '' }));
    expect((merge(other.copy, one.copy).data as SampleRecord).place).toBe('');
  });
});

describe('things of a list', () => {
  test('an insect measured again later than it was dropped is there, with all that is known of it', () => {
    const [one, other] = [device('sample', sample()), device('sample', sample())];
    other.edit(BORN + 1, (data) => ({ ...data, specimens: data.specimens.filter(({ id }) => id !== 's1') }));
    one.edit(BORN + 2, (data) => ({
      ...data,
      specimens: data.specimens.map((item) => (item.id === 's1' ? { ...item, sex: 'male' } : item)),
    }));
    expect((merge(one.copy, other.copy).data as SampleRecord).specimens[0]).toEqual({
      ...specimen('s1', 8),
      sex: 'male',
    });
    other.edit(BORN + 9, (data) => ({
      ...data,
      specimens: data.specimens.map((item) => ({ ...item, out: 'shrunk' })),
    }));
    expect((merge(one.copy, other.copy).data as SampleRecord).specimens.map(({ id }) => id)).toEqual(['s1', 's2']);
  });
  test('dimensions of one size of a hook are joined', () => {
    const model = modelSchema.cast({
      makerId: 'm',
      slug: 'x',
      name: 'X',
      bend: 'round',
      eye: 'down',
      point: 'straight',
      barb: 'none',
      sizes: { '1/0': sizeRecord() },
    }) as ModelRecord;
    const [one, other] = [device('model', model), device('model', model)];
    one.edit(BORN + 1, (data) => ({ ...data, sizes: { '1/0': { ...data.sizes['1/0']!, shankMm: 22 } } }));
    other.edit(BORN + 2, (data) => ({
      ...data,
      sizes: { '1/0': { ...data.sizes['1/0']!, gapeMm: 9 }, '2/0': sizeRecord({ wireMm: 1 }) },
    }));
    expect((mergeCopies('model', one.copy, other.copy).data as ModelRecord).sizes).toMatchObject({
      '1/0': { shankMm: 22, gapeMm: 9 },
      '2/0': { wireMm: 1 },
    });
  });
});

describe('what two sound copies can make broken', () => {
  const match = (leading: string, ...ids: string[]) =>
    matchSchema.cast({
      opened: WHEN,
      sampleId: 's',
      answers: ids.map((id) => newAnswer(id, 'mayfly/dun')),
      leading,
    }) as MatchRecord;
  test('a match has an answer that leads, and no more than it may have', () => {
    expect(mendedBy('match', match('gone', 'a1', 'a2'))).toMatchObject({ leading: 'a1' });
    expect(mendedBy('match', match('a1'))).toMatchObject({ leading: 'a1', answers: [{ id: 'a1', stage: null }] });
    expect(
      (mendedBy('match', match('a2', 'a1', 'a2', 'a3', 'a4', 'a5')) as MatchRecord).answers.map(({ id }) => id),
    ).toEqual(['a2', 'a3', 'a4', 'a5']);
  });
  test('a group has stages of its order, one at least', () => {
    const group = groupSchema.cast({ order: 'caddis', name: 'A', stages: [{ stage: 'mayfly/dun' }] });
    expect(mendedBy('group', group)).toMatchObject({ stages: [{ stage: expect.stringMatching(/^caddis\//) }] });
  });
  test('what is whole stays as it is', () => {
    const box = boxSchema.cast({ name: 'A', rows: 1, columns: 1 });
    const whole = match('a1', 'a1');
    expect([mendedBy('box', box) === box, mendedBy('match', whole) === whole]).toEqual([true, true]);
  });
});
