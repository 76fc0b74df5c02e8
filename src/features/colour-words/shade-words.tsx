import { View } from 'react-native';
import { COLOUR_WORDS, labOfShade } from '@/catalogue';
import { hexOfLab } from '@/core/colour';
import { useRedLamp, useWords } from '@/features/shell';
import { Button, OneStop, Option, Say } from '@/ui/primitives';

/** From left to right: as a sleeve of samples lies, the palest first. */
export const TONES = ['pale', 'mid', 'dark'] as const;
export const ALL_HUES = Object.keys(COLOUR_WORDS.hues);

/** A shade, `tone-hue`, in words. */
export function shadeWord(shade: string, words: ReturnType<typeof useWords>): string {
  const [tone, hue] = shade.split('-');
  return words('words.shade', { tone: words(`words.tone.${tone}`), hue: words(`words.hue.${hue}`) });
}

interface ShadeWordsProps {
  label: string;
  /** `tone-hue`, or null for no word. */
  value: string | null;
  /** What takes the word away. */
  none: string;
  hues: readonly string[];
  onChange: (shade: string | null) => void;
}

/** A colour by its word: a sheet of swatches, hues down and tones across; under the red lamp words alone. */
export function ShadeWords({ label, value, none, hues, onChange }: ShadeWordsProps) {
  const words = useWords();
  const red = useRedLamp();
  const known = hues.some((hue) => value?.endsWith(`-${hue}`));
  return (
    <View className="gap-2">
      <View className="min-h-target flex-row items-center justify-between gap-3">
        <Say size="small" tone="soft">
          {label}
        </Say>
        {value ? <Button kind="quiet" label={none} onPress={() => onChange(null)} className="-mr-4" /> : null}
      </View>
      <OneStop
        label={label}
        across={TONES.length}
        reached={known && value ? value : `${TONES[0]}-${hues[0]}`}
        className="gap-1"
      >
        <View aria-hidden className="flex-row gap-1 pl-[72px]">
          {TONES.map((tone) => (
            <Say key={tone} size="small" tone="soft" className="flex-1">
              {words(`words.tone.${tone}`)}
            </Say>
          ))}
        </View>
        {hues.map((hue) => (
          <View key={hue} className="flex-row items-center gap-1">
            <Say size="small" className="w-[68px]">
              {words(`words.hue.${hue}`)}
            </Say>
            {TONES.map((tone) => {
              const shade = `${tone}-${hue}`;
              const on = shade === value;
              const lab = labOfShade(shade);
              return (
                <Option
                  key={tone}
                  id={shade}
                  on={on}
                  spoken={shadeWord(shade, words)}
                  onTake={() => onChange(shade)}
                  look="swatch"
                >
                  {red || !lab ? (
                    <Say size="small" weight={on ? 'strong' : 'sans'}>
                      {words(`words.tone.${tone}`)}
                    </Say>
                  ) : (
                    <View
                      aria-hidden
                      style={{ backgroundColor: hexOfLab(lab) }}
                      className="flex-1 rounded-control border border-edge"
                    />
                  )}
                </Option>
              );
            })}
          </View>
        ))}
      </OneStop>
    </View>
  );
}
