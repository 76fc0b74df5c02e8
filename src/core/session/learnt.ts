import { LEARNING } from '../constants';

/** How much longer or shorter than usual the nth fly of a dressing takes, counted from 0 over all that were tied. Source: domain §9. */
export const learnt = (nth: number): number =>
  nth < LEARNING.first.flies ? LEARNING.first.factor : nth < LEARNING.after.flies ? 1 : LEARNING.after.factor;
