import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { SHADES } from '@/catalogue';
import { leftOf, stashSchema, type Entities, type StashRecord } from '@/records';
import { change } from '@/state/__tests__/change';
import { saved } from '../__tests__/files';
import { choose, openScreen, unfold, laidOut } from '../__tests__/screen';
import { BlendScreen } from './blend-screen';
import { MaterialsScreen } from './materials-screen';
import { ShadeBookScreen } from './shade-book';
import { ShoppingScreen } from './shopping-screen';

const mockWork = { hang: false, fails: false, asked: [] as unknown[] };
jest.mock('@/workers', () => ({
  run: (
    job: string,
    input: { shades: never[]; asked: never },
    { signal }: { signal: AbortSignal } = { signal: new AbortController().signal },
  ) => {
    mockWork.asked.push(input);
    if (job === 'tying-card-pdf')
      return mockWork.fails ? Promise.reject(new Error('no')) : Promise.resolve(new Uint8Array([1]));
    if (!mockWork.hang)
      return Promise.resolve(jest.requireActual('@/core/colour').solveBlend(input.shades, input.asked));
    return new Promise((_, reject) =>
      signal.addEventListener('abort', () => reject(new DOMException('cancelled', 'AbortError'))),
    );
  },
}));
jest.mock('@/features/files', () => jest.requireActual('../__tests__/files'));

const type = (label: string | RegExp, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
const tick = (name: string | RegExp) => screen.getByRole('checkbox', { name });
const open = async (find: string, name: string) => {
  type('Find', find);
  await laidOut();
  fireEvent.click(screen.getByRole('button', { name: `${name}: shades and amounts` }));
  await laidOut();
};

describe('materials', () => {
  test('begun from nothing: a tap says that a material is had, another that it is not', async () => {
    const { store } = await openScreen(<MaterialsScreen />, 'clean');
    const stash = () => store.getState().records.entities.stash;
    expect(screen.getByText(/Tick what you have/)).toBeInTheDocument();
    expect(screen.queryByRole('radio', { name: 'Yours' })).toBeNull();
    type('Find', 'kapok');
    await laidOut();
    fireEvent.click(tick('Have Kapok'));
    expect(Object.values(stash())).toEqual([
      expect.objectContaining({ materialId: 'kapok', shadeId: null, demo: false }),
    ]);
    expect(tick('Have Kapok')).toBeChecked();
    expect(screen.getByText('1 material, 0 in a shade')).toBeInTheDocument();
    fireEvent.click(tick('Have Kapok'));
    expect(stash()).toEqual({});
  });
  test('shades are ticked one by one, and the material with them', async () => {
    const { store } = await openScreen(<MaterialsScreen />, 'clean');
    await open('rabbit', 'Soft rabbit fur');
    const shades = SHADES.filter(({ of }) => of === 'rabbit-fur');
    const group = screen.getByRole('group', { name: 'Shades of Soft rabbit fur' });
    expect(within(group).getAllByRole('checkbox')).toHaveLength(shades.length);
    fireEvent.click(within(group).getByRole('checkbox', { name: new RegExp(`^${shades[0]!.shade}, `) }));
    await laidOut();
    expect(Object.keys(store.getState().records.entities.stash)).toEqual([`stash_${shades[0]!.id}`]);
    expect(tick('Have Soft rabbit fur')).toBeChecked();
  });
  test('amounts are a ledger: counted, low from a mark on, gone at nought; what is no number stays with its fault', async () => {
    const { store } = await openScreen(<MaterialsScreen />, 'clean');
    await open('kapok', 'Kapok');
    fireEvent.click(tick('Have Kapok'));
    await laidOut();
    fireEvent.click(screen.getByRole('button', { name: 'Kapok: not counted' }));
    const own = () => store.getState().records.entities.stash.stash_kapok as StashRecord;
    expect(leftOf(own())).toBeNull();
    type('How many packets', '3');
    type('Low from', '3');
    expect([leftOf(own()), own().low]).toEqual([3, 3]);
    expect(own().tally.latest.map(({ event }) => [event.count, event.why])).toEqual([[3, 'got']]);
    expect(screen.getByText('low')).toBeInTheDocument();
    type('How many packets', '-2');
    expect(screen.getByDisplayValue('-2')).toBeInTheDocument();
    expect(screen.getByText('A number from 0 on.')).toBeInTheDocument();
    expect(leftOf(own())).toBe(3);
    type('How many packets', '0');
    await laidOut();
    expect(leftOf(own())).toBe(0);
    expect(tick('Have Kapok')).not.toBeChecked();
    type('Low from', '');
    expect(own().low).toBeNull();
  });
  test('what it measured stands beside the shade it was sold as; what is no colour is not taken', async () => {
    const { store } = await openScreen(<MaterialsScreen />);
    await open('turkey biot', 'Turkey biot');
    const [line] = screen.getAllByRole('button', { name: /^rust: / });
    fireEvent.click(line!);
    const record = () => store.getState().records.entities.stash['stash_biot-rust']!;
    type('Its colour as measured', '#7a4a');
    expect([record().hex, screen.getByText(/This is no colour/)]).toEqual([null, expect.anything()]);
    type('Its colour as measured', '#7a4a2c');
    expect(record()).toMatchObject({ hex: '#7a4a2c', shadeId: 'biot-rust' });
    type('Its colour as measured', 'lab(50 100 -120)');
    expect(record().hex).toBe('#7a4a2c');
    type('What stands on it', 'Fox rust');
    expect(record().label).toBe('Fox rust');
  });
  test('a shade of nobody’s goes in under a name and a colour; two of one name do not', async () => {
    const { store } = await openScreen(<MaterialsScreen />, 'clean');
    await open('rabbit', 'Soft rabbit fur');
    unfold('Another shade');
    const put = () => screen.getByRole('button', { name: 'Put it in' });
    expect(put()).toHaveAttribute('aria-disabled', 'true');
    type('What it is called', 'weir mud');
    type('Its colour', 'lab(50 100 -120)');
    expect(screen.getByText(/lies outside sRGB/)).toBeInTheDocument();
    type('Its colour', '#5b5a43');
    fireEvent.click(put());
    await laidOut();
    expect(store.getState().records.entities.stash['stash_rabbit-fur-weir-mud']).toMatchObject({
      materialId: 'rabbit-fur',
      shade: 'weir mud',
      hex: '#5b5a43',
    });
    type('What it is called', 'Weir mud');
    expect(screen.getByText('There is one by that name.')).toBeInTheDocument();
    expect(put()).toHaveAttribute('aria-disabled', 'true');
  });
  test('found by words, by what it is for, by what is low; the nearest to a colour first', async () => {
    await openScreen(<MaterialsScreen />);
    const names = () =>
      screen.getAllByRole('checkbox', { name: /^Have / }).map((box) => box.getAttribute('aria-label')!.slice(5));
    choose('For', 'Beads');
    await laidOut();
    expect(names().every((name) => /bead/i.test(name))).toBe(true);
    choose('For', 'everything');
    fireEvent.click(screen.getByRole('radio', { name: /low$/ }));
    await laidOut();
    expect(names()).toContain('Soft hen hackle');
    expect(screen.getAllByText('low')).toHaveLength(names().length);
    fireEvent.click(screen.getByRole('radio', { name: 'All' }));
    type('Find', 'nothing like it');
    await laidOut();
    expect(screen.getByText('Nothing is found by that.')).toBeInTheDocument();
    type('Find', '');
    unfold('Nearest to a colour');
    type('Or exactly', '#5c2130');
    await laidOut();
    expect(screen.getAllByText(/^(same|hard to tell|close|related)\b/).length).toBeGreaterThan(2);
    type('Or exactly', 'no colour');
    expect(screen.getByText(/This is no colour/)).toBeInTheDocument();
  });
});

describe('the shade book', () => {
  const names = () => screen.getAllByRole('listitem').map((row) => row.textContent!);
  test('all shades by hue, or those that are had; the nearest to a colour first, and said by the picture', async () => {
    await openScreen(<ShadeBookScreen />);
    const count = () => Number(/^(\d+) shades/.exec(screen.getByText(/^\d+ shades by lightness/).textContent!)![1]);
    const all = count();
    expect(all).toBeGreaterThan(700);
    fireEvent.click(screen.getByRole('radio', { name: 'What I have' }));
    expect(count()).toBeLessThan(all / 2);
    choose('For', 'Thread');
    unfold('Nearest to a colour');
    type('Or exactly', '#6f6b3a');
    await laidOut();
    expect(names()[0]).toMatch(/^Olive nylon thread, 70 denier/);
    expect(names()[0]).toContain('same');
    type('Or exactly', '#6f6b3');
    expect(screen.getByText(/This is no colour/)).toBeInTheDocument();
  });
  test('what is shown can be blended where it is loose', async () => {
    await openScreen(<ShadeBookScreen />);
    unfold('Nearest to a colour');
    const rabbit = SHADES.find(({ of }) => of === 'rabbit-fur')!;
    type('Or exactly', rabbit.hex);
    await laidOut();
    expect(screen.getByRole('link', { name: `Blend ${rabbit.name}` })).toBeInTheDocument();
    choose('For', 'Thread');
    await laidOut();
    expect(screen.queryByRole('link', { name: /^Blend .*thread/ })).toBeNull();
  });
});

describe('the shopping list', () => {
  test('what is short for the flies of the matches, and what runs low; ticked it lies in the stash and stays in sight', async () => {
    const { store } = await openScreen(<ShoppingScreen />);
    const got = (name: string) => screen.getByRole('checkbox', { name: `Got ${name}` });
    const legs = got('Fine rubber legs');
    expect(legs).toHaveTextContent('short for Flat-sided stone nymph');
    expect(got('Head varnish')).toHaveTextContent('runs low');
    fireEvent.click(legs);
    expect(store.getState().records.entities.stash['stash_rubber-legs']).toMatchObject({ materialId: 'rubber-legs' });
    expect(got('Fine rubber legs')).toBeChecked();
    fireEvent.click(got('Fine rubber legs'));
    expect(store.getState().records.entities.stash['stash_rubber-legs']).toBeUndefined();
    const varnish = () => leftOf(store.getState().records.entities.stash['stash_head-varnish']!);
    expect(varnish()).toBe(1);
    fireEvent.click(got('Head varnish'));
    expect(varnish()).toBe(2);
    fireEvent.click(got('Head varnish'));
    expect(varnish()).toBe(1);
    fireEvent.click(screen.getByRole('button', { name: 'Save as CSV' }));
    expect(saved[0]).toMatchObject({ name: 'aubade-shopping.csv' });
    expect(saved[0]!.text).toMatch(/^material,amount,takes,for,why\r\n/);
    expect(saved[0]!.text).toMatch(/Fine rubber legs,one card,takes 42,Legs,short for Flat-sided stone nymph/);
  });
  test('what the flies take of it with what is lost, for as many as are wanted; hooks that no packet holds', async () => {
    await openScreen(<ShoppingScreen />);
    const legs = () => screen.getByRole('checkbox', { name: 'Got Fine rubber legs' });
    expect(legs()).toHaveTextContent('takes 42');
    fireEvent.click(screen.getByRole('button', { name: 'Flies of each: 7' }));
    expect(legs()).toHaveTextContent('takes 49');
    const hooks = within(screen.getByRole('list', { name: 'Hooks' })).getAllByRole('listitem');
    expect(hooks.map((hook) => hook.textContent)).toContain(
      'Tholeby Stone Long 4short for Flat-sided stone nymphCount them in',
    );
    expect(hooks.map((hook) => hook.textContent)).toContain('Bessock Fine 153 leftCount them in');
  });
  test('on paper by what it is for, each with a box to tick; where it cannot be made that is said', async () => {
    await openScreen(<ShoppingScreen />);
    await act(async () => void fireEvent.click(screen.getByRole('button', { name: 'Save PDF to print' })));
    const { card } = mockWork.asked.at(-1) as { card: { sections: { title: string; lines: string[] }[] } };
    expect(card.sections.map(({ title }) => title)).toEqual(expect.arrayContaining(['Thread', 'Legs', 'Hooks']));
    expect(card.sections.find(({ title }) => title === 'Legs')!.lines[0]).toBe(
      '[  ] Fine rubber legs · one card · takes 42 · short for Flat-sided stone nymph',
    );
    expect(saved.at(-1)).toMatchObject({ name: 'aubade-shopping.pdf', type: 'application/pdf' });
    mockWork.fails = true;
    await act(async () => void fireEvent.click(screen.getByRole('button', { name: 'Save PDF to print' })));
    expect(screen.getByText(/could not be made/)).toBeInTheDocument();
    mockWork.fails = false;
  });
  test('until a stash is begun there is none', async () => {
    await openScreen(<ShoppingScreen />, 'clean');
    expect(screen.getByRole('link', { name: 'Say what you have' })).toBeInTheDocument();
  });
});

describe('the blend desk', () => {
  const results = () => screen.findAllByRole('listitem', {}, { timeout: 5000 });
  beforeEach(() => {
    mockWork.hang = false;
    mockWork.asked.length = 0;
  });
  test('a colour by its word gives blends from the stash, in pinches that come to the whole', async () => {
    await openScreen(<BlendScreen />);
    expect(screen.getByText(/Give the colour to reach/)).toBeInTheDocument();
    unfold('Parts, underbody, flecks');
    choose('Most parts', '2');
    unfold('Colour to reach');
    type('Or exactly', '#7a6a3c');
    const found = await results();
    expect(found.length).toBeGreaterThan(1);
    const pinches = [...found[0]!.textContent!.matchAll(/(\d+(?:\.\d)?)(?=[A-Z])/g)].map(([, n]) => Number(n));
    expect(pinches.reduce((sum, n) => sum + n, 0)).toBeCloseTo(20, 6);
    expect(mockWork.asked.at(-1)).toMatchObject({ asked: { wet: true, over: null, parts: 2 } });
  });
  test('one that is kept is a material of one’s own with its recipe, and what it measures corrects it', async () => {
    const { store } = await openScreen(<BlendScreen />);
    unfold('Parts, underbody, flecks');
    choose('Most parts', '2');
    unfold('Colour to reach');
    type('Or exactly', '#7a6a3c');
    await results();
    const keep = screen.getAllByRole('button', { name: /^Keep this blend: / });
    expect(new Set(keep.map((own) => own.getAttribute('aria-label'))).size).toBe(keep.length);
    fireEvent.click(keep[0]!);
    await laidOut();
    const [[id, own] = ['', null!]] = Object.entries(store.getState().records.entities.material);
    expect(own.recipe.reduce((sum, { twentieths }) => sum + twentieths, 0)).toBe(20);
    expect(own.like).not.toBeNull();
    expect(Object.values(store.getState().records.entities.stash).map(({ materialId }) => materialId)).toContain(
      id.replace('material_', ''),
    );
    unfold('Blend, .*');
    type('Its colour, as the mixed pinch measures', '#776639');
    expect(store.getState().records.entities.material[id]!.hex).toBe('#776639');
    type('Its colour, as the mixed pinch measures', '#77');
    expect(store.getState().records.entities.material[id]!.hex).toBe('#776639');
  });
  test('a natural gives its colour and how it was seen', async () => {
    await openScreen(<BlendScreen />);
    const [first] = within(screen.getByLabelText('From a natural')).getAllByRole<HTMLOptionElement>('option').slice(1);
    mockWork.hang = true;
    fireEvent.change(screen.getByLabelText('From a natural'), { target: { value: first!.value } });
    await waitFor(() => expect(mockWork.asked).toHaveLength(1));
    expect(mockWork.asked[0]).toMatchObject({ asked: { top: 40, parts: 3 } });
  });
  test('what runs long says how far it is, stops when asked, and goes on', async () => {
    mockWork.hang = true;
    await openScreen(<BlendScreen />);
    unfold('Colour to reach', 'Parts, underbody, flecks');
    type('Or exactly', '#7a6a3c');
    await waitFor(() => expect(screen.getByText(/Looking through all mixes of \d+ shades: 0 %/)).toBeInTheDocument());
    fireEvent.click(screen.getByRole('button', { name: 'Stop' }));
    expect(screen.getByText('Stopped.')).toBeInTheDocument();
    mockWork.hang = false;
    choose('Most parts', '1');
    await act(async () => void fireEvent.click(screen.queryByRole('button', { name: 'Try again' }) ?? document.body));
    expect((await results()).length).toBeGreaterThan(0);
  });
  test('a stash without loose dubbing says so', async () => {
    const { store } = await openScreen(<BlendScreen />, 'clean');
    const resin = (draft: Entities) => void (draft.stash.stash_resin = stashSchema.cast({ materialId: 'thin-resin' }));
    await act(async () => void store.dispatch(change('stash', resin)));
    choose('Mix from', 'What I have');
    expect(screen.getByText(/Nothing in the stash can be blended/)).toBeInTheDocument();
  });
});
