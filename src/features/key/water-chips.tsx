import type { WaterId } from '@/catalogue/ids';
import { setSample, type SampleRecord } from '@/records';
import { useAct } from '@/state';
import { useSpeech, useWords } from '@/features/shell';
import { Choose } from '@/ui/primitives';

/** What water it is, or that nobody said. */
export function WaterChips({
  sampleId,
  sample,
  tall = false,
}: {
  sampleId: string;
  sample: SampleRecord;
  tall?: boolean;
}) {
  const words = useWords();
  const act = useAct();
  const { ids } = useSpeech();
  return (
    <Choose
      tall={tall}
      label={words('natural.water')}
      choices={[
        { id: '', label: words('natural.water-unknown') },
        ...ids.waters.map((water) => ({ id: water.id, label: water.name })),
      ]}
      value={sample.water ?? ''}
      onChange={(id) => act(setSample, { sampleId, water: id === '' ? null : (id as WaterId) })}
    />
  );
}
