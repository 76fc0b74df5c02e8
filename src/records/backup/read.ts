import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import { array, boolean, mixed, number, object, string } from 'yup';
import { isZip, openZip, ZIP_LIMITS, type ZipLimits } from '@/core/archive/zip';
import { readJson } from '@/core/archive/read-json';
import { textOf } from '@/core/archive/text';
import type { Coded } from '@/core/code';
import type { Carried } from '../carried';
import { readRecords } from '../file';
import { CARRIED, readBundle, type Bundle } from '../match/file';
import { BACKUP_VERSION, MANIFEST, photoPath, type Manifest } from './write';

const manifestSchema = object({
  aubade: string().oneOf(['backup']).required(),
  version: number().integer().min(1).required(),
  made: string().required(),
  app: string().required(),
  whole: boolean().required(),
  kinds: mixed<Manifest['kinds']>().required(),
  missing: array(string().required()).required(),
  files: array(
    object({
      path: string().required(),
      bytes: number().integer().min(0).required(),
      sha256: string()
        .matches(/^[0-9a-f]{64}$/)
        .required(),
    }),
  ).required(),
});

/** What a file holds that records come back from: brought to the present schema, and which of its photographs have their picture in it. */
export interface Backup {
  /** A backup, a file of records without pictures, or one of matches. */
  from: 'backup' | 'records' | 'bundle';
  /** What a backup says of itself; null for the others. */
  manifest: Manifest | null;
  carried: Carried;
  /** By photo id, the path of its picture in the archive. */
  pictures: Record<string, string>;
  /** By photo id, pictures that lay in the file as they are: data URLs. */
  inline: Record<string, string>;
}

export type BackupRead = { ok: true; backup: Backup } | { ok: false; fault: Coded };

const refused = (code: string, params: Coded['params'] = {}): BackupRead => ({ ok: false, fault: { code, params } });

/**
 * Reads a backup. Refused untouched: no backup, one of a newer version or with newer records, one of which a file is missing, damaged (its checksum
 * says so), not named by the manifest, or does not hold what it should. Its photographs stay packed: `pictureIn` takes one out.
 */
export function readBackup(bytes: Uint8Array, limits: ZipLimits = ZIP_LIMITS): BackupRead {
  const opened = openZip(bytes, { limits });
  if (!opened.ok) return opened.fault.code === 'zip-other' ? refused('backup-other') : opened;
  const { files } = opened;
  const head = files.get(MANIFEST);
  const text = head && textOf(head);
  if (!text) return refused('backup-other');
  const json = readJson(text);
  if (!json.ok) return json.fault.code === 'file-no-json' ? refused('backup-other') : json;
  const version = Number((json.value as { version?: unknown } | null)?.version);
  if ((json.value as { aubade?: unknown } | null)?.aubade !== 'backup') return refused('backup-other');
  if (version > BACKUP_VERSION) return refused('file-newer', { version });
  if (!manifestSchema.isValidSync(json.value, { strict: true })) return refused('backup-broken', { what: MANIFEST });
  const manifest = json.value as Manifest;
  const named = new Set(manifest.files.map(({ path }) => path));
  for (const { path, bytes: length, sha256: sum } of manifest.files) {
    const file = files.get(path);
    if (!file || file.length !== length || bytesToHex(sha256(file)) !== sum)
      return refused('backup-broken', { what: path });
  }
  const stranger = [...files.keys()].find((path) => path !== MANIFEST && !named.has(path));
  if (stranger !== undefined) return refused('backup-stranger', { what: stranger });
  const carried: Carried = { records: [], events: [] };
  for (const path of named) {
    if (!/^records\/[a-z]+\.json$/.test(path)) continue;
    const own = textOf(files.get(path)!);
    const read = own === null ? null : readRecords(own);
    if (!read) return refused('backup-broken', { what: path });
    if (!read.ok) return read.fault.code === 'records-other' ? refused('backup-broken', { what: path }) : read;
    carried.records.push(...read.carried.records);
    carried.events.push(...read.carried.events);
  }
  if (carried.records.length === 0) return refused('backup-empty');
  const pictures = Object.fromEntries(
    carried.records.flatMap(({ kind, id, data }) => {
      const path = kind === 'photo' ? photoPath(id, (data as { type: string }).type) : '';
      return named.has(path) ? [[id, path]] : [];
    }),
  );
  return { ok: true, backup: { from: 'backup', manifest, carried, pictures, inline: {} } };
}

/** Reads any file that records come back from: a backup, one of records, or one of matches. */
export function readAnyBackup(bytes: Uint8Array): BackupRead {
  if (isZip(bytes)) return readBackup(bytes);
  const text = textOf(bytes);
  if (text === null) return refused('backup-other');
  const records = readRecords(text);
  if (records.ok)
    return {
      ok: true,
      backup: { from: 'records', manifest: null, carried: records.carried, pictures: {}, inline: {} },
    };
  if (records.fault.code !== 'records-other') return records;
  const matches = readBundle(text);
  if (!matches.ok) return matches.fault.code === 'bundle-other' ? refused('backup-other') : matches;
  return { ok: true, backup: backupOf(matches.bundle) };
}

/** A file of matches as a backup of a part: what takes one takes the other. */
export function backupOf(bundle: Bundle): Backup {
  const carried: Carried = {
    records: CARRIED.flatMap((kind) =>
      Object.entries(bundle[kind]).map(([id, data]) => ({
        kind,
        id,
        data: data as object,
        clocks: bundle.clocks[`${kind}/${id}`] ?? null,
      })),
    ),
    events: [],
  };
  return { from: 'bundle', manifest: null, carried, pictures: {}, inline: bundle.pictures };
}

/** Pictures of a backup that was read, as data URLs, one after the other: `take` gets each. */
export async function picturesIn(
  bytes: Uint8Array,
  wanted: readonly { id: string; path: string; type: string }[],
  take: (id: string, dataUrl: string) => Promise<void>,
): Promise<void> {
  const paths = new Set(wanted.map(({ path }) => path));
  const opened = openZip(bytes, { wanted: (path) => paths.has(path) });
  if (!opened.ok) throw new Error(opened.fault.code);
  for (const { id, path, type } of wanted) {
    const file = opened.files.get(path);
    if (file && type.startsWith('image/')) await take(id, dataUrlOf(file, type));
    opened.files.delete(path);
  }
}

/** Bytes that are turned into text at once. */
const CHUNK = 0x8000;

function dataUrlOf(bytes: Uint8Array, type: string): string {
  let text = '';
  for (let at = 0; at < bytes.length; at += CHUNK) text += String.fromCharCode(...bytes.subarray(at, at + CHUNK));
  return `data:${type};base64,${btoa(text)}`;
}
