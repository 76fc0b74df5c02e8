import { View } from 'react-native';
import { change, useAppDispatch, type SampleRecord } from '@/state';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Chips, Say } from '@/ui/primitives';

/** Lengths without a tool: the middle of each span and its half-width at 95 %, mm. */
const CHIPS: readonly { mm: number; halfMm: number }[] = [{ mm: 4, halfMm: 1 }, { mm: 6, halfMm: 1 }, { mm: 8.5, halfMm: 1.5 }, { mm: 12, halfMm: 2 }, { mm: 17, halfMm: 3 }, { mm: 25, halfMm: 6 }];

/** One tap for a length with its honest ±; it gives way as soon as one is measured. */
export function RoughLength({ sampleId, sample }: { sampleId: string; sample: SampleRecord }) {
  const words = useWords();
  const speech = useSpeech();
  const dispatch = useAppDispatch();
  if (sample.specimens.some((specimen) => specimen.body.mm !== null)) return null;
  const set = (rough: SampleRecord['rough']) => dispatch(change('rough', (draft) => void (draft.sample[sampleId]!.rough = rough)));
  return (
    <View className="gap-2">
      <Say size="small" tone="soft">
        {words('rough.title')}
      </Say>
      <Chips label={words('rough.title')} choices={CHIPS.map(({ mm }) => ({ id: String(mm), label: words(`rough.chip.${String(mm).replace('.', '_')}`) }))} value={sample.rough ? String(sample.rough.mm) : null} onChange={(id) => set({ ...CHIPS.find(({ mm }) => String(mm) === id)!, how: 'chip' })} />
      {sample.rough ? (
        <View className="flex-row items-center justify-between gap-3">
          <Say size="small" tone="soft" className="min-w-0 flex-1">
            {words('rough.about', { mm: `${speech.length(sample.rough.mm)} ± ${speech.length(sample.rough.halfMm).split(' ')[0]}` })}
          </Say>
          <Button kind="quiet" label={words('rough.clear')} onPress={() => set(null)} />
        </View>
      ) : null}
    </View>
  );
}
