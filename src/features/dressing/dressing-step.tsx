import { CASE } from '@/catalogue';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import type { IntentId, Readiness } from '@/catalogue/ids';
import { pickingOf, sampleOf } from '@/core/case';
import { considered, NO_CHOICES, secondsTo, type Answer, type Dressed } from '@/core/answer';
import { pinDressing, setIntent, type AnswerRecord, type SampleRecord } from '@/records';
import { selectSettings, useAct, useApp } from '@/state';
import { libraryCard, selectCatalogue, selectDressing, selectGroups, selectStash } from '@/state/answering';
import { Term } from '@/features/glossary';
import { WaterSays } from '@/features/out';
import { useRedLamp, useSpeech, useWide, useWords } from '@/features/shell';
import { FlyThumb } from '@/ui/drawings';
import { Button, Choose, Digits, Field, Heading, InView, Say, Toggle, WordLink } from '@/ui/primitives';
import { AnswerPlate } from './answer-plate';
import { Compare } from './compare';
import { ReadyWord } from './ready';
import { MaterialsInUse } from './materials-in-use';
import { Reasons } from './reasons';
import { SwatchStrip } from './swatch-strip';
import { AtTheBench, WhatCounts } from './what-counts';

interface DressingStepProps {
  matchId: string;
  record: AnswerRecord;
  sample: SampleRecord;
  answer: Answer;
}

const OFFERED = 6;
const THUMB = { width: 84, height: 60 } as const;

/** The dressing for this stage with its reasons, and the runners-up; two side by side; why not any other. */
export function DressingStep({ matchId, record, sample, answer }: DressingStepProps) {
  const { ids } = useSpeech();
  const words = useWords();
  const wide = useWide();
  const act = useAct();
  const [compared, setCompared] = useState<readonly string[]>([]);
  const [asked, setAsked] = useState('');
  const [counts, setCounts] = useState(false);
  const of = { matchId, answerId: record.id };
  const pin = (dressingId: string | null) => act(pinDressing, { ...of, dressingId });
  const all = answer.dressing ? [answer.dressing, ...answer.alternatives] : answer.alternatives;
  const others = secondsTo(answer).slice(0, OFFERED);
  const compare = (id: string) =>
    setCompared(compared.includes(id) ? compared.filter((item) => item !== id) : [...compared, id].slice(-2));
  const catalogue = useApp(selectCatalogue);
  const settings = useApp(selectSettings);
  const groups = useApp(selectGroups);
  const stash = useApp(selectStash);
  const found = useMemo(() => {
    const { stage } = record;
    const wanted = asked.trim().toLowerCase();
    if (wanted === '' || !stage) return [];
    const choices = {
      ...NO_CHOICES,
      offset: record.offset,
      dressingPin: record.dressingId ?? null,
      picking: { ...pickingOf(sample, settings, stage, groups, CASE.growing), stash },
    };
    const known = answer.dressing ? [answer.dressing, ...answer.alternatives] : answer.alternatives;
    // One of another order is not offered by itself, but answers when it is asked for.
    return catalogue.dressings
      .filter((item) => item.name.toLowerCase().includes(wanted))
      .slice(0, OFFERED)
      .map(
        (item) =>
          known.find((other) => other.id === item.id) ??
          considered(item, sampleOf(sample, stage, CASE), choices, catalogue, answer.natural.length.meanMm),
      );
  }, [asked, record, sample, settings, groups, stash, catalogue, answer]);
  const weighted = catalogue.dressings.find(({ id }) => id === answer.dressing?.id);
  const pair = compared.flatMap((id) => [...all, ...found].find((item) => item.id === id) ?? []);
  const offer = (dressing: Dressed, first = false) => (
    <Offer
      key={dressing.id}
      dressing={dressing}
      ready={(dressing.id === answer.card?.dressing.id && answer.card?.ready) || dressing.ready}
      first={first}
      place={all.indexOf(dressing) < 0 ? null : all.indexOf(dressing) + 1}
      compared={compared.includes(dressing.id)}
      onCompare={() => compare(dressing.id)}
      onPin={pin}
    />
  );
  return (
    <View className="gap-6 py-4">
      <AnswerPlate stage={record.stage ?? null} sample={sample} answer={answer} switches maxHeight={wide ? 520 : 420} />
      {answer.dressing ? offer(answer.dressing, true) : null}
      {weighted ? (
        <View className="px-5">
          <WaterSays sample={sample} dressing={weighted} />
        </View>
      ) : null}
      {answer.card ? (
        <>
          <SwatchStrip matchId={matchId} record={record} card={answer.card} sample={sample} ride={answer.style.ride} />
          <MaterialsInUse matchId={matchId} record={record} card={answer.card} natural={answer.natural} />
        </>
      ) : null}
      {pair.length === 2 ? <Compare pair={[pair[0]!, pair[1]!]} onClose={() => setCompared([])} /> : null}
      <View className="gap-2 px-5">
        <Heading size="small" level={3}>
          {words('dressing.on-purpose')}
        </Heading>
        <Choose
          label={words('dressing.on-purpose')}
          choices={ids.intents.map((intent) => ({ id: intent.id as IntentId, label: intent.name }))}
          value={record.offset.intent}
          onChange={(intent) => act(setIntent, { ...of, intent })}
        />
        <Say size="small" tone="soft">
          {words(`dressing.intent-why.${record.offset.intent}`)}
        </Say>
      </View>
      <View className="gap-1">
        <Heading className="px-5 pb-1">{words('dressing.others')}</Heading>
        {pair.length === 1 ? (
          <Say live size="small" tone="soft" className="px-5">
            {words('compare.one-more', { name: pair[0]!.name })}
          </Say>
        ) : null}
        {others.length === 0 ? (
          <Say size="small" tone="soft" className="px-5">
            {words('dressing.no-second')}
          </Say>
        ) : (
          others.map((dressing) => offer(dressing))
        )}
      </View>
      <View className="gap-2 px-5">
        <View className="max-w-96 flex-row">
          <Field
            label={words('dressing.why-not')}
            value={asked}
            onType={setAsked}
            hint={words('dressing.why-not-hint', { count: catalogue.dressings.length })}
          />
        </View>
      </View>
      {asked.trim() !== '' ? (
        <View className="gap-1">
          {found.length === 0 ? (
            <Say className="px-5">{words('dressing.none-found')}</Say>
          ) : (
            found.map((dressing) => offer(dressing))
          )}
        </View>
      ) : null}
      <View className="gap-3 px-5">
        <View className="flex-row">
          <Button label={words(counts ? 'picking.close' : 'picking.open')} onPress={() => setCounts(!counts)} />
        </View>
        {counts ? (
          <View className="gap-6 rounded-control border border-edge bg-plane p-3">
            <AtTheBench />
            <WhatCounts />
          </View>
        ) : null}
      </View>
    </View>
  );
}

interface OfferProps {
  dressing: Dressed;
  /** Of the one the card is of: with the hook it is on. */
  ready: Readiness;
  first?: boolean;
  /** Its place among those offered; null for one that is only asked about. */
  place: number | null;
  compared: boolean;
  onCompare: () => void;
  onPin: (id: string | null) => void;
}

function Offer({ dressing, ready, first = false, place, compared, onCompare, onPin }: OfferProps) {
  const words = useWords();
  const speech = useSpeech();
  return (
    <View className={`gap-1 border-line px-5 py-3 ${first ? 'border-y bg-plane' : 'border-b'}`}>
      <View className="flex-row items-start gap-3">
        {first ? null : (
          <InView {...THUMB}>
            <Thumb id={dressing.id} />
          </InView>
        )}
        <View className="min-w-0 flex-1">
          <Heading level={first ? 2 : 3} size={first ? 'title' : 'lead'}>
            {dressing.name}
          </Heading>
          <View className="flex-row items-baseline gap-2">
            {first || place === null ? (
              <Term id="score">{words('dressing.score')}</Term>
            ) : (
              <Say size="small" tone="soft">
                {words('dressing.place', { n: place })}
              </Say>
            )}
            <Digits tone="soft">{speech.number(dressing.score, 2)}</Digits>
          </View>
          <ReadyWord ready={ready} />
        </View>
      </View>
      <Reasons why={dressing.why} name={dressing.name} whole={place === null} />
      <View className="flex-row flex-wrap items-center gap-2 pt-1">
        <Toggle
          label={words(dressing.pinned ? 'dressing.unpin' : 'dressing.pin')}
          spoken={`${words(dressing.pinned ? 'dressing.unpin' : 'dressing.pin')} ${dressing.name}`}
          on={dressing.pinned}
          onChange={(on) => onPin(on ? dressing.id : null)}
        />
        <Toggle
          label={words('compare.compare')}
          spoken={words('compare.compare-what', { name: dressing.name })}
          on={compared}
          onChange={onCompare}
        />
        <WordLink small to={{ pathname: '/dressings/[id]', params: { id: dressing.id } }}>
          {words('dressing.open')}
        </WordLink>
      </View>
    </View>
  );
}

function Thumb({ id }: { id: string }) {
  const red = useRedLamp();
  const dressing = useApp((state) => selectDressing(state, id));
  return <FlyThumb card={dressing ? (libraryCard(dressing) ?? undefined) : undefined} plain={red} {...THUMB} />;
}
