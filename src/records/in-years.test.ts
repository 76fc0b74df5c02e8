import { demoStart } from './demo-valley';
import { inYears, yearsUntil } from './in-years';

const VALLEY = '2033-05-24T04:50';

test('the latest such day that is past: this year’s from its minute on, last year’s before', () => {
  const years = (now: string) => yearsUntil(VALLEY, now);
  expect(
    ['2026-11-30T06:15', '2026-05-24T04:50', '2026-05-24T04:49', '2033-05-24T04:50', '2040-01-01T00:00'].map(years),
  ).toEqual([-7, -7, -8, 0, 6]);
});

test('days, stamps and what stands under a day go on by years; all else stays', () => {
  const record = {
    when: '2033-05-24T04:50',
    day: '2032-02-29',
    note: '2033-05-24 was warm',
    size: 14,
    none: null,
    daily: { '2032-02-28': 1, '2032-02-29': 2, '2032-03-01': 3 },
    team: [{ on: '2033-05-24T05:05', off: null }],
  };
  expect(inYears(record, -7)).toEqual({
    when: '2026-05-24T04:50',
    day: '2025-02-28',
    note: '2033-05-24 was warm',
    size: 14,
    none: null,
    daily: { '2025-02-28': 1, '2025-03-01': 3 },
    team: [{ on: '2026-05-24T05:05', off: null }],
  });
  expect(inYears(record, -4).daily).toEqual({ '2028-02-28': 1, '2028-02-29': 2, '2028-03-01': 3 });
  expect(inYears(record, 0)).toBe(record);
});

test('the demo valley’s seasons lie before now, whenever that is, the last of them in the year before', () => {
  const now = '2026-11-30T06:15';
  const { entities, events } = demoStart(now);
  const stamps = [
    ...Object.values(entities.outing).map(({ start }) => start),
    ...Object.values(entities.sample).map(({ when }) => when),
    ...Object.values(entities.match).map(({ opened }) => opened),
    ...Object.values(entities.water).flatMap(({ daily }) => Object.keys(daily)),
    ...events.map(({ event }) => event.at),
  ];
  expect(stamps.length).toBeGreaterThan(500);
  expect(stamps.filter((at) => at > '2026-05-25')).toEqual([]);
  expect(stamps.some((at) => at.startsWith('2026-05-2'))).toBe(true);
  expect(Object.keys(demoStart().entities.outing)).toEqual(Object.keys(entities.outing));
});
