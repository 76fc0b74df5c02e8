import { useCallback, useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import type { StageId } from '@/catalogue/ids';
import { stageRow } from '@/catalogue';
import { postureCv } from '@/core/naturals';
import type { Reason } from '@/core/code';
import { parseLength } from '@/core/units';
import { lengthNow, setDevice, setSample, takeMeasured, type Overlay, type OverlayInsect } from '@/records';
import { readPicture, selectDevice, selectEye, storePicture, useAct, useApp, type Store } from '@/state';
import { useRedLamp, useSpeech, useWords } from '@/features/shell';
import { Button, Chips, Field, Say } from '@/ui/primitives';
import { prepare, run } from '@/workers';
import { AdjustPanel } from './adjust-panel';
import { ByHandPanel } from './by-hand-panel';
import { ColourRow, swapped } from './colour-row';
import { askedOf, InsectLine } from './insect-line';
import { MeasuredCrop } from './measured-crop';
import { overlayOf, type Colours } from './overlay';
import { PhotoView } from './photo-view';
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

type Work =
  | { at: 'rest' }
  | { at: 'work'; done: number }
  | { at: 'answered'; found: Found; moving: number | null }
  | { at: 'refused'; code: string | null }
  | { at: 'hand'; picture: string };

const VIEWS = ['belly', 'back', 'side'] as const;
const SURFACES = ['dry', 'wet'] as const;
const POSTURES = ['resting', 'stretched'] as const;
const WHATS = ['body', 'case'] as const;
const SOFT_CV = 0.05;
const HEIGHT = 180;
/** What a hand has settled is not said any more: which part is the body, and a veiled region that was put on a bare place. */
const settled = (code: string, { hand, veiled = [] }: OverlayInsect, colours: Colours) =>
  (code === 'photo-contested' && hand !== null) ||
  (code === 'photo-veiled' && veiled.every((region) => colours[region]));
/** Said beside the insect they are about. */
const BESIDE: ReadonlySet<string> = new Set(['photo-end-unsure', 'photo-line-unsure']);

interface MeasureProps {
  photoId: string;
  sampleId: string;
  stage: StageId | null;
  label: string;
}

/** A kept photograph is measured here: shown with what was found, moved where it is wrong, and taken into the sample by a tap. */
export function MeasurePanel({ photoId, sampleId, stage, label }: MeasureProps) {
  const words = useWords();
  const speech = useSpeech();
  const red = useRedLamp();
  const act = useAct();
  const { ports } = useStore() as unknown as Store;
  const { view, printedScale } = useApp(selectDevice);
  const surface = useApp((state) => state.records.entities.sample[sampleId]?.surface ?? 'dry');
  const eye = useApp(selectEye);
  const [work, setWork] = useState<Work>({ at: 'rest' });
  const [posture, setPosture] = useState<(typeof POSTURES)[number]>('resting');
  const [what, setWhat] = useState<(typeof WHATS)[number]>('body');
  const [guess, setGuess] = useState<string | null>(null);
  const stopping = useRef<AbortController | null>(null);
  useEffect(() => prepare('photo'), []);
  // Its box is kept when a place goes out of sight, which lets go of every other reference to it.
  const box = useRef<HTMLElement | null>(null);
  const keepBox = useCallback((node: View | null) => {
    if (node) box.current = node as unknown as HTMLElement;
  }, []);
  // Left for good the work is stopped; in a place that is only out of sight it goes on.
  useEffect(
    () => () =>
      void setTimeout(() => {
        if (!box.current?.isConnected) stopping.current?.abort();
      }, 0),
    [],
  );
  const cv = stage ? postureCv(stageRow(stage)) : 0;
  const soft = cv >= SOFT_CV && what === 'body';
  const cased = stage === 'caddis/cased-larva';
  const guessed = guess === null || guess.trim() === '' ? null : parseLength(guess, speech.unit === 'mm' ? 'mm' : 'in');
  const measure = async () => {
    const stop = new AbortController();
    stopping.current = stop;
    setWork({ at: 'work', done: 0 });
    try {
      const picture = await readPicture(ports, photoId);
      if (picture === null) return setWork({ at: 'refused', code: null });
      const answer = await run(
        'photo',
        {
          file: await blobOf(picture),
          asked: {
            view,
            surface,
            printedScale,
            what: cased ? what : 'body',
            stretch: soft && posture === 'stretched' ? cv : 0,
            ...(stage ? { winged: stageRow(stage).traits.includes('winged') } : {}),
          },
        },
        { signal: stop.signal, onProgress: (done) => setWork({ at: 'work', done }) },
      );
      const overlay = overlayOf(answer);
      if (answer.measure.refused || !overlay)
        return setWork({ at: 'refused', code: answer.measure.refused?.code ?? null });
      const first = answer.measure.insects[0]!;
      setWork({
        at: 'answered',
        found: {
          url: answer.crop!.url,
          overlay,
          colours: first.regions,
          asFound: first.regions,
          warnings: first.warnings,
        },
        moving: null,
      });
    } catch (error) {
      setWork((error as Error).name === 'AbortError' ? { at: 'rest' } : { at: 'refused', code: null });
    }
  };
  const byHand = async () => {
    const picture = await readPicture(ports, photoId);
    setWork(picture === null ? { at: 'refused', code: null } : { at: 'hand', picture });
  };
  const take = async ({ url, overlay, colours }: Found) => {
    await storePicture(ports, photoId, url);
    act(takeMeasured, {
      photoId,
      sampleId,
      overlay,
      colours,
      bytes: url.length,
      guessMm: guessed?.ok ? guessed.mm : null,
    });
  };
  const picture = <PhotoView id={photoId} height={HEIGHT} label={label} />;
  if (work.at === 'work') {
    return (
      <View ref={keepBox} className="gap-2">
        {picture}
        <View
          role="progressbar"
          aria-label={words('photo.measuring')}
          aria-valuenow={Math.round(work.done * 100)}
          className="h-2 bg-line"
        >
          <View style={{ width: `${Math.round(work.done * 100)}%` }} className="h-2 bg-river" />
        </View>
        <Button tall label={words('photo.stop')} onPress={() => stopping.current?.abort()} className="self-start" />
      </View>
    );
  }
  if (work.at === 'hand')
    return (
      <ByHandPanel
        picture={work.picture}
        view={view}
        onFound={(found) => setWork({ at: 'answered', found, moving: null })}
        onLeave={() => setWork({ at: 'rest' })}
      />
    );
  if (work.at === 'refused') {
    const { code } = work;
    return (
      <View className="gap-2">
        {picture}
        <View className="gap-2 border-l-4 border-straw pl-3">
          <Say live weight="medium">
            {code ? speech.say({ code, params: {} }, 'fault') : words('photo.failed')}
          </Say>
          <Say size="small">{code ? speech.t(`photo-do.${code}`) : words('photo.failed-do')}</Say>
          <View className="flex-row flex-wrap gap-3">
            {code ? <Button kind="main" tall label={words('photo.hand')} onPress={() => void byHand()} /> : null}
            <Button tall label={words('photo.again')} onPress={() => void measure()} />
          </View>
          <Say size="small" tone="soft">
            {words('photo.by-hand')}
          </Say>
        </View>
      </View>
    );
  }
  if (work.at === 'rest') {
    return (
      <View className="gap-3">
        {picture}
        <Chips
          compact
          label={words('photo.view')}
          choices={VIEWS.map((id) => ({ id, label: speech.name('views', id) }))}
          value={view}
          onChange={(next) => act(setDevice, { view: next })}
        />
        <Chips
          compact
          label={words('natural.surface')}
          choices={SURFACES.map((id) => ({ id, label: speech.name('surfaces', id) }))}
          value={surface}
          onChange={(next) => act(setSample, { sampleId, surface: next })}
        />
        {cased ? (
          <Chips
            compact
            label={words('photo.what')}
            choices={WHATS.map((id) => ({ id, label: words(`photo.what-${id}`) }))}
            value={what}
            onChange={setWhat}
          />
        ) : null}
        {soft ? (
          <Chips
            compact
            label={words('photo.posture')}
            choices={POSTURES.map((id) => ({ id, label: words(`photo.posture-${id}`) }))}
            value={posture}
            onChange={setPosture}
          />
        ) : null}
        {guess === null ? null : (
          <Field
            label={words('photo.guess')}
            numeric
            value={guess}
            unit={speech.t(speech.unit === 'mm' ? 'unit.mm' : 'unit.in')}
            error={guessed && !guessed.ok ? speech.say(guessed.fault, 'fault') : null}
            onType={setGuess}
            hint={
              eye
                ? words(eye.bias >= 0 ? 'photo.eye-long' : 'photo.eye-short', {
                    percent: Math.abs(Math.round(100 * eye.bias)),
                    half: Math.round(100 * eye.halfShare),
                    count: eye.n,
                  })
                : words('photo.guess-hint')
            }
          />
        )}
        <View className="flex-row flex-wrap gap-3">
          <Button kind="main" tall label={words('photo.measure')} onPress={() => void measure()} />
          <Button tall label={words('photo.hand')} onPress={() => void byHand()} />
          {guess === null ? (
            <Button kind="quiet" tall label={words('photo.guess-first')} onPress={() => setGuess('')} />
          ) : null}
        </View>
      </View>
    );
  }
  const { found, moving } = work;
  const { overlay } = found;
  const put = (next: Partial<Found>, at: number | null = moving) =>
    setWork({ at: 'answered', found: { ...found, ...next }, moving: at });
  const insect = moving === null ? undefined : overlay.insects.find((item) => item.n === moving);
  if (insect) {
    return (
      <AdjustPanel
        url={found.url}
        overlay={overlay}
        insect={insect}
        onDone={() => put({}, null)}
        onChange={(hand, colours) =>
          put({
            overlay: {
              ...overlay,
              insects: overlay.insects.map((item) => (item === insect ? { ...item, hand } : item)),
            },
            colours:
              insect.n !== overlay.insects[0]!.n
                ? found.colours
                : colours
                  ? { ...found.colours, ...colours }
                  : (found.asFound ?? found.colours),
          })
        }
      />
    );
  }
  const first = lengthNow(overlay.insects[0]!);
  return (
    <View aria-live="polite" className="gap-3">
      <MeasuredCrop url={found.url} overlay={overlay} />
      {overlay.insects.map((item) => (
        <InsectLine key={item.n} insect={item} many={overlay.insects.length > 1} onMove={() => put({}, item.n)} />
      ))}
      {guessed?.ok ? (
        <Say size="small">
          {words(guessed.mm >= first.bodyMm ? 'photo.guessed-long' : 'photo.guessed-short', {
            mm: speech.length(guessed.mm),
            percent: Math.round(100 * Math.abs(guessed.mm / first.bodyMm - 1)),
          })}
        </Say>
      ) : null}
      {found.warnings
        .filter(({ code }) => !BESIDE.has(code) && !settled(code, overlay.insects[0]!, found.colours))
        .map((warning) => (
          <Say key={warning.code} size="small" tone="straw">
            {speech.say(warning, 'reason')}
          </Say>
        ))}
      {red ? (
        <Say size="small" tone="straw">
          {words('plate.red')}
        </Say>
      ) : (
        <ColourRow colours={found.colours} onSwap={(region) => put({ colours: swapped(found.colours, region) })} />
      )}
      <View className="flex-row flex-wrap gap-3">
        <Button
          kind={overlay.insects.some((item) => askedOf(item).length > 0) ? undefined : 'main'}
          tall
          label={words('photo.take-length', { count: overlay.insects.length, mm: speech.length(first.bodyMm) })}
          onPress={() => void take(found)}
        />
        <Button tall label={words('photo.not-this')} onPress={() => setWork({ at: 'rest' })} />
      </View>
    </View>
  );
}
