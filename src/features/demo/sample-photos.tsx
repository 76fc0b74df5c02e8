import { useState } from 'react';
import { View } from 'react-native';
import { useWords } from '@/features/shell';
import { Button, Say } from '@/ui/primitives';

/** The simulated camera's photographs that ship for the demo; tools/write-demo-photos.ts makes them. */
export const SAMPLE_PHOTOS = ['dun', 'larva', 'nymphs'] as const;

/** Photographs to try the measuring with, where none can be taken. */
export function SamplePhotos({ onChoose }: { onChoose: (picture: Blob) => void }) {
  const words = useWords();
  const [open, setOpen] = useState(false);
  const [wrong, setWrong] = useState(false);
  const choose = async (id: string) => {
    try {
      const answer = await fetch(`/demo/${id}.jpg`);
      if (!answer.ok) throw new Error(String(answer.status));
      onChoose(await answer.blob());
      setOpen(false);
      setWrong(false);
    } catch {
      setWrong(true);
    }
  };
  if (!open)
    return <Button kind="quiet" tall label={words('demo.photos')} onPress={() => setOpen(true)} className="-ml-4" />;
  return (
    <View className="w-full gap-2">
      <Say size="small" tone="soft">
        {words('demo.photos-hint')}
      </Say>
      <View className="flex-row flex-wrap gap-2">
        {SAMPLE_PHOTOS.map((id) => (
          <Button key={id} label={words(`demo.photo.${id}`)} onPress={() => void choose(id)} />
        ))}
      </View>
      {wrong ? (
        <Say live size="small" tone="dawn">
          {words('demo.photos-gone')}
        </Say>
      ) : null}
    </View>
  );
}
