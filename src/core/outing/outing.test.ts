import fc from 'fast-check';
import {
  flyStats,
  lately,
  LOGGED,
  NO_EVENTS,
  notedOf,
  notedWith,
  outingFaults,
  ruleFaults,
  withEvent,
  type Flown,
  type OutingTimes,
  type OutingEvent,
  type RuledFly,
  type WaterRules,
} from '.';

const at = '2033-05-22T20:30';
const event = fc.oneof(
  fc.record({ at: fc.constant(at), what: fc.constantFrom(...LOGGED), fly: fc.constantFrom('t1', 't2', null) }),
  fc.record({
    at: fc.constant(at),
    what: fc.constant('seen' as const),
    seen: fc.constantFrom('duns' as const, 'shucks' as const),
  }),
  fc.record({
    at: fc.constant(at),
    what: fc.constant('rise' as const),
    rise: fc.constantFrom('sip' as const, 'splash' as const),
  }),
  fc.record({ at: fc.constant(at), what: fc.constant('temperature' as const), waterC: fc.constant(11) }),
);

test('a tally counts by fly, by what was seen and in all; an event taken out leaves it as it was', () => {
  fc.assert(
    fc.property(fc.array(event, { maxLength: 40 }), event, (events, one) => {
      const tally = events.reduce((sum, next) => withEvent(sum, next as OutingEvent), NO_EVENTS);
      for (const what of LOGGED) {
        const of = (fly: string | null) =>
          events.filter((own) => own.what === what && 'fly' in own && own.fly === fly).length;
        expect(tally.all[what]).toBe(of('t1') + of('t2') + of(null));
        expect(tally.of.t1?.[what] ?? 0).toBe(of('t1'));
        expect(tally.of['']?.[what] ?? 0).toBe(of(null));
      }
      expect(tally.seen.duns ?? 0).toBe(events.filter((own) => 'seen' in own && own.seen === 'duns').length);
      expect(tally.rises.sip ?? 0).toBe(events.filter((own) => 'rise' in own && own.rise === 'sip').length);
      expect(tally.events).toBe(events.length);
      const back = withEvent(withEvent(tally, one as OutingEvent), one as OutingEvent, -1);
      expect([back.all, back.events]).toEqual([tally.all, tally.events]);
    }),
    { seed: 21 },
  );
});

test('what was seen speaks for an hour and a half; of rises the latest one', () => {
  const minutes = new Map([
    ['a', 5],
    ['b', 90],
    ['c', 91],
  ]);
  const events: OutingEvent[] = [
    { at: 'a', what: 'rise', rise: 'sip' },
    { at: 'b', what: 'rise', rise: 'splash' },
    { at: 'b', what: 'seen', seen: 'duns' },
    { at: 'a', what: 'seen', seen: 'duns' },
    { at: 'c', what: 'seen', seen: 'shucks' },
  ];
  expect(lately(events, (at) => minutes.get(at)!)).toEqual({ seen: ['duns'], rise: 'sip' });
  expect(lately([], () => 0)).toEqual({ seen: [], rise: null });
});

test('from when to when each thing was noted: entries in any order, and taken out again', () => {
  const of = (at: string, seen: 'duns' | 'shucks'): OutingEvent => ({ at, what: 'seen', seen });
  const rise: OutingEvent = { at: '2033-05-24T12:00', what: 'rise', rise: 'sip' };
  const all = [of('2033-05-24T13:00', 'duns'), of('2033-05-24T11:00', 'duns'), of('2033-05-24T12:00', 'duns'), rise];
  const noted = notedOf([...all, { at: '2033-05-24T12:00', what: 'took', fly: null }]);
  expect(noted).toEqual({
    duns: ['2033-05-24T11:00', '2033-05-24T13:00'],
    sip: ['2033-05-24T12:00', '2033-05-24T12:00'],
  });
  const without = (event: OutingEvent) =>
    notedWith(
      noted,
      event,
      all.filter((own) => own !== event),
      -1,
    );
  expect(without(all[0]!).duns).toEqual(['2033-05-24T11:00', '2033-05-24T12:00']);
  expect(without(all[2]!).duns).toEqual(noted.duns);
  expect(without(rise)).toEqual({ duns: noted.duns });
  // Of what lies too far back to be at hand the other end is known.
  expect(notedWith(noted, all[1]!, [], -1).duns).toEqual(['2033-05-24T13:00', '2033-05-24T13:00']);
});

describe('rules of a water', () => {
  const free: WaterRules = {
    maxFlies: null,
    barbRule: 'any',
    lead: true,
    bead: true,
    weight: true,
    indicator: true,
    hookLargest: null,
    hookLongestMm: null,
  };
  const fly = (more: Partial<RuledFly> = {}): RuledFly => ({
    name: 'Dun',
    barb: 'barbed',
    number: 14,
    overallMm: 12,
    lead: false,
    bead: false,
    weight: false,
    ...more,
  });
  const codes = (team: RuledFly[], rules: Partial<WaterRules>) =>
    ruleFaults(team, { ...free, ...rules }).map(({ code, params }) => [code, params.fly ?? params.most]);
  test.each([
    ['nothing is broken where nothing is ruled', [fly({ lead: true, bead: true, weight: true })], {}, []],
    ['so many flies', [fly(), fly(), fly()], { maxFlies: 2 }, [['rule-flies', 2]]],
    ['as many as are allowed', [fly(), fly()], { maxFlies: 2 }, []],
    [
      'a barb where none may be',
      [fly(), fly({ barb: 'barbless' }), fly({ barb: null })],
      { barbRule: 'barbless' },
      [['rule-barbless', 'Dun']],
    ],
    ['a barb that is to be flattened', [fly()], { barbRule: 'flattened' }, [['rule-flattened', 'Dun']]],
    ['lead', [fly({ lead: true, weight: true })], { lead: false, weight: false }, [['rule-lead', 'Dun']]],
    ['a bead', [fly({ bead: true, weight: true })], { bead: false, weight: false }, [['rule-bead', 'Dun']]],
    ['weight', [fly({ weight: true })], { weight: false }, [['rule-weight', 'Dun']]],
    ['a hook that is larger', [fly({ number: 13 })], { hookLargest: 14 }, [['rule-hook-number', 'Dun']]],
    ['the largest that may be', [fly(), fly({ number: null })], { hookLargest: 14 }, []],
    ['a hook that is longer', [fly({ overallMm: 12.1 })], { hookLongestMm: 12 }, [['rule-hook-long', 'Dun']]],
    ['the longest that may be', [fly(), fly({ overallMm: null })], { hookLongestMm: 12 }, []],
  ] as const)('%s', (_, team, rules, said) => {
    expect(codes([...team], rules)).toEqual(said);
  });
});

describe('times of an outing', () => {
  const outing = (more: Partial<OutingTimes> = {}): OutingTimes => ({
    id: 'a',
    start: '2033-05-22T17:00',
    end: '2033-05-22T21:00',
    team: [{ name: 'Dun', on: '2033-05-22T17:10', off: '2033-05-22T18:00' }],
    events: ['2033-05-22T17:30', '2033-05-22T22:59'],
    ...more,
  });
  const codes = (one: OutingTimes, others: OutingTimes[] = []) => outingFaults(one, others).map(({ code }) => code);
  test.each([
    ['nothing is wrong', outing(), [], []],
    ['it goes on', outing({ end: null }), [], []],
    ['it ends before it starts', outing({ end: '2033-05-22T16:59', events: [] }), [], ['outing-backwards']],
    ['it lasts for days', outing({ end: '2033-05-24T05:01' }), [], ['outing-long']],
    ['a night out is none of them', outing({ end: '2033-05-24T04:59' }), [], []],
    [
      'another one goes on meanwhile',
      outing(),
      [outing({ id: 'b', start: '2033-05-22T20:59', end: null })],
      ['outing-overlaps'],
    ],
    ['one after the other', outing(), [outing({ id: 'b', start: '2033-05-22T21:00', end: null })], []],
    [
      'one that goes on is no longer than what happened on it',
      outing(),
      [outing({ id: 'b', start: '2033-05-20T21:00', end: null, events: [] })],
      [],
    ],
    [
      'two that go on',
      outing({ end: null }),
      [outing({ id: 'b', start: '2033-05-20T21:00', end: null, events: [] })],
      ['outing-overlaps'],
    ],
    ['with itself it never overlaps', outing(), [outing()], []],
    [
      'a fly off before it is on',
      outing({ team: [{ name: 'Dun', on: '2033-05-22T18:00', off: '2033-05-22T17:59' }] }),
      [],
      ['outing-fly-backwards'],
    ],
    ['a clock that jumped on', outing({ events: ['2033-05-22T23:01'] }), [], ['outing-clock']],
    ['a clock that jumped back', outing({ events: ['2033-05-22T14:59'] }), [], ['outing-clock']],
  ] as const)('%s', (_, one, others, said) => {
    expect(codes(one, [...others])).toEqual(said);
  });
});

describe('what flies did', () => {
  const flown = (more: Partial<Flown> = {}): Flown => ({
    fly: 'a',
    kind: 'nymph',
    hours: 4,
    takes: 8,
    hooked: 6,
    refused: 2,
    ...more,
  });
  test('worked by hand: two hours and four fish of the usual before anything is known', () => {
    // Alone it is its own usual: 2 an hour, so (2·2 + 8)/(2 + 4) = 2; of 10 fish 8 took: (4·0.8 + 8)/14 = 0.8.
    const [one] = flyStats([flown()]);
    expect([one!.perHour.mean, one!.rate.mean, one!.toward]).toEqual([2, expect.closeTo(0.8, 9), 'all']);
    // Gamma of shape 12 and rate 6: 95 % from 1.0334 to 3.2803.
    expect([one!.perHour.low, one!.perHour.high]).toEqual([expect.closeTo(1.0334, 3), expect.closeTo(3.2803, 3)]);
    // Beside one that is refused by all: the usual share is 8 of 20, so (4·0.4 + 8)/(4 + 10).
    const [beside] = flyStats([flown(), flown({ fly: 'b', kind: 'dry', takes: 0, refused: 10 })]);
    expect(beside!.rate.mean).toBeCloseTo(9.6 / 14, 9);
    const none = flyStats([flown({ hours: 0, takes: 0, hooked: 0, refused: 0 })])[0]!;
    expect([none.perHour, none.rate.mean]).toEqual([{ mean: 0, low: 0, high: 0 }, 0.5]);
  });
  test('a fly of which little is known is drawn toward its kind, else toward all; much of it stands for itself', () => {
    const alike = flown({ fly: 'b', takes: 40, refused: 0, hours: 20 });
    const other = flown({ fly: 'c', kind: 'dry', takes: 0, refused: 40, hours: 20 });
    const [fresh, lone] = flyStats([
      flown({ takes: 1, refused: 0, hours: 0.5 }),
      flown({ fly: 'd', kind: 'wet', takes: 1, refused: 0 }),
      alike,
      other,
    ]);
    expect([fresh!.toward, lone!.toward]).toEqual(['nymph', 'all']);
    expect(fresh!.rate.mean).toBeGreaterThan(lone!.rate.mean);
    const wide = (stats: { low: number; high: number }) => stats.high - stats.low;
    const [little, much] = flyStats([
      flown({ takes: 1, refused: 1, hours: 1 }),
      flown({ fly: 'b', takes: 100, refused: 100, hours: 100 }),
    ]);
    expect(wide(much!.rate)).toBeLessThan(wide(little!.rate));
    expect(wide(much!.perHour)).toBeLessThan(wide(little!.perHour));
  });
  test('more takes never lower either figure, a refusal never raises the rate, an hour more never the takes an hour', () => {
    const of = (more: Partial<Flown>) => flyStats([flown(more), flown({ fly: 'b', takes: 9, refused: 9 })])[0]!;
    for (let n = 1; n < 12; n++) {
      expect(of({ takes: n + 1 }).perHour.mean).toBeGreaterThan(of({ takes: n }).perHour.mean);
      expect(of({ takes: n + 1 }).rate.mean).toBeGreaterThan(of({ takes: n }).rate.mean);
      expect(of({ refused: n + 1 }).rate.mean).toBeLessThan(of({ refused: n }).rate.mean);
      expect(of({ hours: n + 1 }).perHour.mean).toBeLessThan(of({ hours: n }).perHour.mean);
    }
  });
});
