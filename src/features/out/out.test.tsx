import { act, fireEvent, screen, within } from '@testing-library/react';
import { act as does, undone } from '@/state';
import { endOuting, flownOn, heldOf, newMatch, noteSeen, setStage, setWater } from '@/records';
import { MatchScreen } from '@/features/match-frame/screens';
import { NowScreen } from '@/features/now/now-screen';
import { choose, DUN, laidOut, openScreen, unfold, type Opened } from '../__tests__/screen';
import { went } from '../__tests__/router';
import { aheadText } from './came';
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
  expect(rows().slice(0, 2)).toEqual([
    expect.stringMatching(/^River Auldry22 May 2033.*4 took.*2 refused$/),
    expect.stringMatching(/^Lake Ellanmere8 May 2033/),
  ]);
  const field = screen.getByLabelText(/^Find an outing/);
  fireEvent.focus(field);
  fireEvent.change(field, { target: { value: 'cruisers' } });
  expect(rows()).toEqual([expect.stringMatching(/^Lake Ellanmere/)]);
  fireEvent.change(field, { target: { value: 'flat spinner' } });
  expect(rows()[0]).toMatch(/^River Auldry22 May/);
  expect(rows().join()).not.toMatch(/Staith/);
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

test('how far a clock is from universal time is told in hours, and minutes where it has some', () => {
  expect([1, 0, 12, 5.75, -3.5, -10].map(aheadText)).toEqual(['+1', '+0', '+12', '+5:45', '−3:30', '−10']);
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
  const shown = await openScreen(<MatchScreen id={DUN} step="water" />);
  expect(screen.getByRole('heading', { name: 'What it did on outings' })).toBeInTheDocument();
  const flown = flownOn(outings(shown), 'first-light-dun', '2033-05-24T04:50');
  const hours = flown.reduce((sum, own) => sum + own.hours, 0);
  const took = flown.reduce((sum, { counts }) => sum + counts.took, 0);
  expect(
    screen.getByText(new RegExp(`^${flown.length} outings · ${hours.toFixed(1)} h · ${took} took, \\d+ refused$`)),
  ).toBeInTheDocument();
  // The evening of May from 17:50 until it came off at 20:28; of many the first four stand here.
  const rows = screen.getAllByRole('link', { name: /^(River Auldry|Staith|Lake)/ });
  expect(rows).toHaveLength(4);
  expect(rows[0]).toHaveAttribute('href', '/out/outing_demo-may');
  expect(rows[0]).toHaveTextContent('2.6 h · 2 took, 2 refused');
  press('All outings');
  expect(screen.getAllByRole('link', { name: /^(River Auldry|Staith|Lake)/ })).toHaveLength(flown.length);
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
  // Its present moment stands first: what is up, and the log under the thumb.
  expect(screen.getByRole('heading', { name: /^River Auldry.*since 04:50$/ })).toBeInTheDocument();
  expect(screen.getByRole('link', { name: 'The whole outing' })).toHaveAttribute('href', `/out/${shown.id}`);
  expect(screen.queryByRole('link', { name: /^At the water/ })).toBeNull();
  press(/^Took: Auldry low emerger · Bessock Fine Curve 14, 1 so far$/);
  expect(outings(shown)[shown.id]!.tally.all.took).toBe(2);
  const door = screen.getByText('A natural in hand');
  const log = screen.getByRole('heading', { name: 'Log' });
  expect(log.compareDocumentPosition(door) & Node.DOCUMENT_POSITION_FOLLOWING).toBeTruthy();
  // Ended with one tap, and begun with one at the water of last time.
  press('End the outing');
  expect(outings(shown)[shown.id]!.end).toBe('2033-05-24T04:50');
  expect(screen.getByRole('link', { name: /^At the water/ })).toHaveAttribute('href', '/out');
  press('Begin at River Auldry');
  await laidOut();
  expect(Object.values(outings(shown)).filter(({ end }) => end === null)).toMatchObject([
    { waterId: 'water_demo-auldry' },
  ]);
  expect(screen.getByRole('heading', { name: /^River Auldry.*since 04:50$/ })).toBeInTheDocument();
});

describe('the day of an outing', () => {
  const plan = (shown: Opened & { id: string }) => outings(shown)[shown.id]!.plan;
  test('says in words what is up and what comes next, and draws it', async () => {
    await goingOut();
    const said = screen.getByText(/^(Up now|Nothing is likely to be up now).*Next: .+, about \d\d:\d\d$/);
    expect(screen.getByRole('img', { name: said.textContent! })).toBeInTheDocument();
  });
  test('a change is moved along the day by arrow keys or by taps, left out, put back, and done', async () => {
    const shown = await goingOut();
    unfold('When to change');
    const post = screen.getByRole('slider', { name: 'When to change for: Duns hatching' });
    const before = Number(post.getAttribute('aria-valuenow'));
    fireEvent.keyDown(post, { key: 'ArrowRight' });
    expect(Number(post.getAttribute('aria-valuenow'))).toBe(before + 0.25);
    expect(plan(shown)[0]!.id).toBe('mayfly/hatch');
    press('Duns hatching: 15 min earlier');
    press('Duns hatching: 15 min earlier');
    expect(Number(post.getAttribute('aria-valuenow'))).toBe(before - 0.25);
    fireEvent.keyDown(post, { key: 'a' });
    expect(Number(post.getAttribute('aria-valuenow'))).toBe(before - 0.25);
    press('Duns hatching: skip the change');
    expect(screen.queryByRole('slider', { name: 'When to change for: Duns hatching' })).toBeNull();
    expect(plan(shown)[0]).toMatchObject({ id: 'mayfly/hatch', at: null });
    press('Duns hatching: put the change back');
    expect(plan(shown)[0]!.at).not.toBeNull();
    press(/^Tie on Dark-pad nymph now$/);
    expect(outings(shown)[shown.id]!.team.at(-1)).toMatchObject({
      name: 'Dark-pad nymph',
      position: 'middle',
      off: null,
    });
    expect(screen.queryByRole('button', { name: /^Tie on Dark-pad nymph now$/ })).toBeNull();
  });
  test('every band has its reason behind a tap; what the tier’s outings taught stands beside the book with how far each was off', async () => {
    await openScreen(<OutingScreen id="outing_demo-may" />);
    unfold('Why, and how sure');
    expect(screen.getByText(/^First light 04:0\d, sunrise 04:5\d, sunset 21:2\d, dark 22:1\d\.$/)).toBeInTheDocument();
    press('Duns hatching: why');
    expect(
      screen.getByText(/^By \d+ outings of yours here about this time of the year it begins about/),
    ).toBeInTheDocument();
    const told = screen.getByText(/^First sight, \d+ times/).textContent!;
    const [, book, own] = /off by (\d+) min.* (\d+) min\.$/.exec(told)!;
    expect(Number(own)).toBeLessThan(Number(book));
  });
  test('of a water nobody placed the light is about, and it says so; a place is typed, kept to a tenth, and forgotten', async () => {
    const before = await openScreen(<OutingsScreen />, 'clean');
    fireEvent.change(screen.getByLabelText('Name of another water'), { target: { value: 'Mill Pool' } });
    press('Begin now');
    const { id } = (went.to.at(-1) as { params: { id: string } }).params;
    before.unmount();
    const { store } = await openScreen(<OutingScreen id={id} />, before.store);
    unfold('Why, and how sure', 'Where Mill Pool is');
    expect(screen.getByText(/^Where this water is was not said/)).toBeInTheDocument();
    const type = (label: RegExp, value: string) =>
      fireEvent.change(screen.getByLabelText(label), { target: { value } });
    type(/^Latitude/, '54.23');
    type(/^Longitude/, '200');
    expect(screen.getByText(/between -180 and 180|-180/)).toBeInTheDocument();
    type(/^Longitude/, '-2.41');
    const [water] = Object.values(store.getState().records.entities.water);
    // Its zone is found by where it is, and its hours told by that clock wherever this device is.
    expect(water!.place).toMatchObject({ lat: 54.2, lon: -2.4, zone: 'Europe/London' });
    expect(screen.getByText(/by the clock kept there, \+1 h from universal time/)).toBeInTheDocument();
    for (const zone of [null, 'Nowhere/At_All']) {
      act(
        () =>
          void store.dispatch(
            does(setWater, {
              waterId: Object.keys(store.getState().records.entities.water)[0]!,
              place: { lat: 54.2, lon: -2.4, zone },
            }),
          ),
      );
      expect(screen.getByText(/Its hours are by this device’s clock/)).toBeInTheDocument();
      press('Use the clock kept there');
      expect(Object.values(store.getState().records.entities.water)[0]!.place!.zone).toBe('Europe/London');
    }
    expect(screen.queryByText(/^Where this water is was not said/)).toBeNull();
    press('Where I am now');
    expect(screen.getByText(/^This device does not say where it is/)).toBeInTheDocument();
    // One that can say it is asked, and not waited for without end.
    type Asking = Parameters<Geolocation['getCurrentPosition']>;
    const asking = jest.fn<void, Asking>();
    Object.defineProperty(navigator, 'geolocation', { configurable: true, value: { getCurrentPosition: asking } });
    press('Where I am now');
    expect(screen.getByText(/^Asking this device/)).toBeInTheDocument();
    const [found, silent, how] = asking.mock.calls[0]!;
    expect(how!.timeout).toBeLessThanOrEqual(20_000);
    act(() => silent!({} as GeolocationPositionError));
    expect(screen.getByText(/^This device does not say where it is/)).toBeInTheDocument();
    press('Where I am now');
    act(() => found({ coords: { latitude: -41.32, longitude: 172.81 } } as GeolocationPosition));
    expect(Object.values(store.getState().records.entities.water)[0]!.place).toEqual({
      lat: -41.3,
      lon: 172.8,
      zone: 'Pacific/Auckland',
    });
    expect(screen.queryByText(/^Asking this device|^This device does not say/)).toBeNull();
    Reflect.deleteProperty(navigator, 'geolocation');
    press('Forget where it is');
    expect(Object.values(store.getState().records.entities.water)[0]!.place).toBeNull();
  });
});

test('of a fish more is told afterwards, in one step; every entry stands with its time', async () => {
  const shown = await openScreen(<OutingScreen id="outing_demo-may" />);
  unfold('Entry by entry');
  expect(screen.getAllByText(/^\d\d:\d\d$/)).toHaveLength(10);
  const [fish] = screen.getAllByRole('button', { name: /^\d\d:\d\d, Took: .*: tell more$/ });
  fireEvent.click(fish!);
  const type = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });
  type('What fish', 'trout');
  type('Length, cm', '31');
  type('Depth it took at, cm', '20');
  press('Keep this');
  expect(screen.getByText('trout · 31 cm · took 20 cm down · released')).toBeInTheDocument();
  const { tally } = outings(shown)['outing_demo-may']!;
  expect(tally.events).toBe(10);
  expect(tally.all.took).toBe(4);
  expect(tally.latest.filter(({ event }) => event.species)).toMatchObject([
    { event: { fishMm: 310, depthMm: 200, released: true } },
  ]);
  await act(async () => void shown.store.dispatch(undone()));
  expect(outings(shown)['outing_demo-may']!.tally.latest.some(({ event }) => event.species)).toBe(false);
});

test('a natural that is found on an outing has its water and what was seen, stands on the outing, and leads back to it', async () => {
  const shown = await goingOut();
  unfold('What is seen');
  press(/^duns floating, noted never/);
  const begin = (own: string | null) => {
    let given: { matchId: string; sampleId: string } | null = null;
    act(() => void (given = shown.store.dispatch(does(newMatch, { own }))));
    return given!;
  };
  const made = begin(null);
  const { sample } = shown.store.getState().records.entities;
  expect(sample[made.sampleId]).toMatchObject({ outingId: shown.id, place: 'River Auldry', seen: ['duns'] });
  // One that nothing was said of is taken up again, with what is seen by then.
  act(() => void shown.store.dispatch(does(noteSeen, { outingId: shown.id, seen: 'columns' })));
  expect(begin(made.matchId)).toEqual(made);
  expect(shown.store.getState().records.entities.sample[made.sampleId]!.seen).toHaveLength(2);
  act(
    () => void shown.store.dispatch(does(setStage, { matchId: made.matchId, answerId: 'a1', stage: 'mayfly/spent' })),
  );
  unfold('Naturals found here');
  expect(screen.getByRole('link', { name: /Mayfly spent/i })).toHaveAttribute(
    'href',
    `/matches/${made.matchId}/natural`,
  );
  shown.unmount();
  await openScreen(<MatchScreen id={made.matchId} step="natural" />, shown.store);
  unfold('Name, place and water');
  expect(screen.getByRole('link', { name: /^Found on an outing: River Auldry/ })).toHaveAttribute(
    'href',
    `/out/${shown.id}`,
  );
});

test('your rules for the water a natural came from are said at its hook and its dressing', async () => {
  const shown = await openScreen(<MatchScreen id={DUN} step="hook" />);
  const rule = /your rule for this water is/;
  act(
    () =>
      void shown.store.dispatch(does(setWater, { waterId: 'water_demo-auldry', barbRule: 'any', hookLongestMm: 3 })),
  );
  expect(screen.getByText(/is .+ long over all; your rule for this water is 3/)).toBeInTheDocument();
  expect(screen.getByText(/^As you noted them for River Auldry/)).toBeInTheDocument();
  act(() => void shown.store.dispatch(does(setWater, { waterId: 'water_demo-auldry', hookLongestMm: null })));
  expect(screen.queryByText(rule)).toBeNull();
  act(() => void shown.store.dispatch(does(setWater, { waterId: 'water_demo-auldry', hookLargest: 20 })));
  expect(screen.getByText(/on a hook larger than your rule for this water allows: 20 at most/)).toBeInTheDocument();
});

test('a logger’s table is read, with what is wrong with it said first; its clock is set right, then its days and readings are taken in one step', async () => {
  const shown = await openScreen(<OutingScreen id="outing_demo-may" />);
  unfold('Temperatures of River Auldry');
  press('The valley’s own logger');
  expect(
    screen.getByText(/^982 readings, Saturday 30 April, 16:00 to Sunday 22 May, 15:30\. .*in °F, every 30 minutes$/),
  ).toBeInTheDocument();
  expect(screen.getByText(/^Gaps: 2, the longest from/)).toBeInTheDocument();
  const clock = /its clock looks 8 h behind/;
  expect(screen.getByText(clock)).toBeInTheDocument();
  for (let hours = 1; hours <= 8; hours++) press(`Hours to add to its clock: ${hours}`);
  expect(screen.queryByText(clock)).toBeNull();
  press('Take these in');
  expect(screen.getByText(/^\d+ days taken in\. Undo takes them back\.$/)).toBeInTheDocument();
  const { temps } = outings(shown)['outing_demo-may']!;
  expect(temps[0]!.at).toBe('2033-05-22T18:00');
  expect(temps).toHaveLength(7);
  expect(
    screen.getByRole('button', { name: /^The water and the day: .*water \d+\.\d to \d+\.\d °C/ }),
  ).toBeInTheDocument();
  // The strip has it as a line of its own.
  expect(screen.getByText(/^water \d+\.\d to \d+\.\d °C$/)).toBeInTheDocument();
  await act(async () => void shown.store.dispatch(undone()));
  expect(outings(shown)['outing_demo-may']!.temps).toEqual([]);
});

describe('the rig', () => {
  const tieOn = (name: string) => {
    fireEvent.change(screen.getByLabelText('Find a fly of your boxes'), { target: { value: name } });
    press(new RegExp(`^Tie on ${name}`));
  };
  const shownDepths = () => screen.getByRole('img', { name: /^After a drift of/ }).getAttribute('aria-label')!;
  test('the leader is drawn with how deep each fly fishes; the water’s pace and the spacing change it', async () => {
    const shown = await goingOut();
    press(/^Take off Auldry flat spinner/);
    press(/^Take off Auldry low emerger/);
    tieOn('Dark-pad nymph');
    tieOn('Auldry herl bead nymph');
    expect(shownDepths()).toMatch(/^After a drift of 10 s: Dark-pad nymph \d+ cm, Auldry herl bead nymph \d+ cm$/);
    const deep = () => Number(/bead nymph (\d+) cm/.exec(shownDepths())![1]);
    const before = deep();
    choose('Water runs', 'fast, 90 cm a second');
    expect(shownDepths()).toMatch(/^After a drift of 6 s/);
    expect(deep()).toBeLessThanOrEqual(before);
    press(/^Place of Auldry herl bead nymph/);
    fireEvent.change(screen.getByLabelText('cm from what is above (usually 90)'), { target: { value: '30' } });
    expect(screen.getByText(/stands 30 cm from the one above: 60 to 120 is usual/)).toBeInTheDocument();
    expect(outings(shown)[shown.id]!.team.at(-1)!.apartMm).toBe(300);
  });
  test('a warning stands with what mends it: the heavy one goes to the point, the nymph a dry cannot hold is changed', async () => {
    const shown = await goingOut();
    press(/^Take off Auldry flat spinner/);
    press(/^Take off Auldry low emerger/);
    tieOn('Auldry herl bead nymph');
    tieOn('Dark-pad nymph');
    expect(screen.getByText(/^Auldry herl bead nymph is heavier than Dark-pad nymph on the point/)).toBeInTheDocument();
    press('Change Auldry herl bead nymph and Dark-pad nymph');
    expect(screen.queryByText(/is heavier than/)).toBeNull();
    expect(
      outings(shown)
        [shown.id]!.team.slice(-2)
        .map(({ name, position }) => [name, position]),
    ).toEqual([
      ['Auldry herl bead nymph', 'point'],
      ['Dark-pad nymph', 'top'],
    ]);
    choose('Rig', 'Nymph below a dry');
    expect(screen.getByText(/^Dark-pad nymph does not float/)).toBeInTheDocument();
    choose('Rig', 'Under an indicator');
    expect(screen.getByText(/^The indicator has to lift \d+ mg: a ball of foam \d mm across\.$/)).toBeInTheDocument();
    act(() => void shown.store.dispatch(does(setWater, { waterId: 'water_demo-auldry', indicator: false })));
    expect(screen.getByText(/^An indicator is on this leader/)).toBeInTheDocument();
  });
});
