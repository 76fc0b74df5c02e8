import { View } from 'react-native';
import type { Card } from '@/core/tying';
import { partNamed } from '@/speech/card';
import { Term } from '@/features/glossary';
import { Measured, useSpeech, useWords } from '@/features/shell';
import { Digits, Say } from '@/ui/primitives';
import { partQuantity } from './card-view';
import { formatLength } from '@/core/units';

const BAR = 6;

/** Room used step by step: what is taken, what is left, and whether the parts still to come fit into it. */
export function RoomBudget({ card }: { card: Card }) {
  const words = useWords();
  const speech = useSpeech();
  if (card.budget.length === 0) return null;
  const share = (mm: number) =>
    `${Math.max(0, Math.min(100, (100 * mm) / Math.max(card.room_mm, card.used_mm)))}%` as const;
  const digits = (mm: number) => formatLength(Math.abs(mm) < 0.005 ? 0 : mm, speech.unit).digits;
  return (
    <View className="gap-1 px-5">
      <View className="flex-row flex-wrap items-baseline gap-x-5 gap-y-1">
        {(
          [
            ['room', card.room_mm],
            ['used', card.used_mm],
            ['left', card.room_mm - card.used_mm],
          ] as const
        ).map(([name, mm]) => (
          <View key={name} className="flex-row items-baseline gap-2">
            {name === 'room' ? (
              <Term id="room">{words('bench.room')}</Term>
            ) : (
              <Say size="small" tone="soft">
                {words(`bench.${name}`)}
              </Say>
            )}
            <Measured
              what={words(`bench.${name}`)}
              quantity={partQuantity(card, Math.abs(mm) < 0.005 ? 0 : mm)}
              unit={false}
            />
          </View>
        ))}
      </View>
      {card.budget.map((row) => {
        const short = row.left_mm < row.needed_mm - 1e-6;
        return (
          <View key={row.step} className="gap-1 border-b border-line py-1">
            <View className="flex-row items-baseline justify-between gap-3">
              <Say size="small" className="min-w-0 flex-1">
                {words('bench.budget-line', { n: row.step, part: speech.plain('parts', row.kind) })}
              </Say>
              <Digits>{digits(row.used_mm)}</Digits>
              <Say size="small" tone="soft">
                {words('bench.left-of')}
              </Say>
              <Digits tone={short ? 'dawn' : 'ink'}>{digits(row.left_mm)}</Digits>
            </View>
            <View aria-hidden className="bg-wash" style={{ height: BAR }}>
              <View className={short ? 'bg-dawn' : 'bg-river'} style={{ width: share(row.used_mm), height: BAR }} />
            </View>
            {short ? (
              <Say size="small" tone="dawn">
                {words('bench.budget-short', {
                  needed: speech.length(row.needed_mm),
                  left: speech.length(Math.max(0, row.left_mm)),
                })}
              </Say>
            ) : null}
          </View>
        );
      })}
      {card.over ? (
        <Say size="small" tone="dawn">
          {card.over.drop.length > 0
            ? words('bench.drop', {
                parts: speech.list(card.over.drop.map((id) => partNamed(card, id, speech))),
              })
            : words('bench.drop-none')}
        </Say>
      ) : null}
    </View>
  );
}
