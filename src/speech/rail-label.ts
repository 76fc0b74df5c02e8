import type { Speech } from './speech';

/** What a rail of the ladder is called, with the sizes of it in view and what is open about it. */
export function railLabels({ t, list }: Speech) {
  return (
    { maker, model, open }: { maker: string; model: string; open?: { said: string } | null },
    sizes: readonly string[],
  ): string =>
    t(open ? 'ui.ladder.rail-open' : 'ui.ladder.rail', { maker, model, sizes: list(sizes), open: open?.said });
}
