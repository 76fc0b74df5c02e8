import { Text as SvgText } from 'react-native-svg';
import { face, token } from '../tokens';

const SIZE = { mark: 13, name: 15 } as const;

/** Words in a drawing: a soft small mark of an axis, or a name in ink. */
export function ChartText({
  x,
  y,
  kind = 'mark',
  tone = kind === 'mark' ? 'soft' : 'ink',
  anchor = 'middle',
  children,
}: {
  x: number;
  y: number;
  kind?: keyof typeof SIZE;
  tone?: 'ink' | 'soft';
  anchor?: 'start' | 'middle' | 'end';
  children: string;
}) {
  return (
    <SvgText x={x} y={y} fontFamily={face('sans')} fontSize={SIZE[kind]} fill={token(tone)} textAnchor={anchor}>
      {children}
    </SvgText>
  );
}
