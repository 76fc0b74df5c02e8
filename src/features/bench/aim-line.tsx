import type { PartId } from '@/catalogue/ids';
import { aimFor } from '@/core/session';
import { selectSettings, useApp } from '@/state';
import { selectBiases } from '@/state/answering';
import { useSpeech, useWords } from '@/features/shell';
import { Say } from '@/ui/primitives';

/** What to aim at with a part that these hands are surely off with, beside its true figure; nothing where they are not, or nobody wants to know. */
export function AimLine({ kind, mm }: { kind: PartId; mm: number }) {
  const words = useWords();
  const speech = useSpeech();
  const { aims } = useApp(selectSettings);
  const bias = useApp(selectBiases).find((own) => own.kind === kind && own.certain);
  if (!aims || !bias) return null;
  return (
    <Say size="small" tone="straw" weight="medium">
      {words(bias.mean > 0 ? 'tie.aim-long' : 'tie.aim-short', {
        part: speech.plain('parts', kind),
        percent: Math.round(Math.abs(100 * bias.mean)),
        mm: speech.length(aimFor(mm, bias)),
      })}
    </Say>
  );
}
