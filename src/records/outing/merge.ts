import type { Shape } from '../atoms';

/** Two devices at one outing lose nothing: each fly of the team stands alone. */
export const outingShape: Shape = { team: { items: 'id' } };
