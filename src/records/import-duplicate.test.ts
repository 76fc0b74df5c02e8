import fc from 'fast-check';
import { DRESSINGS, KNOWN } from '@/catalogue';
import { dressingSchema, type Dressing } from '@/core/dressings';
import { readHooksFile } from '@/core/exchange';
import { around } from './__tests__/around';
import type { Clocks } from './clocks';
import { cleanEntities } from './demo';
import { takeDressings } from './dressing/take';
import { takeSaid, type Said } from './import-duplicate';
import type { Entities } from './kinds';
import { mergeCopies, type Copy } from './merge';
import { takeHooks } from './model/commands';
import { packetSchema } from './packet/schema';

const NOW = 1_000_000;

/** A device that reads files: its records, and when their parts were edited. */
function device(records: Partial<Entities> = {}, clocks: Record<string, Clocks> = {}) {
  const entities = { ...cleanEntities(), ...records };
  const here = {
    ...around(),
    clocksOf: (kind: string, id: string) => clocks[`${kind}/${id}`],
    clocked: (kind: string, id: string, when: Clocks) => void (clocks[`${kind}/${id}`] = when),
  };
  return { entities, clocks, here };
}

const PACKET = { hookId: 'osmere:lark:14', label: 'tin', note: 'old', low: 5 };
const holding = (clocks: Clocks = { '': 10 }) =>
  device({ packet: { p: packetSchema.cast(PACKET) } }, { 'packet/p': clocks });

describe('what a file says is an edit made now', () => {
  test.each<[string, Clocks, Partial<typeof PACKET>]>([
    ['what another device edits later wins', { '': 10, note: NOW + 1 }, { note: 'later', low: 9 }],
    ['what it edited before does not', { '': 10, note: NOW - 1 }, { note: 'file', low: 9 }],
  ])('%s', (_, clocks, wanted) => {
    const { entities, here, clocks: known } = holding();
    takeSaid(entities, 'packet', 'p', { note: 'file', low: 9 }, here);
    const other: Copy = { data: packetSchema.cast({ ...PACKET, note: 'later' }), clocks };
    const read: Copy = { data: entities.packet.p!, clocks: known['packet/p']! };
    expect(mergeCopies('packet', read, other).data).toMatchObject(wanted);
    expect(mergeCopies('packet', other, read).data).toMatchObject(wanted);
  });
  test('it goes over what a device with a fast clock wrote, for who reads a file has seen what stands', () => {
    const { entities, here } = holding({ '': 10, note: NOW + 5000 });
    takeSaid(entities, 'packet', 'p', { note: 'file' }, here);
    expect(entities.packet.p!.note).toBe('file');
  });
  test('a record that was deleted comes back', () => {
    const { entities, here, clocks } = device({}, { 'packet/p': { '': 10, '!': NOW + 5 } });
    takeSaid(entities, 'packet', 'p', PACKET, here);
    expect(entities.packet.p).toMatchObject(PACKET);
    expect(clocks['packet/p']!['~']).toBeGreaterThan(NOW + 5);
  });
});

const field = fc.option(fc.constantFrom('', 'a', 'b'), { nil: null });
const said = fc.record({ label: field, note: field, low: fc.option(fc.integer({ min: 0, max: 3 }), { nil: null }) });

test('what is left empty erases nothing, what is said stands, twice is once, and nothing new is no change', () =>
  fc.assert(
    fc.property(said, said, (first, second) => {
      const { entities, here, clocks } = holding();
      for (const file of [first, second]) {
        const before = { ...entities.packet.p! } as Record<string, unknown>;
        takeSaid(entities, 'packet', 'p', file as Said<'packet'>, here);
        for (const [name, value] of Object.entries(file))
          expect(entities.packet.p![name as 'note']).toEqual(value === null || value === '' ? before[name] : value);
      }
      const [kept, times] = [structuredClone(entities.packet), { ...clocks }];
      takeSaid(entities, 'packet', 'p', second as Said<'packet'>, here);
      expect([entities.packet, clocks]).toEqual([kept, times]);
    }),
  ));

test('a demo record that a file says nothing new of stays the demo’s, one that it changes is the tier’s', () => {
  const { entities, here } = holding();
  entities.packet.p!.demo = true;
  takeSaid(entities, 'packet', 'p', PACKET, here);
  expect(entities.packet.p!.demo).toBe(true);
  takeSaid(entities, 'packet', 'p', { low: 6 }, here);
  expect(entities.packet.p!.demo).toBe(false);
});

describe('through the readers', () => {
  const hooks = (text: string) => ({ rows: readHooksFile(text, KNOWN).rows });
  test('one dimension of one size is edited now; the rest of the model keeps its times and its name', () => {
    const { entities, here, clocks } = device();
    takeHooks.run(
      entities,
      hooks(
        'maker,model,model_name,size,bend,shank_mm,gape_mm\nm,x,Fine X,14,round,7.3,4\nm,x,Fine X,16,round,6.1,3\n',
      ),
      { ...here, at: 10 },
    );
    takeHooks.run(entities, hooks('maker,model,size,bend,shank_mm\nm,x,14,round,7.4\n'), here);
    expect(entities.model['m:x']).toMatchObject({
      name: 'Fine X',
      sizes: { 14: { shankMm: 7.4, gapeMm: 4 }, 16: { shankMm: 6.1, gapeMm: 3 } },
    });
    const edited = Object.entries(clocks['model/m:x']!).filter(([, at]) => at === NOW);
    expect(edited.map(([path]) => path).sort()).toEqual(['sizes/14', 'sizes/14/shankMm']);
  });
  test('a size that was taken out comes back with what the file says of it', () => {
    const { entities, here } = device();
    const file = hooks('maker,model,size,bend,shank_mm\nm,x,14,round,7.3\nm,x,16,round,6.1\n');
    takeHooks.run(entities, file, here);
    delete entities.model['m:x']!.sizes['14'];
    takeHooks.run(entities, file, here);
    expect(entities.model['m:x']!.sizes['14']).toMatchObject({ shankMm: 7.3, retired: false });
  });
  test('a dressing of a file says what it leaves out too, and read again gets no new number', () => {
    const mine = dressingSchema(KNOWN).cast({
      ...structuredClone(DRESSINGS[0]!),
      id: 'mine',
      rev: 1,
      tools: ['bodkin'],
    }) as Dressing;
    const { entities, here } = device();
    const read = (more: object) =>
      takeDressings.run(entities, { dressings: [{ ...mine, ...more }], materials: [] }, here);
    read({});
    read({ tools: [], rev: 4 });
    expect(entities.dressing.dressing_mine).toMatchObject({ tools: [], rev: 4 });
    entities.fly.f = { dressingId: 'mine', dressingRev: 4 } as Entities['fly'][string];
    read({ tools: [], rev: 4 });
    expect(entities.dressing.dressing_mine!.rev).toBe(4);
    read({ minutes: 77 });
    expect(entities.dressing.dressing_mine).toMatchObject({ rev: 5, minutes: 77 });
  });
});
