import { useRouter } from 'expo-router';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import type { Answer } from '@/core/answer';
import { change, useAppDispatch, type AnswerRecord } from '@/state';
import { DRESSINGS } from '@/catalogue';
import { hookName } from '@/features/matches';
import { Measured, useSpeech, useWords } from '@/features/shell';
import { Button, Heading, Say, Toggle } from '@/ui/primitives';
import { CardExtras, CardParts, CardSteps, partQuantity } from './card-view';

/** The bench card: every part in millimetres, the room, and the steps. */
export function BenchStep({ matchId, record, answer, plate }: { matchId: string; record: AnswerRecord; answer: Answer; plate: ReactNode }) {
  const words = useWords();
  const speech = useSpeech();
  const router = useRouter();
  const dispatch = useAppDispatch();
  const { card } = answer;
  if (!card) return <Say className="px-5 py-4">{words('dressing.none')}</Say>;
  const optional = DRESSINGS.find((dressing) => dressing.id === card.dressing.id)?.parts.filter((part) => part.optional) ?? [];
  return (
    <View className="gap-6 py-4">
      <View className="gap-3 px-5">
        <View>
          <Heading size="title">{card.dressing.name}</Heading>
          <Say tone="soft">{hookName(card.hook)}</Say>
        </View>
        <View className="flex-row flex-wrap items-baseline gap-x-5 gap-y-1">
          {([['room', card.room_mm], ['used', card.used_mm], ['left', card.room_mm - card.used_mm]] as const).map(([name, mm]) => (
            <View key={name} className="flex-row items-baseline gap-2">
              <Say size="small" tone="soft">
                {words(`bench.${name}`)}
              </Say>
              <Measured what={words(`bench.${name}`)} quantity={partQuantity(card, Math.abs(mm) < 0.005 ? 0 : mm)} unit={false} />
            </View>
          ))}
          <Say size="small" tone={card.fits ? 'sedge' : 'dawn'} weight="medium">
            {card.fits ? words('bench.fits') : `${words('bench.over', { part: card.over!.part, mm: speech.length(card.over!.mm) })}${card.over!.drop.length > 0 ? `; ${words('bench.drop', { parts: card.over!.drop.join(', ') })}` : ''}`}
          </Say>
        </View>
        <Button kind="main" label={words('bench.start')} onPress={() => router.navigate({ pathname: '/matches/[id]/tie', params: { id: matchId } })} className="self-start" />
        {optional.length > 0 ? (
          <View className="flex-row flex-wrap items-center gap-2">
            <Say size="small" tone="soft">
              {words('bench.switches')}
            </Say>
            {optional.map((part) => (
              <Toggle key={part.id} label={speech.name('parts', part.part)} on={!record.without.includes(part.id)} onChange={(on) => dispatch(change('part', (draft) => {
                const own = draft.match[matchId]!.answers.find((item) => item.id === record.id)!;
                own.without = on ? own.without.filter((id) => id !== part.id) : [...own.without, part.id];
              }))} />
            ))}
          </View>
        ) : null}
      </View>
      {plate}
      <CardParts card={card} />
      <CardExtras card={card} />
      <View>
        <Heading className="px-5 pb-2">{words('bench.steps-title')}</Heading>
        <CardSteps card={card} />
      </View>
    </View>
  );
}
