import { scaleLinear, type ScaleLinear } from 'd3-scale';
import { Defs, G, Line, LinearGradient, Rect, Stop, Text as SvgText, TSpan, Circle } from 'react-native-svg';
import { token } from '../tokens';
import { Drawing } from './marks';

export interface Rung {
  id: string;
  size: string;
  mm: number;
  lit: boolean;
  owned: boolean;
  about: boolean;
  pinned: boolean;
}

export interface Rail {
  id: string;
  maker: string;
  model: string;
  rungs: readonly Rung[];
}

export interface LadderProps {
  label: string;
  width: number;
  rails: readonly Rail[];
  /** The natural's target and its ±, mm; null where hooks are only compared with one another. */
  band: { mm: number; half: number; digits: string } | null;
  domain: readonly [number, number];
  tick: (mm: number) => string;
  unit: string;
  chosen?: string | null;
  onRung?: (id: string) => void;
}

const RAIL = 76;
const TOP = 34;
const FOOT = 40;
const SIDE = 22;
const FACE = 'DMMono_400Regular';
const STRONG = 'DMMono_500Medium';

/** Labels that would run into one another give way: lit ones first, then from the left. */
function shownLabels(rungs: readonly (Rung & { x: number })[]): ReadonlySet<string> {
  const taken: [number, number][] = [];
  const shown = new Set<string>();
  for (const rung of [...rungs].sort((a, b) => Number(b.lit) - Number(a.lit) || a.x - b.x)) {
    const half = rung.size.length * (rung.lit ? 5.4 : 4.8) + 3;
    if (taken.some(([a, b]) => rung.x + half > a && rung.x - half < b)) continue;
    taken.push([rung.x - half, rung.x + half]);
    shown.add(rung.id);
  }
  return shown;
}

/** One length axis, a rail for every model, its sizes as rungs at their true length; the natural lies across as a soft band. */
export function Ladder({ label, width, rails, band, domain, tick, unit, chosen, onRung }: LadderProps) {
  const x = scaleLinear().domain(domain).range([SIDE, width - SIDE]);
  const height = TOP + rails.length * RAIL + FOOT;
  const axisY = TOP + rails.length * RAIL + 6;
  const inside = (mm: number) => mm >= domain[0] && mm <= domain[1];
  return (
    <Drawing label={label} width={width} height={height}>
      <Defs>
        <LinearGradient id="natural-band" x1="0" x2="1" y1="0" y2="0">
          <Stop offset="0" stopColor={token('dawn')} stopOpacity={0} />
          <Stop offset="0.5" stopColor={token('dawn')} stopOpacity={0.3} />
          <Stop offset="1" stopColor={token('dawn')} stopOpacity={0} />
        </LinearGradient>
      </Defs>
      {band ? (
        <G>
          <Rect x={x(band.mm - band.half)} y={TOP - 6} width={Math.max(4, x(band.mm + band.half) - x(band.mm - band.half))} height={rails.length * RAIL + 6} fill="url(#natural-band)" />
          <Line x1={x(band.mm)} x2={x(band.mm)} y1={TOP - 4} y2={axisY} stroke={token('dawn')} strokeWidth={1.5} strokeDasharray="2 4" />
          <SvgText x={x(band.mm)} y={18} fontFamily={STRONG} fontSize={18} fill={token('dawn')} textAnchor="middle" letterSpacing={-0.6}>
            {band.digits}
          </SvgText>
        </G>
      ) : null}
      {rails.map((rail, index) => {
        const y = TOP + index * RAIL + 38;
        const rungs = rail.rungs.filter((rung) => inside(rung.mm)).map((rung) => ({ ...rung, x: x(rung.mm) }));
        const labels = shownLabels(rungs);
        return (
          <G key={rail.id}>
            <SvgText x={SIDE - 8} y={y - 18} fontFamily="InstrumentSans_600SemiBold" fontSize={15} fill={token('ink')}>
              {rail.maker}
              <TSpan fontFamily="InstrumentSans_400Regular" fill={token('soft')}>{`  ${rail.model}`}</TSpan>
            </SvgText>
            <Line x1={SIDE - 8} x2={width - SIDE + 8} y1={y} y2={y} stroke={token('line')} strokeWidth={1} />
            {rungs.map((rung) => (
              <G key={rung.id} onPress={onRung ? () => onRung(rung.id) : undefined}>
                <Line x1={rung.x} x2={rung.x} y1={y - (rung.lit ? 13 : 9)} y2={y + (rung.lit ? 13 : 9)} stroke={rung.lit ? token('dawn') : token('ink')} strokeWidth={rung.id === chosen ? 3 : 2} strokeDasharray={rung.about && !rung.lit ? '3 3' : undefined} />
                {rung.lit ? <Circle cx={rung.x} cy={y} r={7.5} fill={rung.owned || rung.pinned ? token('dawn') : token('plane')} stroke={token('dawn')} strokeWidth={2.5} /> : null}
                {labels.has(rung.id) ? (
                  <SvgText x={rung.x} y={y + 29} fontFamily={rung.lit ? STRONG : FACE} fontSize={rung.lit ? 17 : 15} fill={rung.lit ? token('ink') : token('soft')} textAnchor="middle" letterSpacing={-0.5}>
                    {rung.size}
                  </SvgText>
                ) : null}
                <Rect x={rung.x - 10} y={y - 20} width={20} height={52} fill="transparent" />
              </G>
            ))}
          </G>
        );
      })}
      <Axis x={x} y={axisY} down width={width} tick={tick} unit={unit} />
      {band ? null : <Axis x={x} y={26} down={false} width={width} tick={tick} unit={unit} />}
    </Drawing>
  );
}

interface AxisProps {
  x: ScaleLinear<number, number>;
  y: number;
  down: boolean;
  width: number;
  tick: (mm: number) => string;
  unit: string;
}

/** Millimetres along the rails: below them, and above where nothing else says the scale at once. */
function Axis({ x, y, down, width, tick, unit }: AxisProps) {
  return (
    <G>
      <Line x1={SIDE - 8} x2={width - SIDE + 8} y1={y} y2={y} stroke={token('edge')} strokeWidth={1} />
      {x.ticks(Math.min(8, Math.max(3, Math.floor(width / 70)))).map((mm, index, all) => (
        <G key={mm}>
          <Line x1={x(mm)} x2={x(mm)} y1={y} y2={down ? y + 6 : y - 6} stroke={token('edge')} strokeWidth={1} />
          <SvgText x={x(mm)} y={down ? y + 23 : y - 10} fontFamily={FACE} fontSize={15} fill={token('soft')} textAnchor="middle" letterSpacing={-0.5}>
            {tick(mm)}
            {index === all.length - 1 ? <TSpan fontFamily="InstrumentSans_400Regular">{` ${unit}`}</TSpan> : null}
          </SvgText>
        </G>
      ))}
    </G>
  );
}
