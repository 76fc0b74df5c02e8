import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import { backupDue } from '@/records';
import { nowOf, selectDevice, useApp, type Store } from '@/state';
import { useWords } from '@/features/shell';
import { Say, WordLink } from '@/ui/primitives';
import { keptFile, writeKept } from './kept-file';
import { makeBackup, noteBackup } from './make-backup';

/** Says that the last backup is old; where a file was chosen for it, it is written anew by itself and that is said instead. Nothing while none is due. */
export function BackupDue() {
  const words = useWords();
  const store = useStore() as unknown as Store;
  const never = useApp((state) => selectDevice(state).backedUp === null);
  const days = useApp((state) => backupDue(state.records.entities, nowOf(state, store.ports)));
  const [written, setWritten] = useState<string | null>(null);
  const tried = useRef(false);
  useEffect(() => {
    if (days === null || tried.current) return;
    tried.current = true;
    void (async () => {
      const handle = await keptFile();
      if (!handle) return;
      const { file } = await makeBackup(store);
      if (!(await writeKept(handle, file, false))) return;
      noteBackup(store);
      setWritten(handle.name);
      // What fails stays due, and that is said.
    })().catch(() => undefined);
  }, [days, store]);
  if (written !== null)
    return (
      <Say live size="small" tone="sedge" className="px-5 pb-3">
        {words('backup.due-done', { name: written })}
      </Say>
    );
  if (days === null) return null;
  return (
    <View className="mx-5 mb-4 flex-row flex-wrap items-center justify-between gap-x-3 border-l-4 border-straw pl-3">
      <Say size="small" className="min-w-[55%] flex-1">
        {never ? words('backup.due-never') : words('backup.due', { count: days })}
      </Say>
      <WordLink small to="/shelf/data">
        {words('backup.due-do')}
      </WordLink>
    </View>
  );
}
