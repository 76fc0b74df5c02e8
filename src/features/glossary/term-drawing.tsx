import { G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import type { RideId } from '@/catalogue/ids';
import { useSpeech } from '@/features/shell';
import { Drawing, hookMarks, Marks } from '@/ui/drawings';
import { token } from '@/ui/tokens';
import type { TermDrawing as Drawn } from './terms';

const [WIDTH, HEIGHT] = [264, 120];

/** A plain hook to show a measure on, mm. */
const HOOK = {
  bend: 'round',
  eye: 'ring',
  barb: 'barbed',
  shankMm: 8,
  gapeMm: 4.6,
  biteMm: 4.2,
  wireMm: 0.45,
  eyeMm: 1.5,
} as const;
const SCALE = 17;
const AT = { x: 194, y: 28 };

/** A measure as a line with its two ends, px. */
function Measure({ from, to }: { from: readonly [number, number]; to: readonly [number, number] }) {
  const ink = token('dawn');
  const level = Math.abs(from[1] - to[1]) < Math.abs(from[0] - to[0]);
  const end = ([x, y]: readonly [number, number]) =>
    level ? { x1: x, x2: x, y1: y - 5, y2: y + 5 } : { x1: x - 5, x2: x + 5, y1: y, y2: y };
  return (
    <G>
      <Line x1={from[0]} y1={from[1]} x2={to[0]} y2={to[1]} stroke={ink} strokeWidth={2.5} />
      <Line {...end(from)} stroke={ink} strokeWidth={2} />
      <Line {...end(to)} stroke={ink} strokeWidth={2} />
    </G>
  );
}

function Hook({ measure }: { measure: Extract<Drawn, { of: 'hook' }>['measure'] }) {
  const { marks, curve, bounds } = hookMarks(HOOK);
  const px = ([x, y]: readonly [number, number]): [number, number] => [AT.x + x * SCALE, AT.y - y * SCALE];
  const tip = curve.points.at(-1)!;
  const ends: Record<typeof measure, readonly [readonly [number, number], readonly [number, number]]> = {
    shank: [px([0, 0.9]), px([-HOOK.shankMm, 0.9])],
    gape: [px([tip[0], 0]), px([tip[0], tip[1]])],
    bite: [px([bounds.left + HOOK.wireMm, tip[1]]), px([tip[0], tip[1]])],
    wire: [px([-4, HOOK.wireMm / 2 + 0.35]), px([-4, -HOOK.wireMm / 2 - 0.35])],
    eye: [px([0, -1.3]), px([HOOK.eyeMm, -1.3])],
    room: [px([-1.4, 0.9]), px([-HOOK.shankMm, 0.9])],
  };
  return (
    <>
      <Marks marks={marks} scale={SCALE} x={AT.x} y={AT.y} />
      <Measure from={ends[measure][0]} to={ends[measure][1]} />
    </>
  );
}

const RIDES: readonly [RideId, number][] = [
  ['high', 26],
  ['film', 38],
  ['hanging', 50],
  ['under', 64],
  ['sink', 104],
];
const SURFACE = 38;
const WATER = 122;

/** Where each ride lies, from over the surface to deep. */
function Rides() {
  const speech = useSpeech();
  return (
    <>
      <Rect x={0} y={SURFACE} width={WATER} height={HEIGHT - SURFACE} fill={token('wash')} opacity={0.5} />
      <Line x1={0} x2={WATER} y1={SURFACE} y2={SURFACE} stroke={token('river')} strokeWidth={1.5} />
      {RIDES.map(([ride, y], index) => (
        <G key={ride}>
          <Path
            d={ride === 'hanging' ? `M${24 + index * 20} ${SURFACE}V${y + 8}` : `M${16 + index * 20} ${y}h16`}
            stroke={token('ink')}
            strokeWidth={5}
            strokeLinecap="round"
          />
          <SvgText x={130} y={Math.max(14, 14 + index * 25)} fill={token('ink')} fontSize={13}>
            {speech.name('rides', ride)}
          </SvgText>
          <Line
            x1={ride === 'hanging' ? 28 + index * 20 : 36 + index * 20}
            x2={126}
            y1={y}
            y2={Math.max(10, 10 + index * 25)}
            stroke={token('soft')}
            strokeWidth={0.75}
          />
        </G>
      ))}
    </>
  );
}

const NATURAL_AT = 116;
const SIZES = [
  { label: '16', x: 46, chance: 0.05 },
  { label: '14', x: 98, chance: 0.75 },
  { label: '12', x: 166, chance: 0.2 },
] as const;

/** A model's sizes on the scale of lengths, with the natural over them. */
function Scale({ show }: { show: Extract<Drawn, { of: 'scale' }>['show'] }) {
  const ink = token('ink');
  const base = 74;
  return (
    <>
      <Rect x={NATURAL_AT - 16} y={10} width={32} height={base} fill={token('dawn')} opacity={0.18} />
      <Line x1={NATURAL_AT} x2={NATURAL_AT} y1={8} y2={base + 10} stroke={token('dawn')} strokeWidth={2} />
      <Line x1={12} x2={WIDTH - 12} y1={base} y2={base} stroke={ink} strokeWidth={1.5} />
      {SIZES.map(({ label, x, chance }) => (
        <G key={label}>
          <Line x1={x} x2={x} y1={base - 6} y2={base + 6} stroke={ink} strokeWidth={2} />
          <SvgText x={x} y={base + 24} fill={ink} fontSize={14} textAnchor="middle">
            {label}
          </SvgText>
          {show === 'chance' ? (
            <Rect x={x - 8} y={base - 8 - chance * 56} width={16} height={chance * 56} fill={token('river')} />
          ) : null}
        </G>
      ))}
      {show === 'off' ? <Measure from={[SIZES[1].x, 46]} to={[NATURAL_AT, 46]} /> : null}
      {show === 'holds' ? <Measure from={[72, 46]} to={[132, 46]} /> : null}
    </>
  );
}

/** One term drawn; `label` is its sentence, which says what is seen. */
export function TermDrawing({ drawn, label }: { drawn: Drawn; label: string }) {
  return (
    <Drawing label={label} width={WIDTH} height={HEIGHT}>
      {drawn.of === 'hook' ? (
        <Hook measure={drawn.measure} />
      ) : drawn.of === 'ride' ? (
        <Rides />
      ) : (
        <Scale show={drawn.show} />
      )}
    </Drawing>
  );
}
