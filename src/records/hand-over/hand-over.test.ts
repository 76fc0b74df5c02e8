import {
  boxSchema,
  flySchema,
  matchSchema,
  noEntities,
  photoSchema,
  sampleSchema,
  type Clocks,
  type DressingRecord,
  type Entities,
} from '..';
import { keysThatGo } from './choose';
import { canSeal, handOverOf, linkOf, newHandOver, padded, seal, unseal } from './seal';

const text = (value: string) => new TextEncoder().encode(value);
const said = (bytes: Uint8Array) => new TextDecoder().decode(bytes);

describe('sealing', () => {
  test('every hand-over has a slot and a key of its own, which go over whole in a link’s fragment', () => {
    const [one, other] = [newHandOver(), newHandOver()];
    expect(one.slot).not.toBe(other.slot);
    expect(one.key).not.toBe(other.key);
    const link = new URL(linkOf('https://aubade.example', one));
    expect([link.pathname, link.search]).toEqual(['/shelf/hand-over', '']);
    expect(handOverOf(link.hash)).toEqual(one);
    expect(canSeal()).toBe(true);
  });
  test.each(['', '#', '#s=x&k=y', `#s=${'a'.repeat(22)}`, `#s=${'a'.repeat(22)}&k=${'+'.repeat(43)}`])(
    'the fragment %j names none',
    (fragment) => expect(handOverOf(fragment)).toBeNull(),
  );
  test('what was sealed opens to the same bytes, is never the same twice and does not show its text', async () => {
    const to = newHandOver();
    const [one, other] = [await seal(to, text('Dawn on the weir')), await seal(to, text('Dawn on the weir'))];
    expect(Buffer.from(one).equals(Buffer.from(other))).toBe(false);
    expect(Buffer.from(one).toString('latin1')).not.toContain('weir');
    const opened = await unseal(to, one);
    expect(opened.ok && said(opened.bytes)).toBe('Dawn on the weir');
    const nothing = await unseal(to, await seal(to, new Uint8Array()));
    expect(nothing.ok && nothing.bytes.length).toBe(0);
  });
  test('with another key, for another slot, with a byte changed or cut short it stays shut', async () => {
    const to = newHandOver();
    const whole = await seal(to, text('Dawn'));
    const shut = { ok: false, why: 'wrong' };
    expect(await unseal({ ...to, key: newHandOver().key }, whole)).toEqual(shut);
    expect(await unseal({ ...to, slot: newHandOver().slot }, whole)).toEqual(shut);
    for (const at of [1, 13, whole.length - 1])
      expect(
        await unseal(
          to,
          whole.map((byte, index) => (index === at ? byte ^ 1 : byte)),
        ),
      ).toEqual(shut);
    for (const length of [0, 1, 12, whole.length - 1]) expect(await unseal(to, whole.slice(0, length))).toEqual(shut);
  });
  test('one that a newer version sealed says so', async () => {
    const to = newHandOver();
    const whole = await seal(to, text('Dawn'));
    whole[0] = 2;
    expect(await unseal(to, whole)).toEqual({ ok: false, why: 'newer' });
  });
  test('a size says little of what is inside: never less than it, at most an eighth more, and few sizes in all', () => {
    const sizes = new Set<number>();
    for (let bytes = 2; bytes < 300_000; bytes = Math.ceil(bytes * 1.003)) {
      expect(padded(bytes)).toBeGreaterThanOrEqual(bytes);
      expect(padded(bytes)).toBeLessThanOrEqual(bytes * 1.125 + 1);
      sizes.add(padded(bytes));
    }
    expect(sizes.size).toBeLessThan(260);
    expect([padded(0), padded(1), padded(9), padded(1_000_000)]).toEqual([0, 1, 10, 1_015_808]);
  });
});

describe('what goes', () => {
  const at = '2033-05-24T04:50';
  const entities: Entities = {
    ...noEntities(),
    sample: { s: sampleSchema.cast({ when: at, photos: ['p'] }), old: sampleSchema.cast({ when: at }) },
    match: {
      m: matchSchema.cast({
        opened: at,
        sampleId: 's',
        answers: [{ id: 'a', stage: null, dressingId: 'mine', hookId: 'osmere:lark:14' }],
        leading: 'a',
      }),
      older: matchSchema.cast({ opened: at, sampleId: 'old', answers: [{ id: 'a', stage: null }], leading: 'a' }),
      demo: matchSchema.cast({
        demo: true,
        opened: at,
        sampleId: 'none',
        answers: [{ id: 'a', stage: null }],
        leading: 'a',
      }),
    },
    photo: { p: photoSchema.cast({ sampleId: 's', type: 'image/jpeg', bytes: 1, taken: at }) },
    box: {
      b: boxSchema.cast({ name: 'Chest', rows: 1, columns: 1 }),
      home: boxSchema.cast({ name: 'Home', rows: 1, columns: 1 }),
    },
    fly: {
      f: {
        ...flySchema.cast({}),
        tally: {
          places: [{ boxId: 'b', slot: null, count: 1, at }],
          latest: [{ id: 'e', event: { at, boxId: 'b', slot: null, count: 1, why: 'tied' } }],
        },
      },
    },
    dressing: {
      mine: { demo: false, parts: [{ material: 'own-fur' }, { material: 'thread' }] } as unknown as DressingRecord,
    },
    material: {
      'own-fur': { demo: false, base: null, name: 'Fur', functions: [], like: null, recipe: [], hex: '#808080' },
    },
    device: { this: {} as never },
    settings: { main: {} as never },
  };
  const clocks = new Map<string, Clocks>([
    ['sample/s', { '': 100, place: 900 }],
    ['match/m', { '': 100 }],
    ['match/older', { '': 100 }],
    ['sample/old', { '': 100 }],
    ['box/home', { '': 100 }],
  ]);
  test('a match goes with its natural, its photographs and what of one’s own it is tied from', () =>
    expect(keysThatGo(entities, clocks, { what: 'match', matchId: 'm' })).toEqual([
      'match/m',
      'sample/s',
      'photo/p',
      'dressing/mine',
      'material/own-fur',
    ]));
  test('a match that is gone is nothing', () =>
    expect(keysThatGo(entities, clocks, { what: 'match', matchId: 'gone' })).toEqual([]));
  test('since a moment goes what was edited, with what it belongs to, and whose ledger moved, with its box', () => {
    expect(keysThatGo(entities, clocks, { what: 'since', at: 900, stamp: '2033-05-24T04:00' }).sort()).toEqual([
      'box/b',
      'fly/f',
      'match/m',
      'photo/p',
      'sample/s',
    ]);
    expect(keysThatGo(entities, clocks, { what: 'since', at: 901, stamp: '2033-05-24T04:50' }).sort()).toEqual([
      'box/b',
      'fly/f',
    ]);
    expect(keysThatGo(entities, clocks, { what: 'since', at: 901, stamp: '2033-05-24T04:51' })).toEqual([]);
  });
  test('everything goes but the demo and what the device is set to', () => {
    const keys = keysThatGo(entities, clocks, { what: 'everything' });
    expect(keys).toEqual(expect.arrayContaining(['match/older', 'settings/main', 'box/home']));
    expect(keys.filter((key) => /device|demo/.test(key))).toEqual([]);
  });
});
