import { useLayoutEffect } from 'react';

/** Hears every key of the page from the moment its screen can be seen: a pedal pressed as a step appears is not lost, however busy the machine. */
export function useKeyDown(onKey: (event: KeyboardEvent) => void): void {
  useLayoutEffect(() => {
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [onKey]);
}
