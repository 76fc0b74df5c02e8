import { View } from 'react-native';
import Svg from 'react-native-svg';
import type { Card } from '@/core/tying';
import { flyMarks } from './fly/fly-marks';
import { Marks } from './marks';

interface FlyThumbProps {
  card: Card | undefined;
  width: number;
  height: number;
  /** Without colours. */
  plain: boolean;
}

/** A dressed fly as large as its frame allows: a small picture, not a measure. */
export function FlyThumb({ card, width, height, plain }: FlyThumbProps) {
  if (!card) return <View style={{ width, height }} />;
  const drawing = flyMarks(card, { plain });
  const { left, right, top, bottom } = drawing.bounds;
  const scale = Math.min((width - 4) / (right - left), (height - 4) / (top - bottom));
  return (
    <View aria-hidden style={{ width, height }}>
      <Svg width={width} height={height}>
        <Marks
          marks={drawing.marks.map((mark) => ({ ...mark, width: mark.mm ? mark.width : (mark.width ?? 1) * 0.7 }))}
          scale={scale}
          x={width / 2 - ((left + right) / 2) * scale}
          y={height / 2 + ((top + bottom) / 2) * scale}
        />
      </Svg>
    </View>
  );
}
