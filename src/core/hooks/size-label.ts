/** What a size label says: a number on the maker's scale, a gape in millimetres, or nothing that can be read. */
export type SizeLabel = { kind: 'number'; n: number } | { kind: 'gape'; gapeMm: number } | { kind: 'text' };

/** Reads `14`, `1/0` (0), `2/0` (−1) and gape codes such as `V45` (4.5 mm). Anything else is free text. */
export function readSizeLabel(label: string): SizeLabel {
  const text = label.trim();
  const over = /^(\d{1,2})[/-]0$/.exec(text);
  if (over) return { kind: 'number', n: 1 - Number(over[1]) };
  if (/^\d{1,2}$/.test(text)) return { kind: 'number', n: Number(text) };
  const gape = /^[A-Za-z](\d{2,3})$/.exec(text);
  return gape ? { kind: 'gape', gapeMm: Number(gape[1]) / 10 } : { kind: 'text' };
}

/** The label of a whole number on the reference scale: 14, 1, 1/0, 2/0. */
export function sizeLabelOf(n: number): string {
  const whole = Math.round(n);
  return whole >= 1 ? String(whole) : `${1 - whole}/0`;
}
