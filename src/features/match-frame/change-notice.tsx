import { View } from 'react-native';
import { useApp } from '@/state';
import { useWords } from '@/features/shell';
import { Say } from '@/ui/primitives';

/** What the last change did to the answer, in one line. */
export function ChangeNotice({ matchKey }: { matchKey: string }) {
  const words = useWords();
  const told = useApp((state) => state.session.told[matchKey]);
  if (!told) return null;
  const lines = [
    told.hook
      ? words('told.hook', { from: told.hook[0] ?? words('told.nothing'), to: told.hook[1] ?? words('told.nothing') })
      : null,
    told.dressing
      ? words('told.dressing', {
          from: told.dressing[0] ?? words('told.nothing'),
          to: told.dressing[1] ?? words('told.nothing'),
        })
      : null,
  ].filter((line): line is string => line !== null);
  return (
    <View className="px-5 py-2" aria-live="polite">
      <Say size="small" tone={lines.length > 0 ? 'dawn' : 'soft'}>
        {lines.length > 0 ? lines.join(' ') : words('told.same')}
      </Say>
    </View>
  );
}
