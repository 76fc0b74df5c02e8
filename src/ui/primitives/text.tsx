import type { ReactNode } from 'react';
import { Text } from 'react-native';

type Tone = 'ink' | 'soft' | 'river' | 'dawn' | 'sedge' | 'straw' | 'on-river';
type Size = 'small' | 'body' | 'lead' | 'title' | 'display' | 'bench';
type Weight = 'sans' | 'medium' | 'strong' | 'serif';

const TONE: Record<Tone, string> = {
  ink: 'text-ink',
  soft: 'text-soft',
  river: 'text-river',
  dawn: 'text-dawn',
  sedge: 'text-sedge',
  straw: 'text-straw',
  'on-river': 'text-on-river',
};
const SIZE: Record<Size, string> = {
  small: 'text-small',
  body: 'text-body',
  lead: 'text-lead',
  title: 'text-title',
  display: 'text-display',
  bench: 'text-bench',
};
const WEIGHT: Record<Weight, string> = {
  sans: 'font-sans',
  medium: 'font-medium',
  strong: 'font-strong',
  serif: 'font-serif',
};

interface SayProps {
  children: ReactNode;
  size?: Size;
  tone?: Tone;
  weight?: Weight;
  className?: string;
  lines?: number;
  live?: boolean;
  label?: string;
}

/** A run of words. */
export function Say({
  children,
  size = 'body',
  tone = 'ink',
  weight = 'sans',
  className = '',
  lines,
  live,
  label,
}: SayProps) {
  return (
    <Text
      numberOfLines={lines}
      aria-live={live ? 'polite' : undefined}
      aria-label={label}
      className={`${SIZE[size]} ${TONE[tone]} ${WEIGHT[weight]} ${className}`}
    >
      {children}
    </Text>
  );
}

/** A heading below the page's one h1. */
export function Heading({
  children,
  level = 2,
  size = 'lead',
  className = '',
}: {
  children: ReactNode;
  level?: 2 | 3;
  size?: Size;
  className?: string;
}) {
  return (
    <Text
      role="heading"
      aria-level={level}
      className={`${SIZE[size]} text-ink ${size === 'small' ? 'font-strong' : 'font-serif'} ${className}`}
    >
      {children}
    </Text>
  );
}

/** A measured number: tabular digits with a tight point, the unit and words beside it in the interface's face. */
export function Digits({
  children,
  size = 'body',
  tone = 'ink',
  strong = false,
}: {
  children: string;
  size?: Size;
  tone?: Tone;
  strong?: boolean;
}) {
  const face = strong ? 'font-mono-strong' : 'font-mono';
  const [whole, ...rest] = children.split('.');
  return (
    <Text className={`${SIZE[size]} ${TONE[tone]} ${face}`}>
      {whole}
      {rest.length > 0 ? <Text style={POINT}>.</Text> : null}
      {rest.join('.')}
    </Text>
  );
}

/** The mono face sets its point in a whole cell; this takes back what is empty. */
const POINT = { marginHorizontal: '-0.17em' } as unknown as { marginHorizontal: number };
