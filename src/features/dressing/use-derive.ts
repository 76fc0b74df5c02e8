import { useRouter } from 'expo-router';
import { useCallback } from 'react';
import { derive, type Dressing } from '@/core/dressings';
import { makeDressing } from '@/records';
import { useAct } from '@/state';
import { useWords } from '@/features/shell';

/** Makes a dressing of one's own from another, and opens it to change. */
export function useDerive(): (parent: Dressing) => void {
  const act = useAct();
  const router = useRouter();
  const words = useWords();
  return useCallback(
    (parent) => {
      const name = words('dressing.my', { name: parent.name });
      const id = act(makeDressing, { dressing: derive(parent, parent.id, name) });
      if (id !== null) router.navigate({ pathname: '/dressings/[id]/edit', params: { id } });
    },
    [act, router, words],
  );
}
