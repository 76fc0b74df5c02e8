import type { ReactNode } from 'react';
import type { Kind } from '@/records';
import type { Foreseen } from '@/state';
import { useSpeech, useWords } from '@/features/shell';
import { Say } from '@/ui/primitives';
import { ReadingReport } from './reading-report';
import { useTrial, type Undrawn } from './trial';

const SHOWN = 4;

/**
 * What taking a file would do, said as soon as it is worked out, with what of it no screen can draw. `ready` is what could not be drawn, once all of it was tried: before
 * that nothing is to be taken. `nothing` of the file is good: then there is nothing to work out.
 */
export function useForeseen(
  foreseen: Foreseen | null,
  held: number,
  { of, nothing = false }: { of?: Kind; nothing?: boolean } = {},
): { told: ReactNode; ready: readonly Undrawn[] | null } {
  const words = useWords();
  const speech = useSpeech();
  const { trial, failed } = useTrial(foreseen);
  const told = foreseen ? (
    <>
      <ReadingReport reading={foreseen} held={held} of={of} />
      {trial}
      {failed && failed.length > 0 ? (
        <Say size="small" tone="straw">
          {words('reading.undrawn', {
            count: failed.length,
            names: speech.list(
              failed.slice(0, SHOWN).map(({ kind, id, name }) => `${words(`reading.kind.${kind}`)} ${name || id}`),
            ),
          })}
        </Say>
      ) : null}
    </>
  ) : nothing ? null : (
    <Say size="small" tone="soft">
      {words('reading.foreseeing')}
    </Say>
  );
  return { told, ready: failed };
}
