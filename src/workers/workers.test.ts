import { DRESSINGS, WORKS } from '@/catalogue';
import { writeDressings } from '@/core/exchange';
import type { ChartHook } from '@/core/hooks/drawn';
import { AS_IT_IS } from '@/records/sheets';
import { SHIPPED } from '../../tools/test-catalogue';
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

type Read = Jobs['file-read']['output'];
const OURS = 'maker,model,size,bend,shank_mm\nm,x,12,round,8.2\nm,x,14,banana,7\n';
const file = (text: string | Uint8Array<ArrayBuffer>) => new Blob([text]);

describe('a file of any kind', () => {
  const scope = started('./files.worker');
  const read = (blob: Blob, catalogue: unknown = null) =>
    answered<Read>(scope, { file: blob, how: AS_IT_IS, catalogue });
  test('of hooks is told by its headings and read, with its bad rows as they stood and how far it is', async () => {
    expect(await read(file(OURS))).toMatchObject({
      what: 'table',
      sheet: 'hooks',
      headings: ['maker', 'model', 'size', 'bend', 'shank_mm'],
      read: {
        count: 2,
        input: { rows: [{ size: '12', shankMm: 8.2 }], tapings: [] },
        problems: [{ line: 3, column: 'bend' }],
        bad: { rows: [{ line: 3 }] },
      },
    });
    const told = scope.posted.flatMap((message) => ('progress' in message ? [message.progress] : []));
    expect(told).toEqual([...told].sort((a, b) => a - b));
    expect(told.at(-1)).toBe(1);
  });
  test('of dressings waits for the catalogue, and is worked out beside it', async () => {
    const text = writeDressings([DRESSINGS[0]!], WORKS);
    expect(await read(file(text))).toEqual({ what: 'dressings-text', text });
    expect(await read(file(text), SHIPPED)).toMatchObject({
      what: 'dressings',
      faulty: 0,
      looked: 1,
      read: { count: 1 },
    });
  });
  test.each([
    ['file-not-text', file(Uint8Array.from({ length: 4000 }, (_, index) => (index * 7919) % 256))],
    ['file-not-table', file('Dear friend\nnothing rose\nYours\n')],
    ['file-blank', file('  \n')],
    ['file-no-json', file('{ "aubade": broken')],
    ['file-newer', file(JSON.stringify({ aubade: 'hooks', version: 3, items: [] }))],
    ['too-large', Object.defineProperty(file('x'), 'size', { value: 900 * 1024 * 1024 })],
  ] as const)('%s is the reason that is given', async (code, blob) =>
    expect(await read(blob)).toMatchObject({ what: 'refused', fault: { code } }),
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
