import { View } from 'react-native';
import { LENGTH_SPANS } from '@/core/naturals';
import { setSample, type SampleRecord } from '@/records';
import { useAct } from '@/state';
import { useSpeech, useWords } from '@/features/shell';
import { OneStop, Option, Say } from '@/ui/primitives';

/** A length by one tap: eight spans, open at both ends, each with its honest ±; the span that is on taken again forgets it. */
export function LengthChips({ sampleId, sample }: { sampleId: string; sample: SampleRecord }) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const title = words('rough.how-long', { unit: speech.t(speech.unit === 'mm' ? 'unit.mm' : 'unit.in') });
  // Whole millimetres are said without their tenths.
  const edge = (mm: number) => (speech.unit === 'mm' ? String(mm) : speech.digits(mm));
  const value = sample.rough?.how === 'chip' ? sample.rough.mm : null;
  return (
    <View className="gap-2">
      <Say size="small" tone="soft">
        {title}
      </Say>
      <OneStop label={title} reached={String(value ?? LENGTH_SPANS[0]!.mm)} className="flex-row flex-wrap gap-1">
        {LENGTH_SPANS.map(({ mm, halfMm, fromMm, toMm }) => {
          const on = mm === value;
          const open = fromMm === null ? '-under' : toMm === null ? '-over' : '';
          const ends = { low: fromMm === null ? '' : edge(fromMm), high: toMm === null ? '' : edge(toMm) };
          return (
            <View key={mm} className="min-w-[23%] flex-1">
              <Option
                id={String(mm)}
                look="tile"
                on={on}
                spoken={words(`rough.chip${open}`, ends)}
                onTake={() => act(setSample, { sampleId, rough: on ? null : { mm, halfMm, how: 'chip' } })}
              >
                <Say size="small" weight={on ? 'strong' : 'medium'} className="text-center">
                  {words(`rough.short${open}`, ends)}
                </Say>
              </Option>
            </View>
          );
        })}
      </OneStop>
    </View>
  );
}
