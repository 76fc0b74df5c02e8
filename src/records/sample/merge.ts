import type { Shape } from '../atoms';

/** Signs, colours, insects and photographs of one natural stand alone: two tabs, or two tiers, that each add one lose none. */
export const sampleShape: Shape = {
  signs: 'entries',
  colours: 'entries',
  shades: 'entries',
  extra: 'entries',
  unread: 'entries',
  photos: 'set',
  skipped: 'set',
  leftOut: 'set',
  seen: 'set',
  specimens: { items: 'id' },
};
