/** A name with its first letter small, unless it begins with an abbreviation. */
export function lowered(text: string): string {
  return /^\p{Lu}\p{Lu}/u.test(text) ? text : `${text.charAt(0).toLowerCase()}${text.slice(1)}`;
}

/** A plain name at the head of a line. */
export function raised(text: string): string {
  return `${text.charAt(0).toUpperCase()}${text.slice(1)}`;
}
