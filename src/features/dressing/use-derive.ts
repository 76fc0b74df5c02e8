import { useRouter } from 'expo-router';
import { useCallback } from 'react';
import { useStore } from 'react-redux';
import { derive, type Dressing } from '@/core/dressings';
import { deriveDressing, freeDressingId } from '@/records';
import { selectDressings, useAct, type Store } from '@/state';
import { useWords } from '@/features/shell';

/** Makes a dressing of one's own from another, and opens it to change. */
export function useDerive(): (parent: Dressing) => void {
  const act = useAct();
  const router = useRouter();
  const words = useWords();
  const { getState } = useStore() as unknown as Store;
  return useCallback((parent) => {
    const name = words('dressing.my', { name: parent.name });
    const id = freeDressingId(name, selectDressings(getState()));
    act(deriveDressing, { dressing: derive(parent, id, name) });
    router.navigate({ pathname: '/dressings/[id]/edit', params: { id } });
  }, [act, getState, router, words]);
}
