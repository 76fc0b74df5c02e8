import type { Shape } from '../atoms';

/** Each school and each weight stands alone. */
export const settingsShape: Shape = { schools: 'entries', dressingSchools: 'entries', pickWeights: 'entries' };
