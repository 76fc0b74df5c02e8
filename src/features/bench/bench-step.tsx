import { useRouter } from 'expo-router';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import type { Answer } from '@/core/answer';
import type { Card } from '@/core/tying';
import { setCardSchools, setSwitches, type AnswerRecord } from '@/records';
import { selectSettings, useAct, useApp } from '@/state';
import { selectDressing } from '@/state/answering';
import { partNamed } from '@/speech/card';
import { Terms, type TermId } from '@/features/glossary';
import { hookName } from '@/features/matches';
import { AfterHead, useSpeech, useWords } from '@/features/shell';
import { Button, Fold, Heading, Say } from '@/ui/primitives';
import { RoomFold, SmallPrintFold, WorkFold } from './card-folds';
import { CardCautions, CardParts } from './card-view';
import { RideFold } from '@/features/ride';
import { KeepCard } from './keep-card';
import { SchoolsPanel } from './schools-panel';
import { fromMatch, useStartSession } from './start-session';
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
  colours,
}: {
  matchId: string;
  record: AnswerRecord;
  answer: Answer;
  /** What it is tied for, and when, for paper. */
  natural: readonly string[];
  plate: ReactNode;
  /** Its colours beside the natural's and what it is tied in, each a line until it is opened. */
  colours: ReactNode;
}) {
  const words = useWords();
  const speech = useSpeech();
  const router = useRouter();
  const act = useAct();
  const start = useStartSession();
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
        <View className="flex-row flex-wrap gap-3">
          <Button
            kind="main"
            label={words('bench.start')}
            onPress={() => router.navigate({ pathname: '/matches/[id]/tie', params: { id: matchId } })}
          />
          <Button label={words('vise.several')} onPress={() => start((state) => fromMatch(state, matchId))} />
        </View>
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
          {colours}
          <WorkFold card={card} cautionsTold />
          <RoomFold card={card} />
          <RideFold card={card} />
          <SmallPrintFold card={card} />
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
