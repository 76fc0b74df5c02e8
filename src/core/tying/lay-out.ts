import type { LandmarkId } from '@/catalogue/ids';
import { baseLength, type BaseLengths } from './bases';
import type { BaseSpec, Dressing, DressingPart, Station } from '../dressings';

/** One part in millimetres on one hook. Distances are from behind the eye along the hook, larger toward the bend. */
export interface LaidPart {
  part: DressingPart;
  mm: number | null;
  rangeMm: [low: number, high: number] | null;
  fromMm: number | null;
  toMm: number | null;
  thickMm: number | null;
  /** Width to cut a strip, film or foam to. */
  wideMm: number | null;
}

export interface LayOut {
  parts: LaidPart[];
  roomMm: number;
  usedMm: number;
  fits: boolean;
  over: { part: string; mm: number; drop: string[] } | null;
}

export interface LayOutInput {
  lengths: Omit<BaseLengths, 'abdomen'>;
  roomMm: number;
  /** Tie-down from behind the eye, W·S. */
  tieDownMm: number;
  /** Optional parts left out. */
  without: readonly string[];
  /** Factors and bases a school changes, by part id. */
  schools: ReadonlyMap<string, { base: BaseSpec; factor: number }>;
}

const SLACK = 1e-9;

export function isAlong(part: DressingPart): boolean {
  return part.to === 'forward';
}

/** Lays a dressing out on one hook: every part in millimetres, and whether the room is enough. Source: domain §4, formulas §3 and §5. */
export function layOut(dressing: Dressing, input: LayOutInput): LayOut {
  const parts = dressing.parts.filter((part) => !input.without.includes(part.id));
  const sizes = new Map<string, number>();
  const abdomen = parts.find((part) => part.part === 'abdomen');
  const lengths: BaseLengths = { ...input.lengths, abdomen: 0 };

  const minimum = (part: DressingPart): number => {
    if (!part.at_least) return 0;
    const unit = baseLength(part.at_least.base, lengths, sizes, part.scaled);
    return unit === null ? 0 : unit * part.at_least.factor;
  };
  const rule = (part: DressingPart) => input.schools.get(part.id) ?? { base: part.base, factor: part.factor };
  const sizeOf = (part: DressingPart): number | null => {
    const { base, factor } = rule(part);
    const unit = baseLength(base, lengths, sizes, part.scaled);
    return unit === null || factor === null ? null : Math.max(unit * factor, minimum(part));
  };
  const settle = (part: DressingPart) => {
    const mm = sizeOf(part);
    if (mm !== null) sizes.set(part.id, mm);
    return mm;
  };

  if (abdomen && rule(abdomen).base !== 'rest') lengths.abdomen = settle(abdomen) ?? 0;
  const alongParts = parts.filter(isAlong);
  for (const part of alongParts) if (part !== abdomen && rule(part).base !== 'rest') settle(part);
  const taken = alongParts.reduce((sum, part) => sum + (sizes.get(part.id) ?? 0), 0);
  const rest = Math.max(0, input.roomMm - taken);
  for (const part of alongParts) {
    if (rule(part).base === 'rest') sizes.set(part.id, Math.max(rest * (rule(part).factor ?? 1), minimum(part)));
  }
  if (abdomen && rule(abdomen).base === 'rest') lengths.abdomen = sizes.get(abdomen.id) ?? 0;

  const ends = new Map<string, { from: number; to: number }>();
  let front = input.tieDownMm;
  for (const part of alongParts) {
    const mm = sizes.get(part.id) ?? 0;
    ends.set(part.id, { from: front, to: front - mm });
    front -= mm;
  }
  const stationMm = (station: Station | null): number | null => {
    if (station === null || station === 'forward') return null;
    if (station === 'tie-down') return input.tieDownMm;
    if (station.startsWith('part:')) return ends.get(station.slice(5))?.to ?? null;
    return lengths.landmarks[station as LandmarkId];
  };

  // Twice, because a wing may be a share of a hackle that is listed after it.
  for (const part of parts) if (!ends.has(part.id)) settle(part);
  const laid = parts.map((part): LaidPart => {
    const along = ends.get(part.id);
    const mm = along ? sizes.get(part.id)! : settle(part);
    const { base, factor } = rule(part);
    const unit = base === 'rest' ? rest : baseLength(base, lengths, sizes, part.scaled);
    const changed = input.schools.has(part.id) && factor !== null;
    const low = changed ? factor * 0.9 : part.low;
    const high = changed ? factor * 1.1 : part.high;
    const wide = part.wide ? baseLength(part.wide.base, lengths, sizes, part.scaled) : null;
    const thick = part.thick ? baseLength(part.thick.base, lengths, sizes, part.scaled) : null;
    return {
      part,
      mm,
      rangeMm: unit === null || low === null || high === null || mm === null ? null : [Math.min(unit * low, mm), Math.max(unit * high, mm)],
      fromMm: along ? along.from : stationMm(part.from),
      toMm: along ? along.to : stationMm(part.to),
      thickMm: thick === null ? null : thick * part.thick!.factor,
      wideMm: wide === null ? null : wide * part.wide!.factor,
    };
  });

  const usedMm = alongParts.reduce((sum, part) => sum + (sizes.get(part.id) ?? 0), 0);
  const fits = usedMm <= input.roomMm + SLACK;
  return {
    parts: laid,
    roomMm: input.roomMm,
    usedMm,
    fits,
    over: fits ? null : {
      part: (alongParts.find((part) => rule(part).base === 'rest') ?? alongParts[alongParts.length - 1])!.id,
      mm: usedMm - input.roomMm,
      drop: alongParts.filter((part) => part.optional).map((part) => part.id),
    },
  };
}
