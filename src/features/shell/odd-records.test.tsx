import type { ReactElement } from 'react';
import { act, screen } from '@testing-library/react';
import { KINDS, photoSchema, type Kind } from '@/records';
import type { Store } from '@/state';
import { selectCatalogue } from '@/state/answering';
import { heard } from '@/state/storage/slice';
import { BoxScreen } from '../box/screens';
import { ModelScreen, PacketsScreen } from '../drawer/screens';
import { DressingScreen } from '../dressing/screens';
import { MatchScreen } from '../match-frame/screens';
import { MatchesScreen } from '../matches/screens';
import { DUN, openScreen } from '../__tests__/screen';
import { WholePage } from './boundary';

/** What no tier means, of every type. */
const NONSENSE: readonly unknown[] = [
  null,
  '',
  '\u202e\u0000',
  'x'.repeat(9_000),
  -1,
  0,
  1e300,
  [],
  {},
  [null],
  { a: null },
  true,
];

type Path = readonly (string | number)[];

/** Every place of a record where a value stands. */
function places(value: unknown, path: Path = []): Path[] {
  if (value === null || typeof value !== 'object') return [path];
  const inside = Object.entries(value).flatMap(([key, item]) =>
    places(item, [...path, Array.isArray(value) ? Number(key) : key]),
  );
  return path.length > 0 ? [path, ...inside] : inside;
}

function withNonsense(value: unknown, [key, ...rest]: Path, nonsense: unknown): unknown {
  if (key === undefined) return nonsense;
  const inside = withNonsense((value as Record<string | number, unknown>)[key], rest, nonsense);
  return Array.isArray(value)
    ? (value as unknown[]).map((item, index) => (index === key ? inside : item))
    : { ...(value as object), [key]: inside };
}

/** A prime: steps of so many meet every place once, far apart. */
const STRIDE = 7919;

/** A record with one value replaced, as its schema lets it in: what a file or a damaged store could bring. Of all of them so many (`ODD_ALL=1` for all): a schema takes its time. */
function oddOnes(kind: Kind, record: object, most: number): { what: string; data: object }[] {
  const all = places(record)
    .filter(([first]) => first !== 'tally' && first !== 'demo')
    .flatMap((path) => NONSENSE.map((nonsense) => ({ path, nonsense })));
  const odd: { what: string; data: object }[] = [];
  for (let turn = 0; turn < all.length && (odd.length < most || process.env.ODD_ALL); turn++) {
    const { path, nonsense } = all[(turn * STRIDE) % all.length]!;
    try {
      const data = KINDS[kind].schema.validateSync(withNonsense(record, path, nonsense), { stripUnknown: false });
      odd.push({ what: `${kind} ${path.join('.')} = ${JSON.stringify(nonsense).slice(0, 24)}`, data: data as object });
    } catch {
      // Refused: no screen sees it.
    }
  }
  return odd;
}

const guarded = (page: ReactElement) => (
  <WholePage path="/" records={() => []}>
    {page}
  </WholePage>
);

/** What of a record could not be shown, with what the screen said. */
async function unshown(store: Store, kind: Kind, id: string, most = 8): Promise<string[]> {
  const record = store.getState().records.entities[kind][id] as object;
  const odd = oddOnes(kind, record, most);
  expect(odd.length).toBeGreaterThan(3);
  const found: string[] = [];
  const show = (data: object) => act(async () => void store.dispatch(heard([{ kind, id, data }])));
  for (const { what, data } of odd) {
    await show(data);
    if (screen.queryByText(/cannot be shown/))
      found.push(`${what}: ${screen.getAllByText(/^What went wrong/)[0]!.textContent}`);
    await show(record);
    const again = screen.queryByText('Try again');
    if (again) await act(async () => void again.click());
  }
  return found;
}

beforeEach(() => void jest.spyOn(console, 'error').mockImplementation(() => undefined));

test('the harness sees a screen that cannot be shown', async () => {
  const { store } = await openScreen(guarded(<MatchScreen id={DUN} step="hook" />));
  const match = store.getState().records.entities.match[DUN]!;
  await act(
    async () => void store.dispatch(heard([{ kind: 'match', id: DUN, data: { ...match, answers: null } as never }])),
  );
  expect(screen.getByText('This page cannot be shown')).toBeInTheDocument();
});

test.each(['bench'] as const)('a match and its natural at %s', async (step) => {
  const { store } = await openScreen(guarded(<MatchScreen id={DUN} step={step} />));
  expect(await unshown(store, 'match', DUN, 9)).toEqual([]);
  expect(await unshown(store, 'sample', store.getState().records.entities.match[DUN]!.sampleId)).toEqual([]);
});

test('the list of matches', async () => {
  const { store } = await openScreen(guarded(<MatchesScreen />));
  expect(await unshown(store, 'match', DUN)).toEqual([]);
  expect(await unshown(store, 'sample', store.getState().records.entities.match[DUN]!.sampleId, 20)).toEqual([]);
});

test('a box and its flies', async () => {
  const { store } = await openScreen(guarded(<BoxScreen id="box_demo-valley" />));
  expect(await unshown(store, 'box', 'box_demo-valley')).toEqual([]);
  expect(await unshown(store, 'fly', 'fly_demo-a2')).toEqual([]);
});

test('a model of hooks, its maker, and packets', async () => {
  const { store, unmount } = await openScreen(guarded(<ModelScreen maker="osmere" model="lark" />));
  expect(await unshown(store, 'model', 'osmere:lark')).toEqual([]);
  expect(await unshown(store, 'maker', 'osmere')).toEqual([]);
  unmount();
  const packets = await openScreen(guarded(<PacketsScreen />));
  const [id] = Object.keys(packets.store.getState().records.entities.packet);
  expect(await unshown(packets.store, 'packet', id!)).toEqual([]);
});

test('a dressing of one’s own', async () => {
  const { store } = await openScreen(guarded(<DressingScreen id="mine" />));
  const shipped = selectCatalogue(store.getState()).dressings.find(({ id }) => id === 'first-light-dun')!;
  const data = KINDS.dressing.schema.cast({ ...shipped, id: 'mine', demo: false, base: 'first-light-dun' });
  await act(async () => void store.dispatch(heard([{ kind: 'dressing', id: 'mine', data }])));
  expect(screen.getByRole('heading', { level: 1, name: shipped.name })).toBeInTheDocument();
  expect(await unshown(store, 'dressing', 'mine', 25)).toEqual([]);
  // A part along the shank whose rule gives no length.
  const body = shipped.parts.findIndex(({ to }) => to === 'forward');
  const odd = withNonsense(data, ['parts', body, 'factor'], null) as object;
  await act(async () => void store.dispatch(heard([{ kind: 'dressing', id: 'mine', data: odd }])));
  expect(screen.queryByText(/cannot be shown/)).not.toBeInTheDocument();
});

test('a measured photograph', async () => {
  const { store } = await openScreen(guarded(<MatchScreen id={DUN} step="natural" />));
  const { match, sample } = store.getState().records.entities;
  const { sampleId } = match[DUN]!;
  const insect = {
    n: 1,
    specimenId: null,
    what: 'body' as const,
    bodyMm: 8,
    sdMm: 0.2,
    midlineMm: [
      [1, 1],
      [5, 5],
    ] as [number, number][],
    widthsMm: [1, 2],
    overallMm: 9,
    factor: 1,
    hand: null,
  };
  const overlay = {
    leftMm: 0,
    topMm: 0,
    widthMm: 12,
    heightMm: 9,
    by: 'card' as const,
    view: 'belly' as const,
    insects: [insect],
  };
  const data = photoSchema.cast({ sampleId, type: 'image/jpeg', bytes: 5, taken: '2033-05-24T04:50', overlay });
  await act(
    async () =>
      void store.dispatch(
        heard([
          { kind: 'photo', id: 'p', data },
          { kind: 'sample', id: sampleId, data: { ...sample[sampleId]!, photos: ['p'] } },
        ]),
      ),
  );
  // One that waits to be measured starts a worker, which is not here.
  const kept = (await unshown(store, 'photo', 'p', 14)).filter((what) => !/overlay = null/.test(what));
  expect(kept).toEqual([]);
});
