import type { ReactNode } from 'react';
import Minus from 'lucide-react-native/icons/minus';
import Plus from 'lucide-react-native/icons/plus';
import { Pressable, View } from 'react-native';
import { CHOSEN } from './chosen';
import { IconButton } from './icon-button';
import { Digits, Say } from './text';

interface ButtonProps {
  label: string;
  onPress: () => void;
  kind?: 'main' | 'plain' | 'quiet';
  children?: ReactNode;
  /** Spoken name when the visible words are not enough. */
  spoken?: string;
  disabled?: boolean;
  /** For a wet hand: 56 px. */
  tall?: boolean;
  /** Where it stands; how it looks is its kind. */
  className?: ButtonPlace;
}

/** A quiet button's words line up with the page's, though it has room about them. */
export type ButtonPlace =
  '' | 'self-start' | 'flex-1' | '-ml-4' | '-mr-4' | '-ml-4 self-start' | '-ml-4 max-w-full self-start';

const BUTTON = {
  main: 'bg-river border-river',
  plain: 'border-edge bg-plane',
  quiet: 'border-transparent',
} as const;

/** A button of at least 48 px. */
export function Button({
  label,
  onPress,
  kind = 'plain',
  children,
  spoken,
  disabled = false,
  tall = false,
  className = '',
}: ButtonProps) {
  return (
    <Pressable
      role="button"
      aria-label={spoken ?? (children ? label : undefined)}
      disabled={disabled}
      onPress={onPress}
      className={`${tall ? 'min-h-touch' : 'min-h-target'} min-w-target items-center justify-center rounded-control border px-4 py-2 ${BUTTON[kind]} ${disabled ? 'opacity-60' : ''} ${className}`}
    >
      {children ?? (
        <Say weight="medium" tone={kind === 'main' ? 'on-river' : disabled ? 'soft' : 'river'}>
          {label}
        </Say>
      )}
    </Pressable>
  );
}

/** A pin that stays down. */
export function Toggle({
  label,
  on,
  onChange,
  spoken,
  tall = false,
}: {
  label: string;
  on: boolean;
  onChange: (on: boolean) => void;
  spoken?: string;
  tall?: boolean;
}) {
  return (
    <Pressable
      role="button"
      aria-pressed={on}
      aria-label={spoken}
      onPress={() => onChange(!on)}
      className={`${tall ? 'min-h-touch' : 'min-h-target'} min-w-target items-center justify-center rounded-control border px-3 ${on ? CHOSEN : 'border-edge bg-plane'}`}
    >
      <Say size="small" weight={on ? 'strong' : 'medium'} tone={on ? 'ink' : 'river'}>
        {label}
      </Say>
    </Pressable>
  );
}

interface StepperProps {
  label: string;
  value: number;
  low: number;
  high: number;
  onChange: (value: number) => void;
  /** The label stands above it; else it is spoken only. */
  shown?: boolean;
}

/** A whole number with one less and one more. */
export function Stepper({ label, value, low, high, onChange, shown = false }: StepperProps) {
  const step = (by: number, Icon: typeof Plus) => {
    const next = value + by;
    return (
      <IconButton
        tall
        edged
        icon={Icon}
        label={`${label}: ${next}`}
        disabled={next < low || next > high}
        onPress={() => onChange(next)}
      />
    );
  };
  return (
    <View className="gap-1">
      {shown ? (
        <Say size="small" tone="soft">
          {label}
        </Say>
      ) : null}
      <View role="group" aria-label={label} className="flex-row items-center gap-2">
        {step(-1, Minus)}
        <View className="min-w-8 items-center">
          <Digits size="lead">{String(value)}</Digits>
        </View>
        {step(1, Plus)}
      </View>
    </View>
  );
}
