import { View } from 'react-native';
import { useStore } from 'react-redux';
import { useApp, writeBundle, type Store } from '@/state';
import { saveFile } from '@/features/files';
import { later, useSpeech, useWords } from '@/features/shell';
import { Button, Say } from '@/ui/primitives';
import { matchTitle } from './answer-line';

/** Writes a match with its photographs to one file. */
export function WriteMatch({ matchId }: { matchId: string }) {
  const words = useWords();
  const speech = useSpeech();
  const store = useStore() as unknown as Store;
  const match = useApp((state) => state.records.entities.match[matchId]);
  if (!match) return null;
  const write = async () => {
    const text = await writeBundle(store, [matchId]);
    if (text !== null)
      saveFile(
        `aubade-${matchTitle(match, speech, words)
          .toLowerCase()
          .replace(/[^\p{L}\d]+/gu, '-')}.json`,
        text,
      );
  };
  return (
    <View className="items-start gap-1">
      <Button label={words('carry.write')} onPress={() => void write()} />
      <Say size="small" tone="soft">
        {words('carry.hint')}
      </Say>
    </View>
  );
}

const Reader = later(async () => (await import('@/features/exchange/screens')).FileReader, 'part');

/** Reads a match from a file: shows what it holds and would do, then takes it in. */
export function ReadMatch({ onOpen }: { /** Hears whether one is looked at. */ onOpen?: (open: boolean) => void }) {
  const words = useWords();
  return (
    <View className="px-5 pt-2">
      <Reader kind="quiet" label={words('carry.read')} prefer="samples" onOpen={onOpen} />
    </View>
  );
}
