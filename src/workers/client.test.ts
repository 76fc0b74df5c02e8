import type * as Client from './client';
import type { FromWorker } from './jobs';

/** Workers as the client made them, with what was sent to each. */
const made: StandIn[] = [];

class StandIn {
  onmessage: ((event: { data: FromWorker }) => void) | null = null;
  onerror: ((event: { message: string }) => void) | null = null;
  sent: { id: number; input: unknown }[] = [];
  ended = false;

  constructor(readonly url: string) {
    made.push(this);
  }

  postMessage(message: { id: number; input: unknown }): void {
    this.sent.push(message);
  }

  terminate(): void {
    this.ended = true;
  }

  answer(message: Omit<FromWorker, 'id'>, id = this.sent[0]!.id): void {
    this.onmessage!({ data: { ...message, id } as FromWorker });
  }
}

const INPUT = { file: new Blob(['x']), asked: { view: 'belly', surface: 'dry', printedScale: 1 } } as const;

let run: typeof Client.run;
let prepare: typeof Client.prepare;

beforeEach(() => {
  made.length = 0;
  (globalThis as { Worker?: unknown }).Worker = StandIn;
  // Workers wait for their next job from one call to the next, but not from one test to the next.
  jest.resetModules();
  ({ run, prepare } = jest.requireActual<typeof Client>('./client'));
});

test('a job goes to the worker of its name, tells how far it is, and ends with its answer', async () => {
  const seen: number[] = [];
  const running = run('photo', INPUT, { onProgress: (done) => seen.push(done) });
  const [worker] = made;
  expect([worker!.url, worker!.sent[0]!.input]).toEqual(['/photo-worker.js', INPUT]);
  worker!.answer({ progress: 0.4 } as never);
  worker!.answer({ progress: 0.9 } as never);
  worker!.answer({ output: { measure: 'done', crop: null } } as never);
  expect(await running).toEqual({ measure: 'done', crop: null });
  expect([seen, worker!.ended]).toEqual([[0.4, 0.9], false]);
});

test('a worker that has ended its job takes the next one; two at once are two', async () => {
  const first = run('photo', INPUT);
  made[0]!.answer({ output: 'one' } as never);
  await first;
  const [second, third] = [run('photo', INPUT), run('photo', INPUT)];
  expect(made).toHaveLength(2);
  expect(made[0]!.sent).toHaveLength(2);
  made[0]!.answer({ output: 'two' } as never, made[0]!.sent[1]!.id);
  made[1]!.answer({ output: 'three' } as never);
  expect(await Promise.all([second, third])).toEqual(['two', 'three']);
  expect(made.map((worker) => worker.ended)).toEqual([false, true]);
});

test('a cancelled worker is not used again', async () => {
  const stop = new AbortController();
  const running = run('photo', INPUT, { signal: stop.signal });
  stop.abort();
  await expect(running).rejects.toMatchObject({ name: 'AbortError' });
  const again = run('photo', INPUT);
  expect(made.map((worker) => worker.ended)).toEqual([true, false]);
  made[1]!.answer({ output: 'late' } as never);
  expect(await again).toBe('late');
});

test('prepared once, it waits for the job', async () => {
  prepare('photo');
  prepare('photo');
  const running = run('photo', INPUT);
  expect(made).toHaveLength(1);
  expect(made[0]!.sent).toEqual([{ warm: true }, { id: expect.any(Number), input: INPUT }]);
  made[0]!.answer({ output: 'ready' } as never, made[0]!.sent[1]!.id);
  expect(await running).toBe('ready');
});

test('what is cancelled stops at once and says so', async () => {
  const stop = new AbortController();
  const running = run('photo', INPUT, { signal: stop.signal });
  stop.abort();
  await expect(running).rejects.toMatchObject({ name: 'AbortError' });
  expect(made[0]!.ended).toBe(true);
});

test('what was cancelled before it began makes no worker', async () => {
  const stop = new AbortController();
  stop.abort();
  await expect(run('photo', INPUT, { signal: stop.signal })).rejects.toMatchObject({ name: 'AbortError' });
  expect(made).toEqual([]);
});

test("a failure is the worker's own, told or not", async () => {
  const told = run('photo', INPUT);
  made[0]!.answer({ failed: 'no picture' } as never);
  await expect(told).rejects.toThrow('no picture');
  const broken = run('field-card-pdf', { size: 'wallet', page: 'a4', words: { title: '', print: '', check: '' } });
  expect(made[1]!.url).toBe('/print-worker.js');
  made[1]!.onerror!({ message: 'could not load' });
  await expect(broken).rejects.toThrow('could not load');
  expect(made[1]!.ended).toBe(true);
});

test('an answer to another job is not taken', async () => {
  const running = run('photo', INPUT);
  made[0]!.answer({ output: 'wrong' } as never, -1);
  made[0]!.answer({ output: 'right' } as never);
  expect(await running).toBe('right');
});
