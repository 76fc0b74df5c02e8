import { useState } from 'react';
import { View, type PointerEvent } from 'react-native';
import type { StageId } from '@/catalogue/ids';
import { useSpeech, useWidth, useWords } from '@/features/shell';
import { Drawing, Marks, naturalMarks } from '@/ui/drawings';
import { Button, Digits, Say } from '@/ui/primitives';

interface StretchProps {
  stage: StageId | null;
  pxPerMm: number;
  startMm: number;
  onLength: (mm: number) => void;
}

const NUDGES = [-1, -0.2, 0.2, 1] as const;
const LEAST_MM = 1;
const HANDLE = 56;
/** Room for tails behind the line where the abdomen ends. */
const TAILS = 48;

/** The stage's outline at true size between two lines: lay the insect beside the glass and stretch the drawing to it. */
export function Stretch({ stage, pxPerMm, startMm, onLength }: StretchProps) {
  const words = useWords();
  const speech = useSpeech();
  const [mm, setMm] = useState(startMm);
  const [drag, setDrag] = useState<{ x: number; mm: number } | null>(null);
  const [width, box] = useWidth();
  const most = Math.max(LEAST_MM, (width - HANDLE - TAILS) / pxPerMm);
  const set = (value: number) => setMm(Math.min(most, Math.max(LEAST_MM, Math.round(value * 10) / 10)));
  const grab = (event: PointerEvent) => {
    (event.currentTarget as unknown as Element).setPointerCapture(event.nativeEvent.pointerId);
    setDrag({ x: event.nativeEvent.clientX, mm });
  };
  const drawing = naturalMarks(stage, mm, {});
  const height = Math.max(72, Math.ceil((drawing.bounds.top - drawing.bounds.bottom) * pxPerMm) + 16);
  const head = TAILS + mm * pxPerMm;
  return (
    <View className="gap-3" {...box}>
      {width > 0 ? (
        <View style={{ height }}>
          <Drawing
            label={words('screen.outline', {
              stage: stage ? speech.name('stages', stage) : words('matches.untitled'),
              mm: speech.length(mm),
            })}
            width={width}
            height={height}
          >
            <Marks marks={drawing.marks} scale={pxPerMm} x={head} y={8 + drawing.bounds.top * pxPerMm} />
          </Drawing>
          <View
            aria-hidden
            style={{ position: 'absolute', left: TAILS - 2, top: 0, height }}
            className="border-l-2 border-edge"
          />
          <View
            role="slider"
            aria-label={words('screen.handle')}
            aria-valuenow={mm}
            aria-valuemin={LEAST_MM}
            aria-valuemax={Math.floor(most)}
            aria-valuetext={speech.length(mm)}
            onPointerDown={grab}
            onPointerMove={(event) =>
              drag ? set(drag.mm + (event.nativeEvent.clientX - drag.x) / pxPerMm) : undefined
            }
            onPointerUp={() => setDrag(null)}
            onPointerCancel={() => setDrag(null)}
            style={[NO_SCROLL, { left: head, height }]}
            className="cursor-pointer border-l-2 border-dawn"
          />
        </View>
      ) : null}
      <View className="flex-row flex-wrap items-center gap-3">
        {NUDGES.map((by) => (
          <Button
            key={by}
            label={`${by > 0 ? '+' : '−'}${Math.abs(by)}`}
            spoken={words(by > 0 ? 'screen.longer' : 'screen.shorter', { by: speech.length(Math.abs(by)) })}
            onPress={() => set(mm + by)}
          />
        ))}
        <Digits size="lead">{speech.digits(mm)}</Digits>
        <Button kind="main" label={words('screen.take')} onPress={() => onLength(mm)} />
      </View>
      <Say size="small" tone="soft">
        {words('screen.stretch-hint')}
      </Say>
    </View>
  );
}

/** The page must not scroll under the finger that stretches. */
const NO_SCROLL = { position: 'absolute', top: 0, width: HANDLE, touchAction: 'none' } as object;
