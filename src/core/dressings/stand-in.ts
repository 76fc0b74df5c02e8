import type { FunctionId, RegionId } from '@/catalogue/ids';
import { colourWord, deltaE, hexOfLab, labOfHex, type Lab } from '../colour';
import type { Material } from '../materials';
import type { Dressing } from './dressing';
import { doesIn, substitutesFor } from './substitutes';

/** Colours of a natural by region, as it is to be matched. */
export type Wanted = Readonly<Partial<Record<RegionId, Lab>>>;

/** What of a drawer makes a part: the material itself, a shade of it, or one that does the same work. */
export interface StandIn {
  id: string;
  as: 'itself' | 'shade' | 'substitute';
}

interface Had {
  materials: readonly Material[];
  /** Answers, by what was asked: a list of dressings asks the same again and again. */
  known: Map<string, StandIn | null>;
}
const drawers = new WeakMap<ReadonlySet<string>, WeakMap<readonly Material[], Had>>();

function hadOf(have: ReadonlySet<string>, materials: readonly Material[]): Had {
  const by = drawers.get(have) ?? new WeakMap<readonly Material[], Had>();
  drawers.set(have, by);
  const had = by.get(materials) ?? { materials: materials.filter(({ id }) => have.has(id)), known: new Map() };
  by.set(materials, had);
  return had;
}

/** What a dressing cannot do without: each material with the work it does, and the region whose colour it takes. Threads with it; what may be left out not. */
export function neededBy(dressing: Dressing): { material: string; does: FunctionId; region: RegionId | null }[] {
  return [
    ...dressing.parts.flatMap((part) =>
      part.material === null || part.optional || part.function === null
        ? []
        : [{ material: part.material, does: part.function, region: part.region }],
    ),
    ...dressing.threads.map((thread) => ({ material: thread.material, does: 'thread' as const, region: null })),
  ];
}

/** What of the drawer stands for a material of a dressing; null where nothing does its work. `colour` is what it is wanted in, null where that is open. */
export function standInFor(
  dressing: Dressing,
  needed: { material: string; does: FunctionId },
  have: ReadonlySet<string>,
  materials: readonly Material[],
  colour: Lab | null = null,
): StandIn | null {
  if (have.has(needed.material)) return { id: needed.material, as: 'itself' };
  const wanted = materials.find(({ id }) => id === needed.material);
  const had = hadOf(have, materials);
  if (!wanted) {
    const other = had.materials.find(({ functions }) => functions.includes(needed.does));
    return other ? { id: other.id, as: 'substitute' } : null;
  }
  const key = [wanted.id, needed.does, dressing.ride, doesIn(dressing, wanted).join(), colour?.join() ?? ''].join('|');
  const known = had.known.get(key);
  if (known !== undefined) return known;
  const answer = looked(dressing, wanted, had.materials, colour);
  had.known.set(key, answer);
  return answer;
}

function looked(dressing: Dressing, wanted: Material, had: readonly Material[], colour: Lab | null): StandIn | null {
  const lab = colour ?? labOfHex(wanted.hex);
  const apart = (own: Material) => deltaE(labOfHex(own.hex), lab);
  const [nearest] = had
    .filter(({ of }) => of === wanted.id)
    .sort((a, b) => apart(a) - apart(b) || a.id.localeCompare(b.id));
  if (nearest && (colour === null || colourWord(apart(nearest)) !== 'off')) return { id: nearest.id, as: 'shade' };
  const [best] = substitutesFor({
    wanted,
    hex: colour === null ? wanted.hex : hexOfLab(colour),
    held: had.map((material) => ({ material, shade: null, hex: null })),
    dressing,
  }).substitutes;
  return best ? { id: best.id, as: 'substitute' } : null;
}
