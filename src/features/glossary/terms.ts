/** How a term is drawn: a measure of a hook, where a fly rides, or lengths on one scale. */
export type TermDrawing =
  | { of: 'hook'; measure: 'shank' | 'gape' | 'bite' | 'wire' | 'eye' | 'room' }
  | { of: 'ride' }
  | { of: 'scale'; show: 'off' | 'holds' | 'chance' };

/** Words of the trade and of this app that a newcomer meets without being told; names and sentences are messages (`glossary.terms`). */
export const TERMS = {
  shank: { of: 'hook', measure: 'shank' },
  gape: { of: 'hook', measure: 'gape' },
  throat: { of: 'hook', measure: 'bite' },
  wire: { of: 'hook', measure: 'wire' },
  eye: { of: 'hook', measure: 'eye' },
  room: { of: 'hook', measure: 'room' },
  number: null,
  long: null,
  reads: { of: 'scale', show: 'off' },
  off: { of: 'scale', show: 'off' },
  holds: { of: 'scale', show: 'holds' },
  chance: { of: 'scale', show: 'chance' },
  ride: { of: 'ride' },
  stage: null,
  natural: null,
  dressing: null,
  school: null,
  score: null,
  evidence: null,
  about: null,
  spread: null,
  odds: null,
  taped: null,
  noodle: null,
  gauge: null,
  'tie-down': null,
  reserve: null,
  offset: null,
} as const satisfies Record<string, TermDrawing | null>;

export type TermId = keyof typeof TERMS;
export const TERM_IDS = Object.keys(TERMS) as TermId[];
