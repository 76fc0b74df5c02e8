import { act, fireEvent, render, screen, within } from '@testing-library/react';
import type { ReactElement } from 'react';
import { Provider } from 'react-redux';
import { markFly, NO_KIND, putIn, setSettings, stepDone, type BatchRecord } from '@/records';
import { act as does, undone } from '@/state';
import { run } from '@/workers';
import type { Jobs } from '@/workers/jobs';
import { MatchScreen } from '@/features/match-frame/screens';
import { SpeechProvider } from '@/features/shell';
import { copied } from '../__tests__/files';
import { choose, laidOut, openScreen, unfold, DUN, type Opened } from '../__tests__/screen';
import { went } from '../__tests__/router';
import { EndScreen, HandsScreen, InspectScreen, SessionScreen, TieSession, ViseScreen } from './screens';

jest.mock('@/workers', () => ({ run: jest.fn(), prepare: jest.fn() }));
jest.mock('@/features/files', () => jest.requireActual('../__tests__/files'));

const TONIGHT = 'batch_demo-tonight';
const APRIL = 'batch_demo-april';
const batchOf = ({ store }: Opened, id = TONIGHT): BatchRecord => store.getState().records.entities.batch[id]!;

describe('the list of sessions', () => {
  test('open ones first, then what came of the others and for whom', async () => {
    await openScreen(<ViseScreen />);
    const [open, ended] = [screen.getByText('Open'), screen.getByText('Ended')];
    expect(open.compareDocumentPosition(ended) & Node.DOCUMENT_POSITION_FOLLOWING).toBeTruthy();
    const links = screen.getAllByRole('link').map((link) => link.textContent);
    expect(links.find((text) => text?.includes('4 of 8 made'))).toContain('First-light upright dun');
    expect(links.find((text) => text?.includes('for Hanne'))).toMatch(/8 made.*1 spoiled/);
  });
  test('a new one is made and opened; on an empty store it says where one is started from', async () => {
    const { store } = await openScreen(<ViseScreen />, 'clean');
    expect(screen.getByText('No session yet.')).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'New session' }));
    const [id] = Object.keys(store.getState().records.entities.batch);
    expect(went.to).toEqual([{ pathname: '/vise/[id]', params: { id } }]);
  });
  test('what is below its mark is tied up to it; hours and losses say how many more than lie in the boxes', async () => {
    const shown = await openScreen(<ViseScreen />, 'clean');
    const { store } = shown;
    const kind = { ...NO_KIND, dressingId: 'first-light-dun', dressingRev: 1, hookId: 'osmere:lark:14' };
    const put = (more: Partial<typeof kind>, newBox: string, count: number) =>
      store.dispatch(
        does(putIn, { into: { newBox }, flies: [{ kind: { ...kind, ...more }, slot: null, count }], why: 'got' }),
      );
    act(() => {
      put({}, 'At home', 3);
      put({}, 'On the water', 2);
      put({ dressingId: 'half-out-dun' }, 'At home too', 4);
    });
    const mark = (dressing: string, low: number) => {
      const { fly } = store.getState().records.entities;
      const [flyId] = Object.entries(fly).find(([, { dressingId }]) => dressingId === dressing)!;
      act(() => void store.dispatch(does(markFly, { flyId, low })));
    };
    expect(screen.queryByRole('button', { name: /the box is short of$/ })).toBeNull();
    mark('first-light-dun', 12);
    // As many as are to be there: nothing is missing.
    mark('half-out-dun', 4);
    fireEvent.click(screen.getByRole('button', { name: 'Tie the fly the box is short of' }));
    const items = () =>
      batchOf(shown, (went.to.at(-1) as { params: { id: string } }).params.id).items.map(({ card, count }) => [
        card.dressing.id,
        count,
      ]);
    expect(items()).toEqual([['first-light-dun', 7]]);
    unfold('How many to tie');
    fireEvent.change(screen.getByLabelText('Hours on the water'), { target: { value: '4,8' } });
    fireEvent.change(screen.getByLabelText('Lost an hour'), { target: { value: '1.5' } });
    expect(screen.getByText('12 flies are enough')).toBeInTheDocument();
    fireEvent.change(screen.getByLabelText('Lost an hour'), { target: { value: '101' } });
    expect(screen.getByText('a number from 0 to 100')).toBeInTheDocument();
    expect(screen.getByText('12 flies are enough')).toBeInTheDocument();
    fireEvent.change(screen.getByLabelText('Lost an hour'), { target: { value: '1.5' } });
    fireEvent.change(screen.getByLabelText('Dressing or stage'), { target: { value: 'half-out' } });
    fireEvent.click(screen.getByText('Half-out dun'));
    expect(screen.getByText('4 are in your boxes. 8 are missing')).toBeInTheDocument();
    choose('Running out may happen', 'one time in 100');
    const tie = screen.getByRole('button', { name: /^Tie \d+ in a session$/ });
    expect(Number(/\d+/.exec(tie.textContent!)![0])).toBeGreaterThan(8);
    fireEvent.click(tie);
    expect(items()).toEqual([['half-out-dun', Number(/\d+/.exec(tie.textContent!)![0])]]);
  });
  test('what ran out of the box is a session of its own, each on its hook', async () => {
    const { store } = await openScreen(<ViseScreen />);
    fireEvent.click(screen.getByRole('button', { name: /the box is short of$/ }));
    const { batch, fly } = store.getState().records.entities;
    const made = batch[(went.to.at(-1) as { params: { id: string } }).params.id]!;
    const gone = Object.values(fly).filter(
      ({ dressingId, tally }) => dressingId && tally.places.reduce((sum, { count }) => sum + count, 0) <= 0,
    );
    expect(made.items.map(({ card }) => [card.dressing.id, card.hook.id])).toEqual(
      gone.map(({ dressingId, hookId }) => [dressingId, hookId]),
    );
  });
});

describe('a session', () => {
  test('says what is made, how long the rest takes and what it needs, and what is laid out is ticked', async () => {
    const shown = await openScreen(<SessionScreen id={TONIGHT} />);
    expect(screen.getByText('4 of 8 made')).toBeInTheDocument();
    expect(
      screen.getByText(/^4 flies to go: about \d+ min, \d+ to \d+\. The last is done by \d\d:\d\d\.$/),
    ).toBeInTheDocument();
    unfold('Before you begin', 'Lay out');
    expect(screen.getAllByText(/left(,| for)/).length).toBeGreaterThan(0);
    const line = screen.getByRole('checkbox', { name: /^Head varnish/ });
    expect(line).toHaveAttribute('aria-checked', 'false');
    const before = Object.keys(batchOf(shown).ticks).length;
    fireEvent.click(line);
    expect(Object.keys(batchOf(shown).ticks)).toHaveLength(before + 1);
    expect(screen.getByRole('button', { name: new RegExp(`^Lay out: ${before + 1} of `) })).toBeInTheDocument();
  });
  test('fly by fly or step by step, by a time that is kept or not; no time is told beside it', async () => {
    const shown = await openScreen(<SessionScreen id={TONIGHT} />);
    unfold('Order of work');
    expect(screen.getByText(/is quicker here, by \d+ min\./)).toBeInTheDocument();
    choose('How to go', 'Step by step');
    expect(batchOf(shown).mode).toBe('step');
    expect(screen.getByText('Fly by fly would be quicker here, by', { exact: false })).toBeInTheDocument();
    const by = screen.getByLabelText('To be done by');
    fireEvent.focus(by);
    fireEvent.change(by, { target: { value: '4:55' } });
    expect(batchOf(shown).by).toBe('04:55');
    // The valley's clock stands at 04:50.
    expect(screen.getByText(/^\d+ min past 04:55/)).toBeInTheDocument();
    fireEvent.change(by, { target: { value: '9:00' } });
    expect(screen.getByText(/^09:00 is kept, with \d+ min to spare\.$/)).toBeInTheDocument();
    fireEvent.change(by, { target: { value: 'late' } });
    expect(screen.getByText('Write a time as 22:00.')).toBeInTheDocument();
    expect(batchOf(shown).by).toBe('09:00');
    expect(by).toHaveValue('late');
    expect(screen.getByRole('img', { name: /^When each of 4 flies/ })).toBeInTheDocument();
  });
  test('more flies or fewer, and others added from a match or by name', async () => {
    const shown = await openScreen(<SessionScreen id={TONIGHT} />);
    fireEvent.click(screen.getByRole('button', { name: 'How many of Auldry flat spinner: 4' }));
    expect(batchOf(shown).items[1]!.count).toBe(4);
    expect(screen.getByText('4 of 9 made')).toBeInTheDocument();
    // Three are made and one begun: no fewer.
    fireEvent.click(screen.getByRole('button', { name: 'How many of First-light upright dun: 4' }));
    expect(screen.getByRole('button', { name: 'How many of First-light upright dun: 3' })).toBeDisabled();
    unfold('Add flies');
    fireEvent.change(screen.getByLabelText('Dressing or stage'), { target: { value: 'herl-bead' } });
    fireEvent.change(screen.getByLabelText('Dressing or stage'), { target: { value: 'washed' } });
    fireEvent.click(screen.getByRole('button', { name: /washed/i }));
    expect(batchOf(shown).items).toHaveLength(3);
    const name = batchOf(shown).items[2]!.card.dressing.name;
    fireEvent.click(screen.getByRole('button', { name: `Leave ${name} out` }));
    expect(batchOf(shown).items).toHaveLength(2);
  });
  test('whom it is for is kept as it is typed', async () => {
    const shown = await openScreen(<SessionScreen id={TONIGHT} />);
    unfold('For whom');
    fireEvent.change(screen.getByLabelText('A name'), { target: { value: 'Per' } });
    fireEvent.change(screen.getByLabelText('Their water'), { target: { value: 'Staith Brook' } });
    expect(batchOf(shown)).toMatchObject({ forName: 'Per', forWater: 'Staith Brook' });
    expect(screen.getByRole('button', { name: 'For whom: for Per' })).toBeInTheDocument();
  });
  test('its lists, cards and pocket card go to the printer, and its lists are copied', async () => {
    jest.mocked(run).mockResolvedValue({ bytes: new Uint8Array(), cut: 1 } as never);
    await openScreen(<SessionScreen id={TONIGHT} />);
    unfold('On paper');
    choose('Paper', 'Letter');
    const asked = async (name: RegExp) => {
      await act(async () => void fireEvent.click(screen.getByRole('button', { name })));
      return jest.mocked(run).mock.calls.at(-1)![1] as Jobs['cards-pdf']['input'];
    };
    const lists = await asked(/^Session lists/);
    expect(lists).toMatchObject({ pocket: false, page: 'letter' });
    const [{ sections, words }] = lists.cards as [(typeof lists.cards)[number]];
    expect(sections.map(({ title }) => title)).toEqual(
      expect.arrayContaining(['Flies', 'Test the hooks', 'Thread', 'Order of work']),
    );
    expect(words.check).toMatch(/^This line is 50 mm/);
    expect((await asked(/bench cards/)).cards).toHaveLength(2);
    const pocket = await asked(/^Pocket card/);
    expect(pocket.pocket).toBe(true);
    expect(screen.getByText(/^On 1 quarter not everything found room/)).toBeInTheDocument();
    await act(async () => void fireEvent.click(screen.getByText('Copy as text')));
    expect(copied.at(-1)).toContain('Test the hooks\n');
    jest.mocked(run).mockRejectedValueOnce(new Error('no'));
    await asked(/^Pocket card/);
    expect(screen.getByText(/^The page could not be made/)).toBeInTheDocument();
  });
  test('one that is gone says so', async () => {
    await openScreen(<SessionScreen id="none" />);
    expect(screen.getByText(/^This session is not on this device/)).toBeInTheDocument();
  });
});

describe('at the vise', () => {
  const key = (name: string) => act(() => void fireEvent.keyDown(document.body, { key: name }));
  const stepNow = () => screen.getByText(/^Step \d+ of \d+/).textContent;

  test('it goes on where it stood, step by step by pedal, and back again', async () => {
    const shown = await openScreen(<TieSession id={TONIGHT} />);
    expect(screen.getByText('First-light upright dun 4')).toBeInTheDocument();
    expect(stepNow()).toMatch(/^Step 7 of 17/);
    key('PageDown');
    expect(batchOf(shown).flies['i1-4']!.done).toBe(7);
    expect(stepNow()).toMatch(/^Step 8 of 17/);
    key('PageUp');
    expect(stepNow()).toMatch(/^Step 7 of 17/);
    // Opened again it is the same step.
    const again = JSON.stringify(batchOf(shown).flies);
    shown.unmount();
    expect(batchOf(shown).at).toMatchObject({ item: 'i1', n: 4, since: null });
    expect(JSON.stringify(batchOf(shown).flies)).toBe(again);
  });
  test('what is coated dries beside its time while the next fly is begun, and is dry when the tier says so', async () => {
    const shown = await openScreen(<TieSession id={TONIGHT} />);
    for (let at = 7; at <= 16; at++) key(' ');
    expect(batchOf(shown).flies['i1-4']).toMatchObject({ done: 16, state: 'begun' });
    expect(screen.getByText('10:00')).toBeInTheDocument();
    expect(stepNow()).toMatch(/^Step 1 of 17/);
    fireEvent.click(screen.getByRole('button', { name: 'First-light upright dun 4 is dry already' }));
    expect(batchOf(shown).flies['i1-4']!.wetUntil).toBeNull();
  });
  test('a fly is spoiled in two taps, and another is tied for it', async () => {
    const shown = await openScreen(<TieSession id={TONIGHT} />);
    fireEvent.click(screen.getByRole('button', { name: 'Spoiled …' }));
    fireEvent.click(screen.getByRole('radio', { name: 'thread broke' }));
    expect(batchOf(shown).flies['i1-4']).toMatchObject({ state: 'spoiled', why: 'thread', spoiledAt: 7 });
    expect(screen.queryByText('First-light upright dun 4')).toBeNull();
    expect(screen.getByText('4 of 8 made', { exact: false })).toBeInTheDocument();
  });
  test('timers run side by side and are stopped; sound, voice and the screen are this device’s', async () => {
    const shown = await openScreen(<TieSession id={TONIGHT} />);
    unfold('Timers, sound and voice');
    fireEvent.click(screen.getByRole('button', { name: 'Timer of 5 minutes' }));
    fireEvent.click(screen.getByRole('button', { name: 'Timer of 1 minute' }));
    const waits = within(screen.getByRole('list', { name: 'What is waited for' }));
    expect(waits.getAllByRole('listitem').map((item) => item.textContent)).toEqual([
      expect.stringMatching(/^1:00/),
      expect.stringMatching(/^5:00/),
    ]);
    fireEvent.click(waits.getByRole('button', { name: 'Stop: Timer, 1 min' }));
    expect(Object.values(batchOf(shown).timers)).toHaveLength(1);
    fireEvent.click(screen.getByRole('button', { name: 'A sound when a wait is over' }));
    fireEvent.click(screen.getByRole('button', { name: 'Keep the screen on' }));
    expect(Object.values(shown.store.getState().records.entities.device)[0]).toMatchObject({
      sound: true,
      awake: false,
    });
    expect(screen.getByText('This browser has no voice.')).toBeInTheDocument();
  });
  test('where nothing else can be tied it waits for what is wet, in big figures; then all are done', async () => {
    const shown = await openScreen(<SessionScreen id={TONIGHT} />);
    const { store } = shown;
    const finish = (item: string, n: number, short: number) => {
      const { card } = batchOf(shown).items.find(({ id }) => id === item)!;
      for (const { n: step } of card.steps.slice(
        batchOf(shown).flies[`${item}-${n}`]?.done ?? 0,
        card.steps.length - short,
      ))
        store.dispatch(does(stepDone, { batchId: TONIGHT, item, n, step }));
    };
    finish('i1', 4, 0);
    finish('i1', 5, 0);
    finish('i2', 2, 0);
    finish('i2', 3, 1);
    shown.unmount();
    went.params = {};
    const tie = await openScreenOn(shown, <TieSession id={TONIGHT} />);
    expect(screen.getByRole('heading', { name: 'Auldry flat spinner 3 is still wet' })).toBeInTheDocument();
    fireEvent.keyDown(document.body, { key: 'PageDown' });
    expect(batchOf(shown).flies['i2-3']!.state).toBe('begun');
    finish('i2', 3, 0);
    await laidOut();
    expect(screen.getByRole('heading', { name: 'All flies are done' })).toBeInTheDocument();
    expect(screen.getByRole('link', { name: 'End and count' })).toBeInTheDocument();
    tie.unmount();
  });
  test('where the hands are surely off, the step says what to aim at, unless nobody wants to know', async () => {
    const shown = await openScreen(<TieSession id={APRIL} />);
    expect(screen.getByText(/^This session is not on this device, or it was ended/)).toBeInTheDocument();
    shown.unmount();
    const tie = await openScreen(<TieSession id={TONIGHT} />);
    key('PageUp');
    key('PageUp');
    expect(screen.getByText(/^Your tail comes out 1\d % long: aim at 7\.\d mm\.$/)).toBeInTheDocument();
    act(() => void tie.store.dispatch(does(setSettings, { aims: false })));
    expect(screen.queryByText(/aim at/)).toBeNull();
    tie.unmount();
    // Beside the true figure of the card too.
    await openScreen(<MatchScreen id={DUN} step="bench" />);
    expect(screen.getByText(/^Your tail comes out 1\d % long: aim at/)).toBeInTheDocument();
  });
});

/** A screen on the store of another that was shown before. */
async function openScreenOn({ store }: Opened, element: ReactElement) {
  const shown = render(
    <Provider store={store}>
      <SpeechProvider>{element}</SpeechProvider>
    </Provider>,
  );
  await laidOut();
  return shown;
}

describe('a fly beside its card', () => {
  beforeEach(() => {
    went.params = { fly: 'i1-1' };
  });
  afterEach(() => {
    went.params = {};
  });

  test('a length out of its range says by how much, why, and what mends it; what cannot be read stays as typed', async () => {
    const shown = await openScreen(<InspectScreen id={APRIL} />);
    expect(screen.getByText('4 of 6 lengths measured · 1 thing to mend')).toBeInTheDocument();
    expect(screen.getByText('1.2 mm too long, 15 %.')).toBeInTheDocument();
    expect(screen.getByText(/drawn, or cut, too little/)).toBeInTheDocument();
    expect(screen.getByText(/^Draw it further/)).toBeInTheDocument();
    const tail = screen.getByLabelText('Length of Tail');
    fireEvent.focus(tail);
    fireEvent.change(tail, { target: { value: '6' } });
    expect(screen.getByText('2.2 mm too short, 26 %.')).toBeInTheDocument();
    // What mends a part that is long does not mend one that is short.
    expect(screen.getByText(/^Slacken the turns/)).toBeInTheDocument();
    expect(screen.queryByText(/^Draw it further/)).toBeNull();
    fireEvent.change(tail, { target: { value: 'long' } });
    expect(tail).toHaveAttribute('aria-invalid', 'true');
    expect(tail).toHaveValue('long');
    expect(batchOf(shown, APRIL).measured['i1-1-tail']!.mm).toBe(6);
    fireEvent.change(tail, { target: { value: '' } });
    expect(batchOf(shown, APRIL).measured['i1-1-tail']).toBeUndefined();
  });
  test('by eye a part is short, good or long, and never a figure', async () => {
    const shown = await openScreen(<InspectScreen id={APRIL} />);
    choose('How you measure', 'By eye');
    choose('Thorax by eye', 'Long');
    expect(batchOf(shown, APRIL).measured['i1-1-thorax']).toMatchObject({ how: 'eye', kind: 'thorax' });
    choose('How you measure', 'Calliper or rule');
    expect(screen.getByLabelText('Length of Thorax')).toHaveValue('');
  });
  test('what is not as it should be says what mends it', async () => {
    const shown = await openScreen(<InspectScreen id={APRIL} />);
    const wings = screen.getByRole('radiogroup', { name: 'Equal wings, seen from the front' });
    fireEvent.click(within(wings).getByRole('radio', { name: 'No' }));
    expect(Object.values(batchOf(shown, APRIL).looked)).toEqual([false]);
    expect(screen.getByText('4 of 6 lengths measured · 2 things to mend')).toBeInTheDocument();
    fireEvent.click(within(wings).getByRole('radio', { name: 'Yes' }));
    expect(Object.values(batchOf(shown, APRIL).looked)).toEqual([true]);
  });
  test('another fly is looked at by its name; where none is made it says so', async () => {
    await openScreen(<InspectScreen id={APRIL} />);
    choose('Which fly', 'First-light upright dun 4');
    expect(went.to).toEqual([{ params: { fly: 'i1-4' } }]);
    await openScreen(<InspectScreen id="none" />);
    expect(screen.getByText(/^This session is not on this device/)).toBeInTheDocument();
  });
});

describe('the end of a session', () => {
  test('one sheet: made, spoiled, where it goes; ended it is counted, and taken back as one', async () => {
    const shown = await openScreen(<EndScreen id={TONIGHT} />);
    const { store } = shown;
    expect(screen.getByText('1 fly is not finished', { exact: false })).toBeInTheDocument();
    const before = JSON.stringify(store.getState().records.entities.packet);
    choose('Auldry flat spinner: into', /^(no|into no) box/i);
    fireEvent.click(screen.getByRole('button', { name: 'End the session' }));
    expect(batchOf(shown).ended).toBe('2033-05-24T04:50');
    const { fly, packet } = store.getState().records.entities;
    const last = Object.values(fly).flatMap(({ dressingId, tally }) =>
      tally.latest
        .filter(({ event }) => event.at === '2033-05-24T04:50')
        .map(({ event }) => [dressingId, event.count, event.why]),
    );
    expect(last).toEqual([['first-light-dun', 3, 'tied']]);
    expect(JSON.stringify(packet)).not.toBe(before);
    expect(went.to).toEqual([{ pathname: '/vise/[id]', params: { id: TONIGHT } }]);
    act(() => void store.dispatch(undone()));
    expect(JSON.stringify(store.getState().records.entities.packet)).toBe(before);
    expect(batchOf(shown).ended).toBeNull();
  });
});

describe('what the hands do', () => {
  test('habits that are certain stand in words and in a chart that says the same, with minutes and what was spoiled', async () => {
    const shown = await openScreen(<HandsScreen />);
    expect(screen.getByText(/^Tail: 1\d ± \d % long, over 8 flies$/)).toBeInTheDocument();
    expect(
      screen.getByRole('img', { name: /Tail: 1\d ± \d % long.*Wing: \d ± \d % (long|short)/ }),
    ).toBeInTheDocument();
    expect(screen.getByText(/min once the hand knows it, from 11 flies/)).toBeInTheDocument();
    expect(screen.getByRole('img', { name: /^First-light upright dun: minutes of 11 flies/ })).toBeInTheDocument();
    choose('Drift of', 'Head');
    expect(
      screen.getByRole('img', { name: /^Head: \d measured, and no drift that is more than chance\.$/ }),
    ).toBeInTheDocument();
    choose('Dressing', 'Auldry flat spinner');
    expect(screen.getByText(/from 5 flies/)).toBeInTheDocument();
    expect(screen.getByText('3 of 25 flies.')).toBeInTheDocument();
    expect(within(screen.getByRole('list', { name: 'Spoiled' })).getAllByRole('listitem')).toHaveLength(3);
    fireEvent.click(screen.getByRole('button', { name: 'Cards say what to aim at' }));
    expect(Object.values(shown.store.getState().records.entities.settings)[0]!.aims).toBe(false);
  });
  test('with nothing tied it says what will stand here', async () => {
    await openScreen(<HandsScreen />, 'clean');
    expect(screen.getByText(/^Nothing was measured twice yet/)).toBeInTheDocument();
    expect(screen.getByText(/^No fly was timed yet/)).toBeInTheDocument();
    expect(screen.getByText('No fly was tied in a session yet.')).toBeInTheDocument();
  });
});

test('several flies of a match are a session of its card', async () => {
  const shown = await openScreen(<MatchScreen id={DUN} step="bench" />);
  fireEvent.click(screen.getByRole('button', { name: 'Tie several' }));
  const { id } = (went.to.at(-1) as { params: { id: string } }).params;
  expect(batchOf(shown, id).items).toEqual([
    expect.objectContaining({
      matchId: DUN,
      count: 6,
      card: expect.objectContaining({ dressing: expect.objectContaining({ id: 'first-light-dun' }) }),
    }),
  ]);
});

describe('a fly in a photograph', () => {
  const part = (id: string, kind: string, sure: boolean, to: [number, number]) => ({
    id,
    kind,
    sure,
    from: [40, 20],
    to,
    lessMm: 0,
  });
  const answer = (more: object = {}) => ({
    measure: {
      refused: null,
      card: null,
      axis: [
        [48, 20],
        [40, 20],
      ],
      scale: { times: 1, sd: 0.01 },
      parts: [part('tail', 'tail', true, [30, 20]), part('wing', 'wing', false, [40, 12])],
      ...more,
    },
    crop: { url: 'data:image/jpeg;base64,AAAA', leftMm: 25, topMm: 5, widthMm: 30, heightMm: 30 },
  });
  async function photographed(more: object = {}) {
    went.params = { fly: 'i1-2' };
    jest.mocked(run).mockResolvedValue(answer(more) as never);
    globalThis.fetch = jest.fn(async () => ({ ok: true, blob: async () => new Blob() }) as Response);
    const shown = await openScreen(<InspectScreen id={APRIL} />);
    choose('How you measure', 'Photograph');
    fireEvent.click(screen.getByRole('button', { name: 'Sample photographs' }));
    await act(async () => void fireEvent.click(screen.getByRole('button', { name: 'A tied fly' })));
    await laidOut();
    return shown;
  }
  afterEach(() => {
    went.params = {};
    jest.restoreAllMocks();
  });

  test('what was found stands beside the card, what is not plain is moved by hand, and what is known is taken', async () => {
    const shown = await photographed();
    expect(screen.getByText(/^10\.0 mm, 8\.2 mm on the card · 2\d % long$/)).toBeInTheDocument();
    expect(screen.getByText('not plain in the picture: move its ends')).toBeInTheDocument();
    expect(screen.getByText(/^1 part is not plain/)).toBeInTheDocument();
    choose('Move the ends of', 'Wing');
    fireEvent.keyDown(screen.getByRole('button', { name: 'Tip of Wing' }), { key: 'ArrowUp' });
    expect(screen.queryByText('not plain in the picture: move its ends')).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Take 2 lengths' }));
    expect(batchOf(shown, APRIL).measured['i1-2-tail']).toMatchObject({ mm: 10, how: 'photo' });
    expect(batchOf(shown, APRIL).measured['i1-2-wing']).toMatchObject({ mm: expect.closeTo(8.05, 6), how: 'photo' });
    expect(screen.getByText('Taken. The picture is not kept.')).toBeInTheDocument();
  });
  test('a refusal says what to do, and another photograph is taken', async () => {
    await photographed({ refused: { code: 'photo-no-hook', params: {} } });
    expect(screen.getByText(/^The hook was not made out/)).toBeInTheDocument();
    expect(screen.getByRole('button', { name: 'Another photograph' })).toBeInTheDocument();
  });
});
