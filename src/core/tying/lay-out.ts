import type { LandmarkId } from '@/catalogue/ids';
import { WHIP } from '../constants';
import { baseLength, type BaseLengths } from './bases';
import { LOOP_TURNS, LOOPED } from '../card/lay';
import { stationMm } from './stations';
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
  /** Turns that lie on its stretch; null where none are counted. */
  turns: number | null;
}

export interface LayOut {
  parts: LaidPart[];
  roomMm: number;
  usedMm: number;
  /** Of the head's reserve, what its parts leave to the body, mm. */
  spareMm: number;
  fits: boolean;
  over: { part: string; mm: number; drop: string[] } | null;
  /** A station on this hook, mm behind the eye. */
  at: (station: Station | null) => number | null;
}

export interface LayOutInput {
  lengths: Omit<BaseLengths, 'abdomen'>;
  roomMm: number;
  /** Tie-down from behind the eye, W·S. */
  tieDownMm: number;
  /** Optional parts left out. */
  without: readonly string[];
  /** Rear face of the bead, or 0, and the bead's front where it is set back behind a head. */
  faceMm: number;
  headInFrontMm: number;
  /** The head's reserve of the style, mm. */
  reserveMm: number;
  /** Width of one turn of a part on this hook, mm. */
  layOf: (part: DressingPart) => number | null;
  /** Factors and bases a school changes, by part id. */
  schools: ReadonlyMap<string, { base: BaseSpec; factor: number }>;
}

const SLACK = 1e-9;

/** Turns that lie on a part's stretch: those counted, or as many as have room; collars have theirs already. */
function turnsOn(
  part: DressingPart,
  lies: { from: number; to: number } | undefined,
  inFront: number | undefined,
  input: LayOutInput,
): number | null {
  if (inFront !== undefined) return inFront;
  if (LOOPED.has(part.way ?? ''))
    return lies === undefined
      ? LOOP_TURNS
      : Math.max(LOOP_TURNS, Math.floor(Math.abs(lies.from - lies.to) / (input.layOf(part) ?? Infinity) + 1e-6));
  if (part.count === null || !part.function?.startsWith('hackle.') || part.way === null) return part.count;
  const lay = input.layOf(part);
  if (lies === undefined || lay === null) return part.count;
  return Math.max(1, Math.min(part.count, Math.floor(Math.abs(lies.from - lies.to) / lay + 1e-6)));
}

export function isAlong(part: DressingPart): boolean {
  return part.to === 'forward';
}

const isCollar = (part: DressingPart) => part.to === 'collar';

/** What stands in the head's reserve: collars as wide as their turns, and the head, which fills what they leave. Turns give way before the body does. */
interface Front {
  turns: Map<string, number>;
  collarsMm: number;
  headMm: number;
}

function frontOf(
  parts: readonly DressingPart[],
  input: LayOutInput,
  head: DressingPart | undefined,
  roomForRest: (frontMm: number) => number,
): Front {
  const collars = parts.filter(isCollar);
  const lay = (part: DressingPart) => input.layOf(part) ?? 0;
  const turns = new Map(
    collars.map((part) => [part.id, LOOPED.has(part.way ?? '') ? LOOP_TURNS : Math.max(1, part.count ?? 1)]),
  );
  const behindBead = input.faceMm > 0;
  const headMm = !head
    ? 0
    : input.headInFrontMm > 0
      ? 0
      : behindBead
        ? WHIP.laysBehindBead * WHIP.layMm
        : Math.min(input.lengths.eye, input.reserveMm);
  const width = () => collars.reduce((sum, part) => sum + turns.get(part.id)! * lay(part), 0);
  while (roomForRest(width() + headMm) < 0) {
    const most = collars
      .filter((part) => turns.get(part.id)! > 1)
      .sort((a, b) => turns.get(b.id)! - turns.get(a.id)!)[0];
    if (!most) break;
    turns.set(most.id, turns.get(most.id)! - 1);
  }
  return { turns, collarsMm: width(), headMm };
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
    const reach = reachMm(part, base, factor);
    if (reach !== null) return Math.max(reach, minimum(part));
    const unit = baseLength(base, lengths, sizes, part.scaled);
    return unit === null || factor === null ? null : Math.max(unit * factor, minimum(part));
  };
  /** Length of a part whose tip is to stand somewhere, from where it is bound. */
  const reachMm = (part: DressingPart, base: BaseSpec, factor: number | null): number | null => {
    if (!base.startsWith('reach:') || factor === null) return null;
    const [, mark, unitBase] = base.split(':') as [string, LandmarkId, string];
    const at = station(part.from);
    const unit = baseLength(unitBase, lengths, sizes, false);
    return at === null || unit === null ? null : Math.abs(input.lengths.landmarks[mark] + factor * unit - at);
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
  const resting = alongParts.filter((part) => rule(part).base === 'rest');
  const head = parts.find((part) => part.to === 'head');
  const least = resting.reduce((sum, part) => sum + Math.max(minimum(part), input.layOf(part) ?? 0), 0);
  // What is left between the rear parts and what stands in front; a dressing written by hand keeps the reserve free whole.
  const made = parts.some((part) => part.way !== null);
  const between = (frontMm: number) =>
    head || made ? input.tieDownMm - input.faceMm - taken - frontMm : input.roomMm - taken;
  const front = frontOf(parts, input, head, (frontMm) => between(frontMm) - least);
  const rest = Math.max(0, between(front.collarsMm + front.headMm));
  for (const part of resting) sizes.set(part.id, Math.max(rest * (rule(part).factor ?? 1), minimum(part)));
  if (abdomen && rule(abdomen).base === 'rest') lengths.abdomen = sizes.get(abdomen.id) ?? 0;

  const ends = new Map<string, { from: number; to: number }>();
  let edge = input.tieDownMm;
  const put = (part: DressingPart, mm: number) => {
    ends.set(part.id, { from: edge, to: edge - mm });
    edge -= mm;
  };
  for (const part of alongParts) put(part, sizes.get(part.id) ?? 0);
  for (const part of parts.filter(isCollar)) put(part, front.turns.get(part.id)! * (input.layOf(part) ?? 0));
  if (head) {
    if (input.headInFrontMm > 0) ends.set(head.id, { from: input.headInFrontMm, to: 0 });
    else ends.set(head.id, { from: edge, to: input.faceMm });
    sizes.set(head.id, ends.get(head.id)!.from - ends.get(head.id)!.to);
  }
  const context = {
    landmarks: input.lengths.landmarks,
    tieDownMm: input.tieDownMm,
    faceMm: input.faceMm,
    ends,
    unit: (base: string) => baseLength(base, lengths, sizes, false),
  };
  const station = (value: Station | null): number | null => stationMm(value, context);
  // A part over others lies where they do; its own ends are known once theirs are.
  for (const part of parts) {
    const [from, to] = [station(part.from), station(part.to)];
    if (!ends.has(part.id) && from !== null && to !== null) ends.set(part.id, { from, to });
  }

  // Twice, because a wing may be a share of a hackle that is listed after it.
  for (const part of parts) if (!isAlong(part) && part.to !== 'head') settle(part);
  const reachRange = (part: DressingPart, base: BaseSpec): [number, number] | null => {
    const [low, high] = [reachMm(part, base, part.low), reachMm(part, base, part.high)];
    return low === null || high === null ? null : [Math.min(low, high), Math.max(low, high)];
  };
  const laid = parts.map((part): LaidPart => {
    const along = isAlong(part) || isCollar(part) || part.to === 'head' ? ends.get(part.id) : undefined;
    // One whose rule gives no length has none.
    const mm = isAlong(part) || part.to === 'head' ? (sizes.get(part.id) ?? null) : settle(part);
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
      rangeMm: base.startsWith('reach:')
        ? reachRange(part, base)
        : unit === null || low === null || high === null || mm === null
          ? null
          : [Math.min(unit * low, mm), Math.max(unit * high, mm)],
      fromMm: along ? along.from : station(part.from),
      toMm: along ? along.to : station(part.to),
      thickMm: thick === null ? null : thick * part.thick!.factor,
      wideMm: wide === null ? null : wide * part.wide!.factor,
      turns: turnsOn(part, ends.get(part.id), front.turns.get(part.id), input),
    };
  });

  const alongMm = alongParts.reduce((sum, part) => sum + (sizes.get(part.id) ?? 0), 0);
  // In front the reserve is theirs: what they take beyond it counts, what they leave the body takes up.
  const usedMm = head || made ? alongMm + front.collarsMm + front.headMm - input.reserveMm : alongMm;
  const fits = usedMm <= input.roomMm + SLACK;
  return {
    parts: laid,
    roomMm: input.roomMm,
    usedMm,
    spareMm: alongMm - usedMm,
    fits,
    at: station,
    over: fits
      ? null
      : {
          part: (alongParts.find((part) => rule(part).base === 'rest') ?? alongParts[alongParts.length - 1])!.id,
          mm: usedMm - input.roomMm,
          drop: alongParts.filter((part) => part.optional).map((part) => part.id),
        },
  };
}
