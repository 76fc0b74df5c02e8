import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import { isDark } from '@/core/naturals/is-dark';
import type { CautionId } from '@/catalogue/ids';
import { noteCautions } from '@/records';
import { nowOf, selectDevice, useAct, type Store } from '@/state';
import { Say, WordLink } from '@/ui/primitives';
import { useSpeech, useWords } from './speech-context';

/** Letters of a date in a stamp. */
const DAY = 10;

/** Cautions that matter here, in one line, once a day: what was shown today on this device is not shown again. */
export function CautionOfTheDay({ ids }: { ids: readonly CautionId[] }) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const { getState, ports } = useStore() as unknown as Store;
  const [due] = useState(() => {
    const state = getState();
    const now = nowOf(state, ports);
    const today = now.slice(0, DAY);
    const shown = selectDevice(state).cautioned;
    return { today, ids: ids.filter((id) => shown[id] !== today && (id !== 'dark-alone' || isDark(now))) };
  });
  useEffect(() => {
    if (due.ids.length === 0) return;
    act(noteCautions, { ids: due.ids, day: due.today });
  }, [act, due]);
  if (due.ids.length === 0) return null;
  return (
    <View className="flex-row items-center gap-3 border-l-4 border-straw pl-3">
      <Say size="small" className="min-w-0 flex-1">
        {speech.t('caution-line.whole', {
          text: due.ids.map((id) => speech.t(`caution-line.${id}`)).join(' '),
          ending: speech.t('caution.ending'),
        })}
      </Say>
      <WordLink small to="/shelf/cautions">
        {words('cautions.read')}
      </WordLink>
    </View>
  );
}
