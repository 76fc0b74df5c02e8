import { TZDate, tzOffset } from '@date-fns/tz';
import { addDays, format, parseISO } from 'date-fns';
import { getTimes } from 'suncalc';

/** Where a water is, in degrees, and whose clock its times are by; null for the device's. */
export interface Place {
  lat: number;
  lon: number;
  zone: string | null;
}

/** A day's light in hours of the local clock; `dark` may lie past 24. */
export interface Light {
  firstLight: number;
  rise: number;
  set: number;
  dark: number;
  /** The place is not known: a middle latitude with noon at twelve stands in. */
  about: boolean;
}

/** A place that stands in for one that is not known. */
const SOMEWHERE = { lat: 50, lon: 0, zone: 'UTC' } as const;
/** Where the sun does not rise or set, or it never gets dark, the strip runs this long. */
const LONGEST = { firstLight: 2, rise: 3, set: 23, dark: 24 } as const;
const SHORTEST = { firstLight: 10, rise: 11, set: 13, dark: 14 } as const;

/** A zone that this device knows; null, its own clock, for one of another program's that it does not. */
export const knownZone = (zone: string | null): string | null =>
  zone === null || Number.isNaN(tzOffset(zone, new TZDate(0))) ? null : zone;

/** First light to dark of a local day, `2033-05-24`: civil dawn and dusk, sunrise and sunset. South of the equator an unknown place is turned. */
export function lightOf(date: string, place: Place | null, south = false): Light {
  const { lat, lon, zone: named } = place ?? { ...SOMEWHERE, lat: south ? -SOMEWHERE.lat : SOMEWHERE.lat };
  const zone = knownZone(named);
  const [year, month, day] = date.slice(0, 10).split('-').map(Number) as [number, number, number];
  const noon = zone === null ? new TZDate(year, month - 1, day, 12) : new TZDate(year, month - 1, day, 12, 0, 0, zone);
  const times = getTimes(noon, lat, lon);
  const hours = (at: Date | null) => (at === null ? null : 12 + (at.getTime() - noon.getTime()) / 3_600_000);
  const whole = times.alwaysDown ? SHORTEST : LONGEST;
  const rise = hours(times.sunrise) ?? whole.rise;
  const set = hours(times.sunset) ?? whole.set;
  return {
    firstLight: hours(times.dawn) ?? Math.min(rise, whole.firstLight),
    rise,
    set,
    dark: hours(times.dusk) ?? Math.max(set, whole.dark),
    about: place === null,
  };
}

/** The whole tenths of a degree a place is kept to: enough for the sun, and no spot on a bank. */
export const placeTenth = (degrees: number): number => Math.round(degrees * 10) / 10;

/** Hours of a local stamp, `2033-05-24T16:30` as 16.5. */
export const hourOf = (stamp: string): number => Number(stamp.slice(11, 13)) + Number(stamp.slice(14, 16)) / 60;

/** Day of the year of a local stamp, 1 to 366. */
export function dayOfYear(stamp: string): number {
  const [year, month, day] = stamp.slice(0, 10).split('-').map(Number) as [number, number, number];
  return Math.round((Date.UTC(year, month - 1, day) - Date.UTC(year, 0, 0)) / 86_400_000);
}

/** The local day so many days after one, `2033-05-24`. */
export const daysAfter = (date: string, days: number): string =>
  format(addDays(parseISO(date.slice(0, 10)), days), 'yyyy-MM-dd');

const pad = (n: number) => String(n).padStart(2, '0');

/** The stamp of an hour of a local day by its clock; past 24 it is of the day after. */
export function stampAt(date: string, hours: number): string {
  const minutes = Math.round(hours * 60);
  const days = Math.floor(minutes / 1440);
  const left = minutes - days * 1440;
  return `${daysAfter(date, days)}T${pad(Math.floor(left / 60))}:${pad(left % 60)}`;
}

/** Hours of the clock from the midnight a day began with to a stamp. */
export const hoursSince = (date: string, stamp: string): number =>
  (Date.parse(`${stamp.slice(0, 16)}Z`) - Date.parse(`${date.slice(0, 10)}T00:00Z`)) / 3_600_000;
