import { act, fireEvent, screen, within } from '@testing-library/react';
import { hexOfLab } from '@/core/colour';
import { opened } from '../__tests__/files';
import { openScreen } from '../__tests__/screen';
import { ShadeFromPhoto } from './shade-from-photo';

const mockRun: { answer: unknown; asked: unknown; stopped: boolean } = { answer: null, asked: null, stopped: false };
jest.mock('@/features/files', () => jest.requireActual('../__tests__/files'));
jest.mock('@/workers', () => ({
  run: (
    _job: string,
    input: unknown,
    { signal, onProgress }: { signal: AbortSignal; onProgress: (done: number) => void },
  ) => {
    mockRun.asked = input;
    onProgress(0.4);
    if (mockRun.answer instanceof Error) return Promise.reject(mockRun.answer);
    if (mockRun.answer) return Promise.resolve({ measure: mockRun.answer, crop: null });
    return new Promise((_, reject) =>
      signal.addEventListener('abort', () => {
        mockRun.stopped = true;
        reject(new DOMException('stopped', 'AbortError'));
      }),
    );
  },
}));

const taken: string[] = [];
async function ask(answer: unknown) {
  opened.text = 'a picture';
  mockRun.answer = answer;
  await act(
    async () => void fireEvent.click(screen.getByRole('button', { name: 'Colour of Claret from a photograph' })),
  );
}
const open = () =>
  openScreen(<ShadeFromPhoto name="Claret" drawn="lock" absorbency={0.5} onTake={(hex) => taken.push(hex)} />);
const pad = (lab: number[]) => ({ lab, spread: 1, second: null });
const OLIVE = [50, -3, 34];

test('each pad that lies on the card is told by its word, and the one that is meant is taken', async () => {
  await open();
  await ask({ refused: null, pads: [pad(OLIVE), pad([28, 9, 14])] });
  expect(mockRun.asked).toMatchObject({ asked: { surface: 'dry', pads: true, printedScale: 1 } });
  const rows = within(screen.getByRole('list', { name: '2 pads on the card' })).getAllByRole('listitem');
  expect(rows.map((row) => row.textContent)).toEqual(['oliveTake it', 'dark brownTake it']);
  fireEvent.click(within(rows[0]!).getByRole('button', { name: 'Take olive for Claret' }));
  expect(taken).toEqual([hexOfLab(OLIVE as never)]);
  expect(screen.queryByRole('list')).toBeNull();
});
test('what cannot be measured is said, with what to do; nothing is taken', async () => {
  await open();
  await ask({ refused: { code: 'photo-no-card', params: {} }, pads: [] });
  expect(screen.getAllByText(/card/i).length).toBeGreaterThan(1);
  await ask(new Error('no picture'));
  expect(screen.getByText('This photograph could not be read.')).toBeInTheDocument();
  expect(taken).toHaveLength(1);
});
test('it can be stopped, and is stopped by leaving', async () => {
  const { unmount } = await open();
  await ask(null);
  expect(screen.getByText('Measuring, 40 %')).toBeInTheDocument();
  await act(async () => void fireEvent.click(screen.getByRole('button', { name: 'Stop' })));
  expect(screen.queryByText(/^Measuring/)).toBeNull();
  await ask(null);
  mockRun.stopped = false;
  unmount();
  expect(mockRun.stopped).toBe(true);
});
