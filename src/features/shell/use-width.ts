import { useCallback, useMemo, useState } from 'react';
import type { LayoutChangeEvent, View } from 'react-native';

/** What a view is given so that its width is known. */
export interface WidthProps {
  ref: (view: View | null) => void;
  onLayout: (event: LayoutChangeEvent) => void;
}

/**
 * The width of a view, px, and what that view is given: known before the first frame is painted, so that what is drawn to the
 * width never pushes away the line a finger is on its way to.
 */
export function useWidth(): [number, WidthProps] {
  const [width, setWidth] = useState(0);
  const ref = useCallback((view: View | null) => {
    const wide = (view as unknown as HTMLElement | null)?.offsetWidth;
    if (wide) setWidth(wide);
  }, []);
  return [
    width,
    useMemo(() => ({ ref, onLayout: (event) => setWidth(Math.floor(event.nativeEvent.layout.width)) }), [ref]),
  ];
}
