import { fireEvent, screen, within } from '@testing-library/react';
import { MatchScreen } from '@/features/match-frame';
import { DUN, openScreen } from '../__tests__/screen';
import { DressingScreen } from './dressing-screen';
import { DressingsScreen } from './dressings-screen';

const open = () => openScreen(<MatchScreen id={DUN} step="dressing" />);

test('the first dressing stands with its reasons, and others beside it', async () => {
  await open();
  expect(screen.getByRole('heading', { level: 2, name: 'First-light upright dun' })).toBeInTheDocument();
  expect(screen.getAllByText(/^\+ made for mayfly dun/).length).toBeGreaterThan(0);
  expect(screen.getByRole('heading', { level: 3, name: 'First-light post dun' })).toBeInTheDocument();
  expect(screen.getAllByText(/^– /).length).toBeGreaterThan(0);
});

test('another dressing is pinned and the hook is asked again for its style', async () => {
  const { store } = await open();
  fireEvent.click(screen.getByRole('button', { name: 'Pin First-light post dun' }));
  expect(store.getState().records.entities.match[DUN]!.answers[0]!.dressingId).toBe('first-light-post-dun');
  expect(screen.getByRole('button', { name: /^Dressing: First-light post dun/ })).toBeInTheDocument();
  fireEvent.click(screen.getByRole('button', { name: 'Unpin First-light post dun' }));
  expect(screen.getByRole('button', { name: /^Dressing: First-light upright dun/ })).toBeInTheDocument();
});

test('the plate is there as a table: the natural, the fly and every part', async () => {
  await open();
  expect(screen.queryByRole('table')).toBeNull();
  fireEvent.click(screen.getByRole('button', { name: 'The plate as a table' }));
  const table = screen.getByRole('table', { name: 'Natural and fly, part by part' });
  expect(within(table).getByText('natural, body')).toBeInTheDocument();
  for (const part of ['tail', 'abdomen', 'wing', 'hackle']) expect(within(table).getByText(part)).toBeInTheDocument();
  expect(within(table).getByRole('button', { name: /^natural, body: 8\.1 mm/ })).toBeInTheDocument();
  fireEvent.click(screen.getByRole('button', { name: 'Hide the table' }));
  expect(screen.queryByRole('table')).toBeNull();
});

test('dry and wet is one switch', async () => {
  await open();
  const plate = within(screen.getByRole('radiogroup', { name: 'Colours are' }));
  expect(plate.getByRole('radio', { name: 'Dry' })).toBeChecked();
  fireEvent.click(plate.getByRole('radio', { name: 'Wet' }));
  expect(plate.getByRole('radio', { name: 'Wet' })).toBeChecked();
});

test('the library lists every dressing once, by order, with a way to each', async () => {
  await openScreen(<DressingsScreen />);
  expect(screen.getByText('30 dressings')).toBeInTheDocument();
  expect(screen.getAllByRole('link')).toHaveLength(30);
  expect(screen.getAllByRole('heading', { level: 2 }).map((heading) => heading.textContent).slice(0, 4)).toEqual(['Mayfly', 'Caddis', 'Stonefly', 'Midge']);
  expect(screen.getByRole('link', { name: /First-light upright dun/ })).toHaveAttribute('href', '/dressings/first-light-dun');
});

test('a dressing shows what it is for, what it rests on, its parts and its order of work', async () => {
  await openScreen(<DressingScreen id="first-light-dun" />);
  expect(screen.getByRole('heading', { level: 1, name: 'First-light upright dun' })).toBeInTheDocument();
  expect(screen.getByText('tail butts cut at body length')).toBeInTheDocument();
  expect(screen.getByRole('link', { name: '← Dressings' })).toHaveAttribute('href', '/dressings');
  expect(within(screen.getByRole('table')).getAllByRole('row').length).toBeGreaterThanOrEqual(5);
  expect(screen.getAllByRole('listitem')).toHaveLength(16);
  expect(screen.getAllByText(/Local rules and licensed practice come first\.$/).length).toBeGreaterThan(0);
});

test('a dressing that is not there says so and offers the list', async () => {
  await openScreen(<DressingScreen id="nothing" />);
  expect(screen.getByRole('heading', { level: 1, name: 'Not here' })).toBeInTheDocument();
  expect(screen.getByRole('link', { name: 'See the list' })).toHaveAttribute('href', '/dressings');
});
