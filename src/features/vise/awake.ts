import { useEffect, useState } from 'react';

/** Whether the screen is kept awake: `none` where this browser cannot, `off` where it may not or is not asked to. */
export type Awake = 'on' | 'off' | 'none';

/** Keeps the screen awake while it is shown, where the browser can and the tier wants it; taken up again when the page is seen again. */
export function useAwake(wanted: boolean): Awake {
  const [awake, setAwake] = useState<Awake>(() => ('wakeLock' in navigator ? 'off' : 'none'));
  useEffect(() => {
    if (!wanted || !('wakeLock' in navigator)) return;
    let lock: WakeLockSentinel | null = null;
    let here = true;
    const take = () => {
      if (document.visibilityState !== 'visible') return;
      navigator.wakeLock.request('screen').then(
        (held) => {
          if (!here) return void held.release();
          lock = held;
          setAwake('on');
          held.addEventListener('release', () => here && setAwake('off'));
        },
        () => here && setAwake('off'),
      );
    };
    take();
    document.addEventListener('visibilitychange', take);
    return () => {
      here = false;
      document.removeEventListener('visibilitychange', take);
      void lock?.release();
      setAwake('off');
    };
  }, [wanted]);
  return awake;
}
