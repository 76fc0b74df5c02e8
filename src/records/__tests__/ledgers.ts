import { foldAll, type EventTypes, type OwnerKind } from '../ledger';

/** A record with what its ledger comes to after these events. */
export function withEvents<T>(kind: OwnerKind, record: T, events: Readonly<Record<string, EventTypes[OwnerKind]>>): T {
  return { ...record, tally: foldAll(kind, events) };
}
