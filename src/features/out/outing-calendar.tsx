import {
  addMonths,
  eachDayOfInterval,
  endOfMonth,
  endOfWeek,
  format,
  parseISO,
  startOfMonth,
  startOfWeek,
} from 'date-fns';
import ChevronLeft from 'lucide-react-native/icons/chevron-left';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useApp } from '@/state';
import { useSpeech, useWords } from '@/features/shell';
import { Digits, Heading, IconButton, Row, Say, Tile } from '@/ui/primitives';

const MONDAY = { weekStartsOn: 1 } as const;
const DAY = 'yyyy-MM-dd';

/** Outings by the days of a month: what fished and what took on each, and the months that have any beside it. */
export function OutingCalendar({ ids }: { ids: readonly string[] }) {
  const words = useWords();
  const speech = useSpeech();
  const outings = useApp((state) => state.records.entities.outing);
  const waters = useApp((state) => state.records.entities.water);
  const byDay = useMemo(() => {
    const days = new Map<string, string[]>();
    for (const id of ids) {
      const day = outings[id]!.start.slice(0, 10);
      days.set(day, [...(days.get(day) ?? []), id]);
    }
    return days;
  }, [ids, outings]);
  const months = useMemo(() => [...new Set([...byDay.keys()].map((day) => day.slice(0, 7)))].sort(), [byDay]);
  const [chosen, setMonth] = useState<string | null>(null);
  const [day, setDay] = useState<string | null>(null);
  const month = chosen ?? months[months.length - 1];
  if (month === undefined) return null;
  const first = parseISO(`${month}-01`);
  const weeks = eachDayOfInterval({ start: startOfWeek(first, MONDAY), end: endOfWeek(endOfMonth(first), MONDAY) });
  const go = (next: string | undefined) => {
    if (next === undefined) return;
    setMonth(next);
    setDay(null);
  };
  const before = months.filter((own) => own < month).at(-1);
  const after = months.find((own) => own > month);
  const near = (by: number) => format(addMonths(startOfMonth(first), by), 'yyyy-MM');
  return (
    <View className="max-w-[36rem] gap-3 px-5 pb-4">
      <View className="flex-row items-center justify-between">
        <IconButton
          icon={ChevronLeft}
          label={words('journal.before', { month: speech.month(`${before ?? near(-1)}-01`) })}
          disabled={before === undefined}
          onPress={() => go(before)}
        />
        <Heading size="small">{speech.month(`${month}-01`)}</Heading>
        <IconButton
          icon={ChevronRight}
          label={words('journal.after', { month: speech.month(`${after ?? near(1)}-01`) })}
          disabled={after === undefined}
          onPress={() => go(after)}
        />
      </View>
      <View className="flex-row" aria-hidden>
        {weeks.slice(0, 7).map((date) => (
          <View key={date.getDay()} className="flex-1 items-center">
            <Say size="small" tone="soft">
              {speech.weekday(format(date, DAY))}
            </Say>
          </View>
        ))}
      </View>
      <View role="group" aria-label={speech.month(`${month}-01`)} className="flex-row flex-wrap">
        {weeks.map((date) => {
          const own = format(date, DAY);
          const here = own.startsWith(month) ? (byDay.get(own) ?? []) : [];
          const took = here.reduce((sum, id) => sum + outings[id]!.tally.all.took, 0);
          return (
            <View key={own} style={CELL} className="p-0.5">
              {here.length > 0 ? (
                <Tile
                  on={day === own}
                  spoken={words('journal.day', { day: speech.day(own), count: here.length, took })}
                  onPress={() => setDay(day === own ? null : own)}
                >
                  <View className="items-center py-1">
                    <Digits size="small">{format(date, 'd')}</Digits>
                    <Digits tone="river" strong>
                      {String(took)}
                    </Digits>
                  </View>
                </Tile>
              ) : (
                <View aria-hidden className="min-h-target items-center py-1">
                  <Digits size="small" tone="soft">
                    {own.startsWith(month) ? format(date, 'd') : ''}
                  </Digits>
                </View>
              )}
            </View>
          );
        })}
      </View>
      <Say size="small" tone="soft">
        {words('journal.calendar-key')}
      </Say>
      {day ? (
        <View className="border-t border-line">
          {(byDay.get(day) ?? []).map((id) => {
            const { waterId, start, tally } = outings[id]!;
            return (
              <Row key={id} wide={false} to={{ pathname: '/out/[id]', params: { id } }}>
                <View className="min-w-0 flex-1">
                  <Say weight="medium">{(waterId && waters[waterId]?.name) || words('out.somewhere')}</Say>
                  <Say size="small" tone="soft">
                    {speech.beside([speech.day(start, true), words('out.came.took', { count: tally.all.took })])}
                  </Say>
                </View>
              </Row>
            );
          })}
        </View>
      ) : null}
    </View>
  );
}

const CELL = { width: `${100 / 7}%` } as const;
