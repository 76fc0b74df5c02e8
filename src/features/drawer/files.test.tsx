import { fireEvent, screen, waitFor } from '@testing-library/react';
import { KNOWN } from '@/catalogue';
import { readHooksFile } from '@/core/exchange';
import { selectHooks } from '@/state/answering';
import { run as runJob } from '@/workers';
import { laidOut, openScreen, pressReady } from '../__tests__/screen';
import { ImportScreen } from './import-screen';

const mockFiles: { next: File | null; saved: { name: string; text: string }[] } = { next: null, saved: [] };
jest.mock('@/features/files', () => ({
  chooseFile: async () => mockFiles.next,
  saveFile: (name: string, text: string) => void mockFiles.saved.push({ name, text }),
}));
jest.mock('@/workers', () => ({ run: jest.fn() }));
const run = runJob as unknown as jest.Mock;
const { run: here } = jest.requireActual<{ run: (job: string, input: never) => Promise<unknown> }>(
  '../__tests__/backup-jobs',
);

async function choose(text: string): Promise<void> {
  mockFiles.next = new File([text], 'hooks.csv');
  run.mockImplementation(here);
  fireEvent.click(screen.getByText(/^(Read a file|Another file)$/));
  await screen.findByText('Another file');
  await laidOut();
}

beforeEach(() => {
  mockFiles.saved.length = 0;
  run.mockReset();
});

test('a file with our headings is read without a word: what is new, what changes, what is wrong', async () => {
  const { store } = await openScreen(<ImportScreen />);
  const before = selectHooks(store.getState()).length;
  await choose(
    'maker,model,size,bend,shank_mm\nosmere,lark,14,round,7.9\nwend,deep,12,round,8.4\nwend,deep,14,banana,7\n',
  );
  expect(screen.getByText('2 good rows of 3')).toBeInTheDocument();
  expect(screen.getByText('Changes 1 of yours:')).toBeInTheDocument();
  expect(screen.getByText(/^Line 4: bend banana is not known; accepted: round, /)).toBeInTheDocument();
  fireEvent.click(screen.getByText('Bad rows as a file to mend'));
  expect(mockFiles.saved[0]!.text).toContain('wend,deep,14,banana,7,"bend banana is not known');
  await pressReady('Take 2 hooks');
  expect(selectHooks(store.getState())).toHaveLength(before + 1);
  expect(store.getState().records.past.map((item) => item.label)).toEqual(['hooks-in']);
  expect(screen.getByText('2 hooks taken in. Undo takes it back.')).toBeInTheDocument();
});

test("another's headings wait until what is needed is matched; one value can stand for all rows", async () => {
  const { store } = await openScreen(<ImportScreen />, 'clean');
  await choose('Code,No.,Reach\nDeep,12,0.33\n');
  fireEvent.change(screen.getByRole('combobox', { name: 'What its rows are' }), { target: { value: 'hooks' } });
  await screen.findByText('Columns');
  expect(screen.getByText('Still needed: Maker, Bend')).toBeInTheDocument();
  expect(screen.getByText('Read it so').closest('[role="button"]')).toHaveAttribute('aria-disabled', 'true');
  fireEvent.click(screen.getByLabelText('Change Maker'));
  fireEvent.click(screen.getByText('One value for all'));
  fireEvent.change(screen.getByLabelText('Value for every row'), { target: { value: 'Wend' } });
  fireEvent.click(screen.getByLabelText('Change Bend'));
  fireEvent.click(screen.getByText('One value for all'));
  fireEvent.change(screen.getByLabelText('Value for every row'), { target: { value: 'jig' } });
  fireEvent.click(screen.getByText('11 more columns'));
  fireEvent.click(screen.getByLabelText('Change Shank'));
  fireEvent.click(screen.getByRole('radio', { name: 'Reach' }));
  fireEvent.click(screen.getAllByRole('radio', { name: 'inch' }).at(-1)!);
  fireEvent.click(screen.getByText('Read it so'));
  await waitFor(() => expect(screen.getByText('Take 1 hook')).toBeInTheDocument());
  await screen.findByRole('group', { name: 'What it would do' });
  await pressReady('Take 1 hook');
  expect(store.getState().records.entities.model['wend:deep']).toMatchObject({
    bend: 'jig',
    sizes: { 12: { shankMm: 0.33 * 25.4 } },
  });
});

test('what is refused says why, and what was read before stays', async () => {
  const { store } = await openScreen(<ImportScreen />);
  const { entities } = store.getState().records;
  mockFiles.next = new File(['x'], 'x.csv');
  run.mockResolvedValue({ what: 'refused', fault: { code: 'file-not-table', params: {} } });
  fireEvent.click(screen.getByText('Read a file'));
  await waitFor(() => expect(screen.getByText(/^Not taken: this is not a table/)).toBeInTheDocument());
  expect(store.getState().records.entities).toBe(entities);
});

test('reading shows how far it is and can be stopped', async () => {
  await openScreen(<ImportScreen />);
  mockFiles.next = new File(['x'], 'many.csv');
  let signal: AbortSignal | undefined;
  run.mockImplementation(
    (_job: string, _input: unknown, options: { signal: AbortSignal; onProgress: (done: number) => void }) => {
      signal = options.signal;
      options.onProgress(0.42);
      return new Promise((_, reject) =>
        options.signal.addEventListener('abort', () =>
          reject(Object.assign(new Error('stopped'), { name: 'AbortError' })),
        ),
      );
    },
  );
  fireEvent.click(screen.getByText('Read a file'));
  await waitFor(() => expect(screen.getByText('Reading many.csv: 42 %')).toBeInTheDocument());
  expect(screen.getByRole('progressbar')).toHaveAttribute('aria-valuenow', '42');
  fireEvent.click(screen.getByText('Stop'));
  await waitFor(() => expect(screen.getByText('Read a file')).toBeInTheDocument());
  expect(signal!.aborted).toBe(true);
});

test('hooks another tier measured join the model by their id', async () => {
  const { store } = await openScreen(<ImportScreen />);
  const model = JSON.stringify({
    aubade: 'hooks',
    version: 1,
    items: [{ maker: 'bessock', model: 'fine-wet', size: '12', bend: 'round', source: 'label', x_long: 1, x_heavy: 1 }],
    tapings: [
      {
        id: 'taping_x',
        maker: 'bessock',
        model: 'fine-wet',
        size: '12',
        at: '2033-05-20T20:00',
        how: 'calliper',
        shank_mm: 9.4,
      },
    ],
  });
  for (let time = 0; time < 2; time++) {
    await choose(model);
    expect(screen.getByText('1 hook measured by another tier')).toBeInTheDocument();
    await pressReady('Take 1 hook');
  }
  expect(Object.keys(store.getState().records.entities.model['bessock:fine-wet']!.tally)).toEqual(['taping_x']);
  expect(selectHooks(store.getState()).find((hook) => hook.id === 'bessock:fine-wet:12')!.shank).toMatchObject({
    value: 9.4,
    source: 'measured',
  });
});

test('all hooks are written to one file', async () => {
  await openScreen(<ImportScreen />);
  fireEvent.click(screen.getByText('Write all hooks to a file'));
  expect(mockFiles.saved[0]!.name).toBe('aubade-hooks.csv');
  expect(readHooksFile(mockFiles.saved[0]!.text, KNOWN)).toMatchObject({ count: 345 + 8, problems: [] });
});
