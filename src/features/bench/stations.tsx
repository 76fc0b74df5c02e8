import { useState } from 'react';
import { View } from 'react-native';
import { G, Line, Rect } from 'react-native-svg';
import type { Card } from '@/core/tying';
import { formatLength } from '@/core/units';
import { useScreenSize } from '@/features/screen-size';
import { useSpeech, useWidth, useWords } from '@/features/shell';
import { ChartText, Drawing } from '@/ui/drawings';
import { Say, Toggle } from '@/ui/primitives';
import { token } from '@/ui/tokens';

const EDGE = 20;
const BAR = 26;
const LANE = 30;

/** Where each part starts and ends along the hook, to scale and at true size, and the marks a tier finds them by. */
export function Stations({ card }: { card: Card }) {
  const words = useWords();
  const speech = useSpeech();
  const screen = useScreenSize();
  const [width, box] = useWidth();
  const [actual, setActual] = useState(false);
  const reach = Math.max(card.hook.shank_mm, ...card.parts.map((part) => Math.max(part.from_mm ?? 0, part.to_mm ?? 0)));
  const scale = actual && screen.pxPerMm ? screen.pxPerMm : Math.max(1, (width - 2 * EDGE) / reach);
  // The eye is to the right, as on the plate: distances grow to the left.
  const x = (mm: number) => EDGE + (reach - mm) * scale;
  const along = card.parts.filter(
    (part) =>
      part.from_mm !== null &&
      part.to_mm !== null &&
      part.from_mm > part.to_mm &&
      part.part !== 'rib' &&
      part.part !== 'back' &&
      part.part !== 'gills' &&
      part.part !== 'second-hackle',
  );
  const places = [
    ...new Map(
      card.parts
        .filter((part) => part.from_mm !== null && part.to_mm === null)
        .map((part) => [part.from_mm!.toFixed(2), part]),
    ).values(),
  ].sort((a, b) => b.from_mm! - a.from_mm!);
  const lanes = place(places.map((part) => x(part.from_mm!)));
  const height = BAR + 22 + LANE * (Math.max(0, ...lanes) + 1);
  const digits = (mm: number) => formatLength(mm, speech.unit).digits;
  return (
    <View className="gap-2">
      <View className="flex-row flex-wrap items-center justify-between gap-2 px-5">
        <Say size="small" tone="soft" className="min-w-0 flex-1">
          {words('bench.stations')}
        </Say>
        <Toggle label={words('screen.actual')} on={actual} onChange={setActual} />
      </View>
      <View {...box}>
        {width > 0 ? (
          <Drawing
            label={words('bench.stations-label', {
              parts: speech.list(
                along.map((part) =>
                  words('bench.station-part', {
                    part: speech.plain('parts', part.part),
                    from: speech.length(part.from_mm!),
                    to: speech.length(part.to_mm!),
                  }),
                ),
              ),
            })}
            width={width}
            height={height}
          >
            {along.map((part, index) => (
              <G key={part.id}>
                <Rect
                  x={x(part.from_mm!)}
                  y={0}
                  width={Math.max(1, x(part.to_mm!) - x(part.from_mm!))}
                  height={BAR}
                  fill={token(index % 2 === 0 ? 'wash' : 'plane')}
                  stroke={token('edge')}
                  strokeWidth={1}
                />
                {x(part.to_mm!) - x(part.from_mm!) > 8 * speech.plain('parts', part.part).length ? (
                  <ChartText x={(x(part.from_mm!) + x(part.to_mm!)) / 2} y={18} kind="name">
                    {speech.plain('parts', part.part)}
                  </ChartText>
                ) : null}
              </G>
            ))}
            <Line x1={x(reach)} x2={x(0)} y1={BAR} y2={BAR} stroke={token('ink')} strokeWidth={2} />
            {Array.from({ length: Math.floor(reach) + 1 }, (_, mm) => (
              <Line
                key={mm}
                x1={x(mm)}
                x2={x(mm)}
                y1={BAR}
                y2={BAR + (mm % 5 === 0 ? 10 : 5)}
                stroke={token('edge')}
                strokeWidth={1}
              />
            ))}
            {places.map((part, index) => {
              const at = x(part.from_mm!);
              const y = BAR + 22 + LANE * lanes[index]!;
              return (
                <G key={part.id}>
                  <Line x1={at} x2={at} y1={BAR} y2={y} stroke={token('dawn')} strokeWidth={1.2} />
                  <ChartText
                    x={Math.min(width - EDGE - 30, Math.max(EDGE + 30, at))}
                    y={y + 15}
                    kind="name"
                  >{`${speech.plain('parts', part.part)} ${digits(part.from_mm!)}`}</ChartText>
                </G>
              );
            })}
          </Drawing>
        ) : null}
      </View>
      {actual && screen.why ? (
        <Say size="small" tone="straw" className="px-5">
          {words(`screen.why.${screen.why}`)}
        </Say>
      ) : null}
    </View>
  );
}

const LABEL_PX = 104;

/** A lane for each label so that none lies over another. */
function place(xs: readonly number[]): number[] {
  const ends: number[] = [];
  return xs.map((x) => {
    const lane = ends.findIndex((end) => x - LABEL_PX / 2 >= end);
    const at = lane < 0 ? ends.length : lane;
    ends[at] = x + LABEL_PX / 2;
    return at;
  });
}
