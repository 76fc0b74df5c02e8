import type { Entities, MatchRecord, SampleRecord } from '@/records';
import { type Speech } from '@/speech';
import { foundBy } from '@/speech/card';
import { matchTitle } from './answer-line';

type Words = (key: string, params?: Record<string, unknown>) => string;

/** What is asked of the matches; null and empty ask nothing. */
export interface MatchFilter {
  text: string;
  place: string | null;
  /** Order of the stage that leads. */
  order: string | null;
  /** `2033-05`. */
  month: string | null;
}

export const ANY_MATCH: MatchFilter = { text: '', place: null, order: null, month: null };

const MONTH = 'YYYY-MM'.length;
export const monthOfMatch = (sample: SampleRecord | undefined) => sample?.when.slice(0, MONTH) ?? '';

const leadingStage = (match: MatchRecord) => match.answers.find(({ id }) => id === match.leading)?.stage ?? null;

/** All that a match is found by: its name, its stages, where and in what water and when it was taken. */
export function wordsOfMatch(
  match: MatchRecord,
  sample: SampleRecord | undefined,
  speech: Speech,
  words: Words,
): string {
  const stages = match.answers.flatMap(({ stage }) => (stage ? [speech.name('stages', stage)] : []));
  return speech.beside([
    matchTitle(match, speech, words),
    ...stages,
    sample?.place,
    sample?.water && speech.name('waters', sample.water),
    sample && speech.month(sample.when),
  ]);
}

/** Of some matches those that are asked for, in their order; `textOf` is what one is found by. */
export function findMatches(
  ids: readonly string[],
  { match, sample }: Pick<Entities, 'match' | 'sample'>,
  { text, place, order, month }: MatchFilter,
  textOf: (id: string) => string,
): string[] {
  return ids.filter((id) => {
    const own = match[id]!;
    const taken = sample[own.sampleId];
    return (
      (place === null || taken?.place === place) &&
      (order === null || (leadingStage(own) ?? '').startsWith(`${order}/`)) &&
      (month === null || monthOfMatch(taken) === month) &&
      (text.trim() === '' || foundBy(textOf(id), text))
    );
  });
}

/** What can be asked for: waters, kinds and months of the matches that there are, by name, and months newest first. */
export function askableOf(
  ids: readonly string[],
  { match, sample }: Pick<Entities, 'match' | 'sample'>,
): { places: string[]; orders: string[]; months: string[] } {
  const unique = (list: readonly string[]) => [...new Set(list.filter(Boolean))].sort((a, b) => a.localeCompare(b));
  const samples = ids.map((id) => sample[match[id]!.sampleId]);
  return {
    places: unique(samples.map((taken) => taken?.place ?? '')),
    orders: unique(ids.map((id) => leadingStage(match[id]!)?.split('/')[0] ?? '')),
    months: unique(samples.map(monthOfMatch)).reverse(),
  };
}
