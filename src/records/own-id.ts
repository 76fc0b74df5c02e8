import { slug } from '@/core/exchange/slug';
import type { Around } from './command';

/** Digits and letters of a new id that keep two tiers' things of one name apart: one pair in 16 million is not. */
const TAIL = 6;

/** An id of something the tier made: its name, to be read, and an end that nobody else's has. `kind` stands in for a name without letters. */
export function ownId(kind: string, name: string, newId: Around['newId']): string {
  return `${slug(name) || kind}-${newId(kind)
    .replace(/[^a-z0-9]/g, '')
    .slice(-TAIL)}`;
}
