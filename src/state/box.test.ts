import { memoryPorts } from './__tests__/ports';
import { selectAnswered } from './answers';
import { selectResults } from './results';
import { selectBoxMatch, selectCarried, wantedBy } from './box';
import { withEvents } from '@/records/__tests__/ledgers';
import { act } from './act';
import {
  enterFly,
  flySchema,
  hasDemo,
  heldOf,
  leaveDemo,
  matchSchema,
  noEntities,
  noteResult,
  sampleSchema,
  specimen,
  type Entities,
} from '@/records';
import { demoEntities } from '@/records/demo-valley';
import { around } from '@/records/__tests__/around';
import { createStore, openStore, type Store } from './store';
import { change } from './__tests__/change';

const DUN = 'match_demo-auldry-dun';
const BOX = 'box_demo-valley';

async function demo(): Promise<Store> {
  const store = createStore(memoryPorts());
  await openStore(store, { start: 'demo', clock: null });
  return store;
}
const first = (store: Store, match = DUN) => selectBoxMatch(store.getState(), match)!.flies[0]!.fly;
const put = (store: Store, recipe: (draft: Entities) => void) => void store.dispatch(change('box', recipe));
function fresh(store: Store, more: Parameters<typeof sampleSchema.cast>[0] = {}): void {
  put(store, (draft) => {
    draft.sample.s = sampleSchema.cast({ when: '2033-05-24T04:50', ...(more as object) });
    draft.match.m = matchSchema.cast({
      opened: '2033-05-24T04:50',
      sampleId: 's',
      answers: [{ id: 'a1', stage: null }],
      leading: 'a1',
    });
  });
}
const wanted = (store: Store) =>
  wantedBy(store.getState(), store.getState().records.entities.match.m!, store.getState().records.entities.sample.s!);

describe('the demo box', () => {
  const entities = demoEntities();
  test('holds about sixty flies on known hooks, one of them run out', async () => {
    const left = Object.values(entities.fly).map((fly) => heldOf(fly).reduce((sum, place) => sum + place.left, 0));
    expect(left.reduce((sum, count) => sum + count, 0)).toBeGreaterThanOrEqual(55);
    expect(left.filter((count) => count === 0)).toHaveLength(1);
    const store = await demo();
    const flies = selectCarried(store.getState());
    expect(flies).toHaveLength(Object.keys(entities.fly).length);
    expect(flies.filter((fly) => fly.lengthMm === null || fly.stages.length === 0)).toEqual([]);
  });
  test('leaves with the demo; a fly that was touched stays, and so does its box', () => {
    const all = structuredClone(entities);
    leaveDemo.run(all, {}, around());
    expect([Object.keys(all.fly), Object.keys(all.box), hasDemo(all)]).toEqual([[], [], false]);
    const touched = structuredClone(entities);
    touched.fly['fly_demo-a1']!.demo = false;
    leaveDemo.run(touched, {}, around());
    expect([Object.keys(touched.fly), Object.keys(touched.box)]).toEqual([['fly_demo-a1'], [BOX]]);
  });
});

describe('the flies carried', () => {
  test('a dun of 8.1 mm is answered by a dun of its size', async () => {
    const fly = first(await demo());
    expect(fly.stages).toContain('mayfly/dun');
    expect(Math.abs(fly.lengthMm! - 8.13)).toBeLessThan(0.7);
  });
  test('the last one lost is not offered first any more', async () => {
    const store = await demo();
    const { id, left } = first(store);
    store.dispatch(
      act(enterFly, { flyId: id, boxId: BOX, slot: id.replace('fly_demo-', ''), count: -left, why: 'lost' }),
    );
    expect(first(store).id).not.toBe(id);
  });
  test('a box at home answers nothing', async () => {
    const store = await demo();
    put(store, (draft) => void (draft.box[BOX]!.carried = false));
    expect(selectBoxMatch(store.getState(), DUN)).toBeNull();
  });
  test('a fly by its own words: stage, length, colour, ride', async () => {
    const store = await demo();
    put(store, (draft) => {
      draft.fly.own = withEvents(
        'fly',
        flySchema.cast({ name: 'bought', stage: 'mayfly/dun', lengthMm: 9, shade: 'pale-olive', ride: 'high' }),
        { m: { at: 'x', boxId: BOX, slot: null, count: 1, why: 'got' } },
      );
    });
    expect(selectCarried(store.getState()).find((fly) => fly.id === 'own')).toMatchObject({
      name: 'bought',
      lengthMm: 9,
      ride: 'high',
      left: 1,
      belly: [expect.any(Number), expect.any(Number), expect.any(Number)],
    });
  });
  test('nothing carried, nothing answered', () => {
    const store = createStore(memoryPorts());
    expect(
      selectBoxMatch({ ...store.getState(), records: { ...store.getState().records, entities: noEntities() } }, DUN),
    ).toBeNull();
  });
});

describe('what a match asks of the box', () => {
  test('every stage by its odds while none is kept', async () => {
    const store = await demo();
    fresh(store, { signs: { wings: 'cloudy-upright' } });
    const { belief, length, belly } = wanted(store);
    expect(belief[0]!.stage).toBe('mayfly/dun');
    expect(belief.length).toBeGreaterThan(1);
    expect([length, belly]).toEqual([null, null]);
  });
  test('one kept stage is sure, two share by their odds', async () => {
    const store = await demo();
    fresh(store, { signs: { wings: 'cloudy-upright' }, rough: { mm: 8.5, halfMm: 1.5, how: 'chip' } });
    put(store, (draft) => void (draft.match.m!.answers[0]!.stage = 'mayfly/dun'));
    expect(wanted(store)).toMatchObject({ belief: [{ stage: 'mayfly/dun', p: 1 }], length: { mm: 8.5 } });
    put(
      store,
      (draft) => void draft.match.m!.answers.push({ ...draft.match.m!.answers[0]!, id: 'a2', stage: 'mayfly/spinner' }),
    );
    const two = wanted(store).belief;
    expect(two.map(({ stage }) => stage).sort()).toEqual(['mayfly/dun', 'mayfly/spinner']);
    expect(two.reduce((sum, { p }) => sum + p, 0)).toBeCloseTo(1, 9);
  });
  test('a case is compared with the case, a folded wing gives the body', async () => {
    const store = await demo();
    fresh(store, { case: { mm: 13, typed: null }, overall: { mm: 13.3, typed: null } });
    put(store, (draft) => void (draft.match.m!.answers[0]!.stage = 'caddis/cased-larva'));
    expect(wanted(store).length!.mm).toBe(13);
    put(store, (draft) => {
      draft.match.m!.answers[0]!.stage = 'caddis/adult';
      draft.sample.s!.case.mm = null;
    });
    expect(wanted(store).length!.mm).toBeCloseTo(10, 5);
  });
  test('the belly by its colour, else by its words', async () => {
    const store = await demo();
    fresh(store, { shades: { 'abdomen-belly': 'mid-olive' } });
    const inWords = wanted(store).belly!;
    expect(inWords).toHaveLength(3);
    put(store, (draft) => void (draft.sample.s!.colours['abdomen-belly'] = '#ffffff'));
    expect(wanted(store).belly![0]).toBeCloseTo(100, 0);
  });
  test('insects set aside, and those of the other sex, do not count', async () => {
    const store = await demo();
    fresh(store);
    put(store, (draft) => {
      draft.match.m!.answers[0]!.stage = 'mayfly/dun';
      draft.sample.s!.specimens = [
        { ...specimen('a', 8), sex: 'male' },
        { ...specimen('b', 9.4), sex: 'female' },
        { ...specimen('c', 30), out: 'two overlapping' },
      ];
    });
    expect(wanted(store).length!.mm).toBeCloseTo(8.7, 5);
    put(store, (draft) => void (draft.sample.s!.sex = 'female'));
    expect(wanted(store).length!.mm).toBeCloseTo(9.4, 5);
  });
  test('a larva from spirit is taken longer than it reads, an adult is not', async () => {
    const store = await demo();
    fresh(store, { preserved: true, specimens: [specimen('a', 9.6)] });
    put(store, (draft) => void (draft.match.m!.answers[0]!.stage = 'caddis/free-larva'));
    expect(wanted(store).length!.mm).toBeCloseTo(10, 5);
    put(store, (draft) => void (draft.match.m!.answers[0]!.stage = 'caddis/adult'));
    expect(wanted(store).length!.mm).toBeCloseTo(9.6, 5);
  });
});

test('what came of a dressing on the water feeds the choice with its reason, and a fly that is lost changes no answer', async () => {
  const store = await demo();
  const why = () => {
    const answered = selectAnswered(store.getState(), DUN, 'a1')!;
    if (answered.status !== 'answered') throw new Error('waits');
    const { dressing, alternatives } = answered.answer;
    return [dressing!, ...alternatives].find(({ id }) => id === 'first-light-dun')!;
  };
  const fly = Object.entries(store.getState().records.entities.fly).find(
    ([, { dressingId }]) => dressingId === 'first-light-dun',
  )![0];
  const told = (reasons: readonly { code: string }[]) => reasons.some(({ code }) => code === 'results-own');
  const before = why();
  expect(told(before.why)).toBe(false);
  const lose = () => {
    const { boxId, slot } = heldOf(store.getState().records.entities.fly[fly]!)[0]!;
    store.dispatch(act(enterFly, { flyId: fly, boxId, slot, count: -1, why: 'lost', matchId: DUN }));
  };
  lose();
  expect(why()).toBe(before);
  for (const result of ['took', 'took', 'took', 'refused'] as const)
    store.dispatch(act(noteResult, { flyId: fly, result, matchId: DUN }));
  expect(selectResults(store.getState()).get('first-light-dun')).toEqual({ took: 3, refused: 1 });
  const after = why();
  expect(after.why.find(({ code }) => code === 'results-own')!.params).toEqual({ took: 3, refused: 1 });
  expect(after.score).not.toBe(before.score);
});
