import { useRouter } from 'expo-router';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import type { Answer } from '@/core/answer';
import type { Card } from '@/core/tying';
import { setCardSchools, setSwitches, type AnswerRecord } from '@/records';
import { selectSettings, useAct, useApp } from '@/state';
import { selectDressing } from '@/state/answering';
import { type Speech } from '@/speech';
import { cardFacts, partNamed } from '@/speech/card';
import { Terms, type TermId } from '@/features/glossary';
import { hookName } from '@/features/matches';
import { AfterHead, useSpeech, useWords } from '@/features/shell';
import { Button, Fold, Heading, Say } from '@/ui/primitives';
import { CardAssemblies, CardCautions, CardExtras, CardParts, CardSteps } from './card-view';
import { KeepCard } from './keep-card';
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
  return (
    <Fold
      wide
      title={words('bench.schools')}
      line={words('bench.schools-set', { count: Object.keys(record.schools).length })}
    >
      <SchoolsPanel
        dressing={card.dressing.id}
        value={record.schools}
        inherited={{ ...schools, ...dressingSchools[card.dressing.id] }}
        onChange={(next) => act(setCardSchools, { matchId, answerId: record.id, schools: next })}
      />
    </Fold>
  );
}

/** The room in a line: what there is, and whether the parts stay within it. */
function roomLine(card: Card, speech: Speech, words: ReturnType<typeof useWords>): string {
  return words(card.fits ? 'bench.room-line' : 'bench.room-over', {
    room: speech.length(card.room_mm),
    used: speech.length(card.used_mm),
  });
}

/** The words of its amounts and lengths that a newcomer asks for. */
function termsOn({ parts }: Card): TermId[] {
  return [
    ...(parts.some(({ range_mm: range }) => range) ? (['tie-down'] as const) : []),
    ...(parts.some(({ amount }) => amount.noodleMm !== null) ? (['noodle'] as const) : []),
  ];
}

/** The bench card: every part in millimetres, the room, and the steps. */
export function BenchStep({
  matchId,
  record,
  answer,
  natural,
  plate,
}: {
  matchId: string;
  record: AnswerRecord;
  answer: Answer;
  /** What it is tied for, and when, for paper. */
  natural: readonly string[];
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
        <Say size="small" tone={card.fits ? 'sedge' : 'dawn'} weight="medium">
          {card.fits
            ? words('bench.fits')
            : speech.clauses([
                words('bench.over', { part: partName(card.over!.part), mm: speech.length(card.over!.mm) }),
                card.over!.drop.length > 0 &&
                  words('bench.drop', { parts: speech.list(card.over!.drop.map(partName)) }),
              ])}
        </Say>
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
      <AfterHead>
        {plate}
        <CardParts card={card} />
        <View className="-mt-4 px-5">
          <Terms ids={termsOn(card)} />
        </View>
        <View className="-mt-6">
          <CardCautions card={card} />
          <Fold
            wide
            title={words('bench.steps-title')}
            line={speech.beside([
              words('bench.steps', { count: card.steps.length }),
              card.minutes && words('dressing.minutes', { minutes: card.minutes }),
            ])}
          >
            <View className="-mx-5">
              <CardAssemblies card={card} />
              <CardSteps card={card} cautionsTold />
            </View>
          </Fold>
          <Fold wide title={words('bench.lies')} line={roomLine(card, speech, words)}>
            <View className="-mx-5 gap-6">
              <Stations card={card} />
              <Heading size="small" className="px-5">
                {words('bench.budget')}
              </Heading>
              <RoomBudget card={card} />
            </View>
          </Fold>
          <Fold
            wide
            title={words('bench.small-print')}
            line={speech.list(cardFacts(card, speech).map(({ title }) => title))}
          >
            <View className="-mx-5">
              <CardExtras card={card} />
              <View className="px-5 pt-3">
                <Terms ids={card.hackles.some(({ gauge }) => gauge !== null) ? ['gauge', 'reserve'] : ['reserve']} />
              </View>
            </View>
          </Fold>
          <CardSchools matchId={matchId} record={record} card={card} />
          {dressing ? (
            <Fold wide title={words('paper.title')} line={words('paper.line')}>
              <KeepCard card={card} dressing={dressing} natural={natural} />
            </Fold>
          ) : null}
          <Fold wide title={words('tied.title')} line={words('tied.line')}>
            <TiedRow card={card} />
          </Fold>
        </View>
      </AfterHead>
    </View>
  );
}
