import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import { Packer } from '@/core/archive/zip';
import type { Clocks } from '../clocks';
import { recordsFile } from '../file';
import { KINDS, type Entities, type Kind } from '../kinds';
import type { EventOp } from '../ledger';
import { csvOf, TABLE_NAMES, TABLES } from './tables';
import { README } from './readme';

export const BACKUP_VERSION = 1;
export const MANIFEST = 'manifest.json';
const recordsPath = (kind: string) => `records/${kind}.json`;
const tablePath = (name: string) => `tables/${name}.csv`;

const ENDINGS: Readonly<Record<string, string>> = {
  'image/jpeg': 'jpg',
  'image/png': 'png',
  'image/webp': 'webp',
  'image/avif': 'avif',
  'image/heic': 'heic',
};
/** Ids of ours are plain; one that a file brought may be anything. */
export const photoPath = (id: string, type: string) => `photos/${encodeURIComponent(id)}.${ENDINGS[type] ?? 'bin'}`;

/** One file of a backup as its manifest names it. */
export interface FileOf {
  path: string;
  bytes: number;
  sha256: string;
}

export interface Manifest {
  aubade: 'backup';
  version: number;
  /** Local time of the device it was made on. */
  made: string;
  /** The app's own version. */
  app: string;
  /** Schema version of every kind, and how many records of it there are. */
  kinds: Partial<Record<Kind, { version: number; count: number }>>;
  /** Whether it is all of the tier's own; a part of it is only ever joined with what is there. */
  whole: boolean;
  /** Photographs whose picture was not on the device. */
  missing: string[];
  files: FileOf[];
}

/** What is packed but for the pictures: texts by path, and which pictures belong to it. */
export interface BackupPlan {
  head: Pick<Manifest, 'made' | 'app' | 'kinds' | 'whole'>;
  texts: { path: string; text: string }[];
  photos: { id: string; path: string }[];
}

/** Of all records those that are named by their keys. */
export function onlyOf(entities: Entities, keys: readonly string[]): Entities {
  const wanted = new Set(keys);
  return Object.fromEntries(
    (Object.keys(KINDS) as Kind[]).map((kind) => [
      kind,
      Object.fromEntries(Object.entries(entities[kind]).filter(([id]) => wanted.has(`${kind}/${id}`))),
    ]),
  ) as unknown as Entities;
}

/** What a backup of some records holds: a JSON file a kind with its ledgers, tables beside, and the pictures of its photographs to come. */
export function planBackup({
  entities,
  clocks,
  keys,
  events,
  made,
  app,
  whole = true,
}: {
  entities: Entities;
  clocks: ReadonlyMap<string, Clocks>;
  keys: readonly string[];
  events: readonly EventOp[];
  made: string;
  app: string;
  /** A part of what there is goes as records and pictures alone, without what is for other programs. */
  whole?: boolean;
}): BackupPlan {
  const wanted = new Set(keys);
  const kinds = (Object.keys(KINDS) as Kind[]).filter((kind) =>
    Object.keys(entities[kind]).some((id) => wanted.has(`${kind}/${id}`)),
  );
  const held = onlyOf(entities, keys);
  const keysOf = (kind: Kind) => Object.keys(held[kind]).map((id) => `${kind}/${id}`);
  const records = kinds.map((kind) => ({
    path: recordsPath(kind),
    text: recordsFile(
      entities,
      clocks,
      keysOf(kind),
      events.filter((op) => op.kind === kind && op.owner in held[op.kind]),
    ),
  }));
  const tables = TABLE_NAMES.flatMap((name) => {
    const table = TABLES[name](held, events);
    return table.rows.length === 0 ? [] : [{ path: tablePath(name), text: csvOf(table) }];
  });
  return {
    head: {
      made,
      app,
      whole,
      kinds: Object.fromEntries(
        kinds.map((kind) => [kind, { version: KINDS[kind].version, count: keysOf(kind).length }]),
      ),
    },
    texts: whole ? [{ path: 'README.txt', text: README }, ...records, ...tables] : records,
    photos: Object.entries(held.photo).map(([id, { type }]) => ({ id, path: photoPath(id, type) })),
  };
}

/** A picture that is kept as a data URL, as its bytes; null where it is none. */
function bytesOfDataUrl(url: string): Uint8Array | null {
  const comma = url.indexOf(',');
  if (!url.startsWith('data:image/') || !url.slice(0, comma).endsWith(';base64')) return null;
  try {
    return Uint8Array.from(atob(url.slice(comma + 1)), (char) => char.charCodeAt(0));
  } catch {
    return null;
  }
}

/** Packs a backup, its pictures read one after the other; the manifest with every checksum comes last. In pieces, to be laid one after the other. */
export async function packBackup(
  { head, texts, photos }: BackupPlan,
  pictureOf: (id: string) => Promise<string | null>,
  onProgress: (done: number) => void = () => undefined,
): Promise<{ parts: Uint8Array[]; missing: string[] }> {
  const packer = new Packer();
  const files: FileOf[] = [];
  const add = (path: string, bytes: Uint8Array, packed = false) => {
    packer.add(path, bytes, { packed });
    files.push({ path, bytes: bytes.length, sha256: bytesToHex(sha256(bytes)) });
  };
  const coder = new TextEncoder();
  for (const { path, text } of texts) add(path, coder.encode(text));
  const missing: string[] = [];
  for (const [index, { id, path }] of photos.entries()) {
    const url = await pictureOf(id);
    const bytes = url === null ? null : bytesOfDataUrl(url);
    if (bytes) add(path, bytes, true);
    else missing.push(id);
    onProgress((index + 1) / photos.length);
  }
  const manifest: Manifest = { aubade: 'backup', version: BACKUP_VERSION, ...head, missing, files };
  packer.add(MANIFEST, coder.encode(`${JSON.stringify(manifest, null, 1)}\n`));
  return { parts: packer.end(), missing };
}
