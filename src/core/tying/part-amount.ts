import type { FunctionId } from '@/catalogue/ids';
import {
  FIBRES_PER_MM,
  HAIR_BUNCH,
  NOODLE,
  NUMBERS_PER_PACKET,
  PINCH_MG,
  REFERENCE,
  TAPER_MEAN,
  WOUND_SPARE_MM,
} from '../constants';
import type { DressingPart } from '../dressings';
import { reads } from '../hooks';
import type { Material } from '../materials';
import type { PartAmount, Wound } from '../card/card-shape';
import { dubbingMass, loopFor, woundCut } from './amounts';

export interface PartOnHook {
  part: DressingPart;
  material: Material | null;
  mm: number | null;
  fromMm: number | null;
  toMm: number | null;
  thickMm: number | null;
  /** Thickness of the body a rib crosses, mm. */
  crossedMm?: number | null;
  wireMm: number;
  shankMm: number;
  gapeMm: number;
  /** Whether the dressing makes it by a loop. */
  looped: boolean;
  /** Whether the dressing winds it. */
  woundByStep: boolean;
}

const WOUND: ReadonlySet<FunctionId> = new Set([
  'body.quill',
  'body.biot',
  'body.herl',
  'body.floss',
  'body.tubing',
  'body.thread',
  'body.wire',
  'rib.tinsel',
  'case.yarn',
  'thread',
]);
const DUBBED: ReadonlySet<FunctionId> = new Set(['body.dubbed', 'head.dubbed']);
const FIBRES: ReadonlySet<FunctionId> = new Set(['tail.stiff', 'tail.webby', 'legs.fibre']);
const CDC_TURNS = 2;

/** Turns over `spanMm` at the width one turn takes, and the length they use over a mean diameter. Source: formulas §8, domain §7. */
export function woundOver(spanMm: number, diameterMm: number, layMm: number): Wound {
  const turns = Math.max(1, spanMm / layMm);
  const pitchMm = spanMm / turns;
  return { turns, pitchMm, lengthMm: turns * Math.hypot(Math.PI * diameterMm, pitchMm) };
}

/** Size number of the largest hook on which one piece of `usableMm` still covers a body that needs `lengthMm` here: the span and the girth grow with the shank. */
export function largestForOnePiece(wound: Wound, diameterMm: number, usableMm: number, shankMm: number): number {
  const needAt = (scale: number) => wound.turns * scale * Math.hypot(Math.PI * diameterMm * scale, wound.pitchMm);
  let [low, high] = [0.05, 20];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (needAt(middle) <= usableMm) low = middle;
    else high = middle;
  }
  return Math.ceil(reads(shankMm * low) / NUMBERS_PER_PACKET) * NUMBERS_PER_PACKET;
}

/** What a part takes of its material on one hook: turns, lengths to cut, pieces, loops, noodles and dubbing. Source: formulas §8, domain §7. */
export function partAmount(on: PartOnHook): PartAmount {
  const { part, material } = on;
  const spare = part.spare ?? 0;
  const does = part.function;
  const spanMm = on.fromMm !== null && on.toMm !== null ? Math.abs(on.fromMm - on.toMm) : on.mm;
  const amount: PartAmount = {
    unit: part.unit,
    need: part.count,
    take: part.count === null ? null : part.count + spare,
    wound: null,
    pieces: null,
    onePieceTo: null,
    loop: null,
    noodleMm: null,
    dubbingMg: null,
    pinches: null,
    stemMm: null,
  };
  if (material === null || does === null) return amount;
  const thickMm = Math.max(on.thickMm ?? 0, on.wireMm);

  if (DUBBED.has(does) && spanMm !== null && on.thickMm !== null && on.thickMm > on.wireMm) {
    const layMm = Math.max(NOODLE.leastMm, (thickMm - on.wireMm) / 2);
    amount.dubbingMg = dubbingMass(thickMm, on.wireMm, spanMm);
    amount.pinches = Math.max(1, Math.round(amount.dubbingMg / PINCH_MG));
    amount.noodleMm = woundOver(spanMm, (thickMm + on.wireMm) / 2, layMm).lengthMm + NOODLE.spareMm;
  } else if (part.part === 'rib' && part.count !== null && part.count > 0 && spanMm !== null && spanMm > 0) {
    // A rib has the turns that are counted, whatever its own width: what is between them is what is ribbed.
    const pitchMm = spanMm / part.count;
    amount.wound = {
      turns: part.count,
      pitchMm,
      lengthMm: part.count * Math.hypot(Math.PI * Math.max(on.crossedMm ?? 0, thickMm), pitchMm),
    };
  } else if (WOUND.has(does) && on.woundByStep && spanMm !== null && spanMm > 0 && material.lay_mm !== null) {
    const diameterMm = thickMm * TAPER_MEAN;
    amount.wound = woundOver(spanMm, diameterMm, material.lay_mm);
    if (material.usable_mm !== null) {
      amount.pieces = Math.ceil(amount.wound.lengthMm / material.usable_mm);
      amount.onePieceTo = largestForOnePiece(amount.wound, diameterMm, material.usable_mm, on.shankMm);
      if (part.count === null) {
        amount.need = amount.pieces;
        amount.take = amount.pieces + spare;
      }
    }
  }
  if (on.looped) amount.loop = loopFor(CDC_TURNS * Math.PI * thickMm);
  if (part.unit === 'compressed-mm') {
    const scaled = Math.min(
      HAIR_BUNCH.mm * (on.shankMm / REFERENCE.shankMm) ** HAIR_BUNCH.power,
      HAIR_BUNCH.mostPerGape * on.gapeMm,
    );
    amount.need = scaled;
    amount.take = scaled;
  }
  if (FIBRES.has(does) && part.unit === 'count' && amount.take !== null && amount.take > 2)
    amount.stemMm = amount.take / FIBRES_PER_MM;
  return amount;
}

/** Length to cut of what is wound off a spool or a long strand, with what is held; null for short pieces, which are counted. */
export function cutLength(amount: PartAmount, thickMm: number, material: Material | null): number | null {
  if (amount.wound === null || (material?.usable_mm ?? Infinity) < WOUND_SPARE_MM) return null;
  return woundCut(amount.wound.turns, thickMm * TAPER_MEAN, amount.wound.pitchMm);
}
