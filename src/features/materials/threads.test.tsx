import { fireEvent, screen, within } from '@testing-library/react';
import { choose, DUN, laidOut, openScreen, unfold } from '../__tests__/screen';
import { ThreadsScreen } from './threads-screen';

const mockParams: { match?: string; dressing?: string } = {};
jest.mock('expo-router', () => ({
  ...jest.requireActual<object>('expo-router'),
  useLocalSearchParams: () => mockParams,
}));

const list = (name: string | RegExp) => within(screen.getByRole('list', { name })).getAllByRole('listitem');
const MATCH = DUN;

describe('the thread desk', () => {
  beforeEach(() => void (mockParams.match = MATCH));
  test('of a match’s fly: what its thread has to do, yours by whether they serve with why, and one tap ties it in another', async () => {
    const { store } = await openScreen(<ThreadsScreen />);
    await laidOut();
    expect(screen.getByRole('heading', { name: 'Olive nylon thread, 70 denier' })).toBeInTheDocument();
    expect(
      screen.getByText(/^from start to finish · \d+ turns come together at the head, \d+ have room$/),
    ).toBeVisible();
    const [first, second] = list('Yours for Olive nylon thread, 70 denier');
    expect(first!.textContent).toMatch(/^Olive nylon thread, 70 denierserves70 denier · about 8\/0 · 0\.12 mm round/);
    expect(within(first!).getByText('The card is tied in it.')).toBeVisible();
    expect(second!.textContent).toMatch(/serves with care.*another colour: CIEDE2000 \d+/);
    const name = within(second!).getByRole('button').getAttribute('aria-label')!.replace('Tie it in ', '');
    fireEvent.click(within(second!).getByRole('button'));
    await laidOut();
    const swaps = () => store.getState().records.entities.match[MATCH]!.answers[0]!.swaps;
    expect(Object.keys(swaps())).toEqual(['first-light-dun/thread-olive-70']);
    const taken = list('Yours for Olive nylon thread, 70 denier').find((row) => row.textContent!.startsWith(name))!;
    expect(within(taken).getByText('The card is tied in it.')).toBeVisible();
    // Back to the one that is written: nothing is left of the choice.
    fireEvent.click(screen.getByRole('button', { name: 'Tie it in Olive nylon thread, 70 denier' }));
    await laidOut();
    expect(swaps()).toEqual({});
  });
  test('another fly is judged by its own thread; none shows the threads alone', async () => {
    await openScreen(<ThreadsScreen />);
    await laidOut();
    choose('For which fly', /Pale riffle dun/);
    choose('For which fly', 'No fly');
    await laidOut();
    expect(screen.queryByText(/come together at the head/)).toBeNull();
    expect(list('Threads').length).toBeGreaterThan(2);
  });
  test('of a dressing alone on a maker-less hook: judged, and nothing to tie it in', async () => {
    mockParams.dressing = 'slipper-pupa';
    await openScreen(<ThreadsScreen />);
    await laidOut();
    delete mockParams.dressing;
    expect(screen.getByText(/^from start to finish · \d+ turns come together at the head/)).toBeVisible();
    expect(screen.queryByRole('button', { name: /^Tie it in/ })).toBeNull();
  });
  test('from what is sold too, where nothing that is had is named', async () => {
    await openScreen(<ThreadsScreen />);
    await laidOut();
    unfold('Of what is sold');
    await laidOut();
    expect(screen.getAllByText(/^serves/).length).toBeGreaterThan(6);
  });
});

describe('without a match or a stash', () => {
  beforeEach(() => void delete mockParams.match);
  test('every thread that is sold stands there, fine to thick', async () => {
    await openScreen(<ThreadsScreen />, 'clean');
    expect(screen.getByText(/With a match that has its fly/)).toBeVisible();
    const round = list('Threads').map((row) => Number(/([\d.]+) mm flat/.exec(row.textContent!)![1]));
    expect(round.length).toBeGreaterThan(10);
    expect(round).toEqual([...round].sort((a, b) => a - b));
  });
  test('a label is read for its fibre, with what is as thick in another; what is none is said beside it', async () => {
    await openScreen(<ThreadsScreen />, 'clean');
    const field = screen.getByLabelText('Label, as 8/0');
    expect(screen.getByText('Gel-spun as thick: about 60 denier · about 11/0')).toBeVisible();
    fireEvent.change(field, { target: { value: '15/0' } });
    choose('Fibre', 'Gel-spun');
    expect(screen.getByText(/^40 denier · about 15\/0 · 0\.09 mm round · .* · holds 1120–1400 g$/)).toBeVisible();
    fireEvent.change(field, { target: { value: '3' } });
    expect(screen.getByText('No such label is known in this fibre.')).toBeVisible();
    fireEvent.change(field, { target: { value: 'fine' } });
    expect(screen.getByText('A number, as 8 or 8/0.')).toBeVisible();
    expect(field).toHaveValue('fine');
  });
});
