import { act, fireEvent, screen } from '@testing-library/react';
import { zipSync, strToU8 } from 'fflate';
import { sampleSchema } from '@/records';
import { SHEET_IDS, mapOf, readFile, type ArchiveRead, type OwnRow, type TableLooked } from '@/records/sheets';
import { TABLE_NAMES } from '@/records/backup';
import { createI18n } from '@/speech';
import { undone } from '@/state';
import { change } from '@/state/__tests__/change';
import { opened, saved } from '../__tests__/files';
import { choose, openScreen, pressReady, unfold } from '../__tests__/screen';
import { OWN_COLUMNS } from './mapper';
import { FileReader, WriteOut } from './screens';

jest.mock('@/features/files', () => {
  const files = jest.requireActual<typeof import('../__tests__/files')>('../__tests__/files');
  return { ...files, chooseFile: () => Promise.resolve(chosen.file ?? files.chooseFile()) };
});
jest.mock('@/workers', () => jest.requireActual('../__tests__/backup-jobs'));

const chosen: { file: File | null } = { file: null };
const DWC = 'http://rs.tdwg.org/dwc/terms/';
const ARCHIVE = zipSync({
  'meta.xml': strToU8(
    `<archive><core fieldsTerminatedBy="," rowType="${DWC}Occurrence"><files><location>o.csv</location></files><id index="0"/><field index="1" term="${DWC}eventDate"/><field index="2" term="${DWC}recordedBy"/><field index="3" term="${DWC}occurrenceStatus"/></core><extension fieldsTerminatedBy="," rowType="x/Multimedia"><files><location>p.csv</location></files><coreid index="0"/></extension></archive>`,
  ),
  'o.csv': strToU8('1,2033-05-24,a tier,present\n2,soon,,\n3,2033-05-24,,absent\n'),
  'p.csv': strToU8('1,x\n'),
});

async function read(text: string | Uint8Array<ArrayBuffer>): Promise<void> {
  opened.text = typeof text === 'string' ? text : null;
  chosen.file = typeof text === 'string' ? null : new File([text], 'archive.zip');
  fireEvent.click(screen.getByText(/^(Read it|Another file)$/));
  await act(async () => undefined);
  await screen.findByText(/^(Another file|Read it)$/);
}
const reader = () => openScreen(<FileReader label="Read it" />, 'clean');

beforeEach(() => {
  saved.length = 0;
  chosen.file = null;
});

test('a table of samples of another is told of, then taken as one change that undo takes back', async () => {
  const { store } = await reader();
  await read('Date,River,Length (in),Weather\n24/5/2033 4:50,Fenbeck,0.33,rain\nsoon,Fenbeck,,\n');
  expect(screen.getByText('1 good row of 2')).toBeInTheDocument();
  expect(screen.getByText('Not read from it: Weather.')).toBeInTheDocument();
  expect(await screen.findByText('Fenbeck · 24 May 2033, 04:50')).toBeInTheDocument();
  expect(screen.getByText(/^Line 3: Date soon is not a day/)).toBeInTheDocument();
  fireEvent.click(screen.getByText('Bad rows as a file to mend'));
  expect(saved[0]!.text).toMatch(
    /^Date,River,Length \(in\),Weather,problem\r\nsoon,Fenbeck,,,"?Date soon is not a day/,
  );
  expect(store.getState().records.entities.sample).toEqual({});
  await pressReady('Take 1 sample');
  expect(screen.getByText('1 sample taken in. Undo takes it back.')).toBeInTheDocument();
  expect(Object.values(store.getState().records.entities.sample)[0]!.specimens[0]!.body.mm).toBeCloseTo(8.382);
  expect(store.getState().records.past.map(({ label }) => label)).toEqual(['table-in']);
  await act(async () => void store.dispatch(undone()));
  expect(store.getState().records.entities.sample).toEqual({});
});

test('which number of a day is the day can be said otherwise, and is read anew', async () => {
  const { store } = await reader();
  await read('when,place\n5/6/2033,Fenbeck\n');
  expect(await screen.findByText('Fenbeck · 5 Jun 2033, 12:00')).toBeInTheDocument();
  fireEvent.click(screen.getByText('Match columns and units'));
  fireEvent.click(screen.getByRole('radio', { name: '5 is the month' }));
  await act(async () => void fireEvent.click(screen.getByText('Read it so')));
  expect(await screen.findByText('Fenbeck · 6 May 2033, 12:00')).toBeInTheDocument();
  fireEvent.click(screen.getByText('Leave it'));
  expect(store.getState().records.entities.sample).toEqual({});
  expect(screen.getByText('Read it')).toBeInTheDocument();
});

test('answers whose samples are not here are counted before they are left out', async () => {
  await reader();
  await read('match,sample,answer,stage\nm,lost,a,mayfly/dun\n');
  expect(screen.getByText(/^1 answer is of a sample that is not here/)).toBeInTheDocument();
});

test('an archive says what it keeps as it came, what it leaves out and what it does not read', async () => {
  const { store } = await reader();
  await read(ARCHIVE as Uint8Array<ArrayBuffer>);
  expect(screen.getByText('1 good row of 3')).toBeInTheDocument();
  for (const line of [
    'Kept as it came, with how many rows say it: recordedBy (1).',
    '1 row says that nothing was there: left out.',
    '1 row of Multimedia is not read.',
    /^Line 2: eventDate soon is not a day/,
  ])
    expect(screen.getByText(line)).toBeInTheDocument();
  await screen.findByRole('group', { name: 'What it would do' });
  await pressReady('Take 1 sample');
  expect(store.getState().records.entities.sample['1']!.extra).toEqual({ [`${DWC}recordedBy`]: 'a tier' });
});

test('what is refused says why beside the button', async () => {
  await reader();
  await read('Dear friend\nnothing rose\n');
  expect(screen.getByText(/^Not taken: this is not a table/)).toBeInTheDocument();
});

describe('one collection into a file', () => {
  async function written() {
    const { store } = await openScreen(<WriteOut />, 'clean');
    await act(
      async () =>
        void store.dispatch(
          change('s', (draft) => {
            draft.sample.s = sampleSchema.cast({ when: '2033-05-24T04:50', place: 'Fenbeck, below the weir' });
          }),
        ),
    );
    const press = async () => {
      await act(async () => void fireEvent.click(screen.getByText('Write the file')));
      return saved.at(-1)! as unknown as { name: string; text: Uint8Array };
    };
    return { press };
  }
  test('without anything of one’s own there is nothing to write', async () => {
    await openScreen(<WriteOut />);
    expect(screen.getByText(/^What you note can be written here/)).toBeInTheDocument();
  });
  test('as a table, as JSON, or as an archive with places in general, or as they were noted when asked: each is read back', async () => {
    const { press } = await written();
    const table = await press();
    expect(table.name).toBe('aubade-samples.csv');
    expect(screen.getByText('aubade-samples.csv written: 1 row.')).toBeInTheDocument();
    expect(readFile(table.text) as TableLooked).toMatchObject({ sheet: 'samples', read: { good: 1 } });
    choose('As', 'JSON');
    expect(readFile((await press()).text)).toMatchObject({ what: 'backup' });
    choose('As', 'Darwin Core archive');
    const place = (bytes: Uint8Array) =>
      ((readFile(bytes) as ArchiveRead).input as { rows: readonly OwnRow[] }).rows[0]!.cells.place;
    expect(place((await press()).text)).toBe('Fenbeck');
    fireEvent.click(screen.getByText('Places as they were noted'));
    expect(place((await press()).text)).toBe('Fenbeck, below the weir');
  });
});

test('every collection and every column of one has a name', () => {
  const instance = createI18n();
  const has = (key: string) => instance.exists(`ui.tables.${key}`);
  expect([...SHEET_IDS, ...TABLE_NAMES].filter((id) => !has(`name.${id}`))).toEqual([]);
  const shown = SHEET_IDS.flatMap((sheet) => mapOf(sheet).map(({ name }) => name));
  expect([...new Set(shown)].filter((name) => !has(`column.${name}`) && !OWN_COLUMNS.has(name))).toEqual([]);
});

test('a table that is pasted is read like a file: told of first, and what cannot be read stays to be mended', async () => {
  const { store } = await openScreen(<FileReader label="Read it" prefer="stash" pastes />, 'clean');
  unfold('Paste a table');
  const paste = async (text: string) => {
    fireEvent.change(screen.getByLabelText('The table as text'), { target: { value: text } });
    const buttons = screen.getAllByRole('button', { name: 'Read it' });
    await act(async () => void fireEvent.click(buttons.at(-1)!));
  };
  await paste('[[[[');
  expect(await screen.findByText(/^Not taken: /)).toBeInTheDocument();
  unfold('Paste a table');
  expect(screen.getByLabelText('The table as text')).toHaveValue('[[[[');
  await paste('material\tamount\nPeacock herl\t20\nCDC plume\t\n');
  const [take] = await screen.findAllByRole('button', { name: /^Take/ });
  await pressReady(take!.textContent!);
  expect(Object.keys(store.getState().records.entities.stash).length).toBeGreaterThan(0);
  expect(store.getState().records.past).toHaveLength(1);
});
