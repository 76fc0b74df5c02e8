import { fireEvent, screen } from '@testing-library/react';
import { MatchScreen } from '@/features/match-frame/screens';
import { DUN, openScreen, unfold } from '../__tests__/screen';
import { GlossaryScreen, TERM_IDS } from './index';

const search = (value: string) => {
  const field = screen.getByLabelText('Search a word');
  fireEvent.focus(field);
  fireEvent.change(field, { target: { value } });
};
/** Each term with its sentence, drawn or not. */
const terms = () => [
  ...screen.queryAllByRole('button', { expanded: false }).map((line) => line.getAttribute('aria-label')!),
  ...screen.queryAllByRole('group').map((line) => `${line.getAttribute('aria-label')}: ${line.lastChild!.textContent}`),
];

test('every term stands once with its sentence, and is found by its name or by a word of the sentence', async () => {
  await openScreen(<GlossaryScreen />);
  expect(new Set(terms()).size).toBe(TERM_IDS.length);
  for (const line of terms()) expect(line).toMatch(/^.+: .{20,}[.]$/);
  search('taped');
  expect(terms()).toEqual(['Taped: A hook of the packet that was measured: one makes the whole packet surer.']);
  search('barbs');
  expect(terms().map((line) => line.split(':')[0])).toEqual(['Hackle gauge']);
  search('submarine');
  expect(screen.getByText('No such word here.')).toBeInTheDocument();
});

test.each([
  ['gape', 'Gape'],
  ['ride', 'Ride'],
  ['chance', 'Chance'],
])('%s is drawn where it is opened', async (_, name) => {
  await openScreen(<GlossaryScreen />);
  fireEvent.click(screen.getByRole('button', { name: new RegExp(`^${name}: `) }));
  expect(screen.getByRole('img')).toHaveAccessibleName(/^.{20,}[.]$/);
});

test('a word on the hook’s page explains itself when it is tapped, and is put away again', async () => {
  await openScreen(<MatchScreen id={DUN} step="hook" />);
  const term = screen.getByRole('button', { name: 'shank. What is that?' });
  fireEvent.click(term);
  expect(term).toHaveAttribute('aria-expanded', 'true');
  expect(screen.getByText(/^The straight part of the hook/)).toBeInTheDocument();
  fireEvent.click(term);
  expect(screen.queryByText(/^The straight part of the hook/)).toBeNull();
  for (const name of [/^chance \d+ %\. What/, /What is that\?$/])
    expect(screen.getAllByRole('button', { name }).length).toBeGreaterThan(0);
});

test.each([
  ['bench', ['Small print'], ['Tie-down', 'Noodle', 'Hackle gauge', 'Head room']],
  ['natural', ['What is it\\?'], ['Odds, “2 in 3”', 'What it rests on']],
] as const)('the words of the %s explain themselves below it', async (step, folds, names) => {
  await openScreen(<MatchScreen id={DUN} step={step} />);
  unfold(...folds);
  if (step === 'natural') fireEvent.click(screen.getByRole('button', { name: /signs/i }));
  for (const name of names) expect(screen.getByRole('button', { name: `${name}. What is that?` })).toBeInTheDocument();
});
