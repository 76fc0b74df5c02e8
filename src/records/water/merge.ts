import type { Shape } from '../atoms';

/** Each day's temperature stands alone. */
export const waterShape: Shape = { daily: 'entries' };
