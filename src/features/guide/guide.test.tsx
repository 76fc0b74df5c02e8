import { fireEvent, screen } from '@testing-library/react';
import { GROUPS } from '@/catalogue';
import { openScreen } from '../__tests__/screen';
import { GroupScreen, tellingSigns } from './group-screen';
import { answersSearch, GuideScreen, lengthsOf } from './guide-screen';

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
  expect(screen.getByText('109 groups of naturals')).toBeInTheDocument();
  fireEvent.change(screen.getByLabelText('Search'), { target: { value: 'stonefly giant' } });
  expect(screen.getAllByRole('link').map((link) => link.getAttribute('href'))).toEqual(['/shelf', '/shelf/naturals/s01']);
  fireEvent.click(screen.getByText('Western Palearctic'));
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
