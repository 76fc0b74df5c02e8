import { DRESSINGS, MATERIALS } from '@/catalogue';
import type { Dressing } from './dressing';
import { readiness } from './readiness';

const dun = DRESSINGS.find((item) => item.id === 'first-light-dun')!;
const all = (dressing: Dressing) =>
  new Set([
    ...dressing.parts.flatMap((part) => part.material ?? []),
    ...dressing.threads.map((thread) => thread.material),
  ]);
const nameOf = (id: string) => MATERIALS.find((item) => item.id === id)!.name;
const tail = dun.parts.find((part) => part.part === 'tail')!;
const without = (...gone: string[]) => new Set([...all(dun)].filter((id) => !gone.includes(id)));
const said = (have: ReadonlySet<string> | null, dressing = dun, materials = MATERIALS) => {
  const { ready, reason } = readiness(dressing, have, materials);
  return [ready, reason?.code ?? null, reason?.params.materials ?? null];
};

test('until a stash is begun nothing is said', () => expect(said(null)).toEqual(['unknown', null, null]));
test('with all of it there it is ready', () => expect(said(all(dun))).toEqual(['ready', 'ready-all', null]));
test('what is missing is named once; a substitute does the same work', () => {
  const other = MATERIALS.find(
    (item) => item.id !== tail.material && item.functions.includes(tail.function!) && !all(dun).has(item.id),
  )!;
  expect(said(new Set([...without(tail.material!), other.id]))).toEqual([
    'substitutes',
    'ready-substitutes',
    { list: [nameOf(tail.material!)] },
  ]);
  // One that is owned and does other work is none; nor is one that would do, but is not owned.
  const useless = MATERIALS.find((item) => !item.functions.includes(tail.function!) && !all(dun).has(item.id))!;
  const does = new Set(MATERIALS.filter((item) => item.functions.includes(tail.function!)).map((item) => item.id));
  const bare = new Set([...all(dun), useless.id].filter((id) => !does.has(id)));
  const short = readiness({ ...dun, parts: [tail, { ...tail, id: 'tail-2' }], threads: [] }, bare, MATERIALS);
  expect([short.ready, short.reason!.code, short.reason!.params.materials]).toEqual([
    'short',
    'ready-short',
    { list: [nameOf(tail.material!)] },
  ]);
});
test('thread is needed like any part, by its work', () => {
  const thread = dun.threads[0]!.material;
  const threads = new Set(MATERIALS.filter((item) => item.functions.includes('thread')).map((item) => item.id));
  const other = [...threads].find((id) => !all(dun).has(id))!;
  const own = { ...dun, parts: dun.parts.filter((part) => !threads.has(part.material ?? '')) };
  expect(said(new Set([...without(thread), other]), own)[0]).toBe('substitutes');
  expect(said(new Set([...all(dun)].filter((id) => !threads.has(id))), own)).toEqual([
    'short',
    'ready-short',
    { list: [nameOf(thread)] },
  ]);
});
test('what may be left out, or has no material or work, is not needed', () => {
  for (const more of [{ optional: true }, { material: null }, { function: null }]) {
    const own: Dressing = {
      ...dun,
      parts: dun.parts.map((part) => (part.id === tail.id ? { ...part, ...more } : part)),
    };
    expect(said(without(tail.material!), own)[0]).toBe('ready');
  }
});
test('a material that nobody knows keeps its id', () =>
  expect(
    said(
      without(tail.material!),
      {
        ...dun,
        parts: dun.parts.map((part) =>
          part.id === tail.id ? { ...part, material: 'moonlight', function: 'wax' as const } : part,
        ),
      },
      MATERIALS.filter((item) => !item.functions.includes('wax')),
    ),
  ).toEqual(['short', 'ready-short', { list: ['moonlight'] }]));
