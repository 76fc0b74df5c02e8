import { View } from 'react-native';
import { reason } from '@/core/code';
import type { DressingFault } from '@/core/dressings';
import { useSpeech } from '@/features/shell';
import { Say } from '@/ui/primitives';

/** What the checker found, each in words. */
export function CheckLines({ faults }: { faults: readonly DressingFault[] }) {
  const speech = useSpeech();
  if (faults.length === 0) return null;
  return (
    <View className="gap-1">
      {faults.map((fault, index) => (
        <Say key={`${fault.code}${index}`} size="small" tone="dawn">
          {speech.say(reason(fault.code, { ...fault.params, step: fault.step, part: fault.part ?? '' }), 'check')}
        </Say>
      ))}
    </View>
  );
}
