import { useMemo, useRef, useState } from 'react';
import { PanResponder, View } from 'react-native';
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

/** The stage's outline at true size: lay the insect beside the glass and stretch the drawing to it. */
export function Stretch({ stage, pxPerMm, startMm, onLength }: StretchProps) {
  const words = useWords();
  const speech = useSpeech();
  const [mm, setMm] = useState(startMm);
  const [width, onLayout] = useWidth();
  const at = useRef(mm);
  const most = Math.max(LEAST_MM, (width - HANDLE) / pxPerMm);
  const set = (value: number) => setMm(Math.min(most, Math.max(LEAST_MM, Math.round(value * 10) / 10)));
  const pan = useMemo(() => PanResponder.create({
    onStartShouldSetPanResponder: () => true,
    onPanResponderGrant: () => void (at.current = mm),
    onPanResponderMove: (_, gesture) => set(at.current + gesture.dx / pxPerMm),
  // The responder is made again when the length settles, so that the next drag starts from it.
  }), [mm, pxPerMm, most]); // eslint-disable-line react-hooks/exhaustive-deps
  const drawing = naturalMarks(stage, mm, {});
  const top = drawing.bounds.top * pxPerMm;
  const height = Math.max(72, Math.ceil((drawing.bounds.top - drawing.bounds.bottom) * pxPerMm) + 16);
  const body = mm * pxPerMm;
  return (
    <View className="gap-3" onLayout={onLayout}>
      {width > 0 ? (
        <View style={{ height }}>
          <Drawing label={words('screen.outline', { stage: stage ? speech.name('stages', stage) : words('matches.untitled'), mm: speech.length(mm) })} width={width} height={height}>
            <Marks marks={drawing.marks} scale={pxPerMm} x={body} y={8 + top} />
          </Drawing>
          <View {...pan.panHandlers} role="slider" aria-label={words('screen.handle')} aria-valuenow={mm} aria-valuemin={LEAST_MM} aria-valuemax={Math.floor(most)} aria-valuetext={speech.length(mm)} style={{ position: 'absolute', left: body, top: 0, height, width: HANDLE }} className="cursor-pointer items-start border-l-2 border-dawn" />
        </View>
      ) : null}
      <View className="flex-row flex-wrap items-center gap-3">
        {NUDGES.map((by) => (
          <Button key={by} label={`${by > 0 ? '+' : '−'}${Math.abs(by)}`} spoken={words(by > 0 ? 'screen.longer' : 'screen.shorter', { mm: Math.abs(by) })} onPress={() => set(mm + by)} />
        ))}
        <Digits size="lead">{speech.length(mm).split(' ')[0]!}</Digits>
        <Button kind="main" label={words('screen.take')} onPress={() => onLength(mm)} />
      </View>
      <Say size="small" tone="soft">
        {words('screen.stretch-hint')}
      </Say>
    </View>
  );
}
