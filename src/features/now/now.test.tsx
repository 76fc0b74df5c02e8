import { act, fireEvent, screen } from '@testing-library/react';
import { MatchesScreen } from '@/features/matches';
import { openScreen } from '../__tests__/screen';
import { went } from '../__tests__/router';
import { NowScreen } from './now-screen';

const rows = () => screen.getAllByRole('link').filter((row) => row.hasAttribute('aria-label')).map((row) => row.getAttribute('aria-label')!.split('.')[0]);

describe('Now', () => {
  test('the biggest target makes a match and opens its natural', async () => {
    const { store } = await openScreen(<NowScreen />, 'clean');
    fireEvent.click(screen.getByText('A natural in hand'));
    const [id, match] = Object.entries(store.getState().records.entities.match)[0]!;
    expect(match).toMatchObject({ demo: false, opened: '2033-05-24T04:50', answers: [{ id: 'a1', stage: null }] });
    expect(store.getState().records.entities.sample[match.sampleId]).toMatchObject({ when: '2033-05-24T04:50', specimens: [] });
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
    expect(rows()).toHaveLength(8);
    const { match, sample } = store.getState().records.entities;
    const whens = rows().map((title) => sample[Object.values(match).find((item) => item.title === title)!.sampleId]!.when);
    expect(whens).toEqual([...whens].sort().reverse());
    expect(screen.getByText('Mayfly dun, 8.1 mm ± 0.6, 3 measured')).toBeInTheDocument();
  });
  test('a row opens its match at the hook, or at the natural while it waits', async () => {
    await openScreen(<MatchesScreen />);
    fireEvent.click(screen.getByLabelText(/^Pale riffle dun/));
    fireEvent.click(screen.getByLabelText(/^Off the alder leaf/));
    expect(went.to).toMatchObject([{ params: { step: 'hook' } }, { params: { step: 'natural' } }]);
  });
  test('none yet says what a match is', async () => {
    await openScreen(<MatchesScreen />, 'clean');
    expect(screen.getByText('A match is one natural answered by one fly.')).toBeInTheDocument();
  });
});
