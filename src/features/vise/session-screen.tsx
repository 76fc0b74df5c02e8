import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import { planRest, tallyOf, type Rest, type Running } from '@/core/session';
import type { Card } from '@/core/tying';
import {
  addToBatch,
  countItem,
  deleteBatch,
  dropFromBatch,
  inspectKey,
  MOST_FLIES,
  setBatch,
  type BatchRecord,
} from '@/records';
import { useAct, useApp, type Store } from '@/state';
import { fromDressing, fromMatch } from '@/features/bench';
import { PickDressing } from '@/features/box';
import { hookName } from '@/features/matches';
import { AfterHead, Missing, Page, useRedLamp, useSpeech, useWide, useWords } from '@/features/shell';
import { FlyThumb } from '@/ui/drawings';
import { Button, Choose, Field, Fold, Heading, More, Row, Say, Stepper, WordLink } from '@/ui/primitives';
import { LayOutList, useLayOut } from './lay-out-list';
import { flyName } from './names';
import { NeedsList, useNeeds, wanting } from './session-needs';
import { PrintSession } from './print-session';
import { Timeline } from './timeline';
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
        {open ? <Needs batch={batch} /> : null}
        <LaidFold id={id} batch={batch} />
        {open ? <Order {...{ id, batch, running, rest }} /> : null}
        <Flies {...{ id, batch, running }} />
        <ForWhom id={id} batch={batch} />
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
      {wide ? (
        <View className="flex-row gap-6">
          <View className="min-w-0 flex-1">{first}</View>
          <View className="min-w-0 flex-1">{folds}</View>
        </View>
      ) : (
        <>
          {first}
          {folds}
        </>
      )}
    </Page>
  );
}

interface Whole {
  id: string;
  batch: BatchRecord;
  running: Running<Card>;
  rest: Rest;
}

/** What is made and what is left, when it is done, and the way to the vise. */
function Head({ id, batch, running, rest }: Whole) {
  const words = useWords();
  const speech = useSpeech();
  const router = useRouter();
  const clock = useClock();
  const tallies = running.items.map((item) => tallyOf(running, item));
  const sum = (of: 'made' | 'spoiled' | 'wanted' | 'begun') => tallies.reduce((all, tally) => all + tally[of], 0);
  const { low, high } = rest.plan.minutes;
  const left = rest.plan.flies;
  const early = batch.by === null ? null : secondsUntil(batch.by, clock(0)) - rest.lastS;
  const minutes = (seconds: number) => Math.max(1, Math.round(seconds / 60));
  return (
    <View className="gap-2 px-5 pb-5">
      {sum('made') + sum('begun') + sum('spoiled') > 0 ? (
        <Say size="lead" weight="medium">
          {speech.beside([
            words('vise.made-of', { made: sum('made'), count: sum('wanted') }),
            sum('spoiled') > 0 && words('vise.spoiled-n', { count: sum('spoiled') }),
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
      ) : sum('wanted') > 0 ? (
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

function Needs({ batch }: { batch: BatchRecord }) {
  const words = useWords();
  const needs = useNeeds(batch);
  const lacks = wanting(needs);
  if (batch.items.length === 0) return null;
  return (
    <Fold
      wide
      title={words('vise.needs')}
      line={words(lacks === 0 ? 'vise.needs-met' : 'vise.needs-lack', { count: lacks })}
    >
      <NeedsList needs={needs} batch={batch} />
    </Fold>
  );
}

function LaidFold({ id, batch }: { id: string; batch: BatchRecord }) {
  const words = useWords();
  const lines = useLayOut(batch);
  const done = lines.filter((line) => batch.ticks[line.id]).length;
  if (lines.length === 0) return null;
  return (
    <Fold wide title={words('vise.lay-out')} line={words('vise.laid', { done, count: lines.length })}>
      <LayOutList batchId={id} batch={batch} />
    </Fold>
  );
}

/** In which order, and which way is quicker here, and by how much. */
function Order({ id, batch, running, rest }: Whole) {
  const words = useWords();
  const act = useAct();
  const [typed, setTyped] = useState(batch.by ?? '');
  const wrong = typed !== '' && !/^([01]?\d|2[0-3]):[0-5]\d$/.test(typed);
  const other = batch.mode === 'fly' ? 'step' : 'fly';
  const apart = useMemo(() => {
    const fresh = running.items.flatMap((item, card) => {
      const { open, begun, made } = tallyOf(running, item);
      return Array.from({ length: open + begun }, (_, nth) => ({
        card,
        nth: item.made + made + nth,
        done: 0,
        wetS: 0,
      }));
    });
    const of = (mode: 'fly' | 'step') =>
      planRest(running.items, fresh, mode, { pace: rest.pace, inVise: null }).minutes.mean;
    return of(other) - of(batch.mode);
  }, [running, rest.pace, other, batch.mode]);
  if (rest.plan.flies === 0) return null;
  const minutes = Math.round(Math.abs(apart));
  return (
    <Fold wide title={words('vise.order')} line={words(`vise.mode-line.${batch.mode}`)}>
      <View className="gap-4 pb-4">
        <Choose
          label={words('vise.mode')}
          choices={(['fly', 'step'] as const).map((mode) => ({ id: mode, label: words(`vise.modes.${mode}`) }))}
          value={batch.mode}
          onChange={(mode) => act(setBatch, { batchId: id, mode })}
        />
        <Say size="small" tone="soft">
          {minutes === 0
            ? words('vise.mode-even')
            : words(apart > 0 ? 'vise.mode-best' : 'vise.mode-other', {
                mode: words(`vise.modes.${apart > 0 ? batch.mode : other}`),
                count: minutes,
              })}
        </Say>
        <View className="max-w-[220px] flex-row">
          <Field
            label={words('vise.by')}
            value={batch.by ?? ''}
            onType={(text) => {
              setTyped(text);
              if (text === '' || /^([01]?\d|2[0-3]):[0-5]\d$/.test(text))
                act(setBatch, { batchId: id, by: text === '' ? null : text.padStart(5, '0') });
            }}
            error={wrong ? words('vise.by-wrong') : undefined}
            hint={words('vise.by-hint')}
          />
        </View>
        <View className="-mx-5">
          <Timeline running={running} rest={rest} by={batch.by} />
        </View>
      </View>
    </Fold>
  );
}

/** Every fly that was begun: made, under way or spoiled, and what was found of it. */
function Flies({ id, batch, running }: Omit<Whole, 'rest'>) {
  const words = useWords();
  const speech = useSpeech();
  const flies = Object.values(batch.flies).sort((a, b) => a.item.localeCompare(b.item) || a.n - b.n);
  if (flies.length === 0) return null;
  const seen = (item: string, n: number) =>
    Object.keys(batch.measured).filter((key) => key.startsWith(inspectKey(item, n, ''))).length;
  const looked = flies.filter(({ item, n, state }) => state === 'made' && seen(item, n) > 0).length;
  const said = ({ item, n, state, why, done }: (typeof flies)[number]) => {
    if (state === 'spoiled') return words('vise.spoiled-because', { why: words(`vise.spoils.${why ?? 'other'}`) });
    if (state === 'begun') {
      const card = running.items.find((own) => own.id === item)?.card;
      return words('vise.at-step', { n: done + 1, count: card?.steps.length ?? 0 });
    }
    const count = seen(item, n);
    return count > 0 ? words('vise.measured-n', { count }) : words('vise.not-inspected');
  };
  return (
    <Fold wide title={words('vise.flies')} line={words('vise.inspected-n', { count: looked })}>
      {flies.map((fly) => {
        const text = (
          <View className="min-w-0 flex-1">
            <Say weight="medium">{flyName(running, fly.item, fly.n, speech)}</Say>
            <Say size="small" tone={fly.state === 'spoiled' ? 'dawn' : fly.state === 'made' ? 'sedge' : 'soft'}>
              {said(fly)}
            </Say>
          </View>
        );
        return fly.state === 'made' ? (
          <Row
            key={`${fly.item}-${fly.n}`}
            wide={false}
            to={{ pathname: '/vise/[id]/inspect', params: { id, fly: `${fly.item}-${fly.n}` } }}
          >
            {text}
          </Row>
        ) : (
          <View key={`${fly.item}-${fly.n}`} className="min-h-touch justify-center border-b border-line py-2">
            {text}
          </View>
        );
      })}
    </Fold>
  );
}

/** For someone: a name, their water, and what they said later. */
function ForWhom({ id, batch }: { id: string; batch: BatchRecord }) {
  const words = useWords();
  const act = useAct();
  return (
    <Fold
      wide
      title={words('vise.for-whom')}
      line={batch.forName === '' ? words('vise.for-me') : words('vise.for', { name: batch.forName })}
    >
      <View className="gap-3">
        <View className="flex-row">
          <Field
            label={words('vise.for-name')}
            value={batch.forName}
            onType={(forName) => act(setBatch, { batchId: id, forName })}
          />
        </View>
        <View className="flex-row">
          <Field
            label={words('vise.for-water')}
            value={batch.forWater}
            onType={(forWater) => act(setBatch, { batchId: id, forWater })}
          />
        </View>
        <View className="flex-row">
          <Field
            label={words('vise.said')}
            value={batch.said}
            onType={(said) => act(setBatch, { batchId: id, said })}
          />
        </View>
      </View>
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
