import { eyeOf, type Eye } from '@/core/naturals';
import type { Entities } from '@/records';
import type { State } from './store';

/** The latest guesses count: an eye learns. */
const LATEST = 40;

let cache: { guesses: Entities['guess']; eye: Eye | null } | null = null;

/** How the tier's own eye reads lengths; null until a few were guessed. */
export function selectEye(state: State): Eye | null {
  const guesses = state.records.entities.guess;
  if (cache?.guesses === guesses) return cache.eye;
  const latest = Object.values(guesses).sort((a, b) => b.taken.localeCompare(a.taken)).slice(0, LATEST);
  cache = { guesses, eye: eyeOf(latest) };
  return cache.eye;
}
