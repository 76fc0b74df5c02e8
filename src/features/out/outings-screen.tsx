import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { outingsLatest, runningOuting, startOuting } from '@/records';
import { foundBy } from '@/speech/card';
import { useAct, useApp } from '@/state';
import { InList, Page, useSpeech, useWords } from '@/features/shell';
import { Button, Field, Row, Say } from '@/ui/primitives';
import { NEW_WATER, WaterChoice } from './water-choice';
import { Rows } from '@/ui/primitives/rows';

const ROW_TALL = 64;

/** Outings, the latest first; one is begun here with a tap. */
export function OutingsScreen() {
  const words = useWords();
  const speech = useSpeech();
  const outings = useApp((state) => state.records.entities.outing);
  const waters = useApp((state) => state.records.entities.water);
  const [sought, setSought] = useState('');
  const all = useMemo(() => outingsLatest(outings), [outings]);
  const found = all.filter(
    ([, { waterId, note, team, start }]) =>
      sought.trim() === '' ||
      foundBy(
        speech.beside([
          waterId && waters[waterId]?.name,
          speech.day(start, true),
          note,
          ...team.map(({ name }) => name),
        ]),
        sought,
      ),
  );
  return (
    <Page column="list" title={words('place.out')} lead={words('out.lead')}>
      <Begin />
      {all.length === 0 ? (
        <Say tone="soft" className="px-5">
          {words('out.none')}
        </Say>
      ) : (
        <View className="gap-3">
          <View className="flex-row px-5">
            <Field label={words('out.search')} value={sought} onType={setSought} />
          </View>
          {found.length === 0 ? (
            <Say live tone="soft" className="px-5">
              {words('out.search-none')}
            </Say>
          ) : (
            <Rows label={words('place.out')} rows={found.map(([id]) => id)} tall={ROW_TALL}>
              {(id) => <OutingRow id={id} />}
            </Rows>
          )}
        </View>
      )}
    </Page>
  );
}

/** Where it goes, and off; the one that goes on instead, where there is one. */
function Begin() {
  const words = useWords();
  const act = useAct();
  const router = useRouter();
  const waters = useApp((state) => state.records.entities.water);
  const outings = useApp((state) => state.records.entities.outing);
  const running = runningOuting(outings);
  const names = Object.entries(waters).sort(([, a], [, b]) => a.name.localeCompare(b.name));
  const last = outingsLatest(outings)[0]?.[1].waterId ?? null;
  const [chosen, setChosen] = useState<string | null>(null);
  const [name, setName] = useState('');
  const water = chosen ?? (last !== null && waters[last] ? last : (names[0]?.[0] ?? NEW_WATER));
  if (running !== null)
    return (
      <View className="px-5 pb-6">
        <Button
          kind="main"
          tall
          className="self-start"
          label={words('out.go-on')}
          onPress={() => router.navigate({ pathname: '/out/[id]', params: { id: running } })}
        />
      </View>
    );
  const start = () => {
    const id = act(startOuting, {
      water: water !== NEW_WATER ? water : name.trim() === '' ? null : { name: name.trim() },
    });
    if (id !== null) router.navigate({ pathname: '/out/[id]', params: { id } });
  };
  return (
    <View className="gap-3 px-5 pb-6">
      <WaterChoice value={water} onChange={setChosen} name={name} onName={setName} />
      <Button kind="main" tall className="self-start" label={words('out.begin')} onPress={start} />
    </View>
  );
}

function OutingRow({ id }: { id: string }) {
  const words = useWords();
  const speech = useSpeech();
  const outing = useApp((state) => state.records.entities.outing[id]);
  const water = useApp((state) => (outing?.waterId ? state.records.entities.water[outing.waterId] : undefined));
  if (!outing) return null;
  const { took, refused } = outing.tally.all;
  return (
    <InList record={{ kind: 'outing', id }} name={water?.name ?? ''} data={outing}>
      <Row tall to={{ pathname: '/out/[id]', params: { id } }}>
        <View className="min-w-0 flex-1">
          <Say weight="medium">{water?.name ?? words('out.somewhere')}</Say>
          <Say size="small" tone="soft">
            {speech.beside([
              speech.day(outing.start, true),
              words('out.came.took', { count: took }),
              refused > 0 && words('out.came.refused', { count: refused }),
              outing.end === null && words('out.running'),
            ])}
          </Say>
        </View>
      </Row>
    </InList>
  );
}
