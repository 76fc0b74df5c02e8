import { View } from 'react-native';
import { letLead, type MatchRecord } from '@/records';
import { useAct, useApp } from '@/state';
import { selectAnswered } from '@/state/answering';
import { stepLines } from '@/features/matches';
import { useSpeech, useWords } from '@/features/shell';
import { OneStop, Option, Say } from '@/ui/primitives';

/** Two stages kept: their answers side by side; a tap on one lets it lead. */
export function TwoAnswers({ id, match }: { id: string; match: MatchRecord }) {
  const words = useWords();
  return (
    <OneStop label={words('natural.which-leads')} reached={match.leading} className="flex-row gap-2 px-5 py-3">
      {match.answers.map((record) => (
        <View key={record.id} className="min-w-0 flex-1">
          <AnswerOption id={id} answerId={record.id} match={match} />
        </View>
      ))}
    </OneStop>
  );
}

function AnswerOption({ id, answerId, match }: { id: string; answerId: string; match: MatchRecord }) {
  const speech = useSpeech();
  const words = useWords();
  const act = useAct();
  const answered = useApp((state) => selectAnswered(state, id, answerId));
  const record = match.answers.find((item) => item.id === answerId)!;
  if (!answered) return null;
  const lines = stepLines(answered, record.stage ?? null, speech, words);
  const leads = match.leading === answerId;
  return (
    <Option
      id={answerId}
      on={leads}
      spoken={speech.pair(lines.natural.head, speech.list([lines.hook.head, lines.dressing.head]))}
      onTake={() => act(letLead, { matchId: id, answerId })}
      look="told"
    >
      <Say weight="strong" size="small" tone={leads ? 'river' : 'ink'}>
        {leads ? words('natural.leads', { stage: lines.natural.head }) : lines.natural.head}
      </Say>
      <Say size="small">{lines.hook.head}</Say>
      <Say size="small" tone="soft">
        {lines.dressing.head}
      </Say>
    </Option>
  );
}
