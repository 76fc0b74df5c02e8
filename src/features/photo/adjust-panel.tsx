import { useState } from 'react';
import { View } from 'react-native';
import { Line, Path } from 'react-native-svg';
import type { ImagePoint } from '@/core/photo/card';
import {
  alongLine,
  curveThrough,
  endShown,
  outlineOf,
  shareNear,
  tracedColours,
  tracedLength,
  turnedRound,
  widthAlong,
  withCut,
  type Trace,
} from '@/core/photo/trace';
import { lengthNow, type Overlay, type OverlayInsect } from '@/records';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Choose, Say } from '@/ui/primitives';
import { askedOf, LengthWithRoom } from './insect-line';
import { coloursBare, faceOf, handOf, traceNow, type Colours } from './overlay';
import { PictureBoard, type Handle } from './picture-board';
import { pathThrough, usePictureInk } from './picture-ink';
import { cropOf, usePixels } from './pixels';

interface AdjustProps {
  url: string;
  overlay: Overlay;
  insect: OverlayInsect;
  /** What was moved, and the colours of the regions as they now lie; null takes back what was found. */
  onChange: (hand: OverlayInsect['hand'], colours: Colours | null) => void;
  onDone: () => void;
}

const MODES = ['end', 'line', 'regions'] as const;
const STEP_MM = 0.05;
const CUTS = ['thorax-from', 'thorax-to', 'abdomen-from', 'abdomen-to'] as const;
const NODE_NAMES = ['head', 'front', 'middle', 'rear', 'tail'] as const;
const [HEAD, TAIL] = [0, NODE_NAMES.length - 1] as const;

/**
 * Moves what was found on one insect: where it ends by a tap, its midline, and where its regions lie. Numbers follow the finger; what was found is kept beside. Where its
 * end is asked for, that is what it begins with.
 */
export function AdjustPanel({ url, overlay, insect, onChange, onDone }: AdjustProps) {
  const words = useWords();
  const speech = useSpeech();
  const ink = usePictureInk();
  const pixels = usePixels(url);
  const [mode, setMode] = useState<(typeof MODES)[number]>(askedOf(insect).length > 0 ? 'end' : 'line');
  const [moving, setMoving] = useState<Trace | null>(null);
  const trace = moving ?? traceNow(insect);
  const pxPerMm = pixels ? pixels.width / overlay.widthMm : 30;
  const length = moving ? tracedLength(moving, insect, pxPerMm) : lengthNow(insect);
  const line = curveThrough(trace.nodes);
  const widths = insect.widthsMm;
  const regions = widths.length > 0 && insect.what === 'body';
  const keep = (next: Trace) => {
    setMoving(null);
    onChange(
      handOf(next, tracedLength(next, insect, pxPerMm)),
      pixels && regions
        ? coloursBare(tracedColours(cropOf(pixels, overlay), next, widths, faceOf(overlay.view)), insect, next)
        : null,
    );
  };
  const widest = Math.max(...widths);
  const move = (id: string, to: ImagePoint, done: boolean) => {
    const at = Number(id.slice(1));
    const moved: Readonly<Record<(typeof MODES)[number], () => Trace>> = {
      end: () => endShown(trace, at === HEAD ? 'head' : 'end', to, widest),
      line: () => ({ ...trace, nodes: trace.nodes.map((spot, index) => (index === at ? to : spot)) }),
      regions: () => ({ ...trace, cuts: withCut(trace.cuts, at as 0 | 1 | 2 | 3, shareNear(line, to).share) }),
    };
    const next = moved[mode]();
    if (done) keep(next);
    else setMoving(next);
  };
  // A cut is held beside the body, where the finger does not cover it.
  const beside = (share: number): ImagePoint => {
    const { at, direction } = alongLine(line, share);
    const off = Math.max(1.2, 0.9 * widthAlong(widths, share));
    return [at[0] - direction[1] * off, at[1] + direction[0] * off];
  };
  const handles: Handle[] =
    mode !== 'regions'
      ? trace.nodes
          .map((at, index) => ({ id: `n${index}`, label: words(`adjust.node.${NODE_NAMES[index]!}`), at }))
          .filter((_, index) => mode === 'line' || index === HEAD || index === TAIL)
      : trace.cuts.map((share, index) => ({
          id: `c${index}`,
          label: words(`adjust.cut.${CUTS[index]!}`),
          at: beside(share),
          square: true,
        }));
  return (
    <View className="gap-3">
      {mode === 'end' ? <Say weight="medium">{words('adjust.hint-end')}</Say> : null}
      <PictureBoard
        url={url}
        world={{ left: overlay.leftMm, top: overlay.topMm, width: overlay.widthMm, height: overlay.heightMm }}
        label={words('adjust.picture', { n: insect.n })}
        handles={handles}
        onMove={move}
        onTap={mode === 'end' ? (at) => move(`n${TAIL}`, at, true) : undefined}
        step={STEP_MM}
      >
        {(place) => (
          <>
            {regions
              ? [
                  [trace.cuts[0], trace.cuts[1]],
                  [trace.cuts[2], trace.cuts[3]],
                ].map(([from, to], index) => (
                  <Path
                    key={index}
                    d={`${pathThrough(outlineOf(line, widths, from!, to!).map(place))}Z`}
                    stroke={ink.region}
                    strokeWidth={mode === 'regions' ? 2.5 : 1.5}
                    strokeDasharray={index === 0 ? '6 4' : undefined}
                    fill="none"
                    opacity={mode === 'regions' ? 1 : 0.7}
                  />
                ))
              : null}
            <Path d={pathThrough(line.map(place))} stroke={ink.casing} strokeWidth={4.5} fill="none" opacity={0.7} />
            <Path d={pathThrough(line.map(place))} stroke={ink.line} strokeWidth={2} fill="none" />
            {mode === 'regions'
              ? trace.cuts.map((share, index) => {
                  const [a, b] = [place(alongLine(line, share).at), place(beside(share))];
                  return (
                    <Line key={index} x1={a[0]} y1={a[1]} x2={b[0]} y2={b[1]} stroke={ink.line} strokeWidth={1.5} />
                  );
                })
              : null}
          </>
        )}
      </PictureBoard>
      <View aria-live="polite" className="flex-row flex-wrap items-baseline gap-x-3">
        <LengthWithRoom bodyMm={length.bodyMm} sdMm={length.sdMm} />
        {moving || insect.hand ? (
          <Say size="small" tone="soft">
            {words('adjust.found', { mm: speech.length(insect.bodyMm, true) })}
          </Say>
        ) : null}
      </View>
      {regions ? (
        <Choose
          label={words('adjust.what')}
          choices={MODES.map((id) => ({ id, label: words(`adjust.mode.${id}`) }))}
          value={mode}
          onChange={setMode}
        />
      ) : null}
      <View className="flex-row flex-wrap gap-3">
        <Button kind="main" tall label={words('adjust.done')} onPress={onDone} />
        <Button tall label={words('adjust.turn')} onPress={() => keep(turnedRound(trace))} />
        {insect.hand ? (
          <Button
            kind="quiet"
            tall
            label={words('adjust.back')}
            onPress={() => {
              setMoving(null);
              onChange(null, null);
            }}
          />
        ) : null}
      </View>
      {mode === 'end' ? null : (
        <Say size="small" tone="soft">
          {words('adjust.hint')}
        </Say>
      )}
    </View>
  );
}
