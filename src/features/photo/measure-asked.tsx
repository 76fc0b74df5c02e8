import { useState } from 'react';
import { View } from 'react-native';
import type { StageId } from '@/catalogue/ids';
import { parseLength } from '@/core/units';
import { setDevice, setSample } from '@/records';
import { useAct, useApp } from '@/state';
import { selectEye } from '@/state/answering';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Choose, Field } from '@/ui/primitives';
import { choicesOf, type Posed, type useMeasuring } from './use-measuring';

const VIEWS = ['belly', 'back', 'side'] as const;
const SURFACES = ['dry', 'wet'] as const;
const POSTURES = ['resting', 'stretched'] as const;
const WHATS = ['body', 'case'] as const;

interface AskedProps extends Pick<ReturnType<typeof useMeasuring>, 'view' | 'surface'> {
  sampleId: string;
  stage: StageId | null;
  posed: Posed;
  onPose: (posed: Posed) => void;
  /** What the tier guesses before it is measured; null while no guess is asked. */
  guess: string | null;
  onGuess: (text: string) => void;
  onMeasure: () => void;
  onHand: () => void;
}

/** What is asked of a photograph before it is measured, and the two ways to measure it. */
export function MeasureAsked(props: AskedProps) {
  const { sampleId, stage, view, surface, posed, onPose, guess, onGuess, onMeasure, onHand } = props;
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const { cased, soft } = choicesOf(stage, posed.what);
  return (
    <>
      <Choose
        label={words('photo.view')}
        choices={VIEWS.map((id) => ({ id, label: speech.name('views', id) }))}
        value={view}
        onChange={(next) => act(setDevice, { view: next })}
      />
      <Choose
        label={words('natural.surface')}
        choices={SURFACES.map((id) => ({ id, label: speech.name('surfaces', id) }))}
        value={surface}
        onChange={(next) => act(setSample, { sampleId, surface: next })}
      />
      {cased ? (
        <Choose
          label={words('photo.what')}
          choices={WHATS.map((id) => ({ id, label: words(`photo.what-${id}`) }))}
          value={posed.what}
          onChange={(what) => onPose({ ...posed, what })}
        />
      ) : null}
      {soft ? (
        <Choose
          label={words('photo.posture')}
          choices={POSTURES.map((id) => ({ id, label: words(`photo.posture-${id}`) }))}
          value={posed.posture}
          onChange={(posture) => onPose({ ...posed, posture })}
        />
      ) : null}
      {guess === null ? null : <GuessField guess={guess} onGuess={onGuess} />}
      <View className="flex-row flex-wrap gap-3">
        <Button kind="main" tall label={words('photo.measure')} onPress={onMeasure} />
        <Button tall label={words('photo.hand')} onPress={onHand} />
        {guess === null ? (
          <Button kind="quiet" tall label={words('photo.guess-first')} onPress={() => onGuess('')} />
        ) : null}
      </View>
    </>
  );
}

/** A guess as it was typed, read in the unit of the settings; null where none was typed. */
export function useGuess() {
  const { unit } = useSpeech();
  const [guess, setGuess] = useState<string | null>(null);
  const read = guess === null || guess.trim() === '' ? null : parseLength(guess, unit === 'mm' ? 'mm' : 'in');
  return { guess, setGuess, guessMm: read?.ok ? read.mm : null };
}

/** What the tier's eye makes of it, with what is known of that eye. */
function GuessField({ guess, onGuess }: { guess: string; onGuess: (text: string) => void }) {
  const words = useWords();
  const speech = useSpeech();
  const eye = useApp(selectEye);
  const read = guess.trim() === '' ? null : parseLength(guess, speech.unit === 'mm' ? 'mm' : 'in');
  return (
    <Field
      label={words('photo.guess')}
      numeric
      value={guess}
      unit={speech.t(speech.unit === 'mm' ? 'unit.mm' : 'unit.in')}
      error={read && !read.ok ? speech.say(read.fault, 'fault') : null}
      onType={onGuess}
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
  );
}
