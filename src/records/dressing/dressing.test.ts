import { DRESSINGS } from '@/catalogue';
import { derive } from '@/core/dressings';
import { act, createStore, openStore } from '@/state';
import { selectCatalogue, selectDressing, selectDressings, selectIsOwn, selectOwnDressings } from '@/state/answering';
import { change } from '@/state/__tests__/change';
import { memoryPorts } from '@/state/__tests__/ports';
import { flySchema } from '../fly/schema';
import { migrate } from '../migrate';
import { around } from '../__tests__/around';
import { cleanEntities } from '../demo';
import { dressingOf } from './queries';
import { deleteDressing, makeDressing, putDressing } from './commands';
import { takeDressings } from './take';

async function opened() {
  const store = createStore(memoryPorts());
  await openStore(store, { start: 'clean', clock: '2033-05-24T04:50' });
  const put = (rev = 1, name = 'Mine') =>
    store.dispatch(act(putDressing, { dressing: { ...derive(DRESSINGS[0]!, 'mine', name), rev } }));
  return { store, put, mine: () => selectDressing(store.getState(), 'mine')! };
}

test('without own dressings the library is the shipped one itself', async () => {
  const { store } = await opened();
  expect(selectDressings(store.getState())).toBe(DRESSINGS);
  expect(selectDressing(store.getState(), null)).toBeUndefined();
});

test('an own dressing stands before the shipped ones, in the catalogue of every answer', async () => {
  const { store, put, mine } = await opened();
  put();
  expect(selectCatalogue(store.getState()).dressings[0]).toEqual(mine());
  expect(selectCatalogue(store.getState()).dressings).toHaveLength(DRESSINGS.length + 1);
  expect([selectIsOwn(store.getState(), 'mine'), selectIsOwn(store.getState(), DRESSINGS[0]!.id)]).toEqual([
    true,
    false,
  ]);
  expect(mine()).toEqual(derive(DRESSINGS[0]!, 'mine', 'Mine'));
});

test('a revision that a fly was tied by is kept by its number: the next change is the next revision', async () => {
  const { store, put, mine } = await opened();
  put();
  put(1, 'Renamed');
  expect(mine()).toMatchObject({ rev: 1, name: 'Renamed' });
  store.dispatch(
    change('put-in', (draft) => void (draft.fly.fly_1 = flySchema.cast({ dressingId: 'mine', dressingRev: 1 }))),
  );
  put(1, 'After tying');
  expect(mine()).toMatchObject({ rev: 2, name: 'After tying' });
  put(2, 'Again');
  expect(mine().rev).toBe(2);
});

test('deleted it is gone from the choice', async () => {
  const { store, put } = await opened();
  put();
  store.dispatch(act(deleteDressing, { id: 'mine' }));
  expect(selectOwnDressings(store.getState())).toEqual([]);
});

test('two records of one shipped id in a file both come in, each under an id of its own, as made from it', () => {
  const draft = cleanEntities();
  const shipped = DRESSINGS[0]!;
  takeDressings.run(draft, { dressings: [shipped, { ...shipped, name: 'Other' }], materials: [] }, around());
  const own = Object.values(draft.dressing);
  expect(new Set(own.map((dressing) => dressing.id)).size).toBe(2);
  expect(own.map((dressing) => dressing.parent)).toEqual([shipped.id, shipped.id]);
});

describe('records of older versions', () => {
  test('dressings: what was optional becomes a switch', () => {
    const {
      switches: _switches,
      bank: _bank,
      claims: _claims,
      ...old
    } = structuredClone(DRESSINGS.find((dressing) => dressing.id === 'cheeked-quill-nymph')!);
    const made = migrate('dressing', 1, { demo: false, base: null, ...old });
    expect(made).toMatchObject({
      ok: true,
      data: { switches: [{ parts: ['cheeks'], on: true }], bank: [], claims: [] },
    });
  });
  test('matches gain an empty list of parts switched on, settings a bench that is not known', () => {
    expect(
      migrate('match', 2, {
        opened: '2033-05-24T04:50',
        sampleId: 's',
        answers: [{ id: 'a1', stage: null, offset: { sizes: 0, intent: 'exact' } }],
        leading: 'a1',
        parentId: null,
      }),
    ).toMatchObject({ ok: true, data: { answers: [{ added: [] }] } });
    expect(migrate('settings', 3, { unit: 'mm', smallest: 18 })).toMatchObject({
      ok: true,
      data: { smallest: 18, skill: null, minutes: null, tools: null, pickWeights: {}, dressingSchools: {} },
    });
  });
  test('weights outside what can be set are refused', () =>
    expect(migrate('settings', 4, { pickWeights: { water: 9 } })).toMatchObject({ ok: false, reason: 'schema' }));
});

test('what two tiers make under one name keeps two ids, and both are there when one reads the other’s file', () => {
  const tiers = ['7f3a21', '09be44'].map((end) => {
    const draft = cleanEntities();
    const id = makeDressing.run(
      draft,
      { dressing: derive(DRESSINGS[0]!, 'any', 'My dun') },
      { ...around(), newId: (kind) => `${kind}_0199-4c1d-${end}` },
    );
    return { id, draft };
  });
  expect(tiers.map(({ id }) => id)).toEqual(['my-dun-7f3a21', 'my-dun-09be44']);
  const [mine, other] = tiers as [(typeof tiers)[0], (typeof tiers)[0]];
  takeDressings.run(
    mine.draft,
    { dressings: Object.values(other.draft.dressing).map(dressingOf), materials: [] },
    around(),
  );
  expect(
    Object.values(mine.draft.dressing)
      .map(({ id }) => id)
      .sort(),
  ).toEqual(tiers.map(({ id }) => id).sort());
});

test('a shipped one read twice from a file comes in once', () => {
  const draft = cleanEntities();
  const changed = { ...DRESSINGS[0]!, minutes: 99 };
  takeDressings.run(draft, { dressings: [changed], materials: [] }, around());
  takeDressings.run(draft, { dressings: [changed], materials: [] }, around());
  expect(Object.values(draft.dressing)).toHaveLength(1);
  takeDressings.run(
    draft,
    { dressings: [{ ...changed, minutes: 98 }], materials: [] },
    { ...around(), newId: () => 'dressing_other' },
  );
  expect(Object.values(draft.dressing)).toHaveLength(2);
});
