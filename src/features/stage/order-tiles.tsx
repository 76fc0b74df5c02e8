import { faceOf } from '@/catalogue';
import type { OrderId } from '@/catalogue/ids';
import { useSpeech } from '@/features/shell';
import { NaturalThumb } from '@/ui/drawings';
import { InView, OneStop, Option, Say } from '@/ui/primitives';

const TILE = { width: 72, height: 38 };

/** A few orders as pictures with their names, one of them chosen. */
export function OrderTiles({
  label,
  orders,
  value,
  onChange,
}: {
  label: string;
  orders: readonly OrderId[];
  value: OrderId | null;
  onChange: (order: OrderId) => void;
}) {
  const speech = useSpeech();
  return (
    <OneStop
      label={label}
      reached={value !== null && orders.includes(value) ? value : orders[0]}
      className="flex-row flex-wrap"
    >
      {orders.map((order) => {
        const on = order === value;
        return (
          <Option key={order} id={order} on={on} onTake={() => onChange(order)} look="picture">
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
}
