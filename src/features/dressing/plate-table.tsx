import { View } from 'react-native';
import type { Answer } from '@/core/answer';
import type { Card } from '@/core/tying';
import { partQuantity } from '@/features/bench';
import { Measured, useSpeech, useWords } from '@/features/shell';
import { Say } from '@/ui/primitives';

/** What the plate draws, as a table: the natural's length, the fly as the eye compares it, and every part's length. */
export function PlateTable({ answer, card }: { answer: Answer; card: Card }) {
  const words = useWords();
  const speech = useSpeech();
  const { length, lengthSource } = answer.natural;
  const rows = [
    {
      key: 'natural',
      name: words('plate.natural-body', { measure: words(`plate.measure.${answer.style.measure}`) }),
      quantity: { value: answer.measured_mm, sd: length.seMm, source: lengthSource },
    },
    { key: 'carry', name: words('plate.fly-carry'), quantity: partQuantity(card, card.hook.carry_mm) },
    ...card.parts
      .filter((part) => part.mm !== null)
      .map((part) => ({
        key: part.id,
        name: speech.plain('parts', part.part),
        quantity: partQuantity(card, part.mm!),
      })),
  ];
  return (
    <View role="table" aria-label={words('plate.table-name')} className="mx-5 border-t border-line">
      {rows.map(({ key, name, quantity }) => (
        <View key={key} role="row" className="flex-row items-center justify-between gap-3 border-b border-line py-1">
          <View role="cell">
            <Say size="small">{name}</Say>
          </View>
          <View role="cell">
            <Measured what={name} quantity={quantity} />
          </View>
        </View>
      ))}
    </View>
  );
}
