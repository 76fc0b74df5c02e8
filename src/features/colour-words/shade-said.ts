import { ALL_HUES, TONES } from './shade-words';

/** The shade that a text names in the words of the reader, "pale olive" or "olive" alone; null where it names none. */
export function shadeSaid(text: string, words: (key: string) => string): string | null {
  const said = text.trim().toLowerCase().split(/\s+/);
  const hue = ALL_HUES.find((id) => said.includes(words(`words.hue.${id}`).toLowerCase()));
  if (!hue) return null;
  const rest = said.filter((word) => word !== words(`words.hue.${hue}`).toLowerCase());
  if (rest.length === 0) return `mid-${hue}`;
  const tone = TONES.find((id) => rest.length === 1 && rest[0] === words(`words.tone.${id}`).toLowerCase());
  return tone ? `${tone}-${hue}` : null;
}
