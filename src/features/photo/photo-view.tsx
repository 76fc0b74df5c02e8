import { useEffect, useState } from 'react';
import { Image, View } from 'react-native';
import { useStore } from 'react-redux';
import { readPicture, type Store } from '@/state';
import { useWords } from '@/features/shell';
import { Say } from '@/ui/primitives';
import { usePictureInk } from './picture-ink';

type Read = { id: string; uri: string | null };

/** A kept photograph, read when it is looked at. */
export function PhotoView({ id, label, height }: { id: string; label: string; height: number }) {
  const words = useWords();
  const ink = usePictureInk();
  const { ports } = useStore() as unknown as Store;
  const [read, setRead] = useState<Read | null>(null);
  useEffect(() => {
    let left = false;
    void readPicture(ports, id).then((uri) => {
      if (!left) setRead({ id, uri });
    });
    return () => {
      left = true;
    };
  }, [id, ports]);
  if (read?.id !== id) return <View style={{ height }} className="rounded-control bg-line" />;
  if (read.uri === null) return <Say tone="straw">{words('photo.gone')}</Say>;
  return (
    <Image
      source={{ uri: read.uri }}
      aria-label={label}
      resizeMode="cover"
      style={[ink.through, { height, width: '100%', borderRadius: 6 }]}
    />
  );
}
