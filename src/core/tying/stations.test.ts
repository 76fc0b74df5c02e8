import type { Station } from '../dressings';
import { stationMm, type StationContext } from './stations';

const CONTEXT: StationContext = {
  landmarks: { 'behind-eye': 0, 'bend-start': 8, barb: 7.6 } as StationContext['landmarks'],
  tieDownMm: 8.6,
  faceMm: 2.4,
  ends: new Map([['abdomen', { from: 8, to: 3.2 }]]),
  unit: (base) => ({ shank: 8, gape: 4.8 })[base] ?? null,
};
const at = (station: string | null) => stationMm(station as Station | null, CONTEXT);

test('a landmark, the tie-down, the front and the ends of a part that lies along the hook', () => {
  expect([
    at('bend-start'),
    at('barb'),
    at('behind-eye'),
    at('tie-down'),
    at('front'),
    at('part:abdomen'),
    at('part:abdomen/rear'),
  ]).toEqual([8, 7.6, 0, 8.6, 2.4, 3.2, 8]);
});
test('what is no place, or not known, has no millimetre', () => {
  for (const station of [null, 'forward', 'collar', 'head', 'part:wing', 'part:wing/rear', 'nowhere'])
    expect([station, at(station)]).toEqual([station, null]);
});
test('so much past a mark, to the rear or to the front, by a base that has a length', () => {
  expect(at('bend-start+0.25shank')).toBeCloseTo(10, 9);
  expect(at('part:abdomen-0.5gape')).toBeCloseTo(0.8, 9);
  expect(at('bend-start+0.25count')).toBeNull();
  expect(at('part:wing+0.25shank')).toBeNull();
});
