import { act, fireEvent, screen, within } from '@testing-library/react';
import { MatchScreen } from '@/features/match-frame/screens';
import { change } from '@/state/__tests__/change';
import { choose, DUN, laidOut, openScreen } from '../__tests__/screen';
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
  fireEvent.click(within(drawer()).getByRole('button', { name: /^Fine rubber legs: / }));
  expect(within(drawer()).getByText('Of what is sold')).toBeInTheDocument();
  expect(within(drawer()).queryByText('Of what you have')).toBeNull();
  expect(within(drawer()).getByText(/^Barred rubber legs/)).toBeInTheDocument();
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

test('a match shows each region beside what is made of it, in words, judged as the fly rides', async () => {
  const { store } = await openScreen(<MatchScreen id={DUN} step="dressing" />);
  await laidOut();
  const strip = () => screen.getByRole('list', { name: 'Its colours beside yours' });
  const rows = within(strip()).getAllByRole('listitem');
  expect(rows.length).toBeGreaterThan(1);
  for (const row of rows)
    expect(row.textContent).toMatch(
      /^[A-Za-z ]+: (same|hard to tell|close|related|off)wanted .+, made .+; CIEDE2000 \d+/,
    );
  expect(screen.getByText('It stands on the water: the fish sees it dry.')).toBeInTheDocument();
  const dry = strip().textContent;
  fireEvent.click(within(screen.getByRole('radiogroup', { name: 'Judged' })).getByRole('radio', { name: 'Wet' }));
  expect(screen.getByText('Judged otherwise than this fly rides.')).toBeInTheDocument();
  expect(strip().textContent).not.toBe(dry);
  await act(async () => void store.dispatch(change('theme', (draft) => void (draft.device.this!.theme = 'red-lamp'))));
  expect(screen.queryByRole('list', { name: 'Its colours beside yours' })).toBeNull();
});

test('under a thin skin the thread is named that would bring it nearer, from what is had; where none does nothing is said', async () => {
  const { store } = await openScreen(<MatchScreen id="match_demo-auldry-spent" step="dressing" />);
  await laidOut();
  expect(screen.queryByText(/beneath it would read/)).toBeNull();
  const { sampleId } = store.getState().records.entities.match['match_demo-auldry-spent']!;
  const coloured = (hex: string) =>
    act(
      async () =>
        void store.dispatch(
          change('colour', (draft) => {
            for (const region of Object.keys(draft.sample[sampleId]!.colours))
              Object.assign(draft.sample[sampleId]!.colours, { [region]: hex });
          }),
        ),
    );
  const said: string[] = [];
  for (const hex of ['#a4803a', '#96632e', '#7a4a26', '#84502c', '#9c8a3c', '#b08d3a', '#6f3f24']) {
    await coloured(hex);
    await laidOut();
    said.push(...screen.queryAllByText(/beneath it would read/).map((line) => line.textContent!));
  }
  expect(said.length).toBeGreaterThan(0);
  for (const line of said)
    expect(line).toMatch(/^.+ beneath it would read .+ wet: (same|hard to tell|close|related)\.$/);
});
