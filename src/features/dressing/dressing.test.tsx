import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { DRESSINGS, MATERIALS } from '@/catalogue';
import { MatchScreen } from '@/features/match-frame';
import { writeDressings } from '@/core/exchange';
import { dropPart } from '@/core/dressings';
import { putDressing, selectAnswered, selectDressing, selectOwnDressings, change, settingsSchema, type Store } from '@/state';
import { went } from '../__tests__/router';
import { DUN, openScreen } from '../__tests__/screen';
import { DressingEditor } from './dressing-editor';
import { DressingScreen } from './dressing-screen';
import { DressingsScreen } from './dressings-screen';
import { ALL, answersFilter, byStage } from './library-filter';
import { NewDressingScreen } from './new-dressing';
import { AtTheBench } from './what-counts';

const mockSaved: { name: string; text: string; type: string }[] = [];
const mockOpened: { text: string | null } = { text: null };
jest.mock('@/features/files', () => ({
  saveFile: (name: string, text: string, type = 'application/json') => void mockSaved.push({ name, text, type }),
  openText: () => Promise.resolve(mockOpened.text),
  chooseFile: () => Promise.resolve(null),
}));

beforeEach(() => {
  mockSaved.length = 0;
  went.params = {};
});

const open = () => openScreen(<MatchScreen id={DUN} step="dressing" />);
const leading = (store: Store) => store.getState().records.entities.match[DUN]!.answers[0]!;

describe('the step', () => {
  test('the first dressing stands with its reasons, and others beside it', async () => {
    await open();
    expect(screen.getByRole('heading', { level: 2, name: 'First-light upright dun' })).toBeInTheDocument();
    expect(screen.getAllByText(/^\+ made for mayfly dun/).length).toBeGreaterThan(0);
    expect(screen.getByRole('heading', { level: 3, name: 'First-light post dun' })).toBeInTheDocument();
    expect(screen.getAllByText(/^– 0\.\d\d /).length).toBeGreaterThan(0);
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
    fireEvent.click(screen.getByRole('button', { name: 'Compare First-light post dun' }));
    const table = screen.getByRole('table', { name: 'Side by side' });
    for (const row of ['Style', 'Stage', 'Length', 'Water', 'Ride and style']) expect(within(table).getByText(row)).toBeInTheDocument();
    expect(within(table).getByText('post dun')).toBeInTheDocument();
    fireEvent.click(within(table).getByRole('button', { name: 'Close' }));
    expect(screen.queryByRole('table', { name: 'Side by side' })).toBeNull();
  });

  test('why not another: any dressing of the order answers by its name', async () => {
    await open();
    fireEvent.change(screen.getByRole('textbox', { name: 'Why not another?' }), { target: { value: 'long-bodied' } });
    expect(screen.getByRole('heading', { level: 3, name: 'Ellanmere long-bodied dun' })).toBeInTheDocument();
    expect(screen.getByText(/meant for 14\.0.mm to 34\.0.mm/)).toBeInTheDocument();
    fireEvent.change(screen.getByRole('textbox', { name: 'Why not another?' }), { target: { value: 'looping strip' } });
    expect(screen.getByText(/made for leech, another order than mayfly dun/)).toBeInTheDocument();
    fireEvent.change(screen.getByRole('textbox', { name: 'Why not another?' }), { target: { value: 'no such fly' } });
    expect(screen.getByText(/^No dressing answers that/)).toBeInTheDocument();
  });

  test('an intent is a choice with its reason, and it changes what comes first', async () => {
    const { store } = await open();
    fireEvent.click(screen.getByRole('radio', { name: /easier prey/i }));
    expect(leading(store).offset).toEqual({ sizes: 0, intent: 'easier-prey' });
    expect(screen.getByText(/^A stage that cannot get away/)).toBeInTheDocument();
    const answered = selectAnswered(store.getState(), DUN, 'a1');
    expect(answered?.status === 'answered' && answered.answer.dressing!.id).not.toBe('first-light-dun');
    fireEvent.click(screen.getByRole('radio', { name: 'Bigger' }));
    expect(leading(store).offset).toEqual({ sizes: 1, intent: 'bigger' });
    fireEvent.click(screen.getByRole('radio', { name: 'Exact' }));
    expect(leading(store).offset).toEqual({ sizes: 0, intent: 'exact' });
  });

  test('what counts is the tier\'s to set, and it is kept', async () => {
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
  fireEvent.click(within(screen.getByRole('radiogroup', { name: 'Your practice' })).getByRole('radio', { name: 'plain' }));
  fireEvent.click(screen.getByRole('radio', { name: 'up to 8' }));
  expect(screen.getByText(/^Not known: tick the first/)).toBeInTheDocument();
  fireEvent.click(screen.getByRole('button', { name: 'Bobbin holder' }));
  fireEvent.click(screen.getByRole('button', { name: 'Fine scissors' }));
  fireEvent.click(screen.getByRole('button', { name: 'Bobbin holder' }));
  expect(store.getState().records.entities.settings.main).toMatchObject({ skill: 1, minutes: 8, tools: ['scissors'] });
  const answered = selectAnswered(store.getState(), DUN, 'a1');
  const why = answered?.status === 'answered' ? answered.answer.dressing!.why.map((item) => item.code) : [];
  expect(why).toEqual(expect.arrayContaining(['tools-missing', 'minutes-over']));
});

describe('the library', () => {
  test('a natural is looked at at a time, by stage, with a way to each fly', async () => {
    await openScreen(<DressingsScreen />);
    expect(screen.getByText('94 dressings, 0 of them yours')).toBeInTheDocument();
    expect(screen.getByRole('heading', { level: 2, name: 'Mayfly dun' })).toBeInTheDocument();
    expect(screen.queryByRole('heading', { level: 2, name: 'Caddis pupa' })).toBeNull();
    fireEvent.click(screen.getByRole('radio', { name: 'Caddis' }));
    expect(screen.getByRole('heading', { level: 2, name: 'Caddis pupa' })).toBeInTheDocument();
    expect(screen.getByRole('link', { name: /Curved shell-back pupa/ })).toHaveAttribute('href', '/dressings/curved-shell-pupa');
    fireEvent.click(within(screen.getByRole('radiogroup', { name: 'Stage' })).getByRole('radio', { name: 'Pupa' }));
    expect(screen.getAllByRole('heading', { level: 2 }).map((heading) => heading.textContent)).toEqual(['Caddis pupa', 'Dressings as files']);
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
    fireEvent.click(within(screen.getByRole('radiogroup', { name: 'Practice it asks, at most' })).getByRole('radio', { name: 'plain' }));
    expect(count()).toBeLessThan(before);
    expect(screen.getByText('Not known: no materials have been entered yet.')).toBeInTheDocument();
  });

  test('the filter by itself', () => {
    const found = (more: object, stash: ReadonlySet<string> | null = null) => DRESSINGS.filter((dressing) => answersFilter(dressing, { ...ALL, ...more }, MATERIALS, stash));
    expect(found({})).toHaveLength(DRESSINGS.length);
    expect(found({ style: 'shrimp' }).map((dressing) => dressing.id)).toEqual(['weed-edge-shrimp']);
    expect(found({ order: 'leech' }).map((dressing) => dressing.id)).toEqual(['looping-strip-leech']);
    expect(found({ stage: 'ant/winged' }).every((dressing) => dressing.stages.includes('ant/winged'))).toBe(true);
    expect(found({ water: 'still' }).every((dressing) => dressing.waters.includes('still'))).toBe(true);
    expect(found({ search: 'peacock herl' }).length).toBeGreaterThan(2);
    expect(found({ ready: true })).toHaveLength(DRESSINGS.length);
    expect(found({ ready: true }, new Set())).toEqual([]);
    const groups = byStage(DRESSINGS, { ...ALL, order: 'caddis' });
    expect(groups.every((group) => group.stage.startsWith('caddis/'))).toBe(true);
    expect(groups.find((group) => group.stage === 'caddis/egg-layer')!.dressings[0]!.stages[0]).toBe('caddis/egg-layer');
  });
});

describe('schools', () => {
  test('kept for one dressing they change its card, and only its card', async () => {
    const { store } = await openScreen(<DressingScreen id="first-light-dun" />);
    const barb = () => screen.getByRole('row', { name: /^Hackle/ }).textContent;
    const before = barb();
    fireEvent.click(screen.getByText('Schools for this dressing'));
    fireEvent.click(within(screen.getByRole('radiogroup', { name: 'Hackle gauge' })).getByText(/one under/i));
    expect(store.getState().records.entities.settings.main!.dressingSchools).toEqual({ 'first-light-dun': { 'hackle-gauge': 'one-under' } });
    expect(barb()).not.toBe(before);
    expect(screen.getByText('1 set here')).toBeInTheDocument();
    fireEvent.click(within(screen.getByRole('radiogroup', { name: 'Hackle gauge' })).getByText(/as it is written|as written/i));
    expect(barb()).toBe(before);
  });

  test('set for one card they go over the dressing\'s and the tier\'s', async () => {
    const { store } = await openScreen(<MatchScreen id={DUN} step="bench" />);
    const trim = () => { const answered = selectAnswered(store.getState(), DUN, 'a1'); return answered?.status === 'answered' ? answered.answer.card!.hackles[0]!.trim : null; };
    act(() => void store.dispatch(change('schools', (draft) => { draft.settings.main = { ...settingsSchema.cast({}), ...draft.settings.main, schools: { 'hackle-trim': 'both' }, dressingSchools: { 'first-light-dun': { 'hackle-trim': 'v-below' } } }; })));
    expect(trim()).toBe('v-below');
    fireEvent.click(screen.getByText('Schools for this card'));
    fireEvent.click(within(screen.getByRole('radiogroup', { name: 'Hackle trim' })).getByText('Flat below'));
    expect(leading(store).schools).toEqual({ 'hackle-trim': 'flat-below' });
    expect(trim()).toBe('flat-below');
  });
});

describe('one dressing', () => {
  test('shows what it is for, what it rests on, its parts, its order of work and where it comes from', async () => {
    await openScreen(<DressingScreen id="half-out-dun" />);
    expect(screen.getByRole('heading', { level: 1, name: 'Half-out dun' })).toBeInTheDocument();
    for (const title of ['What is said for it', 'On the bank, before another fly', 'Where it comes from', 'Parts', 'Order of work', 'Tools, and doing without']) expect(screen.getByRole('heading', { name: title })).toBeInTheDocument();
    expect(screen.getByText('heard, not tested')).toBeInTheDocument();
    expect(screen.getByRole('link', { name: 'Made from Auldry low emerger' })).toHaveAttribute('href', '/dressings/auldry-low-emerger');
    expect(screen.getByRole('link', { name: 'One-side cripple was made from it' })).toBeInTheDocument();
    expect(screen.getAllByText(/Local rules and licensed practice come first\.$/).length).toBeGreaterThan(0);
  });

  test('the plate turns to the view from above, goes wet, and step by step', async () => {
    await openScreen(<DressingScreen id="first-light-dun" />);
    fireEvent.click(screen.getByRole('radio', { name: 'Above' }));
    fireEvent.click(screen.getByRole('radio', { name: 'Wet' }));
    fireEvent.click(screen.getByRole('button', { name: 'Step by step' }));
    expect(screen.getByText(/^16 of 16: /)).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'After step: 15' }));
    expect(screen.getByRole('img', { name: 'First-light upright dun as it should look after step 15' })).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'Save as SVG' }));
    expect(mockSaved[0]).toMatchObject({ name: 'aubade-first-light-dun-top-15.svg', type: 'image/svg+xml' });
    expect(mockSaved[0]!.text).toMatch(/^<svg [^>]*>.*<\/svg>$/s);
    expect(mockSaved[0]!.text).not.toContain('var(--');
  });

  test('another size of natural, and a switch, change the card', async () => {
    await openScreen(<DressingScreen id="cheeked-quill-nymph" />);
    const hook = screen.getByText(/^Shown on /).textContent;
    fireEvent.click(screen.getByRole('radio', { name: /^largest, / }));
    expect(screen.getByText(/^Shown on /).textContent).not.toBe(hook);
    const steps = screen.getAllByRole('listitem').length;
    fireEvent.click(screen.getByRole('button', { name: 'Cheeks' }));
    expect(screen.getAllByRole('listitem').length).toBeLessThan(steps);
  });

  test('for a match at hand it says why it is first, or what cost it most', async () => {
    await openScreen(<DressingScreen id="first-light-dun" />);
    expect(screen.getByText(/: this is the first choice$/)).toBeInTheDocument();
    screen.getByRole('heading', { name: 'For your matches' });
  });

  test('what is made beforehand stands before the steps', async () => {
    await openScreen(<DressingScreen id="ellanmere-long-dun" />);
    expect(screen.getByRole('heading', { name: 'Beforehand: Foam body on a needle' })).toBeInTheDocument();
    expect(screen.getByText('1 a fly, 1 spare')).toBeInTheDocument();
  });

  test('it is kept as Markdown and JSON', async () => {
    await openScreen(<DressingScreen id="first-light-dun" />);
    fireEvent.click(screen.getByRole('button', { name: 'Markdown' }));
    fireEvent.click(screen.getByRole('button', { name: 'JSON' }));
    expect(mockSaved.map((file) => file.name)).toEqual(['aubade-first-light-dun.md', 'aubade-first-light-dun.json']);
    expect(mockSaved[0]!.text).toContain(mockSaved[1]!.text.trim());
  });

  test('one that is not there says so and offers the list', async () => {
    await openScreen(<DressingScreen id="nothing" />);
    expect(screen.getByRole('heading', { level: 1, name: 'Not here' })).toBeInTheDocument();
    expect(screen.getByRole('link', { name: 'See the list' })).toHaveAttribute('href', '/dressings');
  });
});

describe('a dressing of one\'s own', () => {
  const press = (name: string) => fireEvent.click(screen.getByText(name));
  async function editing(id = 'first-light-dun') {
    const { store } = await openScreen(<DressingScreen id={id} />);
    press('Make your own from this');
    const own = selectOwnDressings(store.getState())[0]!;
    expect(went.to).toContainEqual({ pathname: '/dressings/[id]/edit', params: { id: own.id } });
    return { store, own };
  }
  async function editor(change_: (own: typeof DRESSINGS[number]) => typeof DRESSINGS[number] = (own) => own) {
    const shown = await openScreen(<DressingEditor id="mine" />);
    act(() => void shown.store.dispatch(change('dressing', (draft) => putDressing(draft, change_({ ...structuredClone(DRESSINGS[0]!), id: 'mine', name: 'Mine', parent: DRESSINGS[0]!.id })))));
    await waitFor(() => expect(screen.getByRole('heading', { level: 1, name: 'Mine: change' })).toBeInTheDocument());
    return { store: shown.store, now: () => selectDressing(shown.store.getState(), 'mine')! };
  }

  test('is derived with its parent kept, and opens to be changed', async () => {
    const { own } = await editing();
    expect(own).toMatchObject({ name: 'First-light upright dun, mine', parent: 'first-light-dun', rev: 1 });
  });

  test('a rule is typed and the card follows; what cannot be read stays with its fault and changes nothing', async () => {
    const { now } = await editor();
    expect(screen.getByText('Passes over its whole range of hooks.')).toBeInTheDocument();
    fireEvent.click(screen.getByLabelText(/^Tail, /));
    const factor = screen.getByLabelText('Factor');
    fireEvent.change(factor, { target: { value: '1,05' } });
    expect(now().parts[0]!.factor).toBe(1.05);
    fireEvent.change(factor, { target: { value: 'long' } });
    expect(screen.getByText('a number from 0 to 20')).toBeInTheDocument();
    expect(now().parts[0]!.factor).toBe(1.05);
    fireEvent.change(factor, { target: { value: '3' } });
    await waitFor(() => expect(screen.getByText('1 thing to mend')).toBeInTheDocument());
    expect(screen.getAllByText(/low ≤ factor ≤ high does not hold/).length).toBeGreaterThan(1);
  });

  test('a step moved too early is a fault at its step, and moving it back mends it', async () => {
    const { now } = await editor();
    const wind = now().steps.findIndex((step) => step.do === 'wind' && step.part === 'hackle');
    const row = (n: number) => fireEvent.click(screen.getByLabelText(new RegExp(`^Step ${n}: `)));
    row(wind + 1);
    press('Earlier');
    row(wind);
    press('Earlier');
    await waitFor(() => expect(screen.getAllByText(/winds hackle before it is caught in/).length).toBeGreaterThan(0));
    expect(now().steps[wind - 2]!.do).toBe('wind');
  });

  test('a part is added as the library makes it, made optional, and taken out again', async () => {
    const { now } = await editor();
    fireEvent.click(screen.getByLabelText('Add Egg mass'));
    expect(now().parts.map((part) => part.id)).toContain('egg-mass');
    fireEvent.click(screen.getByLabelText(/^Egg mass, /));
    press('May be left out');
    expect(now().switches.map((item) => item.parts)).toContainEqual(['egg-mass']);
    press('Take the egg mass out');
    expect(now().parts.map((part) => part.id)).not.toContain('egg-mass');
    expect(now().switches).toEqual([]);
  });

  test('another material brings its caution to the step, and what changed is written beside the parent', async () => {
    const { now } = await editor();
    fireEvent.click(screen.getByLabelText(/^Wing, /));
    press('Slips of wing quill');
    expect(now().steps.find((step) => step.part === 'wing' && step.do === 'bind')).toMatchObject({ material: 'wing-slips', caution: 'plumage' });
    expect(screen.getByText(/^wing: Slips of wing quill in place of /)).toBeInTheDocument();
  });

  test('for another size it says what does not scale', async () => {
    await editor((own) => ({ ...own, length_mm: [4.5, 40] }));
    expect(screen.getByText(/the hackle would be gauge/)).toBeInTheDocument();
  });

  test('it is deleted with a way back, and is gone from the choice', async () => {
    const { store } = await editor();
    press('Delete this dressing');
    expect(selectOwnDressings(store.getState())).toEqual([]);
    expect(store.getState().records.past.map((item) => item.label)).toContain('delete-dressing');
  });

  test('a shipped one cannot be edited, only derived from', async () => {
    await openScreen(<DressingEditor id="first-light-dun" />);
    expect(screen.getByRole('heading', { level: 1, name: 'Not here' })).toBeInTheDocument();
  });

  test('from the bare hook: thread, body and head, in the style of the stage', async () => {
    const { store } = await openScreen(<NewDressingScreen />);
    press('Leech');
    press('Start from the bare hook');
    expect(selectOwnDressings(store.getState())[0]).toMatchObject({ style: 'strip-tail', stages: ['leech/adult'], parent: null });
  });

  test('from a file: the report first, then it is taken; one with a shipped id comes in beside it', async () => {
    const { store } = await openScreen(<DressingsScreen />);
    const own = { ...structuredClone(DRESSINGS[0]!), id: 'my-dun', name: 'My dun' };
    mockOpened.text = writeDressings([own, DRESSINGS[1]!, dropPart({ ...own, id: 'odd', name: 'Odd' }, 'head')]);
    press('Read a file');
    await waitFor(() => expect(screen.getByText('3 of 3 can be taken.')).toBeInTheDocument());
    press('Take 3');
    expect(selectOwnDressings(store.getState()).map((dressing) => [dressing.id, dressing.parent])).toEqual(expect.arrayContaining([['my-dun', null], [`${DRESSINGS[1]!.id}-2`, DRESSINGS[1]!.id]]));
    expect(screen.getByText('3 dressings taken in.')).toBeInTheDocument();
    press('Write your 3 dressings to a file');
    expect(JSON.parse(mockSaved[0]!.text).items).toHaveLength(3);
    mockOpened.text = 'not a file of dressings';
    press('Read a file');
    await waitFor(() => expect(screen.getByText('Not taken: this is not a file of dressings.')).toBeInTheDocument());
  });
});
