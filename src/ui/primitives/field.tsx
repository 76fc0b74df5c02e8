import { useId, useRef, useState } from 'react';
import { TextInput, View } from 'react-native';
import { Say } from './text';

interface FieldProps {
  label: string;
  /** What is stored, as it should be shown at rest. */
  value: string;
  onType: (text: string) => void;
  onEnter?: () => void;
  error?: string | null;
  hint?: string;
  unit?: string;
  numeric?: boolean;
  big?: boolean;
  hideLabel?: boolean;
  autoFocus?: boolean;
}

/** A text field that never rewrites what is being typed; at rest it shows the stored value, and a wrong one stays as typed with its fault beside it. */
export function Field({
  label,
  value,
  onType,
  onEnter,
  error,
  hint,
  unit,
  numeric = false,
  big = false,
  hideLabel = false,
  autoFocus,
}: FieldProps) {
  const id = useId();
  const [typing, setTyping] = useState<string | null>(null);
  const input = useRef<TextInput>(null);
  return (
    <View className="flex-1 gap-1">
      {hideLabel ? null : (
        <Say size="small" tone="soft">
          {label}
        </Say>
      )}
      <View
        className={`field min-h-target flex-row items-center rounded-control border bg-plane px-3 ${error ? 'border-dawn' : 'border-edge'}`}
      >
        <TextInput
          ref={input}
          aria-label={label}
          aria-invalid={error ? true : undefined}
          aria-describedby={error ? id : undefined}
          value={typing ?? value}
          inputMode={numeric ? 'decimal' : 'text'}
          autoComplete="off"
          autoFocus={autoFocus}
          onFocus={() => setTyping(value)}
          onBlur={() => setTyping(null)}
          onChangeText={(text) => {
            setTyping(text);
            onType(text);
          }}
          onSubmitEditing={onEnter}
          blurOnSubmit={false}
          className={`min-w-0 flex-1 py-2 text-ink ${numeric ? 'font-mono' : 'font-sans'} ${big ? 'text-title' : 'text-body'}`}
        />
        {unit ? (
          <Say size="small" tone="soft">
            {unit}
          </Say>
        ) : null}
      </View>
      {error ? (
        <View id={id}>
          <Say size="small" tone="dawn">
            {error}
          </Say>
        </View>
      ) : hint ? (
        <Say size="small" tone="soft">
          {hint}
        </Say>
      ) : null}
    </View>
  );
}
