import Svg, { Circle, Line, Rect } from 'react-native-svg';
import { token } from '../tokens';

/** So many times its size a thread is drawn. */
export const THREAD_TIMES = 25;
const PX_PER_MM = (96 / 25.4) * THREAD_TIMES;
const GAP = 6;

/** A thread seen from its end, twisted round and laid flat, every thread at one scale. */
export function ThreadEnds({
  roundMm,
  wideMm,
  thickMm,
  colour,
  width,
  height,
}: {
  roundMm: number;
  wideMm: number;
  thickMm: number;
  /** Null under the red lamp. */
  colour: string | null;
  width: number;
  height: number;
}) {
  const fill = colour ?? token('line');
  const round = roundMm * PX_PER_MM;
  const base = height - 2;
  return (
    <Svg aria-hidden width={width} height={height}>
      <Line x1={0} x2={width} y1={base + 1} y2={base + 1} stroke={token('edge')} strokeWidth={1} />
      <Circle
        cx={round / 2 + 1}
        cy={base - round / 2}
        r={round / 2}
        fill={fill}
        stroke={token('edge')}
        strokeWidth={0.8}
      />
      <Rect
        x={round + GAP}
        y={base - thickMm * PX_PER_MM}
        width={wideMm * PX_PER_MM}
        height={thickMm * PX_PER_MM}
        fill={fill}
        stroke={token('edge')}
        strokeWidth={0.8}
      />
    </Svg>
  );
}
