import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import { ownKeys, setSettings } from '@/records';
import { selectDevice, selectSettings, useAct, useApp, writeRecords, type Store } from '@/state';
import { saveFile } from '@/features/files';
import { useSpeech, useWords } from '@/features/shell';
import { Button, More, Pick, Say } from '@/ui/primitives';
import { canKeepFile, chooseKeptFile, forgetFile, keptFile, writeKept, type FileHandle } from './kept-file';
import { backupName, makeBackup, noteBackup } from './make-backup';

const EVERY = ['7', '14', '30', '90'] as const;
const NEVER = 'never';
const HOUSEKEEPING = /^(settings|device)\//;

type State = { at: 'rest' } | { at: 'busy'; done: number } | { at: 'said'; text: string; good: boolean };

/** Everything of the tier's own into one file: saved, or written by itself into one that was chosen. */
export function BackupPanel({
  beside = false,
}: {
  /** Another action of the page is the one to take now. */ beside?: boolean;
}) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const store = useStore() as unknown as Store;
  const { backupDays } = useApp(selectSettings);
  const { backedUp } = useApp(selectDevice);
  const any = useApp((state) => ownKeys(state.records.entities).some((key) => !HOUSEKEEPING.test(key)));
  const [state, setState] = useState<State>({ at: 'rest' });
  const [kept, setKept] = useState<FileHandle | null>(null);
  const stop = useRef<AbortController | null>(null);
  useEffect(() => {
    if (canKeepFile()) void keptFile().then(setKept);
  }, []);
  const make = async (into: FileHandle | null) => {
    const own = new AbortController();
    stop.current = own;
    setState({ at: 'busy', done: 0 });
    try {
      const { file, missing, made } = await makeBackup(store, {
        signal: own.signal,
        onProgress: (done) => setState({ at: 'busy', done }),
      });
      const written = into ? await writeKept(into, file, true) : true;
      if (!into) saveFile(backupName(made), file);
      if (written) noteBackup(store);
      setState({
        at: 'said',
        good: written,
        text: written
          ? speech.sentences([
              words('backup.made', { size: speech.bytes(file.size) }),
              missing.length > 0 && words('backup.missing', { count: missing.length }),
            ])
          : words('backup.not-allowed'),
      });
    } catch (error) {
      if ((error as Error).name === 'AbortError') setState({ at: 'rest' });
      else setState({ at: 'said', good: false, text: words('backup.failed') });
    }
  };
  const choose = async () => {
    const handle = await chooseKeptFile('aubade-backup.zip');
    if (!handle) return;
    setKept(handle);
    await make(handle);
  };
  return (
    <View className="gap-3">
      <Say size="small" tone="soft">
        {words('backup.hint')}
      </Say>
      <Say>{backedUp ? words('backup.last', { when: speech.day(backedUp, true) }) : words('backup.never')}</Say>
      {state.at === 'busy' ? (
        <View className="flex-row items-center gap-3">
          <Say live>{words('backup.busy', { percent: Math.round(100 * state.done) })}</Say>
          <Button label={words('backup.stop')} onPress={() => stop.current?.abort()} />
        </View>
      ) : (
        <View className="flex-row flex-wrap gap-3">
          <Button
            kind={beside ? 'plain' : 'main'}
            label={words('backup.make')}
            disabled={!any}
            onPress={() => void make(null)}
          />
          {kept ? (
            <Button label={words('backup.into', { name: kept.name })} disabled={!any} onPress={() => void make(kept)} />
          ) : null}
        </View>
      )}
      {any ? null : (
        <Say size="small" tone="soft">
          {words('data.file-none')}
        </Say>
      )}
      {state.at === 'said' ? (
        <Say live size="small" tone={state.good ? 'sedge' : 'dawn'}>
          {state.text}
        </Say>
      ) : null}
      <Pick
        label={words('backup.every')}
        choices={[
          ...EVERY.map((days) => ({ id: days as string, label: words('backup.days', { count: Number(days) }) })),
          { id: NEVER, label: words('backup.no-reminder') },
        ]}
        value={backupDays === null ? NEVER : String(backupDays)}
        onChange={(id) => act(setSettings, { backupDays: id === NEVER || id === null ? null : Number(id) })}
      />
      {kept ? (
        <Say size="small" tone="soft">
          {words('backup.by-itself', { name: kept.name })}
        </Say>
      ) : null}
      <More label={words('backup.other')}>
        {canKeepFile() && !kept ? (
          <Button label={words('backup.keep-file')} disabled={!any} onPress={() => void choose()} />
        ) : null}
        {kept ? (
          <Button
            label={words('backup.forget-file')}
            onPress={() => {
              void forgetFile();
              setKept(null);
            }}
          />
        ) : null}
        <Button
          label={words('data.file-write')}
          disabled={!any}
          onPress={() => void writeRecords(store, null).then((text) => saveFile('aubade-records.json', text))}
        />
      </More>
    </View>
  );
}
