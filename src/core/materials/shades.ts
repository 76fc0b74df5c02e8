import type { Material, MaterialShade } from './material';

/** The shades of one material as they are shipped: words and colours, and which of them are bright dyes. */
export interface WrittenShades {
  of: string;
  shades: Readonly<Record<string, string>>;
  bright?: readonly string[];
}

/** What a material is given as in the list: a shade of another has the facts of that one beside its own. */
export type WrittenMaterial = { id: string; of?: string } & Partial<Material>;

/** Every row with all its facts. Throws, naming both, for a shade of what is no material: a fault of what is shipped. */
export function materialsOf(rows: readonly WrittenMaterial[]): Material[] {
  const byId = new Map(rows.map((row) => [row.id, row]));
  return rows.map((row) => {
    if (row.of === undefined) return row as Material;
    const whole = byId.get(row.of);
    if (!whole || whole.of !== undefined) throw new Error(`${row.id}/${row.of}`);
    return { ...whole, ...row } as Material;
  });
}

/** Id of a shade of a material, from its word. */
export const shadeId = (of: string, shade: string) =>
  `${of}-${shade
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '')}`;

/** All shades: those that dressings name as materials, and the others. `say` gives the word of a shade in the reader's language. */
export function shadesOf(
  materials: readonly Material[],
  written: readonly WrittenShades[],
  say: (shade: string) => string = (shade) => shade,
): MaterialShade[] {
  const byId = new Map(materials.map((material) => [material.id, material]));
  const named = materials.flatMap(({ id, of, shade, name, hex }): MaterialShade[] =>
    of === undefined ? [] : [{ id, of, shade: shade ?? name, name, hex, bright: false }],
  );
  const others = written.flatMap(({ of, shades, bright = [] }) =>
    Object.entries(shades).map(([shade, hex]): MaterialShade => ({
      id: shadeId(of, shade),
      of,
      shade: say(shade),
      name: `${byId.get(of)!.name}, ${say(shade)}`,
      hex: hex as MaterialShade['hex'],
      bright: bright.includes(shade),
    })),
  );
  return [...named, ...others];
}

/** A material that comes in shades as one of them. */
export function inShade(material: Material, { id, name, hex }: MaterialShade): Material {
  return { ...material, id, name, hex, shades: 'one', of: material.id };
}
