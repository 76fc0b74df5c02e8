import { wetHex } from '@/core/colour';
import type { Card } from '@/core/tying';

/** How much a material that stands by itself darkens: fibres take less water than a pad. */
const LOOSE = 0.6;

/** A card in the colours it has under water: layers as they were worked out, the rest as wet pads. Each part is changed once. */
export function cardInWater(card: Card): Card {
  const layered = new Map(card.layers.map((layer) => [layer.part, layer]));
  return {
    ...card,
    layers: card.layers.map((layer) => ({ ...layer, dry: layer.wet })),
    parts: card.parts.map((part) =>
      part.colour === null
        ? part
        : {
            ...part,
            colour: {
              ...part.colour,
              hex: part.colour.region
                ? wetHex(part.colour.hex)
                : (layered.get(part.id)?.wet.hex ?? wetHex(part.colour.hex, LOOSE)),
            },
          },
    ),
  };
}
