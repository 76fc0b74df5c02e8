import { shallowEqual } from 'react-redux';
import type { Card } from '@/core/tying';
import { useApp } from '@/state';
import { selectAnswered } from '@/state/answering';
import { selectMatchIds } from '@/features/matches';

/** So many of the newest matches are looked at: what is tied next. */
const MATCHES = 30;

/** Ids of the newest matches, and the card of each; null where it waits for an answer. */
export function useNewestCards(): { ids: readonly string[]; cards: readonly (Card | null)[] } {
  const ids = useApp(selectMatchIds).slice(0, MATCHES);
  const cards = useApp(
    (state) =>
      ids.map((id) => {
        const match = state.records.entities.match[id];
        const answered = match && selectAnswered(state, id, match.leading);
        return answered?.status === 'answered' ? answered.answer.card : null;
      }),
    shallowEqual,
  );
  return { ids, cards };
}
