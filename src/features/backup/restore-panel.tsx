import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import type { Backup } from '@/records/backup';
import type { Store } from '@/state';
import type { RestoreHow } from '@/state/backup';
import { chooseFile } from '@/features/files';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Say } from '@/ui/primitives';
import { run } from '@/workers';
import { RestorePreview } from './restore-preview';
import { restore } from './take-restore';

type State =
  | { at: 'rest' }
  | { at: 'reading' }
  | { at: 'read'; file: Blob; backup: Backup; how: RestoreHow; taking: boolean }
  | { at: 'said'; text: string; good: boolean };

/** A backup, or another file that records come back from: read and checked in the background, told of, and taken or left. */
export function RestorePanel({
  onPreview,
}: {
  /** Hears whether one is looked at. */ onPreview?: (open: boolean) => void;
}) {
  const words = useWords();
  const speech = useSpeech();
  const store = useStore() as unknown as Store;
  const [state, setState] = useState<State>({ at: 'rest' });
  const looking = state.at === 'read';
  useEffect(() => onPreview?.(looking), [looking, onPreview]);
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
        <RestorePreview
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
