import { useEffect, useRef, useState, type ReactNode } from 'react';
import { View } from 'react-native';

/** How far outside the screen something is drawn already, px. */
const AHEAD = '400px';

/** Holds its place, and draws what it holds once that comes near the screen: pictures of a long page. */
export function InView({ width, height, children }: { width: number; height: number; children: ReactNode }) {
  const box = useRef<View>(null);
  const [near, setNear] = useState(typeof IntersectionObserver === 'undefined');
  useEffect(() => {
    const element = box.current as unknown as HTMLElement | null;
    if (near || !element) return;
    const watch = new IntersectionObserver(
      (entries) => {
        if (entries.some((entry) => entry.isIntersecting)) setNear(true);
      },
      { rootMargin: AHEAD },
    );
    watch.observe(element);
    return () => watch.disconnect();
  }, [near]);
  return (
    <View ref={box} style={{ width, height }}>
      {near ? children : null}
    </View>
  );
}
