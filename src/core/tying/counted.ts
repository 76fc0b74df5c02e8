import type { DressingPart } from '../dressings';
import type { LaidPart } from './lay-out';
import { countsTurns, LOOPED } from '../card/lay';
import type { CardNatural } from './card-input';

/** Turns that fit where a part made by a way is counted in turns; null where it is not. */
export function turnsLaid({ part, turns }: LaidPart): number | null {
  return part.way && (countsTurns(part.part, part.function) || LOOPED.has(part.way)) ? turns : null;
}

/** Whether a part is counted as the natural's own. */
export const follows = (part: DressingPart) => part.follows === 'natural';

/** The natural's tails; where it may have so many or so many, as the dressing says if that is one of them. */
export function tailsOn(part: DressingPart, natural: CardNatural | null): number | null {
  const tails = natural?.tails ?? [];
  return tails.length === 0 || tails.includes(part.count ?? 0) ? part.count : Math.max(...tails);
}

/** How many, of turns as they fit or of pieces; a loop counts what is loaded in it. */
export const countOf = (item: LaidPart) =>
  (countsTurns(item.part.part, item.part.function) ? turnsLaid(item) : null) ?? item.part.count;
