import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { useStore } from 'react-redux';
import { correctPhoto, type Overlay } from '@/records';
import { readPicture, useAct, type Store } from '@/state';
import { useWords } from '@/features/shell';
import { Say } from '@/ui/primitives';
import { AdjustPanel } from './adjust-panel';
import { InsectLine } from './insect-line';
import { MeasuredCrop } from './measured-crop';

/** A photograph that was taken into the sample: what was measured on it, and the way to move it still. */
export function MeasuredPhoto({ photoId, sampleId, overlay }: { photoId: string; sampleId: string; overlay: Overlay }) {
  const words = useWords();
  const act = useAct();
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
  const insect = overlay.insects.find((item) => item.n === moving);
  if (insect)
    return (
      <AdjustPanel
        url={url}
        overlay={overlay}
        insect={insect}
        onChange={(hand, colours) => act(correctPhoto, { photoId, sampleId, n: insect.n, hand, colours })}
        onDone={() => setMoving(null)}
      />
    );
  return (
    <View className="gap-2">
      <MeasuredCrop url={url} overlay={overlay} />
      {overlay.insects.map((item) => (
        <InsectLine key={item.n} insect={item} many={overlay.insects.length > 1} onMove={() => setMoving(item.n)} />
      ))}
    </View>
  );
}
