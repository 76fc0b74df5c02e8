import { recordsFile } from '../src/records';
import { demoStart } from '../src/records/demo-valley';
import { file, json, runNow as run } from './__tests__/files';

/** Outings of older seasons, of which the simulation knows. */
const OLDER = /-\d{4}-\d+$/;

/** The valley's outings of this spring as a file of records, one of them changed; with its matches where a natural was found on that one. */
function journal(name: string, more: object = {}, intent: string | null = null): string {
  const { entities, events } = demoStart();
  const outing = Object.fromEntries(
    Object.entries(entities.outing)
      .filter(([id]) => !OLDER.test(id))
      .map(([id, own]) => [id, id === 'outing_demo-may' ? { ...own, ...more } : own]),
  );
  const { match, sample } = structuredClone({ match: entities.match, sample: entities.sample });
  const dun = match['match_demo-auldry-dun']!;
  if (intent) {
    sample[dun.sampleId]!.outingId = 'outing_demo-may';
    dun.answers[0]!.offset.intent = intent as never;
  }
  const all = { ...entities, outing, match, sample } as typeof entities;
  const kinds = ['water', 'outing', ...(intent ? (['match', 'sample'] as const) : [])] as const;
  const keys = kinds.flatMap((kind) => Object.keys(all[kind]).map((id) => `${kind}/${id}`));
  return file(
    name,
    recordsFile(
      all,
      new Map(),
      keys,
      events.filter(({ kind, owner }) => kind === 'outing' && !OLDER.test(owner)),
    ),
  );
}

test('stats: in the published shape and no other, a fly a line, from takes, refusals and the hours it fished', () => {
  const { exit, value } = json('journal', 'stats', journal('stats.json'));
  expect(exit).toBe(0);
  expect(Object.keys(value)).toEqual(['outings', 'events', 'flies', 'offsets']);
  expect([value.outings, value.events]).toEqual([3, 24]);
  const dun = value.flies.find(({ fly }: { fly: string }) => fly === 'first-light-dun');
  expect(Object.keys(dun)).toEqual([
    'fly',
    'hours',
    'takes',
    'takes_per_hour',
    'hooked',
    'refused',
    'rate',
    'shrunk_toward',
  ]);
  // 12:15 to 15:20 in April, 17:50 to 20:28 in May.
  expect(dun).toMatchObject({ takes: 4, hooked: 4, refused: 3 });
  expect(dun.hours).toBeCloseTo((185 + 158) / 60, 4);
  expect(dun.takes_per_hour.low).toBeLessThan(dun.takes_per_hour.mean);
  expect(dun.takes_per_hour.high).toBeGreaterThan(dun.takes_per_hour.mean);
  // A fish that got off took it, and did not stay on.
  expect(value.flies.find(({ fly }: { fly: string }) => fly === 'plume-hanging-midge')).toMatchObject({
    takes: 3,
    hooked: 2,
  });
  expect(run('journal', 'stats', journal('stats.json')).stdout).toMatch(/^3 outings, 24 events/);
});

test('offsets: what came of flies by why their match was tied as it was', () => {
  expect(json('journal', 'stats', journal('stats.json')).value.offsets).toEqual([]);
  const { offsets } = json('journal', 'stats', journal('offset.json', {}, 'bigger')).value;
  // The dun of the evening of May: two took, two refused; the spinner is for another stage. Alone it is its own usual: (4 · 0.5 + 2)/(4 + 4).
  expect(offsets).toHaveLength(1);
  expect(offsets[0]).toMatchObject({ intent: 'bigger', n: 4, mean: 0.5 });
  expect(Object.keys(offsets[0])).toEqual(['intent', 'mean', 'low', 'high', 'n']);
  expect(offsets[0].low).toBeLessThan(0.5);
  expect(offsets[0].high).toBeGreaterThan(0.5);
});

test('check: times that cannot be are named with their outing', () => {
  expect(json('journal', 'check', journal('good.json'))).toMatchObject({
    exit: 0,
    value: { rows: 3, good: 3, bad: 0, problems: [] },
  });
  const { exit, value } = json('journal', 'check', journal('bad.json', { end: '2033-05-22T16:00' }));
  expect(exit).toBe(2);
  expect(value).toMatchObject({ rows: 3, good: 2, bad: 1 });
  expect(value.problems[0]).toMatchObject({
    record: 'outing_demo-may',
    rule: 'outing-backwards',
    message: expect.stringMatching(/before it starts/),
  });
});

test('another verb, no file and a file that is none are refused beside their cause', () => {
  for (const [argv, field] of [
    [['journal', 'sing', 'x'], 'journal'],
    [['journal', 'stats'], 'file'],
    [['journal', 'stats', file('no.txt', 'nothing')], 'file'],
  ] as const) {
    const { exit, stdout } = run(...argv, '--json');
    expect([exit, (JSON.parse(stdout) as { error: { field: string } }).error.field]).toEqual([2, field]);
  }
});
