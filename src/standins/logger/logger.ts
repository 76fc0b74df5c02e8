import { daysAfter } from '@/core/hatch/sun';
import { chance } from '../camera/chance';

/** A water-temperature logger, simulated with its faults: for demo and tests only. */
export interface LoggerMade {
  seed: number;
  /** First day it lay in the water. */
  from: string;
  /** Each day's mean, lowest and highest, °C. */
  days: readonly { mean: number; low: number; high: number }[];
  everyMin?: number;
  unit?: 'C' | 'F';
  /** Hours its clock runs ahead of the water's. */
  aheadH?: number;
  /** Stretches it wrote nothing, of hours each. */
  gaps?: readonly number[];
  /** The temperature stands before the time. */
  swapped?: boolean;
  /** Hours ahead of UT that its heading names; its times are written by that clock. */
  zoneH?: number | null;
}

const WARMEST_H = 16;
const pad = (n: number) => String(n).padStart(2, '0');

/** Its table as it would be read out: a title, headings, a row for each reading. The same seed writes the same. */
export function logger({
  seed,
  from,
  days,
  everyMin = 30,
  unit = 'C',
  aheadH = 0,
  gaps = [],
  swapped = false,
  zoneH = null,
}: LoggerMade): string {
  const dice = chance(seed);
  const total = Math.floor((days.length * 1440) / everyMin);
  const silent = gaps.map((hours) => {
    const at = Math.floor(dice.between(0.1, 0.8) * total);
    return [at, at + (hours * 60) / everyMin] as const;
  });
  const rows: string[] = [];
  for (let n = 0; n < total; n++) {
    const minutes = n * everyMin;
    const { mean, low, high } = days[Math.floor(minutes / 1440)]!;
    const wave = Math.cos((2 * Math.PI * ((minutes % 1440) / 60 - WARMEST_H)) / 24);
    const c = mean + (wave > 0 ? high - mean : mean - low) * wave + 0.04 * dice.normal();
    if (silent.some(([on, off]) => n >= on && n < off)) continue;
    const told = minutes + aheadH * 60;
    const day = daysAfter(from, Math.floor(told / 1440));
    const left = ((told % 1440) + 1440) % 1440;
    const [year, month, date] = day.split('-');
    const when = `${month}/${date}/${year} ${pad(Math.floor(left / 60))}:${pad(left % 60)}`;
    const value = (unit === 'F' ? (c * 9) / 5 + 32 : c).toFixed(2);
    const at = String(rows.length + 1);
    rows.push((swapped ? [at, value, when] : [at, when, value]).join(','));
  }
  const named = zoneH === null ? 'Date Time' : `Date Time GMT${zoneH < 0 ? '-' : '+'}${pad(Math.abs(zoneH))}:00`;
  const heading = `Temp °${unit}`;
  return [
    'Plot Title: under the bridge',
    (swapped ? ['#', heading, named] : ['#', named, heading]).join(','),
    ...rows,
    '',
  ].join('\r\n');
}
