import { around } from './__tests__/around';
import { demoEntities } from './demo-valley';
import { takeGroups } from './group/commands';
import { readingOf } from './reading';

test('what is new, what changes and in which fields; what is the same is not told', () => {
  const before = demoEntities();
  const after = structuredClone(before);
  const [[packetId]] = Object.entries(before.packet) as [[string, unknown]];
  after.packet[packetId]!.low = 99;
  after.packet[packetId]!.tally.count += 1;
  after.box.fresh = { demo: false, name: 'Fresh', rows: 1, columns: 1, carried: true };
  const reading = readingOf(before, after);
  expect(reading.adds).toEqual([{ kind: 'box', id: 'fresh', name: 'Fresh', when: null, fields: [] }]);
  expect(reading.changes).toEqual([
    { kind: 'packet', id: packetId, name: expect.any(String), when: null, fields: ['tally', 'low'] },
  ]);
});

test('a demo record that becomes the tier’s own is no change by itself', () => {
  const before = demoEntities();
  const after = structuredClone(before);
  for (const match of Object.values(after.match)) match.demo = false;
  expect(readingOf(before, after)).toEqual({ adds: [], changes: [], drops: [] });
});

test('a group of a file changes what the file says of it: what it leaves empty, and stages it does not name, stay; twice is once', () => {
  const draft = demoEntities();
  const group = {
    id: 'a',
    order: 'mayfly' as const,
    name: 'A',
    scientific: 'Baetis',
    regions: [],
    waters: ['fast' as const],
    months: [5],
    stages: [
      { stage: 'mayfly/dun' as const, length_mm: [6, 8, 10] as [number, number, number], shades: ['dark-olive'] },
    ],
    note: 'seen',
    evidence: 'seen' as const,
  };
  takeGroups.run(draft, { groups: [group] }, around());
  takeGroups.run(
    draft,
    {
      groups: [
        {
          ...group,
          name: 'B',
          scientific: '',
          waters: [],
          months: [],
          note: null,
          stages: [
            { stage: 'mayfly/dun', length_mm: null, shades: [] },
            { stage: 'mayfly/nymph', length_mm: null, shades: [] },
          ],
        },
      ],
    },
    around(),
  );
  expect(draft.group.group_a).toMatchObject({
    name: 'B',
    scientific: 'Baetis',
    waters: ['fast'],
    months: [5],
    note: 'seen',
    stages: [
      { stage: 'mayfly/nymph' },
      { stage: 'mayfly/dun', leastMm: 6, usualMm: 8, mostMm: 10, shades: ['dark-olive'] },
    ],
  });
  const once = structuredClone(draft.group);
  takeGroups.run(
    draft,
    { groups: [{ ...group, name: 'B', scientific: '', waters: [], months: [], note: null, stages: [] }] },
    around(),
  );
  expect(draft.group).toEqual(once);
  takeGroups.run(
    draft,
    { groups: [{ ...group, order: 'caddis', stages: [{ stage: 'caddis/adult', length_mm: null, shades: [] }] }] },
    around(),
  );
  expect(draft.group.group_a!.stages.map((entry) => entry.stage)).toEqual(['caddis/adult']);
});
