import type { Shape } from '../atoms';
import { newAnswer, type MatchRecord } from './schema';

/** Answers of one match stand alone, and each field of one. */
export const matchShape: Shape = { answers: { items: 'id' } };

const MOST_ANSWERS = 4;

/** A match that two copies made: one answer leads, and of more than a match may have the one that leads and the latest stay. */
export function mendMatch(match: MatchRecord): MatchRecord {
  const answers = match.answers.length > 0 ? match.answers : [newAnswer(match.leading, null)];
  const leading = answers.some((answer) => answer.id === match.leading) ? match.leading : answers[0]!.id;
  const others = answers.filter((answer) => answer.id !== leading).slice(1 - MOST_ANSWERS);
  return { ...match, leading, answers: answers.filter((answer) => answer.id === leading || others.includes(answer)) };
}
