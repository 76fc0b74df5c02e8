import { act, fireEvent, screen, within } from '@testing-library/react';
import { GROUPS, KEY } from '@/catalogue';
import { groupSchema } from '@/records';
import { undone, type Store } from '@/state';
import { selectKey } from '@/state/answering';
import { choose, openScreen, pressReady } from '../__tests__/screen';
import { GroupScreen, tellingSigns } from './group-screen';
import { answersSearch, GuideScreen, lengthsOf } from './guide-screen';
import { change } from '@/state/__tests__/change';

jest.mock('@/workers', () => jest.requireActual('../__tests__/backup-jobs'));

const group = (id: string) => GROUPS.find((item) => item.id === id)!;

test('a search answers by any word of names, colours and notes', () => {
  expect(answersSearch(group('m18'), 'ephemera burrowing')).toBe(true);
  expect(answersSearch(group('m18'), 'ephemera purple')).toBe(false);
  expect(answersSearch(group('m18'), '')).toBe(true);
});

test('lengths of a group span all its stages', () => expect(lengthsOf(group('m18'))).toEqual([13.3, 28]));

test('the signs that tell a stage are its own', () => {
  expect(tellingSigns('stonefly/nymph').map((item) => `${item.sign}=${item.answer}`)).toContain('tails=2');
  expect(tellingSigns('caddis/cased-larva').map((item) => item.sign)).not.toContain('light');
  expect(tellingSigns('damselfly/nymph')[0]).toMatchObject({ sign: 'tails', answer: 'plates' });
});

test('the guide lists every group, narrows by search and by part of the world', async () => {
  await openScreen(<GuideScreen />);
  expect(screen.getByText('114 groups of naturals')).toBeInTheDocument();
  fireEvent.change(screen.getByLabelText('Search'), { target: { value: 'stonefly giant' } });
  expect(screen.getAllByRole('link').map((link) => link.getAttribute('href'))).toEqual([
    '/shelf',
    '/shelf/naturals/s01',
  ]);
  choose('Where', 'Europe');
  expect(screen.getByText('No group answers that search here.')).toBeInTheDocument();
});

test('a group shows its season in words, its facts and every stage at one scale', async () => {
  await openScreen(<GroupScreen id="m18" />);
  expect(screen.getByRole('heading', { level: 1, name: 'Large burrowing mayfly' })).toBeInTheDocument();
  expect(screen.getByLabelText('In season: May, June')).toBeInTheDocument();
  expect(screen.getByText('Hatches').parentElement).toHaveTextContent('Hatchesin the film');
  expect(screen.getAllByRole('heading', { level: 3 })).toHaveLength(group('m18').stages.length);
  expect(screen.getByLabelText('Mayfly dun of 18.0 mm, to scale.')).toBeInTheDocument();
});

test('a group that is not there offers the guide', async () => {
  await openScreen(<GroupScreen id="zz" />);
  expect(screen.getByRole('link', { name: 'See the list' })).toHaveAttribute('href', '/shelf/naturals');
});

describe('groups of one’s own', () => {
  const spanInKey = (store: Store) =>
    selectKey(store.getState())
      .members.flat()
      .find(({ group: { id }, entry }) => id === 'group_reed' && entry.stage === 'caddis/adult')!.entry.length_mm;
  const own = (store: Store) => Object.values(store.getState().records.entities.group);
  async function withOne() {
    const opened = await openScreen(<GroupScreen id="group_reed" />);
    await act(
      async () =>
        void opened.store.dispatch(
          change(
            'group',
            (draft) =>
              void (draft.group.group_reed = groupSchema.cast({
                order: 'caddis',
                name: 'reed caddis',
                stages: [{ stage: 'caddis/adult' }],
              })),
          ),
        ),
    );
    return opened.store;
  }
  test('one is added from the guide and stands before the shipped ones', async () => {
    const { store } = await openScreen(<GuideScreen />);
    fireEvent.click(screen.getByText('Add a group of your own'));
    expect(own(store)).toMatchObject([
      { name: 'New group', order: 'mayfly', stages: [{ stage: 'mayfly/nymph' }, { stage: 'mayfly/dun' }] },
    ]);
    expect(screen.getByText('115 groups of naturals')).toBeInTheDocument();
  });
  test('names, months, waters, stages and lengths are kept as they are typed; lengths out of order say so', async () => {
    const store = await withOne();
    fireEvent.click(screen.getByText('Jun'));
    fireEvent.click(screen.getByText('Still'));
    fireEvent.click(screen.getByText('Add caddis pupa'));
    for (const [label, value] of [
      ['Least', '9'],
      ['Usual', '8'],
      ['Most', '10'],
    ] as const) {
      const field = screen.getAllByLabelText(label)[0]!;
      fireEvent.focus(field);
      fireEvent.change(field, { target: { value } });
    }
    expect(screen.getByText('least, usual and most must all be given, in that order')).toBeInTheDocument();
    expect(spanInKey(store)).toBeNull();
    fireEvent.change(screen.getAllByLabelText('Usual')[0]!, { target: { value: '9.5' } });
    expect(own(store)[0]).toMatchObject({
      months: [6],
      waters: ['still'],
      stages: [{ leastMm: 9, usualMm: 9.5, mostMm: 10 }, { stage: 'caddis/pupa' }],
    });
    expect(spanInKey(store)).toEqual([9, 9.5, 10]);
  });
  test('a deleted one leaves the key, and undo brings it back', async () => {
    const store = await withOne();
    fireEvent.click(screen.getByText('Delete this group'));
    expect(selectKey(store.getState())).toBe(KEY);
    await act(async () => void store.dispatch(undone()));
    expect(selectKey(store.getState()).groups[0]).toMatchObject({ id: 'group_reed', name: 'reed caddis' });
  });
  test('a file is shown before it is taken: new ones, changed ones, and every bad row', async () => {
    const { store } = await openScreen(<GuideScreen />);
    await act(
      async () =>
        void store.dispatch(
          change(
            'group',
            (draft) =>
              void (draft.group.group_a = groupSchema.cast({
                order: 'mayfly',
                name: 'A',
                note: 'seen twice',
                stages: [{ stage: 'mayfly/dun' }],
              })),
          ),
        ),
    );
    const click = jest.spyOn(HTMLInputElement.prototype, 'click').mockImplementation(function choose(
      this: HTMLInputElement,
    ) {
      Object.defineProperty(this, 'files', {
        value: [
          new File(['id,name,stage\na,A again,mayfly/spinner\nb,B,caddis/adult\nc,C,caddis/egg\n'], 'groups.csv'),
        ],
      });
      this.dispatchEvent(new Event('change'));
    });
    await act(async () => fireEvent.click(screen.getByText('Read a file')));
    click.mockRestore();
    await screen.findByText('2 good rows of 3');
    const told = within(await screen.findByRole('group', { name: 'What it would do' }));
    for (const line of ['1 new:', 'B', 'Changes 1 of yours:', 'A: stages, name'])
      expect(told.getByText(line)).toBeInTheDocument();
    expect(screen.getByText(/^Line 4: stage caddis\/egg is not known/)).toBeInTheDocument();
    await pressReady('Take 2 groups');
    // What the file does not say of it stays.
    expect(own(store).map((group) => [group.name, group.note, group.stages.map((entry) => entry.stage)])).toEqual([
      ['A again', 'seen twice', ['mayfly/dun', 'mayfly/spinner']],
      ['B', null, ['caddis/adult']],
    ]);
  });
});
