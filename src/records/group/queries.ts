import type { NaturalGroup } from '@/core/belief';
import type { OwnGroup } from '@/core/exchange';
import { groupSchema, type GroupRecord } from './schema';

/** Least, usual and most length once all are given in order; null before. */
export function spanOf({ leastMm, usualMm, mostMm }: GroupRecord['stages'][number]): [number, number, number] | null {
  if (leastMm == null || usualMm == null || mostMm == null) return null;
  return leastMm <= usualMm && usualMm <= mostMm ? [leastMm, usualMm, mostMm] : null;
}

const PREFIX = 'group_';

/** Groups from a file, as records by id: one that is there already is changed, not doubled. */
export function groupRecords(groups: readonly OwnGroup[]): Record<string, GroupRecord> {
  return Object.fromEntries(
    groups.map(({ id, stages, ...group }) => [
      `${PREFIX}${id}`,
      groupSchema.cast({
        ...group,
        stages: stages.map(({ stage, length_mm, shades }) => ({
          stage,
          shades,
          leastMm: length_mm?.[0] ?? null,
          usualMm: length_mm?.[1] ?? null,
          mostMm: length_mm?.[2] ?? null,
        })),
      }),
    ]),
  );
}

/** The tier's groups as a file carries them. */
export function ownGroups(records: Readonly<Record<string, GroupRecord>>): OwnGroup[] {
  return Object.entries(records).map(([id, record]) => ({
    id: id.replace(PREFIX, ''),
    order: record.order,
    name: record.name,
    scientific: record.scientific,
    regions: record.regions,
    waters: record.waters,
    months: record.months,
    stages: record.stages.map((entry) => ({ stage: entry.stage, length_mm: spanOf(entry), shades: entry.shades })),
    note: record.note ?? null,
    evidence: record.evidence,
  }));
}

/** A group of the tier's own in the shape of the shipped ones. */
export function naturalGroup(id: string, record: GroupRecord): NaturalGroup {
  return {
    id,
    order: record.order,
    name: record.name,
    scientific: record.scientific,
    regions: record.regions,
    waters: record.waters,
    months: record.months,
    hours: [],
    hatch: null,
    adult_tails: null,
    hind_wing: true,
    colours: {},
    stages: record.stages.map((entry) => ({ stage: entry.stage, length_mm: spanOf(entry), shades: entry.shades })),
    note: record.note ?? null,
    evidence: record.evidence,
  };
}
