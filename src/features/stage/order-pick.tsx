import type { OrderId } from '@/catalogue/ids';
import { useSpeech } from '@/features/shell';
import { Pick } from '@/ui/primitives';

/** One of the orders, by name, on one line. */
export function OrderPick({
  label,
  orders,
  value,
  none,
  onChange,
}: {
  label: string;
  orders: readonly OrderId[];
  value: OrderId | null;
  /** What all of them are called, where that can be chosen. */
  none?: string;
  onChange: (order: OrderId | null) => void;
}) {
  const speech = useSpeech();
  return (
    <Pick
      label={label}
      none={none}
      choices={orders.map((id) => ({ id, label: speech.name('orders', id) }))}
      value={value}
      onChange={onChange}
    />
  );
}
