import { solveBlend } from '@/core/colour/blend';
import type { FromWorker, ToWorker } from './jobs';

interface WorkerScope {
  onmessage: ((event: MessageEvent<ToWorker<'blend'>>) => void) | null;
  postMessage(message: FromWorker): void;
}

const scope = self as unknown as WorkerScope;

scope.onmessage = ({ data }) => {
  if ('warm' in data) return;
  const { id, input } = data;
  try {
    const output = solveBlend(input.shades, input.asked, (progress) => {
      scope.postMessage({ id, progress });
      return true;
    });
    scope.postMessage({ id, output });
  } catch (error) {
    scope.postMessage({ id, failed: String(error) });
  }
};
