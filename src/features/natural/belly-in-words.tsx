import { View } from 'react-native';
import { labOfShade } from '@/catalogue';
import { hexOfLab } from '@/core/colour';
import { change, useAppDispatch, type SampleRecord } from '@/state';
import { useRedLamp, useWords } from '@/features/shell';
import { Chips, Say } from '@/ui/primitives';

const BELLY = 'abdomen-belly';
const TONES = ['dark', 'mid', 'pale'] as const;
const HUES = ['olive', 'brown', 'grey', 'yellow', 'rust', 'cream', 'black'] as const;

/** The belly's colour in two words, until a colour is given. */
export function BellyInWords({ sampleId, sample }: { sampleId: string; sample: SampleRecord }) {
  const words = useWords();
  const dispatch = useAppDispatch();
  const red = useRedLamp();
  if (sample.colours[BELLY]) return null;
  const [tone, hue] = (sample.shades[BELLY] ?? '').split('-') as [string, string | undefined];
  const lab = hue ? labOfShade(`${tone}-${hue}`) : null;
  const set = (shade: string | null) => dispatch(change('words', (draft) => {
    const own = draft.sample[sampleId]!;
    if (shade === null) delete own.shades[BELLY];
    else own.shades[BELLY] = shade;
  }));
  return (
    <View className="gap-2">
      <View className="flex-row items-center gap-3">
        <Say size="small" tone="soft">
          {words('words.title')}
        </Say>
        {lab && !red ? <View aria-hidden style={{ backgroundColor: hexOfLab(lab) }} className="h-6 w-12 rounded-control border border-edge" /> : null}
      </View>
      <Chips compact label={words('words.title')} choices={[{ id: '', label: words('words.none') }, ...HUES.map((id) => ({ id: id as string, label: words(`words.hue.${id}`) }))]} value={hue ?? ''} onChange={(id) => set(id === '' ? null : `${tone || 'mid'}-${id}`)} />
      {hue ? <Chips compact label={words('words.tone-title')} choices={TONES.map((id) => ({ id: id as string, label: words(`words.tone.${id}`) }))} value={tone} onChange={(id) => set(`${id}-${hue}`)} /> : null}
      <Say size="small" tone="soft">
        {words('words.hint')}
      </Say>
    </View>
  );
}
