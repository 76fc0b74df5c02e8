import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import type { BoxAnswer } from '@/core/box';
import { heldOf, sameFlies, type FlyRecord } from '@/records';
import { isUntold, useApp, useLater } from '@/state';
import { selectBoxMatch, selectCardOf, selectCatalogue } from '@/state/answering';
import { CautionOfTheDay, useRedLamp, useSpeech, useThumb, useWords } from '@/features/shell';
import { FlyThumb } from '@/ui/drawings';
import { Button, Digits, Heading, Say } from '@/ui/primitives';
import { BoxMap } from './compartments';
import { hookLine, placeName } from './in-box';
import { Results } from './results';
import { useLedger } from './use-ledger';
import { WhatToLookFor } from './what-to-look-for';

const FIRST = 3;
const MORE = 9;

/** What the boxes carried answer now: the first three large, why, where they lie, how many are left, and what to do to them on the spot. */
export function BoxAnswers({ matchId }: { matchId: string }) {
  const words = useWords();
  const speech = useSpeech();
  const router = useRouter();
  const match = useApp((state) => selectBoxMatch(state, matchId));
  const [all, setAll] = useState(false);
  const flies = useApp((state) => state.records.entities.fly);
  if (!match) return <WhatToLookFor matchId={matchId} />;
  // The same fly in several boxes stands once, with its other places.
  const kinds = sameFlies(match.flies.flatMap(({ fly }) => (flies[fly.id] ? [[fly.id, flies[fly.id]!] as const] : [])));
  const answers = new Map(match.flies.map((answer) => [answer.fly.id, answer]));
  const shown = kinds.slice(0, all ? FIRST + MORE : FIRST);
  const look = match.nextLook;
  const goNatural = () =>
    router.navigate({
      pathname: '/matches/[id]/[step]',
      params: { id: matchId, step: 'natural', ...(look?.what === 'stage' ? { key: 'open' } : {}) },
    });
  return (
    <View className="gap-4 px-5 py-4">
      <Heading>{words('box.now')}</Heading>
      {match.noneClose ? (
        <Say live weight="strong" tone="straw">
          {speech.say(match.noneClose)}
        </Say>
      ) : null}
      <View role="list" aria-label={words('box.now')}>
        {shown.map(({ ids }, index) => (
          <AnswerFly
            key={ids[0]}
            matchId={matchId}
            answer={answers.get(ids[0]!)!}
            others={ids.slice(1)}
            first={index === 0}
          />
        ))}
      </View>
      {kinds.length > FIRST ? (
        <Button
          kind="quiet"
          tall
          label={words(all ? 'box.fewer' : 'box.more')}
          onPress={() => setAll(!all)}
          className="-ml-4 self-start"
        />
      ) : null}
      {look ? (
        <View className="gap-2">
          <Say size="small" tone="soft">
            {speech.t(look.couldChange ? `box-look.${look.what}` : 'box-look.nothing')}
          </Say>
          {look.couldChange ? (
            <Button tall label={words(`box.look.${look.what}`)} onPress={goNatural} className="self-start" />
          ) : null}
        </View>
      ) : null}
      <CautionOfTheDay ids={['wading', 'dark-alone']} />
    </View>
  );
}

interface AnswerFlyProps {
  matchId: string;
  answer: BoxAnswer;
  /** The same fly elsewhere, by id. */
  others: readonly string[];
  first: boolean;
}

function AnswerFly({ matchId, answer, others, first }: AnswerFlyProps) {
  const words = useWords();
  const speech = useSpeech();
  const ledger = useLedger();
  const red = useRedLamp();
  const thumb = useThumb();
  const flies = useApp((state) => state.records.entities.fly);
  const fly = flies[answer.fly.id];
  const boxes = useApp((state) => state.records.entities.box);
  const { hooks } = useApp(selectCatalogue);
  const cardOf = useApp(selectCardOf);
  if (!fly) return null;
  const carriedOf = (own: FlyRecord | undefined) =>
    (own ? heldOf(own) : []).filter((held) => boxes[held.boxId]?.carried);
  const places = carriedOf(fly);
  const elsewhere = [...places.slice(1), ...others.flatMap((id) => carriedOf(flies[id]))].filter(
    ({ left }) => left > 0,
  );
  const place = places[0];
  const box = place ? boxes[place.boxId] : undefined;
  const hook = hookLine(fly, new Map(hooks.map((item) => [item.id, item])), speech);
  const hookOf = hooks.find((item) => item.id === fly.hookId);
  const [trim] = answer.trims;
  return (
    <View role="listitem" className={`gap-2 border-b border-line py-3 ${first ? 'border-t' : ''}`}>
      <View className="flex-row items-center gap-3">
        <FlyThumb card={cardOf(fly.dressingId)} width={72} height={52} plain={red} />
        <View className="min-w-0 flex-1">
          <Say size={first ? 'title' : 'lead'} weight="serif">
            {answer.fly.name}
          </Say>
          <Say weight="medium">{hook}</Say>
        </View>
      </View>
      <Say size="small">{speech.clauses(answer.reasons.map((reason) => speech.say(reason)))}</Say>
      {trim ? (
        <Say size="small" tone="river" weight="strong">
          {words('box.trim', { what: speech.t(`trim-on-bank.${trim.id}`) })}
        </Say>
      ) : null}
      <View className={`items-center gap-3 ${thumb === 'right' ? 'flex-row' : 'flex-row-reverse'}`}>
        {box ? <BoxMap box={box} slot={place!.slot} /> : null}
        <View className="min-w-0 flex-1">
          <Say size="small">{placeName(box, place?.slot ?? null, speech)}</Say>
          <View className="flex-row items-baseline gap-1">
            <Digits tone={answer.fly.left === 0 ? 'dawn' : 'ink'}>{String(answer.fly.left)}</Digits>
            <Say size="small" tone="soft">
              {words('box.left')}
            </Say>
          </View>
          {elsewhere.length > 0 ? (
            <Say size="small" tone="soft">
              {words('box.also', {
                places: speech.list(
                  elsewhere.map((held) =>
                    words('box.place-left', {
                      place: placeName(boxes[held.boxId], held.slot, speech),
                      left: held.left,
                    }),
                  ),
                ),
              })}
            </Say>
          ) : null}
        </View>
      </View>
      {place ? (
        <Results
          flyId={answer.fly.id}
          others={others}
          name={hookOf ? words('box.fly-of-size', { name: answer.fly.name, size: hookOf.size }) : answer.fly.name}
          matchId={matchId}
          lost={
            answer.fly.left > 0 ? () => ledger.enter(answer.fly.id, place.boxId, place.slot, -1, 'lost', matchId) : null
          }
        />
      ) : null}
    </View>
  );
}

/** The fly to put on, in two lines: what the closed Water step and the strip say. */
export function useBestFly(matchId: string): { name: string; detail: string; none: boolean } | null {
  const words = useWords();
  const speech = useSpeech();
  const { match, first, fly, boxes, hooks, untold } = useLater((state) => {
    const { entities } = state.records;
    const answers = selectBoxMatch(state, matchId);
    const best = answers?.flies[0];
    return {
      match: answers,
      first: best,
      fly: best ? entities.fly[best.fly.id] : undefined,
      boxes: entities.box,
      hooks: selectCatalogue(state).hooks,
      untold: isUntold(entities, matchId),
    };
  });
  if (!match || !first || !fly) return null;
  if (untold) return { name: words('box.untold'), detail: '', none: true };
  if (match.noneClose) return { name: speech.say(match.noneClose), detail: '', none: true };
  const place = heldOf(fly).find((held) => boxes[held.boxId]?.carried);
  const hook = fly.hookId ? hooks.find((item) => item.id === fly.hookId) : undefined;
  return {
    name: `${first.fly.name}${hook ? ` ${hook.size}` : ''}`,
    detail: speech.beside([
      placeName(place ? boxes[place.boxId] : undefined, place?.slot ?? null, speech),
      words('box.left-count', { count: first.fly.left }),
    ]),
    none: false,
  };
}
