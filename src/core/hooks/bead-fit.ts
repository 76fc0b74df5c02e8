import type { BarbId, BeadKindId, BendId } from '@/catalogue/ids';
import { BEAD_SIZES_MM, COVER, SUIT, TIPPET, WEIGHT_WIRES_MM } from '../constants';
import { reason, type Reason } from '../code';
import { beadMass, beadRange, boreNeeded, stripMassPerMm, usualBead, woundMass } from './bead';
import { reads } from './scale';
import { gapeClear } from './suit';

/** What a hook is asked of, mm. */
export interface FitHook {
  bend: BendId;
  barb: BarbId;
  shankMm: number;
  gapeMm: number;
  wireMm: number;
  eyeMm: number;
}

/** One bead on a hook. Warnings never forbid it. */
export interface BeadOnHook {
  diameterMm: number;
  kind: BeadKindId;
  boreNeededMm: number;
  /** Share of the gape left clear. */
  clear: number;
  tungstenMg: number;
  brassMg: number;
  usual: boolean;
  warnings: Reason[];
}

export interface BeadFit {
  rangeMm: readonly [low: number, usual: number, high: number];
  /** Kinds by the bend, the usual first. */
  kinds: readonly BeadKindId[];
  beads: BeadOnHook[];
}

/** Slotted seats on a jig's kink and may turn on a curve; countersunk passes a round bend best. Source: domain §3. */
function kindsFor(bend: BendId): readonly BeadKindId[] {
  return bend === 'jig' ? ['slotted', 'countersunk', 'drilled'] : ['countersunk', 'drilled', 'slotted'];
}

/** One bead on one hook: `boreMm` is its own bore where that is known. Source: formulas §7. */
export function beadOnHook(
  hook: FitHook,
  diameterMm: number,
  kind: BeadKindId,
  boreMm: number | null = null,
): BeadOnHook {
  const [low, , high] = beadRange(hook.gapeMm, hook.bend);
  const boreNeededMm = boreNeeded(diameterMm, kind, hook.gapeMm, hook.wireMm, hook.barb === 'barbed');
  const clear = gapeClear(diameterMm, hook.wireMm, hook.gapeMm);
  const warnings: Reason[] = [];
  if (diameterMm < low || diameterMm > high)
    warnings.push(
      reason(
        diameterMm < low ? 'bead-small' : 'bead-large',
        { bead: { mm: diameterMm }, low: { mm: low }, high: { mm: high } },
        { evidence: 'heard' },
      ),
    );
  if (boreMm !== null && boreMm < boreNeededMm)
    warnings.push(reason('bead-bore', { bore: { mm: boreMm }, needed: { mm: boreNeededMm } }, { evidence: 'theory' }));
  if (clear < SUIT.clearEnough)
    warnings.push(reason('gape-crowded', { clear: Math.round(clear * 100) }, { evidence: 'theory' }));
  if (kind === 'slotted' && (hook.bend === 'curved-shank' || hook.bend === 'continuous-curve'))
    warnings.push(reason('bead-turns', {}, { evidence: 'heard' }));
  return {
    diameterMm,
    kind,
    boreNeededMm,
    clear,
    tungstenMg: beadMass(diameterMm, 'tungsten', kind),
    brassMg: beadMass(diameterMm, 'brass', kind),
    usual: diameterMm === usualBead(hook.gapeMm, hook.bend),
    warnings,
  };
}

/** Stocked beads on a hook: those of its range, and one outside it on either side. */
export function beadFit(hook: FitHook, kind: BeadKindId = kindsFor(hook.bend)[0]!): BeadFit {
  const rangeMm = beadRange(hook.gapeMm, hook.bend);
  const inside = BEAD_SIZES_MM.flatMap((size, index) => (size >= rangeMm[0] && size <= rangeMm[2] ? [index] : []));
  const usual = BEAD_SIZES_MM.findIndex((size) => size === usualBead(hook.gapeMm, hook.bend));
  const first = Math.max(0, Math.min(usual, ...inside) - 1);
  const last = Math.min(BEAD_SIZES_MM.length - 1, Math.max(usual, ...inside) + 1);
  return {
    rangeMm,
    kinds: kindsFor(hook.bend),
    beads: BEAD_SIZES_MM.slice(first, last + 1).map((size) => beadOnHook(hook, size, kind)),
  };
}

/** The stocked lead or tin wire nearest the hook's own, mm. Source: domain §3. */
export function nearestWire(hookWireMm: number): number {
  return WEIGHT_WIRES_MM.reduce<number>(
    (best, size) => (Math.abs(size - hookWireMm) < Math.abs(best - hookWireMm) ? size : best),
    WEIGHT_WIRES_MM[0],
  );
}

/** Wire wound on the shank, or laid along both sides. Masses mg. */
export interface WeightFit {
  wireMm: number;
  /** What the wire covers: two eyes bare in front, one behind the ramp. */
  coverMm: number;
  turns: number;
  woundMg: number;
  sidesMg: number;
  /** Across the shank with a strip on either side. */
  sidesWideMm: number;
}

/** Wire to weight a hook with: as thick as the hook's own, stocked sizes. Source: formulas §7, domain §3. */
export function weightFit(hook: FitHook, metal: 'lead' | 'tin'): WeightFit {
  const wireMm = nearestWire(hook.wireMm);
  const coverMm = Math.max(0, hook.shankMm - COVER.bareEyes * hook.eyeMm - COVER.rampEyes * hook.eyeMm);
  const turns = Math.floor(coverMm / wireMm + 1e-9);
  return {
    wireMm,
    coverMm,
    turns,
    woundMg: woundMass(turns, wireMm, hook.wireMm, metal),
    sidesMg: 2 * coverMm * stripMassPerMm(wireMm, metal),
    sidesWideMm: hook.wireMm + 2 * wireMm,
  };
}

/** Tippet through the eye of a hook. */
export interface TippetFit {
  holeMm: number;
  /** Thickest that still turns in the eye, mm, and its X. */
  thickestMm: number;
  thickestX: number;
  /** What a hook of this reading is usually fished on. */
  usualX: number;
  usualMm: number;
  passes: boolean;
}

/** Diameter of tippet `x` X, mm. */
export function tippetMm(x: number): number {
  return (TIPPET.zeroX - x) * TIPPET.mmPerX;
}

/** What passes the eye: its hole must be 2.2 tippets wide. Source: formulas §10. */
export function tippetFit(hook: FitHook): TippetFit {
  const holeMm = Math.max(0, hook.eyeMm - 2 * hook.wireMm);
  const thickestMm = holeMm / TIPPET.holePerTippet;
  const usualX = Math.min(8, Math.max(0, Math.round(reads(hook.shankMm) / TIPPET.numbersPerX)));
  return {
    holeMm,
    thickestMm,
    thickestX: Math.ceil(TIPPET.zeroX - thickestMm / TIPPET.mmPerX - 1e-9),
    usualX,
    usualMm: tippetMm(usualX),
    passes: holeMm >= TIPPET.holePerTippet * tippetMm(usualX),
  };
}
