import { useRouter } from 'expo-router';
import { useCallback } from 'react';
import { useStore } from 'react-redux';
import { newBatch, ranOut, type BatchIn } from '@/records';
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

export function fromDressing(state: State, dressingId: string, hookId: string | null = null): BatchIn[] {
  const card = cardForSession(state, dressingId, hookId);
  return card ? [{ card, matchId: null, count: USUAL_COUNT }] : [];
}

/** What ran out of the boxes, each as often as an evening allows. */
export const fromBox = (state: State): BatchIn[] =>
  ranOut(state.records.entities.fly).flatMap(({ dressingId, hookId }) => fromDressing(state, dressingId, hookId));

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
