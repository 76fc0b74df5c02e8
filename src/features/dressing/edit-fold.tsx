import { useState } from 'react';
import { View } from 'react-native';
import type { Dressing } from '@/core/dressings';
import { useWords } from '@/features/shell';
import { Choose, Field, Labelled, Pick, Say, Tick } from '@/ui/primitives';

export interface EditProps {
  dressing: Dressing;
  onChange: (next: Dressing) => void;
}

/** A list with something of one item changed. */
export function patchedAt<T>(list: readonly T[], at: number, more: Partial<T>): T[] {
  return list.map((item, index) => (index === at ? { ...item, ...more } : item));
}

/** A list without one item. */
export function withoutAt<T>(list: readonly T[], at: number): T[] {
  return list.filter((_, index) => index !== at);
}

/** A text that may not be empty; emptied it stays so with its fault, and nothing is changed until something is typed. */
export function NeededField({
  label,
  value,
  onType,
}: {
  label: string;
  value: string;
  onType: (text: string) => void;
}) {
  const words = useWords();
  const [blank, setBlank] = useState<string | null>(null);
  return (
    <Field
      label={label}
      value={blank ?? value}
      error={blank === null ? null : words('edit-dressing.needed')}
      onType={(text) => {
        const empty = text.trim() === '';
        setBlank(empty ? text : null);
        if (!empty) onType(text);
      }}
    />
  );
}

interface OneProps<T extends string> {
  title: string;
  choices: readonly { id: string; name: string }[];
  value: T | null;
  /** What no choice is called; where it is left out there is always one. */
  none?: string;
  onChange: (id: T | null) => void;
}

const NONE = 'none-at-all';

/** So many stand side by side; more are a list. */
const FEW = 5;

/** One of a few under its title, or none of them; of many, from a list. */
export function ChoiceField<T extends string>({ title, choices, value, none, onChange }: OneProps<T>) {
  if (choices.length > FEW)
    return (
      <View className="flex-row">
        <Pick
          label={title}
          choices={choices.map(({ id, name }) => ({ id: id as T, label: name }))}
          value={value}
          none={none}
          onChange={onChange}
        />
      </View>
    );
  return (
    <Labelled title={title}>
      <Choose
        label={title}
        choices={[
          ...(none === undefined ? [] : [{ id: NONE, label: none }]),
          ...choices.map(({ id, name }) => ({ id, label: name })),
        ]}
        value={value ?? NONE}
        onChange={(id) => onChange(id === NONE ? null : (id as T))}
      />
    </Labelled>
  );
}

interface ManyProps<T extends string> {
  title: string;
  choices: readonly { id: string; name: string }[];
  value: readonly T[];
  onChange: (next: T[]) => void;
  /** So many stay chosen. */
  least?: number;
}

/** Some of a few under their title. */
export function ChoicesField<T extends string>({ title, choices, value, onChange, least = 0 }: ManyProps<T>) {
  const toggle = (id: T) => {
    const next = value.includes(id) ? value.filter((other) => other !== id) : [...value, id];
    if (next.length >= least) onChange(next);
  };
  return (
    <View role="group" aria-label={title} className="gap-1">
      <Say size="small" tone="soft">
        {title}
      </Say>
      <View className="flex-row flex-wrap gap-x-4">
        {choices.map((choice) => (
          <Tick
            key={choice.id}
            label={choice.name}
            on={value.includes(choice.id as T)}
            onChange={() => toggle(choice.id as T)}
          />
        ))}
      </View>
    </View>
  );
}
