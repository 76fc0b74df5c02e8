import { labOfShade } from '@/catalogue';
import { parseColour, type Lab } from '@/core/colour';
import { shadeSaid } from '@/features/colour-words';
import type { useWords } from '@/features/shell';

/** The colour a text names: a word, hex or Lab; null where it is none. */
export function colourSaid(text: string, words: ReturnType<typeof useWords>): Lab | null {
  const shade = shadeSaid(text, words);
  return shade ? labOfShade(shade) : (parseColour(text)?.lab ?? null);
}
