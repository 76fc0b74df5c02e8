import { act, fireEvent, screen, within } from '@testing-library/react';
import { act as does } from '@/state';
import { endBatch, newBatch } from '@/records';
import { openScreen, unfold, DUN, type Opened } from '../__tests__/screen';
import { went } from '../__tests__/router';
import { change } from '@/state/__tests__/change';
import { TieMatch } from './screens';

const key = (name: string, more = {}) => act(() => void fireEvent.keyDown(window, { key: name, ...more }));
const step = () => screen.getByText(/^Step \d+ of 17/).textContent!.replace(/ ·.*/, '');
/** Sessions of this match's one card. */
const singles = ({ store }: Opened) =>
  Object.entries(store.getState().records.entities.batch).filter(
    ([, { items }]) => items.length === 1 && items[0]!.matchId === DUN,
  );
const open = () => openScreen(<TieMatch id={DUN} />);

test('space, pedal and arrows go on and back, and stop where the fly begins', async () => {
  await open();
  expect(step()).toBe('Step 1 of 17');
  key('PageUp');
  expect(step()).toBe('Step 1 of 17');
  key(' ');
  key('PageDown');
  key('ArrowRight');
  expect(step()).toBe('Step 4 of 17');
  key('ArrowLeft');
  expect(step()).toBe('Step 3 of 17');
  key('ArrowRight', { altKey: true });
  expect(step()).toBe('Step 3 of 17');
});

test('the button says what comes next; leaving goes to the card, and what nobody began is no session', async () => {
  const shown = await open();
  expect(singles(shown)).toHaveLength(1);
  fireEvent.click(screen.getByRole('button', { name: 'Leave the bench' }));
  expect(went.to).toContainEqual({ pathname: '/matches/[id]/[step]', params: { id: DUN, step: 'bench' } });
  shown.unmount();
  expect(singles(shown)).toEqual([]);
});

test('a fly that was begun is gone on with where it stood, with its minutes; it is no undo by itself', async () => {
  const shown = await open();
  const before = shown.store.getState().records.past.length;
  fireEvent.click(screen.getByRole('button', { name: 'Next: bind the wing' }));
  expect(screen.getByRole('heading', { level: 1 })).toHaveTextContent('Bind the wing');
  expect(shown.store.getState().records.past.length).toBe(before + 1);
  shown.unmount();
  const [id, batch] = singles(shown)[0]!;
  expect(Object.values(batch.flies)).toHaveLength(1);
  const again = await openScreen(<TieMatch id={DUN} />, shown.store);
  expect(step()).toBe('Step 2 of 17');
  expect(singles(again).map(([own]) => own)).toEqual([id]);
});

test('timers, sound and a fly that is spoiled are as in a session of many', async () => {
  const shown = await open();
  unfold('Timers, sound and voice');
  fireEvent.click(screen.getByRole('button', { name: 'Timer of 5 minutes' }));
  expect(within(screen.getByRole('list', { name: 'What is waited for' })).getByText('5:00')).toBeInTheDocument();
  key(' ');
  fireEvent.click(screen.getByRole('button', { name: 'Spoiled …' }));
  fireEvent.click(screen.getByRole('radio', { name: 'thread broke' }));
  expect(Object.values(singles(shown)[0]![1].flies)).toContainEqual(expect.objectContaining({ state: 'spoiled' }));
  expect(step()).toBe('Step 1 of 17');
});

test('made, one more of the same is tied; ended, the next one is a session of its own', async () => {
  const shown = await open();
  const [id] = singles(shown)[0]!;
  act(
    () =>
      void shown.store.dispatch(
        change('made', (draft) => {
          const batch = draft.batch[id]!;
          batch.flies['i1-1'] = {
            item: 'i1',
            n: 1,
            done: 17,
            state: 'made',
            wetUntil: null,
            spent: {},
            spoiledAt: null,
            why: null,
          };
          batch.at = null;
        }),
      ),
  );
  fireEvent.click(screen.getByRole('button', { name: 'One more of these' }));
  expect(step()).toBe('Step 1 of 17');
  expect(singles(shown)[0]![1].items[0]!.count).toBe(2);
  shown.unmount();
  shown.store.dispatch(does(endBatch, { batchId: id, into: {}, hooksLost: {}, takes: [] }));
  expect(singles(shown)).toHaveLength(1);
  await openScreen(<TieMatch id={DUN} />, shown.store);
  expect(singles(shown).map(([own]) => own)).toContain(id);
  expect(singles(shown)).toHaveLength(2);
});

test('a session of several flies that nobody began stays, also where this match’s card is in it', async () => {
  const shown = await open();
  const card = singles(shown)[0]![1].items[0]!.card;
  const many = shown.store.dispatch(does(newBatch, { items: [{ card, matchId: DUN, count: 6 }] }))!;
  shown.unmount();
  await openScreen(<TieMatch id={DUN} />, shown.store).then((again) => again.unmount());
  expect(shown.store.getState().records.entities.batch[many]!.items[0]!.count).toBe(6);
});

test('a length to keep stands in big numerals with its range, the mend closes at the next step, the caution is beside its step', async () => {
  await open();
  expect(
    within(screen.getByText('Care').parentElement!).getByText(/Local rules and licensed practice come first\.$/),
  ).toBeInTheDocument();
  key(' ');
  expect(
    screen.getByText(
      (_, element) => element?.getAttribute('dir') === 'auto' && /^\d\.\d$/.test(element.textContent ?? ''),
    ),
  ).toBeInTheDocument();
  expect(screen.getByText(/^\d\.\d to \d\.\d$/)).toBeInTheDocument();
  key('ArrowLeft');
  fireEvent.click(screen.getByRole('button', { name: 'If it went wrong' }));
  expect(screen.queryByRole('button', { name: 'If it went wrong' })).toBeNull();
  key(' ');
  expect(screen.queryByText(/strip back/i)).toBeNull();
});

test('a match that is not there says so', async () => {
  await openScreen(<TieMatch id="none" />);
  expect(screen.getByRole('heading', { level: 1, name: 'Not here' })).toBeInTheDocument();
});
