import { useMemo } from 'react';
import { View } from 'react-native';
import type { Dressing } from '@/core/dressings';
import type { Hook } from '@/core/hooks';
import { dressingFaults, hookFaults } from '@/core/outing';
import { waterOfSample, type SampleRecord } from '@/records';
import { useApp } from '@/state';
import { ruledDressing, ruledHook, rulesOf } from '@/state/answering';
import { useSpeech, useWords } from '@/features/shell';
import { Say } from '@/ui/primitives';

/** What your rules of the water a natural came from say of a hook, of a dressing or of both; nothing where none is broken. */
export function WaterSays({
  sample,
  hook,
  dressing,
}: {
  sample: SampleRecord;
  hook?: Hook & { name: string };
  dressing?: Pick<Dressing, 'name' | 'weights'>;
}) {
  const words = useWords();
  const speech = useSpeech();
  const { water, outing } = useApp((state) => state.records.entities);
  const faults = useMemo(() => {
    const id = waterOfSample({ water, outing }, sample);
    if (id === null) return [];
    const rules = rulesOf(water[id]!);
    return [
      ...(hook ? hookFaults({ name: hook.name, ...ruledHook(hook) }, rules) : []),
      ...(dressing ? dressingFaults({ name: dressing.name, ...ruledDressing(dressing) }, rules) : []),
    ].map((fault) => ({ fault, water: water[id]!.name }));
  }, [water, outing, sample, hook, dressing]);
  if (faults.length === 0) return null;
  return (
    <View className="gap-1">
      {faults.map(({ fault }) => (
        <Say key={JSON.stringify(fault)} tone="dawn" weight="medium">
          {speech.say(fault)}
        </Say>
      ))}
      <Say size="small" tone="soft">
        {words('out.check-rule-at', { water: faults[0]!.water })}
      </Say>
    </View>
  );
}
