import { KNOWN } from '@/catalogue/known-ids';
import { guessColumns, HEAD_BYTES, headFault, readHooksFile, readTable, readTapings, tableOf } from '@/core/exchange';
import type { FromWorker, Jobs, ToWorker } from './jobs';

interface WorkerScope {
  onmessage: ((event: MessageEvent<ToWorker<'hooks-file'>>) => void) | null;
  postMessage(message: FromWorker): void;
}

const scope = self as unknown as WorkerScope;

const MOST_BYTES = 32 * 1024 * 1024;
const SHOWN_ROWS = 4;

/** A file of hooks: first its beginning alone, so that what is no table is refused at once, then row by row. */
async function read(
  { file, map, unit }: Jobs['hooks-file']['input'],
  progress: (done: number) => void,
): Promise<Jobs['hooks-file']['output']> {
  const none = { headings: [], sample: [], guess: {}, read: null };
  if (file.size > MOST_BYTES)
    return { ...none, fault: { code: 'file-large', params: { got: (file as File).name ?? '' } } };
  const head = await file.slice(0, HEAD_BYTES).text();
  const fault = headFault(head);
  if (fault) return { ...none, fault };
  progress(0.05);
  const isJson = /^\s*[[{]/.test(head.replace(/^\uFEFF/, ''));
  const text = isJson || map !== null || file.size <= HEAD_BYTES ? await file.text() : null;
  progress(0.1);
  const table = text === null ? readTable(head) : tableOf(text);
  if (table === null) return { ...none, fault: { code: 'file-unread', params: {} } };
  if ('newer' in table) return { ...none, fault: { code: 'file-newer', params: { version: table.newer } } };
  const guess = map ?? guessColumns(table.headings);
  const looked = {
    fault: null,
    headings: table.headings,
    sample: table.rows.slice(0, SHOWN_ROWS).map((row) => row.cells),
    guess,
  };
  if (map === null) return { ...looked, read: null };
  const {
    rows,
    problems,
    count,
    table: whole,
  } = readHooksFile(text ?? '', KNOWN, { map, unit, report: (done) => progress(0.1 + 0.9 * done) });
  const bad = new Set(problems.map((problem) => problem.line));
  return {
    ...looked,
    read: {
      rows,
      problems,
      count,
      tapings: readTapings(text ?? ''),
      bad: whole ? { headings: whole.headings, rows: whole.rows.filter((row) => bad.has(row.line)) } : null,
    },
  };
}

scope.onmessage = ({ data }) => {
  if ('warm' in data) return;
  const { id, input } = data;
  read(input, (progress) => scope.postMessage({ id, progress })).then(
    (output) => scope.postMessage({ id, output }),
    (error: unknown) => scope.postMessage({ id, failed: String(error) }),
  );
};
