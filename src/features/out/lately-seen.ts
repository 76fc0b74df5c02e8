import { differenceInMinutes, parseISO } from 'date-fns';
import { lately } from '@/core/outing';
import type { OutingRecord } from '@/records';

/** What was seen lately on an outing; of one that is over, in all of it. */
export const latelySeen = (
  { end, tally }: Pick<OutingRecord, 'end' | 'tally'>,
  now: string,
): ReturnType<typeof lately> =>
  lately(
    tally.latest.map(({ event }) => event),
    (at) => (end === null ? differenceInMinutes(parseISO(now), parseISO(at)) : 0),
  );
