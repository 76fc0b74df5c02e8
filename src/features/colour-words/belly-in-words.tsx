import { sayShade, type SampleRecord } from '@/records';
import { BELLY } from '@/core/constants';
import { useAct } from '@/state';
import { useWords } from '@/features/shell';
import { Say } from '@/ui/primitives';
import { ALL_HUES, ShadeWords } from './shade-words';

/** The belly's colour in two words, until a colour is given. */
export function BellyInWords({
  sampleId,
  colours,
  shades,
}: Pick<SampleRecord, 'colours' | 'shades'> & { sampleId: string }) {
  const words = useWords();
  const act = useAct();
  if (colours[BELLY]) return null;
  return (
    <>
      <ShadeWords
        label={words('words.title')}
        none={words('words.none')}
        hues={ALL_HUES}
        value={shades[BELLY] ?? null}
        onChange={(shade) => act(sayShade, { sampleId, region: BELLY, shade })}
      />
      <Say size="small" tone="soft">
        {words('words.hint')}
      </Say>
    </>
  );
}
