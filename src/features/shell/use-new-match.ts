import { useRouter } from 'expo-router';
import { useCallback } from 'react';
import { useStore } from 'react-redux';
import { change, localStamp, matchSchema, sampleSchema, useAppDispatch, type Store } from '@/state';

/** Makes a sample and its match, and opens the natural. */
export function useNewMatch(): () => void {
  const dispatch = useAppDispatch();
  const router = useRouter();
  const { ports, getState } = useStore() as unknown as Store;
  return useCallback(() => {
    const sampleId = ports.newId('sample');
    const matchId = ports.newId('match');
    const when = getState().session.frozenClock ?? localStamp(ports.now());
    dispatch(change('new-match', (draft) => {
      draft.sample[sampleId] = sampleSchema.cast({ when });
      draft.match[matchId] = matchSchema.cast({ opened: when, sampleId, answers: [{ id: 'a1', stage: null }], leading: 'a1' });
    }));
    router.navigate({ pathname: '/matches/[id]/[step]', params: { id: matchId, step: 'natural' } });
  }, [dispatch, getState, ports, router]);
}
