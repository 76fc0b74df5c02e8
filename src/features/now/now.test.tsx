import { act, fireEvent, screen } from '@testing-library/react';
import { MatchesScreen } from '@/features/matches/screens';
import { openScreen } from '../__tests__/screen';
import { went } from '../__tests__/router';
import { NowScreen } from './now-screen';
import { change } from '@/state/__tests__/change';
import { matchSchema, sampleSchema } from '@/records';

const rows = () =>
  screen
    .getAllByRole('link')
    .filter((row) => row.hasAttribute('aria-label'))
    .map((row) => row.getAttribute('aria-label')!.split('.')[0]);

describe('Now', () => {
  test('the biggest target makes a match and opens its natural', async () => {
    const { store } = await openScreen(<NowScreen />, 'clean');
    fireEvent.click(screen.getByText('A natural in hand'));
    const [id, match] = Object.entries(store.getState().records.entities.match)[0]!;
    expect(match).toMatchObject({ demo: false, opened: '2033-05-24T04:50', answers: [{ id: 'a1', stage: null }] });
    expect(store.getState().records.entities.sample[match.sampleId]).toMatchObject({
      when: '2033-05-24T04:50',
      specimens: [],
    });
    expect(went.to).toEqual([{ pathname: '/matches/[id]/[step]', params: { id, step: 'natural' } }]);
  });
  test('what waits stands apart from what is answered', async () => {
    await openScreen(<NowScreen />);
    expect(screen.getByText('Waiting for something')).toBeInTheDocument();
    expect(rows()[0]).toBe('Off the alder leaf');
    expect(screen.getByText('waits for a length')).toBeInTheDocument();
    expect(rows().slice(1)).toHaveLength(6);
    expect(rows().slice(1)).not.toContain('Off the alder leaf');
  });
  test('of many that wait the latest stand here, and how many more do', async () => {
    const { store } = await openScreen(<NowScreen />, 'clean');
    act(
      () =>
        void store.dispatch(
          change('new-match', (draft) => {
            for (let n = 0; n < 40; n++) {
              draft.sample[`s${n}`] = sampleSchema.cast({ when: `2033-05-${10 + (n % 20)}T04:50` });
              draft.match[`m${n}`] = matchSchema.cast({
                opened: '2033-05-10T04:50',
                sampleId: `s${n}`,
                answers: [{ id: 'a1', stage: null }],
                leading: 'a1',
              });
            }
          }),
        ),
    );
    expect(screen.getAllByText(/waits for the stage/)).toHaveLength(6);
    expect(screen.getByText('34 more wait: all matches')).toBeInTheDocument();
  });
  test('packets that are low wait too, and lead to the drawer', async () => {
    await openScreen(<NowScreen />);
    expect(screen.getByRole('link', { name: '2 packets of hooks are low' })).toHaveAttribute('href', '/drawer/packets');
  });
  test('the demo is marked, in its own time, and leaves with one tap', async () => {
    const { store } = await openScreen(<NowScreen />);
    expect(screen.getByText('Tuesday 24 May, 04:50, valley time')).toBeInTheDocument();
    expect(screen.getAllByText(/ · demo$/).length).toBeGreaterThan(0);
    fireEvent.click(screen.getByText('Leave the demo'));
    expect(store.getState().records.entities.match).toEqual({});
    expect(screen.getByText(/^No match yet\./)).toBeInTheDocument();
    expect(screen.queryByText(/valley time/)).toBeNull();
    act(() => void store.dispatch({ type: 'records/undone' }));
    expect(rows()).toHaveLength(7);
  });
  test('an empty store says what to do first', async () => {
    await openScreen(<NowScreen />, 'clean');
    expect(screen.getByText('No match yet. Take one insect, measure it, and start here.')).toBeInTheDocument();
    expect(screen.queryByText('Waiting for something')).toBeNull();
    expect(screen.queryByText('Leave the demo')).toBeNull();
  });
});

describe('Matches', () => {
  test('newest natural first, each with its answer in a line', async () => {
    const { store } = await openScreen(<MatchesScreen />);
    const { match, sample } = store.getState().records.entities;
    const whenOf = (title: string | undefined) =>
      sample[Object.values(match).find((item) => item.title === title)!.sampleId]!.when;
    const newest = Object.values(match)
      .map((item) => sample[item.sampleId]!.when)
      .sort()
      .reverse();
    expect(rows().map(whenOf)).toEqual(newest.slice(0, rows().length));
    expect(rows().length).toBeGreaterThan(2);
    expect(screen.getByText('Mayfly dun, 8.1 mm ± 0.6, 3 measured')).toBeInTheDocument();
  });
  test('of 2,000 matches only those in view are drawn, and their list is as long as all of them', async () => {
    const { store } = await openScreen(<MatchesScreen />);
    act(
      () =>
        void store.dispatch(
          change('many', (draft) => {
            const [[, one]] = Object.entries(draft.match) as [[string, (typeof draft.match)[string]]];
            for (let n = 0; n < 2000; n++) draft.match[`m${n}`] = { ...one, title: `m${n}` };
          }),
        ),
    );
    expect(rows().length).toBeLessThan(20);
    const list = screen
      .getAllByRole('link')
      .find((row) => row.hasAttribute('aria-label'))!
      .closest('[style*="height"]') as HTMLElement;
    expect(parseFloat(list.style.height)).toBeGreaterThan(2000 * 60);
  });
  test('a length that was reckoned says from what, and is not called measured', async () => {
    await openScreen(<MatchesScreen />);
    const search = screen.getByLabelText('Search name, stage, water or month');
    fireEvent.focus(search);
    fireEvent.change(search, { target: { value: 'cased' } });
    expect(screen.getByText(/^Caddis cased larva, about 10\.8 mm ± [\d.]+, from its case$/)).toBeInTheDocument();
    fireEvent.change(search, { target: { value: 'riffle' } });
    expect(screen.getByText(/^Mayfly dun, 8\.1 mm ± 0\.6, 3 measured$/)).toBeInTheDocument();
  });
  test('a row is a link to its match, at the hook, or at the natural while it waits', async () => {
    await openScreen(<MatchesScreen />);
    const address = (name: RegExp) => screen.getByRole('link', { name }).getAttribute('href');
    expect(address(/^Pale riffle dun/)).toMatch(/^\/matches\/match_[^/]+\/hook$/);
    expect(address(/^Off the alder leaf/)).toMatch(/^\/matches\/match_[^/]+\/natural$/);
  });
  test('none yet says what a match is', async () => {
    await openScreen(<MatchesScreen />, 'clean');
    expect(screen.getByText('A match is one natural answered by one fly.')).toBeInTheDocument();
  });
});
