import { useEffect, useMemo, useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import type { EventOp, Kind } from '@/records';
import { mergeBackup, notIn, replaceByBackup, type Backup } from '@/records/backup';
import { useApp, type Store } from '@/state';
import { readyToTake, type RestoreHow } from '@/state/backup';
import { useForesee, useForeseen, type Undrawn } from '@/features/reading';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Choose, Say } from '@/ui/primitives';

interface RestorePreviewProps {
  backup: Backup;
  how: RestoreHow;
  taking: boolean;
  onHow: (how: RestoreHow) => void;
  onTake: (undrawn: readonly Undrawn[]) => void;
  onLeave: () => void;
}

const NOT_COUNTED: ReadonlySet<string> = new Set(['settings', 'device']);

/** What a backup holds and what taking it would do, before it is done. */
export function RestorePreview({ backup, how, taking, onHow, onTake, onLeave }: RestorePreviewProps) {
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
  const { told, ready: undrawn } = useForeseen(reading, backup.carried.records.length);
  const counts = new Map<Kind, number>();
  for (const { kind } of backup.carried.records)
    if (!NOT_COUNTED.has(kind)) counts.set(kind, (counts.get(kind) ?? 0) + 1);
  const { manifest } = backup;
  const stays = notIn(entities, backup.carried);
  return (
    <View aria-live="polite" className="gap-3 rounded-control border border-edge bg-plane p-3">
      <Say weight="medium">
        {manifest && !manifest.whole
          ? words('backup.handed', { when: speech.day(manifest.made, true) })
          : manifest
            ? words('backup.of', { when: speech.day(manifest.made, true), version: manifest.app })
            : words(`backup.from-${backup.from}`)}
      </Say>
      <Say size="small">{speech.list([...counts].map(([kind, count]) => words(`data.kind.${kind}`, { count })))}</Say>
      {manifest && manifest.missing.length > 0 ? (
        <Say size="small" tone="straw">
          {words('backup.missing', { count: manifest.missing.length })}
        </Say>
      ) : null}
      {manifest?.whole ? (
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
      {told}
      {how === 'merge' && stays > 0 ? (
        <Say size="small" tone="soft">
          {words('backup.stays', { count: stays })}
        </Say>
      ) : null}
      {taking ? <Say live>{words('backup.taking')}</Say> : null}
      <View className="flex-row gap-3">
        <Button
          kind="main"
          label={words('carry.take')}
          disabled={taking || !undrawn}
          onPress={() => undrawn && onTake(undrawn)}
        />
        <Button kind="quiet" label={words('carry.leave')} disabled={taking} onPress={onLeave} />
      </View>
    </View>
  );
}
