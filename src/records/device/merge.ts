import type { Shape } from '../atoms';

/** Each caution has its own day. */
export const deviceShape: Shape = { cautioned: 'entries' };
