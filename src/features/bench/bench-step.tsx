import { useRouter } from 'expo-router';
import { useState, type ReactNode } from 'react';
import { View } from 'react-native';
import type { Answer } from '@/core/answer';
import type { Card } from '@/core/tying';
import { setCardSchools, setSwitches, type AnswerRecord } from '@/records';
import { selectDressing, selectSettings, useAct, useApp } from '@/state';
import { partNamed } from '@/speech';
import { hookName } from '@/features/matches';
import { Measured, useSpeech, useWords } from '@/features/shell';
import { Button, Heading, Say } from '@/ui/primitives';
import { CardAssemblies, CardExtras, CardParts, CardSteps, partQuantity } from './card-view';
import { RoomBudget } from './room-budget';
import { SchoolsPanel } from './schools-panel';
import { Stations } from './stations';
import { SwitchRow } from './switch-row';
import { TiedRow } from './tied-row';

/** Schools for this card alone, over the dressing's and the tier's. */
function CardSchools({ matchId, record, card }: { matchId: string; record: AnswerRecord; card: Card }) {
  const words = useWords();
  const act = useAct();
  const { schools, dressingSchools } = useApp(selectSettings);
  const [open, setOpen] = useState(false);
  const choose = (next: Record<string, string>) => act(setCardSchools, { matchId, answerId: record.id, schools: next });
  return (
    <View className="gap-3 px-5">
      <View className="flex-row items-center gap-3">
        <Button label={words(open ? 'bench.schools-close' : 'bench.schools')} onPress={() => setOpen(!open)} />
        <Say size="small" tone="soft" className="min-w-0 flex-1">
          {words('bench.schools-set', { count: Object.keys(record.schools).length })}
        </Say>
      </View>
      {open ? (
        <SchoolsPanel
          dressing={card.dressing.id}
          value={record.schools}
          inherited={{ ...schools, ...dressingSchools[card.dressing.id] }}
          onChange={choose}
        />
      ) : null}
    </View>
  );
}

/** The bench card: every part in millimetres, the room, and the steps. */
export function BenchStep({
  matchId,
  record,
  answer,
  plate,
}: {
  matchId: string;
  record: AnswerRecord;
  answer: Answer;
  plate: ReactNode;
}) {
  const words = useWords();
  const speech = useSpeech();
  const router = useRouter();
  const act = useAct();
  const { card } = answer;
  const dressing = useApp((state) => selectDressing(state, card?.dressing.id));
  if (!card) return <Say className="px-5 py-4">{words('dressing.none')}</Say>;
  const partName = (id: string) => partNamed(card, id, speech);
  return (
    <View className="gap-6 py-4">
      <View className="gap-3 px-5">
        <View>
          <Heading size="title">{card.dressing.name}</Heading>
          <Say tone="soft">{hookName(card.hook)}</Say>
        </View>
        <View className="flex-row flex-wrap items-baseline gap-x-5 gap-y-1">
          {(
            [
              ['room', card.room_mm],
              ['used', card.used_mm],
              ['left', card.room_mm - card.used_mm],
            ] as const
          ).map(([name, mm]) => (
            <View key={name} className="flex-row items-baseline gap-2">
              <Say size="small" tone="soft">
                {words(`bench.${name}`)}
              </Say>
              <Measured
                what={words(`bench.${name}`)}
                quantity={partQuantity(card, Math.abs(mm) < 0.005 ? 0 : mm)}
                unit={false}
              />
            </View>
          ))}
          <Say size="small" tone={card.fits ? 'sedge' : 'dawn'} weight="medium">
            {card.fits
              ? words('bench.fits')
              : speech.clauses([
                  words('bench.over', { part: partName(card.over!.part), mm: speech.length(card.over!.mm) }),
                  card.over!.drop.length > 0 &&
                    words('bench.drop', { parts: speech.list(card.over!.drop.map(partName)) }),
                ])}
          </Say>
        </View>
        <Button
          kind="main"
          label={words('bench.start')}
          onPress={() => router.navigate({ pathname: '/matches/[id]/tie', params: { id: matchId } })}
          className="self-start"
        />
        {dressing ? (
          <SwitchRow
            dressing={dressing}
            stage={record.stage ?? null}
            without={record.without}
            added={record.added}
            onChange={(without, added) => act(setSwitches, { matchId, answerId: record.id, without, added })}
          />
        ) : null}
      </View>
      {plate}
      <CardParts card={card} />
      <Stations card={card} />
      <RoomBudget card={card} />
      <CardExtras card={card} />
      <CardSchools matchId={matchId} record={record} card={card} />
      <CardAssemblies card={card} />
      <View>
        <Heading className="px-5 pb-2">{words('bench.steps-title')}</Heading>
        <CardSteps card={card} />
      </View>
      <TiedRow card={card} />
    </View>
  );
}
