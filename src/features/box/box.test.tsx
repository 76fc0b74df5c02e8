import { act, fireEvent, screen, within } from '@testing-library/react';
import { MatchScreen } from '@/features/match-frame/screens';
import { heldOf, markFly, matchSchema, noteResult, sampleSchema, specimen } from '@/records';
import { act as run, undone, type Store } from '@/state';
import { openScreen } from '../__tests__/screen';
import { went } from '../__tests__/router';
import { BoxScreen, BoxesScreen, EnterScreen } from './screens';
import { change } from '@/state/__tests__/change';

const BOX = 'box_demo-valley';
const flies = (store: Store) => store.getState().records.entities.fly;
const left = (store: Store, id: string) => heldOf(flies(store)[id]!).reduce((sum, place) => sum + place.left, 0);
const rows = () => screen.getAllByRole('listitem').map((row) => row.textContent!);

async function fresh(more: Parameters<typeof sampleSchema.cast>[0] = {}, start: 'demo' | 'clean' = 'demo') {
  const opened = await openScreen(<MatchScreen id="m" step="water" />, start);
  await act(
    async () =>
      void opened.store.dispatch(
        change('new-match', (draft) => {
          draft.sample.s = sampleSchema.cast({ when: '2033-05-24T04:50', ...(more as object) });
          draft.match.m = matchSchema.cast({
            opened: '2033-05-24T04:50',
            sampleId: 's',
            answers: [{ id: 'a1', stage: null }],
            leading: 'a1',
          });
        }),
      ),
  );
  return opened.store;
}

describe('what the box answers now', () => {
  test('three flies, each with why, where it lies and how many are left', async () => {
    await fresh({ signs: { wings: 'cloudy-upright', finish: 'dull' }, rough: { mm: 8.5, halfMm: 1.5, how: 'chip' } });
    expect(rows()).toHaveLength(3);
    expect(rows()[0]).toMatch(/First-light upright dun.*made for mayfly dun; the right length.*Valley box, A2.*3left/);
    fireEvent.click(screen.getByText('More of the box'));
    expect(rows().length).toBeGreaterThan(3);
  });
  test('one that is lost counts down and can be taken back; the last one gives way', async () => {
    const store = await fresh({ signs: { wings: 'cloudy-upright' }, rough: { mm: 8.5, halfMm: 1.5, how: 'chip' } });
    for (let i = 0; i < 3; i++) fireEvent.click(screen.getAllByLabelText(/^Lost one First-light upright dun \d+$/)[0]!);
    expect(left(store, 'fly_demo-a2')).toBe(0);
    expect(rows()[0]).not.toContain('A2');
    await act(async () => void store.dispatch(undone()));
    expect(left(store, 'fly_demo-a2')).toBe(1);
  });
  test('what a fish did is noted with one tap, said here and on the fly, and can be taken back', async () => {
    const store = await fresh({ signs: { wings: 'cloudy-upright' }, rough: { mm: 8.5, halfMm: 1.5, how: 'chip' } });
    const before = left(store, 'fly_demo-a2');
    fireEvent.click(screen.getAllByLabelText(/^One took it: First-light upright dun \d+$/)[0]!);
    fireEvent.click(screen.getAllByLabelText(/^One took it: First-light upright dun \d+$/)[0]!);
    fireEvent.click(screen.getAllByLabelText(/^One refused it: First-light upright dun \d+$/)[0]!);
    expect(screen.getByText('Here: 2 took it, 1 refused it')).toBeInTheDocument();
    expect(flies(store)['fly_demo-a2']!.tally.results!.of.m).toEqual({ took: 2, refused: 1 });
    expect(left(store, 'fly_demo-a2')).toBe(before);
    await act(async () => void store.dispatch(undone()));
    expect(screen.getByText('Here: 2 took it')).toBeInTheDocument();
  });
  test('what to do to a fly on the spot is said where it helps', async () => {
    const store = await fresh({ rough: { mm: 8.5, halfMm: 1.5, how: 'chip' } });
    await act(
      async () =>
        void store.dispatch(
          change('stage', (draft) => {
            draft.match.m!.answers[0]!.stage = 'mayfly/emerger';
            for (const [id, fly] of Object.entries(draft.fly))
              if (fly.dressingId !== 'first-light-dun') delete draft.fly[id];
          }),
        ),
    );
    expect(rows()[0]).toContain('On the spot: clip the hackle flat below.');
  });
  test('nothing close says so, and how far the nearest is off', async () => {
    const store = await fresh({ rough: { mm: 25, halfMm: 6, how: 'chip' } });
    await act(
      async () =>
        void store.dispatch(change('stage', (draft) => void (draft.match.m!.answers[0]!.stage = 'dragonfly/nymph'))),
    );
    expect(screen.getAllByText(/^Nothing close: the nearest is /).length).toBeGreaterThan(0);
  });
  test('one more look that could change the fly leads to the natural', async () => {
    await fresh({ signs: { wings: 'none' } });
    fireEvent.click(screen.getByText('Look at the stage'));
    expect(went.to[0]).toEqual({ pathname: '/matches/[id]/[step]', params: { id: 'm', step: 'natural', key: 'open' } });
  });
  test('without a box it says so and leads to one', async () => {
    await fresh({}, 'clean');
    expect(screen.getAllByText('No fly carried yet').length).toBeGreaterThan(0);
    expect(
      screen.getByText('One sign and a length, and here stands what to look for in your box.'),
    ).toBeInTheDocument();
    fireEvent.click(screen.getByText('Fill a box'));
    expect(went.to).toEqual(['/box']);
  });
  test('without a box it says what to look for in the real one, and the one that is found is put in, in a box made for it', async () => {
    const store = await fresh({}, 'clean');
    await act(
      async () =>
        void store.dispatch(
          change('stage', (draft) => {
            draft.match.m!.answers[0]!.stage = 'mayfly/dun';
            draft.sample.s!.specimens = [specimen('i1', 8.1)];
          }),
        ),
    );
    expect(screen.getByText('Look for this in your box')).toBeInTheDocument();
    expect(screen.getByText('7.4 mm to 8.8 mm')).toBeInTheDocument();
    fireEvent.click(screen.getByText('I have one: put it in'));
    const { box, fly } = store.getState().records.entities;
    expect(Object.values(box).map(({ name, carried }) => [name, carried])).toEqual([['Box 1', true]]);
    expect(Object.values(fly).flatMap(({ tally }) => tally.places)).toEqual([
      expect.objectContaining({ boxId: Object.keys(box)[0], slot: 'a1', count: 1 }),
    ]);
    expect(screen.queryByText('Look for this in your box')).toBeNull();
    expect(screen.getAllByText('First-light upright dun').length).toBeGreaterThan(0);
  });
});

describe('a box', () => {
  test('a compartment opens to its fly; lost, given, one more and the count are entries of its ledger', async () => {
    const { store } = await openScreen(<BoxScreen id={BOX} />);
    fireEvent.click(screen.getByLabelText('A2: First-light upright dun 14, 3 left'));
    fireEvent.click(screen.getByLabelText('Gave one First-light upright dun away'));
    fireEvent.click(screen.getByLabelText('One more First-light upright dun'));
    fireEvent.click(screen.getByLabelText('One more First-light upright dun'));
    fireEvent.click(screen.getByLabelText('First-light upright dun left: 5'));
    expect(left(store, 'fly_demo-a2')).toBe(5);
    expect(
      flies(store)
        ['fly_demo-a2']!.tally.latest.map(({ event }) => `${event.why} ${event.count}`)
        .sort(),
    ).toEqual(['counted 1', 'given -1', 'tied 1', 'tied 1', 'tied 3']);
  });
  test('a fly is moved to another compartment, and taken out', async () => {
    const { store } = await openScreen(<BoxScreen id={BOX} />);
    fireEvent.click(screen.getByLabelText(/^A2: /));
    fireEvent.click(screen.getByLabelText('Move First-light upright dun'));
    fireEvent.click(screen.getByLabelText(/^B4: /));
    expect(heldOf(flies(store)['fly_demo-a2']!)).toEqual([{ boxId: BOX, slot: 'b4', left: 3 }]);
    fireEvent.click(screen.getByLabelText('Take First-light upright dun out of the ledger'));
    expect(flies(store)['fly_demo-a2']).toBeUndefined();
  });
  test('a deleted box takes its flies, and undo brings both back', async () => {
    const { store } = await openScreen(<BoxScreen id={BOX} />);
    fireEvent.click(screen.getByText('Delete box'));
    expect([Object.keys(store.getState().records.entities.box), Object.keys(flies(store))]).toEqual([[], []]);
    await act(async () => void store.dispatch(undone()));
    expect(Object.keys(flies(store)).length).toBeGreaterThan(25);
  });
  test('a box of one’s own is made, and one at home is told from one carried', async () => {
    const { store } = await openScreen(<BoxesScreen />);
    fireEvent.click(screen.getByText('New box'));
    const made = Object.entries(store.getState().records.entities.box).find(([id]) => id !== BOX)!;
    expect(made[1]).toMatchObject({ name: 'Box 2', rows: 4, columns: 6, carried: true });
    expect(went.to).toEqual([{ pathname: '/box/[id]', params: { id: made[0] } }]);
    fireEvent.click(screen.getByLabelText('Valley box is carried'));
    expect(store.getState().records.entities.box[BOX]!.carried).toBe(false);
  });
  test('a link to a box that is not here offers the list', async () => {
    await openScreen(<BoxScreen id="none" />);
    expect(screen.getByText('There is no such box on this device.')).toBeInTheDocument();
  });
});

describe('putting flies in', () => {
  test('before a word is typed eight that lie in the box stand there; a word of the trade finds others, and the rest is a tap away', async () => {
    await openScreen(<EnterScreen id={BOX} />);
    const find = (text: string) =>
      fireEvent.change(screen.getByLabelText('Dressing or stage'), { target: { value: text } });
    expect(screen.queryByText('Gold-fur dung fly')).not.toBeInTheDocument();
    fireEvent.click(screen.getByText('141 more'));
    expect(screen.getByText('Gold-fur dung fly')).toBeInTheDocument();
    expect(screen.queryByText(/^\d+ more$/)).not.toBeInTheDocument();
    find('sedge');
    expect(screen.getByText(/^\d+ more$/)).toBeInTheDocument();
    find('fly dung');
    expect(screen.getByText('Gold-fur dung fly')).toBeInTheDocument();
    find('no such');
    expect(screen.getByText('No dressing answers that search.')).toBeInTheDocument();
  });
  test('a dressing, its sizes, how many of each; known ones are topped up where they lie', async () => {
    const { store } = await openScreen(<EnterScreen id={BOX} />);
    fireEvent.change(screen.getByLabelText('Dressing or stage'), { target: { value: 'half-out' } });
    fireEvent.click(screen.getByText('Half-out dun'));
    fireEvent.click(within(screen.getByLabelText('How many of each')).getByText('4'));
    fireEvent.click(screen.getByLabelText('Size 14'));
    fireEvent.click(screen.getByLabelText('Size 12'));
    expect(screen.getByText(/^Into B4, no compartment\./)).toBeInTheDocument();
    fireEvent.click(screen.getByText('Put 8 flies in'));
    expect(left(store, 'fly_demo-b4')).toBe(4);
    expect(
      Object.values(flies(store))
        .filter((fly) => fly.dressingId === 'half-out-dun')
        .map((fly) => fly.hookId),
    ).toEqual(['bessock:fine-curve:14', 'bessock:fine-curve:12']);
    expect(screen.getByText('8 Half-out dun put in B4.')).toBeInTheDocument();
  });
  test('a fly not tied here: stage, length and colour in words are enough', async () => {
    const { store } = await openScreen(<EnterScreen id={BOX} />);
    fireEvent.click(screen.getByText('Not tied here'));
    fireEvent.click(screen.getByText('Midge'));
    fireEvent.click(screen.getByText('pupa'));
    const length = screen.getByLabelText('or the length of insect it answers');
    fireEvent.focus(length);
    fireEvent.change(length, { target: { value: 'long' } });
    expect(screen.getByText(/long/)).toBeInTheDocument();
    fireEvent.change(length, { target: { value: '6,5' } });
    fireEvent.click(
      within(screen.getByLabelText('Colour of its body, in words')).getByRole('radio', { name: 'middling black' }),
    );
    fireEvent.click(screen.getByLabelText('How many: 2'));
    fireEvent.click(screen.getByText('Put 2 flies in'));
    expect(Object.values(flies(store)).find((fly) => fly.stage === 'midge/pupa')).toMatchObject({
      name: 'Midge pupa, not tied here',
      lengthMm: 6.5,
      shade: 'mid-black',
      hookId: null,
    });
  });
  test('a search that no dressing answers says so', async () => {
    await openScreen(<EnterScreen id={BOX} />);
    const field = screen.getByLabelText('Dressing or stage');
    fireEvent.focus(field);
    fireEvent.change(field, { target: { value: 'submarine' } });
    expect(screen.getByText('No dressing answers that search.')).toBeInTheDocument();
  });
});

describe('over all boxes', () => {
  const twoBoxes = (store: Store) =>
    change('box', (draft) => {
      draft.box.second = { ...structuredClone(draft.box[BOX]!), name: 'Chest box', carried: true };
      const { fly } = store.getState().records.entities;
      draft.fly.again = structuredClone(fly['fly_demo-a2']!);
      draft.fly.again.tally = { places: [{ boxId: 'second', slot: 'b1', count: 2, at: 'x' }], latest: [] };
    });
  const search = (value: string) => {
    const field = screen.getByLabelText(/^Which box holds/);
    fireEvent.focus(field);
    fireEvent.change(field, { target: { value } });
  };
  test('a search says which box holds a fly, the same fly once with its places', async () => {
    const { store } = await openScreen(<BoxesScreen />);
    act(() => void store.dispatch(twoBoxes(store)));
    search('upright 14');
    const found = within(screen.getAllByRole('list')[0]!).getAllByRole('link');
    expect(found).toHaveLength(1);
    expect(found[0]).toHaveAccessibleName(
      'First-light upright dun. Osmere Lark 14. 5 left. Valley box, A2: 3 · Chest box, B1: 2',
    );
    expect(found[0]).toHaveAttribute('href', `/box/${BOX}`);
    search('submarine');
    expect(screen.getByText('No box holds such a fly.')).toBeInTheDocument();
  });
  test('what has run out is listed to be tied, each with its dressing', async () => {
    const { store } = await openScreen(<BoxesScreen />);
    expect(screen.getByRole('button', { name: /^To tie/ })).toHaveAccessibleName(
      'To tie: 1 kind has run out or is below its mark',
    );
    act(
      () =>
        void store.dispatch(
          change('box', (draft) => {
            for (const fly of Object.values(draft.fly))
              if (fly.dressingId === 'first-light-dun')
                fly.tally = { ...fly.tally, places: fly.tally.places.map((place) => ({ ...place, count: 0 })) };
          }),
        ),
    );
    fireEvent.click(screen.getByRole('button', { name: /^To tie/ }));
    const rows = screen.getAllByRole('link', { name: /^Tie First-light upright dun/ });
    expect(rows[0]).toHaveAttribute('href', '/dressings/first-light-dun');
    // Whether it can be tied stands with it, from the stash, the packets and the tools.
    expect(rows[0]).toHaveTextContent(/ready to tie/);
    expect(rows[0]).toHaveAccessibleName(/ready to tie/);
  });
  test('a fly keeps so many over all boxes, and is to be tied once there are fewer', async () => {
    const shown = await openScreen(<BoxScreen id={BOX} />);
    fireEvent.click(screen.getByRole('button', { name: /^A2/ }));
    for (let low = 1; low <= 6; low++)
      fireEvent.click(screen.getByRole('button', { name: `Keep at least of First-light upright dun: ${low}` }));
    expect(flies(shown.store)['fly_demo-a2']!.low).toBe(6);
    act(() => void shown.store.dispatch(twoBoxes(shown.store)));
    // The mark goes over to the record it is set on, so that two of them never differ.
    act(() => void shown.store.dispatch(run(markFly, { flyId: 'again', low: 7 })));
    expect([flies(shown.store)['fly_demo-a2']!.low, flies(shown.store).again!.low]).toEqual([null, 7]);
    shown.unmount();
    await openScreen(<BoxesScreen />, shown.store);
    fireEvent.click(screen.getByRole('button', { name: /^To tie/ }));
    expect(screen.getByRole('link', { name: /^Tie First-light upright dun.*5 of 7/ })).toBeInTheDocument();
  });
  test('at the water the same fly of two boxes stands once, with where else it lies', async () => {
    const store = await fresh({ signs: { wings: 'cloudy-upright' }, rough: { mm: 8.5, halfMm: 1.5, how: 'chip' } });
    act(() => void store.dispatch(twoBoxes(store)));
    const lark = rows().filter((row) => /First-light upright dunOsmere Lark 14/.test(row));
    expect(lark).toHaveLength(1);
    expect(lark[0]).toMatch(/also (Chest box, B1: 2|Valley box, A2: 3)/);
    act(() => {
      for (const flyId of ['again', 'fly_demo-a2'])
        store.dispatch(run(noteResult, { flyId, result: 'took', matchId: 'm' }));
    });
    expect(screen.getByText('Here: 2 took it')).toBeInTheDocument();
  });
});
