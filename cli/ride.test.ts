import { file, json, runNow as run } from './__tests__/files';

const card = (dressing: string) =>
  file(`${dressing}.json`, run('card', '--dressing', dressing, '--hook', 'reference:standard-dry:14', '--json').stdout);
const dun = card('first-light-dun');
const nymph = card('herl-bead-nymph');

test('in the published shape and no other; a fly that floats has no fall, one that sinks no time afloat', () => {
  const { exit, value } = json('ride', '--card', dun, '--current', '400');
  expect(exit).toBe(0);
  expect(Object.keys(value)).toEqual([
    'state',
    'margin',
    'mass_mg',
    'volume_mm3',
    'sink_mm_s',
    'depth_mm',
    'float_s',
    'about',
    'reasons',
  ]);
  expect(value).toMatchObject({ state: 'high', sink_mm_s: null, depth_mm: null, about: true });
  expect(value.float_s).toBeGreaterThan(60);
  const down = json('ride', '--card', nymph, '--current', '500').value;
  expect(down).toMatchObject({ state: 'sink', float_s: null });
  // Ten seconds at 0.55 of its free fall.
  expect(down.depth_mm).toBeCloseTo(5.5 * down.sink_mm_s, 0);
  expect(json('ride', '--card', nymph).value.depth_mm).toBeNull();
});

test('soaked it rides lower; a match carries its card; the reasons say what bears it', () => {
  const dry = json('ride', '--card', dun).value;
  const later = json('ride', '--card', dun, '--soaked', '900').value;
  expect([dry.state, later.state]).toEqual(['high', 'film']);
  expect(json('ride', '--card', dun, '--soaked', '7200').value.state).toBe('under');
  expect(dry.reasons.map(({ code }: { code: string }) => code)).toEqual([
    'ride-weighs',
    'ride-tips',
    'ride-lies',
    'ride-floats-for',
    'ride-model',
  ]);
  const match = file('m.json', run('match', '--order', 'mayfly', '--stage', 'dun', '--length', '8', '--json').stdout);
  expect(json('ride', '--card', match).value.state).toMatch(/^(high|film)$/);
  expect(run('ride', '--card', dun).stdout).toMatch(/^Rides high, on its tips\s+It weighs 25 mg/);
});

test('what cannot be is said beside its flag', () => {
  for (const [argv, field] of [
    [['ride'], 'card'],
    [['ride', '--card', dun, '--soaked', '-1'], 'soaked'],
    [['ride', '--card', dun, '--current', 'quick'], 'current'],
    [['ride', '--card', file('no.json', '{"card": {"dressing": 1}}')], 'card'],
  ] as const) {
    const { exit, stdout } = run(...argv, '--json');
    expect([exit, (JSON.parse(stdout) as { error: { field: string } }).error.field]).toEqual([2, field]);
  }
});
