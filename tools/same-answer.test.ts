import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { run, type Outcome } from '../cli/run';
import { STAGES } from '../src/catalogue';
import { memoryPorts } from '../src/state/__tests__/ports';
import { sampleSchema } from '../src/records';
import { createStore, openStore } from '../src/state';
import { heard } from '../src/state/storage/slice';
import { selectAnswered, selectBoxMatch, selectCarried } from '../src/state/answering';
import { change } from '../src/state/__tests__/change';

const MATCH = 'match_demo-auldry-dun';
const SAMPLE = 'sample_demo-auldry-dun';
const OWN_MODEL = 'bessock:fine-wet';
const LENGTHS = [3, 4.5, 6.5, 9, 12, 16, 24, 35];

const round = (value: number) => Number(value.toPrecision(6));

/** The demo's store with one natural of a stage and a length, asked at the bare settings a command line has. */
async function demo() {
  const store = createStore(memoryPorts());
  await openStore(store, { start: 'demo', clock: null });
  const natural = (stage: (typeof STAGES)[number]['id'], mm: number) => {
    store.dispatch(
      change('length', (draft) => {
        const specimen = { ...draft.sample[SAMPLE]!.specimens[0]!, body: { mm, typed: null } };
        draft.sample[SAMPLE] = sampleSchema.cast({ when: '2033-05-24T04:50', specimens: [specimen] });
        draft.match[MATCH]!.answers = [
          {
            ...draft.match[MATCH]!.answers[0]!,
            stage,
            hookId: null,
            dressingId: null,
            schools: {},
            without: [],
            added: [],
          },
        ];
        draft.packet = {};
        draft.stash = {};
        // The demo's tier added a model of his own by hand.
        delete draft.model[OWN_MODEL];
        draft.settings = {};
      }),
    );
    // A command line knows no day: the store would keep no sample without one.
    const data = { ...store.getState().records.entities.sample[SAMPLE]!, when: '-' };
    store.dispatch(heard([{ kind: 'sample', id: SAMPLE, data }]));
  };
  return { store, natural };
}

const cases = STAGES.flatMap(({ id }) => LENGTHS.map((mm) => ({ id, mm })));
test('there are 448 cases', () => expect(cases.length).toBeGreaterThanOrEqual(448));

test(`app and command line answer ${STAGES.length} stages at ${LENGTHS.length} lengths with the same fly on the same hook`, async () => {
  const { store, natural } = await demo();
  const inApp = () => {
    const result = selectAnswered(store.getState(), MATCH, draftAnswer(store));
    if (result?.status !== 'answered') throw new Error('waits');
    const { dressing, hooks } = result.answer;
    return { dressing: dressing!.id, score: round(dressing!.score), hook: hooks[0]?.id ?? null };
  };
  const onLine = (stage: string, mm: number) => {
    const { dressing, hooks } = JSON.parse(
      (run(['match', '--stage', stage, '--length', String(mm), '--top', '1', '--json']) as Outcome).stdout,
    );
    return { dressing: dressing.id, score: dressing.score, hook: hooks[0]?.id ?? null };
  };
  const differ = cases.flatMap(({ id, mm }) => {
    natural(id, mm);
    const [app, line] = [inApp(), onLine(id, mm)];
    return JSON.stringify(app) === JSON.stringify(line) ? [] : [{ id, mm, app, line }];
  });
  expect(differ).toEqual([]);
}, 120_000);

test('and find the same flies of a box, with the same scores', async () => {
  const { store, natural } = await demo();
  natural(STAGES[0]!.id, LENGTHS[0]!);
  const flies = Object.entries(store.getState().records.entities.fly);
  const carried = new Map(selectCarried(store.getState()).map((fly) => [fly.id, fly]));
  const words = (shade: string | null | undefined) => (shade ? shade.replace('-', ' ') : '');
  const rows = flies
    .filter(([id]) => carried.has(id))
    .map(([id, fly]) =>
      [
        id,
        carried.get(id)!.name,
        fly.dressingId,
        fly.hookId,
        fly.stage,
        fly.lengthMm,
        words(fly.shade),
        fly.ride,
        carried.get(id)!.left,
      ]
        .map((cell) => `"${cell ?? ''}"`)
        .join(','),
    );
  expect(rows.length).toBeGreaterThan(5);
  const folder = mkdtempSync(join(tmpdir(), 'aubade-box-'));
  try {
    const box = join(folder, 'box.csv');
    writeFileSync(box, ['id,name,dressing,hook,stage,length_mm,colour,ride,count', ...rows].join('\n'));
    const differ = cases.flatMap(({ id, mm }) => {
      natural(id, mm);
      const app = selectBoxMatch(store.getState(), MATCH)!.flies.map((answer) => [answer.fly.id, round(answer.score)]);
      const line = JSON.parse(
        (
          run([
            'box',
            'match',
            '--box',
            box,
            '--stage',
            id,
            '--length',
            String(mm),
            '--top',
            '1000',
            '--json',
          ]) as Outcome
        ).stdout,
      ).flies.map((fly: { fly: string; score: number }) => [fly.fly, fly.score]);
      return JSON.stringify(app) === JSON.stringify(line)
        ? []
        : [{ id, mm, app: app.slice(0, 3), line: line.slice(0, 3) }];
    });
    expect(differ).toEqual([]);
  } finally {
    rmSync(folder, { recursive: true });
  }
}, 120_000);

function draftAnswer(store: ReturnType<typeof createStore>): string {
  return store.getState().records.entities.match[MATCH]!.answers[0]!.id;
}
