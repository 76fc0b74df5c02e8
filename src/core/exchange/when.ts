import { format } from 'date-fns/format';
import { isValid } from 'date-fns/isValid';
import { parse } from 'date-fns/parse';

/** Which of the two first numbers of 5/6/2033 is the day. */
export type DayOrder = 'day' | 'month';
export const DAY_ORDERS: readonly DayOrder[] = ['day', 'month'];

const NUMBERS = /^(\d{1,2})\/(\d{1,2})\/\d{4}/;
const DAYS: Readonly<Record<DayOrder, readonly string[]>> = {
  day: ['d/M/yyyy', 'd.M.yyyy'],
  month: ['M/d/yyyy', 'd.M.yyyy'],
};
const TIMES = ['', ' H:mm', ' H:mm:ss', ' h:mm a'];
/** A day of no time is noon: no hour of the clock was said, and no other is less wrong. */
const NOON = 'T12:00';

/** Which number is the day, where days are written with slashes; null where none of them tells. */
export function dayOrderOf(cells: readonly string[]): DayOrder | null {
  for (const cell of cells) {
    const [, first, second] = NUMBERS.exec(cell) ?? [];
    if (Number(first) > 12) return 'day';
    if (Number(second) > 12) return 'month';
  }
  return null;
}

/** Whether days are written so that their order has to be known. */
export const hasSlashDays = (cells: readonly string[]) => cells.some((cell) => NUMBERS.test(cell));

/**
 * A day with its time as `2033-05-24T04:50`, of what other programs write: ISO (of a span its beginning, a zone left out, for it is the clock of the water that
 * counts), `24.5.2033 4:50`, `24/5/2033`. Null when it is no day.
 */
export function readWhen(text: string, order: DayOrder): string | null {
  const [said = ''] = text.trim().split(/\/(?=\d{4}-)/);
  const iso = /^(\d{4}-\d{2}-\d{2})(?:[T ](\d{2}:\d{2})(?::\d{2}(?:\.\d+)?)?\s*(?:Z|[+-]\d{2}:?\d{2})?)?$/.exec(said);
  if (iso) {
    const day = parse(iso[1]!, 'yyyy-MM-dd', 0);
    const time = iso[2] === undefined ? NOON : `T${iso[2]}`;
    return isValid(day) && isValid(parse(time, "'T'HH:mm", 0)) ? iso[1]! + time : null;
  }
  for (const day of DAYS[order])
    for (const time of TIMES) {
      const read = parse(said, day + time, 0);
      if (isValid(read)) return time === '' ? format(read, 'yyyy-MM-dd') + NOON : format(read, "yyyy-MM-dd'T'HH:mm");
    }
  return null;
}
