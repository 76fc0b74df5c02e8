import { clockOff, dailyOf, daysMissing, readingsOf, readLogger } from '@/core/logger';
import { temperatures } from '../season';
import { logger, type LoggerMade } from '.';

const NOW = '2033-06-30T12:00';
const DAYS = temperatures(5, { mean: 9, swing: 5 }, '2033-04-01', 20);
const make = (more: Partial<LoggerMade> = {}) => logger({ seed: 1, from: '2033-04-01', days: DAYS, ...more });
const read = (text: string, shiftH = 0, zone: string | null = 'UTC') => readLogger(text, { zone, now: NOW, shiftH })!;
const codes = (text: string) => read(text).said.map(({ code }) => code);

test('what a sound logger wrote is read as it was: every day’s mean to a twentieth of a degree', () => {
  const { readings, unit, zoneH, everyMin, columns, said } = read(make());
  expect([readings.length, unit, zoneH, everyMin, said]).toEqual([960, 'C', null, 30, []]);
  expect(columns).toEqual({ when: ['Date Time'], temperature: 'Temp °C' });
  const daily = dailyOf(readings);
  expect(Object.keys(daily)).toHaveLength(20);
  for (const { date, mean } of DAYS) expect(Math.abs(daily[date]!.mean - mean)).toBeLessThan(0.05);
});

test('of any order of columns and unit it reads the same', () => {
  const plain = dailyOf(read(make()).readings);
  for (const more of [{ swapped: true }, { unit: 'F' as const }, { unit: 'F' as const, swapped: true }]) {
    const own = dailyOf(read(make(more)).readings);
    for (const date of Object.keys(plain)) expect(own[date]!.mean).toBeCloseTo(plain[date]!.mean, 1);
  }
});

test('a zone that its heading names is turned into the clock of the water', () => {
  const text = make({ zoneH: -5 });
  const { zoneH, readings } = read(text, 0, 'Etc/GMT-1');
  expect(zoneH).toBe(-5);
  // Midnight five hours behind UT is six in the morning an hour ahead of it.
  expect(readings[0]!.at).toBe('2033-04-01T06:00');
  // A zone that nobody here knows is this device's clock, and no fault of the table.
  expect(read(text, 0, 'Nowhere/At_All').readings[0]!.at).toBe(read(text, 0, null).readings[0]!.at);
});

test('gaps are found with the longest of them; a day that is mostly gap is none', () => {
  const text = make({ gaps: [5, 50] });
  const gap = read(text).said.find(({ code }) => code === 'logger-gaps')!;
  expect(gap.params.count).toBe(2);
  const [from, to] = [gap.params.from, gap.params.to] as { at: string }[];
  expect((Date.parse(`${to!.at}Z`) - Date.parse(`${from!.at}Z`)) / 3_600_000).toBeCloseTo(50.5, 9);
  const daily = dailyOf(read(text).readings);
  expect(daysMissing(daily)).toBeGreaterThanOrEqual(1);
  expect(Object.keys(daily).length + daysMissing(daily)).toBe(20);
});

test.each([
  [0, null],
  [4, null],
  [7, 7],
  [-8, -8],
  [11, 11],
])('a clock %i h ahead is found by the hour the water is warmest: %s', (aheadH, off) => {
  expect(clockOff(read(make({ aheadH })).readings)).toBe(off);
  if (off === null) return;
  expect(codes(make({ aheadH }))).toContain(off > 0 ? 'logger-clock-ahead' : 'logger-clock-behind');
  // Set right, nothing is said of it any more.
  expect(clockOff(read(make({ aheadH }), -off).readings)).toBeNull();
});

test('a short table, and one of a water that does not swing, tell nothing of the clock', () => {
  expect(clockOff(read(make({ days: DAYS.slice(0, 2), aheadH: 9 })).readings)).toBeNull();
  const still = DAYS.map(() => ({ mean: 9, low: 8.9, high: 9.1 }));
  expect(clockOff(read(make({ days: still, aheadH: 9 })).readings)).toBeNull();
});

describe('tables of other makes', () => {
  const table = (...rows: string[]) => rows.join('\n');
  test('day and time apart, decimal commas, semicolons', () => {
    const text = table('Zeit;Datum;Wasser C', '04:00;24.05.2033;9,5', '05:00;24.05.2033;9,75');
    expect(read(text).readings).toEqual([
      { at: '2033-05-24T04:00', c: 9.5 },
      { at: '2033-05-24T05:00', c: 9.75 },
    ]);
  });
  test('the water’s temperature is taken, not the air’s, and not the battery', () => {
    const text = table(
      'time,Air temp (C),Battery,Water temp (C)',
      '2033-05-24T04:00Z,14.1,3.6,9.5',
      '2033-05-24T05:00Z,15.2,3.6,9.6',
    );
    expect(read(text, 0, 'Etc/GMT-1').readings.map(({ at, c }) => [at, c])).toEqual([
      ['2033-05-24T05:00', 9.5],
      ['2033-05-24T06:00', 9.6],
    ]);
  });
  test('without a unit it is guessed, and said', () => {
    const rows = (values: readonly number[]) =>
      table('when,value', ...values.map((value, n) => `2033-05-24 0${n}:00,${value}`));
    expect([read(rows([50, 51, 52])).unit, codes(rows([50, 51, 52]))]).toEqual(['F', ['logger-guess-f']]);
    expect([read(rows([9, 10.5, 9])).unit, codes(rows([9, 10.5, 9]))]).toEqual(['C', ['logger-guess-c']]);
  });
  test('afternoons by half days, two-figure years, months first where a day says so', () => {
    const text = table('Date,Temp C', '05/24/33 11:30:00 PM,9.5', '05/25/33 12:10:00 AM,9.4');
    expect(read(text).readings.map(({ at }) => at)).toEqual(['2033-05-24T23:30', '2033-05-25T00:10']);
    expect(codes(table('Date,Temp C', '05/04/2033 10:00,9.5', '05/04/2033 11:00,9.4'))).toContain('logger-day-first');
  });
  test('rows of another planet, ahead of now, twice, back in time, lifted out, or not to be read are said and left out', () => {
    const text = table(
      'time,Temp C',
      '2033-05-24 04:00,9',
      '2033-05-24 05:00,9.1',
      '2033-05-24 05:00,9.1',
      '2033-05-24 06:00,85',
      '2033-05-24 07:00,-20',
      'battery,low',
      '2033-05-24 08:00,9.2',
      '2033-05-24 07:30,9.2',
      '2033-05-24 09:00,17',
      '2099-01-01 00:00,9',
    );
    const { said, readings } = read(text);
    expect(Object.fromEntries(said.map(({ code, params }) => [code, params.count ?? params.at]))).toEqual({
      'logger-unread': 1,
      'logger-planet': 2,
      'logger-ahead': 1,
      'logger-back': { at: '2033-05-24T07:30' },
      'logger-twice': 1,
      'logger-lifted': 1,
    });
    expect(readings).toHaveLength(5);
  });
  test.each(['', 'nothing', 'a,b\n1,2\n3,4', 'time,what\n2033-05-24 04:00,warm\n', 'date,c\n2033-05-24,9\n'])(
    'what is none is none: %j',
    (text) => {
      expect(readLogger(text, { zone: null, now: NOW })).toBeNull();
    },
  );
});

test('of an outing so many readings at most, from its first to its last', () => {
  const { readings } = read(make());
  const own = readingsOf(readings, '2033-04-03T06:00', '2033-04-03T18:00', 10);
  expect(own).toHaveLength(10);
  expect([own[0]!.at, own[9]!.at]).toEqual(['2033-04-03T06:00', '2033-04-03T18:00']);
  expect(readingsOf(readings, '2033-04-03T06:00', '2033-04-03T07:00', 10)).toHaveLength(3);
});

test('a day is known by two thirds of its hours, however seldom it was read', () => {
  const hours = (from: number, to: number, step: number) =>
    Array.from({ length: Math.floor((to - from) / step) + 1 }, (_, n) => from + n * step).map((hour) => ({
      at: `2033-05-24T${String(Math.floor(hour)).padStart(2, '0')}:00`,
      c: 9,
    }));
  expect(Object.keys(dailyOf(hours(4, 19, 1)))).toHaveLength(1);
  expect(Object.keys(dailyOf(hours(5, 19, 1)))).toHaveLength(0);
  expect(Object.keys(dailyOf(hours(0, 21, 3)))).toHaveLength(1);
  expect(dailyOf(hours(0, 21, 3))['2033-05-24']).toEqual({ mean: 9, low: 9, high: 9 });
});
