import type { Around } from '../command';
import type { EventOp } from '../ledger';

/** A clock that stands still at `now`, ids that count, and what was entered. */
export function around(now = '2033-05-24T04:50'): Around & { entered: EventOp[] } {
  let next = 0;
  const entered: EventOp[] = [];
  return {
    now,
    at: 1_000_000,
    clocksOf: () => undefined,
    clocked: () => undefined,
    newId: (kind) => `${kind}_${++next}`,
    enter: (op) => void entered.push(op),
    entered,
  };
}
