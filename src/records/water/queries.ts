import type { Entities } from '../kinds';
import type { SampleRecord } from '../sample/schema';

/** The water a natural came from: that of its outing, else the one its place begins with by name, the longest; null where neither says. */
export function waterOfSample(
  { water, outing }: Pick<Entities, 'water' | 'outing'>,
  { outingId, place }: Pick<SampleRecord, 'outingId' | 'place'>,
): string | null {
  const of = outingId ? outing[outingId]?.waterId : null;
  if (of && water[of]) return of;
  const said = place.trim().toLowerCase();
  const named = Object.entries(water)
    .filter(([, { name }]) => said.startsWith(name.trim().toLowerCase()))
    .sort(([, a], [, b]) => b.name.length - a.name.length);
  return named[0]?.[0] ?? null;
}
