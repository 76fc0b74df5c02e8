import { View } from 'react-native';
import { DRESSINGS } from '@/catalogue';
import { answer, NO_CHOICES } from '@/core/answer';
import { caseFrom } from '@/core/naturals';
import { formatLength } from '@/core/units';
import { selectCatalogue, selectDevice, useApp } from '@/state';
import { Missing, Page, useSpeech, useWidth, useWords } from '@/features/shell';
import { hookName } from '@/features/matches';
import { CardParts, CardSteps } from '@/features/bench';
import { flyMarks, Plate } from '@/ui/drawings';
import { Heading, Say } from '@/ui/primitives';

/** One dressing, shown on the best hook for the middle of its range. */
export function DressingScreen({ id }: { id: string }) {
  const words = useWords();
  const speech = useSpeech();
  const catalogue = useApp(selectCatalogue);
  const { hand } = useApp(selectDevice);
  const [width, onLayout] = useWidth();
  const dressing = DRESSINGS.find((item) => item.id === id);
  if (!dressing) return <Missing what="dressing" list="/dressings" />;
  const middle = Math.sqrt(dressing.length_mm[0] * dressing.length_mm[1]);
  const shown = answer({ stage: dressing.stages[0]!, lengthsMm: [middle], overallMm: null, caseMm: caseFrom(null, middle), widthMm: null, method: 'typed', sex: null, colours: {}, surface: 'dry', water: dressing.waters[0]! }, { ...NO_CHOICES, dressingPin: id, hand }, catalogue);
  const card = shown.card;
  const parent = DRESSINGS.find((item) => item.id === dressing.parent);
  const facts: [string, string][] = [
    [words('dressing.for'), dressing.stages.map((stage) => speech.plain('stages', stage)).join(', ')],
    [words('dressing.lengths'), words('dressing.range', { low: speech.length(dressing.length_mm[0]), high: speech.length(dressing.length_mm[1]) })],
    [words('dressing.ride'), speech.plain('rides', dressing.ride)],
    [words('dressing.waters'), dressing.waters.map((water) => speech.plain('waters', water)).join(', ')],
    [words('dressing.skill'), `${words(`dressing.skill-n.${dressing.skill}`)}${dressing.minutes ? `, ${words('dressing.minutes', { minutes: dressing.minutes })}` : ''}`],
    [words('dressing.taper'), speech.t(`ui.taper.${dressing.taper}`)],
    [words('dressing.evidence'), speech.plain('evidence', dressing.evidence)],
  ];
  return (
    <Page title={dressing.name} over={parent ? words('dressing.parent', { parent: parent.name }) : undefined}>
      <View onLayout={onLayout}>
        {width > 0 && card ? <Plate label={words('plate.fly-only', { fly: dressing.name, hook: hookName(card.hook) })} width={width} natural={null} measuredMm={null} fly={flyMarks(card)} partName={(kind) => speech.plain('parts', kind)} digits={(mm) => formatLength(mm, speech.unit).digits} maxHeight={300} /> : null}
      </View>
      <View className="px-5 pb-6">
        {card ? (
          <Say size="small" tone="soft" className="pb-3 text-center">
            {words('dressing.on-hook', { hook: hookName(card.hook) })}
          </Say>
        ) : null}
        {facts.map(([name, value]) => (
          <View key={name} className="flex-row gap-4 border-b border-line py-2">
            <Say size="small" tone="soft" className="w-28">
              {name}
            </Say>
            <Say size="small" className="min-w-0 flex-1">
              {value}
            </Say>
          </View>
        ))}
      </View>
      {card ? (
        <>
          <Heading className="px-5 pb-2">{words('dressing.parts')}</Heading>
          <CardParts card={card} />
          <Heading className="px-5 pb-2 pt-8">{words('dressing.steps')}</Heading>
          <CardSteps card={card} />
        </>
      ) : null}
    </Page>
  );
}
