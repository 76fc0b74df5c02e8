import jStat from 'jstat';
import { deltaE, type Lab } from '../colour';
import { BELIEF } from '../constants';
import type { GroupStage, Key, NaturalGroup } from './key-data';

/** A length that was read, mm with its standard deviation, or only said to lie between two (null: open on that side). */
export type LengthSeen = { mm: number; sd: number } | { fromMm: number | null; toMm: number | null };

const MONTHS = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12] as const;
const WATERS = 3;
const { normal } = jStat;
const {
  asked,
  caseOverLarva,
  colourOther,
  colourVolume,
  eyeShare,
  lengthLeastMm,
  lengthLeastSd,
  lengthMostMm,
  lengthOther,
  monthBeside,
  monthOutside,
  waterOutside,
} = BELIEF;

/** Share of a two-sided normal that lies under x; its sides meet at the typical length and together hold all. */
function belowTwoSided(x: number, typical: number, left: number, right: number): number {
  const total = left + right;
  return x < typical
    ? (2 * left * normal.cdf(x, typical, left)) / total
    : (left + right * (2 * normal.cdf(x, typical, right) - 1)) / total;
}

/** Lengths that anything may have: as likely in each doubling. */
const logDensity = (mm: number) => 1 / (mm * Math.log(lengthMostMm / lengthLeastMm));
const logShare = (from: number, to: number) => Math.log(to / from) / Math.log(lengthMostMm / lengthLeastMm);

/** How likely a length is in a range of least, typical and most: a density per mm where it was read, a share where it lies between two. Ranges span about four standard deviations. */
export function lengthLikelihood(range: readonly [number, number, number] | null, length: LengthSeen): number {
  if ('mm' in length) {
    const any = logDensity(Math.min(lengthMostMm, Math.max(lengthLeastMm, length.mm)));
    if (!range) return any;
    const [left, right] = sides(range, length.sd);
    return (
      (1 - lengthOther) *
        ((2 *
          (length.mm < range[1]
            ? left * normal.pdf(length.mm, range[1], left)
            : right * normal.pdf(length.mm, range[1], right))) /
          (left + right)) +
      lengthOther * any
    );
  }
  const from = length.fromMm ?? lengthLeastMm;
  const to = length.toMm ?? lengthMostMm;
  const any = logShare(from, to);
  if (!range) return any;
  const share = (mm: number) => belowTwoSided(mm, range[1], ...sides(range, mm * eyeShare));
  return (
    (1 - lengthOther) *
      Math.max(0, (length.toMm === null ? 1 : share(to)) - (length.fromMm === null ? 0 : share(from))) +
    lengthOther * any
  );
}

function sides([least, typical, most]: readonly [number, number, number], sd: number): [number, number] {
  return [
    Math.hypot(Math.max(lengthLeastSd, (typical - least) / 2), sd),
    Math.hypot(Math.max(lengthLeastSd, (most - typical) / 2), sd),
  ];
}

const CASED = /^caddis\/(cased-larva|pupa)$/;

/** How likely the length of a case is: of the group's cases, of its larvae with a case round them, or of any. */
export function caseLikelihood(entry: GroupStage, length: LengthSeen): number {
  const range =
    entry.case_mm ??
    (CASED.test(entry.stage) && entry.length_mm
      ? ([
          entry.length_mm[0] * caseOverLarva[0],
          entry.length_mm[1] * caseOverLarva[1],
          entry.length_mm[2] * caseOverLarva[2],
        ] as const)
      : null);
  return lengthLikelihood(range, length);
}

const centreOf = (key: Key, shade: string): Lab | null => {
  const [tone, hue] = shade.split('-') as [string, string];
  return key.colours.hues[hue]?.[tone] ?? null;
};

/** Density of a colour round a word's centre, per cubic unit of L*a*b*. */
function shadeDensity(key: Key, shade: string, lab: Lab): number {
  const centre = centreOf(key, shade);
  return centre ? normal.pdf(deltaE(centre, lab), 0, key.colours.spread) / (2 * Math.PI * key.colours.spread ** 2) : 0;
}

/** Of a belly's colour, how likely it is in a group of these words: each has an equal share of them, and any colour may turn up. `usual` is its density among all groups, for one whose colours nobody wrote. */
export function colourLikelihood(key: Key, shades: readonly string[], lab: Lab, usual: number): number {
  const own =
    shades.length === 0 ? usual : shades.reduce((sum, shade) => sum + shadeDensity(key, shade, lab), 0) / shades.length;
  return (1 - colourOther) * own + colourOther / colourVolume;
}

/** Density of a colour among the words of all groups. */
export function usualColour(key: Key, lab: Lab): number {
  const all = key.members.flatMap((members) => members.flatMap(({ entry }) => entry.shades));
  return all.length === 0
    ? 1 / colourVolume
    : all.reduce((sum, shade) => sum + shadeDensity(key, shade, lab), 0) / all.length;
}

/** Share of a group's naturals that are met in a month, 1–12: the young whenever a tier looks, adults in their season and less beside it. Sums to 1 over the year. Source: domain §2. */
export function monthLikelihood(group: NaturalGroup, entry: GroupStage, young: boolean, month: number): number {
  const months = entry.months ?? group.months;
  const always = young || months.length === 0;
  const weight = (of: number) =>
    asked[of - 1]! *
    (always || months.includes(of)
      ? 1
      : months.some((other) => [1, 11].includes(Math.abs(other - of)))
        ? monthBeside
        : monthOutside);
  return weight(month) / MONTHS.reduce((sum, of) => sum + weight(of), 0);
}

/** Share of a group's naturals that are met at a water; sums to 1 over the three. */
export function waterLikelihood(group: NaturalGroup, water: string): number {
  if (group.waters.length === 0) return 1 / WATERS;
  const outside = WATERS - group.waters.length;
  return (group.waters.includes(water) ? 1 : waterOutside) / (group.waters.length + outside * waterOutside);
}
