import { useState } from 'react';
import { Image, View } from 'react-native';
import { G, Line, Path, Text as SvgText } from 'react-native-svg';
import { curveThrough, outlineOf } from '@/core/photo/trace';
import type { Overlay, OverlayInsect } from '@/records';
import { useWords } from '@/features/shell';
import { Drawing } from '@/ui/drawings';
import { face, token } from '@/ui/tokens';
import { traceNow } from './overlay';
import { pathThrough, usePictureInk } from './picture-ink';

const MOST_HEIGHT = 300;
const TICK_PX = 7;
const RULE_PX = 14;
/** Above the picture, which is laid out of the flow. */
const OVER = { position: 'absolute', left: 0, top: 0 } as const;

/** Outlines of thorax and abdomen as they were found or moved; none for a case, nor where widths were not kept. */
function outlines(insect: OverlayInsect): [number, number][][] {
  if (insect.what === 'case' || insect.widthsMm.length === 0) return [];
  const { nodes, cuts } = traceNow(insect);
  const line = curveThrough(nodes);
  return [
    [cuts[0], cuts[1]],
    [cuts[2], cuts[3]],
  ].map(([from, to]) => outlineOf(line, insect.widthsMm, from!, to!).map(([x, y]): [number, number] => [x, y]));
}

/** What was measured over its picture, balanced and seen from straight above: midline, ends, a number each and millimetres below. */
export function MeasuredCrop({ url, overlay }: { url: string; overlay: Overlay }) {
  const words = useWords();
  const ink = usePictureInk();
  const [room, setRoom] = useState(0);
  const scale = room === 0 ? 0 : Math.min(room / overlay.widthMm, MOST_HEIGHT / overlay.heightMm);
  const width = Math.round(overlay.widthMm * scale);
  const height = Math.round(overlay.heightMm * scale);
  const px = ([x, y]: [number, number]) => [(x - overlay.leftMm) * scale, (y - overlay.topMm) * scale] as const;
  return (
    <View onLayout={(event) => setRoom(Math.floor(event.nativeEvent.layout.width))}>
      {scale > 0 ? (
        <View style={{ width, height: height + RULE_PX }}>
          <Image
            source={{ uri: url }}
            aria-hidden
            style={[ink.through, { position: 'absolute', width, height, borderRadius: 6 }]}
          />
          <View style={OVER}>
            <Drawing
              label={words('photo.drawn', { count: overlay.insects.length })}
              width={width}
              height={height + RULE_PX}
            >
              {overlay.insects.map((insect) => {
                const line = (insect.hand ? curveThrough(insect.hand.nodes) : insect.midlineMm).map(([x, y]) =>
                  px([x, y]),
                );
                const ends = [
                  [line[0]!, line[1]!],
                  [line[line.length - 1]!, line[line.length - 2]!],
                ] as const;
                return (
                  <G key={insect.n}>
                    {outlines(insect).map((outline, index) => (
                      <Path
                        key={`r${index}`}
                        d={`${pathThrough(outline.map(px))}Z`}
                        stroke={ink.region}
                        strokeWidth={1.25}
                        strokeDasharray={index === 0 ? '5 3' : undefined}
                        fill="none"
                        opacity={0.8}
                      />
                    ))}
                    <Path d={pathThrough(line)} stroke={ink.casing} strokeWidth={5} fill="none" opacity={0.7} />
                    <Path d={pathThrough(line)} stroke={ink.line} strokeWidth={2} fill="none" />
                    {ends.map(([end, inner], index) => {
                      const length = Math.hypot(end[0] - inner[0], end[1] - inner[1]) || 1;
                      const [nx, ny] = [-(end[1] - inner[1]) / length, (end[0] - inner[0]) / length];
                      return (
                        <Line
                          key={index}
                          x1={end[0] - nx * 12}
                          y1={end[1] - ny * 12}
                          x2={end[0] + nx * 12}
                          y2={end[1] + ny * 12}
                          stroke={ink.line}
                          strokeWidth={2.5}
                        />
                      );
                    })}
                    <SvgText
                      x={Math.min(width - 16, Math.max(8, line[0]![0] + 10))}
                      y={Math.min(height - 6, Math.max(20, line[0]![1] - 12))}
                      fontSize={18}
                      fontFamily={face('strong')}
                      fill={ink.line}
                    >
                      {String(insect.n)}
                    </SvgText>
                  </G>
                );
              })}
              {Array.from({ length: Math.floor(overlay.widthMm) + 1 }, (_, mm) => (
                <Line
                  key={mm}
                  x1={mm * scale}
                  x2={mm * scale}
                  y1={height + 2}
                  y2={height + 2 + (mm % 5 === 0 ? TICK_PX + 4 : TICK_PX)}
                  stroke={token('soft')}
                  strokeWidth={1}
                />
              ))}
            </Drawing>
          </View>
        </View>
      ) : null}
    </View>
  );
}
