import 'fake-indexeddb/auto';
import type { KeyStore } from '../ports';
import { reviving } from './reviving';

let next = 0;
/** A database of its own, and a first store whose connection the browser may close. */
function closable(error: Error | null = null) {
  const state = { error, asked: 0 };
  const broken = async () => {
    state.asked++;
    if (state.error) throw state.error;
    return {} as never;
  };
  const first: KeyStore = { getMany: broken, setMany: broken, removeMany: broken, getAllKeys: broken };
  const name = `reviving-${++next}`;
  return { state, name, store: reviving(first, name) };
}
const CLOSING = new DOMException('The database connection is closing.', 'InvalidStateError');

test('while the first store answers nothing else is opened', async () => {
  const { store, state, name } = closable();
  await store.setMany({ a: '1' });
  expect(state.asked).toBe(1);
  expect((await indexedDB.databases()).map((own) => own.name)).not.toContain(name);
});

test('a connection that was closed is opened anew, in the same database, and asked from then on', async () => {
  const { store, state } = closable(CLOSING);
  await store.setMany({ a: '1', b: '2' });
  expect(await store.getMany(['a', 'c'])).toEqual({ a: '1', c: null });
  expect(await store.getAllKeys()).toEqual(['a', 'b']);
  await store.removeMany(['a']);
  expect(await store.getAllKeys()).toEqual(['b']);
  expect(state.asked).toBe(1);
});

test('what has no room is not tried elsewhere: the page says so', async () => {
  const { store, name } = closable(new DOMException('Exceeded.', 'QuotaExceededError'));
  await expect(store.setMany({ a: '1' })).rejects.toThrow('Exceeded');
  expect((await indexedDB.databases()).map((own) => own.name)).not.toContain(name);
});

test('a database that was deleted under the open page is there again when it is written to', async () => {
  const { store, name } = closable(CLOSING);
  await store.setMany({ a: '1' });
  await new Promise((gone) => {
    indexedDB.deleteDatabase(name).onsuccess = gone;
  });
  expect(store.wasEmptied!()).toBe(true);
  await store.setMany({ b: '2' });
  expect(await store.getAllKeys()).toEqual(['b']);
  expect([store.wasEmptied!(), store.wasEmptied!()]).toEqual([true, false]);
});

test('where nothing can be opened the reason is handed on', async () => {
  const { store } = closable(CLOSING);
  const { open } = IDBFactory.prototype;
  IDBFactory.prototype.open = () => {
    throw new DOMException('denied', 'SecurityError');
  };
  await expect(store.getAllKeys()).rejects.toThrow('denied');
  IDBFactory.prototype.open = open;
});
