import { View } from 'react-native';
import type { Dressing } from '@/core/dressings';
import type { WayRule, WayShare } from '@/core/ways';
import { useSpeech, useWords } from '@/features/shell';
import { Pick } from '@/ui/primitives';
import { usePartNames } from './edit-where';
import { NumberField } from '@/features/length-field';

const FACTOR = [0, 60] as const;
/** How far a tip may stand before or past its mark. */
const PAST = [-5, 5] as const;
const SLACK = 0.1;
/** Bases that are no share of anything. */
const NO_SHARE: ReadonlySet<string> = new Set(['part', 'landmark', 'tool', 'count', 'eye-judged']);
const TIPS = ['bend-start', 'hook-point', 'behind-eye', 'mid-shank'] as const;

function useBases(dressing: Dressing, own: string | undefined, reaches: boolean) {
  const words = useWords();
  const speech = useSpeech();
  const { ids } = speech;
  const nameOf = usePartNames(dressing);
  const measured = dressing.parts.filter((part) => part.part !== 'head');
  const choices = [
    ...ids.bases
      .filter((base) => !NO_SHARE.has(base.id) && (base.id !== 'rest' || !reaches || own === 'rest'))
      .map((base) => ({ id: base.id, label: base.name })),
    ...measured.map((part) => ({
      id: `part:${part.id}`,
      label: words('edit-dressing.times-part', { part: nameOf(part.id) }),
    })),
    ...(reaches
      ? TIPS.map((mark) => ({
          id: `reach:${mark}:shank`,
          label: words('edit-dressing.tip-at', { mark: speech.plain('landmarks', mark) }),
        }))
      : []),
  ];
  if (own === undefined || choices.some((choice) => choice.id === own)) return choices;
  const [kind, mark] = own.split(':');
  return [
    ...choices,
    {
      id: own,
      label:
        kind === 'reach'
          ? words('edit-dressing.tip-at', { mark: speech.plain('landmarks', mark!) })
          : speech.plain('bases', kind!),
    },
  ];
}

interface RuleProps {
  dressing: Dressing;
  value: WayRule | null;
  /** Whether it may lie over what is left of the room. */
  along: boolean;
  onChange: (rule: WayRule | null) => void;
}

/** A length by its rule: a share of a base, or how far its tip stands past a mark, with the range that still passes. */
export function RuleFields({ dressing, value, along, onChange }: RuleProps) {
  const words = useWords();
  const bases = useBases(dressing, value?.base, !along);
  const range = value?.base.startsWith('reach:') ? PAST : FACTOR;
  const based = (base: string | null) => {
    if (base === null) return onChange(null);
    const factor =
      base === 'rest'
        ? 1
        : base.startsWith('reach:')
          ? 0.2
          : value?.base.startsWith('reach:')
            ? 1
            : (value?.factor ?? 1);
    const [low, high] = base.startsWith('reach:')
      ? [factor - SLACK, factor + SLACK]
      : base === 'rest'
        ? [1 - SLACK, 1]
        : value && value.factor === factor
          ? [value.low, value.high]
          : [factor * (1 - SLACK), factor * (1 + SLACK)];
    onChange({ base, factor, low, high });
  };
  return (
    <View className="gap-3">
      <Pick
        label={words('edit-dressing.base')}
        choices={bases}
        value={value?.base ?? null}
        none={words('edit-dressing.by-eye')}
        onChange={based}
      />
      {value && value.base !== 'rest' ? (
        <View className="flex-row gap-3">
          <NumberField
            label={words('edit-dressing.factor')}
            value={value.factor}
            range={range}
            onChange={(factor) => factor !== null && onChange({ ...value, factor })}
          />
          <NumberField
            label={words('edit-dressing.low')}
            value={value.low}
            range={range}
            onChange={(low) => low !== null && onChange({ ...value, low })}
          />
          <NumberField
            label={words('edit-dressing.high')}
            value={value.high}
            range={range}
            onChange={(high) => high !== null && onChange({ ...value, high })}
          />
        </View>
      ) : null}
    </View>
  );
}

interface ShareProps {
  dressing: Dressing;
  label: string;
  value: WayShare | null;
  usual: string;
  onChange: (share: WayShare | null) => void;
}

/** So much of a base: thickness, width, the least length. Emptied it is not asked for. */
export function ShareFields({ dressing, label, value, usual, onChange }: ShareProps) {
  const words = useWords();
  const bases = useBases(dressing, value?.base, false).filter((base) => base.id !== 'rest');
  return (
    <View className="min-w-0 flex-row items-end gap-3">
      <View className="w-28">
        <NumberField
          label={label}
          value={value?.factor ?? null}
          range={FACTOR}
          onChange={(factor) => onChange(factor === null ? null : { base: value?.base ?? usual, factor })}
        />
      </View>
      {value ? (
        <Pick
          label={words('edit-dressing.share-of', { what: label })}
          choices={bases}
          value={value.base}
          onChange={(base) => base && onChange({ ...value, base })}
        />
      ) : null}
    </View>
  );
}
