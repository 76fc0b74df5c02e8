import { useRouter } from 'expo-router';
import { useCallback } from 'react';
import { newMatch } from '@/records';
import { useAct } from '@/state';

/** Makes a sample and its match, and opens the natural. */
export function useNewMatch(): () => void {
  const act = useAct();
  const router = useRouter();
  return useCallback(() => {
    const made = act(newMatch, {});
    if (made) router.navigate({ pathname: '/matches/[id]/[step]', params: { id: made.matchId, step: 'natural' } });
  }, [act, router]);
}
