import { useState } from 'react';
import { View } from 'react-native';
import type { OrderId, StageId } from '@/catalogue/ids';
import { useSpeech, useWords } from '@/features/shell';
import { Button, Chips, Say } from '@/ui/primitives';
import { OrderTiles } from './order-tiles';

const FIRST: readonly OrderId[] = ['mayfly', 'caddis', 'stonefly', 'midge'];
const LIVES = ['hatches', 'water', 'land', 'other'] as const;

/** Order, then its stages: the four great orders at once, the rest one tap away by how they live. */
export function StagePicker({ value, onChange }: { value: StageId | null; onChange: (stage: StageId) => void }) {
  const words = useWords();
  const speech = useSpeech();
  const { ids } = speech;
  const [picked, setPicked] = useState<OrderId | null>(null);
  const [all, setAll] = useState(false);
  const order = picked ?? ((value?.split('/')[0] ?? null) as OrderId | null);
  const showAll = all || (order !== null && !FIRST.includes(order));
  const stages = ids.stages
    .filter((stage) => stage.order === order)
    .map((stage) => ({ id: stage.id as StageId, label: short(speech.name('stages', stage.id), order!) }));
  const pick = (id: OrderId) => {
    setPicked(id);
    const own = ids.stages.filter((stage) => stage.order === id);
    if (own.length === 1) onChange(own[0]!.id as StageId);
  };
  return (
    <View className="gap-4">
      <View className="gap-2">
        {showAll ? (
          LIVES.map((life) => (
            <View key={life} className="gap-1">
              <Say size="small" tone="soft">
                {words(`natural.life-${life}`)}
              </Say>
              <OrderTiles
                label={words(`natural.life-${life}`)}
                orders={ids.orders.filter((item) => item.life === life).map((item) => item.id as OrderId)}
                value={order}
                onChange={pick}
              />
            </View>
          ))
        ) : (
          <>
            <Say size="small" tone="soft">
              {words('natural.order')}
            </Say>
            <OrderTiles strip label={words('natural.order')} orders={FIRST} value={order} onChange={pick} />
          </>
        )}
        {showAll ? null : (
          <Button
            kind="quiet"
            label={words('natural.more-orders')}
            onPress={() => setAll(true)}
            className="self-start"
          />
        )}
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
