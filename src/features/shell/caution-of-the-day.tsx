import { Link } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import type { CautionId } from '@/catalogue/ids';
import { DEVICE_ID, deviceSchema, localStamp, remember, selectDevice, useAppDispatch, type Store } from '@/state';
import { Say } from '@/ui/primitives';
import { useSpeech, useWords } from './speech-context';

/** Cautions that matter here, in one line, once a day: what was shown today on this device is not shown again. */
export function CautionOfTheDay({ ids }: { ids: readonly CautionId[] }) {
  const words = useWords();
  const speech = useSpeech();
  const dispatch = useAppDispatch();
  const { getState, ports } = useStore() as unknown as Store;
  const [due] = useState(() => {
    const state = getState();
    const today = (state.session.frozenClock ?? localStamp(ports.now())).slice(0, 10);
    const shown = selectDevice(state).cautioned;
    return { today, ids: ids.filter((id) => shown[id] !== today) };
  });
  useEffect(() => {
    if (due.ids.length === 0) return;
    dispatch(remember((draft) => {
      const own = { ...deviceSchema.cast({}), ...draft.device[DEVICE_ID] };
      draft.device[DEVICE_ID] = { ...own, cautioned: { ...own.cautioned, ...Object.fromEntries(due.ids.map((id) => [id, due.today])) } };
    }));
  }, [dispatch, due]);
  if (due.ids.length === 0) return null;
  return (
    <View className="flex-row items-center gap-3 border-l-4 border-straw pl-3">
      <Say size="small" className="min-w-0 flex-1">
        {`${due.ids.map((id) => speech.t(`caution-line.${id}`)).join(' ')} ${speech.t('caution.ending')}`}
      </Say>
      <Link href="/shelf/cautions" className="min-h-touch min-w-touch py-4 text-center font-medium text-small text-river">
        {words('cautions.read')}
      </Link>
    </View>
  );
}
