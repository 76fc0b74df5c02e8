import type { FunctionId } from '@/catalogue/ids';
import { reason, type Reason } from '../code';
import { colourWord, deltaE, labOfHex } from '../colour';
import { GRAMS_PER_DENIER } from '../constants';
import { calledHeld, hexHeld, type Held, type Material } from '../materials';
import type { Dressing } from './dressing';

/** A material that may stand in for another, in the shade that comes nearest. */
export interface Substitute {
  held: Held;
  id: string;
  name: string;
  /** Of what the other does, what this one does too, and what it does not. */
  keeps: FunctionId[];
  loses: FunctionId[];
  /** CIEDE2000 between the two; null for what has no colour of its own on a fly. */
  deltaE: number | null;
  /** What changes in the tying. */
  changes: Reason[];
  /** 0–1: function and ride first, colour second, texture third. */
  score: number;
}

export interface Refused {
  id: string;
  name: string;
  /** Why the fly would no longer float, sink or hold, or why it cannot be tied so. */
  why: Reason;
}

export interface SubstitutesAsked {
  /** What is to be replaced, in the colour it is wanted in. */
  wanted: Material;
  hex: `#${string}`;
  /** What there is to choose from. */
  held: readonly Held[];
  /** The fly it goes into; null: any. */
  dressing: Dressing | null;
}

/** What each tells for in a score. Ours: function and ride stand before colour, colour before texture (domain §7). */
const WEIGHTS = { function: 0.55, ride: 0.2, colour: 0.15, texture: 0.1 } as const;
/** So far apart (CIEDE2000) two colours have nothing in common. */
const FAR = 25;
/** What carries a fly: one that does not float cannot stand in for one that does. */
const CARRIES: readonly FunctionId[] = ['hackle.stiff', 'hackle.cdc-loop', 'body.foam', 'wing.tuft', 'wing.hair'];
const LOADS: readonly FunctionId[] = ['bead', 'weight.wire'];
/** So much of a weight's density, and of a thread's strength, is enough. */
const ENOUGH = { weight: 0.6, strength: 0.7 } as const;
/** Lighter than this a body lifts a fly that is to sink, g/cm³. */
const LIFTS = 0.6;
const COLOURLESS = ['liquid', 'weight'];
/** Colours that nobody tells apart at the vise. */
const UNSEEN: readonly string[] = ['same', 'hard-to-tell'];
/** From what on a difference is said. */
const TOLD = { share: 0.25, turns: 0.1 } as const;

const strengthOf = ({ denier, fibre }: Material) =>
  denier === null || fibre === null ? null : denier * GRAMS_PER_DENIER[fibre];

/** What a material does in a fly: the functions of the parts it makes, coats and tints, and of its threads. */
export function doesIn(dressing: Dressing, { id, functions }: Pick<Material, 'id' | 'functions'>): FunctionId[] {
  const parts = dressing.parts.flatMap((part) => [
    ...(part.material === id && part.function ? [part.function] : []),
    ...(part.coat === id ? functions.filter((does) => does.startsWith('coat.')) : []),
    ...(part.tint === id ? functions.filter((does) => does === 'marker') : []),
  ]);
  const thread: FunctionId[] = dressing.threads.some((own) => own.material === id) ? ['thread'] : [];
  return [...new Set([...parts, ...thread])];
}

function refusal(
  wanted: Material,
  own: Material,
  does: readonly FunctionId[],
  dressing: Dressing | null,
): Reason | null {
  const [needs, has] = [strengthOf(wanted), strengthOf(own)];
  if (does.includes('thread') && needs !== null && has !== null && has < ENOUGH.strength * needs)
    return reason('refused-would-break', { grams: Math.round(has), needed: Math.round(needs) });
  if (does.some((id) => LOADS.includes(id)) && own.density_g_cm3 < ENOUGH.weight * wanted.density_g_cm3)
    return reason('refused-too-light', { share: Math.round((100 * own.density_g_cm3) / wanted.density_g_cm3) });
  if (wanted.lay_mm !== null && own.lay_mm === null && does.some((id) => id.startsWith('hackle.')))
    return reason('refused-not-wound');
  if (!dressing) return null;
  const carried = dressing.ride === 'high' || dressing.ride === 'film' || dressing.ride === 'hanging';
  if (carried && wanted.floats && !own.floats && does.some((id) => CARRIES.includes(id)))
    return reason('refused-would-sink');
  if (!carried && !wanted.floats && own.floats && own.density_g_cm3 < LIFTS && !does.includes('thread'))
    return reason('refused-would-float');
  return null;
}

/** Why one material may not stand in for another in a fly; null where it may, or does not do the same work. */
export const refusedIn = (dressing: Dressing, wanted: Material, own: Material): Reason | null =>
  refusal(
    wanted,
    own,
    doesIn(dressing, wanted).filter((id) => own.functions.includes(id)),
    dressing,
  );

/** How unlike two lie and look on the fly, 0–1; a lay twice as wide is as unlike as can be. */
function textureApart(one: Material, other: Material): number {
  const wide =
    one.lay_mm === null || other.lay_mm === null ? [] : [Math.min(1, Math.abs(Math.log2(one.lay_mm / other.lay_mm)))];
  // A thread twice as heavy is as unlike as can be.
  const thick =
    one.denier === null || other.denier === null ? [] : [Math.min(1, Math.abs(Math.log2(one.denier / other.denier)))];
  const apart = [
    ...thick,
    Math.abs(one.stiffness - other.stiffness),
    Math.abs(one.sparkle - other.sparkle),
    Math.abs(one.absorbency - other.absorbency),
    ...wide,
  ];
  return apart.reduce((sum, value) => sum + value, 0) / apart.length;
}

/** What a tier does otherwise with one than with the other, their colours with it. */
export const changesBetween = (wanted: Material, own: Material): Reason[] =>
  changesOf(wanted, own, COLOURLESS.includes(wanted.kind) ? null : deltaE(labOfHex(wanted.hex), labOfHex(own.hex)));

/** What a tier does otherwise with one than with the other. */
function changesOf(wanted: Material, own: Material, apart: number | null): Reason[] {
  const said: Reason[] = [];
  if (own.drawn !== wanted.drawn) said.push(reason(`change-tied-${own.drawn}`));
  for (const need of own.needs) if (!wanted.needs.includes(need)) said.push(reason(`change-needs-${need}`));
  if (wanted.lay_mm !== null && own.lay_mm !== null) {
    const ratio = wanted.lay_mm / own.lay_mm;
    if (Math.abs(ratio - 1) > TOLD.turns) said.push(reason('change-turns', { turns: Math.round(10 * ratio) }));
  }
  if (own.usable_mm !== null && own.usable_mm < (wanted.usable_mm ?? Infinity))
    said.push(reason('change-pieces', { mm: { mm: own.usable_mm } }));
  const drinks = own.absorbency - wanted.absorbency;
  if (drinks > TOLD.share) said.push(reason('change-soaks'));
  if (drinks < -TOLD.share) said.push(reason('change-sheds'));
  if (own.floats !== wanted.floats) said.push(reason(own.floats ? 'change-floats' : 'change-sinks'));
  if (own.stiffness - wanted.stiffness > TOLD.share) said.push(reason('change-stiffer'));
  if (wanted.stiffness - own.stiffness > TOLD.share) said.push(reason('change-softer'));
  if (own.fragility - wanted.fragility > TOLD.share) said.push(reason('change-breaks'));
  if (Math.abs(own.sparkle - wanted.sparkle) > TOLD.share)
    said.push(reason(own.sparkle > wanted.sparkle ? 'change-brighter' : 'change-duller'));
  if (own.denier !== null && wanted.denier !== null && own.denier !== wanted.denier)
    said.push(reason(own.denier > wanted.denier ? 'change-bulk-more' : 'change-bulk-less', { denier: own.denier }));
  if (own.caution !== null && own.caution !== wanted.caution)
    said.push(reason('change-caution', { caution: { kind: 'cautions', id: own.caution } }));
  if (apart !== null && !UNSEEN.includes(colourWord(apart)))
    said.push(reason('change-colour', { apart: Math.round(apart) }));
  return said;
}

/** What may stand in for a material, best first, and what may not because the fly would no longer float, sink or hold. A substitute always does what the other does in the fly it is asked for. */
export function substitutesFor({ wanted, hex, held, dressing }: SubstitutesAsked): {
  substitutes: Substitute[];
  refused: Refused[];
} {
  const does = dressing ? doesIn(dressing, wanted) : wanted.functions;
  const coloured = !COLOURLESS.includes(wanted.kind);
  const lab = labOfHex(hex);
  const nearest = new Map<string, { held: Held; apart: number }>();
  // Most of a drawer does other work: only what is left is worth a look at its colour.
  const works = ({ functions }: Material) =>
    dressing
      ? does.length > 0 && does.every((id) => functions.includes(id))
      : does.some((id) => functions.includes(id));
  for (const own of held) {
    if (!works(own.material)) continue;
    if (calledHeld(own).id === wanted.id || (own.material.id === wanted.id && wanted.of === undefined)) continue;
    if (own.shade?.bright) continue;
    const apart = deltaE(labOfHex(hexHeld(own)), lab);
    const known = nearest.get(own.material.id);
    const before = (known && known.apart - apart) || 0;
    if (!known || before > 0 || (before === 0 && (own.shade?.id ?? '') < (known.held.shade?.id ?? '')))
      nearest.set(own.material.id, { held: own, apart });
  }
  const substitutes: Substitute[] = [];
  const refused: Refused[] = [];
  for (const { held: own, apart } of nearest.values()) {
    const { material } = own;
    const keeps = wanted.functions.filter((id) => material.functions.includes(id));
    const kept = does.filter((id) => material.functions.includes(id));
    const { id, name } = calledHeld(own);
    const why = refusal(wanted, material, kept, dressing);
    if (why) {
      refused.push({ id, name, why });
      continue;
    }
    const off = coloured ? apart : null;
    const texture = 1 - textureApart(wanted, material);
    substitutes.push({
      held: own,
      id,
      name,
      keeps,
      loses: wanted.functions.filter((function_) => !keeps.includes(function_)),
      deltaE: off,
      changes: changesOf(wanted, material, off),
      score:
        (WEIGHTS.function * kept.length) / does.length +
        WEIGHTS.ride * Number(material.floats === wanted.floats) +
        WEIGHTS.colour * Math.max(0, 1 - (off ?? 0) / FAR) +
        WEIGHTS.texture * texture,
    });
  }
  return {
    substitutes: substitutes.sort((a, b) => b.score - a.score || a.id.localeCompare(b.id)),
    refused: refused.sort((a, b) => a.id.localeCompare(b.id)),
  };
}
