import { View } from 'react-native';
import { useStore } from 'react-redux';
import { CARRIED, readBundle, takeMatch } from '@/records';
import { takeBundle, useApp, writeBundle, type Store } from '@/state';
import { saveFile } from '@/features/files';
import { TakeFile } from '@/features/reading';
import { useSpeech, useWords } from '@/features/shell';
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

/** Reads a match from a file: shows what it holds, says what is here already, then takes it in. */
export function ReadMatch() {
  const words = useWords();
  const speech = useSpeech();
  const store = useStore() as unknown as Store;
  const here = useApp((state) => state.records.entities.match);
  return (
    <View className="gap-3 px-5">
      <TakeFile
        quiet
        label={words('carry.read')}
        read={(text) => {
          const result = readBundle(text);
          return result.ok ? { ok: true, value: result.bundle } : result;
        }}
        command={takeMatch}
        input={(bundle) => ({ bundle })}
        held={(bundle) => CARRIED.reduce((sum, kind) => sum + Object.keys(bundle[kind]).length, 0)}
        about={(bundle) =>
          Object.entries(bundle.match).map(([id, match]) => {
            const sample = bundle.sample[match.sampleId]!;
            return (
              <View key={id} className="gap-1">
                <Say weight="medium">
                  {words('carry.holds', {
                    title: matchTitle(match, speech, words),
                    insects: words('carry.insects', {
                      count: sample.specimens.filter((item) => item.body.mm !== null).length,
                    }),
                    photos: words('carry.photos', { count: Object.keys(bundle.pictures).length }),
                  })}
                </Say>
                {id in here ? <Say size="small">{words('carry.here')}</Say> : null}
              </View>
            );
          })
        }
        take={(bundle) => takeBundle(store, bundle)}
        noRoom={words('carry.no-room')}
      />
    </View>
  );
}
