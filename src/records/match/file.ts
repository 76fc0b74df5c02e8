import type { Coded } from '@/core/code';
import { itemsOf, readItem, recordItem, type RecordItem } from '../carried';
import type { Clocks } from '../clocks';
import type { Entities } from '../kinds';
import type { PhotoRecord } from '../photo/schema';
import type { SampleRecord } from '../sample/schema';
import type { MatchRecord } from './schema';

const VERSION = 1;
/** Kinds of record that a file of a match holds. */
export const CARRIED = ['match', 'sample', 'photo'] as const;
type CarriedKind = (typeof CARRIED)[number];

/** An item of the file: a record, or the picture of a photo as a data URL. */
type Item = RecordItem | { kind: 'picture'; id: string; data: string };

/** What a file of a match holds, brought to the present schema. */
export interface Bundle {
  match: Record<string, MatchRecord>;
  sample: Record<string, SampleRecord>;
  photo: Record<string, PhotoRecord>;
  /** When the parts of each record were edited, by its key; a file of before does not say. */
  clocks: Record<string, Clocks | null>;
  /** By photo id. */
  pictures: Record<string, string>;
}

/** Matches with their samples, their photographs and the pictures of these (data URLs by photo id) as one file (docs/formats/bundle.md); null when there is none of them. `clocks` are those of every record by key. */
export function matchFile(
  { match, sample, photo }: Entities,
  clocks: ReadonlyMap<string, Clocks>,
  matchIds: readonly string[],
  pictures: Readonly<Record<string, string>>,
): string | null {
  const item = (kind: CarriedKind, id: string, record: object) =>
    recordItem(kind, id, record, clocks.get(`${kind}/${id}`));
  const written = new Set<string>();
  const items = matchIds.flatMap((matchId): Item[] => {
    const own = match[matchId];
    const taken = own && sample[own.sampleId];
    if (!own || !taken) return [];
    const one = item('match', matchId, { ...own, parentId: null });
    // Two matches of one sample carry it once.
    if (written.has(own.sampleId)) return [one];
    written.add(own.sampleId);
    const photos = taken.photos.flatMap((id): Item[] => {
      const record = photo[id];
      const picture = pictures[id];
      return record && picture !== undefined ? [item('photo', id, record), { kind: 'picture', id, data: picture }] : [];
    });
    return [one, item('sample', own.sampleId, taken), ...photos];
  });
  return items.length === 0 ? null : `${JSON.stringify({ aubade: 'bundle', version: VERSION, items }, null, 1)}\n`;
}

export type BundleRead = { ok: true; bundle: Bundle } | { ok: false; fault: Coded };

const refused = (code: string, params: Coded['params'] = {}): BundleRead => ({ ok: false, fault: { code, params } });

/** Reads a match from a file. A newer file or record is refused untouched; one whose parts do not belong together too. */
export function readBundle(text: string): BundleRead {
  const file = itemsOf(text, 'bundle', VERSION);
  if (!file.ok) return file;
  const bundle: Bundle = { match: {}, sample: {}, photo: {}, clocks: {}, pictures: {} };
  for (const item of file.items as Partial<Item>[]) {
    if (typeof item?.id !== 'string') return refused('bundle-broken', { what: '?' });
    if (item.kind === 'picture') {
      if (typeof item.data !== 'string' || !item.data.startsWith('data:image/'))
        return refused('bundle-broken', { what: item.id });
      bundle.pictures[item.id] = item.data;
      continue;
    }
    const read = CARRIED.some((known) => known === item.kind) ? readItem(item as RecordItem) : null;
    if (!read?.ok) return read ?? refused('bundle-broken', { what: item.id });
    for (const { kind, id, data, clocks } of read.carried.records) {
      (bundle[kind as CarriedKind] as Record<string, unknown>)[id] = data;
      bundle.clocks[`${kind}/${id}`] = clocks;
    }
  }
  const matches = Object.values(bundle.match);
  if (matches.length === 0) return refused('bundle-other');
  const lost = matches.find((match) => !(match.sampleId in bundle.sample));
  return lost ? refused('bundle-broken', { what: lost.sampleId }) : { ok: true, bundle };
}
