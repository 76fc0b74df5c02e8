import { ZIP_LIMITS } from '@/core/archive/zip';
import type { FromWorker, Jobs, ToWorker } from './jobs';
import { answerOf } from './read-file';

interface WorkerScope {
  onmessage: ((event: MessageEvent<ToWorker<'file-read'>>) => void) | null;
  postMessage(message: FromWorker): void;
}

const scope = self as unknown as WorkerScope;

/** A file that a tier hands over, told what it is and read; one too large for anything is not even opened. */
async function read(
  { file, how, catalogue }: Jobs['file-read']['input'],
  progress: (done: number) => void,
): Promise<Jobs['file-read']['output']> {
  if (file.size > ZIP_LIMITS.packed) return { what: 'refused', fault: { code: 'too-large', params: {} } };
  const bytes = new Uint8Array(await file.arrayBuffer());
  progress(0.05);
  return answerOf(bytes, how, catalogue, progress);
}

scope.onmessage = ({ data }) => {
  if ('warm' in data) return;
  const { id, input } = data;
  read(input, (progress) => scope.postMessage({ id, progress })).then(
    (output) => scope.postMessage({ id, output }),
    (error: unknown) => scope.postMessage({ id, failed: String(error) }),
  );
};
