/** A length said without a tool: between two bounds, mm, null where it is open; with what it is taken as and its half-width at 95 %. */
export interface LengthSpan {
  mm: number;
  halfMm: number;
  fromMm: number | null;
  toMm: number | null;
}

/** Spans that an eye tells apart, smallest first; the outermost are open. */
export const LENGTH_SPANS: readonly LengthSpan[] = [
  { mm: 2.2, halfMm: 0.8, fromMm: null, toMm: 3 },
  { mm: 4, halfMm: 1, fromMm: 3, toMm: 5 },
  { mm: 6, halfMm: 1, fromMm: 5, toMm: 7 },
  { mm: 8.5, halfMm: 1.5, fromMm: 7, toMm: 10 },
  { mm: 12, halfMm: 2, fromMm: 10, toMm: 14 },
  { mm: 17, halfMm: 3, fromMm: 14, toMm: 20 },
  { mm: 25, halfMm: 5, fromMm: 20, toMm: 30 },
  { mm: 38, halfMm: 8, fromMm: 30, toMm: null },
];

/** The span that stands for a length as it was kept; null for one that was not said as a span. */
export const spanOfLength = (mm: number): LengthSpan | null => LENGTH_SPANS.find((span) => span.mm === mm) ?? null;
