import type { CellProblem } from '../src/core/exchange';
import type { Speech } from '../src/speech';
import type { Answered } from './command';
import { fold } from './text';

/** What a cell may hold, in words; null where that is anything. */
function acceptedBy({ accepted, code, params }: CellProblem): string | null {
  if (accepted !== null && typeof accepted === 'object' && 'list' in accepted)
    return accepted.list.map(String).join(', ');
  return code === 'cell-range' ? `${params.low} to ${params.high}` : null;
}

/** A table that was checked: how many rows are good, and every cell that is not; `recordOf` names the record of a row. */
export function checkOut(
  path: string,
  { count, good, problems }: { count: number; good: number; problems: readonly CellProblem[] },
  speech: Speech,
  recordOf: (problem: CellProblem) => string | null,
): Answered {
  const rows = problems.map((problem) => ({
    line: problem.line,
    column: problem.column,
    record: recordOf(problem),
    rule: problem.code,
    message: speech.say(problem, 'fault'),
    got: problem.got,
    accepted: acceptedBy(problem),
  }));
  return {
    json: { file: path, rows: count, good, bad: count - good, problems: rows },
    text: [
      `${path}: ${count} rows, ${good} good, ${count - good} bad`,
      ...rows.map((problem) => fold(`- line ${problem.line}: ${problem.message}`, 2)),
    ].join('\n'),
    exit: count > good || rows.length > 0 ? 2 : 0,
  };
}
