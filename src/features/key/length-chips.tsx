import { View } from 'react-native';
import { LENGTH_SPANS } from '@/core/naturals';
import { setSample, type SampleRecord } from '@/records';
import { useAct } from '@/state';
import { useWords } from '@/features/shell';
import { OneStop, Option, Say } from '@/ui/primitives';

/** A length by one tap: eight spans, open at both ends, each with its honest ±; the span that is on taken again forgets it. */
export function LengthChips({ sampleId, sample }: { sampleId: string; sample: SampleRecord }) {
  const words = useWords();
  const act = useAct();
  const value = sample.rough?.how === 'chip' ? sample.rough.mm : null;
  return (
    <View className="gap-2">
      <Say size="small" tone="soft">
        {words('rough.how-long')}
      </Say>
      <OneStop
        label={words('rough.how-long')}
        reached={String(value ?? LENGTH_SPANS[0]!.mm)}
        className="flex-row flex-wrap gap-1"
      >
        {LENGTH_SPANS.map(({ mm, halfMm }) => {
          const on = mm === value;
          const id = String(mm).replace('.', '_');
          return (
            <Option
              key={id}
              id={String(mm)}
              on={on}
              spoken={words(`rough.chip.${id}`)}
              onTake={() => act(setSample, { sampleId, rough: on ? null : { mm, halfMm, how: 'chip' } })}
              className={`min-h-touch min-w-[23%] flex-1 items-center justify-center rounded-control border ${on ? 'border-river bg-river' : 'border-edge bg-plane'}`}
            >
              <Say size="small" weight={on ? 'strong' : 'medium'} tone={on ? 'on-river' : 'ink'}>
                {words(`rough.short.${id}`)}
              </Say>
            </Option>
          );
        })}
      </OneStop>
    </View>
  );
}
