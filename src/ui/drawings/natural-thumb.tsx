import { View } from 'react-native';
import Svg from 'react-native-svg';
import type { StageId } from '@/catalogue/ids';
import { Marks } from './marks';
import { naturalMarks, type RegionColours } from './natural-marks';

/** A natural as large as its frame allows: a small picture, not a measure. */
export function NaturalThumb({
  stage,
  colours,
  width,
  height,
}: {
  stage: StageId;
  colours: RegionColours;
  width: number;
  height: number;
}) {
  const drawing = naturalMarks(stage, 10, colours, 12);
  const { left, right, top, bottom } = drawing.bounds;
  const scale = Math.min((width - 4) / (right - left), (height - 2) / (top - bottom));
  return (
    <View aria-hidden style={{ width, height }}>
      <Svg width={width} height={height}>
        <Marks
          marks={drawing.marks}
          scale={scale}
          x={width / 2 - ((left + right) / 2) * scale}
          y={height / 2 + ((top + bottom) / 2) * scale}
        />
      </Svg>
    </View>
  );
}
