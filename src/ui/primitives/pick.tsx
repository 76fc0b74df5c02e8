import { Picker } from '@react-native-picker/picker';
import { cssInterop } from 'nativewind';
import { View } from 'react-native';
import type { Choice } from './choose';
import { Say } from './text';

cssInterop(Picker, { className: 'style' });

interface PickProps<T extends string> {
  label: string;
  choices: readonly Choice<T>[];
  value: T | null;
  /** What no choice is called; where it is left out there is always one. */
  none?: string;
  onChange: (id: T | null) => void;
  disabled?: boolean;
  /** Where the words above it stand already. */
  spokenOnly?: boolean;
}

/** No choice, as the value of an option. */
const NONE = '';

/** One of many on one line, under its name: the browser's own list, so that keys, typing ahead and a phone's wheel work. */
export function Pick<T extends string>({
  label,
  choices,
  value,
  none,
  onChange,
  disabled = false,
  spokenOnly = false,
}: PickProps<T>) {
  return (
    <View className={`min-w-0 gap-1 ${spokenOnly ? 'self-stretch' : 'flex-1'}`}>
      {spokenOnly ? null : (
        <Say size="small" tone="soft">
          {label}
        </Say>
      )}
      <Picker
        aria-label={label}
        enabled={!disabled}
        selectedValue={value ?? NONE}
        onValueChange={(id: string) => onChange(id === NONE ? null : (id as T))}
        className={`min-h-target w-full min-w-0 rounded-control border border-edge bg-plane px-2 font-sans text-body text-ink ${disabled ? 'opacity-60' : ''}`}
      >
        {none === undefined ? null : <Picker.Item label={none} value={NONE} />}
        {choices.map((choice) => (
          <Picker.Item key={choice.id} label={choice.label} value={choice.id} />
        ))}
      </Picker>
    </View>
  );
}
