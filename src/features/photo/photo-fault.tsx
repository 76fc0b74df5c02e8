import { PHOTOS_MOST } from '@/records';
import { useWords } from '@/features/shell';
import { Say } from '@/ui/primitives';

/** Why a photograph was not kept, and what to do. */
export function PhotoFault({ wrong }: { wrong: 'full' | 'no-room' | 'not-image' | 'huge' }) {
  const words = useWords();
  return (
    <Say live size="small" tone="dawn">
      {words(`photo.wrong.${wrong}`, { most: PHOTOS_MOST })}
    </Say>
  );
}
