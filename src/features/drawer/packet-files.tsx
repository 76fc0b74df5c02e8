import { View } from 'react-native';
import { writeDrawerFile, type DrawerRow } from '@/core/exchange';
import { columnsOf } from '@/core/hooks';
import { leftInPacket } from '@/records';
import { useApp } from '@/state';
import { selectHooks } from '@/state/answering';
import { FileReader } from '@/features/exchange/screens';
import { saveFile } from '@/features/files';
import { useWords } from '@/features/shell';
import { Button } from '@/ui/primitives';

/** The drawer as a file: written, and read with a report first; a packet that is there is counted again, another is added. */
export function PacketFiles() {
  const words = useWords();
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
  return (
    <View className="gap-1">
      <FileReader kind="quiet" label={words('packets.read-file')} prefer="packets" />
      {Object.keys(packets).length > 0 ? (
        <Button
          kind="quiet"
          label={words('packets.export')}
          className="-ml-4 self-start"
          onPress={() => saveFile('aubade-packets.csv', writeDrawerFile(rows()), 'text/csv')}
        />
      ) : null}
    </View>
  );
}
