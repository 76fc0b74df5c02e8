import { View } from 'react-native';
import { stageRow } from '@/catalogue';
import type { RegionId, StageId } from '@/catalogue/ids';
import { labOfHex, shadeOf, wetHex } from '@/core/colour';
import { typeColour, type SampleRecord } from '@/records';
import { useAct } from '@/state';
import { useRedLamp, useSpeech, useWords } from '@/features/shell';
import { Field, Say } from '@/ui/primitives';

/** Before a stage is known. */
const COMMON: readonly RegionId[] = ['abdomen-belly', 'abdomen-back', 'thorax-belly', 'thorax-back', 'wing', 'legs'];

/** Colours by region: hex or Lab, the dry swatch over what it becomes wet, in words. */
export function Colours({
  sampleId,
  colours,
  unread: asTyped,
  surface,
  stage,
}: Pick<SampleRecord, 'colours' | 'unread' | 'surface'> & { sampleId: string; stage: StageId | null }) {
  const words = useWords();
  const speech = useSpeech();
  const act = useAct();
  const red = useRedLamp();
  const asked = stage ? stageRow(stage).regions : COMMON;
  const regions = [
    ...asked,
    ...([...Object.keys(colours), ...Object.keys(asTyped)] as RegionId[]).filter(
      (id, index, all) => !asked.includes(id) && all.indexOf(id) === index,
    ),
  ];
  return (
    <View className="gap-3">
      {red ? (
        <Say size="small" tone="straw">
          {words('plate.red')}
        </Say>
      ) : null}
      {regions.map((region) => {
        const hex = colours[region];
        const unread = asTyped[region];
        const name = speech.plain('regions', region);
        return (
          <View key={region} className="flex-row items-start gap-3">
            <View aria-hidden className="h-target w-14 overflow-hidden rounded-control border border-edge">
              {hex && !red ? (
                <>
                  <View style={{ backgroundColor: hex, flex: 1 }} />
                  <View style={{ backgroundColor: surface === 'dry' ? wetHex(hex) : hex, flex: 1 }} />
                </>
              ) : null}
            </View>
            <View className="w-28 justify-center pt-1">
              <Say size="small" weight="medium">
                {name}
              </Say>
              <Say size="small" tone="soft">
                {hex && !red ? speech.shade(shadeOf(labOfHex(hex))) : ''}
              </Say>
            </View>
            <Field
              label={words('natural.colour-of', { region: name })}
              hideLabel
              value={unread ?? hex ?? ''}
              onType={(text) => act(typeColour, { sampleId, region, text })}
              error={unread ? speech.say({ code: 'colour-unread', params: { got: unread } }, 'fault') : null}
            />
          </View>
        );
      })}
      <Say size="small" tone="soft">
        {words('natural.colour-hint')}
      </Say>
    </View>
  );
}
