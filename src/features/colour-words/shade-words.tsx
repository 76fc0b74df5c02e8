import { View } from 'react-native';
import { COLOUR_WORDS, labOfShade } from '@/catalogue';
import { hexOfLab } from '@/core/colour';
import { useRedLamp, useWords } from '@/features/shell';
import { Chips, Say } from '@/ui/primitives';

const TONES = ['dark', 'mid', 'pale'] as const;
export const ALL_HUES = Object.keys(COLOUR_WORDS.hues);

interface ShadeWordsProps {
  label: string;
  /** `tone-hue`, or null for no word. */
  value: string | null;
  /** The chip that takes the word away. */
  none: string;
  hues: readonly string[];
  onChange: (shade: string | null) => void;
}

/** A colour in two words, hue first, with a patch of what they mean; none is shown under the red lamp. */
export function ShadeWords({ label, value, none, hues, onChange }: ShadeWordsProps) {
  const words = useWords();
  const red = useRedLamp();
  const [tone, hue] = (value ?? '').split('-') as [string, string | undefined];
  const lab = hue ? labOfShade(`${tone}-${hue}`) : null;
  return (
    <View className="gap-2">
      <View className="flex-row items-center gap-3">
        <Say size="small" tone="soft">
          {label}
        </Say>
        {lab && !red ? (
          <View
            aria-hidden
            style={{ backgroundColor: hexOfLab(lab) }}
            className="h-6 w-12 rounded-control border border-edge"
          />
        ) : null}
      </View>
      <Chips
        compact
        tall
        label={label}
        choices={[{ id: '', label: none }, ...hues.map((id) => ({ id, label: words(`words.hue.${id}`) }))]}
        value={hue ?? ''}
        onChange={(id) => onChange(id === '' ? null : `${tone || 'mid'}-${id}`)}
      />
      {hue ? (
        <Chips
          compact
          tall
          label={words('words.tone-title')}
          choices={TONES.map((id) => ({ id: id as string, label: words(`words.tone.${id}`) }))}
          value={tone}
          onChange={(id) => onChange(`${id}-${hue}`)}
        />
      ) : null}
    </View>
  );
}
