import type { FromWorker, JobName, Jobs } from './jobs';

export interface RunOptions {
  signal?: AbortSignal;
  onProgress?: (done: number) => void;
}

const WORKERS: Record<JobName, string> = { photo: '/photo-worker.js', 'card-pdf': '/card-worker.js' };

let next = 1;

/**
 * Runs a job in a worker of its own and ends it with the job: what is cancelled stops at once. Rejects with an `AbortError` when
 * cancelled, with the worker's own error when it fails.
 */
export function run<J extends JobName>(job: J, input: Jobs[J]['input'], { signal, onProgress }: RunOptions = {}): Promise<Jobs[J]['output']> {
  return new Promise((resolve, reject) => {
    if (signal?.aborted) return reject(new DOMException('cancelled', 'AbortError'));
    const id = next++;
    const worker = new Worker(WORKERS[job]);
    const end = () => worker.terminate();
    signal?.addEventListener('abort', () => {
      end();
      reject(new DOMException('cancelled', 'AbortError'));
    });
    worker.onerror = (event) => {
      end();
      reject(new Error(event.message));
    };
    worker.onmessage = ({ data }: MessageEvent<FromWorker>) => {
      if (data.id !== id) return;
      if ('progress' in data) return onProgress?.(data.progress);
      end();
      if ('failed' in data) reject(new Error(data.failed));
      else resolve(data.output as Jobs[J]['output']);
    };
    worker.postMessage({ id, input });
  });
}
