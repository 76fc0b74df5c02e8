import { useState } from 'react';
import { View } from 'react-native';
import type { Answer } from '@/core/answer';
import { wetHex } from '@/core/colour';
import { formatLength } from '@/core/units';
import type { RegionId, StageId } from '@/catalogue/ids';
import type { SampleRecord } from '@/records';
import { useScreenSize } from '@/features/screen-size';
import { useRedLamp, useSpeech, useWidth, useWords } from '@/features/shell';
import { hookName } from '@/features/matches';
import { cardInWater, flyMarks, naturalMarks, Plate, type RegionColours } from '@/ui/drawings';
import { Button, Choose, Say, Toggle } from '@/ui/primitives';
import { PlateTable } from './plate-table';

/** Colours as they look now: wet ones darker, none under the red lamp. */
function coloursOf(sample: SampleRecord | null, wet: boolean, red: boolean): RegionColours {
  if (!sample || red) return {};
  return Object.fromEntries(
    Object.entries(sample.colours).map(([region, hex]) => [
      region as RegionId,
      wet && sample.surface === 'dry' ? wetHex(hex!) : hex!,
    ]),
  );
}

interface AnswerPlateProps {
  stage: StageId | null;
  sample: SampleRecord | null;
  answer: Answer | null;
  /** With everything that can be asked of it. */
  switches?: boolean;
  /** Where dry or wet is asked: above it, or in its corner where room is short. */
  states?: 'above' | 'corner';
  maxHeight?: number;
}

/** The natural above its fly, at one scale, in the colours measured; dry or wet. */
export function AnswerPlate({
  stage,
  sample,
  answer,
  switches = false,
  states = 'above',
  maxHeight,
}: AnswerPlateProps) {
  const words = useWords();
  const speech = useSpeech();
  const [width, box] = useWidth();
  const [wet, setWet] = useState(false);
  const [table, setTable] = useState(false);
  const [actual, setActual] = useState(false);
  const screen = useScreenSize();
  const red = useRedLamp();
  const mean = answer?.natural.length.meanMm ?? 8;
  const card = answer?.card ? (wet ? cardInWater(answer.card) : answer.card) : null;
  const natural = naturalMarks(
    stage,
    mean,
    coloursOf(sample, wet, red),
    answer?.style.measure === 'case' ? answer.measured_mm : (sample?.case.mm ?? null),
  );
  const name = stage ? speech.name('stages', stage) : words('matches.untitled');
  const label =
    answer && card
      ? words('plate.label', {
          natural: name,
          length: speech.length(mean),
          fly: card.dressing.name,
          hook: hookName(card.hook),
        })
      : words('plate.natural-only', { natural: name, length: answer ? speech.length(mean) : '' });
  return (
    <View>
      {states === 'above' ? (
        <View className="flex-row flex-wrap items-center justify-between gap-2 px-5 pt-2">
          {switches && answer && card ? (
            <Button
              kind="quiet"
              className="-ml-4"
              label={words(table ? 'plate.table-hide' : 'plate.table')}
              onPress={() => setTable(!table)}
            />
          ) : (
            <View />
          )}
          <View className="flex-row flex-wrap gap-2">
            {switches ? <Toggle label={words('screen.actual')} on={actual} onChange={setActual} /> : null}
            <Choose
              label={words('natural.surface')}
              choices={[
                { id: 'dry', label: words('plate.dry') },
                { id: 'wet', label: words('plate.wet') },
              ]}
              value={wet ? 'wet' : 'dry'}
              onChange={(id) => setWet(id === 'wet')}
            />
          </View>
        </View>
      ) : null}
      <View {...box}>
        {width > 0 ? (
          <Plate
            label={label}
            width={width}
            natural={natural}
            measuredMm={answer ? (answer.style.measure === 'case' ? answer.measured_mm : mean) : null}
            fly={card ? flyMarks(card, { plain: red }) : null}
            partName={(kind) => speech.plain('parts', kind)}
            digits={(mm) => formatLength(mm, speech.unit).digits}
            maxHeight={maxHeight}
            pxPerMm={actual ? screen.pxPerMm : null}
          />
        ) : null}
        {states === 'corner' ? (
          <View className="absolute right-3 top-1">
            <Toggle
              label={words('plate.in-water')}
              spoken={words('plate.in-water-spoken')}
              on={wet}
              onChange={setWet}
            />
          </View>
        ) : null}
      </View>
      {actual && screen.why ? (
        <Say size="small" tone="straw" className="px-5">
          {words(`screen.why.${screen.why}`)}
        </Say>
      ) : null}
      {red && switches ? (
        <Say size="small" tone="straw" className="px-5">
          {words('plate.red')}
        </Say>
      ) : null}
      {table && answer && card ? <PlateTable answer={answer} card={card} /> : null}
    </View>
  );
}
