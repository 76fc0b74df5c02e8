import ids from '../src/catalogue/ids.json';
import { ANSWERS } from '../src/catalogue/key';
import type { AskedId } from '../src/core/belief';
import { inputFault } from './args';
import type { Reader } from './read';

const UNKNOWN = 'unknown';
const MONTHS = Array.from({ length: 12 }, (_, index) => String(index + 1));
/** Signs that are not of the insect itself; `--sign` takes them too. */
const PLACES: Record<string, readonly string[]> = { month: MONTHS, water: ids.waters.map((water) => water.id) };
export const ASKED: readonly string[] = [...Object.keys(ANSWERS), ...Object.keys(PLACES)];

export const answersOf = (sign: string): readonly string[] => PLACES[sign] ?? ANSWERS[sign as AskedId];

/** `--sign NAME=ANSWER`: a later one of the same name replaces the earlier; `unknown` takes it back. */
export function signsOf(read: Reader): Map<string, string> {
  const heard = new Map<string, string>();
  for (const pair of read.many('sign')) {
    const [rawName, ...rest] = pair.split('=');
    const name = rawName!.trim().toLowerCase().replace(/\s+/g, '-');
    const answer = rest.join('=').trim().toLowerCase().replace(/\s+/g, '-');
    if (!ASKED.includes(name)) {
      read.fault(
        inputFault('sign', 'not-one-of', rawName!, { params: { allowed: ASKED.join(', ') }, allowed: [...ASKED] }),
      );
      continue;
    }
    const allowed = [...answersOf(name), UNKNOWN];
    if (!allowed.includes(answer)) {
      read.fault(inputFault('sign', 'not-one-of', pair, { params: { allowed: allowed.join(', ') }, allowed }));
      continue;
    }
    if (answer === UNKNOWN) heard.delete(name);
    else heard.set(name, answer);
  }
  return heard;
}
