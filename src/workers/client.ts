import type { FromWorker, JobName, Jobs, ToWorker } from './jobs';

export interface RunOptions {
  signal?: AbortSignal;
  onProgress?: (done: number) => void;
}

const WORKERS: Record<JobName, string> = {
  photo: '/photo-worker.js',
  'fly-photo': '/photo-worker.js',
  'field-card-pdf': '/print-worker.js',
  'chart-pdf': '/print-worker.js',
  'tying-card-pdf': '/print-worker.js',
  'cards-pdf': '/print-worker.js',
  'file-read': '/files-worker.js',
  blend: '/blend-worker.js',
  'backup-write': '/backup-worker.js',
  'backup-pictures': '/backup-worker.js',
};

/** A worker that has ended its job and waits for the next: its code is warm. One of each name is kept. */
const idle = new Map<JobName, Worker>();

let next = 1;

/** Starts the worker of a photograph before it is needed: its code is read and warm when the job comes. */
export function prepare(job: 'photo'): void {
  if (idle.has(job)) return;
  const worker = new Worker(WORKERS[job]);
  idle.set(job, worker);
  worker.postMessage({ warm: true } satisfies ToWorker<'photo'>);
}

/**
 * Runs a job in a worker that does nothing else. What is cancelled stops at once, its worker with it; rejects with an `AbortError`
 * then, with the worker's own error when it fails.
 */
export function run<J extends JobName>(
  job: J,
  input: Jobs[J]['input'],
  { signal, onProgress }: RunOptions = {},
): Promise<Jobs[J]['output']> {
  return new Promise((resolve, reject) => {
    if (signal?.aborted) return reject(new DOMException('cancelled', 'AbortError'));
    const id = next++;
    const worker = idle.get(job) ?? new Worker(WORKERS[job]);
    idle.delete(job);
    const stopped = () => {
      worker.terminate();
      reject(new DOMException('cancelled', 'AbortError'));
    };
    signal?.addEventListener('abort', stopped);
    worker.onerror = (event) => {
      signal?.removeEventListener('abort', stopped);
      worker.terminate();
      reject(new Error(event.message));
    };
    worker.onmessage = ({ data }: MessageEvent<FromWorker>) => {
      if (data.id !== id) return;
      if ('progress' in data) return onProgress?.(data.progress);
      signal?.removeEventListener('abort', stopped);
      if (idle.has(job)) worker.terminate();
      else idle.set(job, worker);
      if ('failed' in data) reject(new Error(data.failed));
      else resolve(data.output as Jobs[J]['output']);
    };
    worker.postMessage({ id, input } satisfies ToWorker<J>);
  });
}
