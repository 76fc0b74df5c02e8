import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { DRESSINGS, labOfShade, WORKS } from '@/catalogue';
import { hexOfLab } from '@/core/colour';
import { writeDressings } from '@/core/exchange';
import { dropPart } from '@/core/dressings';
import { putDressing } from '@/records';
import { selectDressing, selectOwnDressings, selectOwnMaterials } from '@/state/answering';
import { opened, saved } from '../__tests__/files';
import { went } from '../__tests__/router';
import { choose, openScreen, unfold, pressReady } from '../__tests__/screen';
import { DressingEditor } from './dressing-editor';
import { DressingScreen } from './dressing-screen';
import { DressingsScreen } from './dressings-screen';
import { NewDressingScreen } from './new-dressing';
import { act as keep } from '@/state/act';

jest.mock('@/features/files', () => jest.requireActual('../__tests__/files'));
jest.mock('@/workers', () => jest.requireActual('../__tests__/backup-jobs'));

beforeEach(() => {
  saved.length = 0;
  went.params = {};
});

describe('one dressing', () => {
  test('shows what it is for, what it rests on, its parts, its order of work and where it comes from', async () => {
    await openScreen(<DressingScreen id="half-out-dun" />);
    expect(screen.getByRole('heading', { level: 1, name: 'Half-out dun' })).toBeInTheDocument();
    for (const title of [
      'What is said for it',
      'On the bank, before another fly',
      'Where it comes from',
      'Parts',
      'Tools, and doing without',
    ])
      expect(screen.getByRole('heading', { name: title })).toBeInTheDocument();
    unfold('Steps');
    expect(screen.getByText('heard, not tested')).toBeInTheDocument();
    expect(screen.getByRole('link', { name: 'Made from Auldry low emerger' })).toHaveAttribute(
      'href',
      '/dressings/auldry-low-emerger',
    );
    expect(screen.getByRole('link', { name: 'One-side cripple was made from it' })).toBeInTheDocument();
    expect(screen.getAllByText(/Local rules and licensed practice come first\.$/).length).toBeGreaterThan(0);
  });

  test('the plate turns to the view from above, goes wet, and step by step', async () => {
    await openScreen(<DressingScreen id="first-light-dun" />);
    fireEvent.click(screen.getByRole('radio', { name: 'Above' }));
    fireEvent.click(screen.getByRole('radio', { name: 'Wet' }));
    fireEvent.click(screen.getByRole('button', { name: 'Step by step' }));
    expect(screen.getByText(/^17 of 17: /)).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'After step: 16' }));
    expect(
      screen.getByRole('img', { name: 'First-light upright dun as it should look after step 16' }),
    ).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'Keep this picture' }));
    fireEvent.click(screen.getByRole('button', { name: 'Save as SVG' }));
    expect(saved[0]).toMatchObject({ name: 'aubade-first-light-dun-top-16.svg', type: 'image/svg+xml' });
    expect(saved[0]!.text).toMatch(/^<svg [^>]*>.*<\/svg>$/s);
    expect(saved[0]!.text).not.toContain('var(--');
  });

  test('another size of natural, and a switch, change the card', async () => {
    await openScreen(<DressingScreen id="cheeked-quill-nymph" />);
    const hook = screen.getByText(/^Shown on /).textContent;
    unfold('Steps');
    choose('Shown for a natural of', /^largest, /);
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

  test('schools that have no place in it are said and not offered', async () => {
    await openScreen(<DressingScreen id="first-light-dun" />);
    fireEvent.click(screen.getByText('Schools for this dressing'));
    expect(screen.getByRole('radiogroup', { name: 'Tail split' })).toBeInTheDocument();
    expect(screen.queryByRole('radiogroup', { name: 'Bead seat' })).toBeNull();
    expect(screen.getAllByText(/^No place in this dressing: .*bead seat/)).toHaveLength(1);
    expect(screen.getByText(/^No place in this dressing: .*Resin over/)).toBeInTheDocument();
    fireEvent.click(within(screen.getByRole('radiogroup', { name: 'Tail split' })).getByText('None'));
    expect(screen.queryByText(/^Divide the tail/)).toBeNull();
  });

  test('what is made beforehand stands before the steps', async () => {
    await openScreen(<DressingScreen id="ellanmere-long-dun" />);
    unfold('Steps');
    expect(screen.getByRole('heading', { name: 'Beforehand: Stitched body' })).toBeInTheDocument();
    expect(screen.getByText(/^1 a fly/)).toBeInTheDocument();
  });

  test('it is kept as Markdown, picture and JSON', async () => {
    await openScreen(<DressingScreen id="first-light-dun" />);
    fireEvent.click(screen.getByRole('button', { name: 'Markdown' }));
    fireEvent.click(screen.getByRole('button', { name: 'JSON' }));
    fireEvent.click(screen.getByRole('button', { name: 'Picture (SVG)' }));
    expect(saved.map((file) => file.name)).toEqual([
      'aubade-first-light-dun.md',
      'aubade-first-light-dun.json',
      'aubade-first-light-dun.svg',
    ]);
    expect(saved[0]!.text).toContain(saved[1]!.text.trim());
    expect(saved[2]!.text).toMatch(/^<svg .*<title>First-light upright dun.*<\/svg>\n$/s);
    expect(saved[2]!.text).not.toContain('var(--');
  });

  test('one that is not there says so and offers the list', async () => {
    await openScreen(<DressingScreen id="nothing" />);
    expect(screen.getByRole('heading', { level: 1, name: 'Not here' })).toBeInTheDocument();
    expect(screen.getByRole('link', { name: 'See the list' })).toHaveAttribute('href', '/dressings');
  });
});

describe("a dressing of one's own", () => {
  const press = (name: string) => fireEvent.click(screen.getByText(name));
  async function editing(id = 'first-light-dun') {
    const { store } = await openScreen(<DressingScreen id={id} />);
    press('Make your own from this');
    const own = selectOwnDressings(store.getState())[0]!;
    expect(went.to).toContainEqual({ pathname: '/dressings/[id]/edit', params: { id: own.id } });
    return { store, own };
  }
  async function editor(change_: (own: (typeof DRESSINGS)[number]) => (typeof DRESSINGS)[number] = (own) => own) {
    const shown = await openScreen(<DressingEditor id="mine" />);
    act(
      () =>
        void shown.store.dispatch(
          keep(putDressing, {
            dressing: change_({
              ...structuredClone(DRESSINGS[0]!),
              id: 'mine',
              name: 'Mine',
              parent: DRESSINGS[0]!.id,
            }),
          }),
        ),
    );
    await waitFor(() => expect(screen.getByRole('heading', { level: 1, name: 'Mine: change' })).toBeInTheDocument());
    return { store: shown.store, now: () => selectDressing(shown.store.getState(), 'mine')! };
  }

  /** One of the choices under a title, chips or a list. */
  const choose = (group: string, option: string) => {
    const found = screen
      .getAllByLabelText(group)
      .find((node) => node.tagName === 'SELECT' || node.getAttribute('role') === 'radiogroup')!;
    if (found.tagName !== 'SELECT') return void fireEvent.click(within(found).getByText(option));
    const wanted = [...(found as HTMLSelectElement).options].find((item) => item.text === option)!;
    fireEvent.change(found, { target: { value: wanted.value } });
  };

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
    expect(screen.getByText('a number from 0 to 60')).toBeInTheDocument();
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
    press('Earlier');
    await waitFor(() => expect(screen.getAllByText(/no end of it is there to work with/).length).toBeGreaterThan(0));
    expect(now().steps[wind - 2]!.do).toBe('wind');
  });

  test('a step takes a side, a position of the vise and a tool, and the dressing lists the tool', async () => {
    const { now } = await editor();
    fireEvent.click(screen.getByLabelText(/^Step 2: /));
    choose('Side', 'Far');
    choose('Vise', 'Inverted');
    choose('Tool', 'Magnifier');
    expect(now().steps[1]).toMatchObject({ side: 'far', vise: 'inverted', tool: 'magnifier' });
    expect(now().tools).toContain('magnifier');
    choose('Vise', 'Normal');
    choose('Side', 'nowhere in particular');
    choose('Tool', 'no tool');
    expect(now().steps[1]).toMatchObject({ side: null, vise: null, tool: null });
  });

  test('a part is added as the library makes it, made optional, and taken out again', async () => {
    const { now } = await editor();
    choose('What it is', 'Egg mass');
    press('Add egg mass');
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
    choose('Of', 'Slips of wing quill');
    expect(now().steps.find((step) => step.part === 'wing' && step.do === 'bind')).toMatchObject({
      material: 'wing-slips',
      caution: 'plumage',
    });
    expect(screen.getByText(/^wing: Slips of wing quill in place of /)).toBeInTheDocument();
  });

  test('how a part is made is chosen: its materials, fields and steps follow', async () => {
    const { now } = await editor();
    const hackle = () => now().parts.find((part) => part.id === 'hackle')!;
    fireEvent.click(screen.getByLabelText(/^Hackle, /));
    choose('Trimmed', 'Flat below');
    expect(now().steps.some((step) => step.do === 'clip' && step.part === 'hackle')).toBe(true);
    choose('How it is made', 'plume in a thread loop');
    expect(hackle()).toMatchObject({ way: 'plume-loop', function: 'hackle.cdc-loop' });
    expect(now().steps.some((step) => step.do === 'loop' && step.part === 'hackle')).toBe(true);
    fireEvent.click(screen.getByLabelText(/^Tail, /));
    press('As many as the natural');
    expect(now().parts.find((part) => part.id === 'tail')!.follows).toBe('natural');
    expect(screen.queryByLabelText('Thickness')).toBeNull();
  });

  test('of a part to be added it is said before which ways the bench would refuse here, and only those', async () => {
    await editor();
    const listed = async (kind: string, begins: RegExp) => {
      choose('What it is', kind);
      const said = await screen.findByText(begins, undefined, { timeout: 20_000 });
      const ways = said.textContent!.replace(/^[^:]*: /, '').split('; ');
      const all = within(screen.getByLabelText('How it is made'))
        .getAllByRole('option')
        .map((option) => option.textContent!);
      expect(ways.every((way) => all.includes(way))).toBe(true);
      expect(ways.length).toBeLessThanOrEqual(all.length / 2);
      return { ways, others: all.filter((way) => !ways.includes(way)) };
    };
    // Most hackles are refused beside another: those that are not are named. Of wings the few that are refused.
    const hackles = await listed('Hackle', /^The bench has nothing here against: /);
    choose('How it is made', hackles.others[0]!);
    expect(await screen.findByText(/^The bench would say of it:/, undefined, { timeout: 20_000 })).toBeInTheDocument();
    choose('How it is made', hackles.ways[0]!);
    expect(
      await screen.findByText(/^The bench has nothing against it\./, undefined, { timeout: 20_000 }),
    ).toBeInTheDocument();
    const wings = await listed('Wing', /^The bench would refuse here, as they stand: /);
    choose('How it is made', wings.ways[0]!);
    expect(await screen.findByText(/^The bench would say of it:/, undefined, { timeout: 20_000 })).toBeInTheDocument();
    choose('How it is made', wings.others[0]!);
    expect(await screen.findByText(/^The bench has nothing ag/, undefined, { timeout: 20_000 })).toBeInTheDocument();
  });

  test('a part taken out is put back as it was, with what was changed since', async () => {
    const { now } = await editor();
    const before = now();
    fireEvent.click(screen.getByLabelText(/^Hackle, /));
    press('Take the hackle out');
    expect(now().steps.some((step) => step.part === 'hackle')).toBe(false);
    fireEvent.change(screen.getByLabelText('Name'), { target: { value: 'Late dun' } });
    press('Put hackle back');
    expect(now()).toEqual({ ...before, name: 'Late dun' });
    expect(screen.queryByText('Put hackle back')).toBeNull();
  });

  test('a material of one’s own is made, used, changed in every dressing that takes it, and goes out with them', async () => {
    const { now, store } = await editor();
    fireEvent.click(screen.getByLabelText(/^Abdomen, /));
    choose('Of', 'A material of your own');
    const form = () => within(screen.getByRole('group', { name: 'A material of your own' }));
    fireEvent.click(form().getByText('Use it'));
    expect(form().getByText('this cannot be empty')).toBeInTheDocument();
    fireEvent.change(form().getByLabelText('What you call it'), { target: { value: 'Dusk fur' } });
    fireEvent.change(form().getByLabelText('Its colour'), { target: { value: 'dusk' } });
    fireEvent.click(form().getByText('Use it'));
    expect(form().getByText('a colour such as pale olive, or #7a6a3c')).toBeInTheDocument();
    fireEvent.change(form().getByLabelText('Its colour'), { target: { value: '#4a3f52' } });
    fireEvent.click(form().getByText('Use it'));
    expect(now().parts.find((part) => part.id === 'abdomen')!.material).toMatch(/^own-dusk-fur-\w+$/);
    expect(selectOwnMaterials(store.getState())).toMatchObject([
      {
        id: now().parts.find((part) => part.id === 'abdomen')!.material,
        name: 'Dusk fur',
        hex: '#4a3f52',
        like: 'fine-fur',
      },
    ]);
    expect(screen.getByText(/^abdomen: Dusk fur in place of /)).toBeInTheDocument();
    expect(form().queryByText('Forget it')).toBeNull();
    fireEvent.change(form().getByLabelText('Its colour'), { target: { value: '#554466' } });
    fireEvent.click(form().getByText('Change it'));
    expect(selectOwnMaterials(store.getState())[0]!.hex).toBe('#554466');
    fireEvent.change(form().getByLabelText('Its colour'), { target: { value: 'pale olive' } });
    fireEvent.click(form().getByText('Change it'));
    expect(selectOwnMaterials(store.getState())[0]!.hex).toBe(hexOfLab(labOfShade('pale-olive')!));
    choose('Of', 'Fine water-shedding fur');
    expect(now().parts.find((part) => part.id === 'abdomen')!.material).toBe('fine-fur');
  });

  test.each(['first-light-dun', 'ellanmere-long-dun'])(
    'what a way says of %s is read in words, never by its code',
    async (id) => {
      const made = DRESSINGS.find((item) => item.id === id)!;
      const { now } = await editor((own) => ({ ...structuredClone(made), id: own.id, name: own.name, parent: id }));
      const at = now().steps.findIndex((step) => step.check?.startsWith('say:'));
      fireEvent.click(screen.getAllByLabelText(new RegExp(`^Step ${at + 1}: `))[0]!);
      fireEvent.click(screen.getByLabelText(/^Made beforehand: /));
      const said = [
        document.body.innerHTML,
        ...screen.getAllByRole('textbox').map((field) => (field as HTMLInputElement).value),
      ].join(' ');
      expect(said).not.toContain('say:');
    },
  );

  test('a part is made beforehand with steps of its own, used by the step that ties it in, and tied on the hook again', async () => {
    const { now } = await editor();
    fireEvent.click(screen.getByLabelText('Made beforehand: nothing yet'));
    fireEvent.click(screen.getByLabelText('Make the wing beforehand'));
    expect(now().assemblies).toMatchObject([{ id: 'wing', part: 'wing', count: 1, spare: 1 }]);
    const made = screen.getByRole('group', { name: 'The wing, made beforehand' });
    fireEvent.change(within(made).getByLabelText('What it is called'), { target: { value: 'Paired slips' } });
    fireEvent.click(screen.getByLabelText('Paired slips, step 1: Bind wing'));
    press('Add a step after');
    expect(now().assemblies[0]).toMatchObject({ name: 'Paired slips', steps: [{ do: 'bind' }, { do: 'check' }] });
    fireEvent.change(screen.getByLabelText('A fly'), { target: { value: '2' } });
    expect(now().assemblies[0]!.count).toBe(2);
    const n = now().steps.findIndex((step) => step.assembly === 'wing') + 1;
    fireEvent.click(screen.getByLabelText(new RegExp(`^Step ${n}: `)));
    expect((screen.getByLabelText('Uses') as HTMLSelectElement).selectedOptions[0]!.text).toBe('Paired slips');
    expect(screen.getByText('Passes over its whole range of hooks.')).toBeInTheDocument();
    fireEvent.click(screen.getByLabelText('Tie Paired slips on the hook instead'));
    expect(now().assemblies).toEqual([]);
    expect(now().steps.some((step) => step.assembly !== null)).toBe(false);
  });

  test('an emptied name stays empty with its fault, and nothing is changed', async () => {
    const { now } = await editor();
    const name = screen.getByLabelText('Name');
    fireEvent.change(name, { target: { value: '' } });
    expect(name).toHaveValue('');
    expect(screen.getByText('this cannot be empty')).toBeInTheDocument();
    expect(now().name).toBe('Mine');
    fireEvent.change(name, { target: { value: 'Dun of mine' } });
    expect(now().name).toBe('Dun of mine');
  });

  test('two parts are tied from one bunch, and its amount is set', async () => {
    const { now } = await editor();
    fireEvent.click(screen.getByLabelText('One bunch for several parts: none'));
    const fresh = within(screen.getByRole('group', { name: 'Tie from one bunch' }));
    fireEvent.click(fresh.getByText('tail'));
    expect(screen.getByText('Make it one bunch').closest('[role=button]')).toHaveAttribute('aria-disabled', 'true');
    fireEvent.click(fresh.getByText('wing'));
    press('Make it one bunch');
    const bunch = screen.getByRole('group', { name: 'tail, wing' });
    fireEvent.change(within(bunch).getByLabelText('Count'), { target: { value: '14' } });
    expect(now().bundles).toMatchObject([
      { parts: ['tail', 'wing'], amount: 14, material: now().parts.find((part) => part.id === 'wing')!.material },
    ]);
    fireEvent.click(within(bunch).getByText('wing'));
    expect(now().bundles).toEqual([]);
  });

  test('what shows through a part is chosen from the bottom up', async () => {
    const { now } = await editor();
    fireEvent.click(screen.getByLabelText(/^What shows through: /));
    const wing = within(screen.getByRole('group', { name: 'Under and in the wing' }));
    const [first, second] = wing
      .getAllByRole('checkbox')
      .slice(0, 2)
      .map((button) => button.textContent!);
    fireEvent.click(wing.getByText(first!));
    fireEvent.click(wing.getByText(second!));
    expect(now().layers.find((layer) => layer.part === 'wing')!.from_under).toHaveLength(2);
    expect(wing.getByText(`1 ${first}`)).toBeInTheDocument();
    expect(wing.getByText(`2 ${second}`)).toBeInTheDocument();
  });

  test('hooks it is tied on: bends, how long, and what changed beside the parent', async () => {
    const { now } = await editor((own) => ({ ...own, hooks: [] }));
    fireEvent.click(screen.getByLabelText('Hooks: any the style is meant for'));
    fireEvent.click(within(screen.getByLabelText('Bends, best first')).getByText('Wide'));
    fireEvent.change(screen.getByLabelText('wide: to X long'), { target: { value: '1' } });
    expect(now().hooks).toEqual([{ bend: 'wide', x_long: [1, 1], wire: [] }]);
    expect(screen.getByText('other hooks')).toBeInTheDocument();
  });

  test('another thread goes into the steps and layers that the old one was in', async () => {
    const { now } = await editor();
    fireEvent.click(screen.getByLabelText(/^Thread: /));
    const before = now().threads[0]!.material;
    choose('Thread', 'Red polyester thread, 70 denier');
    expect(now().threads[0]!.material).toBe('thread-red-70');
    expect(JSON.stringify([now().steps, now().layers])).not.toContain(before);
    expect(screen.getByText('another thread')).toBeInTheDocument();
  });

  test('weight is laid on and taken off', async () => {
    const { now } = await editor();
    fireEvent.click(screen.getByLabelText('Weight: unweighted'));
    press('Add: Wound');
    choose('Metal', 'Lead');
    fireEvent.change(screen.getByLabelText('Turns'), { target: { value: '8' } });
    expect(now().weights).toMatchObject([{ kind: 'wound', metal: 'lead', turns: 8 }]);
    expect(now().steps[0]).toMatchObject({ do: 'lay-weight', part: 'weight' });
    expect(screen.getByText('weight added')).toBeInTheDocument();
    press('Take it off');
    expect([now().weights, now().steps.some((step) => step.do === 'lay-weight')]).toEqual([[], false]);
  });

  test('season, and the size that a water asks for', async () => {
    const { now } = await editor();
    fireEvent.click(screen.getByLabelText(/^Season and water: /));
    press('December');
    choose('Size in Fast water', 'one up');
    expect(now()).toMatchObject({ size_by_water: { fast: 1 }, months: expect.arrayContaining([12]) });
    choose('Size in Fast water', 'exact');
    expect(now().size_by_water).toEqual({});
  });

  test('how it is built; too little room for the head is a fault', async () => {
    const { now } = await editor();
    fireEvent.click(screen.getByLabelText(/^How it is built: /));
    choose('Finish', 'Rough');
    fireEvent.change(screen.getByLabelText(/^Room for the head, eyes/), { target: { value: '0.1' } });
    expect(now()).toMatchObject({ finish: 'rough', head_room: 0.1 });
    await waitFor(() =>
      expect(screen.getByText(/keeps 0.1 eyes free for the head; its style reserves/)).toBeInTheDocument(),
    );
    expect(screen.getByText('built otherwise')).toBeInTheDocument();
  });

  test('what is said for it, what can be done on the bank, and its switches', async () => {
    const { now } = await editor((own) => ({ ...own, claims: [], bank: [] }));
    fireEvent.click(screen.getByLabelText('What is said for it: nothing yet'));
    press('Add a claim');
    fireEvent.change(screen.getByLabelText('Claim 1'), { target: { value: 'Stands up in a chop.' } });
    choose('Rests on', 'Seen');
    expect(now().claims).toEqual([{ text: 'Stands up in a chop.', evidence: 'seen' }]);
    fireEvent.click(screen.getByLabelText('On the bank, before another fly: nothing yet'));
    press('Add a change for the bank');
    choose('What is done', 'Sink it');
    choose('It then rides', 'Just under');
    expect(now().bank).toMatchObject([{ id: 'sink', ride: 'under' }]);
    fireEvent.click(screen.getByLabelText(/^Tail, /));
    press('May be left out');
    fireEvent.click(screen.getByLabelText('Parts that may be left out: Tail'));
    press('In as a rule');
    expect(now().switches).toMatchObject([{ parts: ['tail'], on: false }]);
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
    choose('Natural', 'Leech');
    press('Start from the bare hook');
    expect(selectOwnDressings(store.getState())[0]).toMatchObject({
      style: 'strip-tail',
      stages: ['leech/adult'],
      parent: null,
    });
  });

  test('from a file: the report first, then it is taken; one with a shipped id comes in beside it', async () => {
    const { store } = await openScreen(<DressingsScreen />);
    const own = { ...structuredClone(DRESSINGS[0]!), id: 'my-dun', name: 'My dun' };
    opened.text = writeDressings([own, DRESSINGS[1]!, dropPart({ ...own, id: 'odd', name: 'Odd' }, 'head')], WORKS);
    press('Read a file');
    await waitFor(() => expect(screen.getByText('3 of 3 can be taken.')).toBeInTheDocument());
    await screen.findByRole('group', { name: 'What it would do' });
    await pressReady('Take 3');
    expect(selectOwnDressings(store.getState()).map((dressing) => [dressing.id, dressing.parent])).toEqual(
      expect.arrayContaining([
        ['my-dun', null],
        [expect.stringMatching(new RegExp(`^${DRESSINGS[1]!.id}-\\w+$`)), DRESSINGS[1]!.id],
      ]),
    );
    expect(screen.getByText('3 dressings taken in.')).toBeInTheDocument();
    press('Write your 3 dressings to a file');
    expect(JSON.parse(saved[0]!.text).items).toHaveLength(3);
    opened.text = 'not a file of dressings, nor of anything';
    press('Read a file');
    await waitFor(() => expect(screen.getByText(/^Not taken: it has headings and no row/)).toBeInTheDocument());
  });
});
