import type { Around } from '../command';

/** A clock that stands still at `now`, and ids that count. */
export function around(now = '2033-05-24T04:50'): Around {
  let next = 0;
  return { now, newId: (kind) => `${kind}_${++next}` };
}
