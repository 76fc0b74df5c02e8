import { View } from 'react-native';
import { createSelector } from '@reduxjs/toolkit';
import { useApp, type State } from '@/state';
import { Page, useNewMatch, useWide, useWords } from '@/features/shell';
import { Button, Say } from '@/ui/primitives';
import { ReadMatch } from './carry';
import { MatchRow } from './match-row';

/** Matches by when their natural was taken, newest first. */
export const selectMatchIds = createSelector([(state: State) => state.records.entities.match, (state: State) => state.records.entities.sample], (match, sample) =>
  Object.keys(match).sort((a, b) => (sample[match[b]!.sampleId]?.when ?? '').localeCompare(sample[match[a]!.sampleId]?.when ?? '') || a.localeCompare(b)),
);

/** Matches in a list; two beside each other where there is room. */
export function MatchList({ ids, narrow = false }: { ids: readonly string[]; narrow?: boolean }) {
  const two = useWide() && !narrow;
  return (
    <View className={`border-t border-line ${two ? 'flex-row flex-wrap' : ''}`}>
      {ids.map((id) => (
        <View key={id} className={two ? 'w-1/2' : ''}>
          <MatchRow id={id} />
        </View>
      ))}
    </View>
  );
}

export function MatchesScreen() {
  const words = useWords();
  const ids = useApp(selectMatchIds);
  const newMatch = useNewMatch();
  return (
    <Page column="list" title={words('place.matches')} aside={<Button kind="main" label={words('matches.new')} onPress={newMatch} />}>
      {ids.length === 0 ? (
        <View className="gap-2 px-5">
          <Say>{words('matches.none')}</Say>
          <Say tone="soft">{words('matches.none-hint')}</Say>
        </View>
      ) : (
        <MatchList ids={ids} />
      )}
      <ReadMatch />
    </Page>
  );
}
