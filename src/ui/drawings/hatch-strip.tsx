import { scaleLinear } from 'd3-scale';
import { Circle, G, Line, Path, Rect } from 'react-native-svg';
import { token } from '../tokens';
import { ChartText } from './chart-text';
import { Drawing } from './marks';

export interface StripLane {
  id: string;
  name: string;
  /** Chance at each place of the day, and the hour of a place. */
  curve: readonly number[];
  /** When it was noted, h. */
  seen: readonly number[];
}

interface HatchStripProps {
  label: string;
  width: number;
  from: number;
  to: number;
  hourAt: (bin: number) => number;
  light: { rise: number; set: number };
  lanes: readonly StripLane[];
  /** Flies on the leader, and when fish took. */
  team: readonly { id: string; name: string; on: number; off: number }[];
  took: readonly number[];
  /** Water temperature through the day with what it is called, °C; empty where no logger lay there. */
  warmth: { name: string; at: readonly { hour: number; c: number }[] };
  /** Null where the day is not running. */
  now: number | null;
}

export const STRIP = { lane: 36, fly: 30, foot: 22, took: 12, side: 16, top: 2 } as const;
const HUMP = 19;

/** Pixels of the hours of a strip. */
export const stripX = ({ width, from, to }: Pick<HatchStripProps, 'width' | 'from' | 'to'>) =>
  scaleLinear([from, to], [STRIP.side, Math.max(STRIP.side + 1, width - STRIP.side)]);

export const stripTall = (lanes: number, flies: number, warmth: boolean): number =>
  STRIP.top + (lanes + (warmth ? 1 : 0)) * STRIP.lane + flies * STRIP.fly + (flies > 0 ? STRIP.took : 0) + STRIP.foot;

/** A day from first light to dark: of everything that comes up how surely it does at each hour, what was seen of it, the flies that fished, and now. */
export function HatchStrip({ label, width, from, to, hourAt, light, lanes, team, took, warmth, now }: HatchStripProps) {
  const x = stripX({ width, from, to });
  const warm = warmth.at.length > 1;
  const tall = stripTall(lanes.length, team.length, warm);
  const foot = tall - STRIP.foot;
  const [left, right] = [x(from), x(to)];
  return (
    <Drawing label={label} width={width} height={tall}>
      <Rect
        x={left}
        y={0}
        width={Math.max(0, x(light.rise) - left)}
        height={foot}
        fill={token('line')}
        opacity={0.55}
      />
      <Rect
        x={x(light.set)}
        y={0}
        width={Math.max(0, right - x(light.set))}
        height={foot}
        fill={token('line')}
        opacity={0.55}
      />
      {x
        .ticks(Math.min(8, Math.max(3, Math.floor(width / 56))))
        .filter(Number.isInteger)
        .map((hour) => (
          <G key={hour}>
            <Line x1={x(hour)} x2={x(hour)} y1={0} y2={foot} stroke={token('line')} strokeWidth={1} />
            <ChartText x={x(hour)} y={tall - 6}>
              {String(hour % 24)}
            </ChartText>
          </G>
        ))}
      {lanes.map(({ id, name, curve, seen }, n) => {
        const base = STRIP.top + (n + 1) * STRIP.lane - 2;
        const points = curve
          .map((chance, bin) => ({ h: hourAt(bin), chance }))
          .filter(({ h }) => h >= from && h <= to)
          .map(({ h, chance }) => `${x(h).toFixed(1)},${(base - HUMP * chance).toFixed(1)}`);
        return (
          <G key={id}>
            <Path
              d={`M${left},${base}L${points.join('L')}L${right},${base}Z`}
              fill={token('sedge')}
              fillOpacity={0.45}
              stroke={token('sedge')}
              strokeWidth={1.25}
            />
            <ChartText tone="ink" x={left + 3} y={base - HUMP - 1} anchor="start">
              {name}
            </ChartText>
            {seen.map((hour, at) => (
              <Circle key={at} cx={x(hour)} cy={base} r={4} fill={token('dawn')} />
            ))}
          </G>
        );
      })}
      {team.map(({ id, name, on, off }, n) => {
        const y = STRIP.top + (lanes.length + (warm ? 1 : 0)) * STRIP.lane + n * STRIP.fly;
        return (
          <G key={id}>
            <ChartText tone="ink" x={left + 3} y={y + 16} anchor="start">
              {name}
            </ChartText>
            <Line
              x1={x(on)}
              x2={Math.max(x(on) + 3, x(off))}
              y1={y + 23}
              y2={y + 23}
              stroke={token('river')}
              strokeWidth={4}
            />
          </G>
        );
      })}
      {warm ? <Warmth {...warmth} x={x} left={left} base={STRIP.top + (lanes.length + 1) * STRIP.lane - 2} /> : null}
      {took.map((hour, n) => (
        <Line key={n} x1={x(hour)} x2={x(hour)} y1={foot - 8} y2={foot} stroke={token('ink')} strokeWidth={2.5} />
      ))}
      <Line x1={left} x2={right} y1={foot} y2={foot} stroke={token('soft')} strokeWidth={1} />
      {now !== null && now >= from && now <= to ? (
        <Line x1={x(now)} x2={x(now)} y1={0} y2={foot} stroke={token('dawn')} strokeWidth={2} />
      ) : null}
    </Drawing>
  );
}

/** The water's temperature as a line from its lowest to its highest. */
function Warmth({
  name,
  at,
  x,
  left,
  base,
}: HatchStripProps['warmth'] & { x: (hour: number) => number; left: number; base: number }) {
  const all = at.map(({ c }) => c);
  const y = scaleLinear([Math.min(...all), Math.max(...all) + 0.1], [base, base - HUMP]);
  return (
    <G>
      <ChartText tone="ink" x={left + 3} y={base - HUMP - 1} anchor="start">
        {name}
      </ChartText>
      <Path
        d={`M${at.map(({ hour, c }) => `${x(hour).toFixed(1)},${y(c).toFixed(1)}`).join('L')}`}
        fill="none"
        stroke={token('river')}
        strokeWidth={1.5}
      />
    </G>
  );
}
