import { useEffect, useRef, useState, type ReactNode } from 'react';
import { Image, View, type PointerEvent } from 'react-native';
import { Line } from 'react-native-svg';
import type { ImagePoint } from '@/core/photo/card';
import { useWidth, useWords } from '@/features/shell';
import { Drawing } from '@/ui/drawings';
import { Button } from '@/ui/primitives';
import { token } from '@/ui/tokens';
import { usePictureInk } from './picture-ink';

/** What a picture covers, in the units of its spots: millimetres of a card or pixels of a photograph. */
export interface World {
  left: number;
  top: number;
  width: number;
  height: number;
}

export interface Handle {
  id: string;
  label: string;
  at: ImagePoint;
  /** A square one moves along a line, a round one anywhere. */
  square?: boolean;
}

interface BoardProps {
  url: string;
  world: World;
  label: string;
  most?: number;
  handles?: readonly Handle[];
  /** A handle was moved; `done` when it was let go. */
  onMove?: (id: string, to: ImagePoint, done: boolean) => void;
  /** A spot was tapped; `size` is how many units a screen pixel covers. */
  onTap?: (at: ImagePoint, size: number) => void;
  /** Arrow keys move a handle by this many units. */
  step: number;
  children: (place: (spot: ImagePoint) => ImagePoint, scale: number) => ReactNode;
}

const LOUPE = 132;
const LOUPE_ZOOM = 3;
const GRAB = 34;
/** Where taps are set near one another, a ring must be hit to be moved. */
const GRAB_AMONG_TAPS = 15;
const TARGET = 48;
const MOST_ZOOM = 12;
const ARROWS: Readonly<Record<string, ImagePoint>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
const OVER = { position: 'absolute', left: 0, top: 0 } as const;

interface Eye {
  zoom: number;
  /** Middle of what is shown. */
  at: ImagePoint;
}

type Held =
  { kind: 'handle'; id: string; off: ImagePoint } | { kind: 'tap' } | { kind: 'pan'; from: ImagePoint; eye: Eye };

/** A picture to zoom and to touch: handles that are dragged, taps, and a magnifier beside the finger that shows what lies under it. */
export function PictureBoard({
  url,
  world,
  label,
  most = 360,
  handles = [],
  onMove,
  onTap,
  step,
  children,
}: BoardProps) {
  const words = useWords();
  const ink = usePictureInk();
  const [room, box] = useWidth();
  const [eye, setEye] = useState<Eye | null>(null);
  const [finger, setFinger] = useState<ImagePoint | null>(null);
  const held = useRef<Held | null>(null);
  const fingers = useRef(new Map<number, ImagePoint>());
  const pinch = useRef<{ gap: number; eye: Eye } | null>(null);
  const fit = room === 0 ? 0 : Math.min(room / world.width, most / world.height);
  const [width, height] = [Math.round(Math.min(room, world.width * fit)), Math.round(world.height * fit)];
  const now = eye ?? { zoom: 1, at: [world.left + world.width / 2, world.top + world.height / 2] as ImagePoint };
  const scale = fit * now.zoom;
  const corner: ImagePoint = [now.at[0] - width / 2 / scale, now.at[1] - height / 2 / scale];
  const place = ([x, y]: ImagePoint): ImagePoint => [(x - corner[0]) * scale, (y - corner[1]) * scale];
  const back = ([x, y]: ImagePoint): ImagePoint => [corner[0] + x / scale, corner[1] + y / scale];
  const look = ({ zoom, at }: Eye) => {
    const kept = Math.min(MOST_ZOOM, Math.max(1, zoom));
    const half = (size: number, side: number) => Math.min(side / 2, size / 2 / (fit * kept));
    const inside = (value: number, from: number, side: number, reach: number) =>
      Math.min(from + side - reach, Math.max(from + reach, value));
    setEye({
      zoom: kept,
      at: [
        inside(at[0], world.left, world.width, half(width, world.width)),
        inside(at[1], world.top, world.height, half(height, world.height)),
      ],
    });
  };
  const spotOf = (event: PointerEvent): ImagePoint => {
    const box = (event.currentTarget as unknown as Element).getBoundingClientRect();
    return [event.nativeEvent.clientX - box.left, event.nativeEvent.clientY - box.top];
  };
  const down = (event: PointerEvent) => {
    const at = spotOf(event);
    (event.currentTarget as unknown as Element).setPointerCapture(event.nativeEvent.pointerId);
    fingers.current.set(event.nativeEvent.pointerId, at);
    const two = [...fingers.current.values()];
    if (two.length === 2) {
      held.current = null;
      setFinger(null);
      pinch.current = { gap: Math.hypot(two[1]![0] - two[0]![0], two[1]![1] - two[0]![1]), eye: now };
      return;
    }
    const near = handles
      .map((handle) => ({ handle, off: Math.hypot(place(handle.at)[0] - at[0], place(handle.at)[1] - at[1]) }))
      .sort((a, b) => a.off - b.off)[0];
    if (near && near.off < (onTap ? GRAB_AMONG_TAPS : GRAB)) {
      const [hx, hy] = place(near.handle.at);
      held.current = { kind: 'handle', id: near.handle.id, off: [hx - at[0], hy - at[1]] };
      setFinger([hx, hy]);
    } else if (onTap) {
      held.current = { kind: 'tap' };
      setFinger(at);
    } else held.current = { kind: 'pan', from: at, eye: now };
  };
  const move = (event: PointerEvent) => {
    if (!fingers.current.has(event.nativeEvent.pointerId)) return;
    const at = spotOf(event);
    fingers.current.set(event.nativeEvent.pointerId, at);
    const two = [...fingers.current.values()];
    if (two.length === 2 && pinch.current) {
      const gap = Math.hypot(two[1]![0] - two[0]![0], two[1]![1] - two[0]![1]);
      return look({ ...pinch.current.eye, zoom: (pinch.current.eye.zoom * gap) / Math.max(1, pinch.current.gap) });
    }
    const holding = held.current;
    if (holding?.kind === 'handle') {
      const to: ImagePoint = [at[0] + holding.off[0], at[1] + holding.off[1]];
      setFinger(to);
      onMove?.(holding.id, back(to), false);
    } else if (holding?.kind === 'tap') setFinger(at);
    else if (holding?.kind === 'pan')
      look({
        ...holding.eye,
        at: [
          holding.eye.at[0] - (at[0] - holding.from[0]) / scale,
          holding.eye.at[1] - (at[1] - holding.from[1]) / scale,
        ],
      });
  };
  const up = (event: PointerEvent) => {
    const at = spotOf(event);
    fingers.current.delete(event.nativeEvent.pointerId);
    const holding = held.current;
    held.current = null;
    pinch.current = null;
    setFinger(null);
    if (holding?.kind === 'handle') onMove?.(holding.id, back([at[0] + holding.off[0], at[1] + holding.off[1]]), true);
    else if (holding?.kind === 'tap' && at[0] >= 0 && at[1] >= 0 && at[0] <= width && at[1] <= height)
      onTap?.(back(at), 1 / scale);
  };
  const away = () => {
    fingers.current.clear();
    held.current = null;
    setFinger(null);
  };
  // A plain wheel scrolls the page; with Ctrl, as a pad's pinch sends it, it zooms, which only a listener of one's own can keep from the browser.
  const board = useRef<View>(null);
  const zoomBy = useRef<(by: number) => void>(() => undefined);
  useEffect(() => {
    zoomBy.current = (by) => look({ ...now, zoom: now.zoom * by });
  });
  useEffect(() => {
    const node = board.current as unknown as HTMLElement | null;
    const wheel = (event: WheelEvent) => {
      if (!event.ctrlKey) return;
      event.preventDefault();
      zoomBy.current(event.deltaY < 0 ? 1.2 : 1 / 1.2);
    };
    node?.addEventListener('wheel', wheel, { passive: false });
    return () => node?.removeEventListener('wheel', wheel);
  }, [fit]);
  const image = (by: number, [x, y]: ImagePoint) => (
    <Image
      source={{ uri: url }}
      aria-hidden
      style={[
        ink.through,
        {
          position: 'absolute',
          left: (world.left - x) * by,
          top: (world.top - y) * by,
          width: world.width * by,
          height: world.height * by,
        },
      ]}
    />
  );
  const loupe = finger ? back(finger) : null;
  return (
    <View className="gap-2" {...box}>
      {fit > 0 ? (
        <View
          style={[{ width, height, overflow: 'hidden', borderRadius: 6, touchAction: 'none' } as object]}
          ref={board}
          onPointerDown={down}
          onPointerMove={move}
          onPointerUp={up}
          onPointerCancel={away}
        >
          {image(scale, corner)}
          <View style={OVER} pointerEvents="none">
            <Drawing label={label} width={width} height={height}>
              {children(place, scale)}
            </Drawing>
          </View>
          {handles.map((handle) => {
            const [x, y] = place(handle.at);
            return (
              <View
                key={handle.id}
                role="button"
                aria-label={handle.label}
                tabIndex={0}
                pointerEvents="none"
                {...{
                  onKeyDown: (event: { key: string; shiftKey: boolean; preventDefault(): void }) => {
                    const by = ARROWS[event.key];
                    if (!by) return;
                    event.preventDefault();
                    const far = event.shiftKey ? 5 * step : step;
                    onMove?.(handle.id, [handle.at[0] + by[0] * far, handle.at[1] + by[1] * far], true);
                  },
                }}
                style={{
                  position: 'absolute',
                  left: x - TARGET / 2,
                  top: y - TARGET / 2,
                  width: TARGET,
                  height: TARGET,
                  alignItems: 'center',
                  justifyContent: 'center',
                }}
              >
                <View
                  style={{
                    width: 20,
                    height: 20,
                    borderRadius: handle.square ? 4 : 10,
                    borderWidth: 3,
                    borderColor: ink.line,
                    backgroundColor: `${ink.casing}66`,
                  }}
                />
              </View>
            );
          })}
          {loupe && finger ? (
            <View
              aria-hidden
              pointerEvents="none"
              style={{
                position: 'absolute',
                top: 6,
                [finger[0] < width / 2 ? 'right' : 'left']: 6,
                width: LOUPE,
                height: LOUPE,
                borderRadius: LOUPE / 2,
                borderWidth: 3,
                borderColor: ink.line,
                overflow: 'hidden',
                backgroundColor: token('ground'),
              }}
            >
              {image(scale * LOUPE_ZOOM, [
                loupe[0] - LOUPE / 2 / (scale * LOUPE_ZOOM),
                loupe[1] - LOUPE / 2 / (scale * LOUPE_ZOOM),
              ])}
              <View style={OVER}>
                <Drawing label="" width={LOUPE} height={LOUPE}>
                  {[
                    [0, 1],
                    [1, 0],
                  ].map(([dx, dy]) =>
                    [-1, 1].map((sign) => (
                      <Line
                        key={`${dx}${sign}`}
                        x1={LOUPE / 2 + sign * dx! * 5}
                        y1={LOUPE / 2 + sign * dy! * 5}
                        x2={LOUPE / 2 + sign * dx! * 26}
                        y2={LOUPE / 2 + sign * dy! * 26}
                        stroke={ink.line}
                        strokeWidth={2}
                      />
                    )),
                  )}
                </Drawing>
              </View>
            </View>
          ) : null}
        </View>
      ) : null}
      <View className="flex-row flex-wrap gap-3">
        <Button label="+" spoken={words('board.closer')} onPress={() => look({ ...now, zoom: now.zoom * 1.6 })} />
        <Button
          label="−"
          spoken={words('board.farther')}
          disabled={now.zoom <= 1}
          onPress={() => look({ ...now, zoom: now.zoom / 1.6 })}
        />
        {now.zoom > 1 ? <Button kind="quiet" label={words('board.whole')} onPress={() => setEye(null)} /> : null}
      </View>
    </View>
  );
}
