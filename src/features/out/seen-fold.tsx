import { View } from 'react-native';
import type { RiseFormId, SeenId } from '@/catalogue/ids';
import { latelySeen, noteSeen, type OutingRecord } from '@/records';
import { useAct, useApp } from '@/state';
import { selectStagesUp } from '@/state/answering';
import { useSpeech, useWords } from '@/features/shell';
import { Digits, Fold, Row, Say } from '@/ui/primitives';

const SHOWN = 3;

/** What is seen on the water, a tap each with its time, and which stages that speaks for before any insect is in hand. */
export function SeenFold({ id, outing, now, open }: { id: string; outing: OutingRecord; now: string; open: boolean }) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const { tally } = outing;
  const events = tally.latest.map(({ event }) => event);
  const { seen, rise } = latelySeen(outing, now);
  const up = useApp((state) => selectStagesUp(state, seen, rise, outing.start)).slice(0, SHOWN);
  const count = Object.values({ ...tally.seen, ...tally.rises }).reduce((sum, n) => sum + (n ?? 0), 0);
  const line = (key: string, label: string, times: number, last: string | undefined, note: () => void) =>
    open ? (
      <Row key={key} tall wide={false} spoken={words('out.saw', { what: label, count: times })} onPress={note}>
        <Told label={label} last={last} times={times} />
      </Row>
    ) : times > 0 ? (
      <View key={key} className="min-h-target flex-row items-center border-b border-line py-1">
        <Told label={label} last={last} times={times} />
      </View>
    ) : null;
  const lastOf = (is: (event: (typeof events)[number]) => boolean) => events.find(is)?.at.slice(11, 16);
  return (
    <Fold
      wide
      title={words('out.seen')}
      line={
        up.length > 0 && count > 0
          ? words('out.up', { stages: speech.list(up.map(({ stage }) => speech.plain('stages', stage))) })
          : words(count > 0 ? 'out.seen-n' : 'out.seen-none', { count })
      }
    >
      <View>
        {speech.ids.seen
          .filter((own) => own.id !== 'rises')
          .map(({ id: own }) =>
            line(
              own,
              words(`key.seen-name.${own}`),
              tally.seen[own as SeenId] ?? 0,
              lastOf((event) => event.seen === own),
              () => act(noteSeen, { outingId: id, seen: own as SeenId }),
            ),
          )}
      </View>
      <View>
        <Say size="small" tone="soft" className="pb-1">
          {words('key.rise')}
        </Say>
        {speech.ids['rise-forms'].map(({ id: own }) =>
          line(
            own,
            words(`key.rise-name.${own}`),
            tally.rises[own as RiseFormId] ?? 0,
            lastOf((event) => event.rise === own),
            () => act(noteSeen, { outingId: id, rise: own as RiseFormId }),
          ),
        )}
      </View>
    </Fold>
  );
}

function Told({ label, last, times }: { label: string; last: string | undefined; times: number }) {
  const words = useWords();
  return (
    <>
      <View className="min-w-0 flex-1">
        <Say weight="medium">{label}</Say>
        {last ? (
          <Say size="small" tone="soft">
            {words('out.last', { time: last })}
          </Say>
        ) : null}
      </View>
      {times > 0 ? <Digits>{String(times)}</Digits> : null}
    </>
  );
}
