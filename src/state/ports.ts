import { createAsyncStorage } from '@react-native-async-storage/async-storage';
import { v7 as uuid } from 'uuid';
import { STORE_NAME } from '@/records/store-names';
import { reviving } from './storage/reviving';

/** Everything the app takes from outside itself; injected, so that tests and the frozen valley clock replace it. */
export interface Ports {
  /** Milliseconds since 1970, real time: used for revisions, undo grouping and ids. */
  now(): number;
  /** `kind_` and a UUIDv7. */
  newId(kind: string): string;
  /** 0 to 1. */
  random(): number;
  /** This tab, also after it was loaded again: `tab_` and a UUIDv7. */
  tab: string;
  storage: KeyStore;
  locks: Locks;
  channel: Channel;
}

/** The part of AsyncStorage 3 that the app uses; `setMany` is one transaction. */
export interface KeyStore {
  getMany(keys: string[]): Promise<Record<string, string | null>>;
  setMany(entries: Record<string, string>): Promise<void>;
  removeMany(keys: string[]): Promise<void>;
  getAllKeys(): Promise<string[]>;
  /** Whether it was found empty after it had been open, since this was asked last. */
  wasEmptied?(): boolean;
}

/** A store that lasts as long as the page. */
export function inMemory(): KeyStore {
  const texts = new Map<string, string>();
  return {
    getMany: async (keys) => Object.fromEntries(keys.map((key) => [key, texts.get(key) ?? null])),
    setMany: async (entries) => {
      for (const [key, text] of Object.entries(entries)) texts.set(key, text);
    },
    removeMany: async (keys) => {
      for (const key of keys) texts.delete(key);
    },
    getAllKeys: async () => [...texts.keys()],
  };
}

export interface Locks {
  request<T>(name: string, task: () => Promise<T>): Promise<T>;
}

/** Messages between tabs of one browser. */
export interface Channel {
  post(message: unknown): void;
  listen(hear: (message: unknown) => void): () => void;
}

/** On plain http there are no Web Locks: one tab at a time then waits for itself only. */
function browserLocks(): Locks {
  const locks = typeof navigator === 'undefined' ? undefined : navigator.locks;
  if (locks) return { request: (name, task) => locks.request(name, task) as never };
  let last: Promise<unknown> = Promise.resolve();
  return {
    request: (_name, task) => {
      const next = last.then(task, task);
      last = next.catch(() => undefined);
      return next;
    },
  };
}

function browserChannel(name: string): Channel {
  if (typeof BroadcastChannel === 'undefined') return { post: () => undefined, listen: () => () => undefined };
  const channel = new BroadcastChannel(name);
  return {
    post: (message) => channel.postMessage(message),
    listen: (hear) => {
      const on = (event: MessageEvent) => hear(event.data);
      channel.addEventListener('message', on);
      return () => channel.removeEventListener('message', on);
    },
  };
}

const TAB = 'aubade-tab';

/** The id of this tab; where the browser remembers nothing for a tab, a new one at every opening. */
function tabOf(): string {
  const made = `tab_${uuid()}`;
  try {
    const known = sessionStorage.getItem(TAB);
    if (known) return known;
    sessionStorage.setItem(TAB, made);
  } catch {
    // A private window may refuse: then a reload forgets what could be taken back.
  }
  return made;
}

export function browserPorts(): Ports {
  return {
    now: () => Date.now(),
    newId: (kind) => `${kind}_${uuid()}`,
    random: () => Math.random(),
    tab: tabOf(),
    storage: reviving(createAsyncStorage(STORE_NAME), STORE_NAME),
    locks: browserLocks(),
    channel: browserChannel('aubade'),
  };
}

/** Local time of this device as `2033-05-24T04:50`, for a sample taken now. */
export function localStamp(now: number): string {
  const at = new Date(now);
  const two = (value: number) => String(value).padStart(2, '0');
  return `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}T${two(at.getHours())}:${two(at.getMinutes())}`;
}
