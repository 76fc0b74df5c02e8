import { DRESSINGS } from '@/catalogue';
import { cardOn14 } from '../../../tools/test-catalogue';
import { checklistOf, judged, VIEWS } from '.';

test('every length of a fly that can be seen is measured, by how it lies and with why it may be out', () => {
  const { measures } = checklistOf(cardOn14('first-light-dun'));
  expect(measures.map(({ part, taken, causes }) => [part, taken, causes.long, causes.short])).toEqual([
    ['tail', 'out', 'cause-drawn-little', 'cause-drawn-far'],
    ['abdomen', 'along', 'cause-past-mark', 'cause-before-mark'],
    ['wing', 'out', 'cause-bound-behind', 'cause-carried-round'],
    ['hackle', 'barb', 'cause-barb-long', 'cause-barb-short'],
    ['thorax', 'along', 'cause-past-mark', 'cause-before-mark'],
    ['head', 'along', 'cause-head-crowded', 'cause-head-small'],
  ]);
});

test('of every dressing: targets within their range, hidden parts left out, looks by the side they are seen from', () => {
  for (const { id } of DRESSINGS) {
    const card = cardOn14(id);
    const { measures, looks } = checklistOf(card);
    expect([id, measures.length > 0]).toEqual([id, true]);
    expect([id, looks.length > 0]).toEqual([id, true]);
    for (const { kind, targetMm, rangeMm } of measures) {
      expect(['weight', 'underbody', 'bead', 'rib', 'back', 'coat']).not.toContain(kind);
      expect(rangeMm[0]).toBeLessThanOrEqual(targetMm + 1e-9);
      expect(rangeMm[1]).toBeGreaterThanOrEqual(targetMm - 1e-9);
    }
    expect(looks.map(({ view }) => VIEWS.indexOf(view))).toEqual(
      looks.map(({ view }) => VIEWS.indexOf(view)).sort((a, b) => a - b),
    );
    for (const { step } of looks) expect(card.steps.find(({ n }) => n === step)!.check).not.toBeNull();
  }
});

test('a length is good within its range, as it is printed, and by how much it is off follows from the card', () => {
  const tail = { targetMm: 8, rangeMm: [7.2, 8.8] as [number, number] };
  expect(judged(tail, 8)).toEqual({ is: 'good', off: 0 });
  expect(judged(tail, 8.804).is).toBe('good');
  expect(judged(tail, 8.81)).toEqual({ is: 'long', off: expect.closeTo(0.10125, 9) });
  expect(judged(tail, 7.196).is).toBe('good');
  expect(judged(tail, 7.19)).toEqual({ is: 'short', off: expect.closeTo(-0.10125, 9) });
});
