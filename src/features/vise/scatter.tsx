import { scaleLinear } from 'd3-scale';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import { Circle, G, Line } from 'react-native-svg';
import { useWidth } from '@/features/shell';
import { ChartText, Drawing } from '@/ui/drawings';
import { token } from '@/ui/tokens';

const TALL = 190;
const [LEFT, EDGE, FOOT, TOP] = [52, 20, 24, 8];

interface ScatterProps {
  /** What the picture says, in words. */
  label: string;
  /** Flies from the first on, and how far the values reach. */
  flies: number;
  values: readonly [number, number];
  dots: readonly { at: number; value: number }[];
  named: { fly(n: number): string; value(of: number): string };
  /** Lies below the dots, in the picture's own places. */
  under?: (x: (fly: number) => number, y: (value: number) => number) => ReactNode;
}

/** A dot for every fly in the order they were tied. */
export function Scatter({ label, flies, values, dots, named, under }: ScatterProps) {
  const [width, box] = useWidth();
  const x = scaleLinear([0.5, flies + 0.5], [LEFT, Math.max(LEFT + 1, width - EDGE)]);
  const y = scaleLinear([...values], [TALL - FOOT, TOP]);
  return (
    <View {...box}>
      {width > 0 ? (
        <Drawing label={label} width={width} height={TALL}>
          {y.ticks(4).map((at) => (
            <G key={at}>
              <Line
                x1={LEFT}
                x2={width - EDGE}
                y1={y(at)}
                y2={y(at)}
                stroke={token(at === 0 ? 'soft' : 'line')}
                strokeWidth={1}
              />
              <ChartText x={LEFT - 6} y={y(at) + 4} anchor="end">
                {named.value(at)}
              </ChartText>
            </G>
          ))}
          {x
            .ticks(Math.min(flies, 6))
            .filter((at) => Number.isInteger(at) && at > 0)
            .map((at) => (
              <ChartText key={at} x={x(at)} y={TALL - 6}>
                {named.fly(at)}
              </ChartText>
            ))}
          {under?.(x, y)}
          {dots.map(({ at, value }, n) => (
            <Circle key={n} cx={x(at)} cy={y(value)} r={4.5} fill={token('river')} />
          ))}
        </Drawing>
      ) : null}
    </View>
  );
}
