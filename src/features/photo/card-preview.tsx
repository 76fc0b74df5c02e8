import { View } from 'react-native';
import Svg, { Circle, Line, Rect } from 'react-native-svg';
import { FIELD_CARDS } from '@/catalogue/field-cards';
import { cardShapes, type CardSize } from '@/core/photo/card/svg';
import { useWidth, useWords } from '@/features/shell';

const NO_WORDS = { title: '', print: '', check: '' };
const MOST = 520;

/** The card as it will be printed, smaller. */
export function CardPreview({ size }: { size: CardSize }) {
  const words = useWords();
  const [width, box] = useWidth();
  const [w, h] = FIELD_CARDS.cards[size].size_mm;
  const shown = Math.min(MOST, width);
  return (
    <View {...box}>
      {shown > 0 ? (
        <View
          role="img"
          aria-label={words('field-card.drawn', { width: w, height: h })}
          style={{ width: shown, height: (shown * h) / w }}
          className="border border-edge"
        >
          <Svg width={shown} height={(shown * h) / w} viewBox={`0 0 ${w} ${h}`} aria-hidden>
            {cardShapes(FIELD_CARDS, size, NO_WORDS).map((shape, index) =>
              shape.kind === 'rect' ? (
                <Rect
                  key={index}
                  x={shape.rect[0]}
                  y={shape.rect[1]}
                  width={shape.rect[2]}
                  height={shape.rect[3]}
                  fill={shape.fill ?? 'none'}
                  stroke={shape.stroke ?? 'none'}
                  strokeWidth={shape.width}
                />
              ) : shape.kind === 'disc' ? (
                <Circle key={index} cx={shape.at[0]} cy={shape.at[1]} r={shape.radius} fill={shape.fill} />
              ) : shape.kind === 'line' ? (
                <Line
                  key={index}
                  x1={shape.from[0]}
                  y1={shape.from[1]}
                  x2={shape.to[0]}
                  y2={shape.to[1]}
                  stroke={shape.stroke}
                  strokeWidth={shape.width}
                />
              ) : null,
            )}
          </Svg>
        </View>
      ) : null}
    </View>
  );
}
