import { MM_PER_INCH } from '../constants';

export type LengthUnit = 'mm' | 'in-decimal' | 'in-fraction';

/** Digits and unit apart, because a view sets them in different faces. */
export interface LengthText {
  digits: string;
  unit: 'mm' | 'in';
}

function gcd(a: number, b: number): number {
  return b === 0 ? a : gcd(b, a % b);
}

function thirtySeconds(mm: number): string {
  const total = Math.round((mm / MM_PER_INCH) * 32);
  const whole = Math.floor(Math.abs(total) / 32);
  const rest = Math.abs(total) % 32;
  const sign = total < 0 ? '−' : '';
  if (rest === 0) return `${sign}${whole}`;
  const by = gcd(rest, 32);
  const part = `${rest / by}/${32 / by}`;
  return `${sign}${whole > 0 ? `${whole} ${part}` : part}`;
}

/**
 * One length in the reader's unit: millimetres to one decimal (two where `fine`), decimal inches to three (four where `fine`),
 * or the nearest 1/32 inch. `mm` must be finite. A fine value in 1/32 inch would be lost, so it is given in decimal inches.
 */
export function formatLength(mm: number, unit: LengthUnit, fine = false): LengthText {
  const minus = (text: string) => text.replace('-', '−');
  if (unit === 'mm') return { digits: minus(mm.toFixed(fine ? 2 : 1)), unit: 'mm' };
  if (unit === 'in-fraction' && !fine) return { digits: thirtySeconds(mm), unit: 'in' };
  return { digits: minus((mm / MM_PER_INCH).toFixed(fine ? 4 : 3)), unit: 'in' };
}

/** The least ± that a fraction of an inch can say: half of its steps. */
const LEAST_SPREAD = 64;

/**
 * The ± of a length in the same unit, `mm` at least 0: as the length itself, but in fractions never less than it is. One that is smaller than
 * their half step, 1/64 inch, is that step; nothing is 0.
 */
export function formatSpread(mm: number, unit: LengthUnit, fine = false): LengthText {
  if (unit !== 'in-fraction' || fine || mm === 0) return formatLength(mm, unit, fine);
  const parts = Math.max(1, Math.ceil((mm / MM_PER_INCH) * LEAST_SPREAD - 1e-9));
  if (parts >= LEAST_SPREAD) return formatLength(mm, unit);
  const by = gcd(parts, LEAST_SPREAD);
  return { digits: `${parts / by}/${LEAST_SPREAD / by}`, unit: 'in' };
}
