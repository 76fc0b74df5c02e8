import { deltaE, labOfHex, type Lab } from '@/core/colour';
import { nearestShade, type Material, type MaterialShade } from '@/core/materials';
import { isStashLow, isThere, type Entities, type StashRecord } from '@/records';

/** What of a stash is looked for. */
export type Which = 'all' | 'had' | 'low' | 'not-had';
export interface StashFilter {
  text: string;
  /** The first half of a function: what a material is for. */
  use: string | null;
  which: Which;
  /** A colour to be near to; null: by what they are for. */
  near: Lab | null;
}

/** What materials are for, in the order a fly is made; the first half of their functions. */
export const USES = [
  'thread',
  'tail',
  'body',
  'rib',
  'hackle',
  'wing',
  'legs',
  'back',
  'shuck',
  'head',
  'case',
  'bead',
  'weight',
  'coat',
  'wax',
  'marker',
] as const;

/** A material with its shades, and what of it is had. */
export interface StashRow {
  material: Material;
  shades: readonly MaterialShade[];
  had: readonly (StashRecord & { id: string })[];
  /** The shade that a swatch shows: the nearest to the colour looked for, one that is had, the material itself. */
  shown: `#${string}`;
  /** CIEDE2000 to the colour looked for; null without one. */
  apart: number | null;
}

/** What a material is for first of all. */
export const chiefUse = (material: Material) => material.functions[0]!.split('.')[0]!;
const does = (material: Material, use: string) => material.functions.some((id) => id.split('.')[0] === use);

/** Shades by the material they are of, and records by the material they are about. */
function gathered<T>(items: readonly T[], of: (item: T) => string): ReadonlyMap<string, T[]> {
  const by = new Map<string, T[]>();
  for (const item of items) {
    const list = by.get(of(item));
    if (list) list.push(item);
    else by.set(of(item), [item]);
  }
  return by;
}

/** Whether a text is found in what a material and its shades are called. */
function says(text: string, { material, shades, had }: Omit<StashRow, 'shown' | 'apart'>): boolean {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  if (words.length === 0) return true;
  const all = [
    material.name,
    ...shades.map(({ shade }) => shade),
    ...had.flatMap((own) => [own.label, own.note, own.place, own.shade]),
  ]
    .join(' ')
    .toLowerCase();
  return words.every((word) => all.includes(word));
}

/** The materials of a stash as they are listed: by what they are for, or the nearest to a colour first. */
export function stashRows(
  {
    materials,
    shades,
    stash,
  }: { materials: readonly Material[]; shades: readonly MaterialShade[]; stash: Entities['stash'] },
  { text, use, which, near }: StashFilter,
): StashRow[] {
  const shadesOf = gathered(shades, ({ of }) => of);
  const hadOf = gathered(
    Object.entries(stash).map(([id, own]) => ({ ...own, id })),
    ({ materialId }) => materialId,
  );
  const rows = materials.flatMap((material): StashRow[] => {
    if (material.of !== undefined || (use !== null && !does(material, use))) return [];
    const bare = { material, shades: shadesOf.get(material.id) ?? [], had: hadOf.get(material.id) ?? [] };
    const there = bare.had.filter(isThere);
    if (which === 'had' && there.length === 0) return [];
    if (which === 'not-had' && there.length > 0) return [];
    if (which === 'low' && !bare.had.some(isStashLow)) return [];
    if (!says(text, bare)) return [];
    const own = bare.had.flatMap((record) => hexOf(record, bare.shades) ?? []);
    const choice = which === 'had' && own.length > 0 ? own : [...own, ...bare.shades.filter(({ bright }) => !bright)];
    const nearest = near && nearestShade(choice, near);
    const shown = nearest?.shade.hex ?? own[0]?.hex ?? material.hex;
    return [{ ...bare, shown, apart: near ? (nearest?.apart ?? deltaE(labOfHex(material.hex), near)) : null }];
  });
  const place = new Map<string, number>(USES.map((id, index) => [id, index]));
  return rows.sort((a, b) =>
    a.apart !== null && b.apart !== null
      ? a.apart - b.apart || a.material.name.localeCompare(b.material.name)
      : (place.get(chiefUse(a.material)) ?? 99) - (place.get(chiefUse(b.material)) ?? 99) ||
        a.material.name.localeCompare(b.material.name),
  );
}

/** The colour of one that is had: as it was measured, else its shade's; null where only the material is known. */
export function hexOf(
  own: StashRecord & { id: string },
  shades: readonly MaterialShade[],
): { id: string; hex: `#${string}` } | null {
  const hex = own.hex ?? shades.find(({ id }) => id === own.shadeId)?.hex;
  return hex ? { id: own.id, hex: hex as `#${string}` } : null;
}
