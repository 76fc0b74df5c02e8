import { fireEvent, screen, within } from '@testing-library/react';
import { leftInPacket } from '@/records';
import { selectSettings } from '@/state';
import { selectHooks, selectOwned } from '@/state/answering';
import { went } from '../__tests__/router';
import { choose, openScreen } from '../__tests__/screen';
import { ConvertScreen } from './convert-screen';
import { HooksScreen } from './hooks-screen';
import { ModelScreen } from './model-screen';
import { PacketsScreen } from './packets-screen';

const type = (label: string | RegExp, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
const enter = (label: string | RegExp) =>
  fireEvent.keyDown(screen.getByLabelText(label), { key: 'Enter', code: 'Enter', keyCode: 13 });

describe('hooks', () => {
  test('one bend at first; the filter widens or narrows the ladder and says how many are left', async () => {
    const { store } = await openScreen(<HooksScreen />);
    const hooks = selectHooks(store.getState());
    const count = (bend: string) => hooks.filter((hook) => hook.bend === bend).length;
    const models = (bend: string) =>
      new Set(hooks.filter((hook) => hook.bend === bend).map((hook) => `${hook.maker}:${hook.model}`)).size;
    expect(screen.getByText(`${count('round')} hooks by shank, round`)).toBeInTheDocument();
    fireEvent.click(screen.getByText('Filter'));
    fireEvent.click(screen.getByText('Jig'));
    expect(screen.getByText(`${count('jig')} hooks by shank, jig`)).toBeInTheDocument();
    expect(screen.getByLabelText(`${models('jig')} hook models on one length axis.`)).toBeInTheDocument();
  });
  test('laid by what they carry in a style, without bends it is not meant for', async () => {
    const { store } = await openScreen(<HooksScreen />);
    fireEvent.click(screen.getByText('Filter'));
    fireEvent.click(within(screen.getByRole('radiogroup', { name: 'Bend' })).getByText('Any'));
    choose('Style in use', 'Upright dun');
    const straight = selectHooks(store.getState()).filter(
      (hook) => hook.bend === 'round' || hook.bend === 'wide',
    ).length;
    expect(screen.getByText(`${straight} hooks as upright dun`)).toBeInTheDocument();
  });
  test('only what is owned, kept as a choice', async () => {
    const { store } = await openScreen(<HooksScreen />);
    fireEvent.click(screen.getByText('Only what I own'));
    const owned = selectOwned(store.getState());
    const round = selectHooks(store.getState()).filter((hook) => hook.bend === 'round' && owned[hook.id]).length;
    expect(screen.getByText(`${round} hooks by shank, round`)).toBeInTheDocument();
    expect(selectSettings(store.getState()).onlyOwned).toBe(true);
  });
  test('as a table it sorts by any column, and marks what is about', async () => {
    await openScreen(<HooksScreen />);
    fireEvent.click(screen.getByText('Table'));
    const lengths = () =>
      screen
        .getAllByRole('row')
        .slice(1, 6)
        .map((row) => Number(/(\d+\.\d)/.exec(within(row).getAllByRole('cell')[2]!.textContent!)![1]));
    fireEvent.click(screen.getByLabelText('Sort by length'));
    const first = lengths();
    fireEvent.click(screen.getByLabelText('Sort by length'));
    const second = lengths();
    const up = (list: number[]) => [...list].sort((a, b) => a - b);
    expect(
      [first, second].map((list) => String(list) === String(up(list)) || String(list) === String(up(list).reverse())),
    ).toEqual([true, true]);
    expect(Math.abs(first[0]! - second[0]!)).toBeGreaterThan(5);
    expect(screen.getByRole('columnheader', { name: /length/ })).toHaveAttribute(
      'aria-sort',
      expect.stringMatching(/ending$/),
    );
    expect(screen.getByRole('table')).toHaveAttribute('aria-rowcount', expect.stringMatching(/^\d+$/));
  });
});

test('a maker and a model are added by name, and their page opens', async () => {
  const { store } = await openScreen(<HooksScreen />, 'clean');
  fireEvent.click(screen.getByText('Add a maker or a model'));
  type('Maker', 'Wend');
  type('Model', 'Deep Round');
  fireEvent.click(screen.getByText('2X long'));
  fireEvent.click(screen.getByText('Make it'));
  expect(store.getState().records.entities.model['wend:deep-round']).toMatchObject({
    name: 'Deep Round',
    xLong: 2,
    sizes: {},
  });
  expect(store.getState().records.entities.maker.wend).toMatchObject({ name: 'Wend' });
  expect(went.to).toEqual([
    { pathname: '/drawer/hooks/[maker]/[model]', params: { maker: 'wend', model: 'deep-round' } },
  ]);
});

describe('one model', () => {
  test('shows every size with its reading and dimensions', async () => {
    const { store } = await openScreen(<ModelScreen maker="osmere" model="lark" />);
    const hooks = selectHooks(store.getState()).filter((hook) => hook.maker === 'osmere' && hook.model === 'lark');
    const table = screen.getByRole('table', { name: 'Sizes of Osmere Lark' });
    expect(
      within(table)
        .getAllByRole('columnheader')
        .map((head) => head.textContent),
    ).toEqual(['size', 'reads', 'shank', 'gape', 'throat', 'wire', 'eye', 'about mass']);
    expect(within(table).getAllByRole('row')).toHaveLength(1 + hooks.length);
    expect(
      within(table)
        .getAllByRole('row')
        .find((item) => item.textContent!.startsWith('14'))!,
    ).toHaveTextContent(/^1413\.07\.6/);
    expect(screen.getByText(/Runs long/)).toBeInTheDocument();
  });
  test('a number says where it comes from when it is asked', async () => {
    await openScreen(<ModelScreen maker="osmere" model="lark" />);
    fireEvent.click(screen.getByLabelText(/^shank, 14: 7\.6 mm/));
    expect(screen.getByText(/^Measured, ± 0\.\d+ mm$/i)).toBeInTheDocument();
  });
  test('the maker-less range is about in every column, and cannot be changed', async () => {
    await openScreen(<ModelScreen maker="reference" model="standard-dry" />);
    const heads = screen.getAllByRole('columnheader').map((head) => head.textContent);
    expect(heads.slice(2)).toEqual([
      'about shank',
      'about gape',
      'about throat',
      'about wire',
      'about eye',
      'about mass',
    ]);
    expect(screen.getByLabelText(/^Reference Standard dry: sizes 1\/0, .*26, at one scale$/)).toBeInTheDocument();
    expect(screen.queryByText('Change')).toBeNull();
  });
  test('a model that is not there offers the list', async () => {
    await openScreen(<ModelScreen maker="osmere" model="none" />);
    expect(screen.getByRole('link', { name: 'See the list' })).toHaveAttribute('href', '/drawer/hooks');
  });
  test('one hook taped is said beside its label, moves its model, and can be taken out again', async () => {
    const { store } = await openScreen(<ModelScreen maker="bessock" model="fine-wet" tape="12" />);
    const shank = (size: string) =>
      selectHooks(store.getState()).find((hook) => hook.id === `bessock:fine-wet:${size}`)!.shank;
    const before = shank('14');
    type('Shank', '9.4');
    type('Gape', '5');
    expect(screen.getByText(/^Labelled 12, reads 10\.5 long, 11\.9 wide\.$/)).toBeInTheDocument();
    fireEvent.click(screen.getByText('Keep this reading'));
    expect(shank('12')).toMatchObject({ value: 9.4, source: 'measured' });
    expect(shank('14')).toMatchObject({ source: 'model' });
    expect(shank('14').sd! / shank('14').value).toBeLessThan(before.sd! / before.value);
    fireEvent.click(screen.getByLabelText('Take out the reading of size 12'));
    expect(shank('14')).toEqual(before);
  });
  test('a reading that cannot be read keeps what was typed and cannot be kept', async () => {
    await openScreen(<ModelScreen maker="bessock" model="fine-wet" tape="12" />);
    type('Shank', 'nine');
    expect(screen.getByLabelText('Shank')).toHaveValue('nine');
    expect(screen.getByLabelText('Shank')).toHaveAttribute('aria-invalid', 'true');
    expect(screen.getByText('Keep this reading').closest('[role="button"]')).toHaveAttribute('aria-disabled', 'true');
  });
  test('without a measured screen the glass says how to measure it', async () => {
    await openScreen(<ModelScreen maker="bessock" model="fine-wet" tape="12" />);
    fireEvent.click(screen.getByText('On the glass'));
    expect(screen.queryByText('Keep this reading')).toBeNull();
    expect(screen.getByText('Not measured yet.')).toBeInTheDocument();
  });
  test('beads by the gape and bend, masses and bore; a bore too small is said, not forbidden', async () => {
    await openScreen(<ModelScreen maker="tholeby" model="jig-sixty" />);
    fireEvent.click(screen.getByText('Beads, weight, tippet'));
    const table = screen.getByRole('table', { name: 'Beads on this hook' });
    expect(within(table).getAllByRole('row').length).toBeGreaterThan(3);
    expect(screen.getByRole('radio', { name: 'Slotted' })).toHaveAttribute('aria-checked', 'true');
    type('Bore of your bead', '0.3');
    expect(within(table).getAllByText(/does not pass this bend/).length).toBeGreaterThan(0);
    expect(screen.getByText(/X as usual/)).toBeInTheDocument();
  });
  test("a maker's X, a size no longer sold and a deleted model are changes that undo", async () => {
    const { store } = await openScreen(<ModelScreen maker="bessock" model="fine-wet" />);
    const record = () => store.getState().records.entities.model['bessock:fine-wet'];
    fireEvent.click(screen.getByText('Change'));
    fireEvent.click(screen.getByText('Two stocked sizes longer'));
    expect(store.getState().records.entities.maker.bessock!.xLabel).toBe('catalogue-step');
    fireEvent.click(screen.getByLabelText('Open size 13'));
    fireEvent.click(screen.getByText('No longer sold'));
    expect(record()!.sizes['13']!.retired).toBe(true);
    type('Another size', '17');
    fireEvent.click(screen.getByText('Add'));
    expect(record()!.sizes['17']).toMatchObject({ source: 'label', shankMm: null });
    fireEvent.click(screen.getByText('Delete the model'));
    expect(record()).toBeUndefined();
    expect(store.getState().records.past.map((item) => item.label)).toEqual(['maker', 'size', 'size', 'delete-model']);
  });
});

test('numbers that grow with the hook wait for one that is taped', async () => {
  const { store } = await openScreen(<ModelScreen maker="bessock" model="fine-wet" />);
  const hooks = () => selectHooks(store.getState()).filter((hook) => hook.model === 'fine-wet');
  fireEvent.click(screen.getByText('Change'));
  fireEvent.click(screen.getByText('Bigger is bigger'));
  expect(hooks()).toEqual([]);
  expect(screen.getByText(/^Nothing says how long its sizes are yet/)).toBeInTheDocument();
  fireEvent.click(screen.getAllByRole('radio', { name: '12' })[0]!);
  type('Shank', '9');
  type('Gape', '5');
  fireEvent.click(screen.getByText('Keep this reading'));
  const lengths = Object.fromEntries(hooks().map((hook) => [hook.size, hook.shank.value]));
  expect(lengths['12']).toBe(9);
  expect(lengths['16']).toBeGreaterThan(lengths['14']!);
  expect(lengths['10']).toBeLessThan(9);
});

describe('convert', () => {
  test('the nearest of every other maker and of the drawer, with the differences; weights are kept', async () => {
    const { store } = await openScreen(<ConvertScreen id="osmere:heron:14" />);
    expect(screen.getByRole('heading', { level: 1, name: 'Osmere Heron 14' })).toBeInTheDocument();
    expect(screen.getAllByRole('listitem')).toHaveLength(7);
    expect(screen.getAllByRole('listitem')[0]).toHaveTextContent(/in the drawer · length/);
    fireEvent.click(screen.getByText('Gape first'));
    expect(selectSettings(store.getState()).convertBy).toBe('gape');
    fireEvent.click(screen.getByLabelText(/^Tholeby/));
    expect(screen.getAllByText(/^· /).length).toBeGreaterThan(0);
  });
  test('a hook that is in the drawer itself is not offered for itself', async () => {
    await openScreen(<ConvertScreen id="osmere:lark:14" />);
    expect(screen.getAllByRole('listitem')).toHaveLength(6);
    expect(screen.queryByText(/^in the drawer/)).toBeNull();
  });
  test('a size between two that are stocked is answered as well; one far outside is not', async () => {
    await openScreen(<ConvertScreen id="kyrewood:dry-1x:13" />);
    expect(screen.getByRole('heading', { level: 1, name: 'Kyrewood Dry 1X 13' })).toBeInTheDocument();
    await openScreen(<ConvertScreen id="kyrewood:dry-1x:40" />);
    expect(screen.getByText(/no such hook/)).toBeInTheDocument();
  });
  test('a maker and a size are enough to find one', async () => {
    await openScreen(<ConvertScreen id={null} />);
    type('Maker, model, size', 'bess 13');
    const links = screen
      .getAllByRole('link')
      .filter(
        (link) => link.getAttribute('href')!.startsWith('/drawer/convert') && link.textContent!.startsWith('Bessock'),
      );
    expect(links.length).toBeGreaterThan(2);
  });
  test('after the demo has left the reference range still answers', async () => {
    await openScreen(<ConvertScreen id="reference:standard-dry:14" />, 'clean');
    expect(screen.getByText('No other maker has a hook here.')).toBeInTheDocument();
  });
});

describe('packets', () => {
  const LINE = 'Model, sizes, count';
  const left = (store: Awaited<ReturnType<typeof openScreen>>['store'], hookId: string) =>
    Object.values(store.getState().records.entities.packet)
      .filter((packet) => packet.hookId === hookId)
      .reduce((sum, packet) => sum + leftInPacket(packet), 0);
  test('one line puts packets in, the next stays with the model', async () => {
    const { store } = await openScreen(<PacketsScreen />, 'demo');
    const before = left(store, 'osmere:lark:10');
    fireEvent.click(screen.getByText('Add packets'));
    type(LINE, 'lark 10 18 x30');
    expect(screen.getByText('Osmere Lark: 10 ×30, 18 ×30')).toBeInTheDocument();
    enter(LINE);
    expect([left(store, 'osmere:lark:10') - before, left(store, 'osmere:lark:18')]).toEqual([30, 30]);
    type(LINE, '20');
    enter(LINE);
    expect(left(store, 'osmere:lark:20')).toBe(25);
    expect(store.getState().records.past.map((item) => item.label)).toEqual(['packets-in', 'packets-in']);
  });
  test('what cannot be read stays as typed, with what would be', async () => {
    await openScreen(<PacketsScreen />);
    fireEvent.click(screen.getByText('Add packets'));
    type(LINE, 'lark 12 many');
    enter(LINE);
    expect(screen.getByLabelText(LINE)).toHaveValue('lark 12 many');
    expect(screen.getByText(/^many is neither a size nor a count/)).toBeInTheDocument();
  });
  test('a count alone, or a model alone, puts nothing in', async () => {
    const { store } = await openScreen(<PacketsScreen />);
    fireEvent.click(screen.getByText('Add packets'));
    type(LINE, 'lark');
    enter(LINE);
    expect(screen.getByText('Osmere Lark: sizes and count, or another model')).toBeInTheDocument();
    type(LINE, 'x25');
    enter(LINE);
    expect(screen.getByText('which sizes?')).toBeInTheDocument();
    expect(store.getState().records.past).toEqual([]);
  });
  test('by thumb: sizes and how many of each', async () => {
    const { store } = await openScreen(<PacketsScreen />, 'clean');
    fireEvent.click(screen.getByText('Add packets'));
    type(LINE, 'standard');
    fireEvent.click(screen.getByLabelText('Reference Standard dry'));
    fireEvent.click(screen.getByLabelText('size 14'));
    fireEvent.click(screen.getByLabelText('size 16'));
    fireEvent.click(screen.getByText('×50'));
    fireEvent.click(screen.getByLabelText('Hooks of size 14: 51'));
    fireEvent.click(screen.getByText('Put 2 packets in'));
    expect(selectOwned(store.getState())).toEqual({ 'reference:standard-dry:14': 51, 'reference:standard-dry:16': 50 });
  });
  test('a model nobody knows is made in place', async () => {
    const { store } = await openScreen(<PacketsScreen />, 'clean');
    fireEvent.click(screen.getByText('Add packets'));
    type(LINE, 'wend deep 10 12 x20');
    enter(LINE);
    fireEvent.click(screen.getByText('Make a model called wend deep'));
    fireEvent.click(screen.getByText('Curved shank'));
    fireEvent.click(screen.getByText('Make it'));
    expect(store.getState().records.entities.model['wend:deep']).toMatchObject({ name: 'Deep', bend: 'curved-shank' });
    expect(selectOwned(store.getState())).toEqual({ 'wend:deep:10': 20, 'wend:deep:12': 20 });
    expect(selectHooks(store.getState()).find((hook) => hook.id === 'wend:deep:12')!.shank.source).toBe('label');
  });
  test('pasted from a spreadsheet: good lines go in, the others are left to mend', async () => {
    const { store } = await openScreen(<PacketsScreen />);
    fireEvent.click(screen.getByText('Add packets'));
    fireEvent.paste(screen.getByLabelText(LINE), {
      clipboardData: { getData: () => 'Osmere\tLark\t10\t12\nOsmere\tLarch\t14\t5\nBessock\tFine\t16\t\n' },
    });
    expect(left(store, 'osmere:lark:10')).toBe(12);
    expect(left(store, 'bessock:fine:16')).toBe(25);
    expect(screen.getByText('Mend: Osmere Larch 14 x5')).toBeInTheDocument();
  });
  test('a count is an entry of the ledger, and a low one is found', async () => {
    const { store } = await openScreen(<PacketsScreen />);
    fireEvent.click(screen.getByText(/^Low \(/));
    expect(screen.getAllByText('low')).toHaveLength(2);
    fireEvent.click(screen.getByLabelText(/^Osmere Lark 16: 4 left/));
    fireEvent.click(screen.getByText('Got 25'));
    expect(left(store, 'osmere:lark:16')).toBe(29);
    const packet = store.getState().records.entities.packet['packet_demo-lark-16']!;
    expect(packet.tally.latest.map(({ event }) => [event.count, event.why])).toEqual([
      [25, 'got'],
      [4, 'got'],
    ]);
    expect(packet.demo).toBe(false);
  });
  test('an empty drawer says how to begin', async () => {
    await openScreen(<PacketsScreen />, 'clean');
    expect(screen.getByText(/^No packet yet\./)).toBeInTheDocument();
    expect(screen.queryByText('Print the drawer')).toBeNull();
  });
});
