import type { PartId, StyleId } from '@/catalogue/ids';
import type { Card, CardPart } from '@/core/tying';
import type { HookDrawing } from '@/core/hooks/drawn';
import type { PartState } from './progress';
import type { Stretch } from './brush';

/** What every part is drawn from. Distances along the hook are from behind the eye. */
export interface Draw {
  card: Card;
  style: StyleId;
  hook: HookDrawing;
  colour(part: CardPart): string;
  state(part: CardPart): PartState;
  /** The first part of a kind that is on the fly, done or not. */
  find(kind: PartId): CardPart | undefined;
  /** Greatest thickness of the body under a kind of part, mm. */
  thick(kind: PartId): number;
  /** A part's way along the hook, rear to front. */
  stretch(part: CardPart, profile: (u: number) => number, thickMm?: number): Stretch;
  /** Where something behind the bend starts: the end of the body that stands out there. */
  rearEnd: { p: readonly [number, number]; angle: number } | null;
}

/** Hackle barbs trimmed off below, in a V, or above and below. */
export function trimOf(draw: Draw, part: CardPart): 'full' | 'flat-below' | 'v-below' | 'both' {
  const hackle = draw.card.hackles.find((item) => item.part === part.id);
  return draw.state(part).clipped && hackle ? hackle.trim : 'full';
}
