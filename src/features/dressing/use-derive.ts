import { useRouter } from 'expo-router';
import { useCallback } from 'react';
import { useStore } from 'react-redux';
import { derive, type Dressing } from '@/core/dressings';
import { slug } from '@/core/exchange';
import { change, putDressing, selectDressings, useAppDispatch, type Store } from '@/state';
import { useWords } from '@/features/shell';

/** An id that no dressing has yet, from a name. */
export function freeId(name: string, taken: readonly Dressing[]): string {
  const stem = slug(name).replace(/[^a-z0-9-]/g, '') || 'dressing';
  for (let n = 1; ; n++) {
    const id = n === 1 ? stem : `${stem}-${n}`;
    if (!taken.some((dressing) => dressing.id === id)) return id;
  }
}

/** Makes a dressing of one's own from another, and opens it to change. */
export function useDerive(): (parent: Dressing) => void {
  const dispatch = useAppDispatch();
  const router = useRouter();
  const words = useWords();
  const { getState } = useStore() as unknown as Store;
  return useCallback((parent) => {
    const name = words('dressing.my', { name: parent.name });
    const id = freeId(name, selectDressings(getState()));
    dispatch(change('derive', (draft) => putDressing(draft, derive(parent, id, name))));
    router.navigate({ pathname: '/dressings/[id]/edit', params: { id } });
  }, [dispatch, getState, router, words]);
}
