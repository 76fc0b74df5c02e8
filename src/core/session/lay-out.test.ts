import { DRESSINGS, MATERIALS } from '@/catalogue';
import { cardOn14 } from '../../../tools/test-catalogue';
import { batchOf } from '../tying/batch';
import { LAY_ACTS, layOutOf, soakedBefore, spentOf } from '.';

const byId = new Map(MATERIALS.map((material) => [material.id, material]));
const material = (id: string) => byId.get(id);
const lay = (...items: [id: string, count: number][]) =>
  layOutOf(
    items.map(([id, count]) => ({ card: cardOn14(id), count })),
    material,
  );

test('hooks are flexed and counted first; what comes off a spool is one length, what is cut is so many pieces', () => {
  const lines = lay(['first-light-dun', 6]);
  expect(lines.slice(0, 2).map(({ act }) => act)).toEqual(['flex', 'hooks']);
  expect(lines[1]).toMatchObject({ count: 6 });
  const card = cardOn14('first-light-dun');
  const [hackle] = card.hackles as [(typeof card.hackles)[number]];
  expect(lines.find(({ act }) => act === 'sort')).toMatchObject({
    count: 7,
    mm: hackle.stem_mm,
    barb: { mm: hackle.barb_mm, gauge: hackle.gauge },
  });
  const thread = batchOf(card, 6).lines.find((line) => line.material === card.threads[0]!.material)!;
  expect(lines.find(({ act }) => act === 'thread')!.mm).toBeCloseTo(thread.all!, 9);
});

test('of every dressing all that a batch takes is laid out, and the whole is the sum of what each takes', () => {
  for (const { id } of DRESSINGS) {
    const card = cardOn14(id);
    const lines = lay([id, 5]);
    const named = new Set(lines.map(({ of }) => of));
    for (const { material: of } of batchOf(card, 5).lines) expect([id, of, named.has(of)]).toEqual([id, of, true]);
    expect(lines.map(({ act }) => LAY_ACTS.indexOf(act))).toEqual(
      lines.map(({ act }) => LAY_ACTS.indexOf(act)).sort((a, b) => a - b),
    );
    expect(new Set(lines.map((line) => line.id)).size).toBe(lines.length);
  }
});

test('what two dressings take alike is one line with both names; what differs in size stays apart', () => {
  const both = lay(['first-light-dun', 2], ['washed-dun', 3]);
  const flex = both.filter(({ act }) => act === 'flex');
  expect(flex).toHaveLength(new Set(['first-light-dun', 'washed-dun'].map((id) => cardOn14(id).hook.id)).size);
  const single = [...lay(['first-light-dun', 2]), ...lay(['washed-dun', 3])];
  for (const line of both) {
    const own = single.filter(({ id }) => id === line.id);
    expect(line.flies).toHaveLength(own.length);
    if (line.count !== null) expect(line.count).toBe(own.reduce((sum, { count }) => sum + count!, 0));
    if (line.mg !== null)
      expect(line.mg).toBeCloseTo(
        own.reduce((sum, { mg }) => sum + mg!, 0),
        9,
      );
  }
  // One spool serves both: its lengths add up, and no other's.
  const threads = (...items: [string, number][]) =>
    lay(...items)
      .filter(({ act }) => act === 'thread')
      .map(({ mm }) => mm!);
  const [two, three, five] = [
    threads(['first-light-dun', 2]),
    threads(['first-light-dun', 3]),
    threads(['first-light-dun', 2], ['first-light-dun', 3]),
  ];
  expect(five).toEqual(two.map((mm, at) => expect.closeTo(mm + three[at]!, 9)));
  expect(lay(['first-light-dun', 0])).toEqual([]);
});

test('what soaks is soaked once for all, while the rest is laid out: no fly waits for its own', () => {
  const card = cardOn14('first-light-post-dun');
  const soak = lay(['first-light-post-dun', 4]).find(({ act }) => act === 'soak')!;
  expect(soak.seconds).toBe(1200);
  expect(soak.count).toBeGreaterThanOrEqual(4);
  const soaked = soakedBefore(card);
  expect(soaked.steps.filter(({ do: verb, wait_s: wait }) => verb === 'check' && wait !== null)).toEqual([]);
  expect(soaked.steps.filter(({ do: verb }) => verb === 'coat')).toEqual(
    card.steps.filter(({ do: verb }) => verb === 'coat'),
  );
  const dry = cardOn14('first-light-dun');
  expect(soakedBefore(dry)).toBe(dry);
});

test('of counted materials a session takes a piece a fly, none of what is by eye or by the fibre', () => {
  const nymph = cardOn14('herl-bead-nymph');
  const spent = spentOf([{ card: nymph, flies: 5 }], material);
  const bead = batchOf(nymph, 5).lines.find(({ bead: own }) => own !== null)!.material;
  expect(spent).toContainEqual({ material: bead, count: 5 });
  for (const { material: id } of spent) expect(['bead', 'piece', 'feather', 'strand']).toContain(material(id)!.counted);
  const dun = cardOn14('first-light-dun');
  const feathers = spentOf([{ card: dun, flies: 5 }], () => ({ counted: 'feather' }));
  expect(feathers).toContainEqual({ material: dun.hackles[0]!.material, count: 5 });
  expect(spentOf([{ card: dun, flies: 0 }], material)).toEqual([]);
  expect(spentOf([{ card: dun, flies: 4 }], () => ({ counted: 'length' }))).toEqual([]);
});
