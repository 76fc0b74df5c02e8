import { act, fireEvent, screen, within } from '@testing-library/react';
import pictograms from '@/catalogue/pictograms.json';
import { CASE, ANSWERS } from '@/catalogue';
import { MatchScreen } from '@/features/match-frame/screens';
import { matchSchema, sampleSchema, setSettings, specimen } from '@/records';
import { act as runs, selectSettings, type Store } from '@/state';
import { sightingOf } from '@/core/case';
import { openScreen, unfold } from '../__tests__/screen';
import { LOOKS } from './all-signs';
import { plainOdds } from './odds';
import { change } from '@/state/__tests__/change';

/** A fresh match in May at slow water, its natural not yet told. */
async function fresh() {
  const opened = await openScreen(<MatchScreen id="m" step="natural" />, 'clean');
  await act(
    async () =>
      void opened.store.dispatch(
        change('new-match', (draft) => {
          draft.sample.s = sampleSchema.cast({ when: '2033-05-24T04:50' });
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
const sample = (store: Store) => store.getState().records.entities.sample.s!;
const belief = () =>
  within(screen.getByLabelText('What it may be'))
    .getAllByRole('radio')
    .map((row) => row.getAttribute('aria-label')!);
const openFold = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
const question = () => screen.getAllByRole('heading', { level: 3 })[0]!.textContent!;

test('every answer of every sign has a drawing', () => {
  for (const [sign, answers] of Object.entries(ANSWERS))
    for (const answer of answers) expect(pictograms).toHaveProperty([`${sign}/${answer}`], expect.stringMatching(/^M/));
});

test('odds are said in plain numbers', () => {
  expect([0.99, 0.8, 0.5, 0.33, 0.05].map((p) => plainOdds(p))).toEqual([
    { n: 49, of: 50 },
    { n: 4, of: 5 },
    { n: 1, of: 2 },
    { n: 1, of: 3 },
    { n: 1, of: 20 },
  ]);
  expect([0.15, 0.12, 0.09, 0.07].map((p) => plainOdds(p).of)).toEqual([6, 8, 10, 15]);
});

test('a match without a stage asks at once, and an answer changes what is believed and what is asked', async () => {
  const store = await fresh();
  const asked = question();
  expect(screen.queryByLabelText('What it may be')).toBeNull();
  fireEvent.click(screen.getAllByLabelText(new RegExp(`^${asked.replace('?', '\\?')} `))[0]!);
  expect(Object.keys(sample(store).signs).length + (sample(store).found ? 1 : 0) + (sample(store).doing ? 1 : 0)).toBe(
    1,
  );
  expect(belief().length).toBeGreaterThan(0);
  expect(question()).not.toBe(asked);
});

test('who answers by keyboard goes on with the next question, and the odds are spoken', async () => {
  await fresh();
  const spoken = () => document.querySelector('[aria-live=polite]')!.textContent;
  expect(spoken()).toBe('');
  const before = question();
  const first = within(screen.getByRole('group', { name: before })).getAllByRole('button')[1]!;
  first.focus();
  await act(async () => void fireEvent.click(first));
  const next = screen.getByRole('group', { name: question() });
  expect(question()).not.toBe(before);
  // The page itself holds the question too: it is the heading that has the focus.
  expect(document.activeElement!.textContent).toBe(question());
  expect(spoken()).toMatch(/, \d+ in \d+; .+, \d+ in \d+$/);
  // A thumb is elsewhere: nothing takes the focus to it.
  const other = screen.getAllByRole('radio')[0]!;
  other.focus();
  await act(async () => void fireEvent.click(within(next).getAllByRole('button')[1]!));
  expect(document.activeElement).toBe(other);
});

test('an answer is taken back, and the belief is as it was', async () => {
  const store = await fresh();
  await act(async () => void store.dispatch(change('sign', (draft) => void (draft.sample.s!.found = 'surface'))));
  const before = belief();
  await act(
    async () => void store.dispatch(change('sign', (draft) => void (draft.sample.s!.signs.wings = 'cloudy-upright'))),
  );
  expect(belief()[0]).toMatch(/^Mayfly dun/);
  expect(screen.getByLabelText('Take back: wings: upright and cloudy').parentElement).toHaveTextContent(
    'speaks strongly for it',
  );
  fireEvent.click(screen.getByLabelText('Take back: wings: upright and cloudy'));
  expect(sample(store).signs).toEqual({});
  expect(belief()).toEqual(before);
});

test('what cannot be told is not asked again, until it is wanted', async () => {
  const store = await fresh();
  const asked = question();
  fireEvent.click(screen.getByText('Cannot tell'));
  expect(sample(store).skipped).toHaveLength(1);
  expect(question()).not.toBe(asked);
  fireEvent.click(screen.getByText('Ask again'));
  expect(sample(store).skipped).toEqual([]);
  expect(question()).toBe(asked);
});

test('a tap on a stage takes it; two that are close can both be kept', async () => {
  const store = await fresh();
  await act(
    async () =>
      void store.dispatch(
        change('sign', (draft) => void Object.assign(draft.sample.s!.signs, { tails: '3', gills: 'abdomen' })),
      ),
  );
  fireEvent.click(screen.getByLabelText(/^Mayfly nymph, /));
  expect(store.getState().records.entities.match.m!.answers[0]!.stage).toBe('mayfly/nymph');
  await act(
    async () =>
      void store.dispatch(change('sign', (draft) => void (draft.sample.s!.signs = { shuck: 'trailing', tails: '0' }))),
  );
  unfold('What is it\\?');
  fireEvent.click(screen.getByText('Ask the signs'));
  fireEvent.click(screen.getByText(/^Not sure: keep /));
  const kept = store.getState().records.entities.match.m!.answers.map((answer) => answer.stage);
  expect(kept).toHaveLength(2);
  expect(new Set(kept).size).toBe(2);
});

test('the water speaks before any specimen', async () => {
  const store = await fresh();
  openFold('The water, and what it shows');
  const tap = (label: string) => fireEvent.click(screen.getByText(label, { selector: '[role] > *' }));
  tap('spent wings');
  expect(sample(store).seen).toEqual(['spent-wings']);
  expect(belief().join()).toMatch(/spent/i);
  tap('sip, tiny ring');
  expect(sample(store).rise).toBe('sip');
  fireEvent.click(screen.getByRole('button', { name: 'spent wings' }));
  expect(sample(store).seen).toEqual([]);
});

test('any sign can be said at any time, changed and taken back where it was said', async () => {
  const store = await fresh();
  fireEvent.click(screen.getByRole('button', { name: 'Tail end' }));
  fireEvent.click(screen.getByLabelText('What is at its tail end? two tails'));
  expect(sample(store).signs).toEqual({ tails: '2' });
  fireEvent.click(screen.getByLabelText('What is at its tail end? three tails'));
  expect(sample(store).signs).toEqual({ tails: '3' });
  expect(screen.getByRole('button', { name: 'Tail end: three tails' })).toBeInTheDocument();
  fireEvent.click(screen.getByLabelText('What is at its tail end? three tails'));
  expect(sample(store).signs).toEqual({});
  fireEvent.click(screen.getByRole('button', { name: 'Where, and in what light' }));
  fireEvent.click(screen.getByLabelText('What light was it? night'));
  fireEvent.click(screen.getByLabelText('Where was it? in a pack of leaves'));
  expect(sample(store)).toMatchObject({ signs: { light: 'night' }, found: 'leaf-pack' });
});

test('every sign stands in one group of what the eye looks at', () =>
  expect(Object.values(LOOKS).flat().sort()).toEqual(Object.keys(ANSWERS).sort()));

test('length, colour, water, month and what the water says are listed with what they did, and taken back there', async () => {
  const store = await fresh();
  await act(
    async () =>
      void store.dispatch(
        change('sign', (draft) => {
          Object.assign(draft.sample.s!, {
            signs: { wings: 'cloudy-upright' },
            seen: ['duns'],
            rise: 'sip',
            water: 'slow',
            shades: { 'abdomen-belly': 'mid-olive' },
            case: { mm: 12, typed: null },
          });
          draft.sample.s!.specimens.push(specimen('x', 8));
        }),
      ),
  );
  const back = (what: string) => fireEvent.click(screen.getByLabelText(`Take back: ${what}`));
  for (const what of [
    'slow water',
    'seen: duns floating',
    'rises: sip, tiny ring',
    'the colour of its belly',
    'in May',
    'its length',
    'the length of its case',
    'wings: upright and cloudy',
  ])
    back(what);
  expect(sample(store)).toMatchObject({
    water: null,
    seen: [],
    rise: null,
    shades: {},
    signs: {},
    leftOut: ['month', 'length', 'case-length'],
  });
  // What was measured is not lost with it.
  expect(sample(store).specimens[0]!.body.mm).toBe(8);
  fireEvent.click(screen.getByLabelText('Weigh it again: its length'));
  expect(sample(store).leftOut).toEqual(['month', 'case-length']);
});

test('water starts unknown and can be unknown again; a word for the belly alone already moves the odds', async () => {
  const store = await fresh();
  expect(sample(store).water).toBeNull();
  openFold('The water, and what it shows');
  const water = within(screen.getByRole('radiogroup', { name: 'Water' }));
  fireEvent.click(water.getByText('Still'));
  expect(sample(store).water).toBe('still');
  fireEvent.click(water.getByText('Not said'));
  expect(sample(store).water).toBeNull();
  openFold('Colour of the belly');
  fireEvent.click(screen.getByRole('radio', { name: 'middling red' }));
  expect(belief().length).toBeGreaterThan(0);
  expect(screen.getByText(/heard/)).toBeInTheDocument();
});

test('open ends of a length are one-sided for the key', async () => {
  const store = await fresh();
  fireEvent.click(screen.getByLabelText('over 30'));
  expect(sample(store).rough).toEqual({ mm: 38, halfMm: 8, how: 'chip' });
  expect(sightingOf(sample(store), selectSettings(store.getState()), CASE).lengthMm).toEqual({
    fromMm: 30,
    toMm: null,
  });
  fireEvent.click(screen.getByLabelText('over 30'));
  expect(sample(store).rough).toBeNull();
});

test('a length without a tool answers with its own ±, and gives way to a measured one', async () => {
  const store = await fresh();
  await act(
    async () => void store.dispatch(change('stage', (draft) => void (draft.match.m!.answers[0]!.stage = 'mayfly/dun'))),
  );
  fireEvent.click(screen.getByLabelText('7 to 10'));
  expect(sample(store).rough).toEqual({ mm: 8.5, halfMm: 1.5, how: 'chip' });
  unfold('Body length');
  expect(screen.getByText(/^about 8\.5 mm ± 1\.5, by eye/)).toBeInTheDocument();
  expect(screen.getByLabelText(/^Hook: Reference/)).toBeInTheDocument();
  await act(
    async () =>
      void store.dispatch(change('length', (draft) => void draft.sample.s!.specimens.push(specimen('x', 11)))),
  );
  expect(screen.queryByLabelText('7 to 10')).toBeNull();
  expect(screen.getByLabelText(/^Natural: Mayfly dun\. 11\.0 mm/)).toBeInTheDocument();
});

test('a belly in two words stands in for a colour until one is given', async () => {
  const store = await fresh();
  openFold('Colour of the belly');
  fireEvent.click(within(screen.getByLabelText('Belly in words')).getByRole('radio', { name: 'pale olive' }));
  expect(sample(store).shades).toEqual({ 'abdomen-belly': 'pale-olive' });
  fireEvent.click(screen.getByText('no word'));
  expect(sample(store).shades).toEqual({});
});

test('the spans of length stand in the unit of the tier', async () => {
  const store = await fresh();
  const spans = (name: RegExp) =>
    within(screen.getByRole('radiogroup', { name }))
      .getAllByRole('radio')
      .map((chip) => `${chip.getAttribute('aria-label')} ${chip.textContent}`);
  expect(spans(/^How long is the body, mm\?/).slice(0, 2)).toEqual(['under 3 <3', '3 to 5 3–5']);
  await act(async () => void store.dispatch(runs(setSettings, { unit: 'in-decimal' })));
  const inches = spans(/^How long is the body, in\?/);
  expect(inches[0]).toBe('under 0.118 <0.118');
  expect(inches.at(-1)).toBe('over 1.181 >1.181');
});
