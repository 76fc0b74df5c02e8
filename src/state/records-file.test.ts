import { readFileSync } from 'node:fs';
import { join as path } from 'node:path';
import { enterFly, flySchema, heldOf, readRecords, setPacket, type Carried } from '@/records';
import { memoryPorts } from './__tests__/ports';
import { change } from './__tests__/change';
import { act, foresee } from './act';
import { newIn, writeRecords } from './records-file';
import { mergeBackup } from '@/records/backup';
import { createStore, openStore, undone, type Store } from './store';

const WHEN = '2033-05-24T04:50';
let made = 0;

async function open(start: 'clean' | 'demo' = 'clean') {
  const own = ++made;
  let next = 0;
  const store = createStore(memoryPorts({ newId: (kind) => `${kind}_${own}-${++next}` }));
  const persistence = await openStore(store, { start, clock: WHEN });
  return { store, persistence, entities: () => store.getState().records.entities };
}
/** A box with one fly of which five came and one was lost. */
async function season() {
  const tab = await open();
  tab.store.dispatch(
    change('put-in', (draft) => {
      draft.box.b = { demo: false, name: 'Auldry', rows: 4, columns: 6, carried: true };
      draft.fly.f = flySchema.cast({ name: 'bought' });
    }),
  );
  const move = (count: number) =>
    tab.store.dispatch(act(enterFly, { flyId: 'f', boxId: 'b', slot: 'a1', count, why: count > 0 ? 'got' : 'lost' }));
  move(5);
  move(-1);
  await tab.persistence.flush();
  return { ...tab, move };
}
async function take(store: Store, carried: Carried): Promise<void> {
  store.dispatch(act(mergeBackup, { carried: await newIn(store, carried) }));
}

function read(text: string): Carried {
  const result = readRecords(text);
  if (!result.ok) throw new Error(result.fault.code);
  return result.carried;
}

test('all of the tier’s own goes out and comes in elsewhere, ledgers too; twice is once, and undo takes it back', async () => {
  const from = await season();
  const text = await writeRecords(from.store, null);
  const to = await open();
  const before = to.entities();
  await take(to.store, read(text));
  expect([to.entities().box.b, heldOf(to.entities().fly.f!)]).toEqual([
    from.entities().box.b,
    [{ boxId: 'b', slot: 'a1', left: 4 }],
  ]);
  await to.persistence.flush();
  const once = to.entities();
  const again = await newIn(to.store, read(text));
  expect(again.events).toEqual([]);
  expect(
    await foresee(once, to.store.clocks, { now: WHEN, at: to.store.ports.now() }, mergeBackup, { carried: again }),
  ).toMatchObject({ adds: [], changes: [], drops: [] });
  await take(to.store, read(text));
  await to.persistence.flush();
  expect(to.entities()).toEqual(once);
  to.store.dispatch(undone());
  await to.persistence.flush();
  expect(to.entities()).toEqual(before);
});

test('ledgers of both join: what was lost here and there is lost twice', async () => {
  const from = await season();
  const to = await open();
  await take(to.store, read(await writeRecords(from.store, null)));
  to.store.dispatch(act(enterFly, { flyId: 'f', boxId: 'b', slot: 'a1', count: -1, why: 'lost' }));
  await to.persistence.flush();
  from.move(-1);
  await from.persistence.flush();
  await take(to.store, read(await writeRecords(from.store, null)));
  await to.persistence.flush();
  expect(heldOf(to.entities().fly.f!)[0]!.left).toBe(2);
});

test('a move that was taken back here is not brought back by a file', async () => {
  const from = await season();
  const to = await open();
  await take(to.store, read(await writeRecords(from.store, null)));
  const text = await writeRecords(to.store, null);
  to.store.dispatch(act(enterFly, { flyId: 'f', boxId: 'b', slot: 'a1', count: -2, why: 'given' }));
  await to.persistence.flush();
  const later = await writeRecords(to.store, null);
  to.store.dispatch(undone());
  await to.persistence.flush();
  for (const file of [text, later]) await take(to.store, read(file));
  await to.persistence.flush();
  expect(heldOf(to.entities().fly.f!)[0]!.left).toBe(4);
});

test('what could not be stored is in the file with its moves, and comes in when there is room', async () => {
  const from = await season();
  from.store.ports.storage.setMany = () =>
    Promise.reject(Object.assign(new Error('full'), { name: 'QuotaExceededError' }));
  from.move(-1);
  from.store.dispatch(change('box', (draft) => void (draft.box.b!.name = 'Auldry, second')));
  await from.persistence.flush();
  const { keys } = from.store.getState().session.unkept!;
  from.persistence.close();
  expect([...keys].sort()).toEqual(['box/b', 'fly/f']);
  const text = await writeRecords(from.store, keys);
  const here = await season();
  await take(here.store, read(text));
  await here.persistence.flush();
  expect([here.entities().box.b!.name, heldOf(here.entities().fly.f!)[0]!.left]).toEqual(['Auldry, second', 3]);
});

test('the example in the documents is read, and written again the same', async () => {
  const example = readFileSync(path(__dirname, '../../docs/formats/examples/records.json'), 'utf8');
  const to = await open();
  await take(to.store, read(example));
  await to.persistence.flush();
  expect(heldOf(to.entities().fly.fly_example!)[0]!.left).toBe(5);
  const all = JSON.parse(await writeRecords(to.store, null)) as { items: unknown[] };
  expect(all.items).toEqual(expect.arrayContaining((JSON.parse(example) as { items: unknown[] }).items));
});

describe('files that are none', () => {
  const file = (items: unknown, version = 2) => JSON.stringify({ aubade: 'records', version, items });
  const event = {
    kind: 'event',
    id: 'e',
    of: 'fly',
    owner: 'f',
    on: true,
    data: { at: WHEN, boxId: 'b', slot: null, count: 1, why: 'tied' },
  };
  test.each([
    ['nonsense', '{ broken', 'records-other'],
    ['another file', '{"aubade":"bundle","version":1,"items":[]}', 'records-other'],
    ['an empty one', file([]), 'records-other'],
    ['a newer one', file([], 9), 'file-newer'],
    ['a newer record', file([{ kind: 'box', id: 'b', v: 99, data: {} }]), 'file-newer'],
    ['a broken record', file([{ kind: 'box', id: 'b', v: 1, data: { rows: 0 } }]), 'bundle-broken'],
    ['a kind that is none', file([{ kind: 'boat', id: 'b', v: 1, data: {} }]), 'bundle-broken'],
    [
      'a record without an id',
      file([{ kind: 'box', id: '', v: 1, data: { name: 'A', rows: 1, columns: 1 } }]),
      'bundle-broken',
    ],
    ['a move without a count', file([{ ...event, data: { ...event.data, count: null } }]), 'bundle-broken'],
    ['a move of nothing', file([{ ...event, of: 'boat' }]), 'bundle-broken'],
    ['nothing', file([null]), 'bundle-broken'],
  ])('%s is refused', (_, text, code) => expect(readRecords(text)).toMatchObject({ ok: false, fault: { code } }));
  test('one of before the ledgers lay apart is read with its moves', () => {
    const carried = read(
      file(
        [
          {
            kind: 'packet',
            id: 'p',
            v: 1,
            data: {
              hookId: 'osmere:lark:14',
              label: '',
              note: '',
              low: null,
              moves: { m: { at: WHEN, count: 25, why: 'got' } },
            },
          },
        ],
        1,
      ),
    );
    expect(carried.records[0]).toMatchObject({ kind: 'packet', clocks: null, data: { hookId: 'osmere:lark:14' } });
    expect(carried.events).toEqual([
      { kind: 'packet', owner: 'p', id: 'm', on: true, event: { at: WHEN, count: 25, why: 'got' } },
    ]);
  });
});

test('a packet that a file changes is told by its field, not by what its ledger comes to', async () => {
  const from = await open('demo');
  from.store.dispatch(act(setPacket, { packetId: 'packet_demo-lark-16', low: 9 }));
  await from.persistence.flush();
  const to = await open('demo');
  const carried = await newIn(to.store, read(await writeRecords(from.store, ['packet/packet_demo-lark-16'])));
  expect(
    (await foresee(to.entities(), to.store.clocks, { now: WHEN, at: 1 }, mergeBackup, { carried }))!.changes.map(
      ({ fields }) => fields,
    ),
  ).toEqual([['low']]);
});
