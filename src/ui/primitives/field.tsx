import { useId, useState, type Ref } from 'react';
import { TextInput, View, type TextInputProps } from 'react-native';
import { Say } from './text';

/** What is typed into, to put the focus there or to hear what is pasted. */
export type EntryNode = TextInput;

interface EntryProps extends Pick<
  TextInputProps,
  | 'value'
  | 'inputMode'
  | 'multiline'
  | 'numberOfLines'
  | 'autoFocus'
  | 'autoCapitalize'
  | 'blurOnSubmit'
  | 'placeholder'
  | 'onFocus'
  | 'onBlur'
  | 'onChangeText'
  | 'onSubmitEditing'
> {
  label: string;
  faulty?: boolean;
  /** The id of what says the fault. */
  saidBy?: string;
  figures?: boolean;
  big?: boolean;
  unit?: string;
  /** The field itself, where what is pasted into it is read first. */
  field?: Ref<EntryNode>;
}

/** The box that is typed into; its words stand above it, its fault below. */
export function Entry({
  label,
  faulty = false,
  saidBy,
  figures = false,
  big = false,
  unit,
  field,
  ...rest
}: EntryProps) {
  return (
    <View
      className={`field min-h-target min-w-0 flex-1 flex-row items-center rounded-control border bg-plane px-3 ${faulty ? 'border-dawn' : 'border-edge'}`}
    >
      <TextInput
        ref={field}
        aria-label={label}
        aria-invalid={faulty ? true : undefined}
        aria-describedby={saidBy}
        autoComplete="off"
        {...rest}
        className={`min-w-0 flex-1 py-2 text-ink ${figures ? 'font-mono' : 'font-sans'} ${big ? 'text-title' : 'text-body'}`}
      />
      {unit ? (
        <Say size="small" tone="soft">
          {unit}
        </Say>
      ) : null}
    </View>
  );
}

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
  return (
    <View className="flex-1 gap-1">
      {hideLabel ? null : (
        <Say size="small" tone="soft">
          {label}
        </Say>
      )}
      <Entry
        label={label}
        faulty={Boolean(error)}
        saidBy={error ? id : undefined}
        value={typing ?? value}
        figures={numeric}
        inputMode={numeric ? 'decimal' : 'text'}
        big={big}
        unit={unit}
        autoFocus={autoFocus}
        onFocus={() => setTyping(value)}
        onBlur={() => setTyping(null)}
        onChangeText={(text) => {
          setTyping(text);
          onType(text);
        }}
        onSubmitEditing={onEnter}
        blurOnSubmit={false}
      />
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
