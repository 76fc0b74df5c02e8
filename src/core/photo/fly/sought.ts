import type { PartId, StyleId } from '@/catalogue/ids';
import type { HookDimensions } from '../../hooks/drawn';

/** How a part is sought: along the hook, out from where it is tied in, or by one barb. */
export interface SoughtPart {
  id: string;
  kind: PartId;
  taken: 'along' | 'out' | 'barb';
  /** What the card says, mm; where it begins and ends along the hook from the back of the eye. */
  mm: number;
  fromMm: number;
  toMm: number | null;
  thickMm: number;
  /** Its colour, where the card has one. */
  hex: `#${string}` | null;
}

/** What is known of a tied fly before it is photographed. */
export interface FlySought {
  style: StyleId;
  hook: HookDimensions;
  /** Whether the hook's lengths are of its maker or measured, and not estimated. */
  hookKnown: boolean;
  parts: readonly SoughtPart[];
}
