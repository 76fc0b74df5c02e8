import type { ChartHook } from '@/core/hooks/drawn';
import type { FromWorker, Jobs } from './jobs';

/** A worker's own scope, with what it posts. */
interface Scope {
  onmessage: ((event: { data: unknown }) => void) | null;
  posted: FromWorker[];
}

function started(path: string): Scope {
  const scope: Scope & { postMessage(message: FromWorker): void } = {
    onmessage: null,
    posted: [],
    postMessage: (message) => void scope.posted.push(message),
  };
  (globalThis as { self?: unknown }).self = scope;
  jest.isolateModules(() => void jest.requireActual(path));
  return scope;
}

/** Sends a job and waits for its answer or failure. */
async function answered<T>(scope: Scope, input: unknown): Promise<T> {
  scope.posted.length = 0;
  scope.onmessage!({ data: { id: 7, input } });
  for (let wait = 0; wait < 400; wait++) {
    const last = scope.posted.find((message) => 'output' in message || 'failed' in message);
    if (last) {
      expect(last.id).toBe(7);
      if ('failed' in last) throw new Error(last.failed);
      return last.output as unknown as T;
    }
    await new Promise((later) => setTimeout(later, 10));
  }
  throw new Error('no answer');
}

type Read = Jobs['hooks-file']['output'];
const OURS = 'maker,model,size,bend,shank_mm\nm,x,12,round,8.2\nm,x,14,banana,7\n';
const file = (text: string | Uint8Array<ArrayBuffer>) => new Blob([text]);

describe('a file of hooks', () => {
  const scope = started('./hooks.worker');
  test('is looked at first: its headings, a few rows, what they are likely to be; nothing is read yet', async () => {
    const looked = await answered<Read>(scope, { file: file(OURS), map: null, unit: 'mm' });
    expect(looked).toMatchObject({
      fault: null,
      headings: ['maker', 'model', 'size', 'bend', 'shank_mm'],
      read: null,
      guess: { maker: { heading: 'maker' }, shank_mm: { heading: 'shank_mm' } },
    });
    expect(looked.sample[0]).toMatchObject({ size: '12', shank_mm: '8.2' });
  });
  test('is then read by its map, with its bad rows as they stood and how far it is', async () => {
    const { guess } = await answered<Read>(scope, { file: file(OURS), map: null, unit: 'mm' });
    const { read } = await answered<Read>(scope, { file: file(OURS), map: guess, unit: 'mm' });
    expect(read).toMatchObject({
      count: 2,
      rows: [{ size: '12', shankMm: 8.2 }],
      problems: [{ line: 3, column: 'bend' }],
      bad: { rows: [{ line: 3 }] },
      tapings: [],
    });
    const told = scope.posted.flatMap((message) => ('progress' in message ? [message.progress] : []));
    expect(told).toEqual([...told].sort((a, b) => a - b));
    expect(told.at(-1)).toBe(1);
  });
  test('that is large is looked at by its beginning alone', async () => {
    const many = file(`${OURS}${Array.from({ length: 6000 }, (_, index) => `m,x${index},12,round,8`).join('\n')}\n`);
    const whole = jest.spyOn(many, 'text');
    expect((await answered<Read>(scope, { file: many, map: null, unit: 'mm' })).headings).toHaveLength(5);
    expect(whole).not.toHaveBeenCalled();
  });
  test.each([
    ['file-not-text', file(Uint8Array.from({ length: 4000 }, (_, index) => (index * 7919) % 256))],
    ['file-not-table', file('Dear friend\nnothing rose\nYours\n')],
    ['file-blank', file('  \n')],
    ['file-unread', file('{ "aubade": broken')],
    ['file-newer', file(JSON.stringify({ aubade: 'hooks', version: 3, items: [] }))],
    ['file-large', Object.defineProperty(file('x'), 'size', { value: 40 * 1024 * 1024 })],
  ] as const)('%s is the reason that is given', async (code, blob) =>
    expect((await answered<Read>(scope, { file: blob, map: null, unit: 'mm' })).fault!.code).toBe(code),
  );
});

describe('what is printed', () => {
  const scope = started('./print.worker');
  const hook: ChartHook = {
    bend: 'round',
    eye: 'down',
    barb: 'barbed',
    shankMm: 7.6,
    gapeMm: 4.4,
    biteMm: 4,
    wireMm: 0.37,
    eyeMm: 1.5,
    lines: ['Lark 14'],
  };
  const isPdf = (bytes: Uint8Array) => Buffer.from(bytes.subarray(0, 5)).toString('latin1') === '%PDF-';
  test('a chart of hooks, a field card and a card to tie from come from one worker', async () => {
    expect(
      isPdf(
        await answered<Uint8Array>(scope, {
          hooks: [hook],
          page: 'a4',
          printed: 0.97,
          words: { title: 'Hooks', check: '50 mm', page: '{{page}} / {{of}}' },
        }),
      ),
    ).toBe(true);
    expect(
      isPdf(
        await answered<Uint8Array>(scope, {
          size: 'wallet',
          page: 'letter',
          words: { title: 'Card', print: 'at 100 %', check: '50 mm' },
        }),
      ),
    ).toBe(true);
    const card = {
      title: 'Dun',
      sub: 'on a 14',
      natural: [],
      sections: [{ title: 'Parts', lines: ['Tail: 7.4 mm'] }],
      bars: [],
      drawing: null,
      words: { check: '50 mm', enlarged: '', trueSize: '', notes: 'Notes' },
    };
    expect(isPdf(await answered<Uint8Array>(scope, { card, page: 'a5', printed: 1 }))).toBe(true);
  });
  test('a job that cannot be done is told as failed', async () => {
    await expect(
      answered(scope, {
        hooks: [{ ...hook, bend: 'nowhere' }],
        page: 'a4',
        printed: 1,
        words: { title: '', check: '', page: '' },
      }),
    ).rejects.toThrow();
  });
});
