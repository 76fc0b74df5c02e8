import { View } from 'react-native';
import { totalOf } from '@/core/session';
import { batchesLatest, toTie, type BatchRecord } from '@/records';
import { useApp } from '@/state';
import { fromBox, useStartSession } from '@/features/bench';
import { InList, Page, useSpeech, useWords } from '@/features/shell';
import { PlanSession } from './plan-session';
import { Button, Heading, Row, Say, WordLink } from '@/ui/primitives';

/** Sessions: those that are open, and what came of the others. */
export function ViseScreen() {
  const words = useWords();
  const batches = useApp((state) => state.records.entities.batch);
  const gone = useApp((state) => toTie(state.records.entities.fly).length);
  const start = useStartSession();
  const all = batchesLatest(batches);
  const part = (title: string, ended: boolean) => {
    const own = all.filter(([, batch]) => (batch.ended !== null) === ended);
    return own.length === 0 ? null : (
      <View className="pb-6">
        <Heading className="px-5 pb-2">{words(title)}</Heading>
        <View className="border-t border-line">
          {own.map(([id, batch]) => (
            <InList key={id} record={{ kind: 'batch', id }} name={batch.title} data={batch}>
              <BatchRow id={id} />
            </InList>
          ))}
        </View>
      </View>
    );
  };
  return (
    <Page
      column="list"
      title={words('place.vise')}
      lead={words('vise.lead')}
      aside={<Button kind="main" label={words('vise.new')} onPress={() => start(() => [])} />}
    >
      <View className="flex-row flex-wrap items-center gap-x-6 gap-y-2 px-5 pb-5">
        {gone > 0 ? <Button label={words('vise.from-box', { count: gone })} onPress={() => start(fromBox)} /> : null}
        <WordLink to="/vise/hands">{words('vise.hands')}</WordLink>
      </View>
      <View className="mb-6 border-t border-line">
        <PlanSession />
      </View>
      {all.length === 0 ? (
        <View className="gap-2 px-5">
          <Say>{words('vise.none')}</Say>
          <Say tone="soft">{words('vise.none-hint')}</Say>
        </View>
      ) : null}
      {part('vise.open', false)}
      {part('vise.ended', true)}
    </Page>
  );
}

/** What a session is of: its dressings, or its title. */
export function batchTitle(
  batch: BatchRecord,
  words: ReturnType<typeof useWords>,
  list: (of: string[]) => string,
): string {
  const names = [...new Set(batch.items.map(({ card }) => card.dressing.name))];
  return batch.title || (names.length === 0 ? words('vise.untitled') : list(names));
}

/** A session in a line: of what, when, for whom, and what came of it. */
function BatchRow({ id }: { id: string }) {
  const words = useWords();
  const speech = useSpeech();
  const batch = useApp((state) => state.records.entities.batch[id]);
  if (!batch) return null;
  const { made, spoiled, wanted } = totalOf(batch);
  return (
    <Row tall to={{ pathname: '/vise/[id]', params: { id } }}>
      <View className="min-w-0 flex-1">
        <Say weight="medium">{batchTitle(batch, words, speech.list)}</Say>
        <Say size="small" tone="soft">
          {speech.beside([
            speech.day(batch.opened),
            batch.ended === null ? words('vise.made-of', { made, count: wanted }) : words('vise.made', { count: made }),
            spoiled > 0 && words('vise.spoiled-n', { count: spoiled }),
            batch.forName && words('vise.for', { name: batch.forName }),
          ])}
        </Say>
      </View>
    </Row>
  );
}
