import { View } from 'react-native';
import { change, selectAnswered, useApp, useAppDispatch, type MatchRecord } from '@/state';
import { stepLines } from '@/features/matches';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Say } from '@/ui/primitives';

/** Two stages kept: their answers side by side, and which one leads. */
export function TwoAnswers({ id, match, stacked = false }: { id: string; match: MatchRecord; stacked?: boolean }) {
  return (
    <View className={`border-t border-line ${stacked ? '' : 'flex-row'}`}>
      {match.answers.map((record) => (
        <One key={record.id} id={id} answerId={record.id} match={match} stacked={stacked} />
      ))}
    </View>
  );
}

function One({ id, answerId, match, stacked }: { id: string; answerId: string; match: MatchRecord; stacked: boolean }) {
  const speech = useSpeech();
  const words = useWords();
  const dispatch = useAppDispatch();
  const answered = useApp((state) => selectAnswered(state, id, answerId));
  const record = match.answers.find((item) => item.id === answerId)!;
  if (!answered) return null;
  const lines = stepLines(answered, record.stage ?? null, speech, words);
  const leads = match.leading === answerId;
  const stage = record.stage ? speech.plain('stages', record.stage) : '';
  return (
    <View className={`min-w-0 flex-1 gap-1 px-5 py-3 ${leads ? 'border-l-4 border-river' : 'border-l border-line'} ${stacked ? 'border-b' : ''}`}>
      <Say weight="strong" size="small">
        {lines.natural.head}
      </Say>
      <Say size="small">{lines.hook.head}</Say>
      <Say size="small" tone="soft">
        {lines.dressing.head}
      </Say>
      {leads ? (
        <Say size="small" tone="river" weight="medium">
          {words('natural.leads')}
        </Say>
      ) : (
        <Button label={words('natural.lead', { stage })} onPress={() => dispatch(change('lead', (draft) => void (draft.match[id]!.leading = answerId)))} className="self-start" />
      )}
    </View>
  );
}
