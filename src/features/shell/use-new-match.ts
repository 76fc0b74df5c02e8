import { useRouter } from 'expo-router';
import { useCallback } from 'react';
import { useStore } from 'react-redux';
import { newMatch } from '@/records';
import { began, useAct, useAppDispatch, type Store } from '@/state';

/** Makes a sample and its match, and opens the natural. */
export function useNewMatch(): () => void {
  const act = useAct();
  const router = useRouter();
  const dispatch = useAppDispatch();
  const { getState } = useStore() as unknown as Store;
  return useCallback(() => {
    const made = act(newMatch, { own: getState().session.begun });
    if (!made) return;
    dispatch(began(made.matchId));
    router.navigate({ pathname: '/matches/[id]/[step]', params: { id: made.matchId, step: 'natural' } });
  }, [act, dispatch, getState, router]);
}
