import { View } from 'react-native';
import type { BendId } from '@/catalogue/ids';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Choose, Entry, Say } from '@/ui/primitives';
import type { NewModel } from '@/records';
import { madeId } from './use-drawer';

const X_LONG = ['-1', '0', '1', '2', '3', '4'] as const;

/** A model that is not in the catalogue yet: a name, a bend and what its label says of its length. */
export function MakeModel({
  model,
  onChange,
  onDone,
  onLeave,
}: {
  model: NewModel;
  onChange: (model: NewModel) => void;
  onDone: () => void;
  onLeave: () => void;
}) {
  const { ids } = useSpeech();
  const words = useWords();
  const ready = madeId(model)
    .split(':')
    .every((part) => part !== '');
  const name = (label: string, value: string, set: (text: string) => void) => (
    <View className="min-w-40 flex-1 gap-1">
      <Say size="small" tone="soft">
        {label}
      </Say>
      <View className="flex-row">
        <Entry label={label} value={value} onChangeText={set} />
      </View>
    </View>
  );
  return (
    <View className="gap-3 rounded-control border border-edge p-3">
      <View className="flex-row flex-wrap gap-3">
        {name(words('packets.maker'), model.makerName, (makerName) => onChange({ ...model, makerName }))}
        {name(words('packets.model'), model.modelName, (modelName) => onChange({ ...model, modelName }))}
      </View>
      <Choose
        label={words('drawer.bend')}
        choices={ids.bends.map((bend) => ({ id: bend.id as BendId, label: bend.name }))}
        value={model.bend}
        onChange={(bend) => onChange({ ...model, bend })}
      />
      <Choose
        label={words('packets.x-long')}
        choices={X_LONG.map((id) => ({ id: id as string, label: words(`packets.x.${id}`) }))}
        value={String(model.xLong)}
        onChange={(id) => onChange({ ...model, xLong: Number(id) })}
      />
      <View className="flex-row gap-3">
        <Button kind="main" label={words('packets.make-it')} disabled={!ready} onPress={onDone} />
        <Button kind="quiet" label={words('packets.leave')} onPress={onLeave} />
      </View>
    </View>
  );
}
