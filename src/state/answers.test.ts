import { memoryPorts } from './__tests__/ports';
import { selectAnswered, selectCatalogue, selectWaitsFor } from './answers';
import { libraryCard, selectCardOf } from './library-cards';
import { createStore, openStore, type Store } from './store';
import { change, remember } from './__tests__/change';

const DUN = 'match_demo-auldry-dun';
const dun = (store: Store) => selectAnswered(store.getState(), DUN, 'a1')!;
const answerOf = (store: Store) => {
  const result = dun(store);
  if (result.status !== 'answered') throw new Error(`waits for ${result.missing}`);
  return result.answer;
};
async function demo(): Promise<Store> {
  const store = createStore(memoryPorts());
  await openStore(store, { start: 'demo', clock: null });
  return store;
}

test('an answer is the same object until one of its inputs changes', async () => {
  const store = await demo();
  const first = dun(store);
  store.dispatch(change('title', (draft) => void (draft.match['match_demo-staith-case']!.title = 'other')));
  expect(dun(store)).toBe(first);
  store.dispatch(change('length', (draft) => void (draft.sample['sample_demo-auldry-dun']!.specimens[0]!.body.mm = 9)));
  expect(dun(store)).not.toBe(first);
});

test('it waits for a stage, then for a length', async () => {
  const store = await demo();
  store.dispatch(change('stage', (draft) => void (draft.match[DUN]!.answers[0]!.stage = null)));
  expect(dun(store)).toEqual({ status: 'waiting', missing: 'stage' });
  expect(selectAnswered(store.getState(), 'match_demo-waiting', 'a1')).toEqual({
    status: 'waiting',
    missing: 'length',
  });
  expect(selectAnswered(store.getState(), 'none', 'a1')).toBeNull();
});

test('barb rule, schools and hand of the tier are worked into it', async () => {
  const store = await demo();
  store.dispatch(change('barb', (draft) => void (draft.settings.main!.barbRule = 'barbless')));
  expect(answerOf(store).hooks.every((hook) => hook.barb === 'none')).toBe(true);
  store.dispatch(change('schools', (draft) => void (draft.settings.main!.schools = { 'hackle-gauge': 'one-under' })));
  const low = answerOf(store).card!.hackles[0]!.barb_mm / answerOf(store).hooks[0]!.gape_mm;
  expect(low).toBeCloseTo(1.51, 9);
  store.dispatch(remember((draft) => void (draft.device.this!.hand = 'left')));
  expect(answerOf(store).card!.hand).toBe('left');
});

test("a match's own school wins over the settings", async () => {
  const store = await demo();
  store.dispatch(change('schools', (draft) => void (draft.settings.main!.schools = { 'tail-material': 'synthetic' })));
  expect(answerOf(store).card!.parts.find((part) => part.part === 'tail')!.material!.id).toBe('synthetic-tails');
  store.dispatch(
    change('schools', (draft) => void (draft.match[DUN]!.answers[0]!.schools = { 'tail-material': 'hackle-fibre' })),
  );
  expect(answerOf(store).card!.parts.find((part) => part.part === 'tail')!.material!.id).toBe('stiff-fibres-grey');
});

test('while something typed cannot be read the last good answer stays and is marked old', async () => {
  const store = await demo();
  store.dispatch(
    change('length', (draft) => void (draft.sample['sample_demo-auldry-dun']!.specimens[0]!.body.typed = 'long')),
  );
  expect(dun(store)).toMatchObject({ status: 'answered', old: true });
});

test('a pin on a hook that left with the demo is let go, not an error', async () => {
  const store = await demo();
  store.dispatch(change('pin-hook', (draft) => void (draft.match[DUN]!.answers[0]!.hookId = 'osmere:lark:14')));
  expect(answerOf(store).hooks[0]!.id).toBe('osmere:lark:14');
  store.dispatch(change('leave-demo', (draft) => void (draft.model = {})));
  expect(answerOf(store).hooks[0]!.maker).toBe('reference');
});

test('optional parts that are left out leave the card', async () => {
  const store = await demo();
  store.dispatch(change('pin-dressing', (draft) => void (draft.match[DUN]!.answers[0]!.dressingId = 'half-out-dun')));
  const before = answerOf(store).card!;
  store.dispatch(change('part', (draft) => void (draft.match[DUN]!.answers[0]!.without = ['shuck'])));
  const after = answerOf(store).card!;
  expect(before.parts.some((part) => part.part === 'shuck')).toBe(true);
  expect(after.parts.some((part) => part.part === 'shuck')).toBe(false);
  expect(after.steps.some((step) => step.part === 'shuck')).toBe(false);
});

test('the catalogue is made again only when hooks change', async () => {
  const store = await demo();
  const first = selectCatalogue(store.getState());
  store.dispatch(change('title', (draft) => void (draft.match[DUN]!.title = 'x')));
  expect(selectCatalogue(store.getState())).toBe(first);
  store.dispatch(change('leave-demo', (draft) => void (draft.model = {})));
  expect(selectCatalogue(store.getState()).hooks.every((hook) => hook.maker === 'reference')).toBe(true);
});

test('every dressing of the library has a card to draw', async () => {
  const store = await demo();
  const cardOf = selectCardOf(store.getState());
  const { dressings } = selectCatalogue(store.getState());
  expect(dressings.map((dressing) => cardOf(dressing.id)?.dressing.id)).toEqual(
    dressings.map((dressing) => dressing.id),
  );
  expect(cardOf('first-light-dun')).toBe(libraryCard(dressings.find((dressing) => dressing.id === 'first-light-dun')!));
  expect([cardOf('none'), cardOf(null)]).toEqual([undefined, undefined]);
});

test('which matches wait is known without working any out', async () => {
  const store = createStore(memoryPorts());
  await openStore(store, { start: 'demo', clock: null });
  const state = store.getState();
  const ids = Object.keys(state.records.entities.match);
  const known = ids.map((id) => selectWaitsFor(state, id));
  // A catalogue that cannot be read would be asked by any answer.
  const blind = {
    ...state,
    records: {
      ...state.records,
      entities: {
        ...state.records.entities,
        get model(): never {
          throw new Error('worked out');
        },
      },
    },
  } as unknown as typeof state;
  expect(ids.map((id) => selectWaitsFor(blind, id))).toEqual(known);
  expect(
    ids.map((id) => {
      const answered = selectAnswered(state, id, state.records.entities.match[id]!.leading)!;
      return answered.status === 'waiting' ? answered.missing : null;
    }),
  ).toEqual(known);
  expect(new Set(known)).toEqual(new Set([null, 'length']));
});
