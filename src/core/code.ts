import type { Evidence } from '@/catalogue/ids';

/** A parameter of a coded message. Lengths, times and ids are tagged so that speech can put them in the reader's unit and language. */
export type Param =
  string | number | null | { mm: number } | { at: string } | { kind: string; id: string } | { list: Param[] };

/** What core says instead of prose: src/speech turns it into words. */
export interface Coded {
  code: string;
  params: Record<string, Param>;
}

/** A coded reason with what it cost (number steps), what it weighed in a score and what it rests on. */
export interface Reason extends Coded {
  steps: number | null;
  weight: number | null;
  evidence: Evidence | null;
}

export function reason(
  code: string,
  params: Record<string, Param> = {},
  more: Partial<Pick<Reason, 'steps' | 'weight' | 'evidence'>> = {},
): Reason {
  return { code, params, steps: more.steps ?? null, weight: more.weight ?? null, evidence: more.evidence ?? null };
}

/** Marks a fault that the bench found: speech words it by its rule. */
export const BENCH_CODE = 'bench-';
/** Marks what a way of work says: speech words it. */
export const SAY = 'say:';
/** Marks an orientation, check or mend that core adds and speech words: `school:NAME-OPTION`. */
export const SCHOOL_CODE = 'school:';
