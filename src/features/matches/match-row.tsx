import { Link } from 'expo-router';
import { View } from 'react-native';
import { selectAnswered, useApp } from '@/state';
import { useRedLamp, useSpeech, useWords } from '@/features/shell';
import { NaturalThumb } from '@/ui/drawings';
import { Say } from '@/ui/primitives';
import { matchTitle, placeLine, stepLines } from './answer-line';

/** One match in a list: its natural drawn small, its name and its answer in a line. */
export function MatchRow({ id }: { id: string }) {
  const speech = useSpeech();
  const words = useWords();
  const match = useApp((state) => state.records.entities.match[id]);
  const sample = useApp((state) => (match ? state.records.entities.sample[match.sampleId] : undefined));
  const answered = useApp((state) => (match ? selectAnswered(state, id, match.leading) : null));
  const red = useRedLamp();
  if (!match || !sample || !answered) return null;
  const leading = match.answers.find((answer) => answer.id === match.leading)!;
  const lines = stepLines(answered, leading.stage ?? null, speech, words);
  const title = matchTitle(match, speech, words);
  return (
    <Link
      href={{
        pathname: '/matches/[id]/[step]',
        params: { id, step: answered.status === 'waiting' ? 'natural' : 'hook' },
      }}
      aria-label={speech.sentences([
        title,
        speech.day(sample.when),
        speech.list([lines.natural.head, lines.natural.detail]),
        answered.status === 'answered' && lines.hook.head,
        answered.status === 'answered' && lines.dressing.head,
        sample.place,
      ])}
      className="flex min-h-16 grow flex-row items-center gap-4 border-b border-line px-5 py-3"
    >
      {leading.stage ? (
        <NaturalThumb stage={leading.stage} colours={red ? {} : sample.colours} width={68} height={48} />
      ) : (
        <View className="w-16" />
      )}
      <View className="min-w-0 flex-1">
        <View className="flex-row items-baseline justify-between gap-3">
          <Say weight="serif" size="lead" className="min-w-0 flex-1">
            {title}
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
    </Link>
  );
}
