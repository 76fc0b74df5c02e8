import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { leftInPacket } from '@/records';
import { opened, saved } from '../__tests__/files';
import { openScreen, pressReady } from '../__tests__/screen';
import { PacketsScreen } from './packets-screen';

jest.mock('@/features/files', () => jest.requireActual('../__tests__/files'));
jest.mock('@/workers', () => jest.requireActual('../__tests__/backup-jobs'));

const FILE =
  'maker;model;size;count;low;label;note\nOsmere;Lark;14;7;5;;by the window\nOsmere;Lark;40;30;;;\nSomebody;Else;9;4;;;\nOsmere;;14;1;;;\nOsmere;Lark;14;few;;;\n';

test('a file of packets is reported first, then counted again and added; it can be undone', async () => {
  const { store } = await openScreen(<PacketsScreen />, 'demo');
  const packets = () => Object.values(store.getState().records.entities.packet);
  const before = packets().length;
  opened.text = FILE;
  fireEvent.click(screen.getByText('Read packets from a file'));
  await waitFor(() => expect(screen.getByText('3 good rows of 5')).toBeInTheDocument());
  expect(
    screen.getByText(/^2 are of hooks the catalogue does not hold yet \(osmere lark 40, somebody else 9\)/),
  ).toBeInTheDocument();
  expect(screen.getAllByText(/^Line (5|6): /)).toHaveLength(2);
  expect(
    within(await screen.findByRole('group', { name: 'What it would do' })).getByText(/^Osmere Lark 14: /),
  ).toBeInTheDocument();
  expect(packets()).toHaveLength(before);
  await pressReady('Take 3 packets');
  expect(screen.getByText('3 packets taken in. Undo takes it back.')).toBeInTheDocument();
  const lark = packets().find((packet) => packet.hookId === 'osmere:lark:14' && packet.label === '')!;
  expect([leftInPacket(lark), lark.low, lark.note]).toEqual([7, 5, 'by the window']);
  expect(store.getState().records.past.map((item) => item.label)).toEqual(['packets-in']);
});

test('the drawer goes out as a file and comes back with nothing changed', async () => {
  const { store } = await openScreen(<PacketsScreen />, 'demo');
  saved.length = 0;
  fireEvent.click(screen.getByText('Write to a file'));
  opened.text = saved[0]!.text;
  fireEvent.click(screen.getByText('Read packets from a file'));
  await waitFor(() => expect(screen.getByText(/good rows of/)).toBeInTheDocument());
  expect(await screen.findByText('It changes nothing: all of it is here already.')).toBeInTheDocument();
  await pressReady(/^Take \d+ packets$/);
  expect(store.getState().records.past).toEqual([]);
});

test('a file that is none says so, and one that lacks columns asks for them; nothing is taken', async () => {
  const { store } = await openScreen(<PacketsScreen />, 'demo');
  const { entities } = store.getState().records;
  opened.text = 'a letter to a friend';
  fireEvent.click(screen.getByText('Read packets from a file'));
  await waitFor(() => expect(screen.getByText(/^Not taken: this is not a table/)).toBeInTheDocument());
  opened.text = 'maker,colour of the packet\nosmere,red\n';
  fireEvent.click(screen.getByText('Read packets from a file'));
  await waitFor(() => expect(screen.getByText('What its rows are')).toBeInTheDocument());
  fireEvent.change(screen.getByRole('combobox', { name: 'What its rows are' }), { target: { value: 'packets' } });
  await waitFor(() => expect(screen.getByText('Still needed: Model, Size on the packet')).toBeInTheDocument());
  expect(store.getState().records.entities).toBe(entities);
});
