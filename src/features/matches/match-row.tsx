import { format, parseISO } from 'date-fns';
import { useRouter } from 'expo-router';
import { Pressable, View } from 'react-native';
import { selectAnswered, useApp } from '@/state';
import { useRedLamp, useSpeech, useWords } from '@/features/shell';
import { Marks, naturalMarks } from '@/ui/drawings';
import { Say } from '@/ui/primitives';
import Svg from 'react-native-svg';
import { matchTitle, placeLine, stepLines } from './answer-line';

/** One match in a list: its natural drawn small, its name and its answer in a line. */
export function MatchRow({ id }: { id: string }) {
  const speech = useSpeech();
  const words = useWords();
  const router = useRouter();
  const match = useApp((state) => state.records.entities.match[id]);
  const sample = useApp((state) => (match ? state.records.entities.sample[match.sampleId] : undefined));
  const answered = useApp((state) => (match ? selectAnswered(state, id, match.leading) : null));
  const red = useRedLamp();
  if (!match || !sample || !answered) return null;
  const leading = match.answers.find((answer) => answer.id === match.leading)!;
  const lines = stepLines(answered, leading.stage ?? null, speech, words);
  const title = matchTitle(match, speech, words);
  const drawing = naturalMarks(leading.stage ?? null, 10, red ? {} : sample.colours, 12);
  const scale = Math.min(64 / (drawing.bounds.right - drawing.bounds.left), 46 / (drawing.bounds.top - drawing.bounds.bottom));
  return (
    <Pressable role="link" aria-label={`${title}. ${lines.natural.head}, ${lines.natural.detail}. ${answered.status === 'answered' ? lines.hook.head : ''}`} onPress={() => router.navigate({ pathname: '/matches/[id]/[step]', params: { id, step: answered.status === 'waiting' ? 'natural' : 'hook' } })} className="min-h-16 flex-row items-center gap-4 border-b border-line px-5 py-3">
      <View className="h-12 w-16 items-center justify-center" aria-hidden>
        {leading.stage ? (
          <Svg width={68} height={48}>
            <Marks marks={drawing.marks} scale={scale} x={34 - ((drawing.bounds.left + drawing.bounds.right) / 2) * scale} y={24 + ((drawing.bounds.top + drawing.bounds.bottom) / 2) * scale} />
          </Svg>
        ) : null}
      </View>
      <View className="min-w-0 flex-1">
        <View className="flex-row items-baseline justify-between gap-3">
          <Say weight="serif" size="lead" className="min-w-0 flex-1">
            {title}
          </Say>
          <Say size="small" tone="soft">
            {format(parseISO(sample.when), 'd MMM')}
          </Say>
        </View>
        <Say size="small" tone={answered.status === 'waiting' ? 'straw' : 'ink'} lines={2}>
          {answered.status === 'waiting' ? lines.natural.detail : `${lines.natural.head}, ${lines.natural.detail}`}
        </Say>
        {answered.status === 'answered' ? <Say size="small">{lines.hook.head}</Say> : null}
        {answered.status === 'answered' ? (
          <Say size="small" tone="soft">
            {lines.dressing.head}
          </Say>
        ) : null}
        <Say size="small" tone="soft">
          {placeLine(sample, match.demo ? words('matches.demo') : '')}
        </Say>
      </View>
    </Pressable>
  );
}
