import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { leftInPacket } from '@/records';
import { undone, type Store } from '@/state';
import { MatchScreen } from '@/features/match-frame/screens';
import { openScreen, DUN, unfold } from '../__tests__/screen';
import { went } from '../__tests__/router';
import { change } from '@/state/__tests__/change';
import { copied } from '../__tests__/files';
import { run } from '@/workers';
import type { Jobs } from '@/workers/jobs';

jest.mock('@/features/files', () => jest.requireActual('../__tests__/files'));
jest.mock('@/workers', () => ({ run: jest.fn(() => Promise.resolve(new Uint8Array())) }));

const hooksLeft = (store: Store, id: string) =>
  Object.values(store.getState().records.entities.packet)
    .filter((packet) => packet.hookId === id)
    .reduce((sum, packet) => sum + leftInPacket(packet), 0);
const fliesOn = (store: Store, id: string) =>
  Object.values(store.getState().records.entities.fly)
    .filter((fly) => fly.hookId === id)
    .flatMap((fly) => fly.tally.places)
    .reduce((sum, place) => sum + place.count, 0);
/** The card on one hook, and how many of it the drawer holds. */
async function pinned(store: Store, id = 'osmere:lark:14') {
  act(
    () =>
      void store.dispatch(
        change('pin-hook', (draft) => void draft.match[DUN]!.answers.forEach((answer) => (answer.hookId = id))),
      ),
  );
  const [maker, model, size] = id.split(':').map((word) => word[0]!.toUpperCase() + word.slice(1));
  await waitFor(() => expect(screen.getAllByText(`${maker} ${model} ${size}`).length).toBeGreaterThan(0));
  return { id, left: hooksLeft(store, id) };
}

describe('the card', () => {
  const open = async () => {
    const opened = await openScreen(<MatchScreen id={DUN} step="bench" />);
    unfold('Steps', 'Where each part lies', 'Small print', 'Off the vise');
    return opened;
  };
  test('every part in millimetres with its range, its rule and its material', async () => {
    await open();
    const tail = screen.getByRole('row', { name: /^Tail/ });
    expect(tail).toHaveTextContent(/Stiff grey fibres|fibres/i);
    expect(tail).toHaveTextContent(/1\.0 × shank/);
    expect(tail).toHaveTextContent(/\d\.\d mm to \d\.\d mm/);
    expect(screen.getByRole('row', { name: /^Thorax/ })).toHaveTextContent(/· what is left of the room/);
    expect(screen.getByRole('row', { name: /^Hackle 4 turns/ })).toHaveTextContent(/stays grey, \d+ off the natural/);
  });
  test('room, used and left, and the sentence whether it fits', async () => {
    await open();
    expect(screen.getByText('Everything fits')).toBeInTheDocument();
    const room = screen.getByRole('button', { name: /^Room\. / });
    expect(room.parentElement!.parentElement).toHaveTextContent(/Room\d\.\d/);
    fireEvent.click(room);
    expect(room.parentElement).toHaveTextContent(/^Room.{20,}/);
  });
  test('thread, hackle and stations are in the small print', async () => {
    await open();
    expect(screen.getByText(/70 denier: about 0\.09 mm thick/)).toBeInTheDocument();
    expect(screen.getByText(/barb \d\.\d mm \(gauge \d+\), \d turns/)).toBeInTheDocument();
    expect(screen.getByText(/^Mid-shank \d\.\d mm$/i)).toBeInTheDocument();
  });
  test('steps carry their check, their mend and their caution', async () => {
    await open();
    const steps = screen.getAllByRole('listitem');
    expect(steps).toHaveLength(17);
    expect(steps[0]).toHaveTextContent('Look: Thread lies flat');
    expect(steps[0]).toHaveTextContent('If it went wrong:');
    expect(steps[0]).toHaveTextContent('Care: hook point, as above');
    const care = screen.getByRole('button', { name: /^Care: / });
    expect(care).toHaveAccessibleName(
      'Care: Hook point, Blade, Varnish, Needle. Local rules and licensed practice come first.',
    );
    fireEvent.click(care);
    expect(screen.getAllByText(/^Hook point: .*Local rules and licensed practice come first\./)).toHaveLength(1);
  });
  test('flies that are tied go into a box and their hooks out of the packet, in one change that can be undone', async () => {
    const { store } = await open();
    const { id, left } = await pinned(store);
    fireEvent.click(screen.getByRole('button', { name: 'Tied: 2' }));
    fireEvent.click(screen.getByRole('button', { name: 'Tied: 3' }));
    const before = fliesOn(store, id);
    fireEvent.click(screen.getByText('3 are tied'));
    expect(hooksLeft(store, id)).toBe(left - 3);
    expect(fliesOn(store, id)).toBe(before + 3);
    expect(
      screen.getByText(new RegExp(`^3 into .* · 3 hooks out of the packet, ${left - 3} left`)),
    ).toBeInTheDocument();
    act(() => void store.dispatch(undone()));
    expect([hooksLeft(store, id), fliesOn(store, id)]).toEqual([left, before]);
  });
  test('of a hook that is in no packet none is taken, and without a box there is nothing to note', async () => {
    const { store } = await open();
    await pinned(store, 'bessock:fine:12');
    expect(screen.getByText('No packet of Bessock Fine 12 is in the drawer: no hook is taken.')).toBeInTheDocument();
    fireEvent.change(screen.getByLabelText('Into'), { target: { value: 'none' } });
    expect(screen.getByText('One is tied').closest('[role=button]')).toHaveAttribute('aria-disabled', 'true');
    expect(screen.getByText(/^Choose a box: into none nothing would be kept/)).toBeInTheDocument();
  });
  test('without a box the flies go into one that is made for them; both are taken back together', async () => {
    const { store } = await open();
    const { id, left } = await pinned(store);
    act(
      () =>
        void store.dispatch(
          change('box', (draft) => void Object.keys(draft.box).forEach((box) => delete draft.box[box])),
        ),
    );
    const before = fliesOn(store, id);
    fireEvent.click(screen.getByRole('button', { name: 'Tied: 2' }));
    fireEvent.click(screen.getByText('2 are tied'));
    const { box } = store.getState().records.entities;
    expect(Object.values(box).map(({ name }) => name)).toEqual(['Box 1']);
    expect(screen.getByText(/^2 into Box 1, which is new · 2 hooks out of the packet/)).toBeInTheDocument();
    expect(Object.values(store.getState().records.entities.fly).flatMap(({ tally }) => tally.places)).toContainEqual(
      expect.objectContaining({ boxId: Object.keys(box)[0], count: 2 }),
    );
    fireEvent.click(screen.getByText('Take it back'));
    expect(Object.keys(store.getState().records.entities.box)).toEqual([]);
    expect([hooksLeft(store, id), fliesOn(store, id)]).toEqual([left, before]);
    expect(screen.queryByText(/into Box 1/)).toBeNull();
  });
  test('the card goes on paper with what it is tied for and its lengths at true size, and as text to paste', async () => {
    await openScreen(<MatchScreen id={DUN} step="bench" />);
    unfold('On paper');
    fireEvent.change(screen.getByLabelText('Paper'), { target: { value: 'a5' } });
    await act(async () => void fireEvent.click(screen.getByText('PDF to print')));
    const [job, { card, page, printed }] = jest.mocked(run).mock.calls.at(-1)! as [
      string,
      Jobs['tying-card-pdf']['input'],
    ];
    expect([job, page, printed]).toEqual(['tying-card-pdf', 'a5', 1]);
    expect(card.natural).toEqual([
      'Pale riffle dun, 8.1 mm ± 0.6, 3 measured',
      'River Auldry, long riffle · 24 May 2033, 04:42',
    ]);
    expect(card.bars[0]!.label).toMatch(/^shank \d\.\d mm$/);
    for (const { label, mm } of card.bars) expect(label).toContain(`${mm.toFixed(1)} mm`);
    expect(card.drawing!.marks.length).toBeGreaterThan(10);
    expect(card.sections.map(({ title }) => title)).toEqual(expect.arrayContaining(['Parts', 'Order of work', 'Care']));
    await act(async () => void fireEvent.click(screen.getByText('Copy as text')));
    expect(copied.at(-1)).toMatch(/^First-light upright dun\nOn Bessock Fine 13.*\nPale riffle dun/);
    expect(copied.at(-1)).toContain('17. Free the eye');
    expect(screen.getByText('Copied: paste it where you like.')).toBeInTheDocument();
    jest.mocked(run).mockRejectedValueOnce(new Error('no'));
    await act(async () => void fireEvent.click(screen.getByText('PDF to print')));
    expect(screen.getByText(/^The page could not be made/)).toBeInTheDocument();
  });
  test('the bench opens full screen', async () => {
    await open();
    fireEvent.click(screen.getByRole('button', { name: 'Tie from the card' }));
    expect(went.to).toContainEqual({ pathname: '/matches/[id]/tie', params: { id: DUN } });
  });
  test('how it rides is a line, with what bears it and what to do on the bank before another fly', async () => {
    await openScreen(<MatchScreen id={DUN} step="bench" />);
    const line = screen.getByRole('button', { name: /^How it rides/ });
    expect(line).toHaveAccessibleName(/^How it rides: Rides (high|in the film), about$/);
    unfold('How it rides');
    expect(screen.getByText(/^It weighs \d+(\.\d)? mg/)).toBeInTheDocument();
    expect(screen.getByText(/^A model of stuff/)).toBeInTheDocument();
    expect(screen.getByText('Pull it under and soak it').parentElement).toHaveTextContent(
      /rides just under|sinks.*falls at about \d+ mm a second/,
    );
    expect(screen.getByText('The same on a class heavier wire').parentElement).toHaveTextContent(/\d+ % less to spare/);
  });
});
