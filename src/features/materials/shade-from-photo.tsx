import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';
import { hexOfLab, isShown, shadeOf, wetHex, type Lab } from '@/core/colour';
import type { Drawn } from '@/core/materials';
import { selectDevice, useApp } from '@/state';
import { run } from '@/workers';
import { chooseFile } from '@/features/files';
import { useRedLamp, useSpeech, useWords } from '@/features/shell';
import { Button, Say } from '@/ui/primitives';
import { Swatch } from '@/ui/drawings';

type Work =
  { at: 'rest' } | { at: 'busy'; done: number } | { at: 'found'; labs: Lab[] } | { at: 'refused'; code: string | null };

const WIDTH = 52;
const MOST = 6;

/** The colour of a pad of material photographed on the field card, dry, under any light; of several pads the one that is meant is taken. Nothing of the picture is kept. */
export function ShadeFromPhoto({
  name,
  drawn,
  absorbency,
  onTake,
}: {
  /** What it is the colour of. */
  name: string;
  drawn: Drawn;
  absorbency: number;
  onTake: (hex: `#${string}`) => void;
}) {
  const words = useWords();
  const speech = useSpeech();
  const red = useRedLamp();
  const { printedScale } = useApp(selectDevice);
  const [work, setWork] = useState<Work>({ at: 'rest' });
  const stop = useRef<AbortController | null>(null);
  useEffect(() => () => stop.current?.abort(), []);
  const measure = async () => {
    const file = await chooseFile('image/*');
    if (!file) return;
    stop.current = new AbortController();
    setWork({ at: 'busy', done: 0 });
    try {
      const { measure: found } = await run(
        'photo',
        { file, asked: { view: 'back', surface: 'dry', printedScale, pads: true } },
        { signal: stop.current.signal, onProgress: (done) => setWork({ at: 'busy', done }) },
      );
      const labs = found.pads.map(({ lab }) => lab).filter(isShown);
      setWork(
        labs.length > 0
          ? { at: 'found', labs: labs.slice(0, MOST) }
          : { at: 'refused', code: found.refused?.code ?? null },
      );
    } catch (error) {
      setWork((error as Error).name === 'AbortError' ? { at: 'rest' } : { at: 'refused', code: null });
    }
  };
  return (
    <View className="gap-2">
      <Button
        label={words('shade-photo.ask')}
        spoken={words('shade-photo.ask-what', { name })}
        onPress={() => void measure()}
        disabled={work.at === 'busy'}
        className="self-start"
      />
      {work.at === 'rest' ? (
        <Say size="small" tone="soft">
          {words('shade-photo.how')}
        </Say>
      ) : null}
      {work.at === 'busy' ? (
        <View className="flex-row items-center gap-3">
          <Say live>{words('shade-photo.busy', { percent: Math.round(100 * work.done) })}</Say>
          <Button label={words('backup.stop')} onPress={() => stop.current?.abort()} />
        </View>
      ) : null}
      {work.at === 'refused' ? (
        <>
          <Say live size="small" tone="dawn">
            {work.code ? speech.say({ code: work.code, params: {} }, 'fault') : words('photo.failed')}
          </Say>
          <Say size="small" tone="soft">
            {work.code ? speech.t(`photo-do.${work.code}`) : words('photo.failed-do')}
          </Say>
        </>
      ) : null}
      {work.at === 'found' ? (
        <View role="list" aria-label={words('shade-photo.found', { count: work.labs.length })} className="gap-2">
          {work.labs.map((lab, index) => {
            const hex = hexOfLab(lab);
            const word = speech.shade(shadeOf(lab));
            return (
              <View key={`${hex} ${index}`} role="listitem" className="flex-row items-center gap-3">
                <Swatch shape={drawn} dry={red ? null : hex} wet={red ? null : wetHex(hex, absorbency)} width={WIDTH} />
                <Say className="min-w-0 flex-1">{word}</Say>
                <Button
                  label={words('shade-photo.take')}
                  spoken={words('shade-photo.take-what', { word, name })}
                  onPress={() => {
                    onTake(hex);
                    setWork({ at: 'rest' });
                  }}
                />
              </View>
            );
          })}
        </View>
      ) : null}
    </View>
  );
}
