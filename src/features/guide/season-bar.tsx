import { View } from 'react-native';
import type { Speech } from '@/speech';
import { useSpeech, useWords } from '@/features/shell';
import { Say } from '@/ui/primitives';

const MONTHS = Array.from({ length: 12 }, (_, index) => index + 1);

/** In season, by the names of months. */
export const seasonOf = (months: readonly number[], words: ReturnType<typeof useWords>, speech: Speech) =>
  words('guide.season', { months: speech.list(months.map((month) => words(`guide.month.${month}`))) });

/** Months of a group as twelve cells; the words say the same. */
export function SeasonBar({ months }: { months: readonly number[] }) {
  const words = useWords();
  const speech = useSpeech();
  const initials = words('guide.months').split(' ');
  return (
    <View role="img" aria-label={seasonOf(months, words, speech)} className="flex-row gap-1">
      {MONTHS.map((month) => {
        const on = months.includes(month);
        return (
          <View key={month} className={`h-6 w-5 items-center justify-center ${on ? 'bg-river' : 'border border-line'}`}>
            <Say size="small" tone={on ? 'on-river' : 'soft'}>
              {initials[month - 1]}
            </Say>
          </View>
        );
      })}
    </View>
  );
}
