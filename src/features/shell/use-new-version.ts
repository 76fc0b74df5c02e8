import { useCallback, useEffect, useState } from 'react';
import { Workbox } from 'workbox-window';

/**
 * Keeps the app for use without a network. A version that was already waiting when this page started is offered; one that arrives
 * while it is in use says nothing until the next start.
 */
export function useNewVersion(): { offered: boolean; take: () => void } {
  const [worker, setWorker] = useState<Workbox | null>(null);
  const [offered, setOffered] = useState(false);
  useEffect(() => {
    if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return;
    const made = new Workbox('/sw.js');
    void navigator.serviceWorker
      .getRegistration()
      .then((registration) => {
        setOffered(registration?.waiting !== null && registration?.waiting !== undefined);
        setWorker(made);
        return made.register();
      })
      .catch(() => undefined); // Where workers are not allowed the app works with a network only.
  }, []);
  const take = useCallback(() => {
    worker?.addEventListener('controlling', () => window.location.reload());
    worker?.messageSkipWaiting();
  }, [worker]);
  return { offered, take };
}
