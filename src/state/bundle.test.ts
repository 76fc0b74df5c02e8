import { readFileSync } from 'node:fs';
import { join as path } from 'node:path';
import { memoryPorts } from './__tests__/ports';
import { deleteMatch, readBundle, specimen, type Bundle } from '@/records';
import { act } from './act';
import { backupOf } from '@/records/backup';
import { takeBackup } from './backup';
import { writeBundle } from './bundle';
import { readPicture } from './photos';
import { createStore, openStore, undone, type Store } from './store';
import { change } from './__tests__/change';

const EXAMPLE = readFileSync(path(__dirname, '../../docs/formats/examples/bundle.json'), 'utf8');

async function empty(): Promise<Store> {
  const store = createStore(memoryPorts());
  await openStore(store, { start: 'clean', clock: '2033-05-24T04:50' });
  return store;
}
function read(text: string): Bundle {
  const result = readBundle(text);
  if (!result.ok) throw new Error(result.fault.code);
  return result.bundle;
}
const takeBundle = (store: Store, bundle: Bundle) => takeBackup(store, backupOf(bundle), 'merge');
const entities = (store: Store) => store.getState().records.entities;

test('the example is taken in whole, and written back the same', async () => {
  const store = await empty();
  await takeBundle(store, read(EXAMPLE));
  expect(entities(store).match.match_example).toMatchObject({ title: 'Olive by the alders' });
  expect(entities(store).sample.sample_example!.specimens[0]!.body.mm).toBe(8.2);
  expect(await readPicture(store.ports, 'photo_example')).toMatch(/^data:image\/png/);
  expect(await writeBundle(store, ['match_example'])).toBe(EXAMPLE);
});

test('read twice it is one match, and neither side loses an insect, a photograph or what it measured', async () => {
  const store = await empty();
  await takeBundle(store, read(EXAMPLE));
  const overlay = {
    leftMm: 0,
    topMm: 0,
    widthMm: 10,
    heightMm: 10,
    by: 'card' as const,
    view: 'belly' as const,
    insects: [],
  };
  await store.dispatch(
    change('length', (draft) => {
      draft.sample.sample_example!.specimens.push(specimen('s2', 7.9));
      draft.sample.sample_example!.place = 'elsewhere';
      draft.photo.photo_example!.overlay = overlay;
    }),
  );
  await takeBundle(store, read(EXAMPLE.replace('"mm": 8.2', '"mm": 8.4')));
  expect(Object.keys(entities(store).match)).toEqual(['match_example']);
  expect(entities(store).sample.sample_example).toMatchObject({
    place: 'elsewhere',
    photos: ['photo_example'],
    specimens: [
      { id: 's1', body: { mm: 8.4 } },
      { id: 's2', body: { mm: 7.9 } },
    ],
  });
  expect(entities(store).photo.photo_example!.overlay).toEqual(overlay);
});

test('of one field the later edit stands, here or in the file; a file that does not say when says it now', async () => {
  const store = await empty();
  await takeBundle(store, read(EXAMPLE));
  store.dispatch(change('title', (draft) => void (draft.sample.sample_example!.place = 'elsewhere')));
  const place = () => entities(store).sample.sample_example!.place;
  const from = (clocks: object | undefined) => {
    const bundle = read(EXAMPLE.replace('River Auldry', 'River Cinder'));
    bundle.clocks['sample/sample_example'] = clocks ? { '': 1, ...clocks } : null;
    return takeBundle(store, bundle);
  };
  await from({ place: 5 });
  expect(place()).toBe('elsewhere');
  await from({ place: 3_000_000_000_000 });
  expect(place()).toBe('River Cinder');
  store.dispatch(change('title', (draft) => void (draft.sample.sample_example!.place = 'here')));
  store.ports.now = () => 4_000_000_000_000;
  await from(undefined);
  expect(place()).toBe('River Cinder');
});

test('a match that was deleted here comes back when its file is read', async () => {
  const store = await empty();
  await takeBundle(store, read(EXAMPLE));
  store.dispatch(act(deleteMatch, { matchId: 'match_example' }));
  await store.persistence.current!.flush();
  expect(entities(store).match).toEqual({});
  await takeBundle(store, read(EXAMPLE));
  await store.persistence.current!.flush();
  expect(entities(store)).toMatchObject({
    match: { match_example: { title: 'Olive by the alders' } },
    sample: { sample_example: { place: 'River Auldry' } },
  });
  store.dispatch(undone());
  expect(entities(store).match).toEqual({});
});

test('what the file leaves empty erases nothing, signs and colours of both stand, and the answer that leads is never the one too many', async () => {
  const store = await empty();
  await takeBundle(store, read(EXAMPLE));
  await store.dispatch(
    change('sign', (draft) => {
      const own = draft.sample.sample_example!;
      Object.assign(own, {
        place: 'below the weir',
        rise: 'sip',
        case: { mm: 12, typed: null },
        signs: { ...own.signs, tails: '3' },
      });
      own.shades.wing = 'mid-grey';
      const match = draft.match.match_example!;
      for (const id of ['x', 'y', 'z']) match.answers.push({ ...match.answers[0]!, id, stage: null });
    }),
  );
  const bundle = read(EXAMPLE);
  Object.assign(bundle.sample.sample_example!, {
    place: '',
    rise: null,
    case: { mm: null, typed: null },
    signs: { wings: 'cloudy-upright' },
    shades: {},
  });
  bundle.match.match_example!.answers = [{ ...bundle.match.match_example!.answers[0]!, id: 'there' }];
  bundle.match.match_example!.leading = 'there';
  await takeBundle(store, bundle);
  expect(entities(store).sample.sample_example).toMatchObject({
    place: 'below the weir',
    rise: 'sip',
    case: { mm: 12 },
    signs: { tails: '3', wings: 'cloudy-upright' },
    shades: { wing: 'mid-grey' },
  });
  const { answers, leading } = entities(store).match.match_example!;
  expect([answers.length, answers.some((answer) => answer.id === leading), leading]).toEqual([4, true, 'there']);
  const once = entities(store);
  await takeBundle(store, bundle);
  expect(entities(store)).toEqual(once);
});

test('undo takes all of it back at once', async () => {
  const store = await empty();
  await takeBundle(store, read(EXAMPLE));
  store.dispatch(undone());
  expect([entities(store).match, entities(store).sample, entities(store).photo]).toEqual([{}, {}, {}]);
});

test('an older record is brought up to date on the way', () => {
  const file = JSON.parse(EXAMPLE) as { items: { kind: string; v?: number; data: Record<string, unknown> }[] };
  const photo = file.items.find((item) => item.kind === 'photo')!;
  photo.v = 1;
  photo.data.overlay = {
    leftMm: 1,
    topMm: 1,
    widthMm: 10,
    heightMm: 8,
    insects: [
      {
        n: 1,
        bodyMm: 8,
        midlineMm: [
          [1, 1],
          [9, 1],
        ],
      },
    ],
  };
  expect(read(JSON.stringify(file)).photo.photo_example!.overlay).toMatchObject({
    by: 'card',
    insects: [{ n: 1, bodyMm: 8, hand: null, specimenId: null }],
  });
});

test.each([
  ['not a file of ours', '{}', 'bundle-other'],
  ['no JSON', 'match;', 'bundle-other'],
  ['a newer file', EXAMPLE.replace('"version": 1', '"version": 2'), 'file-newer'],
  ['a newer record', EXAMPLE.replace('"v": 6', '"v": 99'), 'file-newer'],
  ['a record that fails its schema', EXAMPLE.replace('"fast"', '"lava"'), 'bundle-broken'],
  ['a picture that is none', EXAMPLE.replace('data:image/png', 'data:text/html'), 'bundle-broken'],
  [
    'a match whose sample is not there',
    EXAMPLE.replace('"kind": "sample"', '"kind": "picture"').replace(
      '"sampleId": "sample_example",\n    "answers"',
      '"sampleId": "sample_lost",\n    "answers"',
    ),
    'bundle-broken',
  ],
])('%s is refused untouched', (_, text, code) =>
  expect(readBundle(text)).toMatchObject({ ok: false, fault: { code } }),
);

test('a match that is not here is no file', async () => {
  const store = await empty();
  expect(await writeBundle(store, ['match_none'])).toBeNull();
});
