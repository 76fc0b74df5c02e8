import { useEffect, useRef } from 'react';
import { ScrollView, type View } from 'react-native';
import { faceOf } from '@/catalogue';
import type { OrderId } from '@/catalogue/ids';
import { useSpeech } from '@/features/shell';
import { NaturalThumb } from '@/ui/drawings';
import { InView, OneStop, Option, Say } from '@/ui/primitives';

const TILE = { width: 72, height: 38 };

/** Orders as pictures with their names, one of them chosen: in rows, or in one row that scrolls to what is chosen. */
export function OrderTiles({
  label,
  orders,
  value,
  onChange,
  strip = false,
}: {
  label: string;
  orders: readonly OrderId[];
  value: OrderId | null;
  onChange: (order: OrderId) => void;
  strip?: boolean;
}) {
  const speech = useSpeech();
  const chosen = useRef<View>(null);
  useEffect(() => {
    if (strip)
      (chosen.current as unknown as HTMLElement | null)?.scrollIntoView?.({ inline: 'center', block: 'nearest' });
  }, [strip, value]);
  const tiles = (
    <OneStop label={label} reached={value ?? orders[0]} className={`flex-row ${strip ? '' : 'flex-wrap'}`}>
      {orders.map((order) => {
        const on = order === value;
        return (
          <Option
            key={order}
            id={order}
            own={on ? chosen : undefined}
            on={on}
            onTake={() => onChange(order)}
            className={`items-center gap-1 border-b-4 px-1 pb-1 pt-2 ${on ? 'border-river' : 'border-transparent'}`}
            style={strip ? { minWidth: 84 } : { width: 104 }}
          >
            <InView {...TILE}>
              <NaturalThumb stage={faceOf(order)} colours={{}} {...TILE} />
            </InView>
            <Say size="small" weight={on ? 'strong' : 'medium'} tone={on ? 'river' : 'soft'} className="text-center">
              {speech.name('orders', order)}
            </Say>
          </Option>
        );
      })}
    </OneStop>
  );
  return strip ? (
    <ScrollView horizontal showsHorizontalScrollIndicator={false}>
      {tiles}
    </ScrollView>
  ) : (
    tiles
  );
}
