import { View } from 'react-native';
import { useStore } from 'react-redux';
import { readRecords, takeRecords } from '@/records';
import { newIn, takeCarriedRecords, useApp, writeRecords, type Store } from '@/state';
import { saveFile } from '@/features/files';
import { TakeFile } from '@/features/reading';
import { useWords } from '@/features/shell';
import { Button, Say } from '@/ui/primitives';

/** Everything of the tier's own into one file, and such a file, or one of what could not be kept, read back: a report first, then it is merged with what is here. */
export function RecordsFile() {
  const words = useWords();
  const store = useStore() as unknown as Store;
  const any = useApp((state) =>
    Object.values(state.records.entities).some((table) =>
      Object.values(table).some((record) => !(record as { demo?: boolean }).demo && 'demo' in record),
    ),
  );
  return (
    <View className="gap-3">
      <Say size="small" tone="soft">
        {words('data.file-hint')}
      </Say>
      <Button
        label={words('data.file-write')}
        disabled={!any}
        onPress={() => void writeRecords(store, null).then((text) => saveFile('aubade-records.json', text))}
        className="self-start"
      />
      {any ? null : (
        <Say size="small" tone="soft">
          {words('data.file-none')}
        </Say>
      )}
      <TakeFile
        label={words('data.file-read')}
        read={(text) => {
          const result = readRecords(text);
          return result.ok ? { ok: true, value: result.carried } : result;
        }}
        prepare={(carried) => newIn(store, carried)}
        command={takeRecords}
        input={(carried) => ({ carried })}
        held={({ records }) => records.length}
        about={({ records, events }) => (
          <Say weight="medium">{words('data.file-holds', { records: records.length, entries: events.length })}</Say>
        )}
        take={(carried) => takeCarriedRecords(store, carried)}
        refused={(why) => words('data.file-refused', { why })}
        noRoom={words('keeping.why.full')}
        done={({ records }) => words('data.file-taken', { count: records.length })}
      />
    </View>
  );
}
