import type { BeadKindId, BendId, MetalId } from '@/catalogue/ids';
import { BEAD_BORE, BEAD_SHARE, BEAD_SIZES_MM, BEAD_SOLID, METAL_DENSITY } from '../constants';

/** Low, usual and high bead diameter for a hook's gape, mm. Outside it warn, never forbid. Source: formulas §7. */
export function beadRange(gapeMm: number, bend: BendId): [low: number, usual: number, high: number] {
  const [low, usual, high] = bend === 'jig' ? BEAD_SHARE.jig : BEAD_SHARE.plain;
  return [low * gapeMm, usual * gapeMm, high * gapeMm];
}

/** The stocked bead nearest the usual share of the gape, mm. */
export function usualBead(gapeMm: number, bend: BendId): number {
  const [, usual] = beadRange(gapeMm, bend);
  return BEAD_SIZES_MM.reduce<number>(
    (best, size) => (Math.abs(size - usual) < Math.abs(best - usual) ? size : best),
    BEAD_SIZES_MM[0],
  );
}

/** Bore a bead of `diameterMm` needs to pass the bend of a hook, mm; more when the barb is left up. */
export function boreNeeded(
  diameterMm: number,
  kind: BeadKindId,
  gapeMm: number,
  wireMm: number,
  barbUp: boolean,
): number {
  const path = BEAD_BORE[kind] * diameterMm;
  return wireMm + path ** 2 / (4 * gapeMm) + BEAD_BORE.clearance + (barbUp ? BEAD_BORE.barbUp * wireMm : 0);
}

/** Mass of a bead, mg. */
export function beadMass(
  diameterMm: number,
  metal: Extract<MetalId, 'tungsten' | 'brass' | 'glass'>,
  kind: BeadKindId,
): number {
  const solid = metal === 'glass' ? BEAD_SOLID.glass : BEAD_SOLID[kind];
  return METAL_DENSITY[metal] * (Math.PI / 6) * diameterMm ** 3 * solid;
}

/** Mass of wound wire, mg: `turns` of wire `wireMm` over a core of `coreMm`. */
export function woundMass(
  turns: number,
  wireMm: number,
  coreMm: number,
  metal: Extract<MetalId, 'lead' | 'tin'>,
): number {
  return turns * METAL_DENSITY[metal] * (Math.PI / 4) * wireMm ** 2 * Math.PI * (coreMm + wireMm);
}

/** Mass of one strip of wire laid along a side, mg per mm of shank. */
export function stripMassPerMm(wireMm: number, metal: Extract<MetalId, 'lead' | 'tin'>): number {
  return METAL_DENSITY[metal] * (Math.PI / 4) * wireMm ** 2;
}
