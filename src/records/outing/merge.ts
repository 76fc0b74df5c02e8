import type { Shape } from '../atoms';

/** Two devices at one outing lose nothing: each fly of the team and each move that is meant stands alone. */
export const outingShape: Shape = { team: { items: 'id' }, plan: { items: 'id' } };
