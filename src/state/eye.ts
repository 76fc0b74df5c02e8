import { eyeOf, type Eye } from '@/core/naturals';
import { EYE_ID, type EyeRecord } from '@/records';
import type { State } from './store';

let cache: { tally: EyeRecord['tally'] | undefined; eye: Eye | null } | null = null;

/** How the tier's own eye reads lengths, by its latest guesses, for an eye learns; null until a few were guessed. */
export function selectEye(state: State): Eye | null {
  const tally = state.records.entities.eye[EYE_ID]?.tally;
  if (cache && cache.tally === tally) return cache.eye;
  cache = { tally, eye: eyeOf((tally?.latest ?? []).map(({ event }) => event)) };
  return cache.eye;
}
