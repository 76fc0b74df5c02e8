/** A record as it is stored: schema version of its kind, a revision that only counts up, the time of the change. */
export interface Envelope {
  v: number;
  id: string;
  rev: number;
  at: number;
  /** A tombstone: deleted, swept after 30 days. */
  gone?: true;
  /** Of a tombstone what the record was, until it is swept or let go; null for a demo's. */
  data: unknown;
}

export const ASIDE = 'aside/';
/** Pictures, stored apart from their records: `blob/` and the id of the photo. */
export const BLOB = 'blob/';

export function keyOf(kind: string, id: string): string {
  return `${kind}/${id}`;
}

export function splitKey(key: string): { kind: string; id: string } {
  const at = key.indexOf('/');
  return { kind: key.slice(0, at), id: key.slice(at + 1) };
}

/** The envelope of a stored text, or null when it is not one. */
export function readEnvelope(text: string): Envelope | null {
  try {
    const value = JSON.parse(text) as Partial<Envelope> | null;
    return value !== null && typeof value === 'object' && typeof value.v === 'number' && typeof value.id === 'string' && typeof value.rev === 'number' ? ({ at: 0, data: null, ...value } as Envelope) : null;
  } catch {
    return null;
  }
}
