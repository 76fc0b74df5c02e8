import { useState } from 'react';
import { View } from 'react-native';
import ids from '@/catalogue/ids.json';
import type { StageId } from '@/catalogue/ids';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Chips, Say } from '@/ui/primitives';

const FIRST = ['mayfly', 'caddis', 'stonefly', 'midge'];

/** Order, then its stages: the four great orders at once, the rest one tap away. */
export function StagePicker({ value, onChange }: { value: StageId | null; onChange: (stage: StageId) => void }) {
  const words = useWords();
  const speech = useSpeech();
  const [picked, setPicked] = useState<string | null>(null);
  const [all, setAll] = useState(false);
  const order = picked ?? value?.split('/')[0] ?? null;
  const showAll = all || (order !== null && !FIRST.includes(order));
  const orders = ids.orders.filter((item) => showAll || FIRST.includes(item.id)).map((item) => ({ id: item.id, label: speech.name('orders', item.id) }));
  const stages = ids.stages.filter((stage) => stage.order === order).map((stage) => ({ id: stage.id as StageId, label: short(speech.name('stages', stage.id), order!) }));
  return (
    <View className="gap-4">
      <View className="gap-2">
        <Say size="small" tone="soft">
          {words('natural.order')}
        </Say>
        <Chips label={words('natural.order')} choices={orders} value={order} onChange={(id) => {
          setPicked(id);
          const own = ids.stages.filter((stage) => stage.order === id);
          if (own.length === 1) onChange(own[0]!.id as StageId);
        }} />
        {showAll ? null : <Button kind="quiet" label={words('natural.more-orders')} onPress={() => setAll(true)} className="self-start" />}
      </View>
      {order !== null && stages.length > 1 ? (
        <View className="gap-2">
          <Say size="small" tone="soft">
            {words('natural.stage')}
          </Say>
          <Chips label={words('natural.stage')} choices={stages} value={value} onChange={onChange} />
        </View>
      ) : null}
    </View>
  );
}

/** "Mayfly dun" among mayflies is "dun". */
function short(name: string, order: string): string {
  const lead = `${order.replaceAll('-', ' ')} `;
  return name.toLowerCase().startsWith(lead) && name.length > lead.length ? name.slice(lead.length) : name;
}
