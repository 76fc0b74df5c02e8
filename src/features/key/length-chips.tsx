import { Pressable, View } from 'react-native';
import { change, useAppDispatch, type SampleRecord } from '@/state';
import { useWords } from '@/features/shell';
import { Say } from '@/ui/primitives';

/** Lengths without a tool: the middle of each span and its half-width at 95 %, mm. */
const SPANS: readonly { mm: number; halfMm: number }[] = [{ mm: 4, halfMm: 1 }, { mm: 6, halfMm: 1 }, { mm: 8.5, halfMm: 1.5 }, { mm: 12, halfMm: 2 }, { mm: 17, halfMm: 3 }, { mm: 25, halfMm: 6 }];

/** A length by one tap: six spans in a row, each with its honest ±. */
export function LengthChips({ sampleId, sample }: { sampleId: string; sample: SampleRecord }) {
  const words = useWords();
  const dispatch = useAppDispatch();
  const value = sample.rough?.how === 'chip' ? sample.rough.mm : null;
  return (
    <View className="gap-2">
      <Say size="small" tone="soft">
        {words('rough.how-long')}
      </Say>
      <View role="radiogroup" aria-label={words('rough.how-long')} className="flex-row flex-wrap gap-[2px]">
        {SPANS.map((span) => {
          const on = span.mm === value;
          const id = String(span.mm).replace('.', '_');
          return (
            <Pressable key={id} role="radio" aria-checked={on} aria-label={words(`rough.chip.${id}`)} onPress={() => dispatch(change('rough', (draft) => void (draft.sample[sampleId]!.rough = { ...span, how: 'chip' })))} className={`min-h-touch min-w-touch flex-1 items-center justify-center rounded-control border ${on ? 'border-river bg-river' : 'border-edge bg-plane'}`}>
              <Say size="small" weight={on ? 'strong' : 'medium'} tone={on ? 'on-river' : 'ink'}>
                {words(`rough.short.${id}`)}
              </Say>
            </Pressable>
          );
        })}
      </View>
    </View>
  );
}
