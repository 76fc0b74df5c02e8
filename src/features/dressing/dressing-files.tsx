import { View } from 'react-native';
import { writeDressings } from '@/core/exchange';
import { useApp } from '@/state';
import { selectCatalogue, selectOwnDressings } from '@/state/answering';
import { FileReader } from '@/features/exchange/screens';
import { saveFile } from '@/features/files';
import { useWords } from '@/features/shell';
import { Button, Heading } from '@/ui/primitives';

/** Dressings from a file and into one: a report first, then what is good is taken. */
export function DressingFiles() {
  const words = useWords();
  const own = useApp(selectOwnDressings);
  const catalogue = useApp(selectCatalogue);
  return (
    <View className="gap-3 px-5 pt-8">
      <Heading>{words('dressing.files')}</Heading>
      <FileReader label={words('dressing.read-file')} />
      {own.length > 0 ? (
        <Button
          label={words('dressing.write-own', { count: own.length })}
          className="self-start"
          onPress={() => saveFile('aubade-dressings.json', writeDressings(own, catalogue))}
        />
      ) : null}
    </View>
  );
}
