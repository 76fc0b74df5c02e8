import type { SchoolOption } from '@/catalogue/ids';
import { GAUGE_BARB_PER_GAPE, GAUGE_ONE_UNDER } from '../constants';
import type { BaseSpec, Dressing } from '../dressings';
import type { Schools } from '../hook-score';

const NYMPH_TAIL: Record<SchoolOption['nymph-tail'], { base: BaseSpec; factor: number }> = {
  gape: { base: 'gape', factor: 1.1 },
  half: { base: 'shank', factor: 0.5 },
  shank: { base: 'shank', factor: 1 },
  overall: { base: 'hook-length', factor: 1 },
};

const SHUCK: Record<SchoolOption['shuck-length'], { base: BaseSpec; factor: number }> = {
  half: { base: 'abdomen', factor: 0.5 },
  abdomen: { base: 'abdomen', factor: 1 },
  fly: { base: 'fly', factor: 1 },
  'one-and-half': { base: 'fly', factor: 1.5 },
};

/** A hackle by the gauge: the barb that reads this hook's own number, or the one below. Source: formulas §8. */
const GAUGE: Record<SchoolOption['hackle-gauge'], { base: BaseSpec; factor: number }> = {
  same: { base: 'gape', factor: GAUGE_BARB_PER_GAPE },
  'one-under': { base: 'gape', factor: GAUGE_ONE_UNDER },
};

/** Rules that the tier's schools change in a dressing, by part id. A part names the school that governs it. Source: domain §4. */
export function schoolRules(dressing: Dressing, schools: Schools): Map<string, { base: BaseSpec; factor: number }> {
  const rules = new Map<string, { base: BaseSpec; factor: number }>();
  for (const part of dressing.parts) {
    if (part.school === 'nymph-tail' && schools['nymph-tail']) rules.set(part.id, NYMPH_TAIL[schools['nymph-tail']]);
    if (part.school === 'shuck-length' && schools['shuck-length']) rules.set(part.id, SHUCK[schools['shuck-length']]);
    if (part.school === 'hackle-gauge' && part.function === 'hackle.stiff' && schools['hackle-gauge'])
      rules.set(part.id, GAUGE[schools['hackle-gauge']]);
  }
  return rules;
}
