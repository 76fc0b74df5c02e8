import type { ReactNode } from 'react';
import { Pressable, View } from 'react-native';
import { Say } from './text';

interface ButtonProps {
  label: string;
  onPress: () => void;
  kind?: 'main' | 'plain' | 'quiet';
  children?: ReactNode;
  /** Spoken name when the visible words are not enough. */
  spoken?: string;
  disabled?: boolean;
  className?: string;
}

const BUTTON = {
  main: 'bg-river border-river',
  plain: 'border-edge bg-plane',
  quiet: 'border-transparent',
} as const;

/** A button of at least 48 px. */
export function Button({ label, onPress, kind = 'plain', children, spoken, disabled = false, className = '' }: ButtonProps) {
  return (
    <Pressable role="button" aria-label={spoken ?? (children ? label : undefined)} disabled={disabled} onPress={onPress} className={`min-h-target min-w-target items-center justify-center rounded-control border px-4 ${BUTTON[kind]} ${className}`}>
      {children ?? (
        <Say weight="medium" tone={kind === 'main' ? 'on-river' : disabled ? 'soft' : 'river'}>
          {label}
        </Say>
      )}
    </Pressable>
  );
}

export interface Choice<T extends string> {
  id: T;
  label: string;
}

/** One of a few: chips with radio semantics, the chosen one by fill, border and weight. */
export function Chips<T extends string>({ label, choices, value, onChange, compact = false }: { label: string; choices: readonly Choice<T>[]; value: T | null; onChange: (id: T) => void; compact?: boolean }) {
  return (
    <View role="radiogroup" aria-label={label} className="flex-row flex-wrap gap-2">
      {choices.map((choice) => {
        const on = choice.id === value;
        return (
          <Pressable key={choice.id} role="radio" aria-checked={on} onPress={() => onChange(choice.id)} className={`min-h-target justify-center rounded-control border ${compact ? 'px-3' : 'px-4'} ${on ? 'border-river bg-river' : 'border-edge bg-plane'}`}>
            <Say weight={on ? 'strong' : 'medium'} tone={on ? 'on-river' : 'ink'}>
              {choice.label}
            </Say>
          </Pressable>
        );
      })}
    </View>
  );
}

/** A pin that stays down. */
export function Toggle({ label, on, onChange, spoken }: { label: string; on: boolean; onChange: (on: boolean) => void; spoken?: string }) {
  return (
    <Pressable role="button" aria-pressed={on} aria-label={spoken} onPress={() => onChange(!on)} className={`min-h-target min-w-target items-center justify-center rounded-control border px-3 ${on ? 'border-river bg-river' : 'border-edge bg-plane'}`}>
      <Say size="small" weight="medium" tone={on ? 'on-river' : 'river'}>
        {label}
      </Say>
    </Pressable>
  );
}
