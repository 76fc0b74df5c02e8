import type { BarbId, BarbRuleId, BendId, WireId } from '@/catalogue/ids';
import { SUIT } from '../constants';
import { reason, type Reason } from '../code';
import { WIRE_ORDER } from './columns';
import { stepsBetween } from './scale';
import type { Style } from './style';

export interface SuitInput {
  bend: BendId;
  wire: WireId;
  gapeMm: number;
  wireMm: number;
  carryMm: number;
  targetMm: number;
  /** Greatest thickness on the hook, mm: the larger of bead and tied body. */
  thickMm: number;
}

export interface Suit {
  /** Cost in number steps, 0 or more; least is best. */
  steps: number;
  /** + when the hook is long for the natural. */
  lengthSteps: number;
  gapeClear: number;
  reasons: Reason[];
}

export function wireClassesApart(a: WireId, b: WireId): number {
  return Math.abs(WIRE_ORDER.indexOf(a) - WIRE_ORDER.indexOf(b));
}

/** Cost of a wire class outside those a style takes, number steps. */
export function wireCost(wire: WireId, accepted: readonly WireId[]): number {
  if (accepted.includes(wire)) return 0;
  return (
    SUIT.wirePerClass * accepted.reduce((least, other) => Math.min(least, wireClassesApart(wire, other)), Infinity)
  );
}

/** Cost of a bend by its place in a list, −1 outside it, number steps. */
export function bendCost(place: number): number {
  return place < 0 ? SUIT.bendNotListed : SUIT.bendPerPlace * place;
}

/** Where a hook stands among those a fly is meant for: its bend's place (−1 outside), the wire classes taken there, the best bend, and whether only its length is outside. */
export interface HookPlace {
  place: number;
  wire: readonly WireId[];
  best: BendId;
  lengthOutside: boolean;
}

/** A hook's place in a style's own list. */
export function stylePlace(style: Pick<Style, 'bends' | 'wire'>, bend: BendId): HookPlace {
  return { place: style.bends.indexOf(bend), wire: style.wire, best: style.bends[0]!, lengthOutside: false };
}

/** Share of the gape left clear below the body; 1 is a bare hook. */
export function gapeClear(thickMm: number, wireMm: number, gapeMm: number): number {
  return 1 - (thickMm / 2 - wireMm / 2) / gapeMm;
}

/** In what a hook is not one the fly is meant for: wire, bend, length; empty for one that is. */
export function placeReasons(style: Pick<Style, 'id'>, hook: { bend: BendId; wire: WireId }, at: HookPlace): Reason[] {
  const reasons: Reason[] = [];
  const wire = wireCost(hook.wire, at.wire);
  const bend = bendCost(at.place);
  if (wire > 0)
    reasons.push(
      reason(
        'wire-apart',
        { wire: { kind: 'wires', id: hook.wire }, style: { kind: 'styles', id: style.id } },
        { steps: wire, evidence: 'seen' },
      ),
    );
  if (bend > 0)
    reasons.push(
      reason(
        at.lengthOutside ? 'x-not-listed' : at.place >= 0 ? 'bend-second' : 'bend-not-listed',
        { bend: { kind: 'bends', id: hook.bend }, best: { kind: 'bends', id: at.best } },
        { steps: bend, evidence: 'seen' },
      ),
    );
  return reasons;
}

/** How well a hook suits a style and a length, in number steps. Source: formulas §4. */
export function suit(style: Style, hook: SuitInput, at: HookPlace = stylePlace(style, hook.bend)): Suit {
  const lengthSteps = stepsBetween(hook.carryMm, hook.targetMm);
  const wire = wireCost(hook.wire, at.wire);
  const bend = bendCost(at.place);
  const clear = gapeClear(hook.thickMm, hook.wireMm, hook.gapeMm);
  const gape = clear >= SUIT.clearEnough ? 0 : SUIT.clearCost * (SUIT.clearEnough - clear);
  const reasons: Reason[] = [
    reason(
      lengthSteps >= 0 ? 'hook-long' : 'hook-short',
      { steps: Math.abs(lengthSteps), carry: { mm: hook.carryMm }, target: { mm: hook.targetMm } },
      { steps: Math.abs(lengthSteps), evidence: 'theory' },
    ),
  ];
  reasons.push(...placeReasons(style, hook, at));
  if (gape > 0)
    reasons.push(reason('gape-crowded', { clear: Math.round(clear * 100) }, { steps: gape, evidence: 'theory' }));
  return { steps: Math.abs(lengthSteps) + wire + bend + gape, lengthSteps, gapeClear: clear, reasons };
}

/** Whether a hook may be fished under a water's barb rule; `flatten` adds a first step to the card. */
export function barbAllowed(barb: BarbId, rule: BarbRuleId): { allowed: boolean; flatten: boolean } {
  if (rule === 'barbless') return { allowed: barb === 'none', flatten: false };
  return { allowed: true, flatten: rule === 'flattened' && barb !== 'none' };
}
