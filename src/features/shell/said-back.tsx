import { View } from 'react-native';
import { undone, useApp, useAppDispatch } from '@/state';
import { Button, Say } from '@/ui/primitives';
import { useWords } from './speech-context';

/** What a tap just did, where it was made, with its way back. Taken back is the last change: once another was made, it is undone in its turn. */
export function SaidBack({ text, label, onBack }: { text: string; label: string; onBack: () => void }) {
  const words = useWords();
  const dispatch = useAppDispatch();
  const last = useApp((state) => state.records.past[state.records.past.length - 1]?.label === label);
  return (
    <View className="flex-row items-center justify-between gap-3">
      <Say live tone="sedge" className="min-w-0 flex-1">
        {text}
      </Say>
      {last ? (
        <Button
          tall
          kind="quiet"
          label={words('tied.take-back')}
          onPress={() => {
            dispatch(undone());
            onBack();
          }}
        />
      ) : null}
    </View>
  );
}
