import { View } from 'react-native';
import { FLY_RESULTS, NO_RESULTS, type FlyResult, type ResultCount } from '@/core/box';
import type { Speech } from '@/speech';
import { useApp } from '@/state';
import { useSpeech, useThumb, useWords } from '@/features/shell';
import { Button, Say } from '@/ui/primitives';
import { useLedger } from './use-ledger';

/** What came of a fly in words; empty where nothing did. */
export function resultLine({ took, refused }: ResultCount, speech: Speech): string {
  return speech.list([
    took > 0 && speech.t('ui.box.took-count', { count: took }),
    refused > 0 && speech.t('ui.box.refused-count', { count: refused }),
  ]);
}

interface ResultsProps {
  flyId: string;
  /** The same fly in other boxes, by id: what came of it is counted with it. */
  others?: readonly string[];
  name: string;
  /** What it was fished for; null on a fly's own page, which counts all of them. */
  matchId: string | null;
  /** Null where none is left to lose. */
  lost: (() => void) | null;
}

/** What the fly did, one thumb each: a fish took it, one turned away, it was lost; and what is noted so far. */
export function Results({ flyId, others = [], name, matchId, lost }: ResultsProps) {
  const words = useWords();
  const speech = useSpeech();
  const thumb = useThumb();
  const ledger = useLedger();
  const flies = useApp((state) => state.records.entities.fly);
  const counts = [flyId, ...others].map((id) => {
    const results = flies[id]?.tally.results ?? NO_RESULTS;
    return matchId === null ? results.all : (results.of[matchId] ?? NO_RESULTS.all);
  });
  const sum = (result: FlyResult) => counts.reduce((all, count) => all + count[result], 0);
  const line = resultLine({ took: sum('took'), refused: sum('refused') }, speech);
  return (
    <View className="gap-2">
      <View className={`flex-wrap gap-2 ${thumb === 'right' ? 'flex-row' : 'flex-row-reverse'}`}>
        {FLY_RESULTS.map((result) => (
          <Button
            key={result}
            tall
            className="flex-1"
            label={words(`box.${result}`)}
            spoken={words(`box.${result}-what`, { name })}
            onPress={() => ledger.result(flyId, result, matchId)}
          />
        ))}
        {lost ? (
          <Button
            tall
            className="flex-1"
            label={words('box.lost')}
            spoken={words('box.lost-what', { name })}
            onPress={lost}
          />
        ) : null}
      </View>
      {line ? (
        <Say size="small" weight="medium" tone="sedge">
          {words(matchId === null ? 'box.results' : 'box.results-here', { line })}
        </Say>
      ) : null}
    </View>
  );
}
