import type { Kind } from './kinds';
import { KINDS } from './kinds';
import { versions as device } from './device/versions';
import { versions as dressing } from './dressing/versions';
import { versions as fly } from './fly/versions';
import { versions as maker } from './maker/versions';
import { versions as material } from './material/versions';
import { versions as match } from './match/versions';
import { versions as model } from './model/versions';
import { versions as packet } from './packet/versions';
import { guessV1 } from './eye/v1';
import { EYE_ID } from './eye/schema';
import type { EventOp } from './ledger';
import { versions as photo } from './photo/versions';
import { versions as sample } from './sample/versions';
import { versions as outing } from './outing/versions';
import { versions as water } from './water/versions';
import { versions as settings } from './settings/versions';

/** A named step from one schema version of a kind to the next. */
export interface Version {
  from: number;
  name: string;
  up(data: unknown): unknown;
  /** What a record of the older version held that is kept apart from it since. */
  events?(data: unknown, id: string): EventOp[];
}

/** The steps of each kind that has been another before. */
export const VERSIONS: Readonly<Partial<Record<Kind, readonly Version[]>>> = {
  device,
  dressing,
  fly,
  maker,
  material,
  match,
  model,
  outing,
  packet,
  photo,
  sample,
  settings,
  water,
};

export type Migrated =
  | { ok: true; data: unknown; events: readonly EventOp[] }
  | { ok: false; reason: 'newer' | 'unknown-kind' | 'no-path' | 'schema'; detail: string };

const NO_EVENTS: readonly EventOp[] = [];

/** What a stored record of a kind that is none any more comes to, entries of a ledger; null for any other, and for one that cannot be read. */
export function entriesOf(kind: string, data: unknown, id: string): EventOp[] | null {
  if (kind !== 'guess' || !guessV1.isValidSync(data)) return null;
  const { guessMm, trueMm, taken } = data;
  return [{ kind: 'eye', owner: EYE_ID, id, on: true, event: { guessMm, trueMm, at: taken } }];
}

/** Brings a stored record to the present schema and validates it. A newer or broken one is refused, not guessed at; its id is asked for what its ledger held. */
export function migrate(kind: string, version: number, data: unknown, id = ''): Migrated {
  const known = (
    KINDS as Record<
      string,
      { version: number; schema: { validateSync(value: unknown, options: object): unknown } } | undefined
    >
  )[kind];
  if (!known) return { ok: false, reason: 'unknown-kind', detail: kind };
  if (version > known.version) return { ok: false, reason: 'newer', detail: String(version) };
  try {
    let at = version;
    let value = data;
    let events: readonly EventOp[] = NO_EVENTS;
    while (at < known.version) {
      const step = VERSIONS[kind as Kind]?.find((version) => version.from === at);
      if (!step) return { ok: false, reason: 'no-path', detail: String(at) };
      if (step.events) events = [...events, ...step.events(value, id)];
      value = step.up(value);
      at++;
    }
    return { ok: true, data: known.schema.validateSync(value, { stripUnknown: false }), events };
  } catch (error) {
    return { ok: false, reason: 'schema', detail: (error as Error).message };
  }
}
