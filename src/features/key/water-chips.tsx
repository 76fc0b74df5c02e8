import ids from '@/catalogue/ids.json';
import type { WaterId } from '@/catalogue/ids';
import { change, useAppDispatch, type SampleRecord } from '@/state';
import { useWords } from '@/features/shell';
import { Chips } from '@/ui/primitives';

/** What water it is, or that nobody said. */
export function WaterChips({ sampleId, sample, tall = false }: { sampleId: string; sample: SampleRecord; tall?: boolean }) {
  const words = useWords();
  const dispatch = useAppDispatch();
  return <Chips compact tall={tall} label={words('natural.water')} choices={[{ id: '', label: words('natural.water-unknown') }, ...ids.waters.map((water) => ({ id: water.id, label: water.name }))]} value={sample.water ?? ''} onChange={(id) => dispatch(change('water', (draft) => void (draft.sample[sampleId]!.water = id === '' ? null : (id as WaterId))))} />;
}
