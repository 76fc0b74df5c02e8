import { LENGTH_RANGE_MM, MM_PER_INCH } from '../constants';
import type { Coded } from '../code';

/** The unit of a bare number. */
export type BareUnit = 'mm' | 'in';

export type ParsedLength = { ok: true; mm: number } | { ok: false; fault: Coded };

const NUMBER = String.raw`(?:\d+(?:[.,]\d+)?|[.,]\d+)`;
const PLAIN = new RegExp(String.raw`^([-+−]?)(${NUMBER})\s*(mm|cm|in|["”″])?$`, 'i');
const FRACTION = /^(?:(\d+)\s+)?(\d+)\/(\d+)\s*(in|["”″])?$/i;
const MM_PER: Record<string, number> = { mm: 1, cm: 10, in: MM_PER_INCH };

function fault(code: string, text: string): ParsedLength {
  const [low, high] = LENGTH_RANGE_MM;
  return { ok: false, fault: { code, params: { got: text, low: { mm: low }, high: { mm: high } } } };
}

function ranged(mm: number, text: string): ParsedLength {
  const [low, high] = LENGTH_RANGE_MM;
  return mm >= low && mm <= high ? { ok: true, mm } : fault('length-range', text);
}

/**
 * A length in millimetres as it was written, of any size: `8,2`, `0.32 in`, `5/16"`. Bare numbers are `mmPerBare` millimetres each;
 * a bare fraction is read only where those are inches. Null when it cannot be read.
 */
export function readMillimetres(text: string, mmPerBare: number): number | null {
  const trimmed = text.trim();
  const plain = PLAIN.exec(trimmed);
  if (plain) {
    const perUnit = plain[3] ? (MM_PER[plain[3].toLowerCase()] ?? MM_PER_INCH) : mmPerBare;
    const value = Number(plain[2]!.replace(',', '.')) * perUnit;
    return plain[1] === '-' || plain[1] === '−' ? -value : value;
  }
  const fraction = FRACTION.exec(trimmed);
  if (!fraction || !(fraction[4] || mmPerBare === MM_PER_INCH) || Number(fraction[3]) === 0) return null;
  return (Number(fraction[1] ?? 0) + Number(fraction[2]) / Number(fraction[3])) * MM_PER_INCH;
}

/**
 * Reads a length as a tier writes it: `8`, `8,2`, `8.2mm`, `0.82 cm`, `0.32 in`, `5/16"`, `1 1/4"`.
 * Returns millimetres, accepted from 0.5 to 120; never throws. One comma and no dot is a decimal comma, and nothing
 * else is guessed: a bare fraction is read only where bare numbers are inches. Source: formulas §11.
 */
export function parseLength(text: string, unit: BareUnit = 'mm'): ParsedLength {
  if (text.trim() === '') return fault('length-empty', text);
  const mm = readMillimetres(text, MM_PER[unit]!);
  return mm === null ? fault('length-unread', text) : ranged(mm, text);
}
