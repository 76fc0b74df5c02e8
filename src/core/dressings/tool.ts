/** A tool of the bench: what needs it, and how to do without. */
export interface Tool {
  id: string;
  name: string;
  for: string;
  without: string;
}
