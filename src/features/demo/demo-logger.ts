import valley from '@/catalogue/demo-valley.json';
import { inYears, yearsUntil } from '@/records';
import { logger } from '@/standins/logger';
import { temperatures } from '@/standins/season';

const FROM = '2033-05-01';
const DAYS = 22;

/** The table of the valley's simulated logger: in °F, its temperature before its time, two gaps, and a clock that was never set to the valley's. */
export function demoLogger(now: string): string {
  const from = inYears(FROM, yearsUntil(valley.clock, now));
  return logger({
    seed: 3,
    from,
    days: temperatures(9, { mean: 9.5, swing: 5.5 }, from, DAYS),
    unit: 'F',
    swapped: true,
    aheadH: -8,
    gaps: [7, 30],
  });
}
