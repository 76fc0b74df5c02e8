import { Unzip, UnzipInflate, Zip, ZipDeflate, ZipPassThrough, type UnzipFile } from 'fflate';
import type { Coded } from '../code';
import { joined } from './text';

/** What an archive may come to. Ten seasons with 2,000 photographs of 300 kB are under all of them. */
export interface ZipLimits {
  /** Bytes of the file itself, of all it unpacks to, and how many files that is. */
  packed: number;
  unpacked: number;
  files: number;
}
export const ZIP_LIMITS: ZipLimits = { packed: 800_000_000, unpacked: 1_200_000_000, files: 20_000 };

/** Read in pieces so small that what one of them unpacks to stays bounded (a thousand times as much). */
const PIECE = 65_536;
/** What is written packs to a tenth, the same line a thousand times to a hundredth: what unpacks to more than this many times itself is made to fill memory. So much may always be unpacked. */
const MOST_TIMES = 200;
const ALWAYS = 50_000_000;
const LONGEST_PATH = 200;
const LOCAL_FILE = [0x50, 0x4b, 0x03, 0x04];
const END_OF_DIRECTORY = [0x50, 0x4b, 0x05, 0x06];
/** The end of the directory and the longest comment that may follow it. */
const TAIL = 22 + 65_535;

/** Whether a name is one of a file inside the archive: no way out of it, no second meaning on another system, nothing unseen. */
export function isPlainPath(path: string): boolean {
  return (
    path !== '' &&
    path.length <= LONGEST_PATH &&
    !/[\\:\u0000-\u001f\u007f-\u009f\u200b-\u200f\u202a-\u202e\u2066-\u2069]/.test(path) &&
    path.split('/').every((part) => part !== '' && part !== '.' && part !== '..')
  );
}

const startsAt = (bytes: Uint8Array, at: number, mark: readonly number[]) =>
  mark.every((byte, index) => bytes[at + index] === byte);

/** A file that is cut short has lost its directory, which stands at its end. */
function hasDirectory(bytes: Uint8Array): boolean {
  for (let at = bytes.length - END_OF_DIRECTORY.length; at >= Math.max(0, bytes.length - TAIL); at--)
    if (startsAt(bytes, at, END_OF_DIRECTORY)) return true;
  return false;
}

export const isZip = (bytes: Uint8Array) => startsAt(bytes, 0, LOCAL_FILE) || startsAt(bytes, 0, END_OF_DIRECTORY);

export type ZipRead = { ok: true; files: Map<string, Uint8Array> } | { ok: false; fault: Coded };

/**
 * Unpacks an archive of a stranger: by counting what comes out, not by what it says of itself, so that one which unpacks to more than it may is
 * left as soon as it does. `wanted` leaves files packed. Refused whole: what is no archive, cut short or damaged, too large, or names a file outside itself or twice.
 */
export function openZip(
  bytes: Uint8Array,
  { wanted = () => true, limits = ZIP_LIMITS }: { wanted?: (path: string) => boolean; limits?: ZipLimits } = {},
): ZipRead {
  const refused = (code: string, what = ''): ZipRead => ({ ok: false, fault: { code, params: { what } } });
  if (!isZip(bytes)) return refused('zip-other');
  if (bytes.length > limits.packed) return refused('too-large');
  if (!hasDirectory(bytes)) return refused('zip-broken');
  const files = new Map<string, Uint8Array>();
  const met = new Set<string>();
  let open = 0;
  let unpacked = 0;
  let fed = 0;
  // The library hands what is thrown in here back as a fault of the file: the first reason is kept instead.
  let fault: ZipRead | null = null;
  const refuse = (code: string, what = '') => void (fault ??= refused(code, what));
  const take = (file: UnzipFile) => {
    if (fault || file.name.endsWith('/')) return;
    if (!isPlainPath(file.name)) return refuse('zip-path', file.name.slice(0, LONGEST_PATH));
    const lower = file.name.toLowerCase();
    if (met.has(lower)) return refuse('zip-twice', file.name);
    met.add(lower);
    if (met.size > limits.files) return refuse('too-large');
    if (!wanted(file.name)) return;
    const parts: Uint8Array[] = [];
    open++;
    file.ondata = (error, part, last) => {
      if (fault) return;
      if (error) return refuse('zip-broken', file.name);
      unpacked += part.length;
      if (unpacked > limits.unpacked || (unpacked > ALWAYS && unpacked > MOST_TIMES * fed)) {
        parts.length = 0;
        return refuse('too-large');
      }
      parts.push(part);
      if (!last) return;
      files.set(file.name, joined(parts));
      open--;
    };
    file.start();
  };
  const unzip = new Unzip(take);
  unzip.register(UnzipInflate);
  try {
    for (let at = 0; at < bytes.length && !fault; at += PIECE) {
      fed = Math.min(bytes.length, at + PIECE);
      unzip.push(bytes.subarray(at, fed), fed === bytes.length);
    }
  } catch {
    refuse('zip-broken');
  }
  if (open > 0) refuse('zip-broken');
  return fault ?? { ok: true, files };
}

/** The earliest time that an archive can say, for files that say none: two archives of the same things are the same bytes. */
const SAME_TIME = '1980-01-02T00:00:00';

/** Packs files one after the other; what is packed already (a photograph) is stored as it is. */
export class Packer {
  private readonly zip: Zip;
  readonly parts: Uint8Array[] = [];

  constructor() {
    this.zip = new Zip((error, part) => {
      if (error) throw error;
      this.parts.push(part);
    });
  }

  add(path: string, bytes: Uint8Array, { packed = false }: { packed?: boolean } = {}): void {
    const file = packed ? new ZipPassThrough(path) : new ZipDeflate(path, { level: 6 });
    file.mtime = SAME_TIME;
    this.zip.add(file);
    file.push(bytes, true);
  }

  /** The archive, in pieces. */
  end(): Uint8Array[] {
    this.zip.end();
    return this.parts;
  }
}
