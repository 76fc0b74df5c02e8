import { View } from 'react-native';
import { DRESSINGS } from '@/catalogue';
import { answer, NO_CHOICES } from '@/core/answer';
import { formatLength } from '@/core/units';
import { middleSample, selectCatalogue, selectDevice, useApp } from '@/state';
import { Missing, Page, useRedLamp, useSpeech, useWide, useWidth, useWords } from '@/features/shell';
import { hookName } from '@/features/matches';
import { CardParts, CardSteps } from '@/features/bench';
import { flyMarks, Plate } from '@/ui/drawings';
import { Facts, Heading, Say } from '@/ui/primitives';

/** One dressing, shown on the best hook for the middle of its range. */
export function DressingScreen({ id }: { id: string }) {
  const words = useWords();
  const speech = useSpeech();
  const catalogue = useApp(selectCatalogue);
  const { hand } = useApp(selectDevice);
  const wide = useWide();
  const red = useRedLamp();
  const [width, onLayout] = useWidth();
  const dressing = DRESSINGS.find((item) => item.id === id);
  if (!dressing) return <Missing what="dressing" list="/dressings" />;
  const { card } = answer(middleSample(dressing), { ...NO_CHOICES, dressingPin: id, hand }, catalogue);
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
  const picture = (
    <View>
      <View onLayout={onLayout}>
        {width > 0 && card ? <Plate label={words('plate.fly-only', { fly: dressing.name, hook: hookName(card.hook) })} width={width} natural={null} measuredMm={null} fly={flyMarks(card, { plain: red })} partName={(kind) => speech.plain('parts', kind)} digits={(mm) => formatLength(mm, speech.unit).digits} maxHeight={wide ? 420 : 300} /> : null}
      </View>
      {card ? (
        <Say size="small" tone="soft" className="px-5 pb-3 text-center">
          {words('dressing.on-hook', { hook: hookName(card.hook) })}
        </Say>
      ) : null}
    </View>
  );
  const about = (
    <View className="px-5 pb-6">
      <Facts rows={facts} />
    </View>
  );
  const parts = card ? (
    <View className="pb-8">
      <Heading className="px-5 pb-2">{words('dressing.parts')}</Heading>
      <CardParts card={card} />
    </View>
  ) : null;
  const steps = card ? (
    <View>
      <Heading className="px-5 pb-2">{words('dressing.steps')}</Heading>
      <CardSteps card={card} />
    </View>
  ) : null;
  return (
    <Page column="list" back={{ href: '/dressings', label: words('place.dressings') }} title={dressing.name} lead={parent ? words('dressing.parent', { parent: parent.name }) : undefined}>
      {wide ? (
        <View className="flex-row gap-6">
          <View className="min-w-0 flex-1">
            {picture}
            {about}
            {parts}
          </View>
          <View className="min-w-0 flex-1">{steps}</View>
        </View>
      ) : (
        <>
          {picture}
          {about}
          {parts}
          {steps}
        </>
      )}
    </Page>
  );
}
