import { act, fireEvent, screen, within } from '@testing-library/react';
import { act as does } from '@/state';
import { endOuting, heldOf, setWater } from '@/records';
import { MatchScreen } from '@/features/match-frame/screens';
import { NowScreen } from '@/features/now/now-screen';
import { choose, DUN, laidOut, openScreen, unfold, type Opened } from '../__tests__/screen';
import { went } from '../__tests__/router';
import { OutingScreen, OutingsScreen } from './screens';

const outings = ({ store }: Opened) => store.getState().records.entities.outing;
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));

/** An outing in the demo valley that goes on, with two flies tied on. */
async function goingOut(): Promise<Opened & { id: string }> {
  const before = await openScreen(<OutingsScreen />);
  choose('Water', 'River Auldry');
  press('Begin now');
  const { id } = (went.to.at(-1) as { params: { id: string } }).params;
  before.unmount();
  const shown = await openScreen(<OutingScreen id={id} />, before.store);
  unfold('Flies on the leader');
  press(/^Tie on Auldry low emerger, Bessock/);
  press(/^Tie on Auldry flat spinner/);
  return Object.assign(shown, { id });
}

test('outings stand the latest first and are found by water, fly or note; one begins with a tap at the water of last time', async () => {
  const shown = await openScreen(<OutingsScreen />);
  const rows = () => screen.getAllByRole('link').map((row) => row.textContent);
  expect(rows()).toEqual([
    expect.stringMatching(/^River Auldry22 May 2033.*4 took.*2 refused$/),
    expect.stringMatching(/^Lake Ellanmere8 May 2033/),
    expect.stringMatching(/^River Auldry17 Apr 2033/),
  ]);
  const field = screen.getByLabelText(/^Find an outing/);
  fireEvent.focus(field);
  fireEvent.change(field, { target: { value: 'cruisers' } });
  expect(rows()).toEqual([expect.stringMatching(/^Lake Ellanmere/)]);
  fireEvent.change(field, { target: { value: 'flat spinner' } });
  expect(rows()).toEqual([expect.stringMatching(/^River Auldry22 May/)]);
  fireEvent.change(field, { target: { value: 'salmon' } });
  expect(screen.getByText('No outing answers that search.')).toBeInTheDocument();
  press('Begin now');
  expect(outings(shown)[(went.to.at(-1) as { params: { id: string } }).params.id]).toMatchObject({
    waterId: 'water_demo-auldry',
    start: '2033-05-24T04:50',
    end: null,
  });
  // While one goes on no second is begun.
  expect(screen.queryByRole('button', { name: 'Begin now' })).toBeNull();
  expect(screen.getByRole('button', { name: 'Back to the outing' })).toBeInTheDocument();
});

test('on a clean store a water is named, or not', async () => {
  const shown = await openScreen(<OutingsScreen />, 'clean');
  expect(screen.getByText('No outing yet.')).toBeInTheDocument();
  fireEvent.change(screen.getByLabelText('Name of another water'), { target: { value: 'Mill Pool' } });
  press('Begin now');
  const [one] = Object.values(outings(shown));
  expect(shown.store.getState().records.entities.water[one!.waterId!]!.name).toBe('Mill Pool');
});

test('every fly is one big tap, or nobody knows which; a tap is taken back where it was made', async () => {
  const shown = await goingOut();
  press(/^Took: Auldry low emerger · Bessock Fine Curve 14, 0 so far$/);
  press(/^Took: Auldry low emerger.*, 1 so far$/);
  press('Took: Not known which, 0 so far');
  expect(outings(shown)[shown.id]!.tally).toMatchObject({ all: { took: 3 }, of: { t1: { took: 2 }, '': { took: 1 } } });
  press('Take it back');
  expect(outings(shown)[shown.id]!.tally.all.took).toBe(2);
  choose('What happened', 'Fly lost');
  expect(screen.queryByRole('button', { name: /Not known which/ })).toBeNull();
  const fly = () => shown.store.getState().records.entities.fly['fly_demo-b2']!;
  const before = heldOf(fly())[0]!.left;
  press(/^Fly lost: Auldry low emerger/);
  expect(heldOf(fly())[0]!.left).toBe(before - 1);
  expect(fly().tally.results!.all.took).toBe(2);
  // It fishes no more; what it did stays on the outing.
  expect(screen.queryByRole('button', { name: /^Fly lost: Auldry low emerger/ })).toBeNull();
  act(() => void shown.store.dispatch(does(endOuting, { outingId: shown.id })));
  expect(screen.getAllByText('2 took, 1 fly lost')).toHaveLength(2);
});

test('the team has places and hours, and the water’s rules are said beside it, as notes of the tier’s own', async () => {
  const shown = await goingOut();
  press(/^Place of Auldry flat spinner/);
  choose('Where Auldry flat spinner · Bessock Fine 15 fishes', 'on the point');
  expect(outings(shown)[shown.id]!.team.map(({ name, position }) => [name, position])).toEqual([
    ['Auldry low emerger', null],
    ['Auldry flat spinner', 'point'],
  ]);
  act(() => void shown.store.dispatch(does(setWater, { waterId: 'water_demo-auldry', maxFlies: 1 })));
  expect(screen.getByText('2 flies on the leader; your rule for this water is 1 at most')).toBeInTheDocument();
  expect(screen.getByText(/^As you noted them: check/)).toBeInTheDocument();
  press(/^Take off Auldry flat spinner/);
  expect(screen.queryByText(/your rule for this water is 1/)).toBeNull();
  expect(outings(shown)[shown.id]!.team[1]!.off).toBe('2033-05-24T04:50');
});

test('two of one dressing on the leader are told apart by their hooks; under an hour minutes are told', async () => {
  await goingOut();
  press(/^Tie on Auldry low emerger, Osmere/);
  expect(
    screen.getAllByRole('button', { name: /^Took: Auldry low emerger/ }).map((own) => own.getAttribute('aria-label')),
  ).toEqual([
    'Took: Auldry low emerger · Bessock Fine Curve 14, 0 so far',
    'Took: Auldry low emerger · Osmere Wren 18, 0 so far',
  ]);
  expect(screen.getByText('24 May 2033, 04:50 · 0 min')).toBeInTheDocument();
});

test('what is seen is a tap each, speaks for stages, and puts the flies that answer them first', async () => {
  const shown = await goingOut();
  unfold('What is seen');
  press('spent wings, noted never');
  press('sip, tiny ring, noted never');
  press('spent wings, noted once');
  expect(outings(shown)[shown.id]!.tally).toMatchObject({ seen: { 'spent-wings': 2 }, rises: { sip: 1 } });
  expect(screen.getByRole('button', { name: /^What is seen: Speaks for mayfly spent/ })).toBeInTheDocument();
  const first = screen.getAllByRole('button', { name: /^Tie on / })[0]!;
  expect(first).toHaveAccessibleName(/spinner/i);
  expect(first).toHaveTextContent('answers what is seen');
});

test('the day is noted as it was; what cannot be stays beside its field and changes nothing', async () => {
  const shown = await goingOut();
  unfold('The water and the day', 'Your rules for River Auldry');
  choose('Level', 'high');
  fireEvent.change(screen.getByLabelText('Water, °C'), { target: { value: '11,5' } });
  fireEvent.change(screen.getByLabelText('Air, °C'), { target: { value: '90' } });
  expect(screen.getByText('a number from -40 to 50')).toBeInTheDocument();
  fireEvent.change(screen.getByLabelText('Note'), { target: { value: 'Mist' } });
  expect(outings(shown)[shown.id]).toMatchObject({ level: 'high', waterC: 11.5, airC: null, note: 'Mist' });
  press('Beads allowed');
  choose('Barbs', 'any barb');
  expect(shown.store.getState().records.entities.water['water_demo-auldry']).toMatchObject({
    bead: false,
    barbRule: 'any',
  });
});

test('an outing that is over tells what came of it by fly, and may go on or be deleted', async () => {
  const shown = await openScreen(<OutingScreen id="outing_demo-may" />);
  expect(screen.getByText('4 took, 2 refused, 1 fly lost')).toBeInTheDocument();
  const rows = within(screen.getByRole('list')).getAllByRole('listitem');
  expect(rows.map((row) => row.textContent)).toEqual([
    'First-light upright dun2 took, 2 refused',
    'Auldry flat spinner2 took, 1 fly lost',
  ]);
  press('It goes on');
  expect(outings(shown)['outing_demo-may']!.end).toBeNull();
  press('More');
  press('Delete this outing');
  expect(outings(shown)['outing_demo-may']).toBeUndefined();
  expect(screen.getByRole('heading', { level: 1, name: 'Not here' })).toBeInTheDocument();
});

test('the Water step of a match tells what its fly did on outings, each a link', async () => {
  await openScreen(<MatchScreen id={DUN} step="water" />);
  expect(screen.getByRole('heading', { name: 'What it did on outings' })).toBeInTheDocument();
  // April from 12:15 to the end at 15:20, and the evening of May from 17:50 until it came off at 20:28.
  expect(screen.getByText('2 outings · 5.7 h · 4 took, 3 refused')).toBeInTheDocument();
  const rows = screen.getAllByRole('link', { name: /^River Auldry/ });
  expect(rows.map((row) => row.getAttribute('href'))).toEqual(['/out/outing_demo-may', '/out/outing_demo-april']);
  expect(rows[0]).toHaveTextContent('2.6 h · 2 took, 2 refused');
});

test('an outing at a water without a name gets one later, known or new', async () => {
  const before = await openScreen(<OutingsScreen />, 'clean');
  press('Begin now');
  const { id } = (went.to.at(-1) as { params: { id: string } }).params;
  before.unmount();
  const shown = await openScreen(<OutingScreen id={id} />, before.store);
  expect(screen.getByRole('heading', { level: 1 })).toHaveTextContent('A water without a name');
  unfold('The water and the day');
  fireEvent.change(screen.getByLabelText('Name of another water'), { target: { value: 'Mill Pool' } });
  press('Name it');
  expect(screen.getByRole('heading', { level: 1 })).toHaveTextContent('Mill Pool');
  choose('Water', 'Another water');
  fireEvent.change(screen.getByLabelText('Name of another water'), { target: { value: 'Weir' } });
  press('Name it');
  choose('Water', 'Mill Pool');
  const { water, outing } = shown.store.getState().records.entities;
  expect(water[outing[id]!.waterId!]!.name).toBe('Mill Pool');
  expect(Object.keys(water)).toHaveLength(2);
});

test('times that cannot be are said on the page, with what to do', async () => {
  await openScreen(<OutingScreen id="outing_demo-may" />);
  expect(screen.queryByText(/^This outing/)).toBeNull();
  unfold('The water and the day');
  fireEvent.change(screen.getByLabelText('Ended'), { target: { value: '2033-05-22T16:00' } });
  expect(
    screen.getByText(
      'This outing ends at 22 May 2033, 16:00, before it starts at 22 May 2033, 17:45: set one of the two',
    ),
  ).toBeInTheDocument();
});

test('Now leads to where an outing is begun, and to the one that goes on', async () => {
  const shown = await goingOut();
  press(/^Took: Auldry low emerger · Bessock Fine Curve 14, 0 so far$/);
  shown.unmount();
  await openScreen(<NowScreen />, shown.store);
  await laidOut();
  expect(screen.getByRole('link', { name: /^At the water/ })).toHaveTextContent(/River Auldry · since 04:50 · 1 took/);
  expect(screen.getByRole('link', { name: /^At the water/ })).toHaveAttribute('href', `/out/${shown.id}`);
});
