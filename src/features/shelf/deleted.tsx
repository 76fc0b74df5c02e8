import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import { nameOf, putBack } from '@/records';
import { letGo, readDeleted, useAct, useApp, type Deleted, type Store } from '@/state';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Say } from '@/ui/primitives';

/** What was deleted in the last 30 days, each change of it with a way back. */
export function DeletedRecords() {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const { ports } = useStore() as unknown as Store;
  const saved = useApp((state) => state.session.saved);
  const [all, setAll] = useState<Deleted[]>([]);
  const [gone, setGone] = useState(0);
  useEffect(() => {
    if (!saved) return;
    let here = true;
    void readDeleted(ports.storage).then(
      (found) => here && setAll(found),
      () => here && setAll([]),
    );
    return () => {
      here = false;
    };
  }, [saved, ports, gone]);
  const called = ({ records }: Deleted) => {
    const named = records.map(({ kind, data }) => nameOf(data as object) || words(`reading.kind.${kind}`));
    const first = records.findIndex(({ data }) => nameOf(data as object) !== '');
    return words('data.deleted-what', {
      what: named[Math.max(0, first)],
      kind: words(`reading.kind.${records[Math.max(0, first)]!.kind}`),
      count: records.length - 1,
    });
  };
  if (all.length === 0) return <Say tone="soft">{words('data.deleted-none')}</Say>;
  return (
    <View className="gap-3">
      <Say size="small" tone="soft">
        {words('data.deleted-hint')}
      </Say>
      <View role="list">
        {all.map((item) => (
          <View
            key={item.at}
            role="listitem"
            className="flex-row flex-wrap items-center gap-3 border-b border-line py-2"
          >
            <View className="min-w-0 flex-1">
              <Say>{called(item)}</Say>
              <Say size="small" tone="soft">
                {words('data.deleted-when', { when: speech.day(item.at, true) })}
              </Say>
            </View>
            <Button
              label={words('data.deleted-back')}
              spoken={words('data.deleted-back-what', { what: called(item) })}
              onPress={() => act(putBack, { records: item.records })}
            />
          </View>
        ))}
      </View>
      <Button
        kind="quiet"
        label={words('data.deleted-let-go')}
        onPress={() => void letGo(ports.storage, ports.locks).then(() => setGone(gone + 1))}
        className="self-start"
      />
    </View>
  );
}
