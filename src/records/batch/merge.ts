import type { Shape } from '../atoms';

/** Two tabs at one session lose nothing: flies, ticks, timers and what was measured stand alone. */
export const batchShape: Shape = {
  items: { items: 'id' },
  ticks: 'entries',
  flies: 'things',
  timers: 'entries',
  measured: 'entries',
  looked: 'entries',
};
