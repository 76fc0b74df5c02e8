import { useState } from 'react';
import { View } from 'react-native';
import type { StageId } from '@/catalogue/ids';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Say } from '@/ui/primitives';
import { ByHandPanel } from './by-hand-panel';
import { MeasureAsked, useGuess } from './measure-asked';
import { MeasureFound } from './measure-found';
import { PhotoView } from './photo-view';
import { useMeasuring, type Posed } from './use-measuring';

const HEIGHT = 180;

interface MeasureProps {
  photoId: string;
  sampleId: string;
  stage: StageId | null;
  label: string;
}

/** A kept photograph is measured here: shown with what was found, moved where it is wrong, and taken into the sample by a tap. */
export function MeasurePanel({ photoId, sampleId, stage, label }: MeasureProps) {
  const { work, setWork, keepBox, view, surface, measure, byHand, take, stop } = useMeasuring({
    photoId,
    sampleId,
    stage,
  });
  const [posed, setPosed] = useState<Posed>({ posture: 'resting', what: 'body' });
  const { guess, setGuess, guessMm } = useGuess();
  const picture = <PhotoView id={photoId} height={HEIGHT} label={label} />;
  const rest = () => setWork({ at: 'rest' });
  switch (work.at) {
    case 'work':
      return (
        <View ref={keepBox} className="gap-2">
          {picture}
          <Measuring done={work.done} onStop={stop} />
        </View>
      );
    case 'hand':
      return (
        <ByHandPanel
          picture={work.picture}
          view={view}
          onFound={(found) => setWork({ at: 'answered', found, moving: null })}
          onLeave={rest}
        />
      );
    case 'refused':
      return (
        <View className="gap-2">
          {picture}
          <Refused code={work.code} onHand={() => void byHand()} onAgain={() => void measure(posed)} />
        </View>
      );
    case 'rest':
      return (
        <View className="gap-3">
          {picture}
          <MeasureAsked
            {...{ sampleId, stage, view, surface, posed, guess }}
            onPose={setPosed}
            onGuess={setGuess}
            onMeasure={() => void measure(posed)}
            onHand={() => void byHand()}
          />
        </View>
      );
    case 'answered':
      return (
        <MeasureFound
          found={work.found}
          moving={work.moving}
          guessMm={guessMm}
          onPut={(found, moving) => setWork({ at: 'answered', found, moving })}
          onTake={(found) => void take(found, guessMm)}
          onLeave={rest}
        />
      );
  }
}

/** How far the work is, and a way to stop it. */
function Measuring({ done, onStop }: { done: number; onStop: () => void }) {
  const words = useWords();
  const percent = Math.round(done * 100);
  return (
    <>
      <View role="progressbar" aria-label={words('photo.measuring')} aria-valuenow={percent} className="h-2 bg-line">
        <View style={{ width: `${percent}%` }} className="h-2 bg-river" />
      </View>
      <Button tall label={words('photo.stop')} onPress={onStop} className="self-start" />
    </>
  );
}

/** Why it could not be measured, what to do, and the way by hand where there is a picture. */
function Refused({ code, onHand, onAgain }: { code: string | null; onHand: () => void; onAgain: () => void }) {
  const words = useWords();
  const speech = useSpeech();
  return (
    <View className="gap-2 border-l-4 border-straw pl-3">
      <Say live weight="medium">
        {code ? speech.say({ code, params: {} }, 'fault') : words('photo.failed')}
      </Say>
      <Say size="small">{code ? speech.t(`photo-do.${code}`) : words('photo.failed-do')}</Say>
      <View className="flex-row flex-wrap gap-3">
        {code ? <Button kind="main" tall label={words('photo.hand')} onPress={onHand} /> : null}
        <Button tall label={words('photo.again')} onPress={onAgain} />
      </View>
      <Say size="small" tone="soft">
        {words('photo.by-hand')}
      </Say>
    </View>
  );
}
