import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { readDrawerFile, writeDrawerFile, type DrawerRow } from '@/core/exchange';
import { columnsOf } from '@/core/hooks';
import { leftInPacket, takePackets } from '@/records';
import { useApp } from '@/state';
import { selectHooks } from '@/state/answering';
import { openText, saveFile } from '@/features/files';
import { ReadingReport, useForesee } from '@/features/reading';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Say } from '@/ui/primitives';
import { useDrawer } from './use-drawer';

const SHOWN_PROBLEMS = 8;

/** The drawer as a file: written, and read with a report first; a packet that is there is counted again, another is added. */
export function PacketFiles() {
  const words = useWords();
  const speech = useSpeech();
  const drawer = useDrawer();
  const hooks = useApp(selectHooks);
  const packets = useApp((state) => state.records.entities.packet);
  const rows = (): DrawerRow[] =>
    Object.values(packets).map((packet) => {
      const { at, hooks: all } = columnsOf(hooks);
      const [maker, model, size] = packet.hookId.split(':') as [string, string, string];
      return {
        maker,
        model,
        size: all[at.get(packet.hookId) ?? -1]?.size ?? size,
        count: leftInPacket(packet),
        low: packet.low ?? null,
        label: packet.label,
        note: packet.note,
      };
    });
  const [read, setRead] = useState<ReturnType<typeof readDrawerFile> | null>(null);
  const [taken, setTaken] = useState<number | null>(null);
  const strange = useMemo(
    () => (read ? read.rows.filter((row) => !columnsOf(hooks).at.has(row.hookId)) : []),
    [hooks, read],
  );
  const packetRows = read?.rows ?? null;
  const reading = useForesee(
    takePackets,
    useMemo(() => (packetRows === null || packetRows.length === 0 ? null : { rows: packetRows }), [packetRows]),
  );
  const open = async () => {
    const text = await openText('.csv,text/csv,text/plain');
    if (text === null) return;
    setTaken(null);
    setRead(readDrawerFile(text));
  };
  return (
    <View className="gap-3">
      <View className="-ml-4 flex-row flex-wrap gap-x-3">
        <Button kind="quiet" label={words('packets.read-file')} onPress={() => void open()} />
        {Object.keys(packets).length > 0 ? (
          <Button
            kind="quiet"
            label={words('packets.export')}
            onPress={() => saveFile('aubade-packets.csv', writeDrawerFile(rows()), 'text/csv')}
          />
        ) : null}
      </View>
      {read ? (
        <View className="gap-2 rounded-control border border-edge bg-plane p-3">
          <Say live>{words('packets.file-report', { count: read.rows.length })}</Say>
          {reading ? <ReadingReport reading={reading} held={read.rows.length} /> : null}
          {strange.length > 0 ? (
            <Say size="small" tone="straw">
              {words('packets.file-strange', {
                count: strange.length,
                names: speech.list(strange.slice(0, 3).map((row) => row.hookId.replace(/:/g, ' '))),
              })}
            </Say>
          ) : null}
          {read.problems.slice(0, SHOWN_PROBLEMS).map((problem) => (
            <Say
              key={`${problem.line}${problem.column}`}
              size="small"
              tone="dawn"
            >{`${words('guide.line', { line: problem.line })} ${speech.say(problem, 'fault')}`}</Say>
          ))}
          {read.problems.length > SHOWN_PROBLEMS ? (
            <Say size="small" tone="soft">
              {words('import.more', { count: read.problems.length - SHOWN_PROBLEMS })}
            </Say>
          ) : null}
          <View className="flex-row flex-wrap gap-3">
            {read.rows.length > 0 ? (
              <Button
                kind="main"
                label={words('packets.file-take', { count: read.rows.length })}
                onPress={() => {
                  drawer.take(read.rows);
                  setTaken(read.rows.length);
                  setRead(null);
                }}
              />
            ) : null}
            <Button kind="quiet" label={words('dressing.leave')} onPress={() => setRead(null)} />
          </View>
        </View>
      ) : null}
      {taken === null ? null : (
        <Say live tone="sedge">
          {words('packets.file-taken', { count: taken })}
        </Say>
      )}
    </View>
  );
}
