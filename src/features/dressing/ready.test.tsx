import { act, fireEvent, screen, within } from '@testing-library/react';
import { MatchScreen } from '@/features/match-frame/screens';
import { undone } from '@/state';
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
  // No thread makes it blue.
  await coloured('#1030d0');
  await laidOut();
  expect(screen.queryByText(/beneath it would read/)).toBeNull();
  const said: string[] = [];
  const laid: string[] = [];
  const swapped = () => store.getState().records.entities.match['match_demo-auldry-spent']!.answers[0]!.swaps;
  for (const hex of ['#a4803a', '#96632e', '#7a4a26', '#84502c', '#9c8a3c', '#b08d3a', '#6f3f24']) {
    await coloured(hex);
    await laidOut();
    const lines = screen.queryAllByText(/beneath it would read/);
    said.push(...lines.map((line) => line.textContent!));
    if (lines.length === 0) continue;
    // One tap lays it under, and it is then no longer advised; taken back it is advised again.
    const [button] = screen.getAllByRole('button', { name: /^Lay .+ under$/ });
    const thread = /^Lay (.+) under$/.exec(button!.getAttribute('aria-label')!)![1]!;
    fireEvent.click(button!);
    await laidOut();
    laid.push(...Object.values(swapped()));
    expect(screen.queryByRole('button', { name: `Lay ${thread} under` })).toBeNull();
    expect(screen.getByRole('button', { name: new RegExp(`^${thread}: .*as you chose`) })).toBeInTheDocument();
    await act(async () => void store.dispatch(undone()));
    expect(swapped()).toEqual({});
  }
  expect(laid.length).toBeGreaterThan(0);
  for (const line of said)
    expect(line).toMatch(/^.+ beneath it would read .+ wet: (same|hard to tell|close|related)\.$/);
});

test('a material is tied in another by one tap, on the card too; what may not stand in is refused, and it is taken back', async () => {
  const { store } = await openScreen(<MatchScreen id={DUN} step="bench" />);
  await laidOut();
  fireEvent.click(screen.getByRole('button', { name: /^What it is tied in: \d+ materials/ }));
  fireEvent.click(screen.getByRole('button', { name: /^Stiff cock hackle, grey: hackle · you have it/ }));
  expect(screen.getByText(/^Not Stiff cock fibres, grey: /)).toBeInTheDocument();
  const [take] = screen.getAllByRole('button', { name: /^Tie it in / });
  const other = take!.getAttribute('aria-label')!.replace('Tie it in ', '');
  fireEvent.click(take!);
  await laidOut();
  const swaps = () => store.getState().records.entities.match[DUN]!.answers[0]!.swaps;
  expect(Object.keys(swaps())).toEqual(['first-light-dun/cock-hackle-grey']);
  expect(screen.getAllByText(new RegExp(`${other} · 1.5 × gape`)).length).toBeGreaterThan(0);
  fireEvent.click(screen.getByRole('button', { name: /no longer chosen by hand$/ }));
  await laidOut();
  expect(swaps()).toEqual({});
  expect(screen.getByText(/Stiff cock hackle, grey · 1.5 × gape/)).toBeInTheDocument();
});

test('a material of which a shade of yours was taken can be kept as it is written', async () => {
  const { store } = await openScreen(<MatchScreen id={DUN} step="dressing" />);
  await laidOut();
  fireEvent.click(screen.getByRole('button', { name: /abdomen, thorax · your shade of Fine water-shedding fur$/ }));
  fireEvent.click(screen.getByRole('button', { name: 'Tie it in Fine water-shedding fur' }));
  await laidOut();
  expect(store.getState().records.entities.match[DUN]!.answers[0]!.swaps).toEqual({
    'first-light-dun/fine-fur': 'fine-fur',
  });
  expect(screen.getByRole('button', { name: /as it is written, as you chose$/ })).toBeInTheDocument();
});

test('on the card the colours are a line in words until they are opened', async () => {
  await openScreen(<MatchScreen id={DUN} step="bench" />);
  await laidOut();
  fireEvent.click(screen.getByRole('button', { name: /^Its colours beside yours: abdomen: \w+/ }));
  expect(
    within(screen.getByRole('list', { name: 'Its colours beside yours' })).getAllByRole('listitem').length,
  ).toBeGreaterThan(1);
});

test('hooks and tools count: which hook of the drawer carries it, and how to do without a tool that is not there', async () => {
  const { store } = await openScreen(<DressingScreen id="first-light-dun" />);
  expect(within(drawer()).getByText('A hook that carries it').nextSibling).toHaveTextContent(/^your \w+ .+ \d+$/);
  expect(within(drawer()).queryByText('Whip finisher')).toBeNull();
  await act(
    async () =>
      void store.dispatch(
        change('tools', (draft) => {
          draft.settings.main!.tools = ['bobbin', 'scissors'];
          for (const packet of Object.values(draft.packet)) packet.tally.count = 0;
        }),
      ),
  );
  expect(within(drawer()).getByText('Fine scissors').nextSibling).toHaveTextContent('you have it');
  expect(within(drawer()).getByText('Whip finisher').nextSibling).toHaveTextContent('not there; a pen tip; fingers');
  expect(within(drawer()).getByText(/^none of yours is made for it/)).toBeInTheDocument();
});

test('a card without its hook is short of it, and says which', async () => {
  const { store } = await openScreen(<MatchScreen id={DUN} step="bench" />);
  await act(
    async () =>
      void store.dispatch(
        change('packets', (draft) => {
          for (const packet of Object.values(draft.packet)) packet.tally.count = 0;
        }),
      ),
  );
  await laidOut();
  fireEvent.click(screen.getByRole('button', { name: /^What it is tied in: .* short of something$/ }));
  expect(screen.getByText(/^you have no \w+ .+ \d+$/)).toBeInTheDocument();
});

test('the dressing that the card is of says what the card says', async () => {
  await openScreen(<MatchScreen id="match_demo-staith-case" step="dressing" />);
  await laidOut();
  expect(screen.getAllByText(/^(ready to tie|short of something|ready with substitutes)$/)[0]).toHaveTextContent(
    'short of something',
  );
});
