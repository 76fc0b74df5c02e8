/** Whether a value says anything: nothing, an empty text, an empty list, and what holds only such, says nothing. */
export function says(value: unknown): boolean {
  if (value === null || value === undefined || value === '') return false;
  return typeof value === 'object' ? Object.values(value).some(says) : true;
}

/** What one reading says over what is known: what it leaves empty never erases. */
export function saidOver<T extends object>(known: T, read: Partial<T>): T {
  return { ...known, ...(Object.fromEntries(Object.entries(read).filter(([, value]) => says(value))) as Partial<T>) };
}
