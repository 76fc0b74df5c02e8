import { around } from '../__tests__/around';
import { Gone } from '../command';
import { cleanEntities } from '../demo';
import { demoEntities } from '../demo-valley';
import { migrate } from '../migrate';
import * as command from './commands';

function begun() {
  const draft = cleanEntities();
  const here = around();
  const { matchId, sampleId } = command.newMatch.run(draft, {}, here);
  const match = () => draft.match[matchId]!;
  return { draft, here, matchId, sampleId, match, of: { matchId, answerId: match().leading } };
}

test('two answers of one match never have one id: kept, led with, dropped and kept again', () => {
  const { draft, here, matchId, match } = begun();
  command.keepSecond.run(draft, { matchId, stage: 'mayfly/spinner' }, here);
  const [first, second] = match().answers.map((answer) => answer.id) as [string, string];
  command.letLead.run(draft, { matchId, answerId: second }, here);
  command.dropAnswer.run(draft, { matchId, answerId: first }, here);
  command.keepSecond.run(draft, { matchId, stage: 'mayfly/emerger' }, here);
  expect(new Set(match().answers.map((answer) => answer.id)).size).toBe(2);
  command.dropAnswer.run(
    draft,
    { matchId, answerId: match().answers.find((answer) => answer.id !== second)!.id },
    here,
  );
  expect(match().answers.map((answer) => answer.stage)).toEqual(['mayfly/spinner']);
});

test('the answer that leads is not dropped', () => {
  const { draft, here, of, match } = begun();
  command.dropAnswer.run(draft, of, here);
  expect(match().answers).toHaveLength(1);
});

test('of two likely stages the likelier leads, and nothing else stays beside it', () => {
  const { draft, here, matchId, match } = begun();
  command.keepSecond.run(draft, { matchId, stage: 'midge/adult' }, here);
  command.keepBoth.run(draft, { matchId, first: 'mayfly/dun', second: 'mayfly/spinner' }, here);
  expect(match().answers.map((answer) => answer.stage)).toEqual(['mayfly/dun', 'mayfly/spinner']);
  expect(match().leading).toBe(match().answers[0]!.id);
});

test.each([
  [0, 'exact', 0],
  [2, 'bigger', 2],
  [-2, 'bigger', 1],
  [0, 'bigger', 1],
  [0, 'smaller', -1],
  [1, 'smaller', -1],
  [-3, 'smaller', -3],
  [2, 'exact', 0],
  [2, 'easier-prey', 2],
] as const)('from %i sizes, on purpose %s is %i', (sizes, intent, after) => {
  const { draft, here, of, match } = begun();
  command.setOffset.run(draft, { ...of, sizes }, here);
  command.setIntent.run(draft, { ...of, intent }, here);
  expect(match().answers[0]!.offset).toEqual({ sizes: after, intent });
});

test('sizes without an intent say what they are', () => {
  const { draft, here, of, match } = begun();
  const said = (sizes: number, intent?: 'easier-prey') => {
    command.setOffset.run(draft, { ...of, sizes, intent }, here);
    return match().answers[0]!.offset.intent;
  };
  expect([said(1), said(-1), said(0), said(1, 'easier-prey')]).toEqual(['bigger', 'smaller', 'exact', 'easier-prey']);
});

test('a match that follows another has a length reckoned from it, with the ± of both, within what bodies can be', () => {
  const { draft, here, matchId, sampleId } = begun();
  Object.assign(draft.sample[sampleId]!, { place: 'below the weir', water: 'fast' });
  const grown = {
    stage: 'mayfly/dun' as const,
    lowMm: 8,
    usualMm: 9,
    highMm: 10,
    seMm: 0.5,
    shades: { 'abdomen-belly': 'dark-olive' } as const,
  };
  const id = command.followMatch.run(draft, { matchId, ...grown }, here);
  const made = draft.sample[draft.match[id]!.sampleId]!;
  expect(draft.match[id]).toMatchObject({ parentId: matchId, answers: [{ stage: 'mayfly/dun' }] });
  expect(made).toMatchObject({
    place: 'below the weir',
    water: 'fast',
    when: draft.sample[sampleId]!.when,
    rough: { mm: 9, how: 'grown' },
    shades: { 'abdomen-belly': 'dark-olive' },
  });
  expect(made.rough!.halfMm).toBeCloseTo(Math.hypot(1, 1.95996 * 0.5), 3);
  const tiny = command.followMatch.run(draft, { matchId, ...grown, usualMm: 0.1 }, here);
  expect(draft.sample[draft.match[tiny]!.sampleId]!.rough!.mm).toBe(0.5);
});

test('deleted with its natural and photographs, unless another match is of the same natural', () => {
  const draft = demoEntities();
  const [id, match] = Object.entries(draft.match)[0]!;
  draft.sample[match.sampleId]!.photos = ['p'];
  draft.photo.p = {
    demo: false,
    sampleId: match.sampleId,
    type: 'image/png',
    bytes: 1,
    taken: '2033-05-24T04:50',
    overlay: null,
  };
  draft.match.other = structuredClone(match);
  command.deleteMatch.run(draft, { matchId: id }, around());
  expect([draft.match[id], draft.sample[match.sampleId] === undefined, draft.photo.p === undefined]).toEqual([
    undefined,
    false,
    false,
  ]);
  command.deleteMatch.run(draft, { matchId: 'other' }, around());
  expect([draft.sample[match.sampleId], draft.photo.p]).toEqual([undefined, undefined]);
});

test('about a match or an answer that is gone nothing is done', () => {
  const { draft, here, matchId } = begun();
  expect(() => command.setStage.run(draft, { matchId: 'none', answerId: 'a1', stage: 'mayfly/dun' }, here)).toThrow(
    Gone,
  );
  expect(() => command.letLead.run(draft, { matchId, answerId: 'none' }, here)).toThrow(Gone);
});

test.each([
  ['by this tab a moment ago', '2033-05-24T04:51', true, true],
  ['by another tab a moment ago', '2033-05-24T04:51', false, false],
  ['by another tab 59 minutes ago', '2033-05-24T05:49', false, false],
  ['an hour ago', '2033-05-24T05:50', false, true],
])('an empty match that was begun %s', (_, now, mine, again) => {
  const { draft, here, matchId } = begun();
  draft.match[matchId]!.opened = '2033-05-24T04:50';
  const made = command.newMatch.run(draft, { own: mine ? matchId : null }, { ...here, now });
  expect(made.matchId === matchId).toBe(again);
});

test('a match that was begun and left empty is taken up again as of now; one of which anything was said is not', () => {
  const { draft, here, matchId, sampleId } = begun();
  const later = { ...here, now: '2033-06-01T05:00' };
  expect(command.newMatch.run(draft, { own: matchId }, later)).toEqual({ matchId, sampleId });
  expect([draft.match[matchId]!.opened, draft.sample[sampleId]!.when]).toEqual([later.now, later.now]);
  draft.sample[sampleId]!.place = 'River Auldry';
  const second = command.newMatch.run(draft, { own: matchId }, later);
  expect(second.matchId).not.toBe(matchId);
  command.nameMatch.run(draft, { matchId: second.matchId, title: 'Pale one' }, later);
  expect(command.newMatch.run(draft, { own: second.matchId }, later).matchId).not.toBe(second.matchId);
  expect(Object.keys(draft.match)).toHaveLength(3);
});

test('a material is chosen by hand for one dressing, and no longer', () => {
  const { draft, here, of, match } = begun();
  const one = { ...of, dressing: 'first-light-dun', material: 'fine-fur' };
  command.swapMaterial.run(draft, { ...one, by: 'claret-fur' }, here);
  expect(match().answers[0]!.swaps).toEqual({ 'first-light-dun/fine-fur': 'claret-fur' });
  command.swapMaterial.run(draft, { ...one, dressing: 'other', by: null }, here);
  expect(Object.keys(match().answers[0]!.swaps)).toHaveLength(1);
  command.swapMaterial.run(draft, { ...one, by: null }, here);
  expect(match().answers[0]!.swaps).toEqual({});
});

test('a match of before materials could be chosen has none chosen', () => {
  const { draft, match } = begun();
  const [{ swaps: _, ...answer }] = match().answers as [ReturnType<typeof match>['answers'][number]];
  const moved = migrate('match', 3, { ...draft.match[Object.keys(draft.match)[0]!], answers: [answer] });
  expect(moved).toMatchObject({ ok: true, data: { answers: [{ id: answer.id, swaps: {} }] } });
});
