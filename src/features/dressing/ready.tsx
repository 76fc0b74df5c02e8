import { useMemo } from 'react';
import { View } from 'react-native';
import type { Readiness } from '@/catalogue/ids';
import { neededBy, readiness, standInFor, type Dressing } from '@/core/dressings';
import { useApp } from '@/state';
import { selectCatalogue, selectStash } from '@/state/answering';
import { useSpeech, useWords } from '@/features/shell';
import { Say, WordLink } from '@/ui/primitives';
import { AboutSection } from './dressing-about';

const TONE = { ready: 'sedge', substitutes: 'straw', short: 'dawn', unknown: 'soft' } as const;

/** Whether a dressing can be tied from what is had, in a word; nothing until a stash has been begun. */
export function ReadyWord({ ready }: { ready: Readiness }) {
  const speech = useSpeech();
  if (ready === 'unknown') return null;
  return (
    <Say size="small" tone={TONE[ready]} weight="medium">
      {speech.plain('readiness', ready)}
    </Say>
  );
}

/** Which dressings of a library can be tied, by id; null until a stash has been begun. */
export function useReadiness(dressings: readonly Dressing[]): ReadonlyMap<string, Readiness> | null {
  const stash = useApp(selectStash);
  const { materials } = useApp(selectCatalogue);
  return useMemo(
    () =>
      stash &&
      new Map(dressings.map((dressing) => [dressing.id, readiness(dressing, stash, materials).ready] as const)),
    [dressings, stash, materials],
  );
}

/** What a dressing needs and what of it is had: the material itself, a shade of it, what stands in, or nothing. */
export function FromTheDrawer({ dressing }: { dressing: Dressing }) {
  const words = useWords();
  const stash = useApp(selectStash);
  const { materials } = useApp(selectCatalogue);
  const lines = useMemo(() => {
    if (stash === null) return [];
    const nameOf = (id: string) => materials.find((material) => material.id === id)?.name ?? id;
    const seen = new Set<string>();
    return neededBy(dressing).flatMap((needed) => {
      if (seen.has(needed.material)) return [];
      seen.add(needed.material);
      const found = standInFor(dressing, needed, stash, materials);
      return [
        { name: nameOf(needed.material), as: found?.as ?? ('short' as const), by: found ? nameOf(found.id) : '' },
      ];
    });
  }, [dressing, stash, materials]);
  return (
    <AboutSection title={words('ready.title')}>
      {stash === null ? (
        <View className="gap-1">
          <Say size="small" tone="soft">
            {words('ready.unknown')}
          </Say>
          <WordLink to="/drawer/materials">{words('ready.begin')}</WordLink>
        </View>
      ) : (
        lines.map(({ name, as, by }) => (
          <View key={name} className="border-b border-line py-2">
            <Say>{name}</Say>
            <Say size="small" tone={as === 'short' ? 'dawn' : as === 'substitute' ? 'straw' : 'sedge'}>
              {words(`ready.as.${as}`, { by })}
            </Say>
          </View>
        ))
      )}
    </AboutSection>
  );
}
