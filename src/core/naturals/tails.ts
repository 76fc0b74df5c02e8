import type { StageId } from '@/catalogue/ids';

/** What of a group tells the tails of its stages. */
export interface TailedGroup {
  id: string;
  adult_tails: readonly number[] | null;
  stages: readonly { stage: StageId }[];
  /** Tails of its young where they are not the three of most. */
  young_tails?: readonly number[] | null;
}

const ADULT = /^mayfly\/(dun|cripple|spinner|spent|diver|drowned-dun|emerger)$/;
const YOUNG = /^mayfly\/(nymph|mature-nymph)$/;
/** Most mayfly nymphs have three tails; stoneflies two at every age. Source: domain §2. */
const YOUNG_TAILS: readonly number[] = [3];
const STONEFLY_TAILS: readonly number[] = [2];

/** Tails that a group's natural may have at a stage; empty where nothing says so. */
export function tailsAt(group: TailedGroup, stage: StageId): readonly number[] {
  if (YOUNG.test(stage)) return group.young_tails ?? YOUNG_TAILS;
  if (ADULT.test(stage)) return group.adult_tails ?? [];
  return stage.startsWith('stonefly/') ? STONEFLY_TAILS : [];
}

/** Tails one natural may have: those counted on it, else those of the groups it can be, else of all at its stage. Empty where nothing says so. Source: domain §2. */
export function tailsOfNatural({
  stage,
  counted,
  fits,
  groups,
}: {
  stage: StageId;
  counted: readonly number[];
  fits: readonly string[];
  groups: readonly TailedGroup[];
}): readonly number[] {
  return counted.length > 0 ? counted : [...new Set(tailsFor([stage], fits, groups).flat())].sort((a, b) => a - b);
}

/** For each natural that a fly of these stages can stand for, the tails it may have: of the groups it is made for, or of all at its stages. */
export function tailsFor(
  stages: readonly StageId[],
  madeFor: readonly string[],
  groups: readonly TailedGroup[],
): (readonly number[])[] {
  const those = madeFor.length > 0 ? groups.filter((group) => madeFor.includes(group.id)) : groups;
  return those
    .flatMap((group) => group.stages.flatMap(({ stage }) => (stages.includes(stage) ? [tailsAt(group, stage)] : [])))
    .filter((tails) => tails.length > 0);
}
