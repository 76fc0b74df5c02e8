import { LOGGED, type LoggedCount } from '@/core/outing';
import type { OutingRecord } from '@/records';
import type { Speech } from '@/speech';

/** What was logged, in words: `2 took, 1 refused`; empty for nothing. */
export const cameText = (counts: LoggedCount, speech: Speech): string =>
  speech.list(LOGGED.map((what) => counts[what] > 0 && speech.t(`ui.out.came.${what}`, { count: counts[what] })));

/** How long something took: minutes under an hour, then hours. */
export const spentText = (hours: number, speech: Speech): string =>
  hours < 1
    ? speech.t('ui.out.minutes', { count: Math.round(60 * hours) })
    : speech.t('ui.out.hours', { hours: speech.number(hours, 1) });

/** How warm the water was through an outing, as a logger had it. */
export function loggedText({ temps }: Pick<OutingRecord, 'temps'>, speech: Speech): string {
  if (temps.length === 0) return '';
  const all = temps.map(({ c }) => c);
  return speech.t('ui.out.water-from-to', {
    low: speech.number(Math.min(...all), 1),
    high: speech.number(Math.max(...all), 1),
  });
}

/** Hours a clock is ahead of universal time or behind it, with minutes where it has some: `+1`, `−3:30`. */
export function aheadText(hours: number): string {
  const minutes = Math.round(60 * Math.abs(hours));
  const over = minutes % 60;
  return `${hours < 0 ? '−' : '+'}${Math.floor(minutes / 60)}${over === 0 ? '' : `:${String(over).padStart(2, '0')}`}`;
}
