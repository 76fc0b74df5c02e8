import { TZDate } from '@date-fns/tz';
import { format } from 'date-fns';
import jStat from 'jstat';
import Papa from 'papaparse';
import type { Coded } from '../code';
import { readNumber } from '../exchange/table';
import { DAY_ORDERS, dayOrderOf, readWhen, type DayOrder } from '../exchange/when';
import { daysAfter, hourOf, hoursSince, knownZone, stampAt } from '../hatch/sun';
import { WATER_C } from '../outing/limits';

export interface LoggerReading {
  /** Local stamp. */
  at: string;
  c: number;
}

/** A logger's table as it was understood. */
export interface LoggerRead {
  readings: LoggerReading[];
  /** Headings of the columns that were taken: day and time may lie apart. */
  columns: { when: string[]; temperature: string };
  unit: 'C' | 'F';
  /** Hours its own clock is ahead of UT, where the table says; null where its times are local already. */
  zoneH: number | null;
  /** Usual time from one reading to the next, min. */
  everyMin: number;
  /** What a tier should know: rows left out, gaps, a clock that jumps or lies. Codes of speech. */
  said: Coded[];
}

/** Lines a logger may write before its headings. */
const PREAMBLE = 20;
const TYPED = 40;
/** Of the cells of a column so many have to be what it is taken for. */
const MOST = 0.9;
/** Above this a median is no °C of a water: it is °F. */
const FAHRENHEIT_FROM = 40;
/** A gap is longer than so many usual steps. */
const GAP_STEPS = 3;
/** Water is warmest in the afternoon; by so much earlier or later the clock is not the water's. */
const WARMEST_H = 16;
const CLOCK_H = 5;
/** Days to be sure of that, and °C that a day has to swing by. */
const CLOCK_DAYS = 3;
const SWING_C = 0.8;
/** From one reading to the next no water changes by more, °C: it was lifted out. */
const OUT_C = 6;

const TIME = /^(\d{1,2}):(\d{2})(?::\d{2}(?:[.,]\d+)?)?\s*([ap])?\.?m?\.?\s*(Z|[+-]\d{2}:?\d{2})?$/i;
const IN_HEADING = /(?:GMT|UTC|UT)\s*([+-]\d{1,2}(?::?\d{2})?)?/i;

function offsetOf(text: string): number {
  const [, sign, hours, minutes = '0'] = /^([+-]?)(\d{1,2}):?(\d{2})?$/.exec(text) ?? [];
  return hours === undefined ? 0 : (sign === '-' ? -1 : 1) * (Number(hours) + Number(minutes) / 60);
}

interface Clock {
  minutes: number;
  offset: number | null;
}

function timeOf(text: string): Clock | null {
  const [, h, m, half, zone] = TIME.exec(text.trim()) ?? [];
  if (h === undefined || Number(h) > 23 || Number(m) > 59) return null;
  const hour = half ? (Number(h) % 12) + (half.toLowerCase() === 'p' ? 12 : 0) : Number(h);
  return { minutes: hour * 60 + Number(m), offset: zone ? (/z/i.test(zone) ? 0 : offsetOf(zone)) : null };
}

const wholeYear = (day: string) => day.replace(/^(\d{1,2}[/.]\d{1,2}[/.])(\d{2})$/, '$120$2');

/** Reads days, each spelling once. */
function dayReader(order: DayOrder): (text: string) => string | null {
  const known = new Map<string, string | null>();
  return (text) => {
    const own = wholeYear(text.trim());
    if (!known.has(own)) known.set(own, readWhen(own, order)?.slice(0, 10) ?? null);
    return known.get(own)!;
  };
}

const splitWhen = (text: string): [day: string, time: string] => {
  const at = /[T ]+(?=\d{1,2}:\d{2})/.exec(text.trim());
  return at ? [text.trim().slice(0, at.index), text.trim().slice(at.index + at[0].length)] : [text.trim(), ''];
};

interface Columns {
  day: number;
  time: number | null;
  temperature: number;
}

const share = (cells: readonly string[], is: (cell: string) => boolean) =>
  cells.length === 0 ? 0 : cells.filter(is).length / cells.length;

/** Which column is what, of its first rows; null where no column is days or none temperatures. */
function columnsOf(headings: readonly string[], rows: readonly string[][]): Columns | null {
  const readDay = dayReader('day');
  const readOther = dayReader('month');
  const column = (n: number) =>
    rows
      .slice(0, TYPED)
      .map((row) => row[n] ?? '')
      .filter((cell) => cell.trim() !== '');
  const all = headings.map((_, n) => n);
  const isDay = (cell: string) => readDay(splitWhen(cell)[0]) !== null || readOther(splitWhen(cell)[0]) !== null;
  const day = all.find((n) => share(column(n), isDay) >= MOST);
  if (day === undefined) return null;
  const timed = share(column(day), (cell) => timeOf(splitWhen(cell)[1]) !== null) >= MOST;
  const time = timed
    ? undefined
    : all.find((n) => n !== day && share(column(n), (cell) => timeOf(cell) !== null) >= MOST);
  if (!timed && time === undefined) return null;
  const numbers = all.filter(
    (n) => n !== day && n !== time && share(column(n), (cell) => typeof readNumber(cell.trim()) === 'number') >= MOST,
  );
  // A count of rows goes up by one; what is called a temperature is one; of two the water's.
  const counts = (n: number) => {
    const values = column(n).map((cell) => readNumber(cell.trim())!);
    return values.length > 2 && values.every((value, at) => at === 0 || value === values[at - 1]! + 1);
  };
  const named = (n: number) =>
    (/temp|°|deg|\b[cf]\b/i.test(headings[n]!) ? 2 : 0) +
    (/water|wasser|eau/i.test(headings[n]!) ? 1 : 0) -
    (/air/i.test(headings[n]!) ? 2 : 0);
  const [temperature] = numbers.filter((n) => !counts(n)).sort((a, b) => named(b) - named(a) || a - b);
  return temperature === undefined ? null : { day, time: time ?? null, temperature };
}

/** The stamp of an instant told in a clock `offset` hours ahead of UT, by the clock of a zone; null for the device's. */
function local(day: string, { minutes, offset }: Clock, zone: string | null): string {
  const stamp = stampAt(day, minutes / 60);
  if (offset === null) return stamp;
  const instant = Date.parse(`${stamp}Z`) - offset * 3_600_000;
  return format(zone === null ? new TZDate(instant) : new TZDate(instant, zone), "yyyy-MM-dd'T'HH:mm");
}

export interface LoggerAsked {
  /** Whose clock the water's times are by; null for the device's. */
  zone: string | null;
  /** Local stamp: what lies after it was written by another clock. */
  now: string;
  /** Hours to add to every time, where its clock was found wrong. */
  shiftH?: number;
}

/**
 * Reads a logger's table: its columns in any order and under any headings, °C or °F, its times local, of UT or of a zone it names. Null where no column is
 * days with times and none temperatures. What cannot be of a water is left out and said.
 */
export function readLogger(text: string, { zone, now, shiftH = 0 }: LoggerAsked): LoggerRead | null {
  const all = Papa.parse<string[]>(text.replace(/^\uFEFF/, '').trim(), { skipEmptyLines: 'greedy' }).data;
  for (let line = 0; line < Math.min(PREAMBLE, all.length - 1); line++) {
    const headings = all[line]!.map((cell) => cell.trim());
    const rows = all.slice(line + 1);
    const columns = headings.length >= 2 ? columnsOf(headings, rows) : null;
    if (columns) return readRows(headings, rows, columns, { zone: knownZone(zone), now, shiftH });
  }
  return null;
}

function readRows(
  headings: readonly string[],
  rows: readonly string[][],
  { day, time, temperature }: Columns,
  { zone, now, shiftH = 0 }: LoggerAsked,
): LoggerRead {
  const said: Coded[] = [];
  const say = (code: string, params: Coded['params'] = {}) => said.push({ code, params });
  const days = rows.map((row) => wholeYear(splitWhen(row[day] ?? '')[0]));
  const order = dayOrderOf(days) ?? null;
  if (order === null && days.some((cell) => /^\d{1,2}\/\d{1,2}\//.test(cell))) say('logger-day-first');
  const readDay = dayReader(order ?? DAY_ORDERS[0]!);
  const [, inHeading] = IN_HEADING.exec(headings[day] + (time === null ? '' : ` ${headings[time]}`)) ?? [];
  const ofHeading = IN_HEADING.test(headings[day]! + (time === null ? '' : headings[time]!))
    ? offsetOf(inHeading ?? '0')
    : null;
  let zoneH: number | null = ofHeading;
  let unread = 0;
  const read = rows.flatMap((row) => {
    const [ofDay, ofTime] = splitWhen(row[day] ?? '');
    const own = readDay(ofDay);
    const clock = timeOf(time === null ? ofTime : (row[time] ?? ''));
    const value = readNumber((row[temperature] ?? '').trim());
    if (own === null || clock === null || typeof value !== 'number') {
      unread++;
      return [];
    }
    const offset = clock.offset ?? ofHeading;
    zoneH ??= offset;
    return [{ at: local(own, { minutes: clock.minutes + shiftH * 60, offset }, zone), value }];
  });
  if (unread > 0) say('logger-unread', { count: unread });
  const told = /[°º]?\s*\b(C|F)\b|celsius|fahrenheit/i.exec(headings[temperature]!);
  const byHeading = told ? ((told[1] ?? told[0][0]!).toUpperCase() as 'C' | 'F') : null;
  const unit =
    byHeading ??
    (read.length > 0 && jStat.median(read.map(({ value }) => value)) > FAHRENHEIT_FROM
      ? ('F' as const)
      : ('C' as const));
  if (byHeading === null) say(unit === 'F' ? 'logger-guess-f' : 'logger-guess-c');
  const inC = read.map(({ at, value }) => ({ at, c: unit === 'F' ? ((value - 32) * 5) / 9 : value }));
  const wet = inC.filter(({ c }) => c >= WATER_C[0] && c <= WATER_C[1]);
  if (wet.length < inC.length) say('logger-planet', { count: inC.length - wet.length });
  const past = wet.filter(({ at }) => at <= now);
  if (past.length < wet.length)
    say('logger-ahead', { count: wet.length - past.length, at: { at: wet.find(({ at }) => at > now)!.at } });
  const back = past.find((one, n) => n > 0 && one.at < past[n - 1]!.at);
  if (back) say('logger-back', { at: { at: back.at } });
  const sorted = [...past].sort((a, b) => a.at.localeCompare(b.at));
  const readings = sorted.filter(({ at }, n) => n === 0 || at !== sorted[n - 1]!.at);
  if (readings.length < sorted.length) say('logger-twice', { count: sorted.length - readings.length });
  const steps = readings
    .slice(1)
    .map(({ at }, n) => Math.round(60 * hoursSince(readings[n]!.at, at) - 60 * hourOf(readings[n]!.at)));
  const everyMin = steps.length === 0 ? 0 : jStat.median(steps);
  const gaps = steps.flatMap((step, n) => (step > GAP_STEPS * everyMin ? [n] : []));
  if (gaps.length > 0) {
    const [longest] = [...gaps].sort((a, b) => steps[b]! - steps[a]!);
    say('logger-gaps', {
      count: gaps.length,
      from: { at: readings[longest!]!.at },
      to: { at: readings[longest! + 1]!.at },
    });
  }
  const lifted = readings.filter(
    ({ c }, n) => n > 0 && steps[n - 1]! <= GAP_STEPS * everyMin && Math.abs(c - readings[n - 1]!.c) > OUT_C,
  ).length;
  if (lifted > 0) say('logger-lifted', { count: lifted });
  const off = clockOff(readings);
  if (off !== null) say(off > 0 ? 'logger-clock-ahead' : 'logger-clock-behind', { hours: Math.abs(off) });
  return {
    readings,
    columns: {
      when: time === null ? [headings[day]!] : [headings[day]!, headings[time]!],
      temperature: headings[temperature]!,
    },
    unit,
    zoneH,
    everyMin,
    said,
  };
}

function byDay(readings: readonly LoggerReading[]): Map<string, LoggerReading[]> {
  const days = new Map<string, LoggerReading[]>();
  for (const reading of readings) {
    const own = days.get(reading.at.slice(0, 10));
    if (own) own.push(reading);
    else days.set(reading.at.slice(0, 10), [reading]);
  }
  return days;
}

/** Whole hours by which a clock is off, + where it is ahead: the water is warmest at another time of the day than water is. Null where it is not, or nothing tells. */
export function clockOff(readings: readonly LoggerReading[]): number | null {
  let [x, y, days] = [0, 0, 0];
  for (const own of byDay(readings).values()) {
    const all = own.map(({ c }) => c);
    const mean = all.reduce((sum, c) => sum + c, 0) / own.length;
    const [first, last] = [hourOf(own[0]!.at), hourOf(own[own.length - 1]!.at)];
    if (last - first < 20 || Math.max(...all) - Math.min(...all) < SWING_C) continue;
    days++;
    // The hour of the day's one wave, not of its one hottest reading.
    for (const { at, c } of own) {
      const angle = (2 * Math.PI * hourOf(at)) / 24;
      x += (c - mean) * Math.cos(angle);
      y += (c - mean) * Math.sin(angle);
    }
  }
  if (days < CLOCK_DAYS) return null;
  const warmest = (Math.atan2(y, x) * 24) / (2 * Math.PI);
  const off = ((warmest - WARMEST_H + 36) % 24) - 12;
  return Math.abs(off) > CLOCK_H ? Math.round(off) : null;
}

/** Of a day so much has to be known for its mean to be one. */
const KNOWN_H = 16;

/** Mean, lowest and highest of every local day that is known well enough, °C to a hundredth. */
export function dailyOf(
  readings: readonly LoggerReading[],
): Record<string, { mean: number; low: number; high: number }> {
  const hundredth = (c: number) => Math.round(c * 100) / 100;
  return Object.fromEntries(
    [...byDay(readings)].flatMap(([date, own]) => {
      const hours = new Set(own.map(({ at }) => Math.floor(hourOf(at))));
      // A logger that reads every few hours knows a day by few.
      const step = own.length > 1 ? jStat.median(own.slice(1).map(({ at }, n) => hourOf(at) - hourOf(own[n]!.at))) : 24;
      if (hours.size * Math.max(1, step) < KNOWN_H) return [];
      const all = own.map(({ c }) => c);
      const mean = all.reduce((sum, c) => sum + c, 0) / all.length;
      return [[date, { mean: hundredth(mean), low: hundredth(Math.min(...all)), high: hundredth(Math.max(...all)) }]];
    }),
  );
}

/** Readings between two stamps, so many at most, evenly. */
export function readingsOf(
  readings: readonly LoggerReading[],
  from: string,
  to: string,
  most: number,
): LoggerReading[] {
  const own = readings.filter(({ at }) => at >= from && at <= to);
  if (own.length <= most) return own;
  return Array.from({ length: most }, (_, n) => own[Math.round((n * (own.length - 1)) / (most - 1))]!);
}

/** Days between two that a logger did not know. */
export function daysMissing(daily: Readonly<Record<string, unknown>>): number {
  const days = Object.keys(daily).sort();
  if (days.length < 2) return 0;
  let missing = 0;
  for (let day = days[0]!; day < days[days.length - 1]!; day = daysAfter(day, 1)) if (!(day in daily)) missing++;
  return missing;
}
