import { View } from 'react-native';
import { createSelector } from '@reduxjs/toolkit';
import { useApp, type State } from '@/state';
import { Page, useNewMatch, useWide, useWords } from '@/features/shell';
import { Button, Say, useRowsInView } from '@/ui/primitives';
import { ReadMatch } from './carry';
import { MatchRow } from './match-row';

/** Matches by when their natural was taken, newest first. */
export const selectMatchIds = createSelector(
  [(state: State) => state.records.entities.match, (state: State) => state.records.entities.sample],
  (match, sample) =>
    Object.keys(match).sort(
      (a, b) =>
        (sample[match[b]!.sampleId]?.when ?? '').localeCompare(sample[match[a]!.sampleId]?.when ?? '') ||
        a.localeCompare(b),
    ),
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

/** Height of a row of which nothing is known yet, px. */
const ROW_PX = 118;

/** Every match: only the rows in view are worked out and drawn. */
function AllMatches({ ids }: { ids: readonly string[] }) {
  const across = useWide() ? 2 : 1;
  const { list, rows, height, onHeight } = useRowsInView(Math.ceil(ids.length / across), ROW_PX);
  return (
    <View ref={list} style={{ height }} className="border-t border-line">
      {rows.map(({ key, index, top }) => (
        <View
          key={key}
          style={{ position: 'absolute', top, left: 0, right: 0 }}
          onLayout={({ nativeEvent }) => onHeight(index, nativeEvent.layout.height)}
          className="flex-row"
        >
          {ids.slice(index * across, (index + 1) * across).map((id) => (
            <View key={id} className={across === 2 ? 'w-1/2' : 'w-full'}>
              <MatchRow id={id} />
            </View>
          ))}
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
    <Page
      column="list"
      title={words('place.matches')}
      aside={<Button kind="main" label={words('matches.new')} onPress={newMatch} />}
    >
      {ids.length === 0 ? (
        <View className="gap-2 px-5">
          <Say>{words('matches.none')}</Say>
          <Say tone="soft">{words('matches.none-hint')}</Say>
        </View>
      ) : (
        <AllMatches ids={ids} />
      )}
      <ReadMatch />
    </Page>
  );
}
