import { scaleLinear } from 'd3-scale';
import Svg, { Circle, G, Line } from 'react-native-svg';
import { token } from '../tokens';

/** One colour on the plane; `hue` null for a grey. */
export interface PlanePoint {
  id: string;
  hex: string;
  lightness: number;
  hue: number | null;
  /** Drawn larger, with an edge. */
  marked: boolean;
}

const HEIGHT = 260;
/** Greys stand in a strip of their own, px. */
const GREYS = 28;
const EDGE = 8;
const DOT = { plain: 3.2, marked: 7 } as const;
/** Hues begin at purple, so that reds, browns and olives lie side by side in the middle. */
const FIRST_HUE = 320;
/** Most of what is tied lies between red and green: those hues have most of the room. */
const ROOM = [
  [0, 0],
  [45, 0.08],
  [200, 0.86],
  [360, 1],
] as const;

/** Colours by lightness, pale above, against hue, greys at the left; the one looked for is a ring. One image: what it finds is said by its name. */
export function ShadePlane({
  label,
  points,
  target,
  width,
}: {
  label: string;
  points: readonly PlanePoint[];
  target: Pick<PlanePoint, 'lightness' | 'hue'> | null;
  width: number;
}) {
  const [left, right] = [GREYS + 2 * EDGE, width - EDGE];
  const across = scaleLinear(
    ROOM.map(([hue]) => hue),
    ROOM.map(([, share]) => left + share * (right - left)),
  );
  const down = scaleLinear([100, 0], [EDGE, HEIGHT - EDGE]);
  const x = (hue: number | null) => (hue === null ? EDGE + GREYS / 2 : across((hue - FIRST_HUE + 720) % 360));
  return (
    <Svg role="img" aria-label={label} width={width} height={HEIGHT}>
      <Line x1={GREYS + EDGE} x2={GREYS + EDGE} y1={0} y2={HEIGHT} stroke={token('line')} />
      {[25, 50, 75].map((lightness) => (
        <Line key={lightness} x1={0} x2={width} y1={down(lightness)} y2={down(lightness)} stroke={token('line')} />
      ))}
      {[...points]
        .sort((a, b) => Number(a.marked) - Number(b.marked))
        .map(({ id, hex, lightness, hue, marked }) => (
          <Circle
            key={id}
            cx={x(hue)}
            cy={down(lightness)}
            r={marked ? DOT.marked : DOT.plain}
            fill={hex}
            stroke={marked ? token('ink') : token('edge')}
            strokeWidth={marked ? 2 : 0.5}
          />
        ))}
      {target ? (
        <G>
          <Circle
            cx={x(target.hue)}
            cy={down(target.lightness)}
            r={13}
            fill="none"
            stroke={token('dawn')}
            strokeWidth={2}
          />
          <Line
            x1={x(target.hue)}
            x2={x(target.hue)}
            y1={down(target.lightness) - 18}
            y2={down(target.lightness) - 9}
            stroke={token('dawn')}
            strokeWidth={2}
          />
        </G>
      ) : null}
    </Svg>
  );
}
