import { Link } from 'expo-router';
import { View } from 'react-native';
import { DRESSINGS } from '@/catalogue';
import ids from '@/catalogue/ids.json';
import type { Card } from '@/core/tying';
import type { Dressing } from '@/core/dressings';
import { selectLibraryCards, useApp } from '@/state';
import { Page, useRedLamp, useSpeech, useWide, useWords } from '@/features/shell';
import { FlyThumb } from '@/ui/drawings';
import { Heading, Say } from '@/ui/primitives';

/** The library, by the order of insect each dressing answers first. */
export function DressingsScreen() {
  const words = useWords();
  const speech = useSpeech();
  const wide = useWide();
  const cards = useApp(selectLibraryCards);
  const orders = ids.orders.map((order) => ({ id: order.id, dressings: DRESSINGS.filter((dressing) => dressing.stages[0]!.startsWith(`${order.id}/`)) })).filter((group) => group.dressings.length > 0);
  return (
    <Page column="list" title={words('place.dressings')} lead={words('dressing.library', { count: DRESSINGS.length })}>
      {orders.map((group) => (
        <View key={group.id} className="pb-8">
          <Heading className="px-5 pb-2">{speech.name('orders', group.id)}</Heading>
          <View className={`border-t border-line ${wide ? 'flex-row flex-wrap' : ''}`}>
            {group.dressings.map((dressing) => (
              <DressingRow key={dressing.id} dressing={dressing} card={cards.get(dressing.id)} half={wide} />
            ))}
          </View>
        </View>
      ))}
    </Page>
  );
}

function DressingRow({ dressing, card, half }: { dressing: Dressing; card: Card | undefined; half: boolean }) {
  const words = useWords();
  const speech = useSpeech();
  const red = useRedLamp();
  return (
    <Link href={{ pathname: '/dressings/[id]', params: { id: dressing.id } }} className={`flex flex-row items-center gap-4 border-b border-line px-5 py-3 ${half ? 'w-1/2' : 'w-full'}`}>
      <FlyThumb card={card} width={84} height={64} plain={red} />
      <View className="min-w-0 flex-1">
        <Say weight="serif" size="lead">
          {dressing.name}
        </Say>
        <Say size="small">{dressing.stages.map((stage) => speech.plain('stages', stage)).join(', ')}</Say>
        <Say size="small" tone="soft">
          {`${words('dressing.range', { low: speech.length(dressing.length_mm[0]), high: speech.length(dressing.length_mm[1]) })} · ${words(`dressing.rides.${dressing.ride}`)}`}
        </Say>
      </View>
    </Link>
  );
}
