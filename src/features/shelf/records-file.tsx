import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import { readRecords, takeRecords, type Carried } from '@/records';
import { newIn, takeCarriedRecords, useApp, writeRecords, type Store } from '@/state';
import { openText, saveFile } from '@/features/files';
import { ReadingReport, useForesee } from '@/features/reading';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Say } from '@/ui/primitives';

type Read = { at: 'rest' } | { at: 'read'; carried: Carried } | { at: 'fault'; text: string } | { at: 'taken'; count: number };

/** Everything of the tier's own into one file, and such a file, or one of what could not be kept, read back: a report first, then it is merged with what is here. */
export function RecordsFile() {
  const words = useWords();
  const speech = useSpeech();
  const store = useStore() as unknown as Store;
  const any = useApp((state) => Object.values(state.records.entities).some((table) => Object.values(table).some((record) => !(record as { demo?: boolean }).demo && 'demo' in record)));
  const [read, setRead] = useState<Read>({ at: 'rest' });
  const reading = useForesee(takeRecords, useMemo(() => (read.at === 'read' ? { carried: read.carried } : null), [read]));
  const open = async () => {
    const text = await openText('.json,application/json');
    if (text === null) return;
    const result = readRecords(text);
    setRead(result.ok ? { at: 'read', carried: await newIn(store, result.carried) } : { at: 'fault', text: speech.say(result.fault, 'fault') });
  };
  const take = async (carried: Carried) => {
    await takeCarriedRecords(store, carried);
    setRead({ at: 'taken', count: carried.records.length });
  };
  return (
    <View className="gap-3">
      <Say size="small" tone="soft">{words('data.file-hint')}</Say>
      <View className="flex-row flex-wrap gap-3">
        <Button label={words('data.file-write')} disabled={!any} onPress={() => void writeRecords(store, null).then((text) => saveFile('aubade-records.json', text))} />
        <Button label={words('data.file-read')} onPress={() => void open()} />
      </View>
      {any ? null : <Say size="small" tone="soft">{words('data.file-none')}</Say>}
      {read.at === 'fault' ? <Say live size="small" tone="dawn">{words('data.file-refused', { why: read.text })}</Say> : null}
      {read.at === 'read' ? (
        <View aria-live="polite" className="gap-2 rounded-control border border-edge bg-plane p-3">
          <Say weight="medium">{words('data.file-holds', { records: read.carried.records.length, entries: read.carried.events.length })}</Say>
          {reading ? <ReadingReport reading={reading} held={read.carried.records.length} /> : null}
          <View className="flex-row gap-3">
            <Button kind="main" label={words('carry.take')} onPress={() => void take(read.carried)} />
            <Button kind="quiet" label={words('carry.leave')} onPress={() => setRead({ at: 'rest' })} />
          </View>
        </View>
      ) : null}
      {read.at === 'taken' ? <Say live tone="sedge">{words('data.file-taken', { count: read.count })}</Say> : null}
    </View>
  );
}
