import { act, fireEvent, screen } from '@testing-library/react';
import { DUN, laidOut, openScreen, unfold } from '../__tests__/screen';
import { MatchScreen } from './match-screen';
import { change } from '@/state/__tests__/change';

const strip = () => screen.queryByRole('link', { name: /^(Hook |Likeliest|From the box)/ });
const next = () => screen.queryByRole('link', { name: /^Next: / });

test('without a box: what is likeliest, then sizes and dressing, then the next step', async () => {
  const { store } = await openScreen(<MatchScreen id="match_demo-waiting" step="natural" />);
  act(
    () =>
      void store.dispatch(
        change('box', (draft) => {
          for (const id of Object.keys(draft.box)) delete draft.box[id];
          const match = draft.match['match_demo-waiting']!;
          match.answers[0]!.stage = null;
          Object.assign(draft.sample[match.sampleId]!, { signs: {}, seen: [], found: null, doing: null, rise: null });
        }),
      ),
  );
  await laidOut();
  expect([strip(), next()]).toEqual([null, null]);
  const sample = (more: object) =>
    act(
      async () =>
        void store.dispatch(
          change(
            'sign',
            (draft) =>
              void Object.assign(draft.sample[draft.match['match_demo-waiting']!.sampleId]!, structuredClone(more)),
          ),
        ),
    );
  await sample({ signs: { wings: 'cloudy-upright' } });
  await laidOut();
  expect(screen.getByText(/^Likeliest: Mayfly dun, \d+ in \d+$/)).toBeInTheDocument();
  expect(screen.getByText('How long is it? Then its hook is found.')).toBeInTheDocument();
  await sample({ rough: { mm: 8.5, halfMm: 1.5, how: 'chip' } });
  await laidOut();
  expect(strip()).toHaveAccessibleName(/^Hook \d+(–\d+)?, .+\. Likeliest: Mayfly dun, \d+ in \d+$/);
  expect(strip()).toHaveAttribute('href', '/matches/match_demo-waiting/hook');
  expect(next()).toBeNull();
  unfold('What is it\\?');
  fireEvent.click(screen.getByRole('radio', { name: /^Mayfly dun, / }));
  await laidOut();
  expect(strip()).toHaveAccessibleName(/^Hook \d+(–\d+)?, .+\. Mayfly dun$/);
  expect(next()).toHaveAttribute('href', '/matches/match_demo-waiting/hook');
});

test('with a box its fly stands there, on every step but the water’s own', async () => {
  const { unmount } = await openScreen(<MatchScreen id={DUN} step="dressing" />);
  expect(strip()).toHaveAccessibleName(/^From the box: First-light post dun 16\. Valley box, A4 · 2 left/);
  expect(next()).toHaveAccessibleName('Next: Bench');
  unmount();
  await openScreen(<MatchScreen id={DUN} step="water" />);
  expect([strip(), next()]).toEqual([null, null]);
});
