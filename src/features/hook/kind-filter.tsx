import { useState } from 'react';
import { View } from 'react-native';
import { ANY_KIND, type HookKinds } from '@/core/answer';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Say } from '@/ui/primitives';
import { KindChips, kindsSaid } from './kind-chips';

/** Which kinds of hook a match's ladder and tables show: a line, its choices when it is opened, and a way back to all. */
export function KindFilter({ kinds, onChange }: { kinds: HookKinds; onChange: (kinds: HookKinds) => void }) {
  const words = useWords();
  const speech = useSpeech();
  const [open, setOpen] = useState(false);
  const said = kindsSaid(kinds, speech);
  return (
    <View className="gap-3 px-5">
      <View className="flex-row flex-wrap items-center gap-3">
        <Button label={words(open ? 'drawer.filters-close' : 'drawer.filters')} onPress={() => setOpen(!open)} />
        {said.length > 0 ? (
          <Button kind="quiet" label={words('hook.all-kinds')} onPress={() => onChange(ANY_KIND)} />
        ) : null}
      </View>
      {said.length > 0 ? (
        <Say size="small" live>
          {words('hook.only-kinds', { kinds: speech.list(said) })}
        </Say>
      ) : null}
      {open ? (
        <View className="gap-3 rounded-control border border-edge bg-ground p-3">
          <KindChips kinds={kinds} onChange={onChange} />
        </View>
      ) : null}
    </View>
  );
}
