import fc from 'fast-check';
import { noEntities, type Entities } from '@/records';
import { gathering, withChanges } from './table';

const LARGE = 300;
const large = (): Entities => ({
  ...noEntities(),
  box: Object.fromEntries(Array.from({ length: LARGE }, (_, n) => [`b${n}`, box(`box ${n}`)])),
});
const box = (name: string) => ({ demo: false, name, rows: 1, columns: 1, carried: true });
const change = (entities: Entities, ...changes: [string, object | null][]) =>
  withChanges(entities, new Map([['box', new Map(changes)]]));

test('a large table with changes over it reads like a plain one, in the same order, whatever is done to it', () => {
  const step = fc.tuple(fc.integer({ min: 0, max: LARGE + 40 }), fc.boolean());
  fc.assert(
    fc.property(fc.array(step, { maxLength: 150 }), (steps) => {
      let entities = large();
      const plain: Record<string, object> = { ...entities.box };
      for (const [n, there] of steps) {
        const id = `b${n}`;
        entities = change(entities, [id, there ? box(`again ${n}`) : null]);
        if (there) plain[id] = box(`again ${n}`);
        else delete plain[id];
      }
      expect(Object.keys(entities.box).sort()).toEqual(Object.keys(plain).sort());
      expect({ ...entities.box }).toEqual(plain);
      for (const id of ['b0', 'b7', `b${LARGE + 1}`, 'none'])
        expect([id in entities.box, entities.box[id]]).toEqual([id in plain, plain[id]]);
    }),
    { numRuns: 40 },
  );
});

test('what was there keeps its place, and what is new stands last', () => {
  const entities = change(change(large(), ['b5', box('five')]), ['new', box('new')], ['b0', null]);
  expect(Object.keys(entities.box).slice(0, 6)).toEqual(['b1', 'b2', 'b3', 'b4', 'b5', 'b6']);
  expect(Object.keys(entities.box).at(-1)).toBe('new');
});

test('a change leaves the table before it as it was, and tables that it is not about', () => {
  const before = large();
  const after = change(before, ['b1', null]);
  expect([before.box.b1!.name, after.box.b1, after.fly === before.fly]).toEqual(['box 1', undefined, true]);
});

test('a table that reads through cannot be written past a change', () => {
  const { box: table } = change(large(), ['b1', null]);
  expect(() => void (table.b2 = box('x'))).toThrow();
  expect(() => void delete table.b2).toThrow();
});

test('its cost follows the changes: no walk through what is there', () => {
  const entities = large();
  let asked = 0;
  const counting = {
    ...entities,
    box: new Proxy(entities.box, { ownKeys: (target) => (asked++, Reflect.ownKeys(target)) }),
  };
  let now: Entities = counting;
  for (let n = 0; n < 50; n++) now = change(now, [`b${n}`, box('x')]);
  // Once, to learn how large it is.
  expect(asked).toBe(1);
  for (let n = 0; n < 50; n++) now = change(now, [`b${200 + n}`, box('x')]);
  expect(asked).toBe(2);
});

test('what is gathered is seen by what comes next', () => {
  const all = gathering(large());
  all.put('box', 'b1', box('first'));
  all.put('box', 'b1', { ...all.at('box', 'b1')!, rows: 9 });
  all.put('box', 'b2', null);
  expect([all.at('box', 'b2'), all.entities().box.b1]).toEqual([undefined, { ...box('first'), rows: 9 }]);
});
