import { View } from 'react-native';
import { useWords } from '@/features/shell';
import { Pick } from '@/ui/primitives';
import { USES } from './stash-rows';

/** What it is for: one use, or every one. */
export function UsePick({ use, onUse }: { use: string | null; onUse: (use: string | null) => void }) {
  const words = useWords();
  return (
    <View className="min-w-36 flex-1">
      <Pick
        label={words('stash.use')}
        choices={USES.map((id) => ({ id: id as string, label: words(`stash.for.${id}`) }))}
        value={use}
        none={words('stash.every-use')}
        onChange={onUse}
      />
    </View>
  );
}
