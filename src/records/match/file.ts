import type { Coded } from '@/core/code';
import { command } from '../command';
import { KINDS, type Entities } from '../kinds';
import { migrate } from '../migrate';
import { saidOver } from '../said';
import type { PhotoRecord } from '../photo/schema';
import type { SampleRecord } from '../sample/schema';
import type { MatchRecord } from './schema';

const VERSION = 1;
/** Kinds of record that a file of a match holds. */
export const CARRIED = ['match', 'sample', 'photo'] as const;
type CarriedKind = (typeof CARRIED)[number];
const MOST_ANSWERS = 4;

/** An item of the file: a record with its kind's schema version, or the picture of a photo as a data URL. */
type Item = { kind: CarriedKind; id: string; v: number; data: unknown } | { kind: 'picture'; id: string; data: string };

/** What a file of a match holds, brought to the present schema. */
export interface Bundle {
  match: Record<string, MatchRecord>;
  sample: Record<string, SampleRecord>;
  photo: Record<string, PhotoRecord>;
  /** By photo id. */
  pictures: Record<string, string>;
}

/** A match with its sample, its photographs and their pictures (data URLs by photo id) as one file (docs/formats/bundle.md); null when there is no such match. */
export function matchFile({ match, sample, photo }: Entities, matchId: string, pictures: Readonly<Record<string, string>>): string | null {
  const own = match[matchId];
  const taken = own && sample[own.sampleId];
  if (!own || !taken) return null;
  const items: Item[] = [{ kind: 'match', id: matchId, v: KINDS.match.version, data: { ...own, parentId: null, demo: false } }, { kind: 'sample', id: own.sampleId, v: KINDS.sample.version, data: { ...taken, demo: false } }];
  for (const id of taken.photos) {
    const record = photo[id];
    const picture = pictures[id];
    if (record && picture !== undefined) items.push({ kind: 'photo', id, v: KINDS.photo.version, data: { ...record, demo: false } }, { kind: 'picture', id, data: picture });
  }
  return `${JSON.stringify({ aubade: 'bundle', version: VERSION, items }, null, 1)}\n`;
}

export type BundleRead = { ok: true; bundle: Bundle } | { ok: false; fault: Coded };

const refused = (code: string, params: Coded['params'] = {}): BundleRead => ({ ok: false, fault: { code, params } });

/** Reads a match from a file. A newer file or record is refused untouched; one whose parts do not belong together too. */
export function readBundle(text: string): BundleRead {
  let file: { aubade?: unknown; version?: unknown; items?: unknown };
  try {
    file = JSON.parse(text) as typeof file;
  } catch {
    return refused('bundle-other');
  }
  if (file?.aubade !== 'bundle' || !Array.isArray(file.items)) return refused('bundle-other');
  if (typeof file.version !== 'number' || file.version > VERSION) return refused('file-newer', { version: Number(file.version) });
  const bundle: Bundle = { match: {}, sample: {}, photo: {}, pictures: {} };
  for (const item of file.items as Partial<Item>[]) {
    if (typeof item?.id !== 'string') return refused('bundle-broken', { what: '?' });
    if (item.kind === 'picture') {
      if (typeof item.data !== 'string' || !item.data.startsWith('data:image/')) return refused('bundle-broken', { what: item.id });
      bundle.pictures[item.id] = item.data;
      continue;
    }
    const kind = CARRIED.find((known) => known === item.kind);
    const read = kind ? migrate(kind, Number((item as { v?: unknown }).v), item.data) : null;
    if (!kind || !read?.ok) return read && !read.ok && read.reason === 'newer' ? refused('file-newer', { version: Number((item as { v?: unknown }).v) }) : refused('bundle-broken', { what: item.id });
    (bundle[kind] as Record<string, unknown>)[item.id] = read.data;
  }
  const matches = Object.values(bundle.match);
  if (matches.length === 0) return refused('bundle-other');
  const lost = matches.find((match) => !(match.sampleId in bundle.sample));
  return lost ? refused('bundle-broken', { what: lost.sampleId }) : { ok: true, bundle };
}

/** Items of both lists by id; the second's win. */
function joined<T extends { id: string }>(here: readonly T[], there: readonly T[]): T[] {
  const ids = new Set(there.map((item) => item.id));
  return [...here.filter((item) => !ids.has(item.id)), ...there];
}

/** Maps of a sample whose entries stand alone: signs said, colours by region. */
const BY_KEY = ['signs', 'colours', 'shades', 'unread'] as const;
const TOGETHER = ['photos', 'skipped', 'leftOut', 'seen'] as const;

/** One natural of both: what the file says goes over what is here, what it leaves empty erases nothing, and neither loses an insect, a sign or a photograph. */
function sampleOfBoth(here: SampleRecord, there: SampleRecord): SampleRecord {
  const maps = Object.fromEntries(BY_KEY.map((field) => [field, { ...here[field], ...there[field] }]));
  const lists = Object.fromEntries(TOGETHER.map((field) => [field, [...new Set([...here[field], ...there[field]])]]));
  return { ...saidOver(here, there), ...maps, ...lists, specimens: joined(here.specimens, there.specimens) };
}

/** One match of both; of more answers than a match may have the one that leads and the latest stay. */
function matchOfBoth(here: MatchRecord, there: MatchRecord): MatchRecord {
  const both = { ...saidOver(here, there), answers: joined(here.answers, there.answers) };
  const others = both.answers.filter((answer) => answer.id !== both.leading).slice(1 - MOST_ANSWERS);
  return { ...both, answers: both.answers.filter((answer) => answer.id === both.leading || others.includes(answer)) };
}

/** Puts a match from a file among the records: what is here already is joined with it, and individuals, photographs and answers of neither are lost. */
export const takeMatch = command<{ bundle: Bundle }>('bundle-in', (draft, { bundle: { match, sample, photo } }) => {
  for (const [id, there] of Object.entries(sample)) draft.sample[id] = draft.sample[id] ? sampleOfBoth(draft.sample[id], there) : there;
  for (const [id, there] of Object.entries(match)) draft.match[id] = draft.match[id] ? matchOfBoth(draft.match[id], there) : there;
  // What was measured here stays measured, though the file still has it waiting.
  for (const [id, there] of Object.entries(photo)) if (!draft.photo[id]?.overlay) draft.photo[id] = there;
});
