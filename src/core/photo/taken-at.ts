import { parse } from 'exifr';

const STAMP = /^(\d{4}):(\d\d):(\d\d) (\d\d:\d\d)/;

/**
 * When a camera says that it took a photograph.
 * @param file the whole picture as it was chosen.
 * @param now local time as `2033-05-24T04:50`; later than that nothing can have been taken, a camera whose clock is fast is not believed.
 * @returns the camera's local time in the same form, or null where the picture does not say, says nonsense or says what has not come yet.
 */
export async function takenAt(file: ArrayBuffer | Uint8Array, now: string): Promise<string | null> {
  const told: unknown = await parse(file, { pick: ['DateTimeOriginal'], reviveValues: false }).catch(() => null);
  const said = STAMP.exec(String((told as { DateTimeOriginal?: unknown } | null)?.DateTimeOriginal));
  if (!said) return null;
  const [, year, month, day, time] = said;
  const stamp = `${year}-${month}-${day}T${time}`;
  const real = Number(month) >= 1 && Number(month) <= 12 && Number(day) >= 1 && Number(day) <= 31;
  return real && stamp <= now ? stamp : null;
}
