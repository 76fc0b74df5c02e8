import { fireEvent, screen, within } from '@testing-library/react';
import { choose, laidOut, openScreen } from '../__tests__/screen';
import { DressingScreen } from './dressing-screen';
import { DressingsScreen } from './dressings-screen';

jest.mock('@/features/files', () => jest.requireActual('../__tests__/files'));
const drawer = () => screen.getByRole('heading', { name: 'From your drawer' }).parentElement!;

test('a dressing says of each material whether it is had, in which shade, or what stands in', async () => {
  await openScreen(<DressingScreen id="first-light-dun" />);
  const lines = drawer();
  expect(within(lines).getAllByText('you have it').length).toBeGreaterThan(1);
  expect(within(lines).getByText(/^yours is .+/)).toBeInTheDocument();
  expect(within(lines).queryByText(/nothing of yours/)).toBeNull();
});
test('what is short is said, and what stands in by its name', async () => {
  await openScreen(<DressingScreen id="flat-stone-nymph" />);
  expect(within(drawer()).getByText('not there, and nothing of yours does its work')).toBeInTheDocument();
});
test('until a stash is begun nothing is claimed, and the way there is shown', async () => {
  await openScreen(<DressingScreen id="first-light-dun" />, 'clean');
  expect(within(drawer()).getByText(/not known until/)).toBeInTheDocument();
  expect(within(drawer()).getByRole('link', { name: 'Say what you have' })).toHaveAttribute(
    'href',
    '/drawer/materials',
  );
});
test('the library says it of each, and shows those alone that can be tied', async () => {
  await openScreen(<DressingsScreen />);
  choose('Natural', /Stonefly/);
  await laidOut();
  const short = screen.getAllByText('short of something').length;
  const all = screen.getAllByRole('listitem').length;
  expect(short).toBeGreaterThan(0);
  fireEvent.click(screen.getByText('Filter'));
  fireEvent.click(screen.getByText('Only what I can tie'));
  await laidOut();
  expect(screen.queryByText('short of something')).toBeNull();
  expect(screen.queryAllByRole('listitem')).toHaveLength(all - short);
});
test('without a stash the library says nothing of it', async () => {
  await openScreen(<DressingsScreen />, 'clean');
  expect(screen.queryByText(/ready to tie|short of something/)).toBeNull();
  fireEvent.click(screen.getByText('Filter'));
  expect(screen.queryByText('Only what I can tie')).toBeNull();
});
