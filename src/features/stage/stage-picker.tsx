import { useState } from 'react';
import { View } from 'react-native';
import type { OrderId, StageId } from '@/catalogue/ids';
import { useSpeech, useWords } from '@/features/shell';
import { foundBy } from '@/speech/found-by';
import { Choose, Field, Say } from '@/ui/primitives';
import { OrderTiles } from './order-tiles';

const FIRST: readonly OrderId[] = ['mayfly', 'caddis', 'stonefly', 'midge'];
/** As many answers to a search are read at a glance. */
const FOUND = 8;

/** Order, then its stages: the four great orders at once, any other by a word of its name. */
export function StagePicker({ value, onChange }: { value: StageId | null; onChange: (stage: StageId) => void }) {
  const words = useWords();
  const speech = useSpeech();
  const { ids } = speech;
  const [picked, setPicked] = useState<OrderId | null>(null);
  const [asked, setAsked] = useState('');
  const order = picked ?? ((value?.split('/')[0] ?? null) as OrderId | null);
  const stages = ids.stages
    .filter((stage) => stage.order === order)
    .map((stage) => ({ id: stage.id as StageId, label: short(speech.name('stages', stage.id), order!) }));
  const found =
    asked.trim() === ''
      ? []
      : ids.stages
          .map((stage) => ({ id: stage.id as StageId, label: speech.name('stages', stage.id), order: stage.order }))
          .filter(({ label, order: of }) => foundBy(`${label} ${speech.name('orders', of)}`, asked));
  return (
    <View className="gap-4">
      <View className="gap-2">
        <Say size="small" tone="soft">
          {words('natural.order')}
        </Say>
        <OrderTiles label={words('natural.order')} orders={FIRST} value={order} onChange={setPicked} />
      </View>
      {order !== null && stages.length > 1 ? (
        <View className="gap-2">
          <Say size="small" tone="soft">
            {FIRST.includes(order)
              ? words('natural.stage')
              : words('natural.stage-of', { order: speech.name('orders', order) })}
          </Say>
          <Choose tall label={words('natural.stage')} choices={stages} value={value} onChange={onChange} />
        </View>
      ) : null}
      <View className="max-w-96 flex-row">
        <Field
          label={words('natural.other-kind')}
          hint={words('natural.other-kind-hint', { count: ids.orders.length - FIRST.length })}
          value={asked}
          onType={setAsked}
        />
      </View>
      {asked.trim() === '' ? null : (
        <View aria-live="polite" className="gap-2">
          {found.length === 0 ? (
            <Say size="small">{words('natural.no-such-kind')}</Say>
          ) : (
            <Choose
              tall
              label={words('natural.found-kinds')}
              choices={found.slice(0, FOUND)}
              value={value}
              onChange={(stage) => {
                setPicked(null);
                setAsked('');
                onChange(stage);
              }}
            />
          )}
        </View>
      )}
    </View>
  );
}

/** "Mayfly dun" among mayflies is "dun". */
function short(name: string, order: string): string {
  const lead = `${order.replaceAll('-', ' ')} `;
  return name.toLowerCase().startsWith(lead) && name.length > lead.length ? name.slice(lead.length) : name;
}
