import { useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import { flownOn, sumLogged } from '@/records';
import { nowOf, useApp, type Store } from '@/state';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Heading, Row, Say } from '@/ui/primitives';
import { cameText, spentText } from './came';

const FIRST = 4;

/** What the fly of an answer did on outings: in all, and on each. Nothing where it never fished. */
export function OnOutings({ dressingId }: { dressingId: string }) {
  const words = useWords();
  const speech = useSpeech();
  const { getState, ports } = useStore() as unknown as Store;
  const outings = useApp((state) => state.records.entities.outing);
  const waters = useApp((state) => state.records.entities.water);
  const [all, setAll] = useState(false);
  const flown = flownOn(outings, dressingId, nowOf(getState(), ports));
  if (flown.length === 0) return null;
  const hours = flown.reduce((sum, own) => sum + own.hours, 0);
  return (
    <View className="gap-2 px-5 pb-6">
      <Heading>{words('out.on-outings')}</Heading>
      <Say>
        {speech.beside([
          words('out.outings-n', { count: flown.length }),
          spentText(hours, speech),
          cameText(sumLogged(flown.map(({ counts }) => counts)), speech) || words('out.came-nothing-short'),
        ])}
      </Say>
      <View className="border-t border-line">
        {flown.slice(0, all ? undefined : FIRST).map(({ id, outing, counts, hours: own }) => (
          <Row key={id} wide={false} to={{ pathname: '/out/[id]', params: { id } }}>
            <View className="min-w-0 flex-1">
              <Say weight="medium">{(outing.waterId && waters[outing.waterId]?.name) || words('out.somewhere')}</Say>
              <Say size="small" tone="soft">
                {speech.beside([
                  speech.day(outing.start, true),
                  spentText(own, speech),
                  cameText(counts, speech) || words('out.came-nothing-short'),
                ])}
              </Say>
            </View>
          </Row>
        ))}
      </View>
      {flown.length > FIRST ? (
        <Button
          kind="quiet"
          label={words(all ? 'box.fewer' : 'out.all-outings')}
          onPress={() => setAll(!all)}
          className="-ml-4 self-start"
        />
      ) : null}
    </View>
  );
}
