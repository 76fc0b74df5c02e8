import { useMemo } from 'react';
import { View } from 'react-native';
import { placesFor } from '@/core/tying';
import { useApp } from '@/state';
import { selectCatalogue, selectDressing } from '@/state/answering';
import { Terms } from '@/features/glossary';
import { useSpeech, useWords } from '@/features/shell';
import { Choose, Heading, Say } from '@/ui/primitives';

/** Set by match, maker or device, not here. */
const ELSEWHERE: ReadonlySet<string> = new Set(['size', 'x-label', 'hand']);

const AS_WRITTEN = 'as-written';

interface SchoolsPanelProps {
  value: Readonly<Record<string, string>>;
  /** What holds where nothing is chosen here; null for the tier's own settings, where the dressing's way holds. */
  inherited: Readonly<Record<string, string>> | null;
  /** The dressing they are for: what has no place in it is said and not offered. */
  dressing?: string;
  onChange: (next: Record<string, string>) => void;
}

/** Where good benches disagree: one choice a school, with what it changes. */
export function SchoolsPanel({ value, inherited, dressing: id, onChange }: SchoolsPanelProps) {
  const words = useWords();
  const speech = useSpeech();
  const { ids } = speech;
  const catalogue = useApp(selectCatalogue);
  const dressing = useApp((state) => selectDressing(state, id));
  const places = useMemo(
    () => (dressing ? placesFor(dressing, ids.schools, catalogue) : null),
    [dressing, catalogue, ids.schools],
  );
  const has = (school: string, option: string) => places?.get(school)?.has(option) ?? true;
  const asked = ids.schools.filter((school) => !ELSEWHERE.has(school.id));
  const without = asked.filter((school) => !school.options.some((option) => has(school.id, option.id)));
  const choose = (id: string, option: string) => {
    const next = { ...value, [id]: option };
    if (option === AS_WRITTEN) delete next[id];
    onChange(next);
  };
  return (
    <View className="gap-6">
      <Terms ids={['school']} />
      {asked
        .filter((school) => !without.includes(school))
        .map((school) => {
          const idle = school.options.filter((option) => !has(school.id, option.id));
          const above = inherited?.[school.id];
          const named = school.options.find((option) => option.id === above)?.name;
          return (
            <View key={school.id} className="gap-2">
              <Heading size="small" level={3}>
                {speech.name('schools', school.id)}
              </Heading>
              <Say size="small" tone="soft">
                {words(`settings.school.${school.id}`)}
              </Say>
              <Choose
                label={speech.name('schools', school.id)}
                choices={[
                  {
                    id: AS_WRITTEN,
                    label: named ? words('settings.as-set', { option: named }) : words('settings.as-written'),
                  },
                  ...school.options
                    .filter((option) => !idle.includes(option))
                    .map((option) => ({ id: option.id, label: option.name })),
                ]}
                value={value[school.id] ?? AS_WRITTEN}
                onChange={(option) => choose(school.id, option)}
              />
              {idle.length > 0 ? (
                <Say size="small" tone="straw">
                  {words('bench.no-place', { what: speech.list(idle.map((option) => option.name)) })}
                </Say>
              ) : null}
            </View>
          );
        })}
      {without.length > 0 ? (
        <Say size="small" tone="straw">
          {words('bench.no-place', { what: speech.list(without.map((school) => speech.plain('schools', school.id))) })}
        </Say>
      ) : null}
    </View>
  );
}
