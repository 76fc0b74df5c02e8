import jStat from 'jstat';
import type { PartId } from '@/catalogue/ids';
import { HANDS } from '../constants';
import { learnt } from './learnt';
import type { Spread } from './session';

/** One part of one fly that was measured: by what share it was off, and which fly of its session it was, from 1. */
export interface Measured {
  kind: PartId;
  off: number;
  nth: number;
}

/** What the hands do with one kind of part. Shares of the length on the card. */
export interface Bias {
  kind: PartId;
  n: number;
  mean: number;
  /** Half of the 95 % interval of the mean. */
  half: number;
  /** Whether it is more than chance, and enough to be seen. */
  certain: boolean;
  /** How it goes through a session; null where too few were measured or chance may do it. */
  drift: Drift | null;
}

/** A straight line through what was measured by the order of the flies: by so much a fly, from the first place [fly, share] to the last. */
export interface Drift {
  perFly: number;
  from: [nth: number, off: number];
  to: [nth: number, off: number];
}

const meanOf = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;

function spreadOf(values: readonly number[], mean: number): number {
  return Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (values.length - 1));
}

/** The line through what was measured in the order of the flies, where no slope lies outside its 95 % interval. */
function driftOf(own: readonly Measured[]): Drift | null {
  const n = own.length;
  if (n < HANDS.leastDrift) return null;
  const [x, y] = [meanOf(own.map(({ nth }) => nth)), meanOf(own.map(({ off }) => off))];
  const across = own.reduce((sum, { nth }) => sum + (nth - x) ** 2, 0);
  if (across === 0) return null;
  const slope = own.reduce((sum, { nth, off }) => sum + (nth - x) * (off - y), 0) / across;
  const left = own.reduce((sum, { nth, off }) => sum + (off - y - slope * (nth - x)) ** 2, 0);
  const half = jStat.studentt.inv(1 - HANDS.chance / 2, n - 2) * Math.sqrt(left / (n - 2) / across);
  if (Math.abs(slope) <= half) return null;
  const at = (nth: number): [number, number] => [nth, y + slope * (nth - x)];
  const all = own.map(({ nth }) => nth);
  return { perFly: slope, from: at(Math.min(...all)), to: at(Math.max(...all)) };
}

/** What the hands do, by kind of part, the one they are furthest off with first. One measurement says nothing of a habit and is left out. */
export function biasesOf(measured: readonly Measured[]): Bias[] {
  const kinds = [...new Set(measured.map(({ kind }) => kind))];
  return kinds
    .flatMap((kind): Bias[] => {
      const own = measured.filter((one) => one.kind === kind);
      if (own.length < 2) return [];
      const offs = own.map(({ off }) => off);
      const mean = meanOf(offs);
      const half =
        jStat.studentt.inv(1 - HANDS.chance / 2, own.length - 1) * (spreadOf(offs, mean) / Math.sqrt(own.length));
      const certain = own.length >= HANDS.least && Math.abs(mean) > half && Math.abs(mean) >= HANDS.matters;
      return [{ kind, n: own.length, mean, half, certain, drift: driftOf(own) }];
    })
    .sort((a, b) => Number(b.certain) - Number(a.certain) || Math.abs(b.mean) - Math.abs(a.mean));
}

/** What to aim at so that hands with this habit come out at what the card says. */
export const aimFor = (mm: number, { mean }: Pick<Bias, 'mean'>): number => mm / (1 + mean);

/** Minutes of flies of one dressing in the order they were tied; `nth` from 0 over all of it. */
export interface FlyMinutes {
  nth: number;
  minutes: number;
}

/** Minutes for a fly once the hand knows it, as this tier takes them, and quick and slow beside it; null until there are enough. */
export function ownMinutes(flies: readonly FlyMinutes[]): { minutes: number; spread: Spread } | null {
  if (flies.length < HANDS.leastMinutes) return null;
  const even = flies.map(({ nth, minutes }) => minutes / learnt(nth));
  const minutes = meanOf(even);
  const reach = (HANDS.reach * spreadOf(even, minutes)) / minutes;
  return { minutes, spread: { quick: Math.max(HANDS.quickest, 1 - reach), slow: 1 + reach } };
}
