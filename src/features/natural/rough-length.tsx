import { useState } from 'react';
import { View } from 'react-native';
import type { StageId } from '@/catalogue/ids';
import { setSample, type SampleRecord } from '@/records';
import { selectSettings, useAct, useApp } from '@/state';
import { LengthChips } from '@/features/key';
import { Stretch, useScreenSize } from '@/features/screen-size';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Choose, Say, WordLink } from '@/ui/primitives';

/** Finger widths that an insect may span, and how far such a count is out, as a share. */
const FINGERS = [0.5, 1, 1.5, 2] as const;
const FINGER_SHARE = 0.2;
/** A drawing laid beside an insect on glass, mm. */
const STRETCH_HALF_MM = 1;
const START_MM = 9;

/** A length with its honest ± by a tap, by fingers or by stretching the outline; it gives way as soon as one is measured. */
export function RoughLength({
  sampleId,
  sample,
  stage,
  chips,
}: {
  sampleId: string;
  sample: SampleRecord;
  stage: StageId | null;
  chips: boolean;
}) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const { fingerMm } = useApp(selectSettings);
  const screen = useScreenSize();
  const [stretching, setStretching] = useState(false);
  if (sample.specimens.some((specimen) => specimen.body.mm !== null)) return null;
  const set = (rough: SampleRecord['rough']) => act(setSample, { sampleId, rough });
  const { rough } = sample;
  return (
    <View className="gap-3">
      <Say size="small" tone="soft">
        {words('rough.title')}
      </Say>
      {chips ? <LengthChips sampleId={sampleId} sample={sample} /> : null}
      {fingerMm === null ? null : (
        <Choose
          label={words('fingers.title')}
          choices={FINGERS.map((count) => ({
            id: String(count),
            label: words(`fingers.count.${String(count).replace('.', '_')}`),
          }))}
          value={
            rough?.how === 'fingers'
              ? (FINGERS.map(String).find((id) => Math.abs(Number(id) * fingerMm - rough.mm) < 0.01) ?? null)
              : null
          }
          onChange={(id) =>
            set({ mm: Number(id) * fingerMm, halfMm: FINGER_SHARE * Number(id) * fingerMm, how: 'fingers' })
          }
        />
      )}
      {screen.pxPerMm === null ? (
        <View className="flex-row flex-wrap items-center gap-3">
          <Say size="small" tone="soft">
            {words(`screen.why.${screen.why}`)}
          </Say>
          <WordLink small to="/shelf/settings">
            {words('screen.measure')}
          </WordLink>
        </View>
      ) : (
        <Button
          kind="quiet"
          label={words(stretching ? 'screen.close' : 'screen.open')}
          onPress={() => setStretching(!stretching)}
          className="self-start"
        />
      )}
      {stretching && screen.pxPerMm !== null ? (
        <Stretch
          stage={stage}
          pxPerMm={screen.pxPerMm}
          startMm={rough?.mm ?? START_MM}
          onLength={(mm) => {
            set({ mm, halfMm: STRETCH_HALF_MM, how: 'stretch' });
            setStretching(false);
          }}
        />
      ) : null}
      {rough ? (
        <View className="flex-row items-center justify-between gap-3">
          <Say size="small" tone="soft" className="min-w-0 flex-1">
            {words('rough.about', { mm: `${speech.length(rough.mm)} ± ${speech.spread(rough.halfMm)}` })}
          </Say>
          <Button kind="quiet" label={words('rough.clear')} onPress={() => set(null)} />
        </View>
      ) : null}
    </View>
  );
}
