import { logger } from '@/standins/logger';
import { temperatures } from '@/standins/season';

const FROM = '2033-05-01';
const DAYS = 22;

/** The table of the valley's simulated logger: in °F, its temperature before its time, two gaps, and a clock that was never set to the valley's. */
export const demoLogger = (): string =>
  logger({
    seed: 3,
    from: FROM,
    days: temperatures(9, { mean: 9.5, swing: 5.5 }, FROM, DAYS),
    unit: 'F',
    swapped: true,
    aheadH: -8,
    gaps: [7, 30],
  });
