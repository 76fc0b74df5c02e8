import type { Card, CardPart } from '@/core/tying';

/** How far a part has come: not there, caught in and waiting, or in its place; and whether it is trimmed. */
export interface PartState {
  there: 'no' | 'waiting' | 'yes';
  /** Cut or drawn to its length. */
  cut: boolean;
  clipped: boolean;
}

const PLACES: ReadonlySet<string> = new Set(['seat-bead', 'lay-weight', 'bind', 'wind', 'dub', 'fold', 'post', 'coat', 'finish', 'tease', 'divide']);
const CATCHES: ReadonlySet<string> = new Set(['catch-in', 'bind', 'loop']);

/** The state of every part after step `upTo`; all in place when it is undefined. */
export function partStates(card: Card, upTo: number | undefined): (part: CardPart) => PartState {
  const states = new Map(card.parts.map((part): [string, PartState] => {
    const own = card.steps.filter((step) => step.part === part.id);
    const done = (n: number | undefined) => n !== undefined && (upTo === undefined || n <= upTo);
    // What is wound or folded is in its place once the last of these is done; the rest at its first binding.
    const last = own.findLast((step) => step.do === 'wind' || step.do === 'fold');
    const placed = last ?? own.find((step) => PLACES.has(step.do));
    const caught = own.find((step) => CATCHES.has(step.do));
    const cut = own.findLast((step) => step.do === 'cut' || step.do === 'draw');
    const clip = own.find((step) => step.do === 'clip');
    const there = upTo === undefined || done(placed?.n) ? 'yes' : done(caught?.n) ? 'waiting' : 'no';
    return [part.id, { there, cut: part.method !== 'bind-then-cut' || cut === undefined || done(cut.n), clipped: clip === undefined || done(clip.n) }];
  }));
  return (part) => states.get(part.id)!;
}
