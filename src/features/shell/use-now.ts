import { useEffect, useState } from 'react';
import { useStore } from 'react-redux';
import type { Store } from '@/state';

/** Real time, ms since 1970, told anew every so often. */
export function useNow(everyMs: number): number {
  const { ports } = useStore() as unknown as Store;
  const [now, setNow] = useState(() => ports.now());
  useEffect(() => {
    const on = setInterval(() => setNow(ports.now()), everyMs);
    return () => clearInterval(on);
  }, [ports, everyMs]);
  return now;
}
