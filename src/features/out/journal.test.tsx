import { act, cleanup, fireEvent, screen, within } from '@testing-library/react';
import { act as does } from '@/state';
import { matchSchema, noteSeen, outingSchema, outingsLatest, photoSchema, sampleSchema } from '@/records';
import { change } from '@/state/__tests__/change';
import { choose, laidOut, openScreen, unfold } from '../__tests__/screen';
import { askableOf, ANY_OUTING, findOutings, isAsked } from './find-outings';
import { OutingScreen, OutingsScreen } from './screens';

const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const count = () => Number(/^(\d+) outing/.exec(screen.getByText(/^\d+ outings?$/).textContent!)![1]);

describe('what is asked for', () => {
  const fly = (name: string, dressingId: string | null = null) => ({
    id: 't1',
    name,
    dressingId,
    on: '2033-05-24T05:00',
    off: null,
  });
  const outing = {
    a: outingSchema.cast({ start: '2033-05-24T05:00', waterId: 'w', team: [fly('Dun', 'dun')] }),
    b: outingSchema.cast({ start: '2031-05-02T05:00', waterId: 'v', team: [fly('Spinner')] }),
    c: outingSchema.cast({ start: '2033-04-02T05:00' }),
  };
  const stages = { found: new Map([['c', [{ stage: 'midge/pupa' }]]]), of: new Map([['dun', ['mayfly/dun']]]) };
  const find = (more: object) =>
    findOutings(
      ['a', 'b', 'c'],
      outing,
      { ...ANY_OUTING, ...more },
      () => stages,
      (id) => `text of ${id}`,
    );
  test.each([
    [{}, ['a', 'b', 'c']],
    [{ waterId: 'w' }, ['a']],
    [{ month: '05' }, ['a', 'b']],
    [{ fly: 'Spinner' }, ['b']],
    [{ stage: 'mayfly/dun' }, ['a']],
    [{ stage: 'midge/pupa' }, ['c']],
    [{ text: 'text b' }, ['b']],
    [{ month: '05', waterId: 'v', text: 'a' }, []],
  ])('%j finds %j', (more, found) => {
    expect(find(more)).toEqual(found);
    expect(isAsked({ ...ANY_OUTING, ...more })).toBe(Object.keys(more).length > 0);
  });
  test('only what there is can be asked for', () => {
    expect(askableOf(['a', 'b', 'c'], outing, stages)).toEqual({
      waters: ['w', 'v'],
      months: ['04', '05'],
      flies: ['Dun', 'Spinner'],
      stages: ['mayfly/dun', 'midge/pupa'],
    });
  });
});

test('the journal is narrowed by water, month, fly and stage, and shown whole again', async () => {
  const { store } = await openScreen(<OutingsScreen />);
  const all = Object.values(store.getState().records.entities.outing);
  expect(count()).toBe(all.length);
  unfold('Narrow');
  choose('Which water', 'Lake Ellanmere');
  const lake = all.filter(({ waterId }) => waterId === 'water_demo-ellanmere');
  expect(count()).toBe(lake.length);
  choose('Month of any year', 'May');
  expect(count()).toBe(lake.filter(({ start }) => start.slice(5, 7) === '05').length);
  choose('Fly that fished', 'Auldry flat spinner');
  expect(screen.getByText('No outing answers that search.')).toBeInTheDocument();
  press('Show all again');
  expect(count()).toBe(all.length);
  choose('Stage', 'Midge emerger');
  expect(count()).toBeLessThan(all.length);
});

test('a calendar shows the days of the latest month with what took on each, goes back month by month, and leads to an outing', async () => {
  const { store } = await openScreen(<OutingsScreen />);
  fireEvent.click(screen.getByRole('radio', { name: 'A calendar' }));
  const month = screen.getByRole('group', { name: 'May 2033' });
  const days = within(month).getAllByRole('button');
  expect(days.map((day) => day.getAttribute('aria-label'))).toEqual([
    expect.stringMatching(/^8 May: 1 outing, \d+ took$/),
    '22 May: 1 outing, 4 took',
  ]);
  expect(screen.getByRole('button', { name: /^On to/ })).toHaveAttribute('aria-disabled', 'true');
  fireEvent.click(days[1]!);
  expect(screen.getByRole('link', { name: /River Auldry/ })).toHaveAttribute('href', '/out/outing_demo-may');
  press('Back to April 2033');
  expect(screen.queryByRole('link', { name: /River Auldry/ })).toBeNull();
  const april = within(screen.getByRole('group', { name: 'April 2033' })).getAllByRole('button');
  const own = Object.values(store.getState().records.entities.outing).filter(({ start }) =>
    start.startsWith('2033-04'),
  );
  expect(april).toHaveLength(new Set(own.map(({ start }) => start.slice(0, 10))).size);
});

test('up to three outings stand beside each other; a fourth takes the place of the first', async () => {
  const { store } = await openScreen(<OutingsScreen />);
  press('Compare some');
  const boxes = screen.getAllByRole('checkbox');
  expect(screen.getByRole('button', { name: 'Compare these' })).toHaveAttribute('aria-disabled', 'true');
  act(() => boxes.slice(0, 4).forEach((box) => fireEvent.click(box)));
  expect(screen.getByText('3 of 3 picked')).toBeInTheDocument();
  expect(boxes[0]).toHaveAttribute('aria-checked', 'false');
  fireEvent.click(boxes[3]!);
  fireEvent.click(boxes[0]!);
  press('Compare these');
  const table = screen.getByRole('table', { name: '3 outings beside each other' });
  expect(within(table).getAllByRole('columnheader')).toHaveLength(3);
  const { outing } = store.getState().records.entities;
  const latest = outingsLatest(outing);
  const took = within(table).getByText('Took').closest('[role=row]')!;
  const figures = within(took as HTMLElement)
    .getAllByRole('cell')
    .map(({ textContent }) => Number(textContent));
  expect([...figures].sort()).toEqual([0, 1, 2].map((n) => outing[latest[n]!]!.tally.all.took).sort());
  // Of May: spent wings from 20:25, a sip is of nobody alone.
  expect(within(table).getAllByText(/^Spinners falling \d\d:\d\d$/).length).toBeGreaterThan(0);
  press('Close');
  expect(screen.queryByRole('table')).toBeNull();
});

test('photographs of naturals stand on the outing they were found on', async () => {
  const { store } = await openScreen(<OutingScreen id="outing_demo-may" />);
  await act(
    async () =>
      void store.dispatch(
        change('new-match', (draft) => {
          draft.photo.p = photoSchema.cast({ sampleId: 's', type: 'image/jpeg', taken: '2033-05-22T18:00', bytes: 10 });
          draft.sample.s = sampleSchema.cast({
            when: '2033-05-22T18:00',
            outingId: 'outing_demo-may',
            photos: ['p', 'gone'],
          });
          draft.match.m = matchSchema.cast({
            opened: '2033-05-22T18:00',
            sampleId: 's',
            answers: [{ id: 'a1', stage: 'mayfly/dun' }],
            leading: 'a1',
          });
        }),
      ),
  );
  unfold('Naturals found here');
  await laidOut();
  // Its picture was never stored here: it says so once, and of one without a record nothing.
  expect(screen.getAllByText('This photograph is not on this device.')).toHaveLength(1);
});

test('of a fish of long ago, of which only the store knows, more is told as well and stands at once', async () => {
  const { store } = await openScreen(<OutingScreen id="outing_demo-may" />);
  act(() => {
    // More than lie beside the outing, all after its first fish.
    for (let n = 0; n < 70; n++) store.dispatch(does(noteSeen, { outingId: 'outing_demo-may', seen: 'duns' }));
  });
  await act(async () => void (await store.persistence.current!.flush()));
  cleanup();
  await openScreen(<OutingScreen id="outing_demo-may" />, store);
  unfold('Entry by entry');
  await laidOut();
  press(/^All 80 entries$/);
  const fish = screen.getAllByRole('button', { name: /^\d\d:\d\d, Took: .*: tell more$/ });
  fireEvent.click(fish.at(-1)!);
  fireEvent.change(screen.getByLabelText('What fish'), { target: { value: 'grayling' } });
  press('Keep this');
  expect(screen.getAllByText('grayling · released')).toHaveLength(1);
  expect(screen.getAllByRole('button', { name: /^\d\d:\d\d, Took: .*: tell more$/ })).toHaveLength(fish.length);
});
