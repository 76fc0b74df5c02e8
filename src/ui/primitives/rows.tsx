import { useLayoutEffect, useRef, type ReactNode } from 'react';
import { View } from 'react-native';
import { useRowsInView } from './use-rows-in-view';

/** A long list inside a page that scrolls: only the rows in view are drawn; `tall` is what one is about, px. */
export function Rows<T>({
  label,
  rows,
  tall,
  children,
}: {
  label: string;
  rows: readonly T[];
  tall: number;
  children: (row: T) => ReactNode;
}) {
  const { list, rows: seen, height, onHeight } = useRowsInView(rows.length, tall);
  return (
    <View ref={list} role="list" aria-label={label} style={{ height }} className="border-t border-line">
      {seen.map(({ key, index, top }) => {
        const row = rows[index];
        return row === undefined ? null : (
          <RowPlace key={key} role="listitem" top={top} onHeight={(tall) => onHeight(index, tall)}>
            {children(row)}
          </RowPlace>
        );
      })}
    </View>
  );
}

/** Where a row of a list in view lies; how tall it is, is told before it is painted, so that no row moves under a finger. */
export function RowPlace({
  role,
  top,
  onHeight,
  className,
  children,
}: {
  role?: 'listitem';
  top: number;
  onHeight: (tall: number) => void;
  className?: string;
  children: ReactNode;
}) {
  const place = useRef<View>(null);
  // Only as it comes: later changes are told by its layout.
  useLayoutEffect(() => onHeight((place.current as unknown as HTMLElement).offsetHeight), []); // eslint-disable-line react-hooks/exhaustive-deps
  return (
    <View
      ref={place}
      role={role}
      style={{ position: 'absolute', top, left: 0, right: 0 }}
      className={className}
      onLayout={({ nativeEvent }) => onHeight(nativeEvent.layout.height)}
    >
      {children}
    </View>
  );
}
