import { useMemo } from 'react';
import type { TeamFly } from '@/records';
import { useApp } from '@/state';
import { selectCatalogue } from '@/state/answering';
import { hookLine } from '@/features/box';
import { useSpeech } from '@/features/shell';

/** The hook of a fly on the leader, by its maker's name; two flies of one dressing are told apart by it. */
export function useHookOf(): (fly: Pick<TeamFly, 'hookId'>) => string {
  const speech = useSpeech();
  const { hooks } = useApp(selectCatalogue);
  return useMemo(() => {
    const byId = new Map(hooks.map((hook) => [hook.id, hook]));
    return ({ hookId }) => hookLine({ hookId: hookId ?? null, lengthMm: null }, byId, speech);
  }, [hooks, speech]);
}
