import { useCallback, useEffect, useRef, useState } from 'react';
import type { View } from 'react-native';
import { useStore } from 'react-redux';
import { stageRow } from '@/catalogue';
import type { StageId } from '@/catalogue/ids';
import type { Reason } from '@/core/code';
import { postureCv } from '@/core/naturals';
import { takeMeasured, type Overlay } from '@/records';
import { readPicture, selectDevice, storePicture, useAct, useApp, type Store } from '@/state';
import { prepare, run } from '@/workers';
import { overlayOf, type Colours } from './overlay';
import { blobOf } from './pixels';

/** What was found and not yet taken: the crop, what lies over it, colours, and what the tier guessed. */
export interface Found {
  url: string;
  overlay: Overlay;
  colours: Colours;
  /** As they were before a hand moved anything. */
  asFound?: Colours;
  warnings: readonly Reason[];
}

export type Work =
  | { at: 'rest' }
  | { at: 'work'; done: number }
  | { at: 'answered'; found: Found; moving: number | null }
  | { at: 'refused'; code: string | null }
  | { at: 'hand'; picture: string };

/** What of an insect the tier says before it is measured. */
export interface Posed {
  posture: 'resting' | 'stretched';
  what: 'body' | 'case';
}

const SOFT_CV = 0.05;

/** Whether a stage has a case to choose, and whether its body gives so much that how it lies matters. */
export function choicesOf(stage: StageId | null, what: Posed['what']): { cased: boolean; soft: boolean } {
  const cv = stage ? postureCv(stageRow(stage)) : 0;
  return { cased: stage === 'caddis/cased-larva', soft: cv >= SOFT_CV && what === 'body' };
}

/** The work of measuring one kept photograph: begun, stopped, refused, found and taken. */
export function useMeasuring({
  photoId,
  sampleId,
  stage,
}: {
  photoId: string;
  sampleId: string;
  stage: StageId | null;
}) {
  const act = useAct();
  const { ports } = useStore() as unknown as Store;
  const { view, printedScale } = useApp(selectDevice);
  const surface = useApp((state) => state.records.entities.sample[sampleId]?.surface ?? 'dry');
  const [work, setWork] = useState<Work>({ at: 'rest' });
  const stopping = useRef<AbortController | null>(null);
  useEffect(() => prepare('photo'), []);
  const keepBox = useLeftForGood(() => stopping.current?.abort());

  const measure = async ({ posture, what }: Posed) => {
    const stop = new AbortController();
    stopping.current = stop;
    setWork({ at: 'work', done: 0 });
    try {
      const picture = await readPicture(ports, photoId);
      if (picture === null) return setWork({ at: 'refused', code: null });
      const { cased, soft } = choicesOf(stage, what);
      const asked = {
        view,
        surface,
        printedScale,
        what: cased ? what : ('body' as const),
        stretch: stage && soft && posture === 'stretched' ? postureCv(stageRow(stage)) : 0,
        ...(stage ? { winged: stageRow(stage).traits.includes('winged') } : {}),
      };
      const answer = await run(
        'photo',
        { file: await blobOf(picture), asked },
        { signal: stop.signal, onProgress: (done) => setWork({ at: 'work', done }) },
      );
      const overlay = overlayOf(answer);
      if (answer.measure.refused || !overlay)
        return setWork({ at: 'refused', code: answer.measure.refused?.code ?? null });
      const { regions, warnings } = answer.measure.insects[0]!;
      const found = { url: answer.crop!.url, overlay, colours: regions, asFound: regions, warnings };
      setWork({ at: 'answered', found, moving: null });
    } catch (error) {
      setWork((error as Error).name === 'AbortError' ? { at: 'rest' } : { at: 'refused', code: null });
    }
  };
  const byHand = async () => {
    const picture = await readPicture(ports, photoId);
    setWork(picture === null ? { at: 'refused', code: null } : { at: 'hand', picture });
  };
  const take = async ({ url, overlay, colours }: Found, guessMm: number | null) => {
    await storePicture(ports, photoId, url);
    act(takeMeasured, { photoId, sampleId, overlay, colours, bytes: url.length, guessMm });
  };
  return { work, setWork, keepBox, view, surface, measure, byHand, take, stop: () => stopping.current?.abort() };
}

/** Calls back when a place is left for good; in one that is only out of sight the work goes on. Gives the ref of its box. */
function useLeftForGood(onLeft: () => void) {
  // Its box is kept when a place goes out of sight, which lets go of every other reference to it.
  const box = useRef<HTMLElement | null>(null);
  const left = useRef(onLeft);
  useEffect(() => {
    left.current = onLeft;
  });
  useEffect(
    () => () =>
      void setTimeout(() => {
        if (!box.current?.isConnected) left.current();
      }, 0),
    [],
  );
  return useCallback((node: View | null) => {
    if (node) box.current = node as unknown as HTMLElement;
  }, []);
}
