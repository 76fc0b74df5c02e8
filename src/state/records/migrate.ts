import { deviceV1 } from '../schemas/device-v1';
import { deviceV2 } from '../schemas/device-v2';
import { dressingV1 } from '../schemas/dressing-v1';
import { flyV1 } from '../schemas/fly-v1';
import { makerV1 } from '../schemas/maker-v1';
import { matchV1 } from '../schemas/match-v1';
import { matchV2 } from '../schemas/match-v2';
import { modelV1 } from '../schemas/model-v1';
import { photoV1 } from '../schemas/photo-v1';
import { sampleV1 } from '../schemas/sample-v1';
import { sampleV2 } from '../schemas/sample-v2';
import { sampleV3 } from '../schemas/sample-v3';
import { settingsV1 } from '../schemas/settings-v1';
import { settingsV2 } from '../schemas/settings-v2';
import { settingsV3 } from '../schemas/settings-v3';
import { KINDS, type Kind } from './schemas';

/** A named step from one schema version of a kind to the next. */
export interface Migration {
  kind: Kind;
  from: number;
  name: string;
  up(data: unknown): unknown;
}

export const MIGRATIONS: readonly Migration[] = [
  {
    kind: 'sample',
    from: 1,
    name: 'lengths-become-specimens',
    up(data) {
      const { lengths, overallMm, caseMm, ...rest } = sampleV1.validateSync(data);
      return { ...rest, specimens: lengths.map((mm, index) => ({ id: `s${index + 1}`, body: { mm, typed: null } })), overall: { mm: overallMm, typed: null }, case: { mm: caseMm, typed: null }, unread: {}, photos: [] };
    },
  },
  {
    kind: 'sample',
    from: 2,
    name: 'signs-of-the-natural',
    up: (data) => ({ ...sampleV2.validateSync(data), signs: {}, skipped: [], seen: [], rise: null, rough: null, shades: {} }),
  },
  {
    kind: 'sample',
    from: 3,
    name: 'kept-for-the-bench',
    up(data) {
      const old = sampleV3.validateSync(data);
      return { ...old, specimens: old.specimens.map((specimen) => ({ ...specimen, sex: null, out: null, halfMm: null })), preserved: false, kept: false };
    },
  },
  { kind: 'fly', from: 1, name: 'flies-with-a-ledger', up: (data) => ({ ...flyV1.validateSync(data), name: '', stage: null, lengthMm: null, shade: null, ride: null, moves: {} }) },
  {
    kind: 'photo',
    from: 1,
    name: 'traces-kept',
    up(data) {
      const { overlay, ...rest } = photoV1.validateSync(data);
      // Widths and the height of the body were not kept then; the ± of its length is its own reading's.
      return { ...rest, overlay: overlay ? { ...overlay, by: 'card', view: 'belly', insects: overlay.insects.map((insect) => ({ ...insect, specimenId: null, what: 'body', sdMm: 0.01 * insect.bodyMm, widthsMm: [], overallMm: null, factor: 1, hand: null })) } : null };
    },
  },
  { kind: 'device', from: 2, name: 'thumb-and-cautions', up: (data) => ({ ...deviceV2.validateSync(data), thumb: 'right', view: 'belly', printedScale: 1, cautioned: {} }) },
  { kind: 'device', from: 1, name: 'size-of-the-screen', up: (data) => ({ ...deviceV1.validateSync(data), screen: null }) },
  { kind: 'match', from: 1, name: 'follow-up-matches', up: (data) => ({ ...matchV1.validateSync(data), parentId: null }) },
  {
    kind: 'match',
    from: 2,
    name: 'parts-switched-on',
    up(data) {
      const old = matchV2.validateSync(data);
      return { ...old, answers: old.answers.map((answer) => ({ ...answer, added: [] })) };
    },
  },
  {
    kind: 'dressing',
    from: 1,
    name: 'dressings-whole',
    up(data) {
      const old = dressingV1.validateSync(data);
      // A part that may be left out is a switch of its own now.
      return { ...old, switches: old.parts.filter((part) => part.optional).map((part) => ({ id: part.id, name: part.id, parts: [part.id], on: true, attracts: false, why: part.id })) };
    },
  },
  { kind: 'settings', from: 3, name: 'the-tier-at-the-bench', up: (data) => ({ ...settingsV3.validateSync(data), skill: null, minutes: null, tools: null, pickWeights: {}, dressingSchools: {} }) },
  { kind: 'maker', from: 1, name: 'retired-makers', up: (data) => ({ ...makerV1.validateSync(data), retired: false }) },
  {
    kind: 'model',
    from: 1,
    name: 'sizes-by-label',
    up(data) {
      const { sizes, ...rest } = modelV1.validateSync(data);
      return { ...rest, retired: false, tapings: {}, sizes: Object.fromEntries(sizes.map(({ size, ...dimensions }) => [size, { ...dimensions, retired: false }])) };
    },
  },
  { kind: 'settings', from: 2, name: 'hooks-of-ones-own', up: (data) => ({ ...settingsV2.validateSync(data), onlyOwned: false, convertBy: 'length', smallest: null }) },
  {
    kind: 'settings',
    from: 1,
    name: 'part-of-the-world',
    up: (data) => ({ ...settingsV1.validateSync(data), south: false, fauna: null, fingerMm: null }),
  },
];

export type Migrated = { ok: true; data: unknown } | { ok: false; reason: 'newer' | 'unknown-kind' | 'no-path' | 'schema'; detail: string };

/** Brings a stored record to the present schema and validates it. A newer or broken one is refused, not guessed at. */
export function migrate(kind: string, version: number, data: unknown): Migrated {
  const known = (KINDS as Record<string, { version: number; schema: { validateSync(value: unknown, options: object): unknown } } | undefined>)[kind];
  if (!known) return { ok: false, reason: 'unknown-kind', detail: kind };
  if (version > known.version) return { ok: false, reason: 'newer', detail: String(version) };
  try {
    let at = version;
    let value = data;
    while (at < known.version) {
      const step = MIGRATIONS.find((migration) => migration.kind === kind && migration.from === at);
      if (!step) return { ok: false, reason: 'no-path', detail: String(at) };
      value = step.up(value);
      at++;
    }
    return { ok: true, data: known.schema.validateSync(value, { stripUnknown: false }) };
  } catch (error) {
    return { ok: false, reason: 'schema', detail: (error as Error).message };
  }
}
