import type { Entities, Kind } from './kinds';
import { TALLY } from './merge';

/** What the ledger of a model holds. */
const TAPED = 'taped';

/** One record that a reading would add or change. */
export interface ReadRecord {
  kind: Kind;
  id: string;
  /** What a tier calls it; empty where it has no name. */
  name: string;
  /** Day and time that it is about; null where it is about none. */
  when: string | null;
  /** Fields of it that change; none for one that is added. */
  fields: string[];
}

/** What taking a file in would do to what is kept. */
export interface Reading {
  adds: ReadRecord[];
  changes: ReadRecord[];
  /** What would not be there any more. */
  drops: ReadRecord[];
}

const NAMED = ['title', 'name', 'label', 'hookId', 'shadeId', 'materialId', 'place'] as const;

/** What a record is called; empty where it has no name. */
export function nameOf(record: object): string {
  const fields = record as Partial<Record<(typeof NAMED)[number], unknown>>;
  const named = NAMED.map((name) => fields[name]).find((value) => typeof value === 'string' && value !== '');
  return (named as string | undefined) ?? '';
}

/** The day and time that a record is about. */
function whenOf(record: object): string | null {
  const { when, opened } = record as { when?: unknown; opened?: unknown };
  return [when, opened].find((value): value is string => typeof value === 'string') ?? null;
}

/** Records that differ between two states: added, changed and gone. */
export function readingOf(before: Entities, after: Entities): Reading {
  const reading: Reading = { adds: [], changes: [], drops: [] };
  for (const kind of Object.keys(after) as Kind[]) {
    if (before[kind] === after[kind]) continue;
    for (const [id, record] of Object.entries(before[kind]))
      if (!(id in after[kind]))
        reading.drops.push({ kind, id, name: nameOf(record), when: whenOf(record), fields: [] });
    for (const [id, record] of Object.entries(after[kind]) as [string, Record<string, unknown>][]) {
      const known = before[kind][id] as Record<string, unknown> | undefined;
      if (known === record) continue;
      if (!known) reading.adds.push({ kind, id, name: nameOf(record), when: whenOf(record), fields: [] });
      else {
        const fields = Object.keys(record)
          .filter((field) => field !== 'demo' && JSON.stringify(known[field]) !== JSON.stringify(record[field]))
          .map((field) => (kind === 'model' && field === TALLY ? TAPED : field));
        if (fields.length > 0) reading.changes.push({ kind, id, name: nameOf(known), when: whenOf(known), fields });
      }
    }
  }
  return reading;
}
