import type { Channel, KeyStore, Locks, Ports } from '../ports';

export interface MemoryStore extends KeyStore {
  texts: Record<string, string>;
  /** Keys of every `setMany`, in order. */
  writes: string[][];
}

export function memoryStore(texts: Record<string, string> = {}): MemoryStore {
  const writes: string[][] = [];
  return {
    texts,
    writes,
    getMany: async (keys) => Object.fromEntries(keys.map((key) => [key, texts[key] ?? null])),
    setMany: async (entries) => {
      writes.push(Object.keys(entries));
      Object.assign(texts, entries);
    },
    removeMany: async (keys) => keys.forEach((key) => delete texts[key]),
    getAllKeys: async () => Object.keys(texts),
  };
}

/** Channels of several tabs: what one posts, the others hear. */
export function tabs(): () => Channel {
  const hearers: ((message: unknown) => void)[] = [];
  return () => {
    let own: ((message: unknown) => void) | null = null;
    return {
      post: (message) => hearers.filter((hear) => hear !== own).forEach((hear) => hear(message)),
      listen: (hear) => {
        own = hear;
        hearers.push(hear);
        return () => void hearers.splice(hearers.indexOf(hear), 1);
      },
    };
  };
}

/** One lock for all tabs: tasks run one after another. */
export function queue(): Locks {
  let last: Promise<unknown> = Promise.resolve();
  return {
    request: (_name, task) => {
      const next = last.then(task);
      last = next.catch(() => undefined);
      return next;
    },
  };
}

/** Everything from outside, held still: a clock that is set by hand, counting ids, storage in memory. */
export function memoryPorts(more: Partial<Ports> = {}): Ports & { clock: { now: number } } {
  const clock = { now: 1_000_000 };
  let ids = 0;
  return {
    clock,
    now: () => clock.now,
    newId: (kind) => `${kind}_${++ids}`,
    random: () => 0.5,
    tab: 'tab_1',
    storage: memoryStore(),
    locks: { request: (_name, task) => task() },
    channel: { post: () => undefined, listen: () => () => undefined },
    ...more,
  };
}
