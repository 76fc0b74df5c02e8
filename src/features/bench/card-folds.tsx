import { View } from 'react-native';
import type { Card } from '@/core/tying';
import { cardFacts } from '@/speech/card';
import { Terms } from '@/features/glossary';
import { useSpeech, useWords } from '@/features/shell';
import { Fold, Heading } from '@/ui/primitives';
import { CardAssemblies, CardExtras, CardSteps } from './card-view';
import { RoomBudget } from './room-budget';
import { Stations } from './stations';

/** The order of work, a line of how many steps and about how long until it is opened. */
export function WorkFold({ card, cautionsTold = false }: { card: Card; cautionsTold?: boolean }) {
  const words = useWords();
  const speech = useSpeech();
  return (
    <Fold
      wide
      title={words('bench.steps-title')}
      line={speech.beside([
        words('bench.steps', { count: card.steps.length }),
        card.minutes && words('dressing.minutes', { minutes: card.minutes }),
      ])}
    >
      <View className="-mx-5">
        <CardAssemblies card={card} />
        <CardSteps card={card} cautionsTold={cautionsTold} />
      </View>
    </Fold>
  );
}

/** Where each part lies, what room there is and whether the parts stay within it. */
export function RoomFold({ card }: { card: Card }) {
  const words = useWords();
  const speech = useSpeech();
  return (
    <Fold
      wide
      title={words('bench.lies')}
      line={words(card.fits ? 'bench.room-line' : 'bench.room-over', {
        room: speech.length(card.room_mm),
        used: speech.length(card.used_mm),
      })}
    >
      <View className="-mx-5 gap-6">
        <Stations card={card} />
        <Heading size="small" className="px-5">
          {words('bench.budget')}
        </Heading>
        <RoomBudget card={card} />
      </View>
    </Fold>
  );
}

/** Thread, hackle, marks and what else a card says in small print, by its headings until it is opened. */
export function SmallPrintFold({ card }: { card: Card }) {
  const words = useWords();
  const speech = useSpeech();
  return (
    <Fold wide title={words('bench.small-print')} line={speech.list(cardFacts(card, speech).map(({ title }) => title))}>
      <View className="-mx-5">
        <CardExtras card={card} />
        <View className="px-5 pt-3">
          <Terms ids={card.hackles.some(({ gauge }) => gauge !== null) ? ['gauge', 'reserve'] : ['reserve']} />
        </View>
      </View>
    </Fold>
  );
}
