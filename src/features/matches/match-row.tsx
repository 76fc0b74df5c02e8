import { useMemo } from 'react';
import { View } from 'react-native';
import type { MatchRecord, SampleRecord } from '@/records';
import { useApp } from '@/state';
import { selectAnswered, type Answered } from '@/state/answering';
import { InList, useRedLamp, useSpeech, useWords } from '@/features/shell';
import { NaturalThumb } from '@/ui/drawings';
import { Row, Say, TickBox } from '@/ui/primitives';
import { matchTitle, placeLine, stepLines, type StepLines } from './answer-line';

interface MatchRowProps {
  id: string;
  /** Whether it is one of several that are picked; null or nothing where it is opened by a tap. */
  picked?: boolean | null;
  onPick?: () => void;
}

/** One match in a list: its natural drawn small, its name and its answer in a line; a link to it, or a box to be ticked while several are picked. */
export function MatchRow(props: MatchRowProps) {
  const match = useApp((state) => state.records.entities.match[props.id]);
  const sample = useApp((state) => (match ? state.records.entities.sample[match.sampleId] : undefined));
  // Either of the two may be what is changed or set aside.
  const data = useMemo(() => [match, sample], [match, sample]);
  return (
    <InList record={{ kind: 'match', id: props.id }} name={match?.title ?? ''} data={data}>
      <Shown {...props} />
    </InList>
  );
}

function Shown({ id, picked = null, onPick }: MatchRowProps) {
  const speech = useSpeech();
  const words = useWords();
  const match = useApp((state) => state.records.entities.match[id]);
  const sample = useApp((state) => (match ? state.records.entities.sample[match.sampleId] : undefined));
  const answered = useApp((state) => (match ? selectAnswered(state, id, match.leading) : null));
  if (!match || !sample || !answered) return null;
  const leading = match.answers.find((answer) => answer.id === match.leading)!;
  const lines = stepLines(answered, leading.stage ?? null, speech, words);
  const name = speech.sentences([
    matchTitle(match, speech, words),
    speech.day(sample.when),
    speech.list([lines.natural.head, lines.natural.detail]),
    answered.status === 'answered' && lines.hook.head,
    answered.status === 'answered' && lines.dressing.head,
    sample.place,
  ]);
  const told = <Told match={match} sample={sample} answered={answered} lines={lines} />;
  if (picked !== null)
    return (
      <Row tall ticked={picked} spoken={name} onPress={() => onPick?.()}>
        <TickBox on={picked} />
        {told}
      </Row>
    );
  return (
    <Row
      tall
      to={{
        pathname: '/matches/[id]/[step]',
        params: { id, step: answered.status === 'waiting' ? 'natural' : 'hook' },
      }}
      spoken={name}
    >
      {told}
    </Row>
  );
}

/** What a row shows of its match. */
function Told({
  match,
  sample,
  answered,
  lines,
}: {
  match: MatchRecord;
  sample: SampleRecord;
  answered: Answered;
  lines: StepLines;
}) {
  const speech = useSpeech();
  const words = useWords();
  const red = useRedLamp();
  const stage = match.answers.find((answer) => answer.id === match.leading)!.stage ?? null;
  return (
    <>
      {stage ? (
        <NaturalThumb stage={stage} colours={red ? {} : sample.colours} width={68} height={48} />
      ) : (
        <View className="w-16" />
      )}
      <View className="min-w-0 flex-1">
        <View className="flex-row items-baseline justify-between gap-3">
          <Say weight="serif" size="lead" className="min-w-0 flex-1">
            {matchTitle(match, speech, words)}
          </Say>
          <Say size="small" tone="soft">
            {speech.day(sample.when)}
          </Say>
        </View>
        <Say size="small" tone={answered.status === 'waiting' ? 'straw' : 'ink'} lines={2}>
          {answered.status === 'waiting'
            ? lines.natural.detail
            : speech.list([lines.natural.head, lines.natural.detail])}
        </Say>
        {answered.status === 'answered' ? <Say size="small">{lines.hook.head}</Say> : null}
        {answered.status === 'answered' ? (
          <Say size="small" tone="soft">
            {lines.dressing.head}
          </Say>
        ) : null}
        {sample.kept ? (
          <Say size="small" tone="straw">
            {words(sample.photos.length > 0 ? 'photo.row-photo' : 'photo.row', { count: sample.photos.length })}
          </Say>
        ) : null}
        <Say size="small" tone="soft">
          {placeLine(sample, match.demo ? words('matches.demo') : '', speech)}
        </Say>
      </View>
    </>
  );
}
