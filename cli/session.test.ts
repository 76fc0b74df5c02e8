import { join } from 'node:path';
import { file, folder, json, runNow as run } from './__tests__/files';

const cardFile = (dressing: string, hook = 'reference:standard-dry:14') =>
  file(`${dressing}.json`, run('card', '--dressing', dressing, '--hook', hook, '--json').stdout);
const session = (...argv: string[]) => json('session', ...argv);
const dun = cardFile('first-light-dun');
const nymph = cardFile('herl-bead-nymph');

describe('session', () => {
  test('in the published shape and no other', () => {
    const { exit, value } = session('--card', dun, '--count', '3', '--card', nymph, '--count', '2');
    expect(exit).toBe(0);
    expect(Object.keys(value)).toEqual(['flies', 'minutes', 'ends', 'prepare', 'lines', 'order', 'one_by_one_minutes']);
    expect(value.flies).toBe(5);
    expect(value.ends.map(({ fly }: { fly: number }) => fly)).toEqual([1, 2, 3, 4, 5]);
    expect(Object.keys(value.order[0])).toEqual(['at_min', 'fly', 'step', 'wait_s']);
    expect(Object.keys(value.lines[0])).toEqual(['material', 'per_fly', 'total', 'waste']);
    expect(value.minutes.low).toBeLessThan(value.minutes.mean);
    expect(value.minutes.mean).toBeLessThan(value.one_by_one_minutes);
    expect(Math.max(...value.ends.map(({ at_min }: { at_min: number }) => at_min))).toBeCloseTo(value.minutes.mean, 3);
  });
  test('what it needs of all cards, each line once: beads by size and hole, thread by length, varnish by eye', () => {
    const { value } = session('--card', nymph, '--count', '12', '--card', dun, '--count', '2');
    const line = (id: string) => value.lines.filter(({ material }: { material: string }) => material === id);
    expect(line('bead-tungsten')).toEqual([
      {
        material: 'bead-tungsten',
        per_fly: '1 × 2.4 mm countersunk',
        total: '13 × 2.4 mm countersunk',
        waste: 0.0769231,
      },
    ]);
    expect(line('thread-brown-70')[0].total).toMatch(/^\d{4}\.\d mm$/);
    expect(line('head-varnish')).toEqual([{ material: 'head-varnish', per_fly: 'by eye', total: 'by eye', waste: 0 }]);
    const twice = session('--card', dun, '--count', '2', '--card', dun, '--count', '2').value;
    const once = session('--card', dun, '--count', '4').value;
    expect(twice.lines.map(({ material }: { material: string }) => material)).toEqual(
      once.lines.map(({ material }: { material: string }) => material),
    );
    expect(value.prepare.join()).toMatch(/thread 12 beads.*flex one hook/);
  });
  test('step by step each step is done on every fly before the next', () => {
    const { value } = session('--card', nymph, '--count', '3', '--mode', 'step');
    expect(value.order.slice(0, 4).map(({ fly, step }: { fly: number; step: number }) => [fly, step])).toEqual([
      [1, 1],
      [2, 1],
      [3, 1],
      [1, 2],
    ]);
  });
  test('a card that says no more than the published fields is enough', () => {
    const bare = file(
      'bare.json',
      JSON.stringify({
        dressing: { id: 'own' },
        hook: { id: 'a:b:14', shank_mm: 7, wire_mm: 0.4 },
        parts: [{ part: 'tail', count: 5, spare: 1, material: { id: 'herl' } }],
        steps: [
          { n: 1, do: 'bind', wait_s: 60 },
          { n: 2, do: 'finish' },
        ],
      }),
    );
    const { value } = session('--card', bare, '--count', '2');
    expect(value.order).toHaveLength(4);
    expect(value.lines).toEqual([{ material: 'herl', per_fly: '6', total: '12', waste: 0.166667 }]);
    // One material: five minutes, half as long again the first time.
    expect(value.minutes.mean).toBeGreaterThan(15);
  });
  test.each([
    [['--card', dun], /count: give one --count for each --card: of cards 1, of counts 0/],
    [['--card', dun, '--count', '0'], /count: .*1.*1000/],
    [
      ['--card', dun, '--count', '600', '--card', dun, '--count', '600'],
      /more flies than one session takes, 1000 at most/,
    ],
    [['--card', file('no.json', 'no'), '--count', '1'], /card: it is no JSON/],
    [
      ['--card', file('other.json', '{"dressing":{"id":"a"}}'), '--count', '1'],
      /is no card as card --json writes it: see steps/,
    ],
    [['--card', join(folder, 'none.json'), '--count', '1'], /card: cannot be read/],
    [['--card', dun, '--count', '1', '--mode', 'both'], /mode: .*fly, step/],
    [[], /card: is needed/],
  ])('%s', (argv, said) => {
    const { exit, stderr } = run('session', ...argv);
    expect([exit, stderr]).toEqual([2, expect.stringMatching(said)]);
  });
  test('as text: when the last is done, the other way of working, and every step by the minute', () => {
    const { stdout } = run('session', '--card', dun, '--count', '2');
    expect(stdout).toMatch(
      /^2 flies, about \d+ min \(\d+ to \d+\)\nlast fly done at \d+ min; one by one it would take \d+ min\nstep: about \d+ min/,
    );
    expect(stdout).toMatch(/0\.3 min: fly 1, step 1/);
  });
});
