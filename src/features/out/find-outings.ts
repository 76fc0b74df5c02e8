import type { Entities, OutingRecord } from '@/records';
import type { Speech } from '@/speech';
import { foundBy } from '@/speech/card';

/** What is asked of the outings; null and empty ask nothing. */
export interface OutingFilter {
  text: string;
  waterId: string | null;
  /** Month of any year: `05`. */
  month: string | null;
  /** Name of a fly that fished. */
  fly: string | null;
  /** A stage that was found there, or that a fly that fished is of. */
  stage: string | null;
}

export const ANY_OUTING: OutingFilter = { text: '', waterId: null, month: null, fly: null, stage: null };

export const isAsked = ({ text, waterId, month, fly, stage }: OutingFilter): boolean =>
  text.trim() !== '' || waterId !== null || month !== null || fly !== null || stage !== null;

/** Stages of an outing: of the naturals found on it, and of its flies. */
export interface StagesOf {
  found: ReadonlyMap<string, readonly { stage: string }[]>;
  of: ReadonlyMap<string, readonly string[]>;
}

const stagesOn = (id: string, { team }: OutingRecord, { found, of }: StagesOf): string[] => [
  ...(found.get(id) ?? []).map(({ stage }) => stage),
  ...team.flatMap(({ dressingId }) => of.get(dressingId ?? '') ?? []),
];

/** All that an outing is found by: its water, its day, its note and its flies. */
export const wordsOfOuting = ({ start, note, team }: OutingRecord, water: string | undefined, speech: Speech): string =>
  speech.beside([water, speech.day(start, true), speech.month(start), note, ...team.map(({ name }) => name)]);

/** Of some outings those that are asked for, in their order; `textOf` is what one is found by, `stages` are asked only where one is wanted. */
export function findOutings(
  ids: readonly string[],
  outing: Entities['outing'],
  { text, waterId, month, fly, stage }: OutingFilter,
  stages: () => StagesOf,
  textOf: (id: string) => string,
): string[] {
  return ids.filter((id) => {
    const own = outing[id]!;
    return (
      (waterId === null || own.waterId === waterId) &&
      (month === null || own.start.slice(5, 7) === month) &&
      (fly === null || own.team.some(({ name }) => name === fly)) &&
      (stage === null || stagesOn(id, own, stages()).includes(stage)) &&
      (text.trim() === '' || foundBy(textOf(id), text))
    );
  });
}

/** What can be asked for, of the outings that there are. */
export function askableOf(
  ids: readonly string[],
  outing: Entities['outing'],
  stages: StagesOf,
): { waters: string[]; months: string[]; flies: string[]; stages: string[] } {
  const sets = {
    waters: new Set<string>(),
    months: new Set<string>(),
    flies: new Set<string>(),
    stages: new Set<string>(),
  };
  for (const id of ids) {
    const own = outing[id]!;
    if (own.waterId) sets.waters.add(own.waterId);
    sets.months.add(own.start.slice(5, 7));
    for (const { name } of own.team) sets.flies.add(name);
    for (const stage of stagesOn(id, own, stages)) sets.stages.add(stage);
  }
  const sorted = (set: ReadonlySet<string>) => [...set].sort((a, b) => a.localeCompare(b));
  return {
    waters: [...sets.waters],
    months: sorted(sets.months),
    flies: sorted(sets.flies),
    stages: sorted(sets.stages),
  };
}
