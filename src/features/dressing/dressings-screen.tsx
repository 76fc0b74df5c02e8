import { Link } from 'expo-router';
import { View } from 'react-native';
import { DRESSINGS } from '@/catalogue';
import ids from '@/catalogue/ids.json';
import { Page, useSpeech, useWords } from '@/features/shell';
import { Heading, Say } from '@/ui/primitives';

/** The library, by the order of insect each dressing answers first. */
export function DressingsScreen() {
  const words = useWords();
  const speech = useSpeech();
  const orders = ids.orders.map((order) => ({ id: order.id, dressings: DRESSINGS.filter((dressing) => dressing.stages[0]!.startsWith(`${order.id}/`)) })).filter((group) => group.dressings.length > 0);
  return (
    <Page title={words('place.dressings')} over={words('dressing.library', { count: DRESSINGS.length })}>
      {orders.map((group) => (
        <View key={group.id} className="pb-6">
          <Heading className="px-5 pb-2">{speech.name('orders', group.id)}</Heading>
          <View className="border-t border-line">
            {group.dressings.map((dressing) => (
              <Link key={dressing.id} href={{ pathname: '/dressings/[id]', params: { id: dressing.id } }} className="flex min-h-16 flex-col gap-1 border-b border-line px-5 py-3">
                <Say weight="strong">{dressing.name}</Say>
                <Say size="small" tone="soft">
                  {`${dressing.stages.map((stage) => speech.plain('stages', stage)).join(', ')} · ${words('dressing.range', { low: speech.length(dressing.length_mm[0]), high: speech.length(dressing.length_mm[1]) })} · ${speech.plain('rides', dressing.ride)}`}
                </Say>
              </Link>
            ))}
          </View>
        </View>
      ))}
    </Page>
  );
}
