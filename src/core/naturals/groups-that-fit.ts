import type { FaunaId, StageId } from '@/catalogue/ids';

/** Where a group lives and how long its stages are: least, middle and most, mm. */
export interface LivingGroup {
  id: string;
  regions: readonly FaunaId[];
  stages: readonly { stage: StageId; length_mm: readonly [number, number, number] | null }[];
}

/** A natural may be this much outside the lengths a group is known by: their ends are less certain than their middle. */
const LENGTH_SLACK = 1.1;

/** Groups that a natural of this stage and length can be, in the tier's part of the world. */
export function groupsThatFit(
  groups: readonly LivingGroup[],
  stage: StageId,
  lengthsMm: readonly number[],
  fauna: FaunaId | null,
): string[] {
  if (lengthsMm.length === 0) return [];
  const mean = lengthsMm.reduce((sum, mm) => sum + mm, 0) / lengthsMm.length;
  return groups
    .filter((group) => {
      if (fauna !== null && group.regions.length > 0 && !group.regions.includes(fauna)) return false;
      const own = group.stages.find((entry) => entry.stage === stage)?.length_mm;
      return own != null && mean >= own[0] / LENGTH_SLACK && mean <= own[2] * LENGTH_SLACK;
    })
    .map((group) => group.id);
}
