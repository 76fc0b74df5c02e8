import { useState } from 'react';
import type { LayoutChangeEvent } from 'react-native';

/** The width a drawing has been given, px; 0 until it is laid out. */
export function useWidth(): [number, (event: LayoutChangeEvent) => void] {
  const [width, setWidth] = useState(0);
  return [width, (event) => setWidth(Math.floor(event.nativeEvent.layout.width))];
}
