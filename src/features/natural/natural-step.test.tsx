import { act, fireEvent, render, screen, within } from '@testing-library/react';
import { Provider } from 'react-redux';
import { MatchScreen } from '@/features/match-frame/screens';
import { CautionOfTheDay, SpeechProvider } from '@/features/shell';
import { specimen } from '@/records';
import { selectDevice, type Store } from '@/state';
import { DUN, openScreen, unfold } from '../__tests__/screen';
import { change } from '@/state/__tests__/change';

const body = (n: number) => screen.getByLabelText(`Body ${n}`);
const type = (field: HTMLElement, value: string) => {
  fireEvent.focus(field);
  fireEvent.change(field, { target: { value } });
};
const sampleOf = (store: Store, id = DUN) =>
  store.getState().records.entities.sample[store.getState().records.entities.match[id]!.sampleId]!;
const hookLine = () => screen.getByLabelText(/^Hook: /);
const openShut = (id = DUN) => openScreen(<MatchScreen id={id} step="natural" />);
/** A natural with every part of it open. */
async function open(id = DUN) {
  const opened = await openShut(id);
  unfold('What is it\\?', 'Body length', 'Colour by region', 'Name, place and water');
  return opened;
}

describe('lengths', () => {
  test('a length is typed, nudged and taken back; the answer follows', async () => {
    const { store } = await open();
    type(body(1), '9,4');
    expect(sampleOf(store).specimens[0]!.body).toEqual({ mm: 9.4, typed: null });
    expect(body(1)).toHaveValue('9,4');
    fireEvent.blur(body(1));
    expect(body(1)).toHaveValue('9.4');
    fireEvent.click(screen.getByLabelText('0.1 more, body 1'));
    expect(sampleOf(store).specimens[0]!.body.mm).toBe(9.5);
    fireEvent.click(screen.getByLabelText('0.1 less, body 1'));
    fireEvent.click(screen.getByLabelText('0.1 less, body 1'));
    expect(sampleOf(store).specimens[0]!.body.mm).toBe(9.3);
  });
  test('inches and fractions are read, whatever the unit of the screen', async () => {
    const { store } = await open();
    type(body(1), '5/16"');
    expect(sampleOf(store).specimens[0]!.body.mm).toBeCloseTo(7.9375, 4);
  });
  test('Enter in the last field opens the next individual, ready to type; Enter higher up does not', async () => {
    const { store } = await open();
    const before = sampleOf(store).specimens.length;
    fireEvent.keyDown(body(1), { key: 'Enter' });
    expect(sampleOf(store).specimens).toHaveLength(before);
    fireEvent.keyDown(body(before), { key: 'Enter' });
    expect(sampleOf(store).specimens).toHaveLength(before + 1);
    expect(body(before + 1)).toHaveFocus();
  });
  test('an individual is removed, and undo brings it back', async () => {
    const { store } = await open();
    const before = sampleOf(store).specimens;
    fireEvent.click(screen.getByLabelText('Remove body 2'));
    expect(sampleOf(store).specimens.map((item) => item.id)).toEqual([before[0]!.id, before[2]!.id]);
    act(() => void store.dispatch({ type: 'records/undone' }));
    expect(sampleOf(store).specimens).toEqual(before);
  });
  test('what cannot be read stays as typed, is named beside its field, and the last answer stays', async () => {
    const { store } = await open();
    const line = hookLine().getAttribute('aria-label');
    type(body(2), 'long');
    fireEvent.blur(body(2));
    expect(body(2)).toHaveValue('long');
    expect(body(2)).toHaveAttribute('aria-invalid', 'true');
    expect(document.getElementById(body(2).getAttribute('aria-describedby')!)).toHaveTextContent(
      /cannot be read as a length: long/,
    );
    expect(sampleOf(store).specimens[1]!.body).toEqual({ mm: 8.4, typed: 'long' });
    expect(hookLine().getAttribute('aria-label')).toBe(line);
    expect(screen.getByText(/last good answer/)).toBeInTheDocument();
  });
  test('how it was measured changes how sure the length is', async () => {
    await open();
    const sure = () => screen.getAllByLabelText(/^Natural: Mayfly dun/)[0]!.getAttribute('aria-label');
    const typed = sure();
    fireEvent.change(screen.getByLabelText('Measured by'), { target: { value: 'eye' } });
    expect(sure()).not.toBe(typed);
  });
});

const searchKind = (value: string) => {
  const field = screen.getByRole('textbox', { name: /^Another kind/ });
  fireEvent.focus(field);
  fireEvent.change(field, { target: { value } });
};

describe('the stage', () => {
  test('an order shows its own stages, and a stage answers at once', async () => {
    const { store } = await open();
    fireEvent.click(screen.getByText('Caddis'));
    fireEvent.click(screen.getByText('cased larva'));
    const match = store.getState().records.entities.match[DUN]!;
    expect(match.answers.find((answer) => answer.id === match.leading)!.stage).toBe('caddis/cased-larva');
    expect(screen.getByLabelText(/^Case/)).toBeInTheDocument();
  });
  test('every order is found by a word of its name', async () => {
    await open();
    expect(screen.queryByText('Damselfly')).toBeNull();
    searchKind('damselfly');
    expect(screen.getByRole('radio', { name: 'Damselfly nymph' })).toBeInTheDocument();
    searchKind('unicorn');
    expect(screen.getByText(/^No kind of that name/)).toBeInTheDocument();
  });
  test('a match that waits for a length says so and offers to give it', async () => {
    await open('match_demo-waiting');
    expect(hookLine().getAttribute('aria-label')).toMatch(/waits for a length/);
    fireEvent.click(screen.getByText('Give a length'));
    expect(body(1)).toHaveFocus();
  });
});

describe('colours', () => {
  const openRegion = (name: string) =>
    fireEvent.click(screen.getByRole('button', { name: new RegExp(`^Colour of ${name}:`) }));
  const openBelly = async () => {
    const opened = await open();
    openRegion('belly');
    return opened;
  };
  const belly = () => screen.getByLabelText('Colour of belly, typed');
  test('a hex or Lab colour is kept and named', async () => {
    const { store } = await openBelly();
    type(belly(), 'lab(60 2 40)');
    expect(sampleOf(store).colours['abdomen-belly']).toMatch(/^#[0-9a-f]{6}$/);
    type(belly(), '#223344');
    expect(sampleOf(store).colours['abdomen-belly']).toBe('#223344');
  });
  test('what is not a colour stays as typed with its fault, and the last colour is dropped for nothing else', async () => {
    const { store } = await openBelly();
    type(belly(), 'oliveish');
    fireEvent.blur(belly());
    expect(belly()).toHaveValue('oliveish');
    expect(screen.getByText(/cannot be read as a colour: oliveish/)).toBeInTheDocument();
    expect(sampleOf(store).unread['abdomen-belly']).toBe('oliveish');
    expect(sampleOf(store).colours['abdomen-belly']).toMatch(/^#/);
  });
  test('only what a stage has is asked for, and a colour that was given stays in sight', async () => {
    const { store } = await openBelly();
    searchKind('worm');
    fireEvent.click(screen.getByRole('radio', { name: /^Worm/ }));
    unfold('What is it\\?');
    const line = (name: string) => screen.queryByRole('button', { name: new RegExp(`^Colour of ${name}:`) });
    expect(line('thorax, back')).toBeNull();
    openRegion('legs');
    const legs = screen.getByLabelText('Colour of legs, typed');
    expect(legs).toHaveValue(sampleOf(store).colours.legs);
    type(legs, '');
    expect(line('legs')).toBeNull();
  });
  test('an emptied field takes the colour away', async () => {
    const { store } = await openBelly();
    type(belly(), '');
    expect(sampleOf(store).colours['abdomen-belly']).toBeUndefined();
  });
  test('a swatch gives a colour by its word in place of the one that was there; a word that is typed does the same', async () => {
    const { store } = await openBelly();
    const line = () => screen.getByRole('button', { name: /^Colour of belly:/ }).getAttribute('aria-label');
    fireEvent.click(screen.getByRole('radio', { name: 'dark brown' }));
    expect(sampleOf(store).shades['abdomen-belly']).toBe('dark-brown');
    expect(sampleOf(store).colours['abdomen-belly']).toBeUndefined();
    expect(line()).toBe('Colour of belly: dark brown');
    expect(belly()).toHaveValue('dark brown');
    type(belly(), 'Pale olive');
    expect(sampleOf(store).shades['abdomen-belly']).toBe('pale-olive');
    type(belly(), '#223344');
    expect(sampleOf(store).colours['abdomen-belly']).toBe('#223344');
    expect(sampleOf(store).shades['abdomen-belly']).toBeUndefined();
    fireEvent.click(screen.getByRole('radio', { name: 'middling rust' }));
    fireEvent.click(screen.getByRole('button', { name: 'no word' }));
    expect(line()).toBe('Colour of belly: not told');
  });
  test('arrows go along a row of swatches and from row to row', async () => {
    await openBelly();
    const sheet = screen.getByRole('radiogroup', { name: 'Colour of belly by its word' });
    const swatch = (name: string) => within(sheet).getByRole('radio', { name });
    act(() => swatch('pale olive').focus());
    fireEvent.keyDown(sheet, { key: 'ArrowRight' });
    expect(swatch('middling olive')).toHaveFocus();
    fireEvent.keyDown(sheet, { key: 'ArrowDown' });
    expect(swatch('middling brown')).toHaveFocus();
    fireEvent.keyDown(sheet, { key: 'ArrowUp' });
    fireEvent.keyDown(sheet, { key: 'ArrowLeft' });
    expect(swatch('pale olive')).toHaveFocus();
  });
});

describe('each part is a line once it is given', () => {
  const isOpen = (title: string) =>
    screen.getByRole('button', { name: new RegExp(`^${title}`) }).getAttribute('aria-expanded');
  test('a natural that is told stands in five lines, each with what was given', async () => {
    await openShut();
    for (const line of [
      /^What is it\?: Mayfly dun, Mayfly spinner$/,
      /^Body length: 8\.1 mm ± 0\.6, 3 measured$/,
      /^Colour by region: belly pale olive, /,
      /^What it becomes, and what it was: Mayfly spinner, /,
      /^Name, place and water: Pale riffle dun · River Auldry, long riffle · Fast$/,
    ])
      expect(screen.getByRole('button', { name: line })).toHaveAttribute('aria-expanded', 'false');
    expect(screen.queryByLabelText('Body 1')).toBeNull();
  });
  test('one that waits for its length has that open, and the kind closes when it is given, with the focus on its line', async () => {
    const { store } = await openShut('match_demo-waiting');
    expect([isOpen('What is it'), isOpen('Body length')]).toEqual(['false', 'true']);
    unfold('What is it\\?');
    act(() => screen.getByRole('radio', { name: 'Midge' }).focus());
    fireEvent.click(screen.getByRole('radio', { name: 'Midge' }));
    act(() => screen.getByRole('radio', { name: 'pupa' }).focus());
    fireEvent.click(screen.getByRole('radio', { name: 'pupa' }));
    const match = store.getState().records.entities.match['match_demo-waiting']!;
    expect(match.answers[0]!.stage).toBe('midge/pupa');
    expect([isOpen('What is it'), isOpen('Body length')]).toEqual(['false', 'true']);
    expect(screen.getByRole('button', { name: /^What is it/ })).toHaveFocus();
  });
});

test('taking insects and wading carry their cautions in one line, once a day', async () => {
  const { store, unmount } = await open();
  expect(
    screen.getByText(
      /^Take few, put them back\. Wade known ground, not alone\. Local rules and licensed practice come first\./,
    ),
  ).toBeInTheDocument();
  expect(selectDevice(store.getState()).cautioned).toEqual({ 'taking-insects': '2033-05-24', wading: '2033-05-24' });
  unmount();
  render(
    <Provider store={store}>
      <SpeechProvider>
        <CautionOfTheDay ids={['taking-insects', 'wading', 'dark-alone']} />
      </SpeechProvider>
    </Provider>,
  );
  expect(screen.queryByText(/Take few/)).toBeNull();
  expect(screen.getByText(/^Dusk and dark: two lights/)).toBeInTheDocument();
});

test('a name and a place are kept as they are typed', async () => {
  const { store } = await open();
  type(screen.getByLabelText('Name of the natural'), 'Grey one');
  type(screen.getByLabelText('Where'), 'top weir');
  expect(store.getState().records.entities.match[DUN]!.title).toBe('Grey one');
  expect(sampleOf(store).place).toBe('top weir');
  expect(screen.getByRole('heading', { level: 1 })).toHaveTextContent('Grey one');
});

test('day and time are changed, and a water from before is taken again', async () => {
  const { store } = await open();
  const when = screen.getByLabelText('Taken on');
  expect(when).toHaveValue('2033-05-24T04:42');
  fireEvent.change(when, { target: { value: '2033-04-02T19:05' } });
  expect(sampleOf(store).when).toBe('2033-04-02T19:05');
  fireEvent.change(when, { target: { value: '' } });
  expect(sampleOf(store).when).toBe('2033-04-02T19:05');
  const before = screen.getByLabelText('A water from before');
  expect(within(before).queryByRole('option', { name: sampleOf(store).place })).toBeNull();
  fireEvent.change(before, { target: { value: 'Staith Brook, mill bend' } });
  expect(sampleOf(store).place).toBe('Staith Brook, mill bend');
});

describe('insects told apart', () => {
  const fill = (store: Store, lengths: readonly number[]) =>
    act(
      async () =>
        void store.dispatch(
          change(
            'length',
            (draft) =>
              void (draft.sample['sample_demo-auldry-dun']!.specimens = lengths.map((mm, index) =>
                specimen(`s${index}`, mm),
              )),
          ),
        ),
    );
  test('two heaps are offered as the sexes, and the one asked for is matched', async () => {
    const { store } = await open();
    await fill(store, [8.0, 8.1, 7.9, 9.4, 9.3, 9.5]);
    expect(screen.getByText('Two heaps: 3 about 8.0 mm and 3 about 9.4 mm. Males and females?')).toBeInTheDocument();
    fireEvent.click(screen.getByText('Tell them apart'));
    expect(sampleOf(store).specimens.map((item) => item.sex)).toEqual([
      'male',
      'male',
      'male',
      'female',
      'female',
      'female',
    ]);
    expect(screen.queryByText(/^Two heaps/)).toBeNull();
    fireEvent.click(within(screen.getByLabelText('Sex')).getByText('Female'));
    expect(screen.getByLabelText(/^Natural: Mayfly dun\. 9\.4 mm .* 3 measured/)).toBeInTheDocument();
    fireEvent.click(within(screen.getByLabelText('Sex of body 1')).getByText('Female'));
    expect(screen.getByLabelText(/^Natural: Mayfly dun\. 9\.1 mm .* 4 measured/)).toBeInTheDocument();
  });
  test('one that is left out with a reason does not count, until it is counted again', async () => {
    const { store } = await open();
    await fill(store, [8.0, 8.2, 12]);
    fireEvent.click(screen.getByText('Leave one out'));
    fireEvent.click(within(screen.getByLabelText('Leave body 3 out')).getByText('another kind'));
    expect(sampleOf(store).specimens[2]!.out).toBe('other-kind');
    expect(screen.getByText('left out: another kind')).toBeInTheDocument();
    expect(screen.getByLabelText(/^Natural: Mayfly dun\. 8\.1 mm .* 2 measured/)).toBeInTheDocument();
    fireEvent.click(screen.getByLabelText('Count body 3 again'));
    expect(sampleOf(store).specimens[2]!.out).toBeNull();
  });
  test('a soft larva out of spirit is counted longer; a dun has no such switch', async () => {
    const { store } = await open();
    expect(screen.queryByText('Out of spirit')).toBeNull();
    await fill(store, [9.6]);
    await act(
      async () =>
        void store.dispatch(change('stage', (draft) => void (draft.match[DUN]!.answers[0]!.stage = 'midge/larva'))),
    );
    fireEvent.click(screen.getByText('Out of spirit'));
    expect(screen.getByLabelText(/^Natural: Midge larva\. 10\.0 mm/)).toBeInTheDocument();
    expect(screen.getByText('Spirit shrinks soft larvae: counted 4 % longer.')).toBeInTheDocument();
  });
});

test('what it becomes is told with its spread and its belly, and a follow-up match carries the belly on in words', async () => {
  const { store } = await open();
  unfold('What it becomes, and what it was');
  expect(screen.getAllByText(/^one insect to the next within ± \d/).length).toBeGreaterThan(0);
  expect(screen.getAllByText('belly usually darker and redder').length).toBeGreaterThan(0);
  fireEvent.click(screen.getByLabelText('Match mayfly spinner'));
  const followed = Object.values(store.getState().records.entities.match).find((match) => match.parentId === DUN)!;
  expect(store.getState().records.entities.sample[followed.sampleId]!.shades['abdomen-belly']).toMatch(
    /^(dark|mid|pale)-/,
  );
});

test('what another program says of it is a line that opens to its terms; without any there is none', async () => {
  const { store } = await openShut();
  expect(screen.queryByText('Said by another program')).toBeNull();
  await act(
    async () =>
      void store.dispatch(
        change('extra', (draft) => {
          const { sampleId } = draft.match[DUN]!;
          draft.sample[sampleId]!.extra = {
            'http://purl.org/dc/terms/license': 'free',
            'measurement:body mass': '12 mg',
          };
        }),
      ),
  );
  expect(screen.getByText('2 terms, kept as they came')).toBeInTheDocument();
  unfold('Said by another program');
  for (const line of ['license', 'free', 'body mass', '12 mg']) expect(screen.getByText(line)).toBeInTheDocument();
});
