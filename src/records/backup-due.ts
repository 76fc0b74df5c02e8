import { differenceInCalendarDays } from 'date-fns/differenceInCalendarDays';
import { DEVICE_ID } from './device/schema';
import type { Entities } from './kinds';
import { SETTINGS_ID } from './settings/schema';

/** Days since the last backup where it is old enough to be said; null where it is not, where none is asked for, or where nothing is the tier's own. Before the first one it counts from the tier's first match. */
export function backupDue({ device, settings, match }: Entities, now: string): number | null {
  const every = settings[SETTINGS_ID]?.backupDays ?? null;
  if (every === null) return null;
  const opened = Object.values(match)
    .filter((own) => !own.demo)
    .map((own) => own.opened)
    .sort();
  const since = device[DEVICE_ID]?.backedUp ?? opened[0];
  if (opened.length === 0 || since === undefined) return null;
  const days = differenceInCalendarDays(now, since);
  return days >= every ? days : null;
}
