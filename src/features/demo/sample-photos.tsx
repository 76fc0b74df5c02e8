import { useState } from 'react';
import { useWords } from '@/features/shell';
import { Button, More, Say } from '@/ui/primitives';

/** The simulated camera's photographs that ship for the demo; tools/write-demo-photos.ts makes them. */
export const SAMPLE_PHOTOS = ['dun', 'larva', 'nymphs'] as const;

/** A photograph of a tied fly, to try the inspection with. */
export function SampleFly({ onChoose }: { onChoose: (picture: Blob) => void }) {
  return <Samples ids={SAMPLE_FLIES} hint="demo.fly-hint" onChoose={onChoose} />;
}
const SAMPLE_FLIES = ['fly'] as const;

/** Photographs to try the measuring with, where none can be taken. */
export function SamplePhotos({ onChoose }: { onChoose: (picture: Blob) => void }) {
  return <Samples ids={SAMPLE_PHOTOS} hint="demo.photos-hint" onChoose={onChoose} />;
}

function Samples({ ids, hint, onChoose }: { ids: readonly string[]; hint: string; onChoose: (picture: Blob) => void }) {
  const words = useWords();
  const [wrong, setWrong] = useState(false);
  const choose = async (id: string) => {
    try {
      const answer = await fetch(`/demo/${id}.jpg`);
      if (!answer.ok) throw new Error(String(answer.status));
      onChoose(await answer.blob());
      setWrong(false);
    } catch {
      setWrong(true);
    }
  };
  return (
    <More label={words('demo.photos')}>
      <Say size="small" tone="soft" className="w-full">
        {words(hint)}
      </Say>
      {ids.map((id) => (
        <Button key={id} label={words(`demo.photo.${id}`)} onPress={() => void choose(id)} />
      ))}
      {wrong ? (
        <Say live size="small" tone="dawn">
          {words('demo.photos-gone')}
        </Say>
      ) : null}
    </More>
  );
}
