import { command, newMatch, saySign, setStage, typeMeasure, type Entities } from '@/records';
import { act, foresee } from './act';
import { createStore, openStore, undone } from './store';
import { memoryPorts } from './__tests__/ports';

const DUN = 'match_demo-auldry-dun';
const SAMPLE = 'sample_demo-auldry-dun';

async function open(start: 'demo' | 'clean' = 'demo', clock: string | null = '2033-05-24T04:50') {
  const store = createStore(memoryPorts());
  await openStore(store, { start, clock });
  return {
    store,
    entities: () => store.getState().records.entities,
    session: () => store.getState().session,
    past: () => store.getState().records.past,
  };
}
const any = <R>(name: string, run: (draft: Entities) => R) => command<object, R>(name, (draft) => run(draft));

test('a command is one step back, called by its label, and gives what it gives', async () => {
  const { store, entities, past } = await open('clean');
  const made = store.dispatch(act(newMatch, {}))!;
  expect(entities().match[made.matchId]).toMatchObject({ sampleId: made.sampleId, opened: '2033-05-24T04:50' });
  expect(past().map((item) => item.label)).toEqual(['new-match']);
  store.dispatch(undone());
  expect([entities().match, entities().sample]).toEqual([{}, {}]);
});

test('a demo record that is changed is the tier’s, in the same step; what is made anew is no demo', async () => {
  const { store, entities, past } = await open();
  store.dispatch(act(saySign, { sampleId: SAMPLE, sign: 'wings', answer: 'cloudy-upright' }));
  expect([entities().sample[SAMPLE]!.demo, entities().match[DUN]!.demo, past().length]).toEqual([false, true, 1]);
  store.dispatch(undone());
  expect(entities().sample[SAMPLE]).toMatchObject({ demo: true });
  expect(entities().sample[SAMPLE]!.signs.wings).toBeUndefined();
});

test('it runs once, so that its ids are those that are kept', async () => {
  const { store } = await open();
  let runs = 0;
  store.dispatch(
    act(
      any('twice', (draft) => {
        runs++;
        draft.sample[SAMPLE]!.place = 'weir';
      }),
      {},
    ),
  );
  expect(runs).toBe(1);
});

test('what would leave a record broken is refused whole: nothing changes, and the session says which and why', async () => {
  const { store, entities, session, past } = await open();
  const before = entities();
  expect(
    store.dispatch(
      act(
        any('break', (draft) => {
          draft.match[DUN]!.title = 'half of it';
          draft.sample[SAMPLE]!.specimens[0]!.body.mm = 9999;
          return 'made';
        }),
        {},
      ),
    ),
  ).toBeNull();
  expect(entities()).toBe(before);
  expect(past()).toEqual([]);
  expect(session().refused).toMatchObject({ name: 'break', detail: expect.stringContaining(SAMPLE) });
});

test('about a record that is gone it is refused, and what went before in it too', async () => {
  const { store, entities, session } = await open();
  const before = entities();
  store.dispatch(act(setStage, { matchId: DUN, answerId: 'a9', stage: 'mayfly/dun' }));
  store.dispatch(act(typeMeasure, { sampleId: 'none', of: 'case', measure: { mm: 9, typed: null } }));
  expect(entities()).toBe(before);
  expect(session().refused).toEqual({ name: 'length', detail: 'gone: none' });
});

test('a fault of the program itself is not hidden', async () => {
  const { store } = await open();
  expect(() =>
    store.dispatch(
      act(
        any('fault', () => {
          throw new TypeError('x');
        }),
        {},
      ),
    ),
  ).toThrow('x');
});

test('what a command would do is told without doing it, and without an id of the tier’s', async () => {
  const { store, entities, past } = await open();
  const before = entities();
  const ids = jest.spyOn(store.ports, 'newId');
  expect(await foresee(entities(), new Map(), { now: '2033-05-24T04:50', at: 1 }, newMatch, {})).toMatchObject({
    adds: [{ kind: 'sample' }, { kind: 'match' }],
    changes: [],
  });
  expect(
    await foresee(entities(), new Map(), { now: '2033-05-24T04:50', at: 1 }, saySign, {
      sampleId: SAMPLE,
      sign: 'wings',
      answer: 'cloudy-upright',
    }),
  ).toMatchObject({ adds: [], changes: [{ kind: 'sample', id: SAMPLE, fields: ['signs'] }] });
  expect(ids).not.toHaveBeenCalled();
  expect([entities() === before, past()]).toEqual([true, []]);
});

test('a record made from another holds what that one was, and is changed apart from it', async () => {
  const { store, entities } = await open();
  store.dispatch(
    act(
      any('copy', (draft) => {
        draft.sample[SAMPLE]!.place = 'weir';
        draft.sample.copy = { ...draft.sample[SAMPLE]!, place: 'ford' };
        draft.sample.copy.specimens[0]!.body.mm = 5;
        Object.assign(draft, { box: {} });
      }),
      {},
    ),
  );
  expect([entities().sample[SAMPLE]!.place, entities().sample.copy!.place, entities().box]).toEqual([
    'weir',
    'ford',
    {},
  ]);
  expect(entities().sample.copy!.specimens.length).toBe(entities().sample[SAMPLE]!.specimens.length);
});

test('a command sees what it put, took out and counted', async () => {
  const { store } = await open();
  expect(
    store.dispatch(
      act(
        any('look', (draft) => {
          const before = Object.keys(draft.match).length;
          delete draft.match[DUN];
          draft.match.fresh = { ...Object.values(draft.match)[0]!, title: 'fresh' };
          return [
            before - Object.keys(draft.match).length,
            DUN in draft.match,
            'fresh' in draft.match,
            draft.match.fresh.title,
            Object.values(draft.match).at(-1)!.title,
          ];
        }),
        {},
      ),
    ),
  ).toEqual([0, false, true, 'fresh', 'fresh']);
});
