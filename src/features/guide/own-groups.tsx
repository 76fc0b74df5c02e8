import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { writeGroupsFile } from '@/core/exchange';
import { newGroup, ownGroups } from '@/records';
import { useAct, useApp } from '@/state';
import { FileReader } from '@/features/exchange/screens';
import { saveFile } from '@/features/files';
import { useWords } from '@/features/shell';
import { Button } from '@/ui/primitives';

/** Groups of the tier's own: add one, read a file with a report row by row, write them all to one. */
export function OwnGroups() {
  const words = useWords();
  const router = useRouter();
  const act = useAct();
  const own = useApp((state) => state.records.entities.group);
  const add = () => {
    const id = act(newGroup, { name: words('guide.new-name') });
    if (id === null) return;
    router.navigate({ pathname: '/shelf/naturals/[id]', params: { id } });
  };
  return (
    <View className="gap-3 px-5 pb-6">
      <View className="flex-row flex-wrap gap-3">
        <Button label={words('guide.add')} onPress={add} />
        {Object.keys(own).length > 0 ? (
          <Button
            label={words('guide.export')}
            onPress={() => saveFile('aubade-groups.csv', writeGroupsFile(ownGroups(own)), 'text/csv')}
          />
        ) : null}
      </View>
      <FileReader label={words('guide.import')} prefer="groups" />
    </View>
  );
}
