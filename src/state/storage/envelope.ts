import { GONE, type Clocks } from '@/records';
import { BLOB_PREFIX } from '@/records/store-names';

/** A record as it is stored: schema version of its kind, a revision that only counts up, the time of the change, and when each part was edited. */
export interface Envelope {
  v: number;
  id: string;
  rev: number;
  at: number;
  /** Absent where a version wrote it that kept none. */
  clocks?: Clocks;
  /** A tombstone: deleted, swept after 30 days. */
  gone?: true;
  /** Of a tombstone what the record was, until it is swept or let go; null for a demo's. */
  data: unknown;
}

export const ASIDE = 'aside/';
/** Pictures, stored apart from their records: `blob/` and the id of the photo. */
export const BLOB = BLOB_PREFIX;
/** Events of a ledger, a year of one owner together: `events/fly/fly_…/2033`. */
export const EVENTS = 'events/';
/** What the ledger of an owner comes to: `sum/fly/fly_…`. */
export const SUM = 'sum/';
/** Changes that can be taken back, by the tab that made them: `undo/tab/12`. */
export const UNDO = 'undo/';

export function keyOf(kind: string, id: string): string {
  return `${kind}/${id}`;
}

export function splitKey(key: string): { kind: string; id: string } {
  const at = key.indexOf('/');
  return { kind: key.slice(0, at), id: key.slice(at + 1) };
}

/** Whether a key is that of a record, or of what is set aside: what an opening reads whole. */
export function isThing(key: string): boolean {
  return ![BLOB, EVENTS, UNDO].some((prefix) => key.startsWith(prefix));
}

/** Clocks of a stored record. One that a version without clocks wrote is as old as its last change, but older than `before`: edits that it could not know of. */
export function clocksOf({ clocks, at, gone }: Envelope, before = Infinity): Clocks {
  if (clocks) return clocks;
  return gone ? { [GONE]: at } : { '': Math.min(at, before - 1) };
}

/** The envelope of a stored text, or null when it is not one. */
export function readEnvelope(text: string): Envelope | null {
  try {
    const value = JSON.parse(text) as Partial<Envelope> | null;
    return value !== null &&
      typeof value === 'object' &&
      typeof value.v === 'number' &&
      typeof value.id === 'string' &&
      typeof value.rev === 'number'
      ? ({ at: 0, data: null, ...value } as Envelope)
      : null;
  } catch {
    return null;
  }
}
