import { command } from './command';
import type { Kind } from './kinds';

/** Deleted records as they were, each in its place again; one that is there again already stays as it is. */
export const putBack = command<{ records: readonly { kind: Kind; id: string; data: unknown }[] }>(
  'put-back',
  (draft, { records }) => {
    for (const { kind, id, data } of records) (draft[kind] as Record<string, unknown>)[id] ??= data;
  },
);
