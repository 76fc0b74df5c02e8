import { useFonts, type FontSource } from 'expo-font';
import { useEffect, useState } from 'react';

/** A page in the reader's own faces is worth more than none: after so long it is shown, and ours come in when they are here. */
const FACES_WAIT_MS = 3000;

/** Whether the page need not wait for its faces any more: they are here, one failed, or they take too long. */
export function useFaces(faces: Record<string, FontSource>): boolean {
  const [here, failed] = useFonts(faces);
  const [late, setLate] = useState(false);
  useEffect(() => {
    const wait = setTimeout(() => setLate(true), FACES_WAIT_MS);
    return () => clearTimeout(wait);
  }, []);
  return here || failed !== null || late;
}
