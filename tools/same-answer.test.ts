import { run, type Outcome } from '../cli/run';
import { STAGES } from '../src/catalogue';
import { memoryPorts } from '../src/state/__tests__/ports';
import { change, createStore, openStore, sampleSchema, selectAnswered } from '../src/state';

const MATCH = 'match_demo-auldry-dun';
const SAMPLE = 'sample_demo-auldry-dun';
const OWN_MODEL = 'bessock:fine-wet';
const LENGTHS = [3, 4.5, 6.5, 9, 12, 16, 24, 35];

test(`app and command line answer ${STAGES.length} stages at ${LENGTHS.length} lengths with the same fly on the same hook`, async () => {
  const store = createStore(memoryPorts());
  await openStore(store, { start: 'demo', clock: null });
  const inApp = (stage: (typeof STAGES)[number]['id'], mm: number) => {
    store.dispatch(change('length', (draft) => {
      const specimen = { ...draft.sample[SAMPLE]!.specimens[0]!, body: { mm, typed: null } };
      draft.sample[SAMPLE] = sampleSchema.cast({ when: '-', specimens: [specimen] });
      draft.match[MATCH]!.answers = [{ ...draft.match[MATCH]!.answers[0]!, stage, hookId: null, dressingId: null, schools: {}, without: [], added: [] }];
      draft.packet = {};
      // The demo's tier added a model of his own by hand.
      delete draft.model[OWN_MODEL];
      draft.settings = {};
    }));
    const result = selectAnswered(store.getState(), MATCH, draftAnswer(store));
    if (result?.status !== 'answered') throw new Error(`${stage} ${mm} mm waits`);
    const { dressing, hooks } = result.answer;
    return { dressing: dressing!.id, score: Number(dressing!.score.toPrecision(6)), hook: hooks[0]?.id ?? null };
  };
  const onLine = (stage: string, mm: number) => {
    const [order, own] = stage.split('/');
    const { dressing, hooks } = JSON.parse((run(['match', '--order', order!, '--stage', own!, '--length', String(mm), '--top', '1', '--json']) as Outcome).stdout);
    return { dressing: dressing.id, score: dressing.score, hook: hooks[0]?.id ?? null };
  };
  const differ = STAGES.flatMap(({ id }) => LENGTHS.flatMap((mm) => {
    const [app, line] = [inApp(id, mm), onLine(id, mm)];
    return JSON.stringify(app) === JSON.stringify(line) ? [] : [{ id, mm, app, line }];
  }));
  expect(STAGES.length * LENGTHS.length).toBeGreaterThanOrEqual(448);
  expect(differ).toEqual([]);
}, 120_000);

function draftAnswer(store: ReturnType<typeof createStore>): string {
  return store.getState().records.entities.match[MATCH]!.answers[0]!.id;
}
