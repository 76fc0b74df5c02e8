import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useLayoutEffect, useRef, useState, type RefObject } from 'react';
import type { View } from 'react-native';

/** The element that scrolls what a node lies in. */
function scrollerOf(node: HTMLElement | null): HTMLElement | null {
  for (let at = node?.parentElement ?? null; at; at = at.parentElement)
    if (/(auto|scroll)/.test(getComputedStyle(at).overflowY)) return at;
  return null;
}

const OVERSCAN = 3;
/** Until the page is laid out: a phone's. */
const FIRST = { width: 390, height: 900 };

export interface RowsInView {
  list: RefObject<View | null>;
  /** The rows in view, with where each lies from the top of the list, px. */
  rows: { key: string; index: number; top: number }[];
  /** Height of all rows, px. */
  height: number;
  /** Tells how tall a row really is, where rows are not all alike. */
  onHeight(index: number, height: number): void;
}

/** Rows inside a page that scrolls: only those in view; `tall` is their height, or what one is about until it was told. */
export function useRowsInView(count: number, tall: number): RowsInView {
  const list = useRef<View>(null);
  const scroller = useRef<HTMLElement | null>(null);
  const [margin, setMargin] = useState(0);
  // What stands above the list may grow or go at any render, and with it where the list begins.
  // eslint-disable-next-line react-hooks/exhaustive-deps
  useLayoutEffect(() => {
    const node = list.current as unknown as HTMLElement | null;
    scroller.current = scrollerOf(node);
    if (!node || !scroller.current) return;
    const top =
      node.getBoundingClientRect().top - scroller.current.getBoundingClientRect().top + scroller.current.scrollTop;
    if (Math.abs(top - margin) > 1) setMargin(top);
  });
  // The scroller is found after the first paint: the list looks for it once more then.
  const [, again] = useState(0);
  useEffect(() => again(1), []);
  // Its rows are read in this render and handed on as plain values.
  // eslint-disable-next-line react-hooks/incompatible-library
  const virtual = useVirtualizer({
    count,
    getScrollElement: () => scroller.current,
    estimateSize: () => tall,
    overscan: OVERSCAN,
    scrollMargin: margin,
    initialRect: FIRST,
  });
  return {
    list,
    height: virtual.getTotalSize(),
    onHeight: (index, height) => (height > 0 ? virtual.resizeItem(index, height) : undefined),
    rows: virtual
      .getVirtualItems()
      .map((item) => ({ key: String(item.key), index: item.index, top: item.start - margin })),
  };
}
