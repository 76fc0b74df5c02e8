import type { Rig } from '@/core/rig';
import rigs from './rigs.json';

/** Ways to put flies on a leader. */
export const RIGS: readonly Rig[] = rigs.map(({ apart_mm, ...rig }) => ({
  ...rig,
  apartMm: apart_mm,
})) as unknown as Rig[];
