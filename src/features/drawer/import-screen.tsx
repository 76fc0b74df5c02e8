import { useState } from 'react';
import { View } from 'react-native';
import { HOOK_COLUMNS, writeHooksFile } from '@/core/exchange';
import { rowsOf } from '@/records';
import { useApp } from '@/state';
import { FileReader } from '@/features/exchange/screens';
import { saveFile } from '@/features/files';
import { Page, useSpeech, useWords } from '@/features/shell';
import { Button, Fold, Heading, Say } from '@/ui/primitives';
import { DrawerTabs } from './drawer-tabs';
import { PacketFiles } from './packet-files';

/** Hooks from a file: looked at first, its headings matched to ours, every bad row named; and everything out to one. */
export function ImportScreen() {
  const words = useWords();
  const speech = useSpeech();
  const models = useApp((state) => state.records.entities.model);
  const makers = useApp((state) => state.records.entities.maker);
  const [looking, setLooking] = useState(false);
  const exported = () =>
    saveFile(
      'aubade-hooks.csv',
      writeHooksFile(Object.values(models).flatMap((model) => rowsOf(model, makers[model.makerId]))),
      'text/csv',
    );
  return (
    <Page column="list" title={words('import.title')} lead={words('import.lead')}>
      <DrawerTabs at="import" />
      <View className="gap-5 px-5 py-4">
        <FileReader
          kind={looking ? 'plain' : 'main'}
          label={words('import.choose')}
          prefer="hooks"
          onOpen={setLooking}
        />
        {looking ? null : (
          <>
            {Object.keys(models).length > 0 ? (
              <Button label={words('import.export')} onPress={exported} className="self-start" />
            ) : null}
            <View>
              <Say size="small" tone="soft">
                {words('import.format')}
              </Say>
              <Fold title={words('import.headings')} line={words('import.headings-line')}>
                <Say size="small">{speech.list(HOOK_COLUMNS)}</Say>
              </Fold>
            </View>
          </>
        )}
      </View>
      {looking ? null : (
        <View className="gap-2 border-t border-line px-5 py-5">
          <Heading>{words('packets.title')}</Heading>
          <Say size="small" tone="soft">
            {words('packets.file-columns')}
          </Say>
          <PacketFiles />
        </View>
      )}
    </Page>
  );
}
