import type { Coded } from '../code';
import type { Material, MaterialShade } from './material';
import { inShade, shadeId } from './shades';

/** A material that a tier has, in a shade where it is known which. */
export interface Held {
  material: Material;
  shade: MaterialShade | null;
  /** Its colour where that was measured, or is of no shipped shade; it stands before the shade's. */
  hex: `#${string}` | null;
}

/** How materials and their shades are called. */
export interface Named {
  materials: readonly Material[];
  shades: readonly MaterialShade[];
}

const said = (text: string) => text.trim().toLowerCase();

interface Index {
  shades: ReadonlyMap<string, MaterialShade>;
  materials: ReadonlyMap<string, Material>;
  byId: ReadonlyMap<string, Material>;
  byOf: ReadonlyMap<string, readonly MaterialShade[]>;
}
const indices = new WeakMap<readonly Material[], WeakMap<readonly MaterialShade[], Index>>();

/** By id and by name; of several called alike the first. */
function byCalled<T extends { id: string; name: string }>(all: readonly T[]): Map<string, T> {
  const known = new Map<string, T>();
  for (const one of all) for (const key of [said(one.id), said(one.name)]) if (!known.has(key)) known.set(key, one);
  return known;
}

/** A drawer asks for each of its things by name, at every change: names are looked up, not searched for. */
function indexOf({ materials, shades }: Named): Index {
  const by = indices.get(materials) ?? new WeakMap<readonly MaterialShade[], Index>();
  indices.set(materials, by);
  const known = by.get(shades);
  if (known) return known;
  const byOf = new Map<string, MaterialShade[]>();
  for (const shade of shades) byOf.set(shade.of, [...(byOf.get(shade.of) ?? []), shade]);
  const made = {
    shades: byCalled(shades),
    materials: byCalled(materials),
    byId: new Map(materials.map((own) => [own.id, own])),
    byOf,
  };
  by.set(shades, made);
  return made;
}

/** A shade that nobody ships. */
const ownShade = (material: Material, shade: string, hex: `#${string}`): MaterialShade => ({
  id: shadeId(material.id, shade),
  of: material.id,
  shade,
  name: `${material.name}, ${shade}`,
  hex,
  bright: false,
});

/** What a drawer holds by its name: a material, or a material in a shade, each by id or words. A fault where nobody knows it, with what it might have been. */
export function heldBy(
  named: Named,
  given: { material: string; shade?: string | null; hex?: `#${string}` | null },
): { ok: true; held: Held } | { ok: false; fault: Coded & { column: 'material' | 'shade'; allowed: string[] } } {
  const index = indexOf(named);
  const whole = (id: string) => index.byId.get(id)!;
  const hex = given.hex ?? null;
  const shaded = index.shades.get(said(given.material));
  if (shaded && !given.shade) return { ok: true, held: { material: whole(shaded.of), shade: shaded, hex } };
  const found = index.materials.get(said(given.material));
  if (!found)
    return {
      ok: false,
      fault: {
        code: 'material-not-known',
        params: { got: given.material },
        column: 'material',
        allowed: named.materials.map(({ id }) => id),
      },
    };
  const material = found.of === undefined ? found : whole(found.of);
  if (!given.shade) return { ok: true, held: { material, shade: null, hex } };
  const own = index.byOf.get(material.id) ?? [];
  const asked = said(given.shade);
  const shade = own.find((one) => [one.id, one.name, one.shade].some((text) => said(text) === asked)) ?? null;
  if (shade) return { ok: true, held: { material, shade, hex } };
  // What nobody ships has the colour that is said of it.
  if (hex) return { ok: true, held: { material, shade: ownShade(material, given.shade.trim(), hex), hex } };
  return {
    ok: false,
    fault: {
      code: 'shade-not-known',
      params: { got: given.shade },
      column: 'shade',
      allowed: own.map((one) => one.shade),
    },
  };
}

/** A material by its id, or one of the shades it comes in; null where nobody knows it. */
export function materialCalled({ materials, shades }: Named, id: string): Material | null {
  const own = materials.find((material) => material.id === id);
  if (own) return own;
  const shade = shades.find((one) => one.id === id);
  const whole = shade && materials.find((material) => material.id === shade.of);
  return shade && whole ? inShade(whole, shade) : null;
}

/** The materials of a list, and those of `ids` that it does not name: shades that nobody has yet. */
export function withCalled(materials: readonly Material[], ids: readonly string[], named: Named): readonly Material[] {
  const added = ids.flatMap((id) =>
    materials.some((material) => material.id === id) ? [] : (materialCalled(named, id) ?? []),
  );
  return added.length === 0 ? materials : [...materials, ...added];
}

/** What is held as dressings take it: in its shade and its colour, under the shade's id. */
function materialHeld(held: Held): Material {
  const { material, shade, hex } = held;
  if (shade) return inShade(material, { ...shade, hex: hexHeld(held) });
  return hex ? { ...material, hex } : material;
}

/** Ids of all that is had, each in its shade. A drawer's materials are listed with them: `withHeld`. */
export function idsHeld(held: readonly Held[]): ReadonlySet<string> {
  return new Set(held.map((own) => materialHeld(own).id));
}

/** The materials of a list, and those of a drawer in shades that the list does not name; what was measured there stands before what the list says. */
export function withHeld(materials: readonly Material[], held: readonly Held[]): Material[] {
  const listed = new Set(materials.map(({ id }) => id));
  const own = new Map<string, Held>();
  for (const one of held) own.set(materialHeld(one).id, one);
  const added = [...own].filter(([id]) => !listed.has(id)).map(([, one]) => materialHeld(one));
  return [
    ...materials.map((material) => {
      const mine = own.get(material.id);
      // A shade that is in the drawer is dyed: it comes in no other.
      return mine?.hex || mine?.shade ? { ...material, hex: hexHeld(mine), shades: 'one' as const } : material;
    }),
    ...added,
  ];
}

/** Id and name of what is held: its shade's where it is known which. */
export const calledHeld = ({ material, shade }: Held): { id: string; name: string } => shade ?? material;

/** The colour of what is held: as it was measured, as its shade is, as the material usually is. */
export const hexHeld = ({ material, shade, hex }: Held): `#${string}` => hex ?? shade?.hex ?? material.hex;

/** Everything that can be had: each material in each of its shades, and as it is where it has none. */
export function everyHeld(named: Named): Held[] {
  const { byOf } = indexOf(named);
  return named.materials
    .filter(({ of }) => of === undefined)
    .flatMap((material): Held[] => {
      const own = byOf.get(material.id) ?? [];
      return own.length === 0
        ? [{ material, shade: null, hex: null }]
        : own.map((shade) => ({ material, shade, hex: null }));
    });
}
