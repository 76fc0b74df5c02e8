import { change, useAppDispatch, type SampleRecord } from '@/state';
import { useWords } from '@/features/shell';
import { Say } from '@/ui/primitives';
import { ALL_HUES, ShadeWords } from './shade-words';

/** The region that a tier matches and names. */
export const BELLY = 'abdomen-belly';

/** The belly's colour in two words, until a colour is given. */
export function BellyInWords({ sampleId, colours, shades }: Pick<SampleRecord, 'colours' | 'shades'> & { sampleId: string }) {
  const words = useWords();
  const dispatch = useAppDispatch();
  if (colours[BELLY]) return null;
  const set = (shade: string | null) => dispatch(change('words', (draft) => {
    const own = draft.sample[sampleId]!;
    if (shade === null) delete own.shades[BELLY];
    else own.shades[BELLY] = shade;
  }));
  return (
    <>
      <ShadeWords label={words('words.title')} none={words('words.none')} hues={ALL_HUES} value={shades[BELLY] ?? null} onChange={set} />
      <Say size="small" tone="soft">
        {words('words.hint')}
      </Say>
    </>
  );
}
