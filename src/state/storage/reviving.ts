import { openDB, type IDBPDatabase } from 'idb';
import type { KeyStore } from '../ports';

/** The table that AsyncStorage keeps its entries in. */
const TABLE = 'entries';
const isFull = (error: unknown) => /quota/i.test(`${(error as Error)?.name} ${(error as Error)?.message}`);

/**
 * A store that goes on when the browser has closed its connection: after a disk that was full, or when what is stored was cleared under the open page. AsyncStorage holds one
 * connection as long as the page lasts and knows no other; where it fails for another reason than room, the same database is opened anew, and asked from then on.
 */
export function reviving(first: KeyStore, name: string): KeyStore {
  let own: Promise<IDBPDatabase> | null = null;
  let emptied = false;
  const forget = () => void (own = null);
  const database = () =>
    (own ??= openDB(name, 1, {
      upgrade: (db) => {
        db.createObjectStore(TABLE);
        emptied = true;
      },
      terminated: forget,
      blocking: (_current, _blocked, event) => {
        // Another page clears the database: it is opened again when it is next asked for.
        (event.target as IDBDatabase).close();
        forget();
      },
    }).catch((error: unknown) => {
      forget();
      throw error;
    }));
  const anew: KeyStore = {
    async getMany(keys) {
      const table = (await database()).transaction(TABLE).store;
      const texts = (await Promise.all(keys.map((key) => table.get(key)))) as (string | undefined)[];
      return Object.fromEntries(keys.map((key, at) => [key, texts[at] ?? null]));
    },
    async setMany(entries) {
      const change = (await database()).transaction(TABLE, 'readwrite');
      await Promise.all([...Object.entries(entries).map(([key, text]) => change.store.put(text, key)), change.done]);
    },
    async removeMany(keys) {
      const change = (await database()).transaction(TABLE, 'readwrite');
      await Promise.all([...keys.map((key) => change.store.delete(key)), change.done]);
    },
    async getAllKeys() {
      return (await (await database()).getAllKeys(TABLE)) as string[];
    },
  };
  let revived = false;
  /** Asks the store at hand; one that fails, and not for want of room, is asked anew once. */
  const ask = async <R>(what: (store: KeyStore) => Promise<R>): Promise<R> => {
    try {
      return await what(revived ? anew : first);
    } catch (error) {
      if (isFull(error)) throw error;
      forget();
      const answer = await what(anew);
      revived = true;
      return answer;
    }
  };
  return {
    getMany: (keys) => ask((store) => store.getMany(keys)),
    setMany: (entries) => ask((store) => store.setMany(entries)),
    removeMany: (keys) => ask((store) => store.removeMany(keys)),
    getAllKeys: () => ask((store) => store.getAllKeys()),
    wasEmptied() {
      const was = emptied;
      emptied = false;
      return was;
    },
  };
}
