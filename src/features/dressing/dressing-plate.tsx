import { useMemo, useState } from 'react';
import { View } from 'react-native';
import type { StageId } from '@/catalogue/ids';
import type { Card } from '@/core/tying';
import { formatLength } from '@/core/units';
import { selectDevice, useApp } from '@/state';
import { saveFile } from '@/features/files';
import { hookName } from '@/features/matches';
import { useScreenSize } from '@/features/screen-size';
import { useRedLamp, useSpeech, useWidth, useWords } from '@/features/shell';
import { cardInWater, fitInto, flyMarks, naturalMarks, Plate, svgPicture } from '@/ui/drawings';
import { Button, Choose, More, Say, Stepper, Toggle } from '@/ui/primitives';
import { pngOf } from './png-of';

interface DressingPlateProps {
  card: Card;
  stage: StageId;
  naturalMm: number;
  maxHeight: number;
}

const PICTURE = { width: 1200, height: 800, margin: 60 } as const;

/** The dressing beside its natural: from the side or above, dry or wet, after any step, at true size; and as a picture to keep. */
export function DressingPlate({ card, stage, naturalMm, maxHeight }: DressingPlateProps) {
  const words = useWords();
  const speech = useSpeech();
  const red = useRedLamp();
  const { theme } = useApp(selectDevice);
  const screen = useScreenSize();
  const [width, box] = useWidth();
  const [view, setView] = useState<'side' | 'top'>('side');
  const [wet, setWet] = useState(false);
  const [actual, setActual] = useState(false);
  const [step, setStep] = useState<number | null>(null);
  const [failed, setFailed] = useState(false);
  const last = card.steps.length;
  const at = step === null ? null : Math.min(step, last);
  const fly = useMemo(
    () => flyMarks(wet ? cardInWater(card) : card, { view, plain: red, upTo: at ?? undefined }),
    [card, wet, view, red, at],
  );
  const natural = useMemo(
    () =>
      at === null && view === 'side'
        ? naturalMarks(stage, naturalMm, {}, card.parts.some((part) => part.part === 'case') ? naturalMm * CASE : null)
        : null,
    [at, naturalMm, stage, view, card],
  );
  const current = at === null ? null : card.steps.find((item) => item.n === at)!;
  const label =
    at === null
      ? words('plate.fly-only', { fly: card.dressing.name, hook: hookName(card.hook) })
      : words('tie.fly', { fly: card.dressing.name, n: at });
  const picture = () =>
    svgPicture({
      ...PICTURE,
      theme,
      title: label,
      placed: [{ marks: fly.marks, ...fitInto(fly.bounds, PICTURE.width, PICTURE.height, PICTURE.margin) }],
    });
  const name = `aubade-${card.dressing.id}-${view}${at === null ? '' : `-${at}`}`;
  return (
    <View className="gap-2">
      <View className="flex-row flex-wrap items-center gap-2 px-5">
        <Choose
          label={words('plate.view')}
          choices={[
            { id: 'side', label: words('plate.side') },
            { id: 'top', label: words('plate.top') },
          ]}
          value={view}
          onChange={(id) => setView(id as 'side' | 'top')}
        />
        <Choose
          label={words('natural.surface')}
          choices={[
            { id: 'dry', label: words('plate.dry') },
            { id: 'wet', label: words('plate.wet') },
          ]}
          value={wet ? 'wet' : 'dry'}
          onChange={(id) => setWet(id === 'wet')}
        />
        <Toggle label={words('screen.actual')} on={actual} onChange={setActual} />
      </View>
      <View {...box}>
        {width > 0 ? (
          <Plate
            label={label}
            width={width}
            natural={natural}
            measuredMm={natural ? naturalMm : null}
            fly={fly}
            partName={(kind) => speech.plain('parts', kind)}
            digits={(mm) => formatLength(mm, speech.unit).digits}
            ringAt={current?.at?.mm ?? null}
            only={current ? (current.part ?? '') : null}
            maxHeight={maxHeight}
            pxPerMm={actual ? screen.pxPerMm : null}
          />
        ) : null}
      </View>
      {actual && screen.why ? (
        <Say size="small" tone="straw" className="px-5">
          {words(`screen.why.${screen.why}`)}
        </Say>
      ) : null}
      {red ? (
        <Say size="small" tone="straw" className="px-5">
          {words('plate.red')}
        </Say>
      ) : null}
      <View className="flex-row flex-wrap items-center gap-3 px-5">
        <Toggle label={words('plate.by-step')} on={at !== null} onChange={(on) => setStep(on ? last : null)} />
        {at === null ? null : (
          <Stepper label={words('plate.after-step')} value={at} low={1} high={last} onChange={setStep} />
        )}
        {current ? (
          <Say size="small" className="min-w-0 flex-1 basis-40">
            {words('plate.step-line', { n: current.n, of: last, what: speech.stepTitle(current) })}
          </Say>
        ) : null}
      </View>
      <View className="px-5">
        <More label={words('plate.keep')}>
          <Button label={words('plate.svg')} onPress={() => saveFile(`${name}.svg`, picture(), 'image/svg+xml')} />
          <Button
            label={words('plate.png')}
            onPress={() =>
              void pngOf(picture(), PICTURE.width, PICTURE.height).then(
                (bytes) => saveFile(`${name}.png`, bytes, 'image/png'),
                () => setFailed(true),
              )
            }
          />
        </More>
        {failed ? (
          <Say live size="small" tone="dawn">
            {words('plate.png-failed')}
          </Say>
        ) : null}
      </View>
    </View>
  );
}

/** A case over its larva where none was measured. */
const CASE = 1.2;
