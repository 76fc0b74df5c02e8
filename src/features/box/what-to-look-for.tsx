import { useRouter } from 'expo-router';
import { View } from 'react-native';
import type { Answer } from '@/core/answer';
import { lookFor } from '@/core/box';
import { tiedKind } from '@/records';
import { useApp } from '@/state';
import { selectAnswered } from '@/state/answering';
import { useRedLamp, useSpeech, useWords } from '@/features/shell';
import { FlyThumb } from '@/ui/drawings';
import { Button, Facts, Heading, Say } from '@/ui/primitives';
import { useLedger } from './use-ledger';

/** Where no fly is written down: what to look for in the real box, and a way to write down the one that is found. */
export function WhatToLookFor({ matchId }: { matchId: string }) {
  const words = useWords();
  const router = useRouter();
  const answered = useApp((state) => {
    const match = state.records.entities.match[matchId];
    return match ? selectAnswered(state, matchId, match.leading) : null;
  });
  return (
    <View className="gap-4 px-5 py-4">
      {answered?.status === 'answered' ? (
        <Looked answer={answered.answer} />
      ) : (
        <Say>{words('look-for.tell-first')}</Say>
      )}
      <Say size="small" tone="soft">
        {words('look-for.written-down')}
      </Say>
      <Button label={words('box.open-boxes')} onPress={() => router.navigate('/box')} className="self-start" />
    </View>
  );
}

function Looked({ answer }: { answer: Answer }) {
  const words = useWords();
  const speech = useSpeech();
  const red = useRedLamp();
  const ledger = useLedger();
  const boxes = useApp((state) => state.records.entities.box);
  const look = lookFor(answer);
  const { card } = answer;
  if (!look || !card) return <Say>{words('dressing.none')}</Say>;
  const carried = Object.keys(boxes).find((id) => boxes[id]!.carried);
  const into = carried ?? { newBox: words('box.name-n', { n: Object.keys(boxes).length + 1 }) };
  const put = () =>
    ledger.putIn(
      into,
      [
        {
          kind: tiedKind(card.dressing, card.hook),
          count: 1,
        },
      ],
      'counted',
    );
  const [low, high] = [speech.length(look.low_mm), speech.length(look.high_mm)];
  return (
    <>
      <View className="flex-row items-center gap-3">
        <FlyThumb card={card} width={112} height={80} plain={red} />
        <View className="min-w-0 flex-1">
          <Heading>{words('look-for.title')}</Heading>
          <Say>{words('look-for.like', { dressing: card.dressing.name })}</Say>
        </View>
      </View>
      <Facts
        rows={[
          [words('look-for.ride'), speech.name('rides', look.ride)],
          [words('look-for.body'), words('dressing.range', { low, high })],
          ...look.makers.map(({ maker, model, sizes }): [string, string] => [
            words('look-for.size'),
            words('look-for.size-of', { sizes: speech.list(sizes), model: `${maker} ${model}` }),
          ]),
        ]}
      />
      {look.shade && look.hex ? (
        <View className="flex-row items-center gap-3">
          <Say size="small" tone="soft" className="w-28">
            {words('look-for.colour')}
          </Say>
          {red ? null : (
            <View
              aria-hidden
              style={{ backgroundColor: look.hex }}
              className="h-8 w-14 rounded-control border border-edge"
            />
          )}
          <Say>{speech.shade(look.shade)}</Say>
        </View>
      ) : null}
      <Button
        kind="main"
        tall
        label={words('look-for.have-one')}
        spoken={words('look-for.have-one-what', { dressing: card.dressing.name, hook: card.hook.size })}
        onPress={put}
        className="self-start"
      />
    </>
  );
}
