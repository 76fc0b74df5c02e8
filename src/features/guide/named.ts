/** A plain name at the head of a line. */
export function named(name: string): string {
  return `${name.charAt(0).toUpperCase()}${name.slice(1)}`;
}
