import { useEffect, useRef } from 'react';
import { ScrollView, type View } from 'react-native';
import { faceOf } from '@/catalogue';
import type { OrderId } from '@/catalogue/ids';
import { useSpeech } from '@/features/shell';
import { NaturalThumb } from '@/ui/drawings';
import { InView, OneStop, Option, Say } from '@/ui/primitives';

/** Key of what stands for all. */
const EVERY = 'every';
const TILE = { width: 72, height: 38 };

/** Orders as pictures with their names, one of them chosen: in rows, or in one row that scrolls to what is chosen. */
export function OrderTiles({
  label,
  orders,
  value,
  onChange,
  strip = false,
  every,
}: {
  label: string;
  orders: readonly OrderId[];
  value: OrderId | null;
  onChange: (order: OrderId) => void;
  strip?: boolean;
  /** All of them at once, where that can be chosen. */
  every?: { label: string; onTake: () => void };
}) {
  const speech = useSpeech();
  const chosen = useRef<View>(null);
  const row = useRef<ScrollView>(null);
  // Not by scrollIntoView: that would also begin the Tab key's round here, past the header.
  useEffect(() => {
    const tile = chosen.current as unknown as HTMLElement | null;
    if (strip && tile) row.current?.scrollTo({ x: tile.offsetLeft - TILE.width, animated: false });
  }, [strip, value]);
  const tiles = (
    <OneStop
      label={label}
      reached={value ?? (every === undefined ? orders[0] : EVERY)}
      className={`flex-row ${strip ? '' : 'flex-wrap'}`}
    >
      {every === undefined ? null : (
        <Option
          id={EVERY}
          on={value === null}
          onTake={every.onTake}
          className={`justify-end border-b-4 px-2 pb-1 pt-2 ${value === null ? 'border-river' : 'border-transparent'}`}
        >
          <Say
            size="small"
            weight={value === null ? 'strong' : 'medium'}
            tone={value === null ? 'river' : 'soft'}
            className="text-center"
          >
            {every.label}
          </Say>
        </Option>
      )}
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
    <ScrollView ref={row} horizontal showsHorizontalScrollIndicator={false}>
      {tiles}
    </ScrollView>
  ) : (
    tiles
  );
}
