import fc from 'fast-check';
import { lately, LOGGED, NO_EVENTS, ruleFaults, withEvent, type OutingEvent, type RuledFly, type WaterRules } from '.';

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

describe('rules of a water', () => {
  const free: WaterRules = { maxFlies: null, barbRule: 'any', lead: true, bead: true, weight: true };
  const fly = (more: Partial<RuledFly> = {}): RuledFly => ({
    name: 'Dun',
    barb: 'barbed',
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
  ] as const)('%s', (_, team, rules, said) => {
    expect(codes([...team], rules)).toEqual(said);
  });
});
