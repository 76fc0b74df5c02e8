/** Whether a value says anything: nothing, an empty text, an empty list, and what holds only such, says nothing. */
export function says(value: unknown): boolean {
  if (value === null || value === undefined || value === '') return false;
  return typeof value === 'object' ? Object.values(value).some(says) : true;
}
