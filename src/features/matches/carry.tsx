import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import { CARRIED, readBundle, takeMatch, type Bundle } from '@/records';
import { takeBundle, useApp, writeBundle, type Store } from '@/state';
import { openText, saveFile } from '@/features/files';
import { ReadingReport, useForesee } from '@/features/reading';
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
    const text = await writeBundle(store, matchId);
    if (text !== null) saveFile(`aubade-${matchTitle(match, speech, words).toLowerCase().replace(/[^\p{L}\d]+/gu, '-')}.json`, text);
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

type Read = { at: 'rest' } | { at: 'read'; bundle: Bundle } | { at: 'fault'; text: string };

/** Reads a match from a file: shows what it holds, says what is here already, then takes it in. */
export function ReadMatch() {
  const words = useWords();
  const speech = useSpeech();
  const store = useStore() as unknown as Store;
  const here = useApp((state) => state.records.entities.match);
  const [read, setRead] = useState<Read>({ at: 'rest' });
  const reading = useForesee(takeMatch, useMemo(() => (read.at === 'read' ? { bundle: read.bundle } : null), [read]));
  const open = async () => {
    const text = await openText('.json,application/json');
    if (text === null) return;
    const result = readBundle(text);
    setRead(result.ok ? { at: 'read', bundle: result.bundle } : { at: 'fault', text: speech.say(result.fault, 'fault') });
  };
  const take = async (bundle: Bundle) => {
    try {
      await takeBundle(store, bundle);
      setRead({ at: 'rest' });
    } catch {
      setRead({ at: 'fault', text: words('carry.no-room') });
    }
  };
  return (
    <View className="gap-3 px-5">
      <Button kind="quiet" label={words('carry.read')} onPress={() => void open()} className="-ml-4 self-start" />
      {read.at === 'fault' ? (
        <Say live size="small" tone="dawn">
          {read.text}
        </Say>
      ) : null}
      {read.at === 'read' ? (
        <View aria-live="polite" className="gap-2 rounded-control border border-edge bg-plane p-3">
          {Object.entries(read.bundle.match).map(([id, match]) => {
            const sample = read.bundle.sample[match.sampleId]!;
            return (
              <View key={id} className="gap-1">
                <Say weight="medium">{words('carry.holds', { title: matchTitle(match, speech, words), insects: words('carry.insects', { count: sample.specimens.filter((item) => item.body.mm !== null).length }), photos: words('carry.photos', { count: Object.keys(read.bundle.pictures).length }) })}</Say>
                {id in here ? <Say size="small">{words('carry.here')}</Say> : null}
              </View>
            );
          })}
          {reading ? <ReadingReport reading={reading} held={CARRIED.reduce((sum, kind) => sum + Object.keys(read.bundle[kind]).length, 0)} /> : null}
          <View className="flex-row gap-3">
            <Button kind="main" label={words('carry.take')} onPress={() => void take(read.bundle)} />
            <Button kind="quiet" label={words('carry.leave')} onPress={() => setRead({ at: 'rest' })} />
          </View>
        </View>
      ) : null}
    </View>
  );
}
