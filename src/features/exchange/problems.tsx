import { View } from 'react-native';
import type { Param } from '@/core/code';
import { writeBadRows, type CellProblem, type Table } from '@/core/exchange';
import { saveFile } from '@/features/files';
import { useSpeech, useWords } from '@/features/shell';
import type { Speech } from '@/speech';
import { Button, Say } from '@/ui/primitives';

const SHOWN = 12;

function acceptedIn(accepted: Param, speech: Speech): string | false {
  return accepted !== null && typeof accepted === 'object' && 'list' in accepted
    ? speech.t('ui.import.accepted', { list: speech.list(accepted.list as string[]) })
    : false;
}

/** Every cell that cannot be used, with its line; and the rows it stands in as a file to mend. */
export function Problems({
  problems,
  rows,
  bad,
}: {
  problems: readonly CellProblem[];
  rows: number;
  bad: Table | null;
}) {
  const words = useWords();
  const speech = useSpeech();
  if (problems.length === 0) return null;
  const told = (problem: CellProblem) =>
    [
      problem.line !== null && words('guide.line', { line: problem.line }),
      speech.say(problem, 'fault'),
      problem.code !== 'cell-not-one-of' && acceptedIn(problem.accepted, speech),
    ]
      .filter(Boolean)
      .join(' ');
  return (
    <View className="gap-2">
      {rows > 0 ? (
        <Say weight="medium" tone="dawn">
          {words('import.bad', { count: rows })}
        </Say>
      ) : null}
      {problems.slice(0, SHOWN).map((problem, index) => (
        <Say key={index} size="small">
          {told(problem)}
        </Say>
      ))}
      {problems.length > SHOWN ? (
        <Say size="small" tone="soft">
          {words('import.more', { count: problems.length - SHOWN })}
        </Say>
      ) : null}
      {bad ? (
        <Button
          label={words('import.bad-file')}
          className="self-start"
          onPress={() =>
            saveFile(
              'aubade-rows-to-mend.csv',
              writeBadRows({ table: bad, problems: [...problems] }, (problem) => speech.say(problem, 'fault')),
              'text/csv',
            )
          }
        />
      ) : null}
    </View>
  );
}
