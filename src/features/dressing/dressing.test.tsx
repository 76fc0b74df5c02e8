import { createI18n, createSpeech } from '@/speech';
import { act, fireEvent, screen, within } from '@testing-library/react';
import { DRESSINGS, MATERIALS } from '@/catalogue';
import { MatchScreen } from '@/features/match-frame/screens';
import { settingsSchema } from '@/records';
import { type Store } from '@/state';
import { selectAnswered } from '@/state/answering';
import { saved } from '../__tests__/files';
import { went } from '../__tests__/router';
import { DUN, choose, openScreen } from '../__tests__/screen';
import { DressingScreen } from './dressing-screen';
import { DressingsScreen } from './dressings-screen';
import { ALL, answersFilter, dressingsByStage } from './library-filter';
import { AtTheBench } from './what-counts';
import { change } from '@/state/__tests__/change';

jest.mock('@/features/files', () => jest.requireActual('../__tests__/files'));

beforeEach(() => {
  saved.length = 0;
  went.params = {};
});

const open = () => openScreen(<MatchScreen id={DUN} step="dressing" />);
const leading = (store: Store) => store.getState().records.entities.match[DUN]!.answers[0]!;

describe('the step', () => {
  test('the first dressing stands with its reasons, and others beside it', async () => {
    await open();
    expect(screen.getByRole('heading', { level: 2, name: 'First-light upright dun' })).toBeInTheDocument();
    expect(screen.getAllByText(/^made for mayfly dun/).length).toBeGreaterThan(0);
    expect(screen.getByRole('heading', { level: 3, name: 'First-light post dun' })).toBeInTheDocument();
    expect(screen.getAllByText(/^Against it: .* \(counts × 0\.\d\d\)$/).length).toBeGreaterThan(0);
  });

  test('two reasons stand, what weighs most against it among them, and the rest behind one tap', async () => {
    const { store } = await open();
    const answered = selectAnswered(store.getState(), DUN, 'a1');
    const { why } = (answered?.status === 'answered' && answered.answer.dressing) || { why: [] };
    const more = screen.getByRole('button', { name: `${why.length - 2} more reasons · First-light upright dun` });
    const before = screen.getAllByText(/./).length;
    fireEvent.click(more);
    expect(screen.queryByRole('button', { name: /more reasons · First-light upright dun$/ })).toBeNull();
    expect(screen.getAllByText(/./).length).toBeGreaterThanOrEqual(before + why.length - 4);
  });

  test('another dressing is pinned and the hook is asked again for its style', async () => {
    const { store } = await open();
    fireEvent.click(screen.getByRole('button', { name: 'Pin First-light post dun' }));
    expect(leading(store).dressingId).toBe('first-light-post-dun');
    expect(screen.getByRole('button', { name: /^Dressing: First-light post dun/ })).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'Unpin First-light post dun' }));
    expect(screen.getByRole('button', { name: /^Dressing: First-light upright dun/ })).toBeInTheDocument();
  });

  test('two are laid side by side, criterion by criterion, and closed again', async () => {
    await open();
    fireEvent.click(screen.getByRole('button', { name: 'Compare First-light upright dun' }));
    expect(screen.getByText(/First-light upright dun is set beside/)).toBeInTheDocument();
    const seen = jest.fn();
    HTMLElement.prototype.scrollIntoView = seen;
    fireEvent.click(screen.getByRole('button', { name: 'Compare First-light post dun' }));
    expect(seen).toHaveBeenCalledWith({ block: 'start' });
    const table = screen.getByRole('table', { name: 'Side by side' });
    for (const row of ['Style', 'Stage', 'Length', 'Water', 'Ride and style'])
      expect(within(table).getByText(row)).toBeInTheDocument();
    expect(within(table).getByText('post dun')).toBeInTheDocument();
    fireEvent.click(within(table).getByRole('button', { name: 'Close' }));
    expect(screen.queryByRole('table', { name: 'Side by side' })).toBeNull();
  });

  test('why not another: any dressing of the order answers by its name', async () => {
    await open();
    fireEvent.change(screen.getByRole('textbox', { name: 'Why not another?' }), { target: { value: 'long-bodied' } });
    expect(screen.getAllByRole('heading', { level: 3, name: 'Ellanmere long-bodied dun' }).length).toBeGreaterThan(0);
    expect(screen.getAllByText(/meant for 14\.0.mm to 34\.0.mm/).length).toBeGreaterThan(0);
    fireEvent.change(screen.getByRole('textbox', { name: 'Why not another?' }), { target: { value: 'looping strip' } });
    expect(screen.getByText(/made for leech, another order than mayfly dun/)).toBeInTheDocument();
    fireEvent.change(screen.getByRole('textbox', { name: 'Why not another?' }), { target: { value: 'no such fly' } });
    expect(screen.getByText(/^No dressing answers that/)).toBeInTheDocument();
  });

  test('an intent is a choice with its reason, and it changes what comes first', async () => {
    const { store } = await open();
    choose('On purpose', /easier prey/i);
    expect(leading(store).offset).toEqual({ sizes: 0, intent: 'easier-prey' });
    expect(screen.getByText(/^A stage that cannot get away/)).toBeInTheDocument();
    const answered = selectAnswered(store.getState(), DUN, 'a1');
    expect(answered?.status === 'answered' && answered.answer.dressing!.id).not.toBe('first-light-dun');
    choose('On purpose', 'Bigger');
    expect(leading(store).offset).toEqual({ sizes: 1, intent: 'bigger' });
    choose('On purpose', 'Exact');
    expect(leading(store).offset).toEqual({ sizes: 0, intent: 'exact' });
  });

  test("what counts is the tier's to set, and it is kept", async () => {
    const { store } = await open();
    fireEvent.click(screen.getByRole('button', { name: 'What counts' }));
    fireEvent.click(within(screen.getByRole('radiogroup', { name: 'Water' })).getByRole('radio', { name: 'twice' }));
    expect(store.getState().records.entities.settings.main!.pickWeights).toEqual({ water: 2 });
    fireEvent.click(within(screen.getByRole('radiogroup', { name: 'Water' })).getByRole('radio', { name: 'as it is' }));
    expect(store.getState().records.entities.settings.main!.pickWeights).toEqual({});
  });

  test('the plate is there as a table: the natural, the fly and every part', async () => {
    await open();
    fireEvent.click(screen.getByRole('button', { name: 'The plate as a table' }));
    const table = screen.getByRole('table', { name: 'Natural and fly, part by part' });
    for (const part of ['tail', 'abdomen', 'wing', 'hackle']) expect(within(table).getByText(part)).toBeInTheDocument();
    expect(within(table).getByRole('button', { name: /^natural, body: 8\.1 mm/ })).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'Hide the table' }));
    expect(screen.queryByRole('table', { name: 'Natural and fly, part by part' })).toBeNull();
  });
});

test('practice, minutes and tools are kept, and a tool not ticked is asked for', async () => {
  const { store } = await openScreen(<AtTheBench />);
  fireEvent.click(
    within(screen.getByRole('radiogroup', { name: 'Your practice' })).getByRole('radio', { name: 'plain' }),
  );
  fireEvent.click(screen.getByRole('radio', { name: 'up to 8' }));
  expect(screen.getByText(/^Not known: tick the first/)).toBeInTheDocument();
  fireEvent.click(screen.getByRole('checkbox', { name: 'Bobbin holder' }));
  fireEvent.click(screen.getByRole('checkbox', { name: 'Fine scissors' }));
  fireEvent.click(screen.getByRole('checkbox', { name: 'Bobbin holder' }));
  expect(store.getState().records.entities.settings.main).toMatchObject({ skill: 1, minutes: 8, tools: ['scissors'] });
  const answered = selectAnswered(store.getState(), DUN, 'a1');
  const why = answered?.status === 'answered' ? answered.answer.dressing!.why.map((item) => item.code) : [];
  expect(why).toEqual(expect.arrayContaining(['tools-missing', 'minutes-over']));
});

describe('the library', () => {
  test('a natural is looked at at a time, by stage, with a way to each fly', async () => {
    await openScreen(<DressingsScreen />);
    expect(screen.getByText(`${DRESSINGS.length} dressings, 0 of them yours`)).toBeInTheDocument();
    expect(screen.getByRole('heading', { level: 2, name: 'Mayfly dun' })).toBeInTheDocument();
    expect(screen.queryByRole('heading', { level: 2, name: 'Caddis pupa' })).toBeNull();
    choose('Natural', 'Caddis');
    expect(screen.getByRole('heading', { level: 2, name: 'Caddis pupa' })).toBeInTheDocument();
    expect(screen.getByRole('link', { name: /Curved shell-back pupa/ })).toHaveAttribute(
      'href',
      '/dressings/curved-shell-pupa',
    );
    choose('Stage', 'Pupa');
    expect(screen.getAllByRole('heading', { level: 2 }).map((heading) => heading.textContent)).toEqual([
      'Caddis pupa',
      'Dressings as files',
    ]);
  });

  test('a search goes through the whole library; filters narrow it; nothing found says what to do', async () => {
    await openScreen(<DressingsScreen />);
    const search = screen.getByRole('textbox', { name: 'Search' });
    fireEvent.change(search, { target: { value: 'damsel' } });
    expect(screen.getByRole('link', { name: /Wriggle-plume damsel/ })).toBeInTheDocument();
    fireEvent.change(search, { target: { value: 'no such thing' } });
    expect(screen.getByText(/^No dressing answers that/)).toBeInTheDocument();
    fireEvent.change(search, { target: { value: '' } });
    const count = () => Number(/^(\d+) dressings?$/.exec(screen.getByText(/^\d+ dressings?$/).textContent!)![1]);
    const before = count();
    fireEvent.click(screen.getByRole('button', { name: 'Filter' }));
    fireEvent.click(
      within(screen.getByRole('radiogroup', { name: 'Practice it asks, at most' })).getByRole('radio', {
        name: 'plain',
      }),
    );
    expect(count()).toBeLessThan(before);
  });

  test('the filter by itself', () => {
    const found = (more: object, own: ReadonlySet<string> = new Set()) =>
      DRESSINGS.filter((dressing) =>
        answersFilter(dressing, { ...ALL, ...more }, MATERIALS, own, createSpeech(createI18n(), 'mm')),
      );
    expect(found({})).toHaveLength(DRESSINGS.length);
    expect(
      found({ style: 'shrimp' })
        .map((dressing) => dressing.id)
        .sort(),
    ).toEqual(['amber-back-shrimp', 'weed-edge-shrimp']);
    expect(
      found({ order: 'leech' })
        .map((dressing) => dressing.id)
        .sort(),
    ).toEqual(['ellanmere-plume-leech', 'looping-strip-leech']);
    expect(found({ stage: 'ant/winged' }).every((dressing) => dressing.stages.includes('ant/winged'))).toBe(true);
    expect(found({ water: 'still' }).every((dressing) => dressing.waters.includes('still'))).toBe(true);
    expect(found({ search: 'peacock herl' }).length).toBeGreaterThan(2);
    expect(found({ search: 'parachute' }).map((dressing) => dressing.id)).toContain('first-light-post-dun');
    expect(found({ mine: true })).toEqual([]);
    expect(found({ mine: true }, new Set(['first-light-dun'])).map((dressing) => dressing.id)).toEqual([
      'first-light-dun',
    ]);
    const groups = dressingsByStage(DRESSINGS, { ...ALL, order: 'caddis' });
    expect(groups.every((group) => group.stage.startsWith('caddis/'))).toBe(true);
    expect(groups.find((group) => group.stage === 'caddis/egg-layer')!.dressings[0]!.stages[0]).toBe(
      'caddis/egg-layer',
    );
  });
});

describe('schools', () => {
  test('kept for one dressing they change its card, and only its card', async () => {
    const { store } = await openScreen(<DressingScreen id="first-light-dun" />);
    const barb = () => screen.getByRole('row', { name: /^Hackle/ }).textContent;
    const before = barb();
    fireEvent.click(screen.getByText('Schools for this dressing'));
    fireEvent.click(within(screen.getByRole('radiogroup', { name: 'Hackle gauge' })).getByText(/one under/i));
    expect(store.getState().records.entities.settings.main!.dressingSchools).toEqual({
      'first-light-dun': { 'hackle-gauge': 'one-under' },
    });
    expect(barb()).not.toBe(before);
    expect(screen.getByText('1 set here')).toBeInTheDocument();
    fireEvent.click(
      within(screen.getByRole('radiogroup', { name: 'Hackle gauge' })).getByText(/as it is written|as written/i),
    );
    expect(barb()).toBe(before);
  });

  test("set for one card they go over the dressing's and the tier's", async () => {
    const { store } = await openScreen(<MatchScreen id={DUN} step="bench" />);
    const trim = () => {
      const answered = selectAnswered(store.getState(), DUN, 'a1');
      return answered?.status === 'answered' ? answered.answer.card!.hackles[0]!.trim : null;
    };
    act(
      () =>
        void store.dispatch(
          change('schools', (draft) => {
            draft.settings.main = {
              ...settingsSchema.cast({}),
              ...draft.settings.main,
              schools: { 'hackle-trim': 'both' },
              dressingSchools: { 'first-light-dun': { 'hackle-trim': 'v-below' } },
            };
          }),
        ),
    );
    expect(trim()).toBe('v-below');
    fireEvent.click(screen.getByText('Schools for this card'));
    fireEvent.click(within(screen.getByRole('radiogroup', { name: 'Hackle trim' })).getByText('Flat below'));
    expect(leading(store).schools).toEqual({ 'hackle-trim': 'flat-below' });
    expect(trim()).toBe('flat-below');
  });
});
