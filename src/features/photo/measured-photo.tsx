import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import type { RegionId } from '@/catalogue/ids';
import { hexOfLab } from '@/core/colour';
import { Z95 } from '@/core/constants';
import { change, readPicture, useAppDispatch, type Overlay, type OverlayInsect, type Store } from '@/state';
import { useWords } from '@/features/shell';
import { Say } from '@/ui/primitives';
import { AdjustPanel } from './adjust-panel';
import { InsectLine } from './insect-line';
import { MeasuredCrop } from './measured-crop';
import { lengthNow, type Colours } from './overlay';

/** A photograph that was taken into the sample: what was measured on it, and the way to move it still. */
export function MeasuredPhoto({ photoId, sampleId, overlay }: { photoId: string; sampleId: string; overlay: Overlay }) {
  const words = useWords();
  const dispatch = useAppDispatch();
  const { ports } = useStore() as unknown as Store;
  const [url, setUrl] = useState<string | null | undefined>(undefined);
  const [moving, setMoving] = useState<number | null>(null);
  useEffect(() => {
    let left = false;
    void readPicture(ports, photoId).then((read) => {
      if (!left) setUrl(read);
    });
    return () => {
      left = true;
    };
  }, [photoId, ports]);
  if (url === undefined) return <View className="h-44 rounded-control bg-line" />;
  if (url === null) return <Say tone="straw">{words('photo.gone')}</Say>;
  const put = (insect: OverlayInsect, hand: OverlayInsect['hand'], colours: Colours | null) => dispatch(change('corrected', (draft) => {
    const kept = draft.photo[photoId]!.overlay!;
    draft.photo[photoId]!.overlay = { ...kept, insects: kept.insects.map((item) => (item.n === insect.n ? { ...item, hand } : item)) };
    const sample = draft.sample[sampleId]!;
    const { bodyMm, sdMm } = lengthNow({ ...insect, hand });
    const mm = Math.round(bodyMm * 100) / 100;
    if (insect.what === 'case') sample.case = { mm, typed: null };
    const specimen = sample.specimens.find((item) => item.id === insect.specimenId);
    if (specimen) Object.assign(specimen, { body: { mm, typed: null }, halfMm: Z95 * sdMm });
    if (colours && insect.n === kept.insects[0]!.n) for (const [region, colour] of Object.entries(colours)) sample.colours[region as RegionId] = hexOfLab(colour.lab);
  }, `trace-${photoId}`));
  const insect = overlay.insects.find((item) => item.n === moving);
  if (insect) return <AdjustPanel url={url} overlay={overlay} insect={insect} onChange={(hand, colours) => put(insect, hand, colours)} onDone={() => setMoving(null)} />;
  return (
    <View className="gap-2">
      <MeasuredCrop url={url} overlay={overlay} />
      {overlay.insects.map((item) => (
        <InsectLine key={item.n} insect={item} many={overlay.insects.length > 1} onMove={() => setMoving(item.n)} />
      ))}
    </View>
  );
}
