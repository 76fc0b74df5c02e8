import { act, fireEvent, screen } from '@testing-library/react';
import { MatchScreen } from '@/features/match-frame/screens';
import { BoxScreen } from '@/features/box/screens';
import { undone } from '@/state';
import { selectDressing, selectFlyCard, selectRideOf } from '@/state/answering';
import { DUN, openScreen, unfold } from '../__tests__/screen';

const type = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));

test('at the bench a cup test moves how long the fly floats, with its ±; taken out, the model stands again', async () => {
  const { store } = await openScreen(<MatchScreen id={DUN} step="bench" />);
  unfold('How it rides');
  const model = /^A model of stuff/;
  expect(screen.getByText(model)).toBeInTheDocument();
  type('Afloat, s', '300');
  press('Keep the cup test');
  const said = screen.getByText(/^Tried in a cup: 1 test\. It floats from/).textContent!;
  const [, low, high] = /from ([\d.]+) to ([\d.]+) min/.exec(said)!;
  expect(Number(low)).toBeLessThan(Number(high));
  // Nearer to the five minutes that were timed than to what the model had.
  expect(Number(low)).toBeGreaterThan(3);
  expect(Number(high)).toBeLessThan(10);
  expect(screen.queryByText(model)).toBeNull();
  type('Depth, cm', '30');
  type('Drop 1, s', '3');
  type('Drop 2, s', '3.2');
  press('Keep the drop test');
  expect(
    Object.values(store.getState().records.entities.trial).map(({ what, seconds, depthMm }) => [
      what,
      seconds,
      depthMm,
    ]),
  ).toEqual([
    ['cup', [300], null],
    ['drop', [3, 3.2], 300],
  ]);
  press(/^Cup test of .*: take out$/);
  press(/^Glass test of .*: take out$/);
  expect(screen.getByText(model)).toBeInTheDocument();
  await act(async () => void store.dispatch(undone()));
  expect(Object.values(store.getState().records.entities.trial)).toHaveLength(1);
});

test('a fly of a box tells how it rides, and its test carries over to another hook of its dressing', async () => {
  const { store } = await openScreen(<BoxScreen id="box_demo-valley" />);
  press(/^A1/);
  unfold('How it rides');
  type('Afloat, s', '600');
  press('Keep the cup test');
  expect(Object.values(store.getState().records.entities.trial)[0]).toMatchObject({
    dressingId: 'first-light-dun',
    hookId: 'bessock:fine:15',
  });
  press(/^A2/);
  unfold('How it rides');
  expect(screen.getByText(/^Tried in a cup: 1 test\./)).toBeInTheDocument();
  expect(screen.getByText(/on another hook · tap to take out$/)).toBeInTheDocument();
});

test('a fly without a dressing rides about as the nearest of its stage; one of which nothing is known says nothing', async () => {
  const { store } = await openScreen(<BoxScreen id="box_demo-valley" />);
  const state = store.getState();
  const card = selectFlyCard(state, { stage: 'mayfly/dun', ride: 'film' })!;
  const nearest = selectDressing(state, card.dressing.id)!;
  expect([nearest.stages, nearest.ride]).toEqual([expect.arrayContaining(['mayfly/dun']), 'film']);
  expect(selectFlyCard(state, { stage: 'mayfly/dun', ride: 'sink' })!.dressing.id).toBeTruthy();
  expect(selectFlyCard(state, {})).toBeNull();
  expect(selectFlyCard(state, { dressingId: 'gone' })).toBeNull();
  // Six of the valley's flies were got without a dressing.
  const bare = Object.values(state.records.entities.fly).find(({ dressingId, stage }) => !dressingId && stage)!;
  const slot = bare.tally.places[0]!.slot!;
  press(new RegExp(`^${slot.toUpperCase()}`));
  expect(screen.getByText(/^It has no dressing: about as .+, the nearest of its stage, would\.$/)).toBeInTheDocument();
});

test('of what sinks its depth is told through a drift, on its tippet', async () => {
  const { store } = await openScreen(<BoxScreen id="box_demo-valley" />);
  press(/^E1/);
  unfold('How it rides');
  const ride = selectRideOf(
    store.getState(),
    selectFlyCard(store.getState(), { dressingId: 'herl-bead-nymph', hookId: 'osmere:heron:16' })!,
  );
  // A tippet slows it to 0.55.
  const cm = (s: number) => Math.round((0.55 * ride.ride.sinkMmS! * s) / 50) * 5;
  expect(
    screen.getByText(`On its tippet, about: ${cm(2)} cm after 2 s, ${cm(5)} cm after 5 s, ${cm(10)} cm after 10 s`),
  ).toBeInTheDocument();
});
