import { act, fireEvent, screen } from '@testing-library/react';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readBundle } from '@/records';
import { readPicture, takeBundle, undone } from '@/state';
import * as Files from '@/features/files';
import { openScreen } from '../__tests__/screen';
import { WriteMatch } from './index';
import { MatchesScreen } from './screens';

jest.mock('@/features/files');
const files = Files as jest.Mocked<typeof Files>;
const EXAMPLE = readFileSync(join(__dirname, '../../../docs/formats/examples/bundle.json'), 'utf8');

async function read(text: string | null) {
  const opened = await openScreen(<MatchesScreen />, 'clean');
  files.openText.mockResolvedValue(text);
  await act(async () => void fireEvent.click(screen.getByText('Read a match from a file')));
  return opened.store;
}

test('a file says what it holds before it is taken in, and undo takes it out again', async () => {
  const store = await read(EXAMPLE);
  expect(screen.getByText('Olive by the alders: 1 insect measured, 1 photograph')).toBeInTheDocument();
  expect(screen.getByText('3 new:')).toBeInTheDocument();
  expect(store.getState().records.entities.match).toEqual({});
  await act(async () => void fireEvent.click(screen.getByText('Take it in')));
  expect(store.getState().records.entities.match.match_example).toBeDefined();
  expect(await readPicture(store.ports, 'photo_example')).toMatch(/^data:image/);
  await act(async () => void store.dispatch(undone()));
  expect(store.getState().records.entities.match).toEqual({});
});

test('one that is here already says that both will be joined', async () => {
  await read(EXAMPLE);
  await act(async () => void fireEvent.click(screen.getByText('Take it in')));
  await act(async () => void fireEvent.click(screen.getByText('Read a match from a file')));
  expect(screen.getByText(/^It is here already/)).toBeInTheDocument();
  expect(screen.getByText('It changes nothing: all of it is here already.')).toBeInTheDocument();
  fireEvent.click(screen.getByText('Leave it'));
  expect(screen.queryByText(/^It is here already/)).toBeNull();
});

test('a file that is none of ours says so beside the button', async () => {
  await read('{"aubade":"hooks","version":1,"items":[]}');
  expect(screen.getByText('this is not a match that was written to a file here')).toBeInTheDocument();
});

test('a match is written under its name, and is read back the same', async () => {
  const opened = await openScreen(<WriteMatch matchId="match_example" />, 'clean');
  const file = readBundle(EXAMPLE);
  await act(async () => file.ok && (await takeBundle(opened.store, file.bundle)));
  await act(async () => void fireEvent.click(screen.getByText('Write this match to a file')));
  expect(files.saveFile).toHaveBeenCalledWith('aubade-olive-by-the-alders.json', EXAMPLE);
});
