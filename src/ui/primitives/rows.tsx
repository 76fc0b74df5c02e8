import type { ReactNode } from 'react';
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
          <View
            key={key}
            role="listitem"
            style={{ position: 'absolute', top, left: 0, right: 0 }}
            onLayout={({ nativeEvent }) => onHeight(index, nativeEvent.layout.height)}
          >
            {children(row)}
          </View>
        );
      })}
    </View>
  );
}
