import { View } from 'react-native';
import type { StageId } from '@/catalogue/ids';
import { onAsRule, type Dressing } from '@/core/dressings';
import { useWords } from '@/features/shell';
import { Say, Toggle } from '@/ui/primitives';

interface SwitchRowProps {
  dressing: Dressing;
  /** Stage of the natural it is tied for. */
  stage: StageId | null;
  without: readonly string[];
  added: readonly string[];
  onChange: (without: string[], added: string[]) => void;
}

/** Parts that may be left out or put in, each with its reason. */
export function SwitchRow({ dressing, stage, without, added, onChange }: SwitchRowProps) {
  const words = useWords();
  if (dressing.switches.length === 0) return null;
  return (
    <View className="gap-2">
      <Say size="small" tone="soft">
        {words('bench.switches')}
      </Say>
      {dressing.switches.map((item) => {
        const rule = onAsRule(item, stage);
        const on = rule ? !without.includes(item.id) : added.includes(item.id) && !without.includes(item.id);
        const drop = (list: readonly string[]) => list.filter((id) => id !== item.id);
        return (
          <View key={item.id} className="flex-row items-center gap-3">
            <Toggle
              label={item.name}
              on={on}
              onChange={(next) =>
                onChange(
                  next || !rule ? drop(without) : [...drop(without), item.id],
                  next && !rule ? [...drop(added), item.id] : drop(added),
                )
              }
            />
            <Say size="small" tone="soft" className="min-w-0 flex-1">
              {item.why}
            </Say>
          </View>
        );
      })}
    </View>
  );
}
