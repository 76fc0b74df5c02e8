import Svg, { G, Path, Rect } from 'react-native-svg';
import type { Drawn } from '@/core/materials';
import { token } from '../tokens';
import { SWATCH, swatchMarks } from './swatch-marks';

const GAP = 2;

function Half({ shape, colour, y }: { shape: Drawn; colour: string; y: number }) {
  const { strokes, fills } = swatchMarks(shape);
  return (
    <G y={y}>
      {fills.map((d) => (
        <Path key={d} d={d} fill={colour} fillRule="evenodd" stroke={token('edge')} strokeWidth={0.6} />
      ))}
      {strokes.map(({ d, width }) => (
        <Path key={d} d={d} fill="none" stroke={colour} strokeWidth={width} strokeLinecap="round" />
      ))}
    </G>
  );
}

/** A material as the thing it is, dry above and wet below; without colours its outline alone. What it is called stands beside it. */
export function Swatch({
  shape,
  dry,
  wet,
  width = SWATCH.width,
}: {
  shape: Drawn;
  /** Null under the red lamp, where no colour can be judged. */
  dry: string | null;
  wet: string | null;
  width?: number;
}) {
  const height = 2 * SWATCH.height + GAP;
  return (
    <Svg aria-hidden width={width} height={(width / SWATCH.width) * height} viewBox={`0 0 ${SWATCH.width} ${height}`}>
      <Rect x={0} y={SWATCH.height} width={SWATCH.width} height={GAP} fill={token('plane')} />
      <Half shape={shape} colour={dry ?? token('line')} y={0} />
      <Half shape={shape} colour={wet ?? token('line')} y={SWATCH.height + GAP} />
    </Svg>
  );
}
