import { View } from 'react-native';
import { useStore } from 'react-redux';
import { endOuting } from '@/records';
import { nowOf, useAct, useApp, type Store } from '@/state';
import { CautionOfTheDay, TwoColumns, useNow, useSpeech, useWords } from '@/features/shell';
import { Button, Heading, WordLink } from '@/ui/primitives';
import { Log } from './log';
import { Strip } from './strip';

const MINUTE_MS = 60_000;

/** The present moment of the outing that goes on: what is up, what comes next, and the log under the thumb. */
export function RunningNow({ id }: { id: string }) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const { getState, ports } = useStore() as unknown as Store;
  const outing = useApp((state) => state.records.entities.outing[id]);
  const water = useApp((state) => (outing?.waterId ? state.records.entities.water[outing.waterId] : undefined));
  useNow(MINUTE_MS);
  if (!outing) return null;
  const now = nowOf(getState(), ports);
  return (
    <View className="pb-4">
      <View className="flex-row flex-wrap items-center justify-between gap-x-3 px-5 pb-1">
        <Heading>
          {speech.pair(
            water?.name ?? words('out.somewhere'),
            words('out.now-since', { time: outing.start.slice(11, 16) }),
          )}
        </Heading>
        <WordLink to={{ pathname: '/out/[id]', params: { id } }}>{words('out.whole')}</WordLink>
      </View>
      <View className="px-5 pb-3">
        <CautionOfTheDay ids={['wading', 'dark-alone']} />
      </View>
      <TwoColumns>
        {[<Strip key="day" open {...{ id, outing, now }} />, <Log key="log" id={id} outing={outing} />]}
      </TwoColumns>
      <View className="px-5">
        <Button tall className="self-start" label={words('out.end')} onPress={() => act(endOuting, { outingId: id })} />
      </View>
    </View>
  );
}
