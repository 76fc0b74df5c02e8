import { Circle, G, Line, Polyline } from 'react-native-svg';
import { LEAD_MM } from '@/core/rig';
import { token } from '../tokens';
import { ChartText } from './chart-text';
import { Drawing } from './marks';

/** A leader at one moment of a drift: where each of its flies is, mm along it and mm down. */
export interface RigMoment {
  seconds: number;
  places: readonly { id: string; alongMm: number; depthMm: number }[];
}

interface RigDrawingProps {
  label: string;
  width: number;
  /** The earliest first; the last is drawn whole, with names. */
  moments: readonly RigMoment[];
  momentText: (seconds: number) => string;
  /** Stands on the water above the flies. */
  indicator: boolean;
}

const LEAD = LEAD_MM;
const [SURFACE, SIDE, FOOT, LABEL] = [26, 16, 14, 20];
const LEAST_DEEP = 200;
const MOST_TALL = 260;

interface Point {
  x: number;
  y: number;
}

/** Places of the flies, mm from the line's tip and mm down: each stretch of leader as long as it is. */
function shape({ places }: RigMoment, indicator: boolean): Point[] {
  const points: Point[] = [];
  let from = indicator ? { x: LEAD, y: 0, along: 0 } : { x: 0, y: 0, along: -LEAD };
  for (const { alongMm, depthMm } of places) {
    const long = alongMm - from.along;
    const drop = Math.min(long, Math.abs(depthMm - from.y));
    from = { x: from.x + Math.sqrt(long ** 2 - drop ** 2), y: depthMm, along: alongMm };
    points.push({ x: from.x, y: from.y });
  }
  return points;
}

/** The leader as it sinks through a drift, to one scale along and down: where each fly is at each moment, and how deep at the last. */
export function RigDrawing({ label, width, moments, momentText, indicator }: RigDrawingProps) {
  const shapes = moments.map((moment) => ({ moment, points: shape(moment, indicator) }));
  const all = shapes.flatMap(({ points }) => points);
  const wide = Math.max(LEAD, ...all.map(({ x }) => x));
  const deep = Math.max(LEAST_DEEP, ...all.map(({ y }) => y));
  const scale = Math.min((width - 2 * SIDE - LABEL) / wide, (MOST_TALL - SURFACE - FOOT) / deep);
  const x = (mm: number) => SIDE + mm * scale;
  const y = (mm: number) => SURFACE + mm * scale;
  const last = shapes[shapes.length - 1];
  const tall = y(deep) + FOOT;
  return (
    <Drawing label={label} width={width} height={tall}>
      <Line x1={0} x2={width} y1={SURFACE} y2={SURFACE} stroke={token('river')} strokeWidth={1} />
      {shapes.map(({ moment, points }, at) => {
        const whole = at === shapes.length - 1;
        const start = indicator ? [`${x(0)},${SURFACE}`, `${x(LEAD)},${SURFACE}`] : [`${x(0)},${SURFACE}`];
        return (
          <G key={moment.seconds} opacity={whole ? 1 : 0.35 + (0.3 * at) / shapes.length}>
            <Polyline
              points={[...start, ...points.map((point) => `${x(point.x)},${y(point.y)}`)].join(' ')}
              fill="none"
              stroke={token('soft')}
              strokeWidth={whole ? 1.5 : 1}
            />
            {points.map((point, n) => (
              <Circle
                key={n}
                cx={x(point.x)}
                cy={y(point.y)}
                r={whole ? 4.5 : 3}
                fill={token(whole ? 'river' : 'soft')}
              />
            ))}
          </G>
        );
      })}
      {indicator ? <Circle cx={x(LEAD)} cy={SURFACE} r={6} fill={token('straw')} /> : null}
      {last?.points.map((point, n) => (
        <ChartText key={n} tone="ink" anchor="start" x={x(point.x) + 9} y={y(point.y) + (point.y === 0 ? 16 : 5)}>
          {String(n + 1)}
        </ChartText>
      ))}
      <ChartText anchor="start" x={SIDE} y={SURFACE - 9}>
        {momentText(last?.moment.seconds ?? 0)}
      </ChartText>
    </Drawing>
  );
}
