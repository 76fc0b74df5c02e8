import Bourne from 'secure-json-parse';
import type { Coded } from '../code';

/** The largest text and the deepest nesting that is parsed: ten seasons are under a tenth of either. */
export const JSON_LIMITS = { chars: 64_000_000, depth: 60 } as const;

const QUOTE = 34;
const BACKSLASH = 92;
/** `[` and `{`, `]` and `}`. */
const OPEN = new Set([91, 123]);
const CLOSE = new Set([93, 125]);

/** How deep the brackets of a JSON text nest, counted without parsing it, up to one more than `most`. */
export function depthOf(text: string, most: number): number {
  let depth = 0;
  let deepest = 0;
  let quoted = false;
  for (let at = 0; at < text.length; at++) {
    const code = text.charCodeAt(at);
    if (quoted) {
      if (code === BACKSLASH) at++;
      else if (code === QUOTE) quoted = false;
    } else if (code === QUOTE) quoted = true;
    else if (OPEN.has(code)) {
      depth++;
      if (depth > deepest) deepest = depth;
      if (deepest > most) return deepest;
    } else if (CLOSE.has(code)) depth--;
  }
  return deepest;
}

export type JsonRead = { ok: true; value: unknown } | { ok: false; fault: Coded };

/** Parses a JSON text of a stranger: one that is too long or too deep is refused before it is parsed, and one that would reach into how objects work as well. */
export function readJson(text: string): JsonRead {
  const refused = (code: string): JsonRead => ({ ok: false, fault: { code, params: {} } });
  if (text.length > JSON_LIMITS.chars) return refused('too-large');
  if (depthOf(text, JSON_LIMITS.depth) > JSON_LIMITS.depth) return refused('file-deep');
  try {
    return { ok: true, value: Bourne.parse(text.replace(/^\uFEFF/, '')) };
  } catch (error) {
    // The parser's own fault says where; one about keys says nothing that a tier could use.
    return refused(/prototype|forbidden/i.test((error as Error).message) ? 'file-keys' : 'file-no-json');
  }
}
