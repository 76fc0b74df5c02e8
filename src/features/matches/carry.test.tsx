import { act, fireEvent, screen } from '@testing-library/react';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readAnyBackup } from '@/records/backup';
import { readPicture, undone } from '@/state';
import { restore } from '@/features/backup/screens';
import * as Files from '@/features/files';
import { openScreen, pressReady } from '../__tests__/screen';
import { WriteMatch } from './index';
import { MatchesScreen } from './screens';

jest.mock('@/features/files');
jest.mock('@/workers', () => jest.requireActual('../__tests__/backup-jobs'));
const files = Files as jest.Mocked<typeof Files>;
const EXAMPLE = readFileSync(join(__dirname, '../../../docs/formats/examples/bundle.json'), 'utf8');

const choose = async () => {
  fireEvent.click(await screen.findByText(/^(Read a match from a file|Another file)$/));
  await act(async () => undefined);
};

async function read(text: string) {
  const opened = await openScreen(<MatchesScreen />, 'clean');
  files.chooseFile.mockResolvedValue(new File([text], 'chosen'));
  await choose();
  return opened.store;
}

test('a file says what it holds before it is taken in, and undo takes it out again', async () => {
  const store = await read(EXAMPLE);
  expect(await screen.findByText('1 match, 1 sample, 1 photograph')).toBeInTheDocument();
  expect(await screen.findByText('3 new:')).toBeInTheDocument();
  expect(screen.getAllByText('Olive by the alders')).not.toHaveLength(0);
  expect(store.getState().records.entities.match).toEqual({});
  await pressReady('Take it in');
  await screen.findByText(/^Taken in and joined/);
  expect(store.getState().records.entities.match.match_example).toBeDefined();
  expect(await readPicture(store.ports, 'photo_example')).toMatch(/^data:image/);
  await act(async () => void store.dispatch(undone()));
  expect(store.getState().records.entities.match).toEqual({});
});

test('one that is here already changes nothing, and says so', async () => {
  const store = await read(EXAMPLE);
  await screen.findByText('3 new:');
  await pressReady('Take it in');
  await screen.findByText(/^Taken in and joined/);
  const { entities } = store.getState().records;
  await choose();
  expect(await screen.findByText('It changes nothing: all of it is here already.')).toBeInTheDocument();
  fireEvent.click(screen.getByText('Leave it'));
  expect(screen.queryByText(/^It changes nothing/)).toBeNull();
  expect(store.getState().records.entities).toEqual(entities);
});

test('a file that is none of ours says so beside the button', async () => {
  await read('{"aubade":"field-card","version":1,"items":[]}');
  expect(
    await screen.findByText(/^Not taken: it is a file of ours, field-card, that is not read here/),
  ).toBeInTheDocument();
});

test('a match is written under its name, and is read back the same', async () => {
  const opened = await openScreen(<WriteMatch matchId="match_example" />, 'clean');
  const read = readAnyBackup(Buffer.from(EXAMPLE));
  await act(async () => read.ok && (await restore(opened.store, new Blob(), read.backup, 'merge')));
  await act(async () => void fireEvent.click(screen.getByText('Write this match to a file')));
  expect(files.saveFile).toHaveBeenCalledWith('aubade-olive-by-the-alders.json', EXAMPLE);
});
