import { useMemo } from 'react';
import { useStore } from 'react-redux';
import { addSeconds, format, parseISO } from 'date-fns';
import { restOf, type Rest, type Running } from '@/core/session';
import type { Card } from '@/core/tying';
import type { BatchRecord } from '@/records';
import { nowOf, useApp, type Store } from '@/state';
import { runningOf, selectOwnMinutes } from '@/state/answering';
import { useNow } from '@/features/shell';

/** A time of day so many seconds from now, by the clock the tier goes by: `21:40`. */
export function useClock(): (seconds: number) => string {
  const { ports, getState } = useStore() as unknown as Store;
  return (seconds) => format(addSeconds(parseISO(nowOf(getState(), ports)), seconds), 'HH:mm');
}

/** Seconds from now until a time of day; past it, it is not tomorrow's: less than 0 for up to twelve hours. */
export function secondsUntil(by: string, now: string): number {
  const minutes = (at: string) => 60 * Number(at.slice(0, 2)) + Number(at.slice(3, 5));
  const apart = minutes(by) - minutes(now);
  return 60 * (((apart + 720 + 1440) % 1440) - 720);
}

/** How often what is left is worked out anew while nothing is done: the hands are slower than was thought. */
const ANEW_MS = 15_000;

/** A session as core sees it, and what is left of it now. */
export function useRest(batch: BatchRecord): { running: Running<Card>; rest: Rest } {
  const own = useApp(selectOwnMinutes);
  const { ports } = useStore() as unknown as Store;
  const tick = useNow(ANEW_MS);
  const running = useMemo(() => runningOf(batch, own), [batch, own]);
  // As it stands when something was done or time has passed, whichever is later.
  const rest = useMemo(() => restOf(running, Math.max(tick, ports.now())), [running, tick, ports]);
  return { running, rest };
}
