import { useRouter } from 'expo-router';
import { useCallback } from 'react';
import { useStore } from 'react-redux';
import { MOST_FLIES, newBatch, toTie, type BatchIn } from '@/records';
import { useAct, type State, type Store } from '@/state';
import { cardForSession, selectAnswered } from '@/state/answering';

/** An evening's flies of one kind. */
const USUAL_COUNT = 6;

/** The flies of a match's leading answer for a session; none where it is not answered. */
export function fromMatch(state: State, matchId: string): BatchIn[] {
  const match = state.records.entities.match[matchId];
  const answered = match ? selectAnswered(state, matchId, match.leading) : null;
  const card = answered?.status === 'answered' ? answered.answer.card : null;
  return card ? [{ card, matchId, count: USUAL_COUNT }] : [];
}

export function fromDressing(
  state: State,
  dressingId: string,
  hookId: string | null = null,
  count = USUAL_COUNT,
): BatchIn[] {
  const card = cardForSession(state, dressingId, hookId);
  return card ? [{ card, matchId: null, count }] : [];
}

/** What ran out of the boxes or is below its mark: up to the mark, or as often as an evening allows. */
export const fromBox = (state: State): BatchIn[] =>
  toTie(state.records.entities.fly).flatMap(({ dressingId, hookId, missing }) =>
    fromDressing(state, dressingId, hookId, Math.min(missing ?? USUAL_COUNT, MOST_FLIES)),
  );

/** Makes a session of what is given and opens it. */
export function useStartSession(): (of: (state: State) => BatchIn[]) => void {
  const act = useAct();
  const router = useRouter();
  const { getState } = useStore() as unknown as Store;
  return useCallback(
    (of) => {
      const id = act(newBatch, { items: of(getState()) });
      if (id !== null) router.navigate({ pathname: '/vise/[id]', params: { id } });
    },
    [act, router, getState],
  );
}
