import { useEffect, useMemo, useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import type { EventOp, Kind } from '@/records';
import { mergeBackup, notIn, replaceByBackup, type Backup } from '@/records/backup';
import { useApp, type Store } from '@/state';
import { readyToTake, type RestoreHow } from '@/state/backup';
import { chooseFile } from '@/features/files';
import { ReadingReport, useForesee } from '@/features/reading';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Choose, Say } from '@/ui/primitives';
import { run } from '@/workers';
import { restore } from './take-restore';

type State =
  | { at: 'rest' }
  | { at: 'reading' }
  | { at: 'read'; file: Blob; backup: Backup; how: RestoreHow; taking: boolean }
  | { at: 'said'; text: string; good: boolean };

/** A backup, or another file that records come back from: read and checked in the background, told of, and taken or left. */
export function RestorePanel() {
  const words = useWords();
  const speech = useSpeech();
  const store = useStore() as unknown as Store;
  const [state, setState] = useState<State>({ at: 'rest' });
  const open = async () => {
    const file = await chooseFile('.zip,.json,application/zip,application/json');
    if (!file) return;
    setState({ at: 'reading' });
    try {
      const read = await run('backup-read', { backup: file });
      setState(
        read.ok
          ? { at: 'read', file, backup: read.backup, how: 'merge', taking: false }
          : { at: 'said', good: false, text: words('data.file-refused', { why: speech.say(read.fault, 'fault') }) },
      );
    } catch {
      setState({ at: 'said', good: false, text: words('data.file-refused', { why: words('backup.unreadable') }) });
    }
  };
  const take = async () => {
    if (state.at !== 'read') return;
    setState({ ...state, taking: true });
    try {
      await restore(store, state.file, state.backup, state.how);
      setState({ at: 'said', good: true, text: words(`backup.taken-${state.how}`) });
    } catch {
      setState({ at: 'said', good: false, text: words('keeping.why.full') });
    }
  };
  return (
    <View className="gap-3">
      <Say size="small" tone="soft">
        {words('backup.restore-hint')}
      </Say>
      <Button
        label={words('backup.read')}
        disabled={state.at === 'reading'}
        onPress={() => void open()}
        className="self-start"
      />
      {state.at === 'reading' ? <Say live>{words('backup.reading')}</Say> : null}
      {state.at === 'said' ? (
        <Say live size="small" tone={state.good ? 'sedge' : 'dawn'}>
          {state.text}
        </Say>
      ) : null}
      {state.at === 'read' ? (
        <Preview
          backup={state.backup}
          how={state.how}
          taking={state.taking}
          onHow={(how) => setState({ ...state, how })}
          onTake={() => void take()}
          onLeave={() => setState({ at: 'rest' })}
        />
      ) : null}
    </View>
  );
}

interface PreviewProps {
  backup: Backup;
  how: RestoreHow;
  taking: boolean;
  onHow: (how: RestoreHow) => void;
  onTake: () => void;
  onLeave: () => void;
}

const NOT_COUNTED: ReadonlySet<string> = new Set(['settings', 'device']);

/** What a backup holds and what taking it would do, before it is done. */
function Preview({ backup, how, taking, onHow, onTake, onLeave }: PreviewProps) {
  const words = useWords();
  const speech = useSpeech();
  const store = useStore() as unknown as Store;
  const entities = useApp((state) => state.records.entities);
  const [ready, setReady] = useState<{ how: RestoreHow; ops: EventOp[]; carried: Backup['carried'] } | null>(null);
  useEffect(() => {
    let here = true;
    void readyToTake(store, backup.carried, how).then((found) => here && setReady({ how, ...found }));
    return () => void (here = false);
  }, [store, backup, how]);
  const input = useMemo(() => (ready?.how === how ? ready : null), [ready, how]);
  const merging = useForesee(mergeBackup, how === 'merge' ? input : null);
  const replacing = useForesee(replaceByBackup, how === 'replace' ? input : null);
  const reading = how === 'merge' ? merging : replacing;
  const counts = new Map<Kind, number>();
  for (const { kind } of backup.carried.records)
    if (!NOT_COUNTED.has(kind)) counts.set(kind, (counts.get(kind) ?? 0) + 1);
  const { manifest } = backup;
  const stays = notIn(entities, backup.carried);
  return (
    <View aria-live="polite" className="gap-3 rounded-control border border-edge bg-plane p-3">
      <Say weight="medium">
        {manifest
          ? words('backup.of', { when: speech.day(manifest.made, true), version: manifest.app })
          : words(`backup.from-${backup.from}`)}
      </Say>
      <Say size="small">{speech.list([...counts].map(([kind, count]) => words(`data.kind.${kind}`, { count })))}</Say>
      {manifest && manifest.missing.length > 0 ? (
        <Say size="small" tone="straw">
          {words('backup.missing', { count: manifest.missing.length })}
        </Say>
      ) : null}
      {manifest ? (
        <>
          <Choose
            label={words('backup.how')}
            choices={[
              { id: 'merge', label: words('backup.merge') },
              { id: 'replace', label: words('backup.replace') },
            ]}
            value={how}
            onChange={onHow}
          />
          <Say size="small" tone="soft">
            {words(`backup.${how}-what`)}
          </Say>
        </>
      ) : null}
      {reading ? <ReadingReport reading={reading} held={backup.carried.records.length} /> : null}
      {how === 'merge' && stays > 0 ? (
        <Say size="small" tone="soft">
          {words('backup.stays', { count: stays })}
        </Say>
      ) : null}
      {taking ? <Say live>{words('backup.taking')}</Say> : null}
      <View className="flex-row gap-3">
        <Button kind="main" label={words('carry.take')} disabled={taking || !reading} onPress={onTake} />
        <Button kind="quiet" label={words('carry.leave')} disabled={taking} onPress={onLeave} />
      </View>
    </View>
  );
}
