import { G, Line, Text as SvgText } from 'react-native-svg';
import { face, token } from '../tokens';
import type { FlyDrawing } from './fly/fly-marks';
import { Drawing, Marks } from './marks';
import type { NaturalDrawing } from './natural-marks';

export interface PlateProps {
  label: string;
  width: number;
  natural: NaturalDrawing | null;
  /** Length of the natural that is compared, mm: the dimension over the ticks. */
  measuredMm: number | null;
  fly: FlyDrawing | null;
  /** Name of a part's dimension line. */
  partName?: (kind: string) => string;
  /** Digits of a length, in the reader's unit. */
  digits: (mm: number) => string;
  ringAt?: number | null;
  only?: string | null;
  maxHeight?: number;
  /** Draws at true size: CSS pixels of a millimetre. */
  pxPerMm?: number | null;
}

const MARGIN = 16;
const TICKS = 34;
const FACE = face('mono');
const WORDS = face('sans');

/** The natural and the fly, one above the other at one scale, heads in line, millimetre ticks between them. */
export function Plate({
  label,
  width,
  natural,
  measuredMm,
  fly,
  partName,
  digits,
  ringAt = null,
  only = null,
  maxHeight = 420,
  pxPerMm = null,
}: PlateProps) {
  const left = Math.min(natural?.bounds.left ?? 0, fly?.bounds.left ?? 0);
  const right = Math.max(natural?.bounds.right ?? 0.5, fly?.bounds.right ?? 0.5);
  const naturalHeight = natural ? natural.bounds.top - natural.bounds.bottom : 0;
  const flyHeight = fly ? fly.bounds.top - fly.bounds.bottom : 0;
  const dims = fly && partName ? pickDimensions(fly, only) : [];
  const fixed =
    2 * MARGIN +
    (measuredMm !== null ? TICKS + 26 : 0) +
    (dims.length > 0 ? 30 * new Set(dims.map((item) => item.row)).size + 8 : 0);
  const scale =
    pxPerMm ??
    Math.max(
      2,
      Math.min((width - 2 * MARGIN) / (right - left), (maxHeight - fixed) / Math.max(0.5, naturalHeight + flyHeight)),
    );
  const x0 = width / 2 - ((left + right) / 2) * scale;
  const naturalY = MARGIN + (natural ? natural.bounds.top * scale : 0);
  const ticksY = natural ? MARGIN + naturalHeight * scale + 34 : MARGIN + 24;
  const flyTop = measuredMm !== null ? ticksY + TICKS : MARGIN;
  const above = dims.filter((item) => item.row === 'above').length > 0 ? 30 : 0;
  const flyY = flyTop + above + (fly ? fly.bounds.top * scale : 0);
  const below = dims.filter((item) => item.row === 'below').length > 0 ? 34 : 0;
  const height = Math.round(fly ? flyY - fly.bounds.bottom * scale + below + MARGIN : ticksY + TICKS);
  const rowY = { above: flyTop + 20, below: height - MARGIN - 14 };
  const from = Math.floor((MARGIN - x0) / scale);
  const to = Math.ceil((width - MARGIN - x0) / scale);
  const every = scale > 9 ? 1 : scale > 4 ? 2 : 5;
  const px = (mm: number) => x0 + mm * scale;
  const texts = new Map(dims.map((item) => [item.part, `${partName!(item.kind)} ${digits(item.mm)}`]));
  const places = new Map(
    (['above', 'below'] as const).flatMap((row) => [
      ...apart(
        dims
          .filter((item) => item.row === row)
          .map((item) => ({
            id: item.part,
            x: (px(item.from[0]) + px(item.to[0])) / 2,
            half: (texts.get(item.part)!.length * LETTER) / 2,
          })),
        width,
      ),
    ]),
  );
  return (
    <Drawing label={label} width={width} height={height}>
      {natural ? <Marks marks={natural.marks} scale={scale} x={x0} y={naturalY} /> : null}
      {measuredMm !== null ? (
        <G>
          <Line
            x1={MARGIN / 2}
            x2={width - MARGIN / 2}
            y1={ticksY}
            y2={ticksY}
            stroke={token('edge')}
            strokeWidth={1}
          />
          {Array.from({ length: to - from + 1 }, (_, index) => from + index)
            .filter((mm) => mm % every === 0 && px(mm) > MARGIN / 2 && px(mm) < width - MARGIN / 2)
            .map((mm) => (
              <Line
                key={mm}
                x1={px(mm)}
                x2={px(mm)}
                y1={ticksY}
                y2={ticksY + (mm % 5 === 0 ? 12 : 6)}
                stroke={token('edge')}
                strokeWidth={1}
              />
            ))}
          <Line x1={px(-measuredMm)} x2={px(0)} y1={ticksY} y2={ticksY} stroke={token('dawn')} strokeWidth={3} />
          <Line
            x1={px(-measuredMm)}
            x2={px(-measuredMm)}
            y1={ticksY - 7}
            y2={ticksY + 7}
            stroke={token('dawn')}
            strokeWidth={2}
          />
          <Line x1={px(0)} x2={px(0)} y1={ticksY - 7} y2={ticksY + 7} stroke={token('dawn')} strokeWidth={2} />
          <SvgText
            x={px(-measuredMm / 2)}
            y={ticksY - 8}
            fontFamily={FACE}
            fontSize={19}
            fill={token('dawn')}
            textAnchor="middle"
            letterSpacing={-0.6}
          >
            {digits(measuredMm)}
          </SvgText>
        </G>
      ) : null}
      {fly ? <Marks marks={fly.marks} scale={scale} x={x0} y={flyY} /> : null}
      {fly && ringAt !== null ? (
        <Ring
          x={x0 + fly.pointAt(ringAt)[0] * scale}
          y={flyY - fly.pointAt(ringAt)[1] * scale}
          inner={Math.max(RING.least, RING.mm * scale)}
        />
      ) : null}
      {dims.map((item) => {
        const [a, b] = [px(item.from[0]), px(item.to[0])];
        const y = rowY[item.row];
        const feet = flyY - item.from[1] * scale;
        return (
          <G key={item.part}>
            <Line
              x1={a}
              x2={a}
              y1={Math.min(y - 6, feet)}
              y2={Math.max(y + 6, Math.min(feet, y))}
              stroke={token('soft')}
              strokeWidth={0.8}
            />
            <Line
              x1={b}
              x2={b}
              y1={Math.min(y - 6, feet)}
              y2={Math.max(y + 6, Math.min(feet, y))}
              stroke={token('soft')}
              strokeWidth={0.8}
            />
            <Line x1={a} x2={b} y1={y} y2={y} stroke={token('soft')} strokeWidth={1} />
            <SvgText
              x={places.get(item.part)}
              y={item.row === 'above' ? y - 6 : y + 18}
              fontFamily={WORDS}
              fontSize={15}
              fill={token('ink')}
              textAnchor="middle"
            >
              {texts.get(item.part)}
            </SvgText>
          </G>
        );
      })}
    </Drawing>
  );
}

/** Width of a letter of a name, px at 15: what a label takes at most. */
const LETTER = 7.6;
const BETWEEN = 10;

/** Where labels of one row stand so that none lies over another or off the drawing: each gives way by half, then by what the edge asks. */
export function apart(labels: readonly { id: string; x: number; half: number }[], width: number): Map<string, number> {
  const row = [...labels].sort((a, b) => a.x - b.x);
  const x = row.map((label) => Math.min(width - label.half, Math.max(label.half, label.x)));
  const gap = (at: number) => row[at]!.half + row[at + 1]!.half + BETWEEN - (x[at + 1]! - x[at]!);
  for (let at = 0; at < row.length - 1; at++) {
    const over = gap(at);
    if (over <= 0) continue;
    x[at]! -= over / 2;
    x[at + 1]! += over / 2;
  }
  x[0] = Math.max(row[0]?.half ?? 0, x[0] ?? 0);
  for (let at = 0; at < row.length - 1; at++) x[at + 1]! += Math.max(0, gap(at));
  const off = row.length === 0 ? 0 : x[row.length - 1]! + row[row.length - 1]!.half - width;
  if (off > 0) {
    x[row.length - 1]! -= off;
    for (let at = row.length - 2; at >= 0; at--) x[at]! -= Math.max(0, gap(at));
  }
  return new Map(row.map((label, at) => [label.id, x[at]!]));
}

/** Clear of the body it stands on, however large that is drawn. */
const RING = { least: 9, mm: 0.8, tick: 7 } as const;

function Ring({ x, y, inner }: { x: number; y: number; inner: number }) {
  const outer = inner + RING.tick;
  return (
    <G>
      {(
        [
          [-1, 0],
          [1, 0],
          [0, -1],
          [0, 1],
        ] as const
      ).map(([dx, dy]) => (
        <Line
          key={`${dx}${dy}`}
          x1={x + dx * inner}
          x2={x + dx * outer}
          y1={y + dy * inner}
          y2={y + dy * outer}
          stroke={token('dawn')}
          strokeWidth={2.5}
        />
      ))}
    </G>
  );
}

/** Tail above, body and thorax below: lines that never cross. */
function pickDimensions(fly: FlyDrawing, only: string | null) {
  const wanted: Record<string, 'above' | 'below'> = {
    tail: 'above',
    shuck: 'above',
    'extended-body': 'above',
    abdomen: 'below',
    case: 'below',
  };
  return fly.dimensions
    .filter((item) => (only === null ? item.kind in wanted : item.part === only))
    .map((item) => ({ ...item, row: wanted[item.kind] ?? ('below' as const) }));
}
