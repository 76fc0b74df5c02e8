import { tzOffset } from '@date-fns/tz';
import zoneOf from '@photostructure/tz-lookup';
import { parseISO } from 'date-fns';

/**
 * The zone whose clock is kept at a place, by its IANA name; at sea the nautical one.
 * @param lat degrees, −90 to 90, north positive
 * @param lon degrees, −180 to 180, east positive
 * @throws RangeError outside of them
 */
export const zoneAt = (lat: number, lon: number): string => zoneOf(lat, lon);

/** Hours a zone's clock is ahead of universal time at noon of a day, `2033-05-24`; negative behind. */
export const hoursAhead = (zone: string, date: string): number =>
  tzOffset(zone, parseISO(`${date.slice(0, 10)}T12:00Z`)) / 60;
