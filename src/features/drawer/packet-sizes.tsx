import { useState } from 'react';
import { View } from 'react-native';
import type { PacketsIn } from '@/records';
import { useWords } from '@/features/shell';
import { Button, Choose, Say, Stepper, Toggle } from '@/ui/primitives';
import type { PadModel } from './packet-line';

const COUNTS = ['5', '10', '25', '50', '100'] as const;
const MOST = 9999;

interface PacketSizesProps {
  model: PadModel;
  name: string;
  /** Hooks in a packet until it is said otherwise. */
  usual: number;
  onUsual: (count: number) => void;
  onPut: (packets: PacketsIn) => void;
  onOther: () => void;
}

/** The sizes a model comes in, by thumb: which, and how many of each. */
export function PacketSizes({ model, name, usual, onUsual, onPut, onOther }: PacketSizesProps) {
  const words = useWords();
  const [picked, setPicked] = useState<Record<string, number>>({});
  const chosen = Object.entries(picked);
  const without = (size: string) => Object.fromEntries(chosen.filter(([other]) => other !== size));
  const put = () => {
    onPut({ modelId: model.id, made: null, sizes: chosen.map(([size, count]) => ({ size, count })) });
    setPicked({});
  };
  return (
    <View className="gap-3">
      <View role="group" aria-label={words('packets.sizes-of', { model: name })} className="flex-row flex-wrap gap-3">
        {model.sizes.map((size) => (
          <Toggle
            key={size}
            label={size}
            spoken={words('packets.size', { size })}
            on={size in picked}
            onChange={(on) => setPicked(on ? { ...picked, [size]: usual } : without(size))}
          />
        ))}
      </View>
      <Choose
        label={words('packets.count-each')}
        choices={COUNTS.map((id) => ({ id: id as string, label: words('packets.times', { count: Number(id) }) }))}
        value={String(usual)}
        onChange={(id) => {
          onUsual(Number(id));
          setPicked(Object.fromEntries(chosen.map(([size]) => [size, Number(id)])));
        }}
      />
      {chosen.map(([size, count]) => (
        <View key={size} className="flex-row items-center justify-between">
          <Say weight="medium">{words('packets.size', { size })}</Say>
          <Stepper
            label={words('packets.hooks-of', { size })}
            value={count}
            low={1}
            high={MOST}
            onChange={(value) => setPicked({ ...picked, [size]: value })}
          />
        </View>
      ))}
      <View className="flex-row flex-wrap gap-3">
        {chosen.length > 0 ? (
          <Button kind="main" label={words('packets.put-n', { count: chosen.length })} onPress={put} />
        ) : null}
        <Button kind="quiet" label={words('packets.other-model')} onPress={onOther} />
      </View>
    </View>
  );
}
