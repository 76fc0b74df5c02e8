import type { ReactNode } from 'react';
import Svg, { G, Path } from 'react-native-svg';
import type { Mark } from '@/core/hooks/drawn';

/** Marks in millimetres, drawn at `scale` pixels a millimetre with their origin at (x, y) pixels. */
export function Marks({ marks, scale, x, y }: { marks: readonly Mark[]; scale: number; x: number; y: number }) {
  return (
    <G transform={`translate(${x} ${y}) scale(${scale})`}>
      {marks.map((mark, index) => (
        <Path
          key={index}
          d={mark.d}
          fill={mark.fill ?? 'none'}
          stroke={mark.stroke ?? 'none'}
          strokeWidth={mark.mm ? mark.width : (mark.width ?? 1) / scale}
          strokeLinecap="round"
          strokeLinejoin="round"
          opacity={mark.opacity}
          strokeDasharray={mark.dash}
        />
      ))}
    </G>
  );
}

/** A drawing that says its finding: one image to a screen reader. */
export function Drawing({
  label,
  width,
  height,
  children,
}: {
  label: string;
  width: number;
  height: number;
  children: ReactNode;
}) {
  return (
    <Svg role="img" aria-label={label} width={width} height={height} viewBox={`0 0 ${width} ${height}`}>
      {children}
    </Svg>
  );
}
