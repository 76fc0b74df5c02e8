import { View } from 'react-native';
import type { Entities } from '@/records';
import { useApp } from '@/state';
import { useWords } from '@/features/shell';
import { Field, Pick } from '@/ui/primitives';

export const NEW_WATER = 'new';

/** Waters as they are offered. */
export const watersByName = (waters: Entities['water']) =>
  Object.entries(waters).sort(([, a], [, b]) => a.name.localeCompare(b.name));

/** A water that is known, or another by its name. */
export function WaterChoice({
  value,
  onChange,
  name,
  onName,
}: {
  /** Its id, or `NEW_WATER`. */
  value: string;
  onChange: (water: string) => void;
  name: string;
  onName: (name: string) => void;
}) {
  const words = useWords();
  const waters = useApp((state) => state.records.entities.water);
  const known = watersByName(waters);
  return (
    <>
      {known.length > 0 ? (
        <View className="min-w-52 max-w-md flex-1 flex-row">
          <Pick
            label={words('out.where-to')}
            choices={[
              ...known.map(([id, own]) => ({ id, label: own.name })),
              { id: NEW_WATER, label: words('out.new-water') },
            ]}
            value={value}
            onChange={(water) => onChange(water ?? NEW_WATER)}
          />
        </View>
      ) : null}
      {value === NEW_WATER ? (
        <View className="min-w-52 max-w-md flex-1 flex-row">
          <Field label={words('out.new-name')} value={name} onType={onName} />
        </View>
      ) : null}
    </>
  );
}
