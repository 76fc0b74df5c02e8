import { colourOf, shadeOf, stackColour, wetHex, type LayerMaterial } from '../colour';
import type { Dressing, DressingPart } from '../dressings';
import { staysOff, type Material } from '../materials';
import type { Card, CardPart, NamedColour } from '../card/card-shape';
import type { CardNatural } from './card-input';

/** Colours that were named: the few shades of the materials come back on every card. */
const namedColours = new Map<string, NamedColour>();

export function named(hex: string, source: NamedColour['source'], surface: 'dry' | 'wet' = 'dry'): NamedColour {
  const key = `${hex} ${source} ${surface}`;
  const known = namedColours.get(key);
  if (known) return known;
  const colour = colourOf(hex, surface, source);
  const made = { ...colour, shade: shadeOf(colour.lab) };
  namedColours.set(key, made);
  return made;
}

function layers(materials: readonly Material[]): LayerMaterial[] {
  return materials.map(({ hex, transmittance, absorbency }) => ({ hex, transmittance, absorbency }));
}

/** Clear enough for what lies beneath to be the colour. */
const CLEAR = 0.5;

function wantedColour(partId: string, dressing: Dressing, natural: CardNatural | null): NamedColour | null {
  const region = dressing.parts.find((part) => part.id === partId)?.region;
  return (region && natural?.colours[region]) || null;
}

/** A part in the natural's colour as far as its material comes in it; what it stays, and by how much, where it does not. */
export function partColour(part: DressingPart, own: Material | null, natural: CardNatural | null): CardPart['colour'] {
  const wanted = part.region ? natural?.colours[part.region] : undefined;
  if (!own) return wanted ? { ...wanted, region: part.region, stays: null, wet: null } : null;
  const off = wanted ? staysOff(own, wanted.lab, wanted.surface) : null;
  const clear =
    own.transmittance >= CLEAR && own.functions.some((does) => does === 'body.tubing' || does === 'wing.spent');
  const reached = wanted !== undefined && !clear && off === 0;
  const colour = reached ? wanted : named(own.hex, 'default');
  return {
    ...colour,
    region: wanted ? part.region : null,
    stays: wanted && !reached && !clear ? off : null,
    wet: named(wetHex(colour.hex, own.absorbency), 'model', 'wet'),
  };
}

/** What lies over one another in the shades chosen: the outermost as its part is, and under a clear skin a thread that gives the colour. */
function inColours(stack: readonly Material[], outer: CardPart['colour'], wanted: NamedColour | null): Material[] {
  const top = stack[stack.length - 1];
  return stack.map((item) => {
    if (item === top && stack.length > 0 && outer && item.transmittance < CLEAR) return { ...item, hex: outer.hex };
    return item !== top && top && top.transmittance >= CLEAR && wanted && item.shades === 'any'
      ? { ...item, hex: wanted.hex }
      : item;
  });
}

/** The stacks of a dressing in the shades its parts have, with the colour that is seen of each, dry and wet. */
export function layersOf(
  dressing: Dressing,
  parts: readonly CardPart[],
  material: (id: string | null) => Material | null,
  natural: CardNatural | null,
): Card['layers'] {
  return dressing.layers.map((layer) => {
    const stack = inColours(
      layer.from_under.flatMap((id) => material(id) ?? []),
      parts.find((part) => part.id === layer.part)?.colour ?? null,
      wantedColour(layer.part, dressing, natural),
    );
    const seen = stackColour(layers(stack));
    return {
      part: layer.part,
      from_under: stack.map((item) => ({ material: item.id, surface_mm: null })),
      dry: named(seen.dry, 'model'),
      wet: named(seen.wet, 'model', 'wet'),
    };
  });
}
