import { View } from 'react-native';
import ids from '@/catalogue/ids.json';
import { useSpeech, useWords } from '@/features/shell';
import { Chips, Heading, Say } from '@/ui/primitives';

/** Set by match, maker or device, not here. */
const ELSEWHERE: ReadonlySet<string> = new Set(['size', 'x-label', 'hand']);

const AS_WRITTEN = 'as-written';

interface SchoolsPanelProps {
  value: Readonly<Record<string, string>>;
  /** What holds where nothing is chosen here; null for the tier's own settings, where the dressing's way holds. */
  inherited: Readonly<Record<string, string>> | null;
  /** Schools that have no place here are left out. */
  without?: readonly string[];
  onChange: (next: Record<string, string>) => void;
}

/** Where good benches disagree: one choice a school, with what it changes. */
export function SchoolsPanel({ value, inherited, without = [], onChange }: SchoolsPanelProps) {
  const words = useWords();
  const speech = useSpeech();
  const choose = (id: string, option: string) => {
    const next = { ...value, [id]: option };
    if (option === AS_WRITTEN) delete next[id];
    onChange(next);
  };
  return (
    <View className="gap-6">
      {ids.schools.filter((school) => !ELSEWHERE.has(school.id) && !without.includes(school.id)).map((school) => {
        const above = inherited?.[school.id];
        const named = school.options.find((option) => option.id === above)?.name;
        return (
          <View key={school.id} className="gap-2">
            <Heading size="small" level={3}>{speech.name('schools', school.id)}</Heading>
            <Say size="small" tone="soft">{words(`settings.school.${school.id}`)}</Say>
            <Chips compact label={speech.name('schools', school.id)} choices={[{ id: AS_WRITTEN, label: named ? words('settings.as-set', { option: named }) : words('settings.as-written') }, ...school.options.map((option) => ({ id: option.id, label: option.name }))]} value={value[school.id] ?? AS_WRITTEN} onChange={(option) => choose(school.id, option)} />
          </View>
        );
      })}
    </View>
  );
}
