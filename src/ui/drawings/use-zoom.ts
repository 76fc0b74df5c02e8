import { useEffect, useRef, useState, type RefObject } from 'react';
import type { View } from 'react-native';

/** A stretch of an axis, in its own unit. */
export type Span = readonly [low: number, high: number];

const ZOOM = 1.35;
const PAN = 0.15;
const DRAG_PX = 6;

/** A span kept inside the whole, no shorter than the least. */
export function within([low, high]: Span, [first, last]: Span, least: number): Span {
  const length = Math.min(last - first, Math.max(Math.min(least, last - first), high - low));
  const middle = (low + high) / 2;
  const from = Math.min(last - length, Math.max(first, middle - length / 2));
  return [from, from + length];
}

/** A span made shorter (by over 1) or longer about a place that stays where it is. */
export function zoomed([low, high]: Span, about: number, by: number): Span {
  return [about - (about - low) / by, about + (high - about) / by];
}

interface Key {
  key: string;
  preventDefault(): void;
}

interface Finger {
  nativeEvent: { pointerId: number; clientX: number };
  currentTarget: unknown;
}

interface Zooming {
  span: Span;
  handlers: object;
}

/**
 * Zoom and pan of an axis: two fingers, a drag across, the wheel with Ctrl (zoom) or Shift (pan), and the keys + − ← → 0. The plain wheel
 * scrolls the page. `px` is the axis's own length on the screen and `side` where it begins.
 */
export function useZoom(box: RefObject<View | null>, whole: Span, least: number, px: number, side: number): Zooming {
  const [own, setOwn] = useState<{ whole: string; span: Span } | null>(null);
  const key = whole.join(' ');
  const span = own?.whole === key ? own.span : whole;
  const set = (next: Span) => setOwn({ whole: key, span: within(next, whole, least) });
  const length = span[1] - span[0];
  const placeOf = (clientX: number) => {
    const left = (box.current as unknown as HTMLElement | null)?.getBoundingClientRect().left ?? 0;
    return span[0] + ((clientX - left - side) / px) * length;
  };
  const fingers = useRef(new Map<number, number>());
  const start = useRef<{ x: number; span: Span; moved: boolean } | null>(null);
  const act = useRef<(event: WheelEvent) => void>(() => undefined);
  useEffect(() => {
    act.current = (event) => {
      if (event.ctrlKey || event.metaKey) {
        event.preventDefault();
        set(zoomed(span, placeOf(event.clientX), event.deltaY < 0 ? ZOOM : 1 / ZOOM));
      } else if (event.shiftKey || Math.abs(event.deltaX) > Math.abs(event.deltaY)) {
        event.preventDefault();
        const by = ((event.deltaX || event.deltaY) / px) * length;
        set([span[0] + by, span[1] + by]);
      }
    };
  });
  // Only a listener that is not passive can keep a pad's pinch from the browser.
  useEffect(() => {
    const node = box.current as unknown as HTMLElement | null;
    const wheel = (event: WheelEvent) => act.current(event);
    node?.addEventListener('wheel', wheel, { passive: false });
    return () => node?.removeEventListener('wheel', wheel);
  }, [box]);
  const pan = (by: number) => set([span[0] + by * length, span[1] + by * length]);
  const middle = (span[0] + span[1]) / 2;
  const KEYS: Record<string, () => void> = {
    '+': () => set(zoomed(span, middle, ZOOM)),
    '=': () => set(zoomed(span, middle, ZOOM)),
    '-': () => set(zoomed(span, middle, 1 / ZOOM)),
    '0': () => set(whole),
    ArrowLeft: () => pan(-PAN),
    ArrowRight: () => pan(PAN),
  };
  const up = (event: Finger) => {
    fingers.current.delete(event.nativeEvent.pointerId);
    start.current = null;
  };
  return {
    span,
    handlers: {
      onKeyDown: (event: Key) => {
        const action = KEYS[event.key];
        if (!action) return;
        event.preventDefault();
        action();
      },
      onPointerDown: (event: Finger) => {
        fingers.current.set(event.nativeEvent.pointerId, event.nativeEvent.clientX);
        start.current = { x: event.nativeEvent.clientX, span, moved: false };
      },
      onPointerMove: (event: Finger) => {
        const { pointerId, clientX } = event.nativeEvent;
        const before = fingers.current.get(pointerId);
        if (before === undefined || !start.current) return;
        const other = [...fingers.current].find(([id]) => id !== pointerId)?.[1];
        if (other !== undefined) {
          const [wide, now] = [Math.abs(before - other), Math.abs(clientX - other)];
          if (wide > 1 && now > 1) set(zoomed(span, placeOf((clientX + other) / 2), now / wide));
          fingers.current.set(pointerId, clientX);
          return;
        }
        if (!start.current.moved && Math.abs(clientX - start.current.x) < DRAG_PX) return;
        if (!start.current.moved) (event.currentTarget as Element).setPointerCapture?.(pointerId);
        start.current.moved = true;
        fingers.current.set(pointerId, clientX);
        const by = ((start.current.x - clientX) / px) * (start.current.span[1] - start.current.span[0]);
        set([start.current.span[0] + by, start.current.span[1] + by]);
      },
      onPointerUp: up,
      onPointerCancel: up,
    },
  };
}
