import { View } from 'react-native';
import { useStore } from 'react-redux';
import { bandSeen } from '@/core/hatch';
import type { RiseFormId, SeenId } from '@/catalogue/ids';
import { notedOf } from '@/core/outing';
import { hoursOut, type OutingRecord } from '@/records';
import { nowOf, useApp, type Store } from '@/state';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Heading, Say } from '@/ui/primitives';
import { spentText } from './came';

/** After every stamp. */
const LAST = '~';
/** So many stand beside each other. */
export const MOST_COMPARED = 3;

/** Outings beside each other: the day, the water, what was seen and when, what fished and what came of it in an hour. */
export function CompareOutings({ ids, onClose }: { ids: readonly string[]; onClose: () => void }) {
  const words = useWords();
  const speech = useSpeech();
  const { getState, ports } = useStore() as unknown as Store;
  const { outing, water } = useApp((state) => state.records.entities);
  const now = nowOf(getState(), ports);
  const own = ids.flatMap((id) => (outing[id] ? [outing[id]] : []));
  const degrees = ({ waterC, temps }: OutingRecord) => {
    const all = temps.map(({ c }) => c);
    if (all.length > 1) return `${speech.number(Math.min(...all), 1)}–${speech.number(Math.max(...all), 1)}`;
    return waterC === null || waterC === undefined ? '' : speech.number(waterC, 1);
  };
  const seen = ({ tally }: OutingRecord) => {
    const first = new Map<string, string>();
    for (const [what, [at]] of Object.entries(tally.noted ?? notedOf(tally.latest.map(({ event }) => event)))) {
      const band = bandSeen({ seen: what as SeenId, rise: what as RiseFormId });
      if (band && at < (first.get(band) ?? LAST)) first.set(band, at);
    }
    return [...first]
      .sort(([, a], [, b]) => a.localeCompare(b))
      .map(([band, at]) => `${words(`hatch.name.${band}`)} ${at.slice(11, 16)}`);
  };
  const an = (count: number, one: OutingRecord) => {
    const hours = hoursOut(one, now);
    return hours > 0 ? speech.number(count / hours, 1) : '';
  };
  const rows: [key: string, of: (one: OutingRecord) => string | readonly string[]][] = [
    ['hours', (one) => spentText(hoursOut(one, now), speech)],
    [
      'water',
      ({ level, clarity }) =>
        [level && words(`out.levels.${level}`), clarity && words(`out.claritys.${clarity}`)].filter(
          (text) => typeof text === 'string',
        ),
    ],
    [
      'sky',
      ({ sky, wind }) =>
        [sky && words(`out.skys.${sky}`), wind && words(`out.winds.${wind}`)].filter(
          (text) => typeof text === 'string',
        ),
    ],
    ['water-c', degrees],
    ['seen', seen],
    ['flies', ({ team }) => [...new Set(team.map(({ name }) => name))]],
    ['took', ({ tally }) => String(tally.all.took)],
    ['took-h', (one) => an(one.tally.all.took, one)],
    ['refused', ({ tally }) => String(tally.all.refused)],
    ['note', ({ note }) => note],
  ];
  const text = (value: string | readonly string[]) => (typeof value === 'string' ? [value] : value);
  const shown = rows.filter(([, of]) => own.some((one) => text(of(one)).join('') !== ''));
  return (
    <View className="gap-2 border-y border-line bg-plane px-5 py-4">
      <View className="flex-row items-center justify-between">
        <Heading size="small">{words('journal.compared', { count: own.length })}</Heading>
        <Button kind="quiet" label={words('journal.close')} className="-mr-4" onPress={onClose} />
      </View>
      <View role="table" aria-label={words('journal.compared', { count: own.length })}>
        <View role="row" className="flex-row gap-3 border-b border-line pb-2">
          {own.map((one) => (
            <View key={one.start} role="columnheader" className="min-w-0 flex-1">
              <Say weight="medium">{(one.waterId && water[one.waterId]?.name) || words('out.somewhere')}</Say>
              <Say size="small" tone="soft">
                {speech.day(one.start, true)}
              </Say>
            </View>
          ))}
        </View>
        {shown.map(([key, of]) => (
          <View key={key} role="row" className="border-b border-line py-2">
            <View role="rowheader">
              <Say size="small" tone="soft">
                {words(`journal.row.${key}`)}
              </Say>
            </View>
            <View role="presentation" className="flex-row gap-3">
              {own.map((one) => (
                <View key={one.start} role="cell" className="min-w-0 flex-1">
                  {text(of(one)).map((line) => (
                    <Say key={line} size="small">
                      {line || '–'}
                    </Say>
                  ))}
                </View>
              ))}
            </View>
          </View>
        ))}
      </View>
    </View>
  );
}
