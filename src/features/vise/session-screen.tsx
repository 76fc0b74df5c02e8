import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import { tallyOf, totalOf } from '@/core/session';
import { addToBatch, countItem, deleteBatch, dropFromBatch, MOST_FLIES, type BatchRecord } from '@/records';
import { useAct, useApp, type Store } from '@/state';
import { fromDressing, fromMatch } from '@/features/bench';
import { PickDressing } from '@/features/box';
import { hookName } from '@/features/matches';
import { AfterHead, Missing, Page, TwoColumns, useRedLamp, useSpeech, useWide, useWords } from '@/features/shell';
import { FlyThumb } from '@/ui/drawings';
import { Button, Fold, Heading, More, Row, Say, Stepper, WordLink } from '@/ui/primitives';
import { PrintSession } from './print-session';
import { FliesFold, ForWhomFold, LaidFold, NeedsFold, OrderFold, type Whole } from './session-folds';
import { secondsUntil, useClock, useRest } from './use-session';
import { batchTitle } from './vise-screen';

/** One session: what it needs, what is laid out, in which order, and where every fly stands. */
export function SessionScreen({ id }: { id: string }) {
  const batch = useApp((state) => state.records.entities.batch[id]);
  if (!batch) return <Missing what="batch" list="/vise" />;
  return <Shown id={id} batch={batch} />;
}

function Shown({ id, batch }: { id: string; batch: BatchRecord }) {
  const words = useWords();
  const speech = useSpeech();
  const router = useRouter();
  const wide = useWide();
  const { running, rest } = useRest(batch);
  const open = batch.ended === null;
  const begun = Object.keys(batch.flies).length > 0;
  const first = (
    <>
      <Head {...{ id, batch, running, rest }} />
      <Cards id={id} batch={batch} />
    </>
  );
  const folds = (
    <AfterHead>
      <View className={wide ? '' : 'border-t border-line'}>
        {open ? <NeedsFold batch={batch} /> : null}
        <LaidFold id={id} batch={batch} />
        {open ? <OrderFold {...{ id, batch, running, rest }} /> : null}
        <FliesFold {...{ id, batch, running }} />
        <ForWhomFold id={id} batch={batch} />
        <Fold wide title={words('vise.print')} line={words('vise.print-line')}>
          <PrintSession batch={batch} rest={rest} running={running} />
        </Fold>
        <View className="gap-2 px-5 pt-4">
          {open && begun ? (
            <Button
              label={words('vise.end')}
              onPress={() => router.navigate({ pathname: '/vise/[id]/end', params: { id } })}
              className="self-start"
            />
          ) : null}
          <Drop id={id} />
        </View>
      </View>
    </AfterHead>
  );
  return (
    <Page
      column="list"
      back={{ href: '/vise', label: words('place.vise') }}
      title={batchTitle(batch, words, speech.list)}
      lead={speech.beside([
        speech.moment(batch.opened),
        batch.forName && words('vise.for', { name: batch.forName }),
        !open && words('vise.ended-lead'),
      ])}
    >
      <TwoColumns>{[first, folds]}</TwoColumns>
    </Page>
  );
}

/** What is made and what is left, when it is done, and the way to the vise. */
function Head({ id, batch, running, rest }: Whole) {
  const words = useWords();
  const speech = useSpeech();
  const router = useRouter();
  const clock = useClock();
  const { made, spoiled, wanted, begun } = totalOf(running);
  const { low, high } = rest.plan.minutes;
  const left = rest.plan.flies;
  const early = batch.by === null ? null : secondsUntil(batch.by, clock(0)) - rest.lastS;
  const minutes = (seconds: number) => Math.max(1, Math.round(seconds / 60));
  return (
    <View className="gap-2 px-5 pb-5">
      {made + begun + spoiled > 0 ? (
        <Say size="lead" weight="medium">
          {speech.beside([
            words('vise.made-of', { made, count: wanted }),
            spoiled > 0 && words('vise.spoiled-n', { count: spoiled }),
          ])}
        </Say>
      ) : null}
      {batch.ended !== null ? null : left > 0 ? (
        <>
          <Say>
            {words('vise.takes', {
              count: left,
              minutes: minutes(rest.lastS),
              low: Math.round(low),
              high: Math.round(high),
              at: clock(rest.lastS),
            })}
          </Say>
          {early === null ? null : (
            <Say tone={early >= 0 ? 'sedge' : 'dawn'} weight="medium">
              {words(early >= 0 ? 'vise.early' : 'vise.late', {
                by: batch.by,
                count: minutes(Math.abs(early)),
              })}
            </Say>
          )}
          {Math.abs(rest.pace - 1) >= 0.1 ? (
            <Say size="small" tone="soft">
              {words(rest.pace > 1 ? 'vise.slower' : 'vise.quicker', {
                percent: Math.round(100 * Math.abs(rest.pace - 1)),
              })}
            </Say>
          ) : null}
          <Button
            kind="main"
            label={words(Object.keys(batch.flies).length > 0 ? 'vise.go-on' : 'vise.begin')}
            onPress={() => router.navigate({ pathname: '/vise/[id]/tie', params: { id } })}
            className="self-start"
          />
        </>
      ) : wanted > 0 ? (
        <Button
          kind="main"
          label={words('vise.end')}
          onPress={() => router.navigate({ pathname: '/vise/[id]/end', params: { id } })}
          className="self-start"
        />
      ) : (
        <Say tone="soft">{words('vise.empty')}</Say>
      )}
    </View>
  );
}

/** The dressings of a session with how many of each, and more of them. */
function Cards({ id, batch }: { id: string; batch: BatchRecord }) {
  const words = useWords();
  const red = useRedLamp();
  const act = useAct();
  const open = batch.ended === null;
  return (
    <View className="pb-4">
      <View className="border-t border-line">
        {batch.items.map(({ id: item, card, count, matchId }) => {
          const { made, begun, spoiled } = tallyOf(batch, { id: item, count });
          return (
            <View key={item} className="flex-row flex-wrap items-center gap-x-4 gap-y-1 border-b border-line px-5 py-2">
              <FlyThumb card={card} width={64} height={46} plain={red} />
              <View className="min-w-[40%] flex-1">
                {matchId === null ? (
                  <WordLink to={{ pathname: '/dressings/[id]', params: { id: card.dressing.id } }}>
                    {card.dressing.name}
                  </WordLink>
                ) : (
                  <WordLink to={{ pathname: '/matches/[id]/[step]', params: { id: matchId, step: 'bench' } }}>
                    {card.dressing.name}
                  </WordLink>
                )}
                <Say size="small" tone="soft">
                  {hookName(card.hook)}
                </Say>
              </View>
              {open ? (
                <Stepper
                  label={words('vise.count', { fly: card.dressing.name })}
                  value={count}
                  low={Math.max(made + begun, made + begun + spoiled > 0 ? 0 : 1)}
                  high={MOST_FLIES}
                  onChange={(next) => act(countItem, { batchId: id, item, count: next })}
                  shown={false}
                />
              ) : (
                <Say>{words('vise.made', { count: made })}</Say>
              )}
              {open && made + begun + spoiled === 0 ? (
                <Button
                  kind="quiet"
                  label={words('vise.drop')}
                  spoken={words('vise.drop-spoken', { fly: card.dressing.name })}
                  onPress={() => act(dropFromBatch, { batchId: id, item })}
                />
              ) : null}
            </View>
          );
        })}
      </View>
      {open ? <AddFlies id={id} batch={batch} /> : null}
    </View>
  );
}

const LATEST = 4;

/** Flies for a session: of the latest matches, or a dressing of the library by name. */
function AddFlies({ id, batch }: { id: string; batch: BatchRecord }) {
  const words = useWords();
  const act = useAct();
  const { getState } = useStore() as unknown as Store;
  const matches = useApp((state) => state.records.entities.match);
  const held = new Set(batch.items.map(({ matchId }) => matchId));
  const [offered] = useState(() => {
    const state = getState();
    return Object.entries(matches)
      .sort(([, a], [, b]) => b.opened.localeCompare(a.opened))
      .flatMap(([matchId]) => fromMatch(state, matchId))
      .slice(0, 2 * LATEST);
  });
  const fresh = offered.filter(({ matchId }) => !held.has(matchId)).slice(0, LATEST);
  return (
    <Fold wide title={words('vise.add')} line={words('vise.add-line')}>
      {fresh.length > 0 ? (
        <View className="pb-3">
          <Heading size="small" level={3}>
            {words('vise.add-match')}
          </Heading>
          {fresh.map((own) => (
            <Row key={own.matchId} wide={false} onPress={() => act(addToBatch, { batchId: id, items: [own] })}>
              <View className="min-w-0 flex-1">
                <Say weight="medium">{own.card.dressing.name}</Say>
                <Say size="small" tone="soft">
                  {hookName(own.card.hook)}
                </Say>
              </View>
            </Row>
          ))}
        </View>
      ) : null}
      <PickDressing
        value={null}
        recent={[]}
        onChange={(dressing) => dressing && act(addToBatch, { batchId: id, items: fromDressing(getState(), dressing) })}
      />
    </Fold>
  );
}

function Drop({ id }: { id: string }) {
  const words = useWords();
  const act = useAct();
  const router = useRouter();
  return (
    <More label={words('vise.more')}>
      <Button
        kind="quiet"
        label={words('vise.delete')}
        onPress={() => {
          act(deleteBatch, { batchId: id });
          router.navigate('/vise');
        }}
      />
    </More>
  );
}
