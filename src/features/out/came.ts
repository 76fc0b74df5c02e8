import { LOGGED, type LoggedCount } from '@/core/outing';
import type { Speech } from '@/speech';

/** What was logged, in words: `2 took, 1 refused`; empty for nothing. */
export const cameText = (counts: LoggedCount, speech: Speech): string =>
  speech.list(LOGGED.map((what) => counts[what] > 0 && speech.t(`ui.out.came.${what}`, { count: counts[what] })));
