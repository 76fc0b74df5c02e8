import { useSpeech, useWords } from '@/features/shell';
import { Say } from '@/ui/primitives';
import type { Undrawn } from './trial';

const SHOWN = 4;

/** What of a file no screen can draw: it is set aside as soon as the rest is taken. */
export function Unshown({ failed }: { failed: readonly Undrawn[] | null }) {
  const words = useWords();
  const speech = useSpeech();
  if (!failed || failed.length === 0) return null;
  return (
    <Say size="small" tone="straw">
      {words('reading.undrawn', {
        count: failed.length,
        names: speech.list(
          failed.slice(0, SHOWN).map(({ kind, id, name }) => `${words(`reading.kind.${kind}`)} ${name || id}`),
        ),
      })}
    </Say>
  );
}
