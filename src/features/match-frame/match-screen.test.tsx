import { act, fireEvent, render, screen, within } from '@testing-library/react';
import { Provider } from 'react-redux';
import { SpeechProvider } from '@/features/shell';
import { DUN, laidOut, openScreen, unfold } from '../__tests__/screen';
import { went } from '../__tests__/router';
import { MatchScreen } from './match-screen';
import { change } from '@/state/__tests__/change';

const open = (step: 'natural' | 'hook' | 'dressing' | 'bench' = 'hook') =>
  openScreen(<MatchScreen id={DUN} step={step} />);
const bodies = (mm: number) =>
  change('length', (draft) => {
    for (const specimen of draft.sample['sample_demo-auldry-dun']!.specimens) specimen.body = { mm, typed: null };
  });

test('five steps are always there, each with its answer in a line', async () => {
  await open();
  for (const step of [
    'Natural: Mayfly dun',
    'Hook: Bessock Fine 13',
    'Dressing: First-light upright dun',
    'Bench: Tail',
    'Water: First-light post dun 16. Valley box, A4 · 2 left',
  ])
    expect(screen.getByLabelText(new RegExp(`^${step}`))).toBeInTheDocument();
});

test('a step opens by its row', async () => {
  await open();
  fireEvent.click(screen.getByLabelText(/^Bench: /));
  expect(went.to).toEqual([{ pathname: '/matches/[id]/[step]', params: { id: DUN, step: 'bench' } }]);
});

test('a change says what it did to hook and dressing, or that both stayed', async () => {
  const { store } = await open();
  expect(screen.queryByText(/^Hook was/)).toBeNull();
  await act(async () => void store.dispatch(bodies(11)));
  expect(screen.getByText(/^Hook was Bessock Fine 13, now /)).toBeInTheDocument();
  await act(
    async () =>
      void store.dispatch(
        change('colour', (draft) => void (draft.sample['sample_demo-auldry-dun']!.colours.wing = '#777777')),
      ),
  );
  expect(screen.getByText('Hook and dressing stay the same.')).toBeInTheDocument();
});

test('what the last change did stays said when the match is opened anew, and nothing is said where nothing was changed', async () => {
  const { store, unmount } = await open();
  expect(screen.queryByText(/stay the same|^Hook was/)).toBeNull();
  await act(async () => void store.dispatch(bodies(11)));
  await laidOut();
  const said = screen.getByText(/^Hook was Bessock Fine 13, now /).textContent;
  unmount();
  render(
    <Provider store={store}>
      <SpeechProvider>
        <MatchScreen id={DUN} step="dressing" />
      </SpeechProvider>
    </Provider>,
  );
  await laidOut();
  expect(screen.getByText(/^Hook was/).textContent).toBe(said);
});

test('two stages stand side by side; a tap lets the other lead', async () => {
  const { store } = await open();
  const pair = within(screen.getByLabelText('Which answer leads'));
  expect(pair.getByText('Mayfly dun leads')).toBeInTheDocument();
  fireEvent.click(pair.getByLabelText(/^Mayfly spinner: /));
  expect(store.getState().records.entities.match[DUN]!.leading).toBe('a2');
  expect(pair.getByText('Mayfly spinner leads')).toBeInTheDocument();
});

test('deleting takes the natural with it and goes to the list', async () => {
  const { store } = await open('natural');
  unfold('Name, place and water');
  fireEvent.click(screen.getByText('Delete match'));
  expect(store.getState().records.entities.match[DUN]).toBeUndefined();
  expect(store.getState().records.entities.sample['sample_demo-auldry-dun']).toBeUndefined();
  expect(went.to).toEqual(['/matches']);
});

test('a match that is not there says so', async () => {
  await openScreen(<MatchScreen id="nothing" step="hook" />);
  expect(screen.getByText(/may have been deleted, or belong to another browser/)).toBeInTheDocument();
});

test('the title of the page is the match and its step', async () => {
  await open('bench');
  expect(document.title).toBe('Pale riffle dun, Bench · Aubade');
});

test('an answer in inches keeps no millimetre on the page', async () => {
  const { store } = await open('bench');
  await act(
    async () => void store.dispatch(change('unit', (draft) => void (draft.settings.main!.unit = 'in-fraction'))),
  );
  expect(document.body.textContent).not.toMatch(/\d\s?mm/);
  expect(document.body.textContent).toMatch(/\d\/32|\d\/16|\d\/8|\d\/4/);
});

test('the picture of the natural is seen wet too, by a switch in its corner that asks nothing of the natural', async () => {
  const { store } = await openScreen(<MatchScreen id={DUN} step="natural" />);
  const picture = () => screen.getByRole('img', { name: /^Mayfly dun/ }).outerHTML;
  const dry = picture();
  fireEvent.click(screen.getByRole('button', { name: 'The picture: in water' }));
  expect(picture()).not.toBe(dry);
  const { sampleId } = store.getState().records.entities.match[DUN]!;
  expect(store.getState().records.entities.sample[sampleId]!.surface).toBe('dry');
  fireEvent.click(screen.getByRole('button', { name: 'The picture: in water' }));
  expect(picture()).toBe(dry);
});
