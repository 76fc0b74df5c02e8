import { act, fireEvent, screen, within } from '@testing-library/react';
import { MatchScreen } from '@/features/match-frame/screens';
import type { Store } from '@/state';
import { DUN, choose, openScreen, unfold } from '../__tests__/screen';
import { change } from '@/state/__tests__/change';

async function open(id = DUN) {
  const opened = await openScreen(<MatchScreen id={id} step="hook" />);
  unfold('Nearest three of every maker', 'Rules and size on purpose');
  return opened;
}
const leading = (store: Store) => {
  const match = store.getState().records.entities.match[DUN]!;
  return match.answers.find((answer) => answer.id === match.leading)!;
};
const settings = (store: Store) => store.getState().records.entities.settings.main!;
const byMaker = () => screen.getAllByLabelText('The same as a table')[1]!;

test('the nearest three of every maker stand in a table with size, difference, chance and how far each holds', async () => {
  await open();
  const rows = within(byMaker()).getAllByRole('row');
  expect(rows[0]).toHaveTextContent('makersizeoffchance');
  expect(rows).toHaveLength(1 + 3 * 7);
  expect(within(byMaker()).getByLabelText(/^Osmere Lark 14/)).toHaveTextContent(
    /Lark.*holds 7\.6–9\.0 · 41 in the drawer/,
  );
  for (const maker of ['Ravelin', 'Osmere', 'Tholeby', 'Kyrewood', 'Bessock', 'Vantry', 'Reference'])
    expect(within(byMaker()).getAllByText(new RegExp(`^${maker} `))).toHaveLength(3);
  expect(within(byMaker()).getAllByText('V47').length).toBeGreaterThan(0);
});

test('hooks stand best first, few at once and none that is hardly likely; the rest is one tap away', async () => {
  await open();
  const listed = () => within(screen.getAllByLabelText('The same as a table')[0]!).getAllByRole('row').slice(1);
  expect(listed()).toHaveLength(8);
  fireEvent.click(screen.getByText(/^\d+ hooks more$/));
  expect(listed().length).toBeGreaterThan(8);
  const chances = listed().map((row) => Number(/(\d+)%$/.exec(row.textContent!)![1]));
  expect(Math.min(...chances.slice(5))).toBeGreaterThanOrEqual(5);
  fireEvent.click(screen.getByText('Fewer'));
  expect(listed()).toHaveLength(8);
});

test('the ladder says what it shows, with the hook that is nearest', async () => {
  await open();
  expect(
    screen.getByLabelText('7 hook models on one length axis in mm. Nearest to 8.1 mm: Bessock 13.'),
  ).toBeInTheDocument();
});

test('a row that is tapped shows that hook, its dimensions and its reasons', async () => {
  await open();
  fireEvent.click(within(byMaker()).getByLabelText(/^Osmere Lark 14/));
  expect(screen.getByText('Osmere Lark 14')).toBeInTheDocument();
  expect(screen.getByLabelText(/^shank: 7\.6 mm/)).toBeInTheDocument();
  expect(screen.getByText(/of a size long: carries/)).toBeInTheDocument();
});

test('a pinned hook leads, is said to be pinned, and comes loose again', async () => {
  const { store } = await open();
  fireEvent.click(within(byMaker()).getByLabelText(/^Osmere Lark 14/));
  fireEvent.click(screen.getByLabelText('Pin Osmere Lark 14'));
  expect(leading(store).hookId).toBe('osmere:lark:14');
  expect(screen.getByLabelText(/^Hook: Osmere Lark 14\..*pinned/)).toBeInTheDocument();
  fireEvent.click(screen.getByLabelText('Unpin Osmere Lark 14'));
  expect(leading(store).hookId).toBeNull();
  expect(screen.getByLabelText(/^Hook: Bessock Fine 13/)).toBeInTheDocument();
});

test('a rule of barbless water leaves only barbless hooks, and says whose rule it is', async () => {
  const { store } = await open();
  fireEvent.change(screen.getByLabelText('Barb rule of the water'), { target: { value: 'barbless' } });
  expect(settings(store).barbRule).toBe('barbless');
  expect(screen.getByText('your rule for this water, check it')).toBeInTheDocument();
  expect(within(byMaker()).queryByText(/^Osmere/)).toBeNull();
  expect(within(byMaker()).getAllByText(/^Tholeby/)).toHaveLength(3);
});

test('one up asks for a longer hook', async () => {
  const { store } = await open();
  const before = screen.getByLabelText(/Nearest to/).getAttribute('aria-label');
  fireEvent.click(screen.getByText('one up'));
  expect(leading(store).offset).toEqual({ sizes: 1, intent: 'bigger' });
  expect(screen.getByLabelText(/Nearest to/).getAttribute('aria-label')).not.toBe(before);
});

test('a size two up keeps the reason that is given for it', async () => {
  const { store } = await open();
  fireEvent.click(screen.getByText('two up'));
  choose('Why', 'Different after refusal');
  expect(leading(store).offset).toEqual({ sizes: 2, intent: 'different-after-refusal' });
});

test('nothing smaller than is worth tying, only what is owned, the eye as it looks: each changes the answer', async () => {
  const { store } = await open('match_demo-ellanmere-pupa');
  const first = () => within(byMaker()).getAllByRole('row')[1]!.textContent;
  const before = first();
  fireEvent.click(screen.getByText('Only what I own'));
  expect(
    within(byMaker())
      .getAllByRole('row')
      .slice(1)
      .every((row) => /in the drawer/.test(row.textContent!)),
  ).toBe(true);
  fireEvent.click(screen.getByText('Only what I own'));
  expect(first()).toBe(before);
  fireEvent.change(screen.getByLabelText('Smallest size worth tying'), { target: { value: '16' } });
  expect(settings(store).smallest).toBe(16);
  expect(first()).not.toBe(before);
});

test('a model of which only labels are known says how many hooks to tape', async () => {
  await open();
  fireEvent.click(within(byMaker()).getAllByLabelText(/^Bessock Fine Wet/)[0]!);
  expect(
    screen.getByText(
      /^(Tape (one hook|\d hooks) of this (packet|model) \(.*\) and the size is settled at \d+ %\.|Taping its hooks would not settle the size \(at most \d+ %\)\. (One more insect like these would|\d+ more insects like these would|Nor would thirty more insects))/,
    ),
  ).toBeInTheDocument();
});

test('a dressing whose size goes by the water says so, and takes that size with one tap', async () => {
  const { store } = await open();
  act(
    () =>
      void store.dispatch(
        change('pin-dressing', (draft) => {
          const match = draft.match[DUN]!;
          draft.sample[match.sampleId]!.water = 'fast';
          match.answers.find((answer) => answer.id === match.leading)!.dressingId = 'ellanmere-long-dun';
        }),
      ),
  );
  const target = screen.getByLabelText(/Nearest to/).getAttribute('aria-label');
  expect(screen.getByText('in fast water it is tied 1 size larger')).toBeInTheDocument();
  fireEvent.click(screen.getByText('Tie it one size larger'));
  expect(leading(store).offset).toEqual({ sizes: 1, intent: 'bigger' });
  expect(screen.getByLabelText(/Nearest to/).getAttribute('aria-label')).not.toBe(target);
  expect(screen.queryByText('Tie it one size larger')).toBeNull();
});

test('only some kinds of hook can be looked at: the answer itself stays, and all come back', async () => {
  await open();
  const closed = screen.getByLabelText(/^Hook: /).getAttribute('aria-label');
  fireEvent.click(screen.getByText('Filter'));
  fireEvent.click(within(screen.getByRole('radiogroup', { name: 'Bend' })).getByText('Jig'));
  expect(within(byMaker()).queryByLabelText(/^Bessock Fine 13/)).toBeNull();
  expect(screen.getByText('Shown: jig. The answer and the card keep to every hook.')).toBeInTheDocument();
  expect(screen.getByLabelText(/^Hook: /)).toHaveAttribute('aria-label', closed);
  fireEvent.click(within(screen.getByRole('radiogroup', { name: 'Eye' })).getByText('Up'));
  expect(screen.getByText('No hook is left.')).toBeInTheDocument();
  fireEvent.click(screen.getByText('Show all'));
  expect(within(byMaker()).getByLabelText(/^Bessock Fine 13/)).toBeInTheDocument();
});

test('the ladder says how many more insects would settle the first hook', async () => {
  await open();
  expect(
    screen.getByText(/^Bessock Fine 13: (one more insect|\d+ more insects) measured and the size is settled\.$/),
  ).toBeInTheDocument();
});

test('every model can be laid on the ladder', async () => {
  await open();
  fireEvent.click(screen.getByText(/^Every model \(\d+\)$/));
  expect(
    Number(/^(\d+) hook models/.exec(screen.getByLabelText(/Nearest to/).getAttribute('aria-label')!)![1]),
  ).toBeGreaterThan(20);
});

test('how far the answer holds is said in lengths and neighbours', async () => {
  await open();
  expect(screen.getByText(/^Bessock 13 from \d\.\d mm to \d\.\d mm; below that 14, above it 12$/)).toBeInTheDocument();
});

test('a natural that waits offers the missing input in place of hooks', async () => {
  await openScreen(<MatchScreen id="match_demo-waiting" step="hook" />);
  expect(screen.queryByLabelText('The same as a table')).toBeNull();
  expect(screen.getByText('Give a length')).toBeInTheDocument();
});
