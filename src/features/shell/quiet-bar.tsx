import { useDeferredValue, type ReactNode } from 'react';
import { useWindowDimensions, View } from 'react-native';
import { useWords } from './speech-context';

/** Something is being worked out: a thin bar, seen only once the wait is felt (150 ms). */
export function QuietBar() {
  const words = useWords();
  return <View role="progressbar" aria-label={words('opening')} className="waits" />;
}

/**
 * What may come a frame later: what stands above it answers the tap first, and this is drawn in slices while the page can be used.
 * A screen's height is kept for it until then, so that the page can be scrolled to what stands above.
 */
export function AfterHead({ children }: { children: ReactNode }) {
  const { height } = useWindowDimensions();
  if (useDeferredValue(true, false)) return children;
  return (
    <View style={{ minHeight: height }}>
      <QuietBar />
    </View>
  );
}
