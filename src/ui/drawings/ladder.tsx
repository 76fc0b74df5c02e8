import { scaleLinear, type ScaleLinear } from 'd3-scale';
import { memo, useRef } from 'react';
import { View } from 'react-native';
import { Circle, Defs, G, Line, LinearGradient, Rect, Stop, Text as SvgText, TSpan } from 'react-native-svg';
import { useRowsInView } from '../primitives/use-rows-in-view';
import { face, token } from '../tokens';
import { Drawing } from './marks';
import { useZoom, type Span } from './use-zoom';

export interface Rung {
  id: string;
  size: string;
  mm: number;
  /** ± at 95 % where the length is about, mm; null where it was measured. */
  half: number | null;
  /** Probability in its model, in words; null where it is not said. */
  chance: string | null;
  lit: boolean;
  owned: boolean;
  pinned: boolean;
}

export interface Rail {
  id: string;
  maker: string;
  model: string;
  rungs: readonly Rung[];
  /** What is still to be measured of it, short and in full; null where nothing is. */
  open?: { short: string; said: string } | null;
}

export interface LadderProps {
  label: string;
  /** What the keys, wheel and fingers do, spoken once. */
  hint: string;
  width: number;
  count: number;
  /** One rail, when it comes into view. */
  railAt: (index: number) => Rail;
  /** The natural's target and its ±, mm; null where hooks are only compared with one another. */
  band: { mm: number; half: number; digits: string } | null;
  /** What a rail is called, with the sizes of it in view. */
  railLabel: (rail: Rail, sizes: readonly string[]) => string;
  domain: Span;
  tick: (mm: number) => string;
  unit: string;
  chosen?: string | null;
  onRung?: (id: string) => void;
  /** What it lies on, so that the axis covers the rails that pass under it. */
  on?: 'ground' | 'plane';
}

const RAIL = 76;
const HEAD = 36;
const SIDE = 22;
const LEAST_SPAN_MM = 1.5;
const FACE = face('mono');
const STRONG = face('mono-strong');

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

/** One length axis, a rail for every model, its sizes as rungs at their true length; the natural lies across as a soft band. Only rails in view are drawn. */
export function Ladder({
  label,
  hint,
  width,
  count,
  railAt,
  band,
  railLabel,
  domain,
  tick,
  unit,
  chosen,
  onRung,
  on = 'ground',
}: LadderProps) {
  const box = useRef<View>(null);
  const { span, handlers } = useZoom(box, domain, LEAST_SPAN_MM, width - 2 * SIDE, SIDE);
  const { list, rows } = useRowsInView(count, RAIL);
  const x = scaleLinear()
    .domain(span)
    .range([SIDE, width - SIDE]);
  return (
    <View ref={box} role="group" aria-label={hint} tabIndex={0} {...handlers} style={FINGERS}>
      <View style={STICKY} className={on === 'plane' ? 'bg-plane' : 'bg-ground'}>
        <Drawing label={label} width={width} height={HEAD + (band ? 22 : 0)}>
          {band && band.mm >= span[0] && band.mm <= span[1] ? (
            <SvgText
              x={x(band.mm)}
              y={16}
              fontFamily={STRONG}
              fontSize={18}
              fill={token('dawn')}
              textAnchor="middle"
              letterSpacing={-0.6}
            >
              {band.digits}
            </SvgText>
          ) : null}
          <Axis x={x} y={HEAD + (band ? 22 : 0) - 7} width={width} tick={tick} unit={unit} />
        </Drawing>
      </View>
      <View ref={list} style={{ height: count * RAIL }}>
        {rows.map((item) => (
          <View key={item.key} style={{ position: 'absolute', top: item.top, left: 0, height: RAIL }}>
            <RailDrawing
              rail={railAt(item.index)}
              railLabel={railLabel}
              width={width}
              low={span[0]}
              high={span[1]}
              band={band}
              chosen={chosen ?? null}
              onRung={onRung}
            />
          </View>
        ))}
      </View>
    </View>
  );
}

/** The axis stays in sight while rails pass under it. */
const STICKY = { position: 'sticky', top: 0, zIndex: 1 } as object;
/** Up and down scrolls the page; across and with two fingers is the ladder's own. */
const FINGERS = { touchAction: 'pan-y', outlineOffset: -2 } as object;

interface RailProps {
  rail: Rail;
  width: number;
  low: number;
  high: number;
  band: LadderProps['band'];
  chosen: string | null;
  railLabel: LadderProps['railLabel'];
  onRung?: (id: string) => void;
}

const RailDrawing = memo(function RailDrawing({ rail, railLabel, width, low, high, band, chosen, onRung }: RailProps) {
  const x = scaleLinear()
    .domain([low, high])
    .range([SIDE, width - SIDE]);
  const inside = rail.rungs.filter((rung) => rung.mm >= low && rung.mm <= high);
  const rungs = inside.map((rung) => ({ ...rung, x: x(rung.mm) }));
  const labels = shownLabels(rungs);
  const best = rail.rungs.find((rung) => rung.lit);
  const y = 40;
  const shade = `natural-band-${rail.id.replace(/[^\w-]/g, '-')}`;
  return (
    <Drawing
      label={railLabel(
        rail,
        inside.map((rung) => rung.size),
      )}
      width={width}
      height={RAIL}
    >
      {band ? (
        <G>
          <Defs>
            <LinearGradient id={shade} x1="0" x2="1" y1="0" y2="0">
              <Stop offset="0" stopColor={token('dawn')} stopOpacity={0} />
              <Stop offset="0.5" stopColor={token('dawn')} stopOpacity={0.3} />
              <Stop offset="1" stopColor={token('dawn')} stopOpacity={0} />
            </LinearGradient>
          </Defs>
          <Rect
            x={x(band.mm - band.half)}
            y={0}
            width={Math.max(4, x(band.mm + band.half) - x(band.mm - band.half))}
            height={RAIL}
            fill={`url(#${shade})`}
          />
          <Line
            x1={x(band.mm)}
            x2={x(band.mm)}
            y1={0}
            y2={RAIL}
            stroke={token('dawn')}
            strokeWidth={1.5}
            strokeDasharray="2 4"
          />
        </G>
      ) : null}
      <SvgText x={SIDE - 8} y={18} fontFamily={face('strong')} fontSize={15} fill={token('ink')}>
        {rail.maker}
        <TSpan fontFamily={face('sans')} fill={token('soft')}>{`  ${rail.model}`}</TSpan>
      </SvgText>
      {best?.chance ? (
        <SvgText
          x={width - SIDE + 8}
          y={18}
          fontFamily={STRONG}
          fontSize={15}
          fill={token('dawn')}
          textAnchor="end"
          letterSpacing={-0.5}
        >
          {best.size}
          <TSpan fontFamily={face('sans')} dx={8}>
            {best.chance}
          </TSpan>
          {rail.open ? (
            <TSpan fontFamily={face('sans')} dx={8} fill={token('straw')}>
              {rail.open.short}
            </TSpan>
          ) : null}
        </SvgText>
      ) : null}
      <Line x1={SIDE - 8} x2={width - SIDE + 8} y1={y} y2={y} stroke={token('line')} strokeWidth={1} />
      {rungs.map((rung) => (
        <G key={rung.id} onPress={onRung ? () => onRung(rung.id) : undefined}>
          {rung.half !== null ? (
            <Line
              x1={x(Math.max(low, rung.mm - rung.half))}
              x2={x(Math.min(high, rung.mm + rung.half))}
              y1={y}
              y2={y}
              stroke={rung.lit ? token('dawn') : token('edge')}
              strokeWidth={3}
              strokeLinecap="round"
            />
          ) : null}
          <Line
            x1={rung.x}
            x2={rung.x}
            y1={y - (rung.lit ? 13 : 9)}
            y2={y + (rung.lit ? 13 : 9)}
            stroke={rung.lit ? token('dawn') : token('ink')}
            strokeWidth={rung.id === chosen ? 3 : 2}
            strokeDasharray={rung.half !== null && !rung.lit ? '3 3' : undefined}
          />
          {rung.lit ? (
            <Circle
              cx={rung.x}
              cy={y}
              r={7.5}
              fill={rung.owned || rung.pinned ? token('dawn') : token('plane')}
              stroke={token('dawn')}
              strokeWidth={2.5}
            />
          ) : null}
          {rung.owned && !rung.lit ? <Circle cx={rung.x} cy={y} r={4.5} fill={token('ink')} /> : null}
          {labels.has(rung.id) ? (
            <SvgText
              x={rung.x}
              y={y + 29}
              fontFamily={rung.lit ? STRONG : FACE}
              fontSize={rung.lit ? 17 : 15}
              fill={rung.lit ? token('ink') : token('soft')}
              textAnchor="middle"
              letterSpacing={-0.5}
            >
              {rung.size}
            </SvgText>
          ) : null}
          <Rect x={rung.x - 10} y={y - 20} width={20} height={52} fill="transparent" />
        </G>
      ))}
    </Drawing>
  );
});

interface AxisProps {
  x: ScaleLinear<number, number>;
  y: number;
  width: number;
  tick: (mm: number) => string;
  unit: string;
}

/** Millimetres along the rails. */
function Axis({ x, y, width, tick, unit }: AxisProps) {
  return (
    <G>
      <Line x1={SIDE - 8} x2={width - SIDE + 8} y1={y} y2={y} stroke={token('edge')} strokeWidth={1} />
      {x.ticks(Math.min(8, Math.max(3, Math.floor(width / 70)))).map((mm, index, all) => (
        <G key={mm}>
          <Line x1={x(mm)} x2={x(mm)} y1={y} y2={y + 6} stroke={token('edge')} strokeWidth={1} />
          <SvgText
            x={x(mm)}
            y={y - 7}
            fontFamily={FACE}
            fontSize={15}
            fill={token('soft')}
            textAnchor="middle"
            letterSpacing={-0.5}
          >
            {tick(mm)}
            {index === all.length - 1 ? <TSpan fontFamily={face('sans')}>{` ${unit}`}</TSpan> : null}
          </SvgText>
        </G>
      ))}
    </G>
  );
}
