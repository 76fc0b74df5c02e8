import { useEffect, useState } from 'react';
import { Image, View } from 'react-native';
import { useStore } from 'react-redux';
import { readPicture, type Overlay, type Store } from '@/state';
import { useWords } from '@/features/shell';
import { Say } from '@/ui/primitives';
import { MeasuredCrop } from './measured-crop';

type Read = { id: string; uri: string | null };

/** A kept photograph, read when it is looked at. */
export function PhotoView({ id, label, height, overlay }: { id: string; label: string; height: number; overlay: Overlay | null }) {
  const words = useWords();
  const { ports } = useStore() as unknown as Store;
  const [read, setRead] = useState<Read | null>(null);
  const measured = overlay !== null;
  useEffect(() => {
    let left = false;
    void readPicture(ports, id).then((uri) => {
      if (!left) setRead({ id, uri });
    });
    return () => {
      left = true;
    };
  }, [id, ports, measured]);
  if (read?.id !== id) return <View style={{ height }} className="rounded-control bg-line" />;
  if (read.uri === null) return <Say tone="straw">{words('photo.gone')}</Say>;
  if (overlay) return <MeasuredCrop url={read.uri} overlay={overlay} />;
  return <Image source={{ uri: read.uri }} aria-label={label} resizeMode="cover" style={{ height, width: '100%', borderRadius: 6 }} />;
}
