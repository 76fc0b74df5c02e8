import { KNOWN } from '@/catalogue/known-ids';
import type { Shape } from '../atoms';
import type { GroupRecord } from './schema';

/** Stages of a group stand alone, and their lengths. */
export const groupShape: Shape = { stages: { items: 'stage' } };

/** A group that two copies made: stages of its order as the trade counts them, one at least. */
export function mendGroup(group: GroupRecord): GroupRecord {
  const own = group.stages
    .filter(({ stage }) => stage.startsWith(`${group.order}/`))
    .sort((one, other) => KNOWN.stages.indexOf(one.stage) - KNOWN.stages.indexOf(other.stage));
  const [first] = KNOWN.stages.filter((stage) => stage.startsWith(`${group.order}/`));
  return {
    ...group,
    stages: own.length > 0 ? own : [{ stage: first!, leastMm: null, usualMm: null, mostMm: null, shades: [] }],
  };
}
