import type { Kind } from './kinds';
import { KINDS } from './kinds';
import { versions as device } from './device/versions';
import { versions as dressing } from './dressing/versions';
import { versions as fly } from './fly/versions';
import { versions as maker } from './maker/versions';
import { versions as match } from './match/versions';
import { versions as model } from './model/versions';
import { versions as photo } from './photo/versions';
import { versions as sample } from './sample/versions';
import { versions as settings } from './settings/versions';

/** A named step from one schema version of a kind to the next. */
export interface Version {
  from: number;
  name: string;
  up(data: unknown): unknown;
}

/** The steps of each kind that has been another before. */
export const VERSIONS: Readonly<Partial<Record<Kind, readonly Version[]>>> = { device, dressing, fly, maker, match, model, photo, sample, settings };

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
      const step = VERSIONS[kind as Kind]?.find((version) => version.from === at);
      if (!step) return { ok: false, reason: 'no-path', detail: String(at) };
      value = step.up(value);
      at++;
    }
    return { ok: true, data: known.schema.validateSync(value, { stripUnknown: false }) };
  } catch (error) {
    return { ok: false, reason: 'schema', detail: (error as Error).message };
  }
}
