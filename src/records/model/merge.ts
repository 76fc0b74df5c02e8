import type { Shape } from '../atoms';

/** Each dimension of each size stands alone. */
export const modelShape: Shape = { sizes: 'things' };
