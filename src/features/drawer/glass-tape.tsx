import { useState } from 'react';
import { View, type PointerEvent } from 'react-native';
import { Line } from 'react-native-svg';
import { glassHalfMm, readsAgainst, type Hook } from '@/core/hooks';
import { hookMarks } from '@/core/hooks/drawn';
import { useSpeech, useWidth, useWords } from '@/features/shell';
import { Drawing, Marks } from '@/ui/drawings';
import { Button, Digits, Say } from '@/ui/primitives';
import { token } from '@/ui/tokens';

export interface GlassReadings {
  shankMm: number;
  gapeMm: number;
  overallMm: number;
}

interface GlassTapeProps {
  hook: Hook;
  pxPerMm: number;
  /** How often this size was laid on the glass already. */
  times: number;
  /** Mirrored: the eye to the left. */
  left: boolean;
  onKeep: (readings: GlassReadings) => void;
}

const NUDGES = [-1, -0.1, 0.1, 1] as const;
const HANDLE = 48;
const EDGE = 28;
const LEAST_MM = 1;
type Handle = keyof GlassReadings;
const HANDLES: readonly Handle[] = ['shankMm', 'gapeMm', 'overallMm'];

/** To a twentieth of a millimetre: finer than the glass can say. */
function round(mm: number): number {
  return Math.round(mm * 20) / 20;
}

/** A hook drawn at its true size: lay the real one over it and drag the drawing to it. */
export function GlassTape({ hook, pxPerMm, times, left, onKeep }: GlassTapeProps) {
  const words = useWords();
  const speech = useSpeech();
  const ends = hook.gape.value / 2 + hook.wireDiameter.value + hook.eyeOuter.value;
  const [readings, setReadings] = useState<GlassReadings>({
    shankMm: round(hook.shank.value),
    gapeMm: round(hook.gape.value),
    overallMm: round(hook.shank.value + ends),
  });
  const [held, setHeld] = useState<Handle>('shankMm');
  const [drag, setDrag] = useState<{ at: number; mm: number } | null>(null);
  const [width, box] = useWidth();
  const most = Math.max(LEAST_MM, (width - 2 * EDGE) / pxPerMm);
  const set = (handle: Handle, mm: number) =>
    setReadings((now) => ({ ...now, [handle]: Math.max(LEAST_MM, Math.min(most, round(mm))) }));
  const drawn = hookMarks({
    bend: hook.bend,
    eye: hook.eye,
    barb: hook.barb,
    shankMm: readings.shankMm,
    gapeMm: readings.gapeMm,
    biteMm: (hook.bite.value / hook.gape.value) * readings.gapeMm,
    wireMm: hook.wireDiameter.value,
    eyeMm: hook.eyeOuter.value,
  });
  const eyeX = width - EDGE - hook.eyeOuter.value * pxPerMm;
  const top = 34;
  const y = top + drawn.bounds.top * pxPerMm;
  const height = Math.max(110, y - drawn.bounds.bottom * pxPerMm + 30);
  const wire = (hook.wireDiameter.value / 2) * pxPerMm;
  /** Where each handle lies: start of the bend, point, outside of the bend. */
  const spot: Record<Handle, [x: number, y: number]> = {
    shankMm: [eyeX - readings.shankMm * pxPerMm, y],
    // At the end of its line, so that the finger does not lie over the point.
    gapeMm: [HANDLE / 2, y + readings.gapeMm * pxPerMm],
    overallMm: [eyeX + hook.eyeOuter.value * pxPerMm - readings.overallMm * pxPerMm, y],
  };
  const along = (event: PointerEvent, handle: Handle) =>
    handle === 'gapeMm' ? event.nativeEvent.clientY : left ? event.nativeEvent.clientX : -event.nativeEvent.clientX;
  const grab = (handle: Handle) => (event: PointerEvent) => {
    (event.currentTarget as unknown as Element).setPointerCapture?.(event.nativeEvent.pointerId);
    setHeld(handle);
    setDrag({ at: along(event, handle), mm: readings[handle] });
  };
  const move = (handle: Handle) => (event: PointerEvent) =>
    drag ? set(handle, drag.mm + (along(event, handle) - drag.at) / pxPerMm) : undefined;
  const against = readsAgainst(hook.size, readings.shankMm, readings.gapeMm);
  return (
    <View className="gap-3" {...box}>
      <Say size="small">{words('tape.glass-lead')}</Say>
      {width > 0 ? (
        <View style={[{ height }, left ? MIRROR : null]}>
          <Drawing
            label={words('tape.drawing', {
              shank: speech.length(readings.shankMm),
              gape: speech.length(readings.gapeMm),
            })}
            width={width}
            height={height}
          >
            <Marks marks={drawn.marks} scale={pxPerMm} x={eyeX} y={y} />
            <Line x1={eyeX} x2={spot.shankMm[0]} y1={16} y2={16} stroke={token('dawn')} strokeWidth={2} />
            <Line
              x1={eyeX}
              x2={eyeX}
              y1={10}
              y2={y - wire}
              stroke={token('dawn')}
              strokeWidth={1}
              strokeDasharray="3 3"
            />
            <Line
              x1={spot.shankMm[0]}
              x2={spot.shankMm[0]}
              y1={10}
              y2={height}
              stroke={token('dawn')}
              strokeWidth={1}
              strokeDasharray="3 3"
            />
            <Line
              x1={0}
              x2={width}
              y1={spot.gapeMm[1]}
              y2={spot.gapeMm[1]}
              stroke={token('river')}
              strokeWidth={1}
              strokeDasharray="3 3"
            />
            <Line
              x1={spot.overallMm[0]}
              x2={spot.overallMm[0]}
              y1={10}
              y2={height}
              stroke={token('soft')}
              strokeWidth={1}
              strokeDasharray="3 3"
            />
          </Drawing>
          {HANDLES.map((handle) => (
            <View
              key={handle}
              role="slider"
              aria-label={words(`tape.handle.${handle}`)}
              aria-valuenow={readings[handle]}
              aria-valuemin={LEAST_MM}
              aria-valuemax={Math.floor(most)}
              aria-valuetext={speech.length(readings[handle])}
              tabIndex={0}
              onPointerDown={grab(handle)}
              onPointerMove={move(handle)}
              onPointerUp={() => setDrag(null)}
              onPointerCancel={() => setDrag(null)}
              {...{
                onKeyDown: (event: { key: string; preventDefault(): void }) => {
                  const by = { ArrowUp: 0.1, ArrowRight: 0.1, ArrowDown: -0.1, ArrowLeft: -0.1 }[event.key];
                  if (by === undefined) return;
                  event.preventDefault();
                  set(handle, readings[handle] + by);
                },
              }}
              style={[
                GRIP,
                {
                  left: spot[handle][0] - HANDLE / 2,
                  top: handle === 'overallMm' ? height - HANDLE : handle === 'gapeMm' ? spot.gapeMm[1] - HANDLE / 2 : 0,
                },
              ]}
            >
              <View
                className={`h-5 w-5 rounded-full border-2 ${handle === held ? 'border-dawn bg-dawn' : 'border-edge bg-plane'}`}
              />
            </View>
          ))}
        </View>
      ) : null}
      <View className="flex-row flex-wrap gap-x-6 gap-y-2">
        {HANDLES.map((handle) => (
          <View key={handle}>
            <Say size="small" tone={handle === held ? 'dawn' : 'soft'}>
              {words(`tape.${handle}`)}
            </Say>
            <View className="flex-row items-baseline gap-1">
              <Digits size="lead">{speech.digits(readings[handle])}</Digits>
              <Say size="small" tone="soft">
                {speech.t(speech.unit === 'mm' ? 'unit.mm' : 'unit.in')}
              </Say>
            </View>
          </View>
        ))}
      </View>
      <View className="flex-row flex-wrap items-center gap-3">
        {NUDGES.map((by) => (
          <Button
            key={by}
            label={`${by > 0 ? '+' : '−'}${Math.abs(by)}`}
            spoken={words(by > 0 ? 'tape.more' : 'tape.less', {
              by: speech.length(Math.abs(by)),
              what: words(`tape.${held}`),
            })}
            onPress={() => set(held, readings[held] + by)}
          />
        ))}
      </View>
      <Say weight="medium">
        {words('tape.both', {
          label: hook.size,
          long: speech.number(against.long!, 1),
          wide: speech.number(against.wide!, 1),
        })}
      </Say>
      <Say size="small" tone="soft">
        {words('tape.glass-half', {
          half: speech.length(glassHalfMm(times + 1)),
          best: speech.length(glassHalfMm(Infinity)),
          count: times,
        })}
      </Say>
      <Button kind="main" label={words('tape.keep')} className="self-start" onPress={() => onKeep(readings)} />
    </View>
  );
}

const MIRROR = { transform: [{ scaleX: -1 }] };
/** The page must not scroll under the finger that drags. */
const GRIP = {
  position: 'absolute',
  width: HANDLE,
  height: HANDLE,
  alignItems: 'center',
  justifyContent: 'center',
  touchAction: 'none',
} as object;
