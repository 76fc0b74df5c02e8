import { reason, type Reason } from '../code';
import type { DressingWeight } from '../dressings';
import { beadMass, beadRange, boreNeeded, nearestWire, stripMassPerMm, woundMass } from '../hooks';
import type { HookAnswer } from '../hook-score';
import type { CardWeight } from '../card/card-shape';

/** A weight in millimetres and milligrams: `coverMm` is the stretch it lies over, null for half the shank. Source: formulas §7. */
export function weightOf(weight: DressingWeight, hook: HookAnswer, beadMm: number, coverMm: number | null): CardWeight {
  const empty: CardWeight = {
    kind: weight.kind,
    metal: weight.metal,
    diameter_mm: null,
    range_mm: null,
    bead_kind: null,
    bore_mm: null,
    bore_needed_mm: null,
    wire_mm: null,
    turns: null,
    length_mm: null,
    mass_mg: 0,
    warnings: [],
  };
  if (weight.kind === 'hook-wire') return { ...empty, wire_mm: hook.wire_mm, mass_mg: hook.mass_mg ?? 0 };
  if (weight.kind === 'bead') {
    const kind = weight.bead_kind ?? 'drilled';
    const [low, , high] = beadRange(hook.gape_mm, hook.bend);
    const warnings: Reason[] = [];
    if (beadMm < low || beadMm > high)
      warnings.push(
        reason(
          beadMm < low ? 'bead-small' : 'bead-large',
          { bead: { mm: beadMm }, low: { mm: low }, high: { mm: high } },
          { evidence: 'heard' },
        ),
      );
    if (kind === 'slotted' && hook.bend !== 'jig') warnings.push(reason('slotted-may-turn', {}, { evidence: 'seen' }));
    const metal = weight.metal === 'brass' || weight.metal === 'glass' ? weight.metal : 'tungsten';
    return {
      ...empty,
      diameter_mm: beadMm,
      range_mm: [low, high],
      bead_kind: kind,
      bore_needed_mm: boreNeeded(beadMm, kind, hook.gape_mm, hook.wire_mm, hook.barb === 'barbed'),
      length_mm: beadMm,
      mass_mg: beadMass(beadMm, metal, kind),
      warnings,
    };
  }
  const metal = weight.metal === 'tin' ? 'tin' : 'lead';
  const wireMm = weight.diameter_mm ?? nearestWire(hook.wire_mm);
  if (weight.kind === 'sides') {
    const lengthMm = coverMm ?? hook.shank_mm / 2;
    return { ...empty, wire_mm: wireMm, length_mm: lengthMm, mass_mg: 2 * lengthMm * stripMassPerMm(wireMm, metal) };
  }
  const turns = weight.turns ?? Math.max(1, Math.floor((coverMm ?? hook.shank_mm / 2) / wireMm));
  return {
    ...empty,
    wire_mm: wireMm,
    turns,
    length_mm: turns * wireMm,
    mass_mg: woundMass(turns, wireMm, hook.wire_mm, metal),
  };
}
